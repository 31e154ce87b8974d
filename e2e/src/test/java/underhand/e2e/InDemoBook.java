package underhand.e2e;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/**
 * Opens the packaged application on the demo book in a browser. All classes share both, for starting them takes longer than
 * most tests; each class begins with the book as it was at first.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class InDemoBook {

    /** Key, metre and tempo, beside the title. */
    static final By KEY = By.cssSelector("[data-testid=song-key]");

    static final By FACTS = By.cssSelector("[data-testid=song-facts]");

    private static final String SNAPSHOT = """
            const done = arguments[0], get = path => fetch('/api/v1' + path).then(r => r.json());
            (async () => {
              const songs = await Promise.all((await get('/songs')).map(s => get('/songs/' + s.id)));
              done(JSON.stringify({ songs, players: await get('/players') }));
            })();
            """;

    private static final String RESTORE = """
            const first = JSON.parse(arguments[0]), done = arguments[1];
            const get = path => fetch('/api/v1' + path).then(r => r.json());
            const send = (method, path, body) => fetch('/api/v1' + path,
              { method, headers: { 'Content-Type': 'application/json' }, body: body && JSON.stringify(body) });
            (async () => {
              for (const gone of await get('/removed-songs')) {
                if (first.songs.some(s => s.id === gone.id)) {
                  await send('POST', '/removed-songs/' + gone.id + '/put-back');
                }
              }
              for (const song of await get('/songs')) {
                const was = first.songs.find(s => s.id === song.id);
                if (!was) {
                  await send('DELETE', '/songs/' + song.id);
                  continue;
                }
                const { version } = await get('/songs/' + song.id);
                await send('PUT', '/songs/' + song.id, { version, source: was.source, decisions: was.decisions });
                for (const kept of await get('/songs/' + song.id + '/versions')) {
                  await send('DELETE', '/songs/' + song.id + '/versions/' + kept.id);
                }
              }
              for (const player of await get('/players')) {
                const was = first.players.find(p => p.id === player.id);
                await (was
                  ? send('PUT', '/players/' + player.id, { version: player.version, limits: was.limits })
                  : send('DELETE', '/players/' + player.id));
              }
              for (const own of await get('/own-patterns')) {
                await send('DELETE', '/own-patterns/' + own.id);
              }
              for (const own of await get('/own-tunings')) {
                await send('DELETE', '/own-tunings/' + own.id);
              }
              for (const own of await get('/own-textures')) {
                await send('DELETE', '/own-textures/' + own.id);
              }
              localStorage.clear();
              done(true);
            })();
            """;

    private static Application sharedApplication;
    private static Browser sharedBrowser;
    private static String first;

    Path data;
    Application application;
    Browser browser;

    @BeforeAll
    void open(@TempDir Path directory) throws Exception {
        data = directory;
        if (sharedApplication == null) {
            sharedApplication = Application.start(Files.createTempDirectory("underhand-book"), true);
            sharedBrowser = Browser.open();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                sharedBrowser.close();
                sharedApplication.close();
            }));
            sharedBrowser.go(sharedApplication.address());
            first = (String) sharedBrowser.driver().executeAsyncScript(SNAPSHOT);
        } else {
            application = sharedApplication;
            browser = sharedBrowser;
            restoreBook();
        }
        application = sharedApplication;
        browser = sharedBrowser;
    }

    /** The book as it was at first, for a test that what came before would disturb. */
    void restoreBook() {
        browser.go(application.address());
        browser.driver().executeAsyncScript(RESTORE, first);
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
