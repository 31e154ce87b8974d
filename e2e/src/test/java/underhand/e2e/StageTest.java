package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** On a stage, by keys alone; on a phone, by touch; and what was removed by mistake. */
class StageTest extends InDemoBook {

    private static final By STAGE = By.cssSelector("[data-testid=stage]");
    private static final By STATE = By.cssSelector("[data-testid=stage] [role=status]");

    @AfterEach
    void wideAgain() {
        browser.resize(1280, 800);
    }

    private void keys(CharSequence... keys) {
        new Actions(browser.driver()).sendKeys(keys).perform();
    }

    private Number scrolled() {
        return (Number) browser.driver()
                .executeScript("return document.querySelector('[data-testid=stage] [data-scroller]').scrollTop");
    }

    @Test
    void sheet_onStage_turnsLoopsAndLeavesByKeys() {
        browser.go(application.address() + "/songs/1/sheet");
        browser.find(By.cssSelector("[data-bar]"));
        keys("s");
        browser.await(STATE, t -> t.contains("page 1 of") && t.contains("no loop"));
        assertTrue(browser.driver()
                .findElements(By.cssSelector("[data-testid=stage] select"))
                .isEmpty());
        keys(Keys.ARROW_RIGHT);
        browser.awaitTrue(() -> scrolled().doubleValue() > 100);
        keys(Keys.ARROW_LEFT);
        browser.awaitTrue(() -> scrolled().doubleValue() == 0);
        keys(Keys.SPACE);
        browser.awaitTrue(() -> scrolled().doubleValue() > 100);
        keys("o");
        browser.await(STATE, t -> t.matches("(?s).*playing.*loop: bars \\d+ to \\d+.*"));
        keys("o");
        browser.await(STATE, t -> t.contains("no loop"));
        keys("p");
        browser.await(STATE, t -> t.contains("still"));
        keys(Keys.ESCAPE);
        browser.awaitTrue(() -> browser.driver().findElements(STAGE).isEmpty());
        browser.button("Print");
    }

    @Test
    void bench_onAPhone_keepsPlayInSight_andBringsWhyFromBelow() {
        browser.resize(500, 844);
        browser.go(application.address() + "/songs/1");
        browser.find(By.cssSelector("[data-grip]"));
        assertTrue((Boolean) browser.driver().executeScript("""
                const play = document.querySelector('[aria-label=Play]').getBoundingClientRect();
                return play.bottom <= innerHeight && play.top > 0;
                """));
        assertFalse(browser.labelled("Rung 2").isDisplayed());
        browser.click(By.cssSelector("[aria-expanded=false][aria-controls]"));
        browser.awaitTrue(() -> browser.labelled("Rung 2").isDisplayed());
        browser.click(By.cssSelector("[aria-expanded=true][aria-controls]"));
        browser.click(By.xpath("//button[starts-with(normalize-space(),'Why:')]"));
        browser.await(By.cssSelector("aside[aria-label=Why]"), t -> t.contains("The whole song"));
        browser.press("Close");
    }

    @Test
    void chords_areReachedByTabAndArrows_andSaid() {
        browser.go(application.address() + "/songs/1");
        browser.find(By.cssSelector("[data-grip]"));
        browser.driver().executeScript("document.querySelector('[data-index=\"0\"]').focus()");
        keys(Keys.ARROW_RIGHT);
        keys(Keys.ARROW_RIGHT);
        By said = By.cssSelector("[aria-label=Chords] [role=status]");
        browser.awaitTrue(() -> browser.find(said).getDomProperty("textContent").contains("Bar 2"));
        assertEquals("1", browser.driver().switchTo().activeElement().getDomAttribute("data-index"));
        assertEquals(
                1,
                browser.driver()
                        .findElements(By.cssSelector("[aria-label=Chords] button[tabindex='0']"))
                        .size());
    }

    @Test
    void removedPlayer_isSaidInTheSong_andPutBack() {
        browser.go(application.address() + "/songs/1");
        browser.find(By.cssSelector("[data-grip]"));
        browser.choose("Player", "Steady strummer");
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        browser.go(application.address() + "/players");
        browser.click(By.xpath("//form[.//input[@value='Steady strummer']]//button[normalize-space()='Remove']"));
        browser.await(By.cssSelector(".MuiSnackbar-root"), t -> t.contains("Steady strummer was removed"));
        browser.go(application.address() + "/songs/1");
        browser.await(By.cssSelector("[data-testid=player-gone]"), t -> t.contains("was removed from the book"));
        browser.press("Put back");
        browser.awaitTrue(() -> browser.driver()
                .findElements(By.cssSelector("[data-testid=player-gone]"))
                .isEmpty());
    }
}
