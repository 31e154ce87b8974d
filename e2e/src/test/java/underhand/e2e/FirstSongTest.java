package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A stranger's first minutes: an empty book, a pasted song, the capo moved, the page loaded again. */
class FirstSongTest {

    private static final By FACTS = By.cssSelector("[data-testid=song-facts]");
    private static final By CHORD = By.cssSelector("[data-testid=chord-name]");

    private static final String CHART = """
            title: Under the Weir
            tempo: 72

            [Eb]Under the [Bb]weir where the [Cm]water is [Ab]white
            [Eb]Somebody's [Bmm]singing to [Bb]get through the [Eb]night
            """;

    @Test
    void pastedSong_getsACapoAndGrips_andKeepsWhatIsDecided(@TempDir Path data) throws Exception {
        try (Application application = Application.startBriefly(data, false);
                Browser browser = Browser.open()) {
            browser.go(application.address());
            browser.find(By.xpath("//*[contains(text(),'The book is empty')]"));

            browser.find(By.tagName("textarea")).sendKeys(CHART);
            browser.button("Put it on the bench").click();

            String words = browser.await(By.cssSelector("[data-testid=capo-words]"), t -> t.contains("no barres"));
            assertTrue(words.startsWith("best at "), words);
            browser.await(By.tagName("h1"), "Under the Weir"::equals);
            browser.find(By.xpath("//*[contains(text(),\"'Bmm' is no chord name here. Did you mean Bm?\")]"));
            List<String> least = browser.shapesOnTheRoad();
            assertEquals(8, least.size(), least.toString());

            browser.labelled("Capo 0").click();
            browser.await(FACTS, t -> t.contains("no capo"));
            browser.await(CHORD, "E♭"::equals);
            List<String> without = browser.shapesOnTheRoad();
            assertNotEquals(least, without);

            browser.labelled("Capo 1").click();
            browser.await(FACTS, t -> t.contains("shapes in D major, capo 1"));
            browser.await(CHORD, "D"::equals);
            List<String> withOne = browser.shapesOnTheRoad();
            assertEquals("xx0232", withOne.get(0));

            awaitSaved(browser);
            browser.driver().navigate().refresh();
            browser.await(FACTS, t -> t.contains("shapes in D major, capo 1"));
            browser.await(CHORD, "D"::equals);
            assertEquals(withOne, browser.shapesOnTheRoad());

            browser.labelled("Bar 2").click();
            browser.find(By.xpath("//aside//h2[contains(.,'Why: D to A')]"));
            browser.find(By.xpath("//aside//h3[contains(.,'Other grips for A')]"));

            browser.button("Sheet").click();
            browser.find(By.xpath("//p[contains(.,'Capo 1, sounds in')]"));

            List<String> abroad = browser.requested().stream()
                    .filter(url -> !url.startsWith(application.address())
                            && !url.startsWith("blob:" + application.address())
                            && !url.startsWith("data:"))
                    .toList();
            assertEquals(List.of(), abroad, "no request leaves the machine");
            assertEquals(List.of(), browser.complaints());
        }
    }

    /** Until the book has the last decision: asked from the page itself, as a reload would. */
    private static void awaitSaved(Browser browser) {
        new WebDriverWait(browser.driver(), Duration.ofSeconds(10))
                .until(d -> Boolean.TRUE.equals(browser.driver()
                        .executeAsyncScript("const done = arguments[0]; fetch('/api/v1/songs/1').then(r => r.json())"
                                + ".then(s => done(s.decisions.capo === 1));")));
    }

    @Test
    void secondStart_keepsTheBook(@TempDir Path data) throws Exception {
        try (Application first = Application.startBriefly(data, true);
                Browser browser = Browser.open()) {
            browser.go(first.address());
            browser.button("Towpath Morning");
        }
        try (Application second = Application.startBriefly(data, true);
                Browser browser = Browser.open()) {
            browser.go(second.address());
            browser.button("Towpath Morning");
            assertEquals(
                    8, browser.driver().findElements(By.cssSelector("main li")).size());
        }
    }
}
