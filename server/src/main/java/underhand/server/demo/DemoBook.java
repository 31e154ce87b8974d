package underhand.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import underhand.server.drills.DrillService;
import underhand.server.players.GuitarBuild;
import underhand.server.players.HouseRulesRequest;
import underhand.server.players.PairReach;
import underhand.server.players.PlayerLimits;
import underhand.server.players.PlayerService;
import underhand.server.songs.SongService;
import underhand.server.storage.BookFacts;
import underhand.server.storage.Writes;

/**
 * Fills a new book with the demo songs, players and guitars, when the demo is asked for. A book remembers what it was made for:
 * the demo never adds to anybody's own.
 */
@Component
class DemoBook implements SmartInitializingSingleton {

    private record DemoSong(String file, int rung) {}

    private static final List<DemoSong> SONGS = List.of(
            new DemoSong("towpath-morning.txt", 2),
            new DemoSong("lock-keepers-waltz.txt", 2),
            new DemoSong("slow-water.txt", 3),
            new DemoSong("long-pound.txt", 3),
            new DemoSong("galley-shuffle.txt", 3),
            new DemoSong("reflections-at-seven.txt", 4),
            new DemoSong("bilge-pump.txt", 2),
            new DemoSong("heron-standing.txt", 2));

    private static final PlayerLimits EVENING_CLASS = new PlayerLimits(
            "Evening-class regular",
            4,
            105,
            140,
            List.of(new PairReach("1-2", 50, 68)),
            true,
            0.9,
            List.of("x-7-6-8-x-x"),
            false,
            HouseRulesRequest.NONE,
            null);

    private static final List<PlayerLimits> PLAYERS = List.of(
            PlayerLimits.of("First-year hand", 1, 85, 110, 1.2),
            PlayerLimits.of("Steady strummer", 2, 95, 125, 1.0),
            EVENING_CLASS);

    private static final String STANDARD = "E2 A2 D3 G3 B3 E4";

    /** Lengths and spreads are usual ones, from memory. */
    private static final List<GuitarBuild> GUITARS = List.of(
            new GuitarBuild("Galley acoustic", "acoustic", 648, 36, 52, 20, STANDARD),
            new GuitarBuild("Saloon nylon-string", "nylon", 650, 43, 58, 19, STANDARD),
            new GuitarBuild("Engine-room electric", "electric", 628, 35, 51, 22, STANDARD));

    private static final String MADE_FOR = "made for";
    private static final String DEMO = "demo";
    private static final String OWN = "own";

    /** So long a simulated player has practised the demo. */
    private static final int WEEKS_PRACTISED = 6;

    private final DrillService drills;
    private final SongService songs;
    private final PlayerService players;
    private final BookFacts facts;
    private final Writes writes;
    private final boolean isDemo;
    private final boolean hasLog;
    private boolean isFresh;

    DemoBook(
            DrillService drills,
            SongService songs,
            PlayerService players,
            BookFacts facts,
            Writes writes,
            @Value("${underhand.demo}") boolean isDemo,
            @Value("${underhand.demo-log:true}") boolean hasLog) {
        this.drills = drills;
        this.songs = songs;
        this.players = players;
        this.facts = facts;
        this.writes = writes;
        this.isDemo = isDemo;
        this.hasLog = hasLog;
    }

    @Override
    public void afterSingletonsInstantiated() {
        Optional<String> madeFor = facts.get(MADE_FOR);
        boolean isNew = madeFor.isEmpty() && songs.isUntouched() && players.isUntouched();
        if (isNew && isDemo) {
            writes.in(this::fill);
            isFresh = true;
        } else if (madeFor.isEmpty()) {
            facts.set(MADE_FOR, OWN);
        }
        if (isDemo && !isNew && !madeFor.equals(Optional.of(DEMO))) {
            System.out.println(
                    "This book is your own, so the demo songs stay out of it. Choose another directory with --data"
                            + " to see them.");
        }
    }

    /** Practises the songs once they are there; planning all of them takes some seconds, for which nobody waits. */
    @EventListener(ApplicationReadyEvent.class)
    void practise() {
        if (isFresh && hasLog) {
            Thread hand = new Thread(this::practised, "demo-log");
            hand.setDaemon(true);
            hand.start();
        }
    }

    private void practised() {
        try {
            drills.simulate(WEEKS_PRACTISED, Instant.now());
        } catch (RuntimeException stopped) {
            // Underhand was stopped before it was done: the demo has no log then.
            LoggerFactory.getLogger(DemoBook.class).debug("the demo has no log", stopped);
        }
    }

    private void fill() {
        for (DemoSong song : SONGS) {
            songs.add(read(song.file()), song.rung());
        }
        PLAYERS.forEach(players.players()::add);
        GUITARS.forEach(players.guitars()::add);
        facts.set(MADE_FOR, DEMO);
    }

    private static String read(String file) {
        try {
            return new ClassPathResource("demo/" + file).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("the demo song " + file + " is not packed with the application", e);
        }
    }
}
