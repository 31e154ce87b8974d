package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** A song is compared in the tunings its player accepts, put into one of them, and back. */
class TuningTest extends InDemoBook {

    private static final By ROWS = By.cssSelector("[aria-label='Tunings, easiest first'] li");

    /** A tuning that was given a name is in every list of tunings, and goes with one click and comes back with another. */
    @Test
    void aTuningOfOnesOwn_isKeptTakenAndCompared() {
        browser.go(application.address() + "/shapes");
        browser.find(By.cssSelector("[data-testid=desk-neck]"));
        browser.press("My tunings");
        browser.field("Name").sendKeys("Sluice");
        browser.field("Strings, the lowest first").sendKeys(Keys.chord(Keys.CONTROL, "a"), "C2 G2 D3 G3 A3 E4");
        browser.press("Keep");
        browser.await(By.cssSelector("ul[aria-label='My tunings']"), t -> t.contains("Sluice"));
        browser.labelled("Take Sluice").click();
        browser.awaitTrue(() -> browser.driver().getCurrentUrl().contains("tuning=C2"));
        browser.awaitTrue(() -> "Sluice".equals(browser.field("Tuning").getDomProperty("value")));
        openSong("Towpath Morning");
        browser.press("Another tuning");
        browser.find(By.xpath("//label[.='Sluice']")).click();
        browser.press("Compare the tunings");
        browser.await(By.cssSelector("[aria-label='Tunings, easiest first']"), t -> t.contains("Sluice"));
        browser.press("Close");
        browser.go(application.address() + "/shapes");
        browser.press("My tunings");
        browser.labelled("Remove Sluice").click();
        browser.await(By.cssSelector("[role=dialog]"), t -> t.contains("None yet"));
        browser.press("Undo");
        browser.await(By.cssSelector("ul[aria-label='My tunings']"), t -> t.contains("Sluice"));
    }

    @Test
    void anotherTuning_isComparedTakenAndUndone() {
        openSong("Towpath Morning");
        browser.find(By.cssSelector("[data-grip]"));
        browser.awaitTrue(() -> "true".equals(browser.find(FACTS).getDomAttribute("data-saved")));
        List<String> before = browser.shapesOnTheRoad();
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
