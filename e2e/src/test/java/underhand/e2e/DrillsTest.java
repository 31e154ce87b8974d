package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** Today's drills are run by keys, logged, and stopped where it hurts. */
class DrillsTest extends InDemoBook {

    private static final By DRILL = By.cssSelector("[data-testid=drill]");
    private static final By FACTS_OF_PLAN = By.cssSelector("[data-testid=plan-facts]");

    /** The plan is the one that was asked for, and no longer the one before. */
    private static final By PLANNED = By.cssSelector("[data-testid=plan-facts][aria-busy=false]");

    private static final By RUNNING = By.cssSelector("[data-testid=running]");
    private static final By LOGGED = By.cssSelector("[data-testid=logged]");
    private static final By TEMPO = By.cssSelector("[data-testid=drill-tempo]");

    private static final By LISTENING = By.cssSelector("[data-testid=listening]");

    /** Fast, so that the sound is short. */
    private static final int LISTENED_AT = 116;

    private void openPlan(String minutes) {
        // The demo's player practises in the background while the application starts.
        browser.awaitTrue(() -> {
            browser.go(application.address() + "/drills");
            browser.find(DRILL);
            return browser.await(LOGGED, t -> t.matches("(?s).*(runs|Nothing).*"))
                    .matches("(?s)[0-9]+ runs.*");
        });
        browser.press(minutes + " minutes");
        browser.find(By.xpath("//button[@aria-pressed='true'][normalize-space()='" + minutes + " minutes']"));
        browser.find(PLANNED);
    }

    private int drills() {
        return browser.driver().findElements(DRILL).size();
    }

    private int runs() {
        return Integer.parseInt(
                browser.await(LOGGED, t -> t.matches("(?s)[0-9]+ runs.*")).replaceAll(" runs(?s).*", ""));
    }

    @Test
    void thePlanFitsItsMinutes_andSaysWhyEachDrillIsInIt() {
        openPlan("45");
        browser.awaitTrue(() -> drills() > 5);
        int many = drills();
        browser.press("10 minutes");
        browser.awaitTrue(() -> drills() < many);
        browser.await(FACTS_OF_PLAN, t -> t.matches(".* ([0-9.]+) minutes.*"));
        browser.await(DRILL, t -> t.matches("(?s).*(New|Due|Ahead|Played).* in .*"));
        assertTrue(browser.driver()
                        .findElements(By.cssSelector("[aria-label='What came of it'] svg"))
                        .size()
                > 2);
    }

    @Test
    void drillsAreRunByKeys_andTheLogGrows() {
        openPlan("45");
        int before = runs();
        browser.press("Run");
        browser.find(RUNNING);
        String tempo = browser.find(TEMPO).getText();
        browser.find(By.cssSelector("[data-testid=drill-road] [data-grip]"));
        browser.find(By.cssSelector("[role=timer][data-phase=run]"));
        press("c");
        browser.find(By.xpath("//button[starts-with(., 'count in')]"));
        browser.find(By.xpath("//button[starts-with(., 'click ')]"));
        press("c");
        press(Keys.ARROW_UP);
        browser.await(TEMPO, t -> !t.equals(tempo));
        press("t");
        press("t");
        browser.await(RUNNING, t -> t.contains("change 0."));
        for (int i = 1; i <= 3; i++) {
            int logged = before + i;
            browser.awaitTrue(() -> browser.driver().findElements(RUNNING).size() == 1);
            press(i == 2 ? "2" : "1");
            browser.await(LOGGED, t -> t.startsWith(logged + " runs"));
        }
        press(Keys.ESCAPE);
        browser.find(DRILL);
        assertEquals(before + 3, runs());
    }

    /**
     * The sound of a simulated player is judged in the page; then most of it is heard through the microphone, proposed and logged. How
     * well is measured where no machine is too slow to record: in the page's own tests.
     */
    @Test
    void whatIsPlayedIsHeard_andProposed(@TempDir Path directory) throws Exception {
        openPlan("45");
        int before = runs();
        int played = listen(browser, () -> browser.press("Let a simulated player play"));
        byte[] sound =
                browser.saved(() -> browser.find(By.linkText("Save its sound")).click(), ".wav");
        Path file = Files.write(directory.resolve("played.wav"), sound);
        try (Browser hearing = Browser.openHearing(file)) {
            hearing.go(application.address() + "/drills");
            hearing.press("45 minutes");
            int heard = listen(hearing, () -> {
                hearing.press("Listen (m)");
                hearing.await(LISTENING, t -> t.matches("(?s).*Stop listening.*\\b1[2-9] s.*"));
                hearing.press("Stop listening (m)");
            });
            assertTrue(heard > played / 2, heard + " changes heard of " + played);
            hearing.find(By.xpath("//button[contains(., ', proposed')]")).click();
            hearing.await(LOGGED, t -> t.startsWith((before + 1) + " runs"));
        }
    }

    /** How many changes are heard when the first drill of two chords is run fast and something is played. */
    private static int listen(Browser browser, Runnable play) {
        browser.click(By.xpath("//li[@data-testid='drill'][count(.//*[@role='img']) > 1]//button[.='Run']"));
        browser.find(RUNNING);
        while (Integer.parseInt(browser.find(TEMPO).getText().replaceAll("\\D", "")) < LISTENED_AT) {
            browser.labelled("Faster").click();
        }
        play.run();
        String told =
                browser.await(LISTENING, t -> t.matches("(?s).*Proposed: (clean|rough|missed)\\. .* changes heard.*"));
        return Integer.parseInt(told.replaceAll("(?s).*\\. ([0-9]+) changes heard.*", "$1"));
    }

