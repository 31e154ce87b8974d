package underhand.server.planning;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import underhand.server.planning.Planning.Size;
import underhand.work.GivenUpException;
import underhand.work.Work;

/** Turns, overtaking, and small work beside large. */
class PlanningTest {

    private static final Executor THREADS = task -> new Thread(task).start();

    private final Planning planning = new Planning(new Connections());

    /** Asks on a thread of its own, as a request does. */
    private <T> CompletableFuture<T> ask(String client, String turn, Size size, Supplier<T> work) {
        return CompletableFuture.supplyAsync(
                () -> {
                    MockHttpServletRequest request = new MockHttpServletRequest();
                    request.addHeader("X-Client", client);
                    if (!turn.isEmpty()) {
                        request.addHeader("X-Turn", turn);
                    }
                    RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
                    return planning.answer(size, work);
                },
                THREADS);
    }

    private static String forever(CountDownLatch started) {
        started.countDown();
        while (true) {
            Work.check();
            Thread.onSpinWait();
        }
    }

    @Test
    void turnOfADial_overtakesTheOneBefore() throws Exception {
        CountDownLatch started = new CountDownLatch(1);
        CompletableFuture<String> first = ask("tab", "part", Size.LARGE, () -> forever(started));
        assertTrue(started.await(5, TimeUnit.SECONDS));
        assertEquals("new", ask("tab", "part", Size.LARGE, () -> "new").get(2, TimeUnit.SECONDS));
        CompletionException given = assertThrows(
                CompletionException.class,
                () -> first.orTimeout(2, TimeUnit.SECONDS).join());
        assertEquals(GivenUpException.class, given.getCause().getClass());
    }

    @Test
    void otherTurnsAndOtherClients_areNotOvertaken() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        Supplier<String> waiting = () -> {
            try {
                go.await();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            return "done";
        };
        CompletableFuture<String> first = ask("tab", "part", Size.LARGE, waiting);
        CompletableFuture<String> other = ask("other tab", "part", Size.LARGE, waiting);
        assertEquals("ladder", ask("tab", "ladder", Size.SMALL, () -> "ladder").get(5, TimeUnit.SECONDS));
        go.countDown();
        assertEquals("done", first.get(5, TimeUnit.SECONDS));
        assertEquals("done", other.get(5, TimeUnit.SECONDS));
    }

    @Test
    void smallWork_doesNotWaitForLarge() throws Exception {
        CountDownLatch started = new CountDownLatch(2);
        for (int i = 0; i < 6; i++) {
            ask("greedy " + i, "", Size.LARGE, () -> forever(started));
        }
        assertTrue(started.await(5, TimeUnit.SECONDS));
        assertEquals("small", ask("me", "", Size.SMALL, () -> "small").get(2, TimeUnit.SECONDS));
        planning.stop();
    }

    /** One who asks for ten things gets them one by one, and others between. */
    @Test
    void clients_takeTurns() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch started = new CountDownLatch(2);
        Supplier<String> busy = () -> {
            started.countDown();
            try {
                go.await();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            return "";
        };
        ask("a", "", Size.LARGE, busy);
        ask("b", "", Size.LARGE, busy);
        assertTrue(started.await(5, TimeUnit.SECONDS));
        List<String> order = new CopyOnWriteArrayList<>();
        List<CompletableFuture<Boolean>> all = new CopyOnWriteArrayList<>();
        for (int i = 0; i < 10; i++) {
            all.add(ask("greedy", "", Size.LARGE, () -> order.add("greedy")));
        }
        while (planning.unfinished() < 12) {
            Thread.onSpinWait();
        }
        all.add(ask("modest", "", Size.LARGE, () -> order.add("modest")));
        while (planning.unfinished() < 13) {
            Thread.onSpinWait();
        }
        go.countDown();
        CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).get(5, TimeUnit.SECONDS);
        assertTrue(order.indexOf("modest") <= 4, order.toString());
    }

    @Test
    void whatTheWorkThrows_reachesTheAsker() {
        CompletionException thrown = assertThrows(
                CompletionException.class,
                () -> ask("tab", "", Size.SMALL, () -> {
                            throw new IllegalArgumentException("no such chord");
                        })
                        .join());
        assertEquals("no such chord", thrown.getCause().getMessage());
    }
}
