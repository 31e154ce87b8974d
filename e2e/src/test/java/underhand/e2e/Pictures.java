package underhand.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;

/** Takes the pictures of {@code docs/screenshots} anew from the demo book. No test: {@code ./underhand pictures} runs it. */
class Pictures {

    private static final Path FOLDER = Path.of("..", "docs", "screenshots");
    private static final By GRIP = By.cssSelector("[data-grip]");

    private Application application;
    private Browser browser;

    @Test
    void takeAll(@TempDir Path data) throws Exception {
        try (Application started = Application.start(data, true);
                Browser opened = Browser.openForMeasuring()) {
            application = started;
            browser = opened;
            browser.driver()
                    .executeCdpCommand(
                            "Emulation.setDeviceMetricsOverride",
                            Map.of("width", 1280, "height", 800, "deviceScaleFactor", 1, "mobile", false));
            books();
            bench();
            others();
            solo();
            practice();
        }
    }

    private void go(String path, By awaited) {
        browser.go(application.address() + path);
        browser.find(awaited);
        rest();
    }

    /** Pictures are taken when nothing moves any more. */
    private void rest() {
        browser.driver().executeAsyncScript("setTimeout(arguments[0], 2500)");
    }

    private void take(String name) {
        rest();
        try {
            Files.write(FOLDER.resolve(name + ".png"), browser.driver().getScreenshotAs(OutputType.BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void press(CharSequence... keys) {
        new Actions(browser.driver()).sendKeys(keys).perform();
    }

    private void theme(String name) {
        browser.labelled(name + " theme").click();
    }

    private void books() {
        go("/", By.cssSelector("main li"));
        browser.awaitTrue(() -> browser.driver()
                .findElements(By.cssSelector("[aria-label='Effort is being worked out']"))
                .isEmpty());
        take("songbook");
        browser.labelled("Remove Bilge Pump").click();
        browser.find(By.cssSelector(".MuiSnackbar-root"));
        go("/book", By.cssSelector("[aria-label='Removed songs'] li"));
        browser.driver().executeScript("document.querySelectorAll('code').forEach(c => c.textContent = './data/demo')");
        take("book");
        browser.labelled("Put back Bilge Pump").click();
        rest();
        go("/players", By.tagName("h1"));
        take("players");
    }

    private void bench() {
        go("/songs/1", GRIP);
        press("3");
        rest();
        press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        take("bench");
        theme("Dark");
        take("bench-dark");
        theme("Light");
        press(Keys.ESCAPE);
        rightHand();
        take("patterns");
        browser.button("Done").click();
        browser.press("Another tuning");
        browser.press("Compare the tunings");
        browser.find(By.cssSelector("[aria-label='Tunings, easiest first'] li:nth-child(5)"));
        browser.driver().executeScript("document.querySelector('[role=dialog]').scrollTop = 1e4");
        take("tuning-sweep");
        browser.press("Close");
        go("/songs/4", GRIP);
        press("4");
        rest();
        press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        rest();
        WebElement readings = browser.find(By.xpath("//*[normalize-space()='Other readings']"));
        browser.driver().executeScript("arguments[0].scrollIntoView()", readings);
        take("readings");
        go("/songs/8", GRIP);
        browser.choose("Second guitar", "adult hand");
        rest();
        take("two-guitars");
    }

    private void solo() {
        go("/songs/2", GRIP);
        press("4");
        browser.choose("Tune", "on top, best octave");
        browser.await(By.cssSelector("[data-testid=song-facts]"), t -> t.contains("tune on top"));
        rest();
        browser.click(By.cssSelector("[data-index='2']"));
        take("solo");
        go("/songs/2/sheet", By.cssSelector("[data-testid=system] svg"));
        WebElement first = browser.find(By.cssSelector("[data-bar='1']"));
        browser.driver().executeScript("arguments[0].scrollIntoView()", first);
        take("sheet-solo");
    }

    private void practice() {
        go("/shapes?frets=x7577x&key=D", By.cssSelector("[data-testid=near] button"));
        take("shapes");
        go("/map?chords=G+D7+Em+C+Cm+A7&key=G&chord=G&fret=3", By.cssSelector("[data-testid=song-chords] svg"));
        take("neck-map");
        go("/drills", By.cssSelector("[data-testid=drill]"));
        take("drills");
        browser.find(By.xpath("//li[@data-testid='drill'][.//*[@role='img']]//button"))
                .click();
        browser.press("Let a simulated player play");
        browser.find(By.cssSelector("[data-testid=heard]"));
        take("drill-running");
    }

    private void rightHand() {
        browser.find(By.xpath("//main//span[normalize-space()='Right hand']/following-sibling::button"))
                .click();
        browser.find(By.cssSelector("[role=dialog]"));
        rest();
    }

    private void others() {
        go("/songs/1/sheet", By.tagName("h1"));
        take("sheet-words");
        browser.button("staff and tab").click();
        browser.find(By.cssSelector("[data-testid=system] svg"));
        take("sheet-tab");
        go("/songs/1/rungs", By.tagName("h1"));
        rest();
        rest();
        take("rungs");
        go("/songs/1/versions", By.tagName("h1"));
        browser.find(By.cssSelector("main input")).sendKeys("With capo");
        browser.button("Keep it as a version").click();
        rest();
        go("/songs/1", GRIP);
        browser.find(By.cssSelector("button[aria-label^='Capo 0']")).click();
        rest();
        go("/songs/1/versions", By.tagName("h1"));
        take("versions");
    }
}
