package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Shapes and fingers of the player's own, a right hand that leaves time, a ladder with one capo. */
class OwnShapesTest extends InDemoBook {

    private static final By RIGHT_HAND =
            By.xpath("//main//span[normalize-space()='Right hand']/following-sibling::button");

    private WebElement field(String label) {
        return browser.find(By.xpath("//form[@aria-label='A shape of your own']//label[normalize-space()='" + label
                + "']/following-sibling::*//input"));
    }

    @Test
    void shape_typedOnTheBench_isNamedPricedAndLockedWithItsFingers() {
        openSong("Towpath Morning");
        browser.labelled("Bar 1,").click();
        field("Shape").sendKeys("3-2-0-0-3-3");
        By form = By.xpath("//form[@aria-label='A shape of your own']");
        browser.await(form, t -> t.contains("G") && t.contains("for the whole song"));
        field("Fingers").sendKeys("3---34");
        browser.await(form, t -> t.contains("no finger presses") || t.contains("say with which finger"));
        field("Fingers").sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE);
        field("Fingers").sendKeys("32--44");
        browser.await(form, t -> t.contains("32--44"));
        browser.press("Take it");
        browser.awaitTrue(() -> browser.shapesOnTheRoad().get(0).equals("320033"));
        browser.find(By.xpath("//aside//button[normalize-space()='Unlock (l)']"));
        browser.find(By.xpath("//aside//button[starts-with(@aria-label,'Fingers ')]"));
        browser.driver().navigate().refresh();
        browser.awaitTrue(() -> browser.shapesOnTheRoad().get(0).equals("320033"));
    }

    @Test
    void lateSong_givenBackItsRightHand_isInTime() {
        openSong("Towpath Morning");
        press("1");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("first shapes"));
        browser.click(RIGHT_HAND);
        WebElement own = browser.find(By.xpath("//button[normalize-space()='Chosen with the part']"));
        assertEquals("true", own.getDomAttribute("aria-pressed"));
        browser.find(By.xpath("//button[starts-with(normalize-space(),'Show all')]"))
                .click();
        browser.click(By.cssSelector("li[data-pattern='beat-strum'] button"));
        browser.press("Done");
        By late = By.xpath("//aside//*[contains(text(),'than this tempo gives')]");
        browser.find(late);
        browser.press("A right hand that leaves time");
        browser.awaitTrue(() -> browser.driver().findElements(late).isEmpty());
        browser.await(RIGHT_HAND, t -> !t.contains("a stroke a beat"));
    }

    @Test
    void ladder_climbedRungByRung_keepsTheSongsCapo() {
        openSong("Heron, Standing");
        String first = "";
        for (int rung = 1; rung <= 4; rung++) {
            browser.button("Rungs").click();
            browser.press("Play it on rung " + rung);
            browser.await(By.tagName("h1"), "Heron, Standing"::equals);
            browser.find(By.cssSelector("[data-grip]"));
            int at = rung;
            browser.awaitTrue(() -> browser.driver()
                    .findElement(By.cssSelector("button[aria-label='Rung " + at + "']"))
                    .getDomAttribute("aria-pressed")
                    .equals("true"));
            String facts = browser.await(FACTS, t -> t.contains("capo"));
            if (rung == 1) {
                first = facts.replaceAll("(?s).*(no capo|capo \\d).*", "$1");
            }
            assertTrue(facts.contains(first), "rung " + rung + ": " + facts + ", first " + first);
        }
    }
}
