package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** What the browser's printer gets of a sheet, page by page. */
class PrintTest extends InDemoBook {

    private static final String WITH_A_SECOND_GUITAR = """
            const done = arguments[1], get = path => fetch('/api/v1' + path).then(r => r.json());
            const send = (method, path, body) => fetch('/api/v1' + path,
              { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }).then(r => r.json());
            (async () => {
              const { id } = (await get('/songs')).find(s => s.title === arguments[0]);
              const { version, source, decisions } = await get('/songs/' + id);
              const both = { ...decisions, second: { rung: 3, capo: null, playerId: null, guitarId: null, patterns: [] } };
              await send('PUT', '/songs/' + id, { version, source, decisions: both });
              const song = { chart: { format: 'text', source }, ...both };
              const parts = [await send('POST', '/parts/preview', { song, second: false }),
                await send('POST', '/parts/preview', { song, second: true })];
              const heads = parts.flatMap(p => p.bars).flatMap(b => b.events)
                .reduce((sum, e) => sum + e.notes.length * e.values.length, 0);
              done([id, heads]);
            })();
            """;

    /** What a test chose for its sheet is remembered, but not by the next. */
    @BeforeEach
    void asAtFirst() {
        restoreBook();
    }

    @Test
    void strums_areSlashes_andEveryNoteStandsOnDemand() {
        openSong("Towpath Morning");
        browser.button("Sheet").click();
        browser.press("staff and tab");
        browser.awaitTrue(() -> Engraved.count(browser, Engraved.SLASHES) > 0);
        assertEquals(0, Engraved.count(browser, Engraved.HEADS));
        browser.press("every note");
        browser.awaitTrue(() -> Engraved.count(browser, Engraved.HEADS) > 0);
        assertEquals(0, Engraved.count(browser, Engraved.SLASHES));
        browser.driver().navigate().refresh();
        browser.awaitTrue(() -> Engraved.count(browser, Engraved.HEADS) > 0);
    }

    @Test
    void staffAndTab_ofTwoGuitarsInLargeType_haveEveryNoteOnPaper() throws Exception {
        browser.go(application.address());
        List<?> facts = (List<?>) browser.driver().executeAsyncScript(WITH_A_SECOND_GUITAR, "Towpath Morning");
        browser.go(application.address() + "/songs/" + facts.get(0) + "/sheet");
        browser.button("staff and tab").click();
        browser.button("large type").click();
        browser.button("every note").click();
        browser.awaitTrue(() -> browser.driver()
                        .findElements(By.cssSelector("[aria-label='Staff and tab'][aria-busy=false]"))
                        .size()
                == 2);
        browser.find(By.cssSelector("[data-testid=system] svg"));
        List<String> pages = Printed.pages(browser);
        long heads = Engraved.HEADS.matcher(String.join("", pages)).results().count();
        assertEquals(facts.get(1), heads);
        assertTrue(pages.stream().allMatch(p -> Engraved.HEADS.matcher(p).find()), "no page is blank");
    }

    @Test
    void words_inLargeType_haveEverySectionAndChordOnPaper() throws Exception {
        openSong("Slow Water");
        browser.button("Sheet").click();
        browser.button("large type").click();
        browser.find(By.cssSelector("main svg"));
        String text = String.join("", Printed.pages(browser));
        for (String word : List.of("Slow Water", "Verse", "water")) {
            assertTrue(text.contains(word), text);
        }
    }
}
