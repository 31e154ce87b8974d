package underhand.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.logging.Level;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.Rectangle;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A headless Chromium that remembers which addresses were asked for. */
final class Browser implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final Duration GLANCE = Duration.ofMillis(100);
    private static final Pattern REQUESTED =
            Pattern.compile("\"method\":\"Network.requestWillBeSent\".*?\"request\":\\{.*?\"url\":\"([^\"]+)\"");

    private final ChromeDriver driver;
    private final Path downloads;

    static final int PHONE_WIDTH = 390;

    private Browser(ChromeDriver driver, Path downloads) {
        this.driver = driver;
        this.downloads = downloads;
    }

    static Browser open() throws IOException {
        LoggingPreferences logs = new LoggingPreferences();
        logs.enable(LogType.PERFORMANCE, Level.ALL);
        logs.enable(LogType.BROWSER, Level.ALL);
        Browser browser = open(logs, List.of());
        browser.driver.manage().logs().get(LogType.PERFORMANCE);
        return browser;
    }

    /** One that remembers nothing, so that only the page takes time. */
    static Browser openForMeasuring() throws IOException {
        return open(new LoggingPreferences(), List.of());
    }

    /** One whose microphone hears a sound from a WAV file, and may be used by every page. */
    static Browser openHearing(Path sound) throws IOException {
        return open(
                new LoggingPreferences(),
                List.of(
                        "--use-fake-ui-for-media-stream",
                        "--use-fake-device-for-media-stream",
                        "--use-file-for-fake-audio-capture=" + sound));
    }

    private static Browser open(LoggingPreferences logs, List<String> more) throws IOException {
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage",
                "--window-size=1280,800",
                "--user-data-dir=" + Files.createTempDirectory("underhand-browser"));
        options.addArguments(more);
        Path downloads = Files.createTempDirectory("underhand-downloads");
        options.setExperimentalOption("prefs", Map.of("download.default_directory", downloads.toString()));
        options.setCapability("goog:loggingPrefs", logs);
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(Path.of("/usr/bin/chromedriver").toFile())
                .build();
        ChromeDriver driver = new ChromeDriver(service, options);
        driver.get("about:blank");
        return new Browser(driver, downloads);
    }

    ChromeDriver driver() {
        return driver;
    }

    void go(String address) {
        driver.get(address);
    }

    void resize(int width, int height) {
        driver.manage().window().setSize(new Dimension(width, height));
    }

    /** A phone that is touched, 390 CSS pixels wide: no window of this browser is as narrow. */
    void becomePhone() {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", PHONE_WIDTH, "height", 844, "deviceScaleFactor", 2, "mobile", true));
        driver.executeCdpCommand("Emulation.setTouchEmulationEnabled", Map.of("enabled", true));
    }

    void becomeDesktop() {
        driver.executeCdpCommand("Emulation.setTouchEmulationEnabled", Map.of("enabled", false));
        driver.executeCdpCommand("Emulation.clearDeviceMetricsOverride", Map.of());
    }

    WebElement find(By by) {
        return new WebDriverWait(driver, PATIENCE, GLANCE).until(d -> {
            List<WebElement> found = d.findElements(by);
            return found.isEmpty() ? null : found.get(0);
        });
    }

    WebElement button(String text) {
        return find(labelledButton(text));
    }

    /** Presses a button that a menu may still cover while it closes. */
    void press(String text) {
        click(labelledButton(text));
    }

    private static By labelledButton(String text) {
        return By.xpath("//*[self::button or self::a][normalize-space()='" + text + "']");
    }

    /** Clicks what may still be moving into its place: while it moves, a click could meet what lies beside it. */
    void click(By by) {
        find(by);
        Rectangle[] last = {null};
        awaitTrue(() -> {
            WebElement element = driver.findElement(by);
            Rectangle now = element.getRect();
            boolean rests = now.equals(last[0]);
            last[0] = now;
            try {
                if (rests) {
                    element.click();
                }
                return rests;
            } catch (ElementNotInteractableException covered) {
                return false;
            }
        });
    }

    /** The text field under a label. */
    WebElement field(String label) {
        return find(By.xpath("//label[normalize-space()='" + label + "']/following::input[1]"));
    }

    WebElement labelled(String start) {
        return find(By.cssSelector("[aria-label^=\"" + start + "\"]"));
    }

    /** Waits until a text read from the page is as wanted; fails with the last one. */
    String await(By by, Predicate<String> wanted) {
        String[] last = {""};
        try {
            new WebDriverWait(driver, PATIENCE, GLANCE).until(d -> {
                try {
                    last[0] = find(by).getText();
                    return wanted.test(last[0]);
                } catch (StaleElementReferenceException drawnAnew) {
                    return false;
                }
            });
        } catch (TimeoutException e) {
            throw new AssertionError("the text of " + by + " stayed \"" + last[0] + "\"", e);
        }
        return last[0];
    }

    /** Waits until something holds that the page is still working on. */
    void awaitTrue(BooleanSupplier wanted) {
        new WebDriverWait(driver, PATIENCE, GLANCE).until(d -> {
            try {
                return wanted.getAsBoolean();
            } catch (StaleElementReferenceException drawnAnew) {
                return false;
            }
        });
    }

    /** Chooses from a list by its label; the list may be drawn anew while it is still being read. */
    void choose(String label, String option) {
        awaitTrue(() -> {
            WebElement said = find(By.xpath("//label[normalize-space()='" + label + "']"));
            Select list = new Select(find(By.id(said.getDomAttribute("for"))));
            boolean known = list.getOptions().stream().anyMatch(o -> o.getText().equals(option));
            if (known) {
                list.selectByVisibleText(option);
            }
            return known;
        });
    }

    /** The shapes drawn on the hand road, from left to right. */
    List<String> shapesOnTheRoad() {
        find(By.cssSelector("[data-grip]"));
        return driver.findElements(By.cssSelector("[data-grip]")).stream()
                .map(e -> e.getDomAttribute("data-grip"))
                .toList();
    }

    /** The file a click saves, once it is whole. */
    byte[] saved(Runnable click, String ending) throws IOException {
        click.run();
        try {
            awaitTrue(() -> downloaded().anyMatch(f -> f.toString().endsWith(ending)));
        } catch (TimeoutException e) {
            throw new AssertionError(
                    "no " + ending + " was saved, but " + downloaded().toList(), e);
        }
        Path file = downloaded()
                .filter(f -> f.toString().endsWith(ending))
                .findFirst()
                .orElseThrow();
        byte[] bytes = Files.readAllBytes(file);
        Files.delete(file);
        return bytes;
    }

    private Stream<Path> downloaded() {
        try (Stream<Path> files = Files.list(downloads)) {
            return files.toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Addresses asked for since the browser was opened, or since the last call. */
    List<String> requested() {
        return driver.manage().logs().get(LogType.PERFORMANCE).getAll().stream()
                .map(entry -> REQUESTED.matcher(entry.getMessage()))
                .filter(Matcher::find)
                .map(m -> m.group(1))
                .toList();
    }

    /** What the page complained of. */
    List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .filter(entry -> entry.getLevel().intValue() >= Level.SEVERE.intValue())
                .map(Object::toString)
                .toList();
    }

    @Override
    public void close() {
        driver.quit();
    }
}
