package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** A song is compared in the tunings its player accepts, put into one of them, and back. */
class TuningTest extends InDemoBook {

    private static final By ROWS = By.cssSelector("[aria-label='Tunings, easiest first'] li");

    @Test
    void anotherTuning_isComparedTakenAndUndone() {
        openSong("Towpath Morning");
        browser.find(By.cssSelector("[data-grip]"));
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        String before = browser.shapesOnTheRoad();
        browser.press("Another tuning");
        browser.press("Compare the tunings");
        browser.awaitTrue(() -> browser.driver().findElements(ROWS).size() > 4);
        assertTrue(browser.driver().findElements(ROWS).stream()
                .anyMatch(row -> row.getText().startsWith("standard, now")));
        browser.find(By.xpath("//*[@aria-label='Tunings, easiest first']//button[starts-with(., 'open G')]"))
                .click();
        browser.awaitTrue(() ->
                browser.driver().findElements(By.cssSelector("[role=dialog]")).isEmpty());
        browser.awaitTrue(() -> !before.equals(browser.shapesOnTheRoad()));
        browser.labelled("Undo").click();
        browser.awaitTrue(() -> before.equals(browser.shapesOnTheRoad()));
    }
}
