package underhand.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import underhand.server.players.GuitarBuild;
import underhand.server.players.HouseRulesRequest;
import underhand.server.players.PairReach;
import underhand.server.players.PlayerLimits;
import underhand.server.players.PlayerService;
import underhand.server.songs.SongService;

/** Fills an empty book with the demo songs, players and guitars; a book that has songs is left as it is. */
@Component
@ConditionalOnProperty("underhand.demo")
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
            HouseRulesRequest.NONE);

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

    private final SongService songs;
    private final PlayerService players;

    DemoBook(SongService songs, PlayerService players) {
        this.songs = songs;
        this.players = players;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (songs.isEmpty()) {
            for (DemoSong song : SONGS) {
                songs.add(read(song.file()), song.rung());
            }
            PLAYERS.forEach(players::add);
            GUITARS.forEach(players::add);
        }
    }

    private static String read(String file) {
        try {
            return new ClassPathResource("demo/" + file).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("the demo song " + file + " is not packed with the application", e);
        }
    }
}
