package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** With the guitar in hand and no chart: shapes are put together, named, left by a finger, and put on a song. */
class ShapesTest extends InDemoBook {

    private static final By NECK = By.cssSelector("[data-testid=desk-neck]");
    private static final By NAME = By.cssSelector("[data-testid=desk-name]");
    private static final By NEAR = By.cssSelector("[data-testid=near] button");

    private void openDesk(String query) {
        browser.go(application.address() + "/shapes" + query);
        browser.find(NECK);
    }

    private void awaitName(String name) {
        browser.await(NAME, text -> text.split("\n")[0].equals(name));
    }

    private WebElement place(int string, int fret) {
        return browser.find(By.cssSelector("[data-string='" + string + "'][data-fret='" + fret + "']"));
    }

    @Test
    void aShapeIsPutTogetherByKeys_andNamed() {
        openDesk("");
        awaitName("Em11");
        browser.driver().executeScript("arguments[0].focus()", browser.find(NECK));
        for (int i = 0; i < 6; i++) {
            press(Keys.ARROW_DOWN);
        }
        press("x");
        press(Keys.ARROW_UP, "3");
        press(Keys.ARROW_UP, "2");
        press(Keys.ARROW_UP, "o");
        press(Keys.ARROW_UP, "1");
        press(Keys.ARROW_UP, "o");
        awaitName("C");
        browser.awaitTrue(() -> browser.driver().getCurrentUrl().contains("frets=x32010"));
        browser.await(By.cssSelector("[data-testid=over-bass]"), t -> t.contains("Am7"));
    }

    @Test
    void aTouchPutsAFingerDown_andThreeWalksGoAFingerFurther() {
        openDesk("?frets=x02210");
        awaitName("Am");
        place(3, 1).click();
        browser.awaitTrue(() -> browser.driver().getCurrentUrl().contains("frets=x02110"));
        place(3, 2).click();
        awaitName("Am");
        for (int i = 0; i < 3; i++) {
            String before = browser.driver().getCurrentUrl();
            browser.click(NEAR);
            browser.awaitTrue(() -> !browser.driver().getCurrentUrl().equals(before));
            browser.find(NAME);
        }
    }

    @Test
    void aShapeComesFromTheBench_andGoesBackOnTheChord() {
        openSong("Towpath Morning");
        browser.click(By.cssSelector("[data-index='0']"));
        browser.find(By.linkText("On the shape desk")).click();
        browser.find(NECK);
        browser.button("Back to the song");
        WebElement field = browser.find(By.cssSelector("main form input"));
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), "320033", Keys.ENTER);
        browser.awaitTrue(() -> browser.driver().getCurrentUrl().contains("frets=320033"));
        browser.find(By.xpath("//button[starts-with(normalize-space(), 'Put it on')]"))
                .click();
        browser.awaitTrue(() -> browser.driver().getCurrentUrl().matches(".*/songs/\\d+$"));
        browser.await(By.cssSelector("[data-grip]"), t -> true);
        browser.awaitTrue(() -> browser.shapesOnTheRoad().get(0).equals("320033"));
    }

    @Test
    void aChordIsFoundAllOverTheNeck_andTwoShapesAreCompared() {
        openDesk("?frets=x32010");
        awaitName("C");
        browser.button("Put aside").click();
        browser.button("C all over the neck").click();
        browser.await(By.cssSelector("[data-testid=kinds]"), t -> t.contains("triad, strings 321"));
        browser.find(By.xpath("//*[@data-testid='kinds']//button[contains(., 'x35553')]"))
                .click();
        browser.awaitTrue(() -> browser.driver().getCurrentUrl().contains("frets=x35553"));
        browser.await(
                By.cssSelector("[aria-label='Two shapes']"),
                t -> t.contains("x32010") && t.contains("x35553") && t.contains("1 string the same"));
        browser.button("Swap them").click();
        browser.awaitTrue(() -> browser.driver().getCurrentUrl().contains("frets=x32010"));
        browser.button("Stop comparing").click();
        browser.awaitTrue(() -> browser.driver()
                .findElements(By.cssSelector("[aria-label='Two shapes']"))
                .isEmpty());
    }

    @Test
    void anotherTuning_andNineStringsAtMost_haveTheirNeck() {
        openDesk("?frets=000000&tuning=D2+G2+D3+G3+B3+D4");
        awaitName("G/D");
        openDesk("?frets=0232&tuning=G4+C4+E4+A4");
        assertEquals(
                4,
                browser.driver().findElements(By.cssSelector("[data-fret='1']")).size());
    }

    @Test
    void nothingTypedBreaksIt() {
        for (String query : List.of("?frets=zz", "?tuning=banana", "?capo=99&frets=x32010", "?frets=99-x-x-x-x-x")) {
            openDesk(query);
            assertTrue(browser.driver()
                            .findElements(By.xpath("//h1[.='Shape desk']"))
                            .size()
                    == 1);
        }
    }
}
