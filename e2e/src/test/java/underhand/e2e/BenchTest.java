package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The demo book as its users work with it: songbook, bench, players, by mouse and by keyboard. */
class BenchTest extends InDemoBook {

    @Test
    void songbook_search_findsByTitleAndKey() {
        browser.go(application.address());
        browser.button("Towpath Morning");
        press("f");
        press("reflections major");
        browser.await(By.cssSelector("main ul"), String::isEmpty);
        browser.find(By.cssSelector("input[type=search]")).sendKeys(Keys.chord(Keys.CONTROL, "a"), "reflections minor");
        browser.await(
                By.cssSelector("main ul"),
                t -> t.startsWith("Reflections at Seven")
                        && t.lines().filter(l -> l.contains(" bars, ")).count() == 1);
    }

    @Test
    void songbook_fileWithTwoFaults_isKeptAndMendedInTheEditor() throws Exception {
        Path file = data.resolve("faulty.txt");
        Files.writeString(file, "title: Two Faults\n[G]One [Bm8]two [D]three [Gmaf7]four\n");
        browser.go(application.address());
        browser.find(By.cssSelector("input[type=file]")).sendKeys(file.toString());
        browser.await(By.tagName("h1"), "Two Faults"::equals);
        // Four bars, two of them empty.
        assertEquals(4, browser.shapesOnTheRoad().size());
        browser.find(By.cssSelector("[role=alert] button")).click();
        browser.find(By.xpath("//button[contains(.,'Line 2, column 9') and contains(.,'Did you mean Bm')]"))
                .click();
        press("Bm7");
        browser.await(By.cssSelector("[data-testid=understood]"), t -> t.contains("1 place to look at"));
        browser.press("Write Gmaj7");
        browser.button("Use this text").click();
        browser.await(By.cssSelector("section[aria-label='Hand road']"), t -> t.contains("maj7") && t.contains("Bm7"));
    }

    @Test
    void chartEdited_keepsWhatIsStillThere_andNamesWhatFell() {
        openSong("Towpath Morning");
        List<String> before = browser.shapesOnTheRoad();
        takeAnotherGripInBarTwo();
        browser.awaitTrue(() -> !before.equals(browser.shapesOnTheRoad()));
        List<String> locked = browser.shapesOnTheRoad();
        edit(Keys.chord(Keys.CONTROL, Keys.END), " and home");
        browser.awaitTrue(() ->
                browser.driver().findElements(By.cssSelector("[role=dialog]")).isEmpty());
        assertEquals(locked, browser.shapesOnTheRoad());
        browser.find(By.xpath("//aside//button[normalize-space()='Unlock (l)']"));
        edit(Keys.chord(Keys.CONTROL, "a"), "| A | D | A |");
        By fallen = By.cssSelector("[data-testid=fallen]");
        browser.await(fallen, t -> t.contains("the grip kept at E/G♯ in bar 2"));
        browser.press("Undo the edit");
        browser.awaitTrue(() -> locked.equals(browser.shapesOnTheRoad()));
        assertTrue(browser.driver().findElements(fallen).isEmpty());
        browser.labelled("Undo").click();
        browser.labelled("Undo").click();
        browser.awaitTrue(() -> before.equals(browser.shapesOnTheRoad()));
    }

    private void takeAnotherGripInBarTwo() {
        browser.labelled("Bar 2,").click();
        browser.find(By.xpath("//aside//h3[contains(.,'Other grips')]/following-sibling::button[1]"))
                .click();
    }

    private void edit(CharSequence where, String text) {
        browser.press("Edit the chart");
        WebElement chart = browser.find(By.cssSelector("[role=dialog] .cm-content"));
        chart.click();
        chart.sendKeys(where);
        chart.sendKeys(text);
        browser.press("Use this text");
    }

