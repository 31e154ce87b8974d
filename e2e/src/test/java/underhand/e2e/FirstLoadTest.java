package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a browser that was never here is sent before the songbook stands, and how soon it does; docs/performance.md has figures. */
class FirstLoadTest extends InDemoBook {

    private static final double MOST_SENT = 300_000;

    private static final String LOADED = """
            const done = arguments[0];
            const tell = () => {
              const painted = performance.getEntriesByName('first-contentful-paint')[0]?.startTime;
              if (!painted || !document.querySelector('main')) {
                return setTimeout(tell, 20);
              }
              const sent = [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')]
                .filter(entry => entry.startTime < painted && !entry.name.includes('/api/'));
              done({ painted, sent: sent.reduce((sum, entry) => sum + entry.transferSize, 0) });
            };
            tell();
            """;

    private static final String CODE_OF_ALL_VIEWS = """
            const done = arguments[0];
            const wanted = ['BenchView', 'SheetView', 'ShapesView', 'NeckMapView', 'DrillsView', 'bravura', 'player'];
            const tell = () => wanted.every(part => performance.getEntriesByType('resource')
                .some(entry => entry.name.includes('/' + part + '-'))) ? done(true) : setTimeout(tell, 50);
            tell();
            """;

    @Test
    void firstLoad_isSmall_andAllElseFollowsByItself() throws Exception {
        try (Browser fresh = Browser.openForMeasuring()) {
            fresh.go(application.address());
            Map<?, ?> loaded = (Map<?, ?>) fresh.driver().executeAsyncScript(LOADED);
            double sent = ((Number) loaded.get("sent")).doubleValue();
            double painted = ((Number) loaded.get("painted")).doubleValue();
            System.out.printf("first load %.0f kB, painted after %.0f ms%n", sent / 1000, painted);
            assertTrue(sent > 0 && sent < MOST_SENT, sent + " bytes");
            fresh.driver().executeAsyncScript(CODE_OF_ALL_VIEWS);
        }
    }
}
