package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** Readings with their reasons, five rungs, house rules and a second guitar, as a player meets them. */
class HarmonyTest extends InDemoBook {

    private WebElement offer(String reading) {
        browser.awaitTrue(() -> {
            List<WebElement> all = browser.driver()
                    .findElements(By.xpath("//button[starts-with(normalize-space(),'Show all') and"
                            + " contains(.,'readings') and @aria-expanded='false']"));
            if (!all.isEmpty()) {
                all.get(0).click();
            }
            return !browser.driver()
                    .findElements(By.cssSelector("[data-reading='" + reading + "']"))
                    .isEmpty();
        });
        return browser.find(By.cssSelector("[data-reading='" + reading + "']"));
    }

    private void take(String reading) {
        offer(reading)
                .findElement(By.xpath(".//button[normalize-space()='Take it']"))
                .click();
    }

    @Test
    void reading_flatNinthBeforeMinor_isTakenAndSaysWhy() {
        openSong("The Long Pound");
        press("4");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("whole neck"));
        goTo(19);
        assertTrue(offer("flat-nine").getText().contains("E7 leads to Am, so the ninth is flat."));
        take("flat-nine");
        browser.find(By.xpath("//button[starts-with(@aria-label,'Bar 19,') and contains(@aria-label,'for E7')]"));
        browser.await(By.tagName("aside"), t -> t.contains("so the ninth is flat"));
        browser.button("Why not another").click();
        browser.await(
                By.cssSelector("[aria-label='Other readings']"), t -> t.contains("a natural ninth points to major"));
    }

    @Test
    void reading_twoBeforeFive_splitsTheBarAndIsUndone() {
        openSong("The Long Pound");
        press("4");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("whole neck"));
        int before = places();
        goTo(19);
        take("two-before-five");
        browser.awaitTrue(() -> places() == before + 1);
        browser.labelled("Undo").click();
        browser.awaitTrue(() -> places() == before);
    }

    /** Walks to a chord with the keys: the road draws only what is in sight. */
    private void goTo(int chord) {
        for (int i = 0; i < chord; i++) {
            press(Keys.ARROW_RIGHT);
        }
    }

    private int places() {
        return Integer.parseInt(browser.find(By.cssSelector("[data-places]")).getDomAttribute("data-places"));
    }

    @Test
    void reading_fallingLineOverFourStillBars_isTakenForAllOfThem() {
        openSong("The Long Pound");
        press("4");
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("whole neck"));
        browser.labelled("Bar 1,").click();
        take("falling-line:inside:4");
        for (String bar : List.of("Bar 2,", "Bar 3,", "Bar 4,")) {
            browser.find(
                    By.xpath("//button[starts-with(@aria-label,'" + bar + "') and contains(@aria-label,'for Am')]"));
        }
        browser.await(By.tagName("aside"), t -> t.contains("One voice falls by half steps inside, every bar"));
        assertOneStringMoves();
        press("v");
        browser.find(By.cssSelector("[data-testid=voices] .voice-asked"));
        press("v");
        browser.find(By.cssSelector("[data-reading^='falling-line:inside:4@string-']"));
        browser.labelled("Undo").click();
        browser.awaitTrue(() -> browser.driver()
                .findElements(By.cssSelector("[data-reading*='@string-']"))
                .isEmpty());
    }

    /** From bar to bar of the line, and no other. */
    private void assertOneStringMoves() {
        browser.awaitTrue(() -> {
            List<String[]> line = browser.shapesOnTheRoad().subList(0, 4).stream()
                    .map(shape -> shape.split(shape.contains("-") ? "-" : ""))
                    .toList();
            return IntStream.range(1, 4)
                    .allMatch(i -> 1
                            == IntStream.range(0, 6)
                                    .filter(string -> !line.get(i)[string].equals(line.get(i - 1)[string]))
                                    .count());
        });
    }

    @Test
    void rungs_climbedFromOneToFive_eachSaysWhatItAdds() {
        openSong("Towpath Morning");
        browser.button("Rungs").click();
        browser.awaitTrue(() -> browser.driver()
                        .findElements(By.cssSelector("[data-testid=adds]"))
                        .size()
                == 5);
        List<WebElement> adds = browser.driver().findElements(By.cssSelector("[data-testid=adds]"));
        assertTrue(adds.get(0).getText().startsWith("Starts with"));
        adds.stream().skip(1).forEach(a -> assertTrue(a.getText().startsWith("Adds "), a.getText()));
        browser.button("Play it on rung 5").click();
        browser.await(By.cssSelector("[role=group]"), t -> t.contains("arranger"));
        browser.find(By.xpath("//button[starts-with(@aria-label,'Bar ') and contains(@aria-label,', for ')]"));
    }

    @Test
    void houseRule_noCapo_changesThePart() {
        restoreBook();
        openSong("Towpath Morning");
        press("1");
        browser.await(FACTS, t -> t.contains("capo") && !t.contains("no capo"));
        List<String> before = browser.shapesOnTheRoad();
        browser.button("House rules").click();
        new Select(browser.find(By.cssSelector("[data-rule=capo] select"))).selectByVisibleText("no capo");
        browser.await(FACTS, t -> t.contains("no capo"));
        assertFalse(before.equals(browser.shapesOnTheRoad()));
    }

    @Test
    void secondGuitar_added_isOnTheSameRoadPlaysElsewhereAndIsOnTheSheet() {
        openSong("The Long Pound");
        browser.choose("Second guitar", "adult hand");
        browser.await(
                By.cssSelector("[data-testid=two-guitars]"),
                t -> t.contains("0 % of its notes on the first one's strings and frets"));
        List<String> first = browser.shapesOnTheRoad();
        List<String> squares = besideTheRoad();
        assertFalse(squares.equals(first));
        browser.button("Second guitar").click();
        browser.awaitTrue(() -> browser.shapesOnTheRoad().equals(squares));
        assertEquals(first, besideTheRoad(), "both are on one road, whichever is followed");
        press(Keys.ESCAPE);
        press("t");
        browser.click(By.cssSelector("[aria-label='Where it holds'] button[value=second]"));
        browser.click(By.cssSelector("[data-texture=tenths] button"));
        browser.find(By.cssSelector("[data-texture=tenths] button[aria-pressed=true]"));
        browser.button("Done").click();
        browser.awaitTrue(() -> !browser.shapesOnTheRoad().equals(squares));
        assertEquals(first, besideTheRoad(), "the first guitar keeps its own");
        pickForTheSecondGuitar();
        browser.button("Sheet").click();
        browser.awaitTrue(() -> browser.driver().findElements(By.tagName("h1")).stream()
                .anyMatch(h -> h.getText().equals("Second guitar")));
    }

    /** The second guitar gets a pattern of its own, and the first one's stays what it was. */
    private void pickForTheSecondGuitar() {
        By rightHand = By.xpath("//main//span[normalize-space()='Right hand']/following-sibling::button");
        String before = browser.find(rightHand).getText();
        browser.find(rightHand).click();
        browser.click(By.xpath("//*[@role='dialog']//button[.='Second guitar']"));
        browser.find(By.xpath("//button[starts-with(normalize-space(),'Show all')]"))
                .click();
        By bass = By.cssSelector("li[data-pattern='off-beat-chop'] button");
        browser.click(bass);
        browser.find(By.cssSelector("li[data-pattern='off-beat-chop'] button[aria-pressed=true]"));
        browser.click(By.xpath("//*[@role='dialog']//button[.='First guitar']"));
        browser.find(By.cssSelector("li[data-pattern='off-beat-chop'] button[aria-pressed=false]"));
        browser.press("Done");
        assertEquals(before, browser.find(rightHand).getText());
    }

    private List<String> besideTheRoad() {
        return browser.driver().findElements(By.cssSelector("[data-beside]")).stream()
                .map(g -> g.getAttribute("data-beside"))
                .toList();
    }
}
