package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** The tune of a song is written note by note, stands on top of its chords, and is printed. */
class TuneLaneTest extends InDemoBook {

    private static final By STAFF = By.cssSelector("[data-testid=tune-staff]");
    private static final By NOTE = By.cssSelector("[data-testid=tune-note]");
    private static final By TOPS = By.cssSelector("[data-testid=top-note]");

    private List<String> notes() {
        return browser.driver().findElements(NOTE).stream()
                .map(n -> n.getDomAttribute("data-pitch") + " " + n.getDomAttribute("data-from") + " "
                        + n.getDomAttribute("data-beats"))
                .toList();
    }

    private void awaitNotes(IntPredicate many) {
        browser.awaitTrue(() -> many.test(browser.driver().findElements(NOTE).size()));
    }

    private void awaitKept() {
        browser.find(By.cssSelector("[data-testid=tune-kept][data-kept=true]"));
    }

    /** A song of four bars without a tune, its lane open. */
    private void openLane() {
        browser.go(application.address() + "/");
        browser.find(By.cssSelector("textarea")).sendKeys("title: Four locks\nkey: G\n| G | C | D7 | G |\n");
        browser.await(By.cssSelector("[data-testid=understood]"), t -> t.contains("4 bars"));
        browser.press("Put it on the bench");
        browser.await(By.tagName("h1"), "Four locks"::equals);
        browser.find(By.cssSelector("[data-grip]"));
        press("n");
        browser.find(STAFF);
    }

    @Test
    void fourBarsTypedInTheLane_standOnTop_areMovedToAnotherString_andPrinted() throws Exception {
        openLane();
        press("4", "b", "d", "2", "d", "4", "c", "e", "g", "f", "8", "a", "a", ".", "4", "a", ".", "6");
        press("4", "f", "d", "1", "g");
        awaitNotes(n -> n > 9);
        awaitKept();
        List<String> written = notes();
        assertEquals("B4 0 1", written.get(0));
        assertEquals("D5 2 2", written.get(2));
        assertTrue(written.contains("F#5 7 1"), written.toString());
        browser.choose("Tune", "on top, as written");
        browser.await(FACTS, t -> t.contains("tune on top"));
        browser.await(TOPS, t -> t.endsWith("B4"));
        browser.click(By.cssSelector("[data-index='0']"));
        By string = By.cssSelector("[aria-label^='String for B4']");
        new Select(browser.find(string)).selectByVisibleText("keep on 3");
        browser.awaitTrue(() -> new Select(browser.find(string))
                .getFirstSelectedOption()
                .getText()
                .equals("keep on 3"));
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        browser.press("Sheet");
        browser.press("staff and tab");
        browser.find(By.cssSelector("[data-testid=system] svg"));
        assertTrue(String.join("", Printed.pages(browser)).contains("Four locks"));
    }

    @Test
    void whatWasWritten_isChangedByKeys_undone_andStillThereLater() {
        openLane();
        press("g", "a", "b");
        awaitNotes(n -> n == 3);
        awaitKept();
        press("-");
        browser.awaitTrue(() -> notes().get(2).startsWith("Bb4"));
        press(Keys.ARROW_UP);
        browser.awaitTrue(() -> notes().get(2).startsWith("C5"));
        press("_");
        browser.awaitTrue(() -> notes().get(2).equals("C5 2 2"));
        press(Keys.BACK_SPACE);
        awaitNotes(n -> n == 2);
        awaitKept();
        shifted(Keys.CONTROL, "z");
        awaitNotes(n -> n == 3);
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        browser.driver().navigate().refresh();
        browser.find(By.cssSelector("[data-grip]"));
        press("n");
        awaitNotes(n -> n == 3);
    }

    @Test
    void aTouchOnTheNeck_andOnTheStaff_writesNotes_whoseRhythmIsTapped() {
        openLane();
        browser.find(By.cssSelector("[data-tune-string='1'][data-tune-fret='3']"))
                .click();
        browser.find(By.cssSelector("[data-tune-string='2'][data-tune-fret='0']"))
                .click();
        browser.find(By.cssSelector("[data-tune-string='1'][data-tune-fret='0']"))
                .click();
        awaitNotes(n -> n == 3);
        assertEquals(List.of("G4 0 1", "B3 1 1", "E4 2 1"), notes());
        press(Keys.HOME);
        WebElement staff = browser.find(STAFF);
        browser.driver().executeScript("arguments[0].focus()", staff);
        press(Keys.HOME);
        browser.press("Tap its rhythm from here");
        browser.driver().executeScript("arguments[0].focus()", browser.find(STAFF));
        press(" ");
        browser.driver().executeAsyncScript("setTimeout(arguments[0], 1300)");
        press(" ");
        browser.driver().executeAsyncScript("setTimeout(arguments[0], 500)");
        press(" ", Keys.ENTER);
        browser.awaitTrue(() -> notes().size() == 3 && !notes().get(0).endsWith(" 1"));
        awaitKept();
    }

    @Test
    void theTunesLastBars_areAnIntro_andCanBeUndone() {
        openLane();
        press("2", "b", "d", "e", "g", "f", "a", "g", "b");
        awaitNotes(n -> n == 8);
        awaitKept();
        browser.press("Intro of its last bars");
        browser.awaitTrue(() -> browser.shapesOnTheRoad().size() == 8);
        awaitNotes(n -> n == 16);
        browser.find(By.xpath("//button[.='Intro']"));
        browser.labelled("Undo").click();
        browser.awaitTrue(() -> browser.shapesOnTheRoad().size() == 4);
    }
}
