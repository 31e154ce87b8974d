package underhand.work;

import java.util.function.Supplier;

/**
 * A piece of work and whether it is still wanted. Long computations ask {@link #check} now and then, on whatever thread they
 * run; what is worked out does not depend on it. Safe to share between threads.
 */
public class Work {

    private static final ThreadLocal<Work> CURRENT = new ThreadLocal<>();

    private volatile boolean givenUp;

    /** Nobody wants the result any more: the next check ends the work. */
    public final void giveUp() {
        givenUp = true;
    }

    public final boolean isGivenUp() {
        return givenUp;
    }

    /** What happens at every check while the work goes on, such as letting other work go first. */
    protected void pause() {}

    /** Does a part of this work on the thread that calls. */
    public final <T> T doing(Supplier<T> part) {
        Work before = CURRENT.get();
        CURRENT.set(this);
        try {
            return part.get();
        } finally {
            if (before == null) {
                CURRENT.remove();
            } else {
                CURRENT.set(before);
            }
        }
    }

    /** The work this thread does a part of; work that is never given up when it does none. */
    public static Work current() {
        Work current = CURRENT.get();
        return current == null ? new Work() : current;
    }

    /** @throws GivenUpException when the work this thread does is not wanted any more */
    public static void check() {
        Work current = CURRENT.get();
        if (current != null) {
            current.pause();
            if (current.givenUp) {
                throw new GivenUpException();
            }
        }
    }
}
