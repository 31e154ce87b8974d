package underhand.server.planning;

import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import underhand.work.GivenUpException;
import underhand.work.Work;

/** Work that somebody waits for. */
final class Job<T> {

    private final String client;
    private final Work work;
    private final FutureTask<T> task;

    Job(String client, Work work, Supplier<T> supplier) {
        this.client = client;
        this.work = work;
        this.task = new FutureTask<>(() -> work.doing(() -> {
            Work.check();
            return supplier.get();
        }));
    }

    String client() {
        return client;
    }

    void run() {
        task.run();
    }

    void giveUp() {
        work.giveUp();
    }

    boolean isGivenUp() {
        return work.isGivenUp();
    }

    boolean isDone() {
        return task.isDone();
    }

    /**
     * Waits for the result a little.
     *
     * @throws TimeoutException when it is not there yet
     * @throws RuntimeException what the work threw
     */
    T await(long milliseconds) throws TimeoutException {
        try {
            return task.get(milliseconds, TimeUnit.MILLISECONDS);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            if (e.getCause() instanceof Error cause) {
                throw cause;
            }
            throw new IllegalStateException(e.getCause());
        } catch (CancellationException e) {
            throw new GivenUpException(e);
        } catch (InterruptedException e) {
            giveUp();
            Thread.currentThread().interrupt();
            throw new GivenUpException(e);
        }
    }
}
