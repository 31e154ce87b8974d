package underhand.e2e;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** Opens the packaged application on the demo book in a browser, once for all tests of a class. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class InDemoBook {

    static final By FACTS = By.cssSelector("[data-testid=song-facts]");

    Path data;

    Application application;
    Browser browser;

    @BeforeAll
    void open(@TempDir Path directory) throws Exception {
        data = directory;
        application = Application.start(data.resolve("book"), true);
        browser = Browser.open();
    }

    @AfterAll
    void close() {
        browser.close();
        application.close();
    }

    void openSong(String title) {
        browser.go(application.address());
        browser.button(title).click();
        browser.await(By.tagName("h1"), title::equals);
        browser.find(By.cssSelector("[data-grip]"));
    }

    void press(CharSequence... keys) {
        new Actions(browser.driver()).sendKeys(keys).perform();
    }

    void shifted(Keys with, String key) {
        new Actions(browser.driver()).keyDown(with).sendKeys(key).keyUp(with).perform();
    }
}
