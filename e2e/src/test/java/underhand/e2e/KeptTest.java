package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** Nothing that was decided is lost: over views, reloads, another capo, and while nobody answers. */
class KeptTest extends InDemoBook {

    private static final By SAVED = By.cssSelector("[data-saved=true]");

    @Test
    void undo_reachesOverViewsAndReloads() {
        openSong("Slow Water");
        List<String> first = browser.shapesOnTheRoad();
        press("4");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("whole neck"));
        browser.awaitTrue(() -> !first.equals(browser.shapesOnTheRoad()));
        browser.find(By.cssSelector("[data-saved=true]:not([data-arranged-at='0'])"));
        List<String> before = browser.shapesOnTheRoad();
        browser.button("Rungs").click();
        browser.press("Play it on rung 2");
        browser.find(By.cssSelector("[data-grip]"));
        browser.awaitTrue(() -> !before.equals(browser.shapesOnTheRoad()));
        browser.find(SAVED);
        browser.driver().navigate().refresh();
        browser.find(By.cssSelector("[data-grip]"));
        browser.click(By.cssSelector("[aria-label^=Undo]"));
        browser.awaitTrue(() -> before.equals(browser.shapesOnTheRoad()));
    }

    @Test
    void lock_waitsForTheCapoItWasMadeFor() {
        openSong("The Long Pound");
        press(Keys.ARROW_RIGHT);
        browser.find(By.xpath("//aside//button[starts-with(normalize-space(),'Show all')]"));
        press(Keys.ARROW_DOWN);
        browser.find(By.xpath("//aside//button[normalize-space()='Unlock (l)']"));
        String locked = browser.shapesOnTheRoad().get(0);
        String capo = browser.find(FACTS).getText().contains("no capo") ? "Capo 2" : "Capo 0";
        browser.labelled(capo).click();
        press(Keys.ESCAPE);
        browser.find(By.xpath("//*[contains(text(),'cannot be played here with the capo where it is')]"));
        browser.click(By.cssSelector("[aria-label^=Undo]"));
        browser.awaitTrue(() -> locked.equals(browser.shapesOnTheRoad().get(0)));
        browser.find(By.xpath("//button[starts-with(@aria-label,'Bar 1,') and contains(@aria-label,'locked')]"));
    }

    @Test
    void decisions_madeWhileNobodyAnswers_areSentWhenSomebodyDoes(@TempDir Path directory) throws Exception {
        Application there = Application.startBriefly(directory, true);
        try {
            browser.go(there.address());
            browser.button("Towpath Morning").click();
            browser.find(By.cssSelector("[data-grip]"));
            browser.find(SAVED);
            there.close();
            press("3");
            browser.find(By.cssSelector("[data-testid=offline]"));
            browser.find(By.cssSelector("[data-saved=false]"));
            browser.button("Songs").click();
            browser.find(By.cssSelector("[data-testid=offline]"));
            browser.button("Towpath Morning");
            there = there.startAgain();
            browser.awaitTrue(() -> browser.driver()
                    .findElements(By.cssSelector("[data-testid=offline]"))
                    .isEmpty());
            browser.button("Towpath Morning").click();
            browser.find(SAVED);
            browser.await(By.cssSelector("[role=group]"), t -> t.contains("barre"));
            assertEquals(
                    3L,
                    browser.driver()
                            .executeAsyncScript("const done = arguments[0];"
                                    + "fetch('/api/v1/songs').then(r => r.json())"
                                    + ".then(all => fetch('/api/v1/songs/' + all.find(s => s.title === 'Towpath Morning').id))"
                                    + ".then(r => r.json()).then(song => done(song.decisions.rung));"));
        } finally {
            there.close();
            browser.go(application.address());
        }
        assertTrue(browser.button("Slow Water").isDisplayed());
    }
}
