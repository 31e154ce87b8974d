package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;

/** How soon the bench of a song of 200 bars follows a dial, and the shape desk a touch, measured in the browser; docs/performance.md has figures. */
class RepaintTest {

    /** Slower than this is broken on any machine; the aim, 150 ms, is held against the printed figure. */
    private static final double BROKEN_MS = 600;

    /** Rounds over all dials after the first, which warms the server up. */
    private static final int MEASURED_ROUNDS = Integer.getInteger("repaint.rounds", 1);

    /** Rungs the dials are turned on: the middle one for a look, all kinds of hands to measure. */
    private static final int[] RUNGS =
            Integer.getInteger("repaint.rounds") == null ? new int[] {3} : new int[] {1, 3, 5};

    /** Roots of the first, sixth, fourth, fifth, second and third degree. */
    private static final List<String[]> KEYS = Stream.of(
                    "G E C D A B",
                    "Db Bb Gb Ab Eb F",
                    "Bb G Eb F C D",
                    "E C# A B F# G#",
                    "Ab F Db Eb Bb C",
                    "D B G A E F#")
            .map(roots -> roots.split(" "))
            .toList();

    /** Touches that warm up, and half of those measured. */
    private static final int TOUCHES = 20;

    /** Choosing a player goes to the rung the player is on. */
    private static final int PLAYERS_RUNG = 3;

    /**
     * Turns a dial and waits for the second frame after a new arrangement is on the page; then until the capo ruler is new
     * too. Gives both times in milliseconds.
     */
    private static final String TURN_AND_AWAIT_FRAME = """
            const [dial, value, done] = arguments;
            const facts = document.querySelector('[data-testid=song-facts]');
            const ruler = document.querySelector('[aria-label="Capo ruler"]');
            const before = facts.dataset.arrangedAt;
            const write = (element, event) => {
              Object.getOwnPropertyDescriptor(Object.getPrototypeOf(element), 'value').set.call(element, value);
              element.dispatchEvent(new Event(event, {bubbles: true}));
            };
            const labelled = (words) => {
              const label = [...document.querySelectorAll('label')].find((l) => l.textContent === words);
              return document.getElementById(label.htmlFor);
            };
            // The notes for the ear follow a moment after the road; nobody turns the next dial before.
            const rest = (times) => setTimeout(() => done(times), 1000);
            const start = performance.now();
            const compared = (painted) => ruler.getAttribute('aria-busy') === 'true'
                ? setTimeout(() => compared(painted), 5)
                : rest([painted, performance.now() - start]);
            const observer = new MutationObserver(() => {
              if (facts.dataset.arrangedAt !== '0' && facts.dataset.arrangedAt !== before) {
                observer.disconnect();
                requestAnimationFrame(() => requestAnimationFrame(() => compared(performance.now() - start)));
              }
            });
            observer.observe(facts, {attributes: true});
            if (dial === 'Tempo') {
              write(document.querySelector('input[aria-label=Tempo]'), 'change');
            } else if (dial === 'Capo' || dial === 'Rung') {
              document.querySelector(`button[aria-label^="${dial} ${value}"]`).click();
            } else if (dial.startsWith('Follow')) {
              [...document.querySelectorAll('button')].find((b) => b.textContent === dial).click();
            } else {
              write(labelled(dial), 'change');
            }
            """;

    private record Turn(String dial, String value) {}

    /** Two hundred bars in another key for each round, with hardly a chord whose grips were searched before;
     * mostly plain chords, so that a capo is worth a comparison. */
    private static String song(int round) {
        String[] roots = KEYS.get(round % KEYS.size());
        String bars =
                "| %1$s | %2$sm | %3$sadd9 | %4$s | %5$sm | %4$s7 | %6$sm7 | %2$s7 |%n".formatted((Object[]) roots);
        StringBuilder chart = new StringBuilder("title: Two Hundred Bars\n");
        for (int part = 1; part <= 25; part++) {
            chart.append("[Part ").append(part).append("]\n").append(bars);
        }
        return chart.toString();
    }

    /** Every dial on every rung; whatever was turned before, each turn changes something. */
    private static List<Turn> turns(int round, String player) {
        List<Turn> turns = new ArrayList<>();
        for (int rung : RUNGS) {
            turns.add(new Turn("Player", player));
            turns.add(new Turn("Player", ""));
            if (rung != PLAYERS_RUNG) {
                turns.add(new Turn("Rung", Integer.toString(rung)));
            }
            turns.add(new Turn("Tempo", Integer.toString(60 + 10 * round + rung)));
            turns.add(new Turn("Setting", "singer"));
            turns.add(new Turn("Setting", "bass"));
            turns.add(new Turn("Setting", "alone"));
            turns.add(new Turn("Tempo", Integer.toString(120 + 10 * round + rung)));
            turns.add(new Turn("Capo", "4"));
            turns.add(new Turn("Capo", "2"));
            turns.add(new Turn("Follow the best", ""));
        }
        return turns;
    }

