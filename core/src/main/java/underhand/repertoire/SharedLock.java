package underhand.repertoire;

import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;

/**
 * A lock under which the pool's workers are put to work. A worker that waits for it is replaced meanwhile: else whoever
 * holds it might wait for work that nobody is left to do.
 */
public final class SharedLock {

    private final ReentrantLock lock = new ReentrantLock();

    /** Does some work while nobody else does any under this lock. */
    public <T> T holding(Supplier<T> work) {
        acquire();
        try {
            return work.get();
        } finally {
            lock.unlock();
        }
    }

    /**
     * The same, unless others hold the lock for too long; they go on undisturbed then.
     *
     * @param patienceMs milliseconds to wait
     * @return what the work gave; empty when it was not done
     */
    public <T> Optional<T> tryHolding(long patienceMs, Supplier<T> work) {
        Trying trying = new Trying(patienceMs);
        blocking(trying);
        if (!trying.held) {
            return Optional.empty();
        }
        try {
            return Optional.of(work.get());
        } finally {
            lock.unlock();
        }
    }

    private void acquire() {
        blocking(new Acquiring());
    }

    private static void blocking(ForkJoinPool.ManagedBlocker blocker) {
        try {
            ForkJoinPool.managedBlock(blocker);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while another arrangement was worked out", e);
        }
    }

    private final class Trying implements ForkJoinPool.ManagedBlocker {
        private final long patienceMs;
        private boolean held;

        Trying(long patienceMs) {
            this.patienceMs = patienceMs;
        }

        @Override
        public boolean block() throws InterruptedException {
            held = held || lock.tryLock(patienceMs, TimeUnit.MILLISECONDS);
            return true;
        }

        @Override
        public boolean isReleasable() {
            held = held || lock.tryLock();
            return held;
        }
    }

    private final class Acquiring implements ForkJoinPool.ManagedBlocker {
        private boolean held;

        @Override
        public boolean block() {
            if (!held) {
                lock.lock();
                held = true;
            }
            return true;
        }

        @Override
        public boolean isReleasable() {
            held = held || lock.tryLock();
            return held;
        }
    }
}
