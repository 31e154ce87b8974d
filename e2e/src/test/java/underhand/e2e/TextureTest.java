package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** The kind of part: chosen for the song, a section, a chord; its voices; what is wished besides. */
class TextureTest extends InDemoBook {

    private static final By DIAL = By.cssSelector("[data-testid=texture]");
    private static final By KEPT = By.cssSelector("[data-saved=true]:not([data-arranged-at='0'])");

    @Test
    void texture_chosenForASection_showsItsVoicesAndStaysOverAReload() {
        openSong("Reflections at Seven");
        press("4");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("whole neck"));
        browser.await(DIAL, t -> t.equals("comping"));
        browser.awaitTrue(() -> browser.shapesOnTheRoad().stream().noneMatch(s -> s.contains("0") && !s.contains("-")));
        press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        browser.find(By.cssSelector("[aria-label='Where each voice goes']"));
        press("t");
        browser.find(By.xpath("//*[@aria-label='Where it holds']//button[2]")).click();
        browser.click(By.cssSelector("[data-texture=led] button"));
        browser.find(By.cssSelector("[data-texture=led] button[aria-pressed=true]"));
        browser.button("Done").click();
        browser.await(DIAL, t -> t.equals("led voices"));
        browser.await(By.tagName("aside"), t -> t.contains("drop 2") || t.contains("drop 3"));
        browser.await(
                By.cssSelector("[aria-label='Where each voice goes']"), t -> t.contains("step") || t.contains("keeps"));
        browser.find(KEPT);
        List<String> shapes = browser.shapesOnTheRoad();
        browser.driver().navigate().refresh();
        browser.find(By.cssSelector("[data-grip]"));
        browser.awaitTrue(() -> shapes.equals(browser.shapesOnTheRoad()));
    }

    /** Drawn at true pitch, by a key; what keeps its note, and half steps, are told by more than colour. */
    @Test
    void voices_areDrawnOverTheRoad_byAKey() {
        openSong("Reflections at Seven");
        press("4");
        browser.await(DIAL, t -> t.equals("comping"));
        press("v");
        browser.find(By.cssSelector("[data-testid=voices] [data-voice=keeps]"));
        browser.find(By.xpath("//*[@data-testid='voices']//*[@data-voice='half']//*[text()='½']"));
        browser.driver().navigate().refresh();
        browser.find(By.cssSelector("[data-testid=voices]"));
        browser.button("Voices").click();
        browser.awaitTrue(() -> browser.driver()
                .findElements(By.cssSelector("[data-testid=voices]"))
                .isEmpty());
    }

    /** A texture of one's own is made, taken, and there after a restart. */
    @Test
    void aTextureOfOnesOwn_isMadeTaken_andSurvivesARestart(@TempDir Path directory) throws Exception {
        Application shared = application;
        application = Application.startBriefly(directory, true);
        try {
            makeQuartet();
            application.close();
            application = application.startAgain();
            openSong("Reflections at Seven");
            browser.await(DIAL, t -> t.equals("Lock quartet"));
        } finally {
            application.close();
            application = shared;
        }
    }

    private void makeQuartet() {
        openSong("Reflections at Seven");
        press("4");
        browser.await(DIAL, t -> t.equals("comping"));
        press("t");
        browser.press("Make one of my own");
        browser.field("Its name").sendKeys("Lock quartet");
        browser.click(By.xpath("//*[@aria-label='Families']//button[.='drop 2']"));
        browser.click(By.xpath("//*[@aria-label='Where a chord has none of them']//button[.='form']"));
        browser.click(By.xpath("//*[starts-with(@aria-label, 'Strings, all')]//button[.='5432']"));
        browser.choose("Open strings", "none");
        browser.press("Keep it");
        browser.find(By.xpath("//button[@aria-pressed='true'][.='Lock quartet']"));
        browser.press("Done");
        browser.await(DIAL, t -> t.equals("Lock quartet"));
        browser.awaitTrue(() ->
                browser.shapesOnTheRoad().stream().allMatch(shape -> shape.startsWith("x") && shape.endsWith("x")));
        // A book that was just opened compares the capos for long; what was decided is stored before.
        browser.find(By.cssSelector("[data-saved=true]"));
    }

    @Test
    void wishes_stringsAndFallingTop_bind() {
        openSong("Slow Water");
        press("5");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("arranger"));
        press("t");
        browser.choose("Strings", "4321");
        browser.choose("Highest voice", "falls");
        browser.click(By.cssSelector("[data-texture=led] button"));
        browser.find(By.cssSelector("[data-texture=led] button[aria-pressed=true]"));
        browser.button("Done").click();
        browser.await(DIAL, t -> t.equals("led voices"));
        browser.awaitTrue(() -> browser.shapesOnTheRoad().stream().allMatch(s -> s.matches("x-?x.*")));
        press("t");
        browser.button("Let the chart decide").click();
        browser.button("Done").click();
        browser.await(DIAL, t -> !t.equals("led voices"));
        browser.labelled("Undo").click();
        browser.await(DIAL, t -> t.equals("led voices"));
    }

    /** Root and fifth under one finger, and the third of a full chord where the hand reaches it (common practice). */
    @Test
    void aRiffInDropD_isOneShapeThatSlides() {
        openSong("Bilge Pump");
        press("t");
        browser.await(By.cssSelector("[data-texture=dropped]"), t -> t.contains("one finger has root and fifth"));
        browser.click(By.cssSelector("[data-texture=ringing] button"));
        browser.find(By.cssSelector("[data-texture=ringing] button[aria-pressed=true]"));
        browser.click(By.cssSelector("[data-texture=dropped] button"));
        browser.find(By.cssSelector("[data-texture=dropped] button[aria-pressed=true]"));
        browser.button("Done").click();
        browser.await(DIAL, t -> t.equals("dropped strings"));
        List<String> riff = List.of("000xxx", "333xxx", "555xxx", "333xxx", "000xxx");
        browser.awaitTrue(() -> browser.shapesOnTheRoad().subList(0, 5).equals(riff));
        assertTrue(browser.shapesOnTheRoad().stream()
                .allMatch(shape -> shape.replace("-", "").endsWith("xxx")));
        browser.labelled("Undo").click();
        browser.await(DIAL, t -> t.equals("ringing"));
    }

    @Test
    void choices_sayWhyAndWhatTheyAsk() {
        openSong("Towpath Morning");
        press("t");
        String first = browser.await(
                By.cssSelector("[aria-label=Textures] li"), t -> t.contains("effort") && t.contains("holds up to"));
        assertTrue(first.startsWith("ringing"), first);
        assertTrue(first.contains("chords are plain"), first);
        assertEquals(
                8,
                browser.driver()
                        .findElements(By.cssSelector("[aria-label=Textures] li"))
                        .size());
        browser.button("Done").click();
    }
}