    @Test
    void dialsOf200Bars_areFollowedAtOnce(@TempDir Path data) throws Exception {
        try (Application application = Application.start(data, false);
                Browser browser = Browser.openForMeasuring()) {
            browser.go(application.address());
            browser.find(By.tagName("textarea"));
            String player = post(
                    browser,
                    "/players",
                    "{limits: {name: arguments[0], rung: 3, comfortableMm: 85, widestMm: 110, pairs: [],"
                            + " thumb: false, changeFactor: 1.2, shapes: [], leftHanded: false, houseRules: {}}}",
                    "Small Hands");
            Map<String, List<Double>> painted = new TreeMap<>();
            List<Double> compared = new ArrayList<>();
            for (int round = 0; round <= MEASURED_ROUNDS; round++) {
                String song = post(browser, "/songs", "{source: arguments[0]}", song(round));
                browser.go(application.address() + "/songs/" + song);
                browser.find(By.cssSelector("[data-grip]"));
                browser.await(By.cssSelector("[aria-label='Capo ruler'][aria-busy=false]"), text -> true);
                browser.driver().executeAsyncScript("setTimeout(arguments[0], 2000)");
                assertTrue(browser.shapesOnTheRoad().size() < 20, "the road is drawn only where it is seen");
                for (Turn turn : turns(round, player)) {
                    List<?> ms = (List<?>)
                            browser.driver().executeAsyncScript(TURN_AND_AWAIT_FRAME, turn.dial(), turn.value());
                    if (round > 0) {
                        painted.computeIfAbsent(turn.dial(), d -> new ArrayList<>())
                                .add(((Number) ms.get(0)).doubleValue());
                        compared.add(((Number) ms.get(1)).doubleValue());
                    }
                }
            }
            painted.forEach((dial, times) -> print(dial, times));
            print("all capo positions of 200 bars compared", compared);
            List<Double> all = painted.values().stream().flatMap(List::stream).toList();
            print("all dials of 200 bars", all);
            assertTrue(p95(all) < BROKEN_MS, "95th percentile " + p95(all) + " ms");
        }
    }

    /**
     * Puts a finger down and waits for the second frame after it is on the neck, then for the second after its names are on the page.
     * Gives both times in milliseconds.
     */
    private static final String TOUCH_AND_AWAIT_FRAME = """
            const [string, fret, done] = arguments;
            const names = () => document.querySelector('[data-shape]')?.dataset.shape;
            const before = names();
            const start = performance.now();
            const painted = (then) =>
                requestAnimationFrame(() => requestAnimationFrame(() => then(performance.now() - start)));
            const watch = (node, isThere, then) => {
              const observer = new MutationObserver(() => {
                if (isThere()) {
                  observer.disconnect();
                  painted(then);
                }
              });
              observer.observe(node, {subtree: true, childList: true, attributes: true, characterData: true});
            };
            const times = [];
            const add = (at) => (ms) => {
              times[at] = ms;
              if (times[0] && times[1]) done(times);
            };
            watch(document.querySelector('[data-testid=desk-neck]'), () => true, add(0));
            watch(document.body, () => names() !== undefined && names() !== before, add(1));
            document.querySelector(`[data-string='${string}'][data-fret='${fret}']`).dispatchEvent(
                new MouseEvent('click', {bubbles: true}));
            """;

    /** The aim is 50 ms at the 95th percentile; it is held against the printed figure. */
    @Test
    void aTouchOnTheDesk_isNamedAtOnce(@TempDir Path data) throws Exception {
        try (Application application = Application.start(data, false);
                Browser browser = Browser.openForMeasuring()) {
            browser.go(application.address() + "/shapes?frets=x32010");
            browser.find(By.cssSelector("[data-shape]"));
            List<Double> touched = new ArrayList<>();
            List<Double> named = new ArrayList<>();
            for (int touch = 0; touch < 3 * TOUCHES; touch++) {
                int string = 1 + touch % 5;
                int fret = 1 + (touch * 3 + touch / 5) % 5;
                List<?> ms = (List<?>) browser.driver().executeAsyncScript(TOUCH_AND_AWAIT_FRAME, string, fret);
                if (touch >= TOUCHES) {
                    touched.add(((Number) ms.get(0)).doubleValue());
                    named.add(((Number) ms.get(1)).doubleValue());
                }
                browser.driver().executeAsyncScript("setTimeout(arguments[0], 60)");
            }
            print("a touch on the desk, the finger", touched);
            print("a touch on the desk, its names", named);
            assertTrue(p95(named) < BROKEN_MS, "95th percentile " + p95(named) + " ms");
        }
    }

    /** Sends a body through the page and gives the id of what was made. */
    private static String post(Browser browser, String path, String body, String argument) {
        return String.valueOf(browser.driver()
                .executeAsyncScript(
                        "fetch('/api/v1" + path + "', {method: 'POST', headers: {'Content-Type': 'application/json'},"
                                + " body: JSON.stringify(" + body
                                + ")}).then((r) => r.json()).then((made) => arguments[1](made.id));",
                        argument));
    }

    private static void print(String what, List<Double> times) {
        List<Double> sorted = times.stream().sorted().toList();
        System.out.printf(
                "%s: %d times, median %.0f ms, 95th percentile %.0f ms, longest %.0f ms%n",
                what, sorted.size(), sorted.get(sorted.size() / 2), p95(times), sorted.get(sorted.size() - 1));
    }

    private static double p95(List<Double> times) {
        List<Double> sorted = times.stream().sorted().toList();
        return sorted.get((int) Math.ceil(0.95 * sorted.size()) - 1);
    }
}
