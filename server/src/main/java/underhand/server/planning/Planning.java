package underhand.server.planning;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import underhand.work.GivenUpException;
import underhand.work.Work;

/**
 * Does the planning that requests ask for, with few workers. Clients take turns; small work has workers of its own, and large
 * work pauses for it; work ends when its asker has left, or has asked anew.
 *
 * <p>A client is a tab that names itself ({@code X-Client}), else a connection. A request that says what it asks for anew
 * ({@code X-Turn}, such as the part on the bench) takes the place of the client's last one.
 */
@Component
public class Planning {

    private static final String CLIENT = "X-Client";
    private static final String TURN = "X-Turn";
    private static final int LONGEST_NAME = 80;

    /** How often is looked whether the asker is still there. */
    private static final long LOOK_EVERY_MS = 250;

    /** Large work waits so long for small work, and then goes on so long before it waits again. */
    private static final long PAUSE_MS = 100;

    private static final long SLICE_NS = 50_000_000;

    private final Connections connections;
    private final Lane large = new Lane("planning-large", 2);
    private final Lane small = new Lane("planning-small", 2);
    private final Set<Job<?>> open = ConcurrentHashMap.newKeySet();
    private final Map<String, Job<?>> turns = new ConcurrentHashMap<>();

    Planning(Connections connections) {
        this.connections = connections;
    }

    /** How much work is to be expected. */
    public enum Size {
        SMALL,
        LARGE
    }

    /**
     * Does some work for the request of this thread and waits for it.
     *
     * @throws GivenUpException when whoever asked has left or has asked anew
     */
    public <T> T answer(Size size, Supplier<T> work) {
        Optional<HttpServletRequest> request = Optional.ofNullable(RequestContextHolder.getRequestAttributes())
                .map(attributes -> ((ServletRequestAttributes) attributes).getRequest());
        String client = request.map(Planning::client).orElse("");
        Job<T> job = new Job<>(client, size == Size.SMALL ? new Work() : new Patient(), work);
        Optional<String> turn = request.flatMap(r -> named(r, TURN)).map(t -> client + " " + t);
        open.add(job);
        turn.map(t -> turns.put(t, job)).ifPresent(Job::giveUp);
        (size == Size.SMALL ? small : large).add(job);
        try {
            return await(job, request.map(connections::of));
        } finally {
            open.remove(job);
            turn.ifPresent(t -> turns.remove(t, job));
        }
    }

    private static <T> T await(Job<T> job, Optional<Connections.Connection> connection) {
        while (true) {
            try {
                return job.await(LOOK_EVERY_MS);
            } catch (TimeoutException notYet) {
                if (job.isGivenUp()
                        || connection.isPresent() && connection.get().isClosed()) {
                    job.giveUp();
                    throw new GivenUpException();
                }
            }
        }
    }

    private static String client(HttpServletRequest request) {
        return named(request, CLIENT).orElseGet(() -> request.getRemoteAddr() + ":" + request.getRemotePort());
    }

    private static Optional<String> named(HttpServletRequest request, String header) {
        return Optional.ofNullable(request.getHeader(header))
                .map(name -> name.substring(0, Math.min(LONGEST_NAME, name.length())));
    }

    /** Work that lets small work go first. */
    private final class Patient extends Work {
        private volatile long resumedAt = System.nanoTime() - SLICE_NS;

        @Override
        protected void pause() {
            if (small.unfinished() == 0 || System.nanoTime() - resumedAt < SLICE_NS || isGivenUp()) {
                return;
            }
            try {
                small.awaitIdle(PAUSE_MS);
            } catch (InterruptedException e) {
                giveUp();
                Thread.currentThread().interrupt();
            }
            resumedAt = System.nanoTime();
        }
    }

    /** Jobs that somebody waits for. */
    public int open() {
        return open.size();
    }

    /** Jobs that are not finished yet, whether anybody waits for them or not. */
    public int unfinished() {
        return small.unfinished() + large.unfinished();
    }

    /** Nothing is planned any more when the application is about to stop. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        open.forEach(Job::giveUp);
    }
}
