package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;

/** What a player decides on the bench beyond a single grip: versions, keys, regions, loops, the left hand. */
class DecisionsTest extends InDemoBook {

    @Test
    void versions_twoKept_standSideBySideAndOneGoesBackOnTheBench() {
        openSong("Towpath Morning");
        browser.button("Versions").click();
        browser.find(By.cssSelector("form input")).sendKeys("With the capo");
        browser.button("Keep it as a version").click();
        browser.find(By.cssSelector("[role=table]"));
        press(Keys.ESCAPE);
        browser.button("Bench").click();
        browser.labelled("Capo 0").click();
        browser.await(FACTS, t -> t.contains("no capo"));
        press("3");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("barre"));
        browser.awaitTrue(() -> browser.shapesOnTheRoad().contains("244222"));
        press("g", "v");
        browser.await(By.cssSelector("[role=table]"), t -> t.contains("Capo\nnone\n2"));
        assertTrue(browser.driver()
                        .findElements(By.cssSelector("[data-testid=difference]"))
                        .size()
                > 2);
        browser.button("Put on the bench").click();
        browser.await(FACTS, t -> t.contains("capo 2"));
    }

    @Test
    void key_forASingersRange_movesTheSong() {
        openSong("Slow Water");
        browser.button("Another key").click();
        List<WebElement> notes = browser.driver().findElements(By.cssSelector("[role=dialog] input"));
        List<String> texts = List.of("Bb3", "D5", "G3", "B4");
        for (int i = 0; i < texts.size(); i++) {
            notes.get(i).sendKeys(texts.get(i));
        }
        browser.button("Compare the keys").click();
        WebElement easiest = browser.find(By.cssSelector("[aria-label='Keys, easiest first'] button"));
        String key = easiest.getText().lines().findFirst().orElseThrow();
        easiest.click();
        browser.await(KEY, t -> t.contains(key));
        assertNotEquals("B♭ major", key);
        browser.labelled("Undo").click();
        browser.await(KEY, t -> t.contains("B♭ major"));
    }

    @Test
    void region_keptThroughASection_holdsTheHandThere() {
        openSong("The Long Pound");
        press("4");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("whole neck"));
        browser.labelled("Bar 1,").click();
        new Select(browser.find(By.cssSelector("select[aria-label='Highest fret']"))).selectByVisibleText("9");
        new Select(browser.find(By.cssSelector("select[aria-label='Lowest fret']"))).selectByVisibleText("5");
        List<String> before = browser.shapesOnTheRoad();
        browser.button("Here").click();
        browser.find(By.xpath("//button[starts-with(@aria-label,'Bar 1,') and contains(@aria-label,'locked')]"));
        browser.awaitTrue(() -> !before.equals(browser.shapesOnTheRoad()));
        String held = browser.shapesOnTheRoad().get(0);
        assertTrue(held.matches("[x05-9-]+"), held);
    }

    @Test
    void grips_downAndUp_walkThroughTheOthersAndBack() {
        openSong("The Long Pound");
        List<String> free = browser.shapesOnTheRoad();
        press(Keys.ARROW_RIGHT);
        browser.find(By.xpath("//aside//button[starts-with(normalize-space(),'Show all')]"));
        press(Keys.ARROW_DOWN);
        browser.awaitTrue(() -> !free.get(0).equals(browser.shapesOnTheRoad().get(0)));
        browser.find(By.xpath("//aside//button[normalize-space()='Unlock (l)']"));
        press(Keys.ARROW_UP);
        browser.find(By.xpath("//aside//button[normalize-space()='Lock (l)']"));
        browser.awaitTrue(() -> free.equals(browser.shapesOnTheRoad()));
    }

    @Test
    void loop_draggedOverThreeBars_saysHowFastTheyHold() {
        openSong("Towpath Morning");
        // While frets are still compared the road is drawn once more, and a bar under the finger with it.
        browser.find(By.cssSelector("[aria-label='Capo ruler'][aria-busy=false]"));
        WebElement first = browser.find(By.cssSelector("[data-bar='2']"));
        new Actions(browser.driver())
                .clickAndHold(first)
                .moveToElement(browser.find(By.cssSelector("[data-bar='3']")))
                .moveToElement(browser.find(By.cssSelector("[data-bar='4']")))
                .release()
                .perform();
        browser.find(By.xpath("//*[contains(text(),'bars 2 to 4 hold')]"));
        assertEquals(
                3,
                browser.driver()
                        .findElements(By.cssSelector("[data-bar][aria-pressed=true]"))
                        .size());
        press("o");
        browser.awaitTrue(() -> browser.driver()
                .findElements(By.cssSelector("[data-bar][aria-pressed=true]"))
                .isEmpty());
    }

    @Test
    void player_leftHanded_seesTheNeckTheOtherWayRound() {
        openSong("Heron, Standing");
        double lowest = axis();
        for (String view : List.of("Sheet", "Rungs")) {
            browser.button(view).click();
            browser.awaitTrue(() -> silentStringOfC() < 0.5);
        }
        browser.go(application.address() + "/players");
        browser.find(By.xpath("//input[@value='Steady strummer']/ancestor::form//*[normalize-space()='left-handed']"))
                .click();
        browser.find(By.xpath("//input[@value='Steady strummer']/ancestor::form//button[normalize-space()='Save']"))
                .click();
        browser.awaitTrue(() -> browser.find(
                        By.xpath("//input[@value='Steady strummer']/ancestor::form//button[normalize-space()='Save']"))
                .getDomProperty("disabled")
                .equals("true"));
        openSong("Heron, Standing");
        browser.awaitTrue(() -> {
            Select players = new Select(browser.find(By.cssSelector("select")));
            players.selectByVisibleText("Steady strummer");
            return true;
        });
        browser.awaitTrue(() -> axis() > lowest + 100);
        for (String view : List.of("Sheet", "Rungs")) {
            browser.button(view).click();
            browser.awaitTrue(() -> silentStringOfC() > 0.5);
        }
    }

    /** Where the silent lowest string of the open C is drawn in its frame: 0 at the left, 1 at the right. */
    private double silentStringOfC() {
        WebElement frame = browser.find(By.cssSelector("main svg[aria-label^='x32010']"));
        WebElement silent = frame.findElement(By.xpath(".//*[local-name()='text'][.='×']"));
        double from = frame.getRect().getX();
        return (silent.getRect().getX() - from) / frame.getRect().getWidth();
    }

    /** Where capo 0 stands on the ruler: at the left, or at the right for a left-handed player. */
    private double axis() {
        return browser.labelled("Capo 0").getLocation().getX();
    }

    /** Changes are saved a moment later; whoever leaves the bench before loses nothing. Here that moment never comes. */
    @Test
    void decision_rightBeforeLeavingTheBench_isKept() {
        openSong("The Long Pound");
        browser.driver()
                .executeScript("const soon = window.setTimeout;"
                        + "window.setTimeout = (work, ms) => ms < 200 ? soon(work, ms) : 0;"
                        + "document.querySelector('button[aria-label^=\"Capo 4\"]').click();"
                        + "soon(() => document.querySelector('a[href=\"/\"]').click(), 30);");
        browser.await(By.tagName("h1"), "Songbook"::equals);
        openSong("The Long Pound");
        browser.await(FACTS, t -> t.contains("capo 4"));
    }

    /** What the page shows is what the API gives for what the book keeps: nothing is worked out in between. */
    @Test
    void part_onThePage_isTheOneTheApiGives() throws Exception {
        Path book = data.resolve("replayed");
        try (Application other = Application.startBriefly(book, true)) {
            Api api = new Api(other);
            browser.go(other.address() + "/songs/1");
            browser.find(By.cssSelector("[data-grip]"));
            browser.choose("Guitar", "Engine-room electric");
            browser.choose("Player", "Evening-class regular");
            browser.await(FACTS, t -> t.contains("no capo"));
            browser.awaitTrue(() -> browser.shapesOnTheRoad().equals(played(api)));
        }
    }

    /** The first shapes of the stored song, as many as the page draws. */
    @SuppressWarnings("unchecked")
    private List<String> played(Api api) {
        try {
            Map<String, Object> song = api.get("/songs/1").object();
            Map<String, Object> request = new HashMap<>((Map<String, Object>) song.get("decisions"));
            request.put("chart", Map.of("source", song.get("source")));
            List<Map<String, Object>> placements = (List<Map<String, Object>>)
                    api.post("/arrangements/preview", request).object().get("placements");
            return placements.stream()
                    .limit(browser.shapesOnTheRoad().size())
                    .map(p -> ((Map<String, Object>) p.get("grip")).get("shape").toString())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void application_stopped_isSaidAndNothingIsLost() throws Exception {
        Path book = data.resolve("stopped");
        Application stopped = Application.startBriefly(book, true);
        try (stopped) {
            browser.go(stopped.address() + "/songs/1");
            browser.find(By.cssSelector("[data-grip]"));
        }
        browser.labelled("Capo 5").click();
        browser.await(By.cssSelector("[data-testid=offline]"), t -> t.contains("does not answer"));
        browser.find(By.cssSelector("[data-grip]"));
        try (Application again = stopped.startAgain()) {
            browser.await(FACTS, t -> t.contains("capo 5"));
            Api api = new Api(again);
            browser.awaitTrue(() -> capoOf(api) == 5);
        }
    }

    private static int capoOf(Api api) {
        try {
            Object decisions = api.get("/songs/1").object().get("decisions");
            return ((Map<?, ?>) decisions).get("capo") instanceof Number capo ? capo.intValue() : -1;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
