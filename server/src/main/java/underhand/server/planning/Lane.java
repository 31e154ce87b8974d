package underhand.server.planning;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Workers that take jobs of their clients in turn: who asks for much waits longer, not the others. What a job does side by side
 * is done in a pool of the lane's own: in the pool all share, a part of a small job can wait behind a large one.
 */
final class Lane {

    private final Map<String, Deque<Job<?>>> waiting = new LinkedHashMap<>();
    private final AtomicInteger unfinished = new AtomicInteger();
    private final ForkJoinPool pool;

    /** @param workers jobs that are worked on at once */
    Lane(String name, int workers) {
        pool = new ForkJoinPool(Math.max(workers, Runtime.getRuntime().availableProcessors()));
        for (int worker = 1; worker <= workers; worker++) {
            Thread thread = new Thread(this::work, name + "-" + worker);
            thread.setDaemon(true);
            thread.start();
        }
    }

    void add(Job<?> job) {
        unfinished.incrementAndGet();
        synchronized (waiting) {
            waiting.computeIfAbsent(job.client(), c -> new ArrayDeque<>()).add(job);
            waiting.notify();
        }
    }

    /** Jobs that wait or are worked on. */
    int unfinished() {
        return unfinished.get();
    }

    private void work() {
        while (true) {
            try {
                pool.submit(next()::run).join();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            } finally {
                unfinished.decrementAndGet();
                synchronized (unfinished) {
                    unfinished.notifyAll();
                }
            }
        }
    }

    /** The oldest job of the client whose turn it is; the client goes to the end of the row. */
    private Job<?> next() throws InterruptedException {
        synchronized (waiting) {
            while (waiting.isEmpty()) {
                waiting.wait();
            }
            String client = waiting.keySet().iterator().next();
            Deque<Job<?>> jobs = waiting.remove(client);
            Job<?> job = jobs.poll();
            if (!jobs.isEmpty()) {
                waiting.put(client, jobs);
            }
            return job;
        }
    }

    /** Waits until nothing is left to do, but no longer than so many milliseconds. */
    void awaitIdle(long milliseconds) throws InterruptedException {
        long until = System.nanoTime() + milliseconds * 1_000_000;
        synchronized (unfinished) {
            for (long left = milliseconds; left > 0 && unfinished.get() > 0; ) {
                unfinished.wait(left);
                left = (until - System.nanoTime()) / 1_000_000;
            }
        }
    }
}