    @Test
    void bench_otherPlayer_changesThePart() {
        openSong("Reflections at Seven");
        List<String> before = browser.shapesOnTheRoad();
        browser.choose("Player", "First-year hand");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("first shapes"));
        browser.awaitTrue(() -> !before.equals(browser.shapesOnTheRoad()));
    }

    @Test
    void bench_otherGripTaken_isLockedAndUndone() {
        openSong("Towpath Morning");
        List<String> before = browser.shapesOnTheRoad();
        takeAnotherGripInBarTwo();
        browser.labelled("Bar 2, D/F♯, shape");
        browser.awaitTrue(() -> !before.equals(browser.shapesOnTheRoad()));
        browser.find(By.xpath("//aside//button[normalize-space()='Unlock (l)']"));
        browser.labelled("Undo").click();
        browser.awaitTrue(() -> before.equals(browser.shapesOnTheRoad()));
        browser.find(By.xpath("//aside//button[normalize-space()='Lock (l)']"));
    }

    @Test
    void bench_keyboardAlone_walksChangesAndDecides() {
        openSong("The Long Pound");
        press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        browser.find(By.xpath("//button[@aria-pressed='true' and starts-with(@aria-label,'Bar 3,')]"));
        press("l");
        browser.find(By.xpath("//button[starts-with(@aria-label,'Bar 3,') and contains(@aria-label,'locked')]"));
        press("l");
        press("?");
        browser.find(By.xpath("//*[@role='dialog']//h2[normalize-space()='Keys']"));
        browser.button("Close").click();
        browser.awaitTrue(() ->
                browser.driver().findElements(By.cssSelector("[role=dialog]")).isEmpty());
        press("1");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("first shapes"));
        browser.find(By.cssSelector("[data-compared=true]:not([data-arranged-at='0'])"));
        String facts = browser.find(FACTS).getText();
        shifted(Keys.SHIFT, "3");
        browser.await(FACTS, t -> t.contains("capo 3"));
        shifted(Keys.CONTROL, "z");
        browser.await(FACTS, facts::equals);
    }

    @Test
    void bench_songChangedElsewhere_refusesTheStaleWriteAndShowsBothVersions() {
        openSong("Heron, Standing");
        String id = browser.driver().getCurrentUrl().replaceAll(".*/", "");
        browser.driver()
                .executeAsyncScript(
                        "const done = arguments[1], url = '/api/v1/songs/' + arguments[0];"
                                + "fetch(url).then(r => r.json()).then(s => fetch(url, {method: 'PUT',"
                                + " headers: {'Content-Type': 'application/json'}, body: JSON.stringify({version: s.version,"
                                + " source: s.source, decisions: {...s.decisions, capo: 7}})})).then(() => done());",
                        id);
        browser.labelled("Capo 2").click();
        browser.find(By.xpath("//*[@role='dialog']//p[normalize-space()='Capo 7']"));
        browser.find(By.xpath("//*[@role='dialog']//p[normalize-space()='Capo 2']"));
        browser.button("Take the one in the book").click();
        browser.await(FACTS, t -> t.contains("capo 7"));
        browser.labelled("Capo 3").click();
        browser.await(FACTS, t -> t.contains("capo 3"));
        assertTrue(
                browser.driver().findElements(By.cssSelector("[role=dialog]")).isEmpty());
    }

    @Test
    void players_newPlayer_canBeChosenOnTheBench() {
        browser.go(application.address() + "/players");
        browser.find(By.cssSelector("input[value='First-year hand']"));
        browser.find(By.xpath("//label[normalize-space()='New player']/following::input[1]"))
                .sendKeys("Left bank");
        browser.button("Add the player").click();
        browser.find(By.cssSelector("input[value='Left bank']"));
        openSong("Towpath Morning");
        browser.choose("Player", "Left bank");
    }

    /** axe-core's rules of WCAG 2.2 A and AA on every main view, in both themes; on a phone, where the colours are the same, in one. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                "/songs/1",
                "/songs/1/versions",
                "/songs/1/rungs",
                "/players",
                "/songs/1/sheet",
                "/shapes?frets=x32010",
                "/map?chords=G+Cm+D7&key=G&fret=3",
                "/drills",
                "/book"
            })
    void everyView_bothThemes_andOnAPhone_hasNoSeriousAccessibilityFault(String view) {
        hasNoFault(view, "light", "dark");
        browser.becomePhone();
        try {
            hasNoFault(view, "light");
        } finally {
            browser.becomeDesktop();
        }
    }

    private void hasNoFault(String view, String... themes) {
        browser.go(application.address() + view);
        browser.find(By.tagName("h1"));
        if (view.equals("/songs/1")) {
            browser.find(By.cssSelector("[data-grip]"));
        }
        for (String theme : themes) {
            browser.driver().executeScript("document.documentElement.setAttribute('data-theme', arguments[0])", theme);
            List<Rule> faults = new AxeBuilder()
                            .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                            .analyze(browser.driver())
                            .getViolations()
                            .stream()
                            .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                            .toList();
            assertEquals(
                    List.of(),
                    faults.stream()
                            .map(rule ->
                                    rule.getId() + " " + rule.getNodes().get(0).getHtml())
                            .toList(),
                    view + " in the " + theme + " theme");
        }
    }
}
