package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Where chords and scales lie along the neck, of a song and on any tuning. */
class NeckMapTest extends InDemoBook {

    private static final By NECK = By.cssSelector("[data-testid=map-neck]");
    private static final By NAME = By.cssSelector("[data-testid=map-name]");
    private static final By ROOTS = By.cssSelector("[data-testid=map-roots]");

    private void open(String query) {
        browser.go(application.address() + "/map" + query);
        browser.find(NECK);
    }

    @Test
    void aSongsChords_lieAtOnePlace_withTheScalesOverThem() {
        openSong("Towpath Morning");
        browser.find(By.linkText("Its chords on the neck map")).click();
        browser.find(NECK);
        By chords = By.cssSelector("[data-testid=song-chords] svg[role=img]");
        browser.awaitTrue(() -> browser.driver().findElements(chords).size() > 3);
        String atTheNut = browser.find(chords).getDomAttribute("aria-label");
        browser.choose("Frets", "5 to 9");
        browser.awaitTrue(() -> browser.driver().findElements(chords).size() > 2
                && !atTheNut.equals(browser.find(chords).getDomAttribute("aria-label")));
        WebElement scale = browser.find(
                By.xpath("//*[@data-testid='song-chords']//button[contains(., 'major') or contains(., 'dorian')]"));
        String name = scale.getText();
        scale.click();
        browser.await(NAME, name::equals);
        browser.find(By.linkText("Back to the song")).click();
        browser.find(By.cssSelector("[data-grip]"));
    }

    @Test
    void aTypedChord_hasItsFormsItsTriadsAndFingersWhereTheHandStands() {
        browser.go(application.address() + "/");
        browser.find(By.tagName("h1"));
        press("g", "n");
        browser.find(NECK);
        WebElement field = browser.field("Chord");
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), "Am7", Keys.ENTER);
        browser.await(NAME, "Am7"::equals);
        browser.await(ROOTS, t -> t.contains("string 6 at 5"));
        assertEquals(
                5,
                browser.driver()
                        .findElements(By.cssSelector("[data-testid=form]"))
                        .size());
        assertTrue(browser.driver()
                        .findElements(By.cssSelector("[data-testid=triad]"))
                        .size()
                > 8);
        browser.button("E form at 5").click();
        browser.await(By.cssSelector("[data-testid=map-reach]"), t -> t.contains("frets 5 to 8"));
        browser.find(By.cssSelector(".map-finger"));
    }

    @Test
    void aScaleInAnotherTuning_isPrintedOnOnePage() throws Exception {
        open("?root=G&scale=major%20pentatonic");
        WebElement tuning = browser.field("Tuning");
        tuning.sendKeys(Keys.chord(Keys.CONTROL, "a"), "open g", Keys.ENTER);
        browser.await(ROOTS, t -> t.contains("string 5 at 0"));
        browser.await(By.cssSelector("[aria-label='Hand at']"), t -> t.contains("root on string"));
        List<String> pages = Printed.pages(browser);
        assertEquals(1, pages.size());
        assertTrue(pages.get(0).contains("G major pentatonic"), pages.get(0));
        open("?chords=G+C+D7+Em&key=G&chord=G&fret=3");
        browser.find(By.cssSelector("[data-testid=song-chords] svg"));
        assertEquals(1, Printed.pages(browser).size());
    }

    @Test
    void whatIsNoChord_isSaid_andTheMapStays() {
        open("?chord=C");
        browser.field("Chord").sendKeys(Keys.chord(Keys.CONTROL, "a"), "Czz", Keys.ENTER);
        browser.await(By.cssSelector("[role=alert]"), t -> t.contains("Czz"));
        browser.find(NECK);
    }
}