    /** The log as a table: saved, and read again by another player, whose songs then say what they hold. */
    @Test
    void theLogGoesOutAndComesInAsATable(@TempDir Path directory) throws Exception {
        openPlan("45");
        int runs = runs();
        browser.await(By.cssSelector("[data-testid=forecasts]"), t -> t.contains(" holds "));
        byte[] table = browser.saved(() -> browser.button("Save the log as CSV").click(), ".csv");
        Path file = Files.write(directory.resolve("log.csv"), table);
        browser.driver().findElement(By.cssSelector("[data-testid=log-file]")).sendKeys(file.toString());
        browser.await(By.cssSelector("main"), t -> t.contains("0 runs added, " + runs + " were there before."));
        assertEquals(runs, runs());
    }

    /** A week on one page, with a box for each day beside each drill. */
    @Test
    void aWeeksSheetIsPrintedOnOnePage() throws Exception {
        openPlan("20");
        int drills = drills();
        List<String> pages = Printed.pages(browser);
        assertEquals(1, pages.size());
        assertTrue(pages.get(0).contains("This week") && pages.get(0).contains("Stop at pain"), pages.get(0));
        assertEquals(
                7L * drills,
                ((Number) browser.driver().executeScript("return document.querySelectorAll('.week-box').length"))
                        .longValue());
    }

    @Test
    void aBrowserWithoutAMicrophone_saysWhatToDo() {
        openPlan("45");
        browser.click(By.xpath("//li[@data-testid='drill'][count(.//*[@role='img']) > 1]//button[.='Run']"));
        browser.press("Listen (m)");
        browser.await(LISTENING, t -> t.contains("The microphone cannot be used"));
        press(Keys.ESCAPE);
        browser.find(DRILL);
    }

    @Test
    void discomfort_takesTheDrillOut_andSaysWhatToDo() {
        openPlan("20");
        browser.press("Run");
        browser.find(RUNNING);
        press("0");
        browser.await(By.cssSelector("[role=status]"), t -> t.contains("health professional"));
        browser.await(By.tagName("main"), t -> t.contains("Out for today, because it hurt"));
    }

    private void say(String word) {
        browser.click(By.xpath("(//li[@data-testid='drill']//button[.='" + word + "'])[1]"));
    }

    /** What is said of today's plan outlives a reload, and the plan can be made anew. */
    @Test
    void aDrillIsSwapped_skipped_shortened() {
        openPlan("45");
        List<String> asPlanned = titles();
        for (String word : List.of("Shorten", "Swap", "Skip")) {
            String before = browser.find(By.cssSelector("ol")).getText();
            say(word);
            browser.await(By.cssSelector("ol"), t -> !t.equals(before));
        }
        List<String> said = titles();
        browser.driver().navigate().refresh();
        browser.find(DRILL);
        browser.awaitTrue(() -> titles().equals(said));
        browser.press("Plan today anew");
        browser.awaitTrue(() -> titles().equals(asPlanned));
    }

    /** Each drill by its first two lines: what it is about, at which tempo, for how long, and what to do. */
    @SuppressWarnings("unchecked")
    private List<String> titles() {
        // All at once: the list is drawn anew while it is read.
        return (List<String>) browser.driver()
                .executeScript("return [...document.querySelectorAll('[data-testid=drill]')]"
                        + ".map(d => d.innerText.split('\\n').slice(0, 2).join(' '))");
    }

    @Test
    void aHandIsTimedBySixChanges() {
        openPlan("10");
        int before = runs();
        browser.press("Time six changes");
        By count = By.cssSelector("[data-testid=timed-count]");
        for (int change = 1; change <= 6; change++) {
            for (int time = 1; time <= 4; time++) {
                String at = "Change " + change + " of 6, " + time + " of 4 times";
                browser.await(count, at::equals);
                press("t");
                press("t");
            }
        }
        browser.await(By.cssSelector("[role=status]"), t -> t.contains("That was all"));
        press(Keys.ESCAPE);
        browser.find(DRILL);
        browser.awaitTrue(() -> runs() == before + 24);
    }

    /** A song with a day: the plan, the calendar and the songbook know of it. */
    @Test
    void aSongHasItsDay_andCurvesAreDrawnOfSongs() {
        openPlan("45");
        browser.await(By.cssSelector("[data-testid=calendar]"), t -> t.contains("Mon"));
        assertEquals(
                1,
                browser.driver()
                        .findElements(By.cssSelector("[data-testid=calendar] td[aria-current=date]"))
                        .size());
        for (String of : List.of("Whole songs", "Seconds", "Kinds of drill", "Changes")) {
            browser.press(of);
            browser.awaitTrue(() -> browser.driver()
                            .findElements(By.cssSelector("[data-testid=curve]"))
                            .size()
                    > 0);
        }
        browser.find(By.cssSelector("[data-testid=forecasts] input[type=date]"));
        LocalDate day = LocalDate.now().plusDays(5);
        browser.driver()
                .executeScript(
                        "const i = document.querySelector('[data-testid=forecasts] input[type=date]');"
                                + "Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(i, arguments[0]);"
                                + "i.dispatchEvent(new Event('input', {bubbles: true}));",
                        day.toString());
        browser.await(DRILL, t -> true);
        browser.await(By.cssSelector("ol"), t -> t.contains("Played in 5 days"));
        browser.go(application.address() + "/");
        browser.await(By.cssSelector("main ul"), t -> t.contains("played on " + day.getDayOfMonth() + " "));
    }

    @Test
    void theDrillBookIsAKeyAway() {
        browser.go(application.address() + "/");
        browser.find(By.tagName("h1"));
        press("g", "k");
        browser.await(By.tagName("h1"), "Drill book"::equals);
        press("g", "d");
        browser.await(By.tagName("h1"), "Shape desk"::equals);
    }
}
