package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** A messy chart is pasted, mended by clicks, played from, and never lost on the way. */
class PasteTest extends InDemoBook {

    private static final By UNDERSTOOD = By.cssSelector("[data-testid=understood]");
    private static final By FIELD = By.cssSelector("textarea");

    private static final String MESSY = """
            Down the Weir
            Key: Em  Capo: 2

            Verse 1
            Em         H7
            Lantern on the water
            G     Gmaf7  D
            Slow  and    deep

            [Verse 2]
            Heron by the water
            Still and grey
            """;

    private void paste(String text) {
        browser.go(application.address() + "/");
        browser.find(FIELD).sendKeys(text);
    }

    @Test
    void messyChart_isCounted_mendedByClicks_andStandsOnTheSheet() {
        paste(MESSY);
        browser.await(UNDERSTOOD, t -> t.contains("Understood: 2 parts, 5 bars, 4 chords, key E minor. 2 places"));
        browser.press("Write Gmaj7");
        browser.await(UNDERSTOOD, t -> t.contains("1 place to look at"));
        browser.press("Take the chords of Verse 1");
        browser.await(UNDERSTOOD, t -> t.contains("10 bars") && !t.contains("to look at"));
        browser.press("Put it on the bench");
        browser.await(By.tagName("h1"), "Down the Weir"::equals);
        browser.await(FACTS, t -> t.contains("capo 2"));
        assertEquals(10, browser.shapesOnTheRoad().size());
        browser.awaitTrue(() -> browser.driver().getTitle().equals("Down the Weir · Bench · Underhand"));
    }

    @Test
    void versesOfWords_standOnTheSheet() {
        paste(MESSY);
        browser.await(UNDERSTOOD, t -> t.contains("2 places"));
        browser.press("Put it on the bench");
        browser.await(By.cssSelector("[role=alert]"), t -> t.contains("Gmaf7"));
        browser.press("Sheet");
        browser.find(By.xpath("//h2[.='Verse 2']"));
        browser.find(By.xpath("//p[.='Still and grey']"));
    }

    @Test
    void draft_isThereAfterReload_inTheFieldAndInTheEditor() {
        paste("G D Em");
        browser.await(UNDERSTOOD, t -> t.contains("3 bars"));
        browser.go(application.address() + "/");
        browser.awaitTrue(() -> "G D Em".equals(browser.find(FIELD).getDomProperty("value")));
        browser.press("Put it on the bench");
        browser.find(By.cssSelector("[data-grip]"));

        browser.press("Edit the chart");
        browser.find(By.cssSelector("[role=dialog] .cm-content")).sendKeys(Keys.END, " C");
        browser.await(UNDERSTOOD, t -> t.contains("4 bars"));
        browser.driver().navigate().refresh();
        browser.find(By.cssSelector("[data-grip]"));
        browser.press("Edit the chart");
        browser.await(By.cssSelector("[data-testid=draft]"), t -> t.contains("typed before"));
        browser.press("Use this text");
        browser.awaitTrue(() -> browser.shapesOnTheRoad().size() == 4);
    }

    @Test
    void twoFiles_areTwoSongs_andAPictureIsRefusedAsOne() throws Exception {
        Path one = Files.writeString(data.resolve("one.txt"), "title: First File\nG D");
        Path other = Files.writeString(data.resolve("other.txt"), "title: Second File\nC F");
        browser.go(application.address() + "/");
        By file = By.cssSelector("input[type=file]");
        browser.find(file).sendKeys(one + "\n" + other);
        browser.await(By.cssSelector("main ul"), t -> t.contains("First File") && t.contains("Second File"));
        Path picture = Files.write(data.resolve("cat.png"), new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10});
        browser.find(file).sendKeys(picture.toString());
        browser.await(By.cssSelector("[role=alert]"), t -> t.contains("cat.png is a picture"));
    }

    @Test
    void addressOfNoSong_isAnsweredWithoutAsking() {
        browser.requested();
        browser.go(application.address() + "/songs/abc");
        browser.await(By.tagName("h1"), t -> t.contains("Nothing is kept at this address"));
        assertTrue(browser.requested().stream().noneMatch(a -> a.contains("/songs/abc") && a.contains("/api/")));
    }

    @Test
    void zipOfASong_droppedOnTheSongbook_bringsItBack() throws Exception {
        browser.go(application.address() + "/songs/1");
        browser.find(By.cssSelector("[data-grip]"));
        browser.choose("Setting", "with a singer");
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        // What is stored, with all capos compared: the page may still show the part before that.
        browser.go(application.address() + "/songs/1");
        browser.find(By.cssSelector("[aria-busy=false]"));
        List<String> shapes = browser.shapesOnTheRoad();
        String facts = browser.find(FACTS).getText();
        browser.press("Sheet");
        browser.press("Files");
        byte[] zip = browser.saved(() -> browser.click(By.xpath("//li[contains(.,'Everything in one ZIP')]")), ".zip");
        Path file = Files.write(data.resolve("song.zip"), zip);
        browser.go(application.address() + "/");
        browser.find(By.cssSelector("input[type=file]")).sendKeys(file.toString());
        browser.await(FACTS, facts::equals);
        browser.find(By.cssSelector("[aria-busy=false]"));
        assertEquals(shapes, browser.shapesOnTheRoad());
    }
}
