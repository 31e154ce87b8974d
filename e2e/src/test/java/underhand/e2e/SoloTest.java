package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** A tune is played on top of its chords: typed, seen, moved to another string, and on the sheet. */
class SoloTest extends InDemoBook {

    private static final By TOPS = By.cssSelector("[data-testid=top-note]");
    private static final By NOTES = By.cssSelector("[aria-label='Notes of the tune'] li");

    private void onTop() {
        browser.choose("Tune", "on top, as written");
        browser.await(FACTS, t -> t.contains("tune on top"));
    }

    @Test
    void aTuneTypedInAChart_standsOnTopOfItsChords() {
        browser.go(application.address() + "/");
        browser.find(By.cssSelector("textarea"))
                .sendKeys("title: Four bars\nkey: C\n| C | F | G7 | C |\n"
                        + "tune: E4 G4 C5 . | A4 . F4 A4 | B4 G4 F4 D4 | C4 . - - |\n");
        browser.await(By.cssSelector("[data-testid=understood]"), t -> t.contains("4 bars"));
        browser.press("Put it on the bench");
        browser.await(By.tagName("h1"), "Four bars"::equals);
        onTop();
        browser.await(TOPS, t -> t.endsWith("E4"));
        List<String> tops = browser.driver().findElements(TOPS).stream()
                .map(WebElement::getText)
                .map(t -> t.replaceAll("[^A-G0-9]", ""))
                .toList();
        assertEquals(List.of("E4", "A4", "B4", "C4"), tops);
    }

    /** The tune keeps to the two highest strings, and what sounds under it is open. */
    @Test
    void aTuneGoesOverOpenStrings() {
        openSong("Heron, Standing");
        browser.choose("Tune", "over open strings");
        browser.await(FACTS, t -> t.contains("tune on top"));
        browser.awaitTrue(() -> browser.shapesOnTheRoad().stream()
                .allMatch(shape -> shape.replace("-", "").substring(0, 4).matches("[x0]{4}")));
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        browser.driver().navigate().refresh();
        browser.await(FACTS, t -> t.contains("tune on top"));
        assertEquals(
                "over open strings",
                new Select(browser.find(By.xpath("//label[.='Tune']/following::select[1]")))
                        .getFirstSelectedOption()
                        .getText());
    }

    @Test
    void aNoteIsMovedToAnotherString_andStaysThere() {
        openSong("Heron, Standing");
        press("4");
        onTop();
        browser.click(By.cssSelector("[data-index='0']"));
        browser.await(NOTES, t -> t.contains("the third of C"));
        Select string = new Select(browser.find(By.cssSelector("[aria-label='String for G4 on beat 2']")));
        string.selectByVisibleText("keep on 2");
        browser.await(
                By.xpath("//li[.//select[@aria-label='String for G4 on beat 2']]"),
                t -> t.contains("keep on 2") && t.contains("the fifth of C"));
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        browser.driver().navigate().refresh();
        browser.click(By.cssSelector("[data-index='0']"));
        browser.await(NOTES, t -> t.contains("the third of C"));
        assertEquals(
                "2",
                new Select(browser.find(By.cssSelector("[aria-label='String for G4 on beat 2']")))
                        .getFirstSelectedOption()
                        .getDomProperty("value"));
        browser.choose("Tune", "somebody else");
        browser.await(FACTS, t -> !t.contains("tune on top"));
    }

    @Test
    void theSheetHasTheTuneAsAVoiceOfItsOwn() {
        openSong("Heron, Standing");
        press("4");
        onTop();
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        browser.press("Sheet");
        browser.press("staff and tab");
        browser.awaitTrue(() -> Engraved.count(browser, Engraved.HEADS) > 40);
    }

    /** One guitar has the chords, the other the tune. */
    @Test
    void theSecondGuitarTakesTheTune() {
        openSong("Heron, Standing");
        browser.choose("Second guitar", "adult hand");
        browser.find(By.cssSelector("[data-testid=two-guitars]"));
        browser.choose("Tune", "the second guitar");
        browser.await(FACTS, t -> !t.contains("tune on top"));
        browser.button("Second guitar").click();
        browser.await(TOPS, t -> !t.isBlank());
        browser.button("First guitar").click();
        browser.awaitTrue(() -> browser.driver().findElements(TOPS).isEmpty());
        browser.choose("Tune", "on top, as written");
        browser.await(FACTS, t -> t.contains("tune on top"));
    }
}
