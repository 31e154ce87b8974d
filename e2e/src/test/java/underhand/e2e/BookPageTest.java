package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** A book is backed up, loses songs, and gets them back, on the page. */
class BookPageTest extends InDemoBook {

    private static final By SONGS = By.cssSelector("main li");

    private int songs() {
        browser.go(application.address() + "/");
        browser.find(SONGS);
        return browser.driver().findElements(SONGS).size();
    }

    @Test
    void backup_removeTwoSongs_restore_andUndo() throws Exception {
        browser.complaints();
        assertEquals(8, songs());
        browser.go(application.address() + "/book");
        byte[] backup = browser.saved(() -> browser.press("Save a backup"), ".zip");
        assertTrue(Archive.contents(backup).get("songs.json").contains("Towpath Morning"));
        Path file = Files.write(Files.createTempDirectory("backup").resolve("book.zip"), backup);

        browser.go(application.address() + "/");
        browser.labelled("Remove Slow Water").click();
        browser.await(By.cssSelector(".MuiSnackbar-root"), text -> text.contains("“Slow Water” was removed"));
        browser.press("Undo");
        browser.awaitTrue(() -> browser.driver().findElements(SONGS).size() == 8);
        for (String title : List.of("Slow Water", "Bilge Pump")) {
            browser.labelled("Remove " + title).click();
            browser.await(By.cssSelector(".MuiSnackbar-root"), text -> text.contains(title));
        }
        assertEquals(6, songs());

        browser.go(application.address() + "/book");
        browser.labelled("Put back Bilge Pump").click();
        browser.awaitTrue(() -> !browser.find(By.cssSelector("[aria-label='Removed songs']"))
                .getText()
                .contains("Bilge Pump"));
        assertEquals(7, songs());

        browser.go(application.address() + "/book");
        browser.find(By.cssSelector("input[type=file]")).sendKeys(file.toString());
        browser.await(By.cssSelector("[data-testid=restore-preview]"), text -> text.contains("Slow Water"));
        browser.press("Put it back");
        browser.await(By.cssSelector("[aria-label=Backup]"), text -> text.contains("The backup was put back."));
        assertEquals(
                Archive.contents(backup),
                Archive.contents(new Api(application).get("/backup").body()));
        browser.press("Undo");
        browser.await(By.cssSelector("[aria-label=Backup]"), text -> text.contains("as it was before"));
        assertEquals(7, songs());
        assertEquals(List.of(), browser.complaints());
    }

    @Test
    void aFileThatIsNoBackup_isRefusedInWords() throws Exception {
        Path file = Files.writeString(Files.createTempDirectory("none").resolve("none.zip"), "no zip at all");
        browser.go(application.address() + "/book");
        browser.find(By.cssSelector("input[type=file]")).sendKeys(file.toString());
        browser.await(By.cssSelector("[data-testid=restore-preview]"), text -> text.contains("This file is no ZIP"));
        browser.press("Leave the book as it is");
        browser.complaints();
    }

    /** A part of a song is there while two of the worst charts are worked on for others. */
    @Test
    void aPart_whileHeavyOnesRun_isThere() throws Exception {
        Api api = new Api(application);
        Thread heavy = new Thread(() -> {
            try {
                String worst = "|: A | B |1. C :|2. D :|3. E :| ".repeat(100);
                api.post("/parts/preview", Map.of("song", Map.of("chart", Map.of("source", worst), "rung", 5)));
            } catch (java.io.IOException e) {
                // The test may end before it does.
            }
        });
        heavy.start();
        browser.go(application.address() + "/songs/1");
        browser.find(By.cssSelector("[data-grip]"));
        assertTrue(browser.shapesOnTheRoad().size() > 3);
        heavy.join();
    }

    /** What somebody else stored meanwhile is not overwritten: both versions are offered. */
    @Test
    void aStaleWrite_offersBothVersions() throws Exception {
        Api api = new Api(application);
        openSong("Galley Shuffle");
        String path = browser.driver().getCurrentUrl().replaceFirst(".*/songs/", "/songs/");
        Map<String, Object> song = api.get(path).object();
        String theirs = song.get("source") + "\n| A7 |\n";
        assertEquals(200, api.change(song, theirs).status());
        press("4");
        browser.find(By.cssSelector("[role=dialog]"));
        assertEquals(theirs, api.get(path).object().get("source"));
        browser.find(By.cssSelector("[role=dialog] button.MuiButton-outlined")).click();
        browser.awaitTrue(() ->
                browser.driver().findElements(By.cssSelector("[role=dialog]")).isEmpty());
        browser.await(By.cssSelector("[role=group]"), text -> !text.contains("whole neck"));
        assertEquals(theirs, api.get(path).object().get("source"));
        browser.complaints();
    }

    @Test
    void licences_ofEverythingThatShips_areThere() {
        browser.go(application.address() + "/book");
        browser.press("Read the licence texts of everything that ships");
        browser.await(
                By.cssSelector("[aria-label=About]"), text -> text.contains("h2-") && text.contains("spring-core"));
    }
}
