package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;

/** How soon the bench of a song of 200 bars follows a dial, measured in the browser; docs/performance.md has figures. */
class RepaintTest {

    /** Slower than this is broken on any machine; the aim, 150 ms, is held against the printed figure. */
    private static final double BROKEN_MS = 500;

    /** Rounds over nine capos after the first, in which each is looked at for the first time. */
    private static final int MEASURED_ROUNDS = 6;

    private static final String CLICK_AND_AWAIT_FRAME = """
            const [capo, done] = arguments;
            const facts = document.querySelector('[data-testid=song-facts]');
            const wanted = capo === 0 ? 'no capo' : 'capo ' + capo + ' ';
            const start = performance.now();
            const painted = () => requestAnimationFrame(() => requestAnimationFrame(() =>
                done(performance.now() - start)));
            const observer = new MutationObserver(() => {
              if (facts.textContent.includes(wanted)) { observer.disconnect(); painted(); }
            });
            observer.observe(facts, {childList: true, characterData: true, subtree: true});
            document.querySelector('[aria-label^="Capo ' + capo + '"]').click();
            """;

    @Test
    void capoOf200Bars_isFollowedAtOnce(@TempDir Path data) throws Exception {
        StringBuilder chart = new StringBuilder("title: Two Hundred Bars\n");
        for (int part = 1; part <= 25; part++) {
            chart.append("[Part ").append(part).append("]\n| G | Em7 | Cadd9 | D | Am7 | D7 | Bm7 | E7 |\n");
        }
        try (Application application = Application.start(data, false);
                Browser browser = Browser.open()) {
            browser.go(application.address());
            browser.find(By.tagName("textarea"));
            browser.driver()
                    .executeAsyncScript(
                            "fetch('/api/v1/songs', {method: 'POST', headers: {'Content-Type': 'application/json'},"
                                    + " body: JSON.stringify({source: arguments[0]})}).then(() => arguments[1]());",
                            chart.toString());
            browser.go(application.address() + "/songs/1");
            browser.find(By.cssSelector("[data-grip]"));
            assertTrue(browser.shapesOnTheRoad().size() < 20, "the road is drawn only where it is seen");
            List<Double> times = new ArrayList<>();
            for (int round = 0; round <= MEASURED_ROUNDS; round++) {
                for (int capo = 9; capo >= 1; capo--) {
                    double ms =
                            ((Number) browser.driver().executeAsyncScript(CLICK_AND_AWAIT_FRAME, capo)).doubleValue();
                    if (round > 0) {
                        times.add(ms);
                    }
                }
            }
            Collections.sort(times);
            double p95 = times.get((int) Math.ceil(0.95 * times.size()) - 1);
            System.out.printf(
                    "repaint of 200 bars: median %.0f ms, 95th percentile %.0f ms%n", times.get(times.size() / 2), p95);
            assertTrue(p95 < BROKEN_MS, "95th percentile " + p95 + " ms");
        }
    }
}
