package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;

/** On a phone, everything a finger is to hit is large enough for one: 44 CSS pixels each way. */
class TouchTest extends InDemoBook {

    /**
     * Controls that are seen and too small, in words. What is pressed for a small thing counts: the field around an input, the label
     * of a box. Links inside a sentence are as large as their words.
     */
    private static final String TOO_SMALL = """
            const least = 44 - 0.6;
            const controls = document.querySelectorAll(
              'button, select, input:not([type=hidden]):not([type=file]), textarea, summary, [role=button], [role=tab], nav a, a.MuiButton-root');
            const pressed = (element) =>
              element.closest('.MuiSlider-root, .MuiInputBase-root, .MuiCheckbox-root, .MuiSwitch-root, label.MuiButton-root') ?? element;
            const small = [];
            for (const element of controls) {
              const box = pressed(element).getBoundingClientRect();
              const style = getComputedStyle(pressed(element));
              const seen = box.width > 1 && box.height > 1 && style.visibility !== 'hidden' && style.opacity !== '0';
              if (seen && !element.disabled && (box.height < least || box.width < least)) {
                const name = element.getAttribute('aria-label') || element.textContent.slice(0, 30) || element.tagName;
                small.push(`${element.tagName.toLowerCase()} ${name} ${Math.round(box.width)}x${Math.round(box.height)}`);
              }
            }
            return small;
            """;

    @BeforeAll
    void touch() {
        browser.becomePhone();
    }

    @AfterAll
    void untouch() {
        browser.becomeDesktop();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                "/songs/1",
                "/songs/8",
                "/songs/1/sheet",
                "/songs/1/rungs",
                "/songs/1/versions",
                "/players",
                "/shapes?frets=x32010",
                "/map?chords=G+Cm+D7&key=G&fret=3",
                "/drills",
                "/book"
            })
    void whatIsTouched_isLargeEnough_andNothingRunsOffThePage(String view) {
        browser.go(application.address() + view);
        browser.find(By.tagName("h1"));
        if (view.matches("/songs/[0-9]+")) {
            browser.find(By.cssSelector("[data-grip]"));
        }
        browser.awaitTrue(() -> browser.driver()
                .findElements(By.cssSelector(".MuiSkeleton-root"))
                .isEmpty());
        assertEquals(true, browser.driver().executeScript("return matchMedia('(pointer: coarse)').matches"));
        assertEquals(List.of(), browser.driver().executeScript(TOO_SMALL), view);
        assertEquals(
                (long) Browser.PHONE_WIDTH,
                browser.driver().executeScript("return document.documentElement.scrollWidth"),
                view);
    }
}
