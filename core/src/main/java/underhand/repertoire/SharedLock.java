package underhand.repertoire;

import java.util.concurrent.ForkJoinPool;
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

    private void acquire() {
        try {
            ForkJoinPool.managedBlock(new Acquiring());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while another arrangement was worked out", e);
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
