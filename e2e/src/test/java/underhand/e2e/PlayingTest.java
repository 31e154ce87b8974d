package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;

/** The right hand, fills, playback, the sheet and files, as a player meets them. */
class PlayingTest extends InDemoBook {

    private static final By CLOCK = By.cssSelector("[data-testid=clock]");
    private static final By SOUNDING = By.cssSelector("[data-sounding]");
    private static final By PLAY = By.cssSelector("[aria-label=Play]");
    private static final By DIALOG = By.cssSelector("[role=dialog]");

    private void openPatterns() {
        browser.find(By.xpath("//main//span[normalize-space()='Right hand']/following-sibling::button"))
                .click();
        browser.find(DIALOG);
    }

    @Test
    void pattern_pickedForTheSong_isPlayed() {
        openSong("Towpath Morning");
        press("3");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("barre"));
        openPatterns();
        browser.find(By.xpath("//button[starts-with(normalize-space(),'Show all') and contains(.,'fit')]"))
                .click();
        WebElement first = browser.find(By.cssSelector("li[data-pattern='arpeggio-down'] button"));
        assertTrue(browser.find(By.cssSelector("li[data-pattern='arpeggio-down']"))
                .getText()
                .contains("change"));
        first.click();
        browser.find(By.cssSelector("li[data-pattern='arpeggio-down'] button[aria-pressed=true]"));
        browser.button("Done").click();
        browser.button("arpeggio down");
    }

    @Test
    void loop_ofTwoBars_movesTheClockAndLightsTheirBars() {
        openSong("Slow Water");
        WebElement from = browser.find(By.cssSelector("[data-bar='2']"));
        WebElement to = browser.find(By.cssSelector("[data-bar='3']"));
        new Actions(browser.driver())
                .clickAndHold(from)
                .moveToElement(to)
                .release()
                .perform();
        browser.awaitTrue(() -> browser.driver()
                        .findElements(By.cssSelector("[data-bar][aria-pressed=true]"))
                        .size()
                == 2);
        browser.find(PLAY).click();
        TreeSet<String> clocks = new TreeSet<>();
        TreeSet<String> lit = new TreeSet<>();
        browser.awaitTrue(() -> {
            clocks.add(browser.find(CLOCK).getText());
            browser.driver()
                    .findElements(By.cssSelector("[data-sounding][data-bar]"))
                    .forEach(b -> lit.add(b.getDomAttribute("data-bar")));
            return lit.size() == 2 && clocks.size() > 4;
        });
        assertEquals(new TreeSet<>(List.of("2", "3")), lit);
        browser.find(By.cssSelector("[aria-label=Stop]")).click();
        browser.find(PLAY);
        browser.await(CLOCK, t -> t.contains("–"));
    }

    @Test
    void fill_bassWalk_isAddedAndStandsOnTheSheet() {
        openSong("Towpath Morning");
        press("4");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("whole neck"));
        press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        browser.awaitTrue(() -> {
            browser.driver()
                    .findElements(
                            By.xpath("//button[starts-with(normalize-space(),'Show all') and contains(.,'fills')]"))
                    .forEach(WebElement::click);
            return !browser.driver()
                    .findElements(By.cssSelector("[data-fill^='bass-walk']"))
                    .isEmpty();
        });
        WebElement walk = browser.find(By.cssSelector("[data-fill^='bass-walk']"));
        assertTrue(walk.getText().contains("The bass"), walk.getText());
        walk.findElement(By.tagName("button")).click();
        browser.find(By.cssSelector("[data-fill^='bass-walk'] button[aria-pressed=true]"));
        browser.button("Sheet").click();
        browser.button("staff and tab").click();
        browser.find(By.cssSelector("[data-testid=system] svg"));
    }

    @Test
    void patternEditor_byKeysAlone_keepsAPatternAndPlaysIt() {
        openSong("Bilge Pump");
        openPatterns();
        browser.button("Write a pattern").click();
        browser.find(By.cssSelector("[data-testid=pattern-editor] input")).sendKeys("Pump stroke");
        browser.labelled("Step 1").click();
        press("d", Keys.ARROW_RIGHT, "u", Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, "d");
        browser.labelled("Step 5: D");
        press(">");
        browser.labelled("Step 5: D>");
        browser.button("Keep and play it").click();
        browser.find(By.cssSelector("li[data-pattern=own] button[aria-pressed=true]"));
        browser.button("Done").click();
        browser.button("Pump stroke");
    }

    @Test
    void patternEditor_strokeAgainstTheMotion_saysWhichStep() {
        openSong("Galley Shuffle");
        openPatterns();
        browser.button("Write a pattern").click();
        browser.find(By.cssSelector("[data-testid=pattern-editor] input")).sendKeys("Wrong way");
        browser.labelled("Step 1").click();
        press("u");
        browser.await(
                DIALOG, t -> t.contains("Step 1 of the pattern, \"U\": a strumming hand keeps going down and up"));
        browser.button("Back").click();
        browser.button("Done").click();
    }

    @Test
    void sheet_layoutsAndLargeType_andPrint() {
        openSong("Heron, Standing");
        browser.button("Sheet").click();
        browser.await(By.tagName("h1"), "Heron, Standing"::equals);
        browser.button("staff and tab").click();
        browser.awaitTrue(() -> browser.driver()
                        .findElements(By.cssSelector("[data-testid=system] svg"))
                        .size()
                >= 3);
        int row = rowHeight();
        browser.button("large type").click();
        browser.awaitTrue(() -> rowHeight() > 1.3 * row);
        browser.button("large type").click();
        browser.button("words and grips").click();
        double small = size();
        browser.button("large type").click();
        browser.awaitTrue(() -> size() > 1.3 * small);
        browser.driver().executeScript("window.print = () => document.body.setAttribute('data-printed', 'yes')");
        browser.button("Print").click();
        browser.find(By.cssSelector("[data-printed=yes]"));
        browser.button("Page on").click();
        new Select(browser.find(By.cssSelector("select[aria-label=Paper]"))).selectByVisibleText("Letter");
    }

    @Test
    void sheet_played_marksTheWordsAndTheStaffThatSound() {
        openSong("Towpath Morning");
        browser.button("Sheet").click();
        browser.button("words and grips").click();
        browser.find(PLAY).click();
        TreeSet<String> heard = new TreeSet<>();
        browser.awaitTrue(() -> {
            browser.driver().findElements(SOUNDING).forEach(e -> heard.add(e.getText()));
            return heard.size() >= 2;
        });
        browser.button("staff and tab").click();
        browser.awaitTrue(() -> browser.driver().findElements(SOUNDING).stream()
                .anyMatch(e -> !e.findElements(By.tagName("svg")).isEmpty()));
        browser.find(By.cssSelector("[aria-label=Stop]")).click();
        browser.awaitTrue(() -> browser.driver().findElements(SOUNDING).isEmpty());
    }

    /** What the chart writes as a repeat stands once, on words and on staff and tab, and all of it on demand. */
    @Test
    void sheet_repeats_standAsTheyAreWritten() {
        Object id = browser.driver().executeAsyncScript("""
                const done = arguments[0];
                fetch('/api/v1/songs', { method: 'POST', headers: { 'Content-Type': 'application/json' },
                  body: JSON.stringify({ source: 'title: Round\\nkey: G\\n|: G | C | D | G :| x3\\n' }) })
                  .then(r => r.json()).then(s => done(s.id));
                """);
        browser.go(application.address() + "/songs/" + id + "/sheet");
        browser.button("words and grips").click();
        browser.find(By.cssSelector("[aria-label='repeat ends']"));
        assertEquals(4, barsOnTheSheet());
        browser.button("repeats written out").click();
        browser.awaitTrue(() -> barsOnTheSheet() == 12);
        assertTrue(browser.driver()
                .findElements(By.cssSelector("[aria-label='repeat ends']"))
                .isEmpty());
        browser.button("repeats written out").click();
        browser.button("staff and tab").click();
        browser.awaitTrue(() -> systems().contains("×3"));
        browser.button("every note").click();
        browser.awaitTrue(() -> !systems().contains("×3") && systems().contains("12"));
        browser.button("every note").click();
    }

    private long barsOnTheSheet() {
        return browser.driver().findElements(By.cssSelector("[data-bar]")).stream()
                .map(bar -> bar.getDomAttribute("data-bar"))
                .distinct()
                .count();
    }

    /** All that is written on staff and tab. */
    private List<String> systems() {
        return browser.driver().findElements(By.cssSelector("[data-testid=system] svg text")).stream()
                .map(text -> text.getDomProperty("textContent"))
                .toList();
    }

    private int rowHeight() {
        return browser.find(By.cssSelector("[data-testid=system] svg"))
                .getSize()
                .getHeight();
    }

    private double size() {
        return Double.parseDouble(
                browser.find(By.tagName("h1")).getCssValue("font-size").replace("px", ""));
    }

    private byte[] take(String format, String ending) throws Exception {
        return browser.saved(
                () -> {
                    browser.press("Files");
                    browser.click(By.cssSelector("[data-format='" + format + "']"));
                },
                ending);
    }

    @Test
    void files_downloadedFromTheSheet_areReadBack() throws Exception {
        openSong("Slow Water");
        browser.button("Sheet").click();
        browser.find(By.cssSelector("main svg"));
        assertEquals("%PDF", new String(take("pdf", ".pdf"), 0, 4, StandardCharsets.US_ASCII));
        String xml = new String(take("musicxml", ".musicxml"), StandardCharsets.UTF_8);
        assertTrue(xml.contains("<work-title>Slow Water</work-title>"), xml.substring(0, 300));
        assertTrue(zipped(take("mxl", ".mxl")).contains("META-INF/container.xml"));
        Sequence midi = MidiSystem.getSequence(new ByteArrayInputStream(take("midi", ".mid")));
        assertEquals(2, midi.getTracks().length);
        String tab = new String(take("tab", ".tab.txt"), StandardCharsets.UTF_8);
        assertTrue(tab.contains("[Verse]") && tab.contains("E |"), tab);
        String chart = new String(take("chart", ".chart.txt"), StandardCharsets.UTF_8);
        assertTrue(chart.contains("[Bbmaj7]Slow water"), chart);
        assertTrue(new String(take("road", ".svg"), StandardCharsets.UTF_8).contains("<circle"));
        assertTrue(zipped(take("grips", ".grips.zip")).size() > 3);
        assertTrue(zipped(take("all", ".zip")).size() > 10);

        Path score = Files.write(data.resolve("slow.musicxml"), xml.getBytes(StandardCharsets.UTF_8));
        browser.go(application.address());
        browser.find(By.cssSelector("input[type=file]")).sendKeys(score.toString());
        browser.await(By.tagName("h1"), "Slow Water"::equals);
        browser.await(By.tagName("main"), t -> t.contains("Left out: the notes of the tab staff"));
    }

    private static List<String> zipped(byte[] bytes) throws Exception {
        List<String> names = new ArrayList<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                names.add(entry.getName());
            }
        }
        return names;
    }
}
