package underhand.server.demo;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import underhand.server.songs.SongService;

/** Fills an empty book with the demo songs; a book that has songs is left as it is. */
@Component
@ConditionalOnProperty("underhand.demo")
class DemoBook implements ApplicationRunner {

    private record DemoSong(String file, int rung) {}

    private static final List<DemoSong> SONGS = List.of(
            new DemoSong("towpath-morning.txt", 2),
            new DemoSong("lock-keepers-waltz.txt", 2),
            new DemoSong("slow-water.txt", 3));

    private final SongService songs;

    DemoBook(SongService songs) {
        this.songs = songs;
    }

    @Override
    public void run(ApplicationArguments args) throws IOException {
        if (songs.isEmpty()) {
            for (DemoSong song : SONGS) {
                songs.add(read(song.file()), song.rung());
            }
        }
    }

    private static String read(String file) throws IOException {
        return new ClassPathResource("demo/" + file).getContentAsString(StandardCharsets.UTF_8);
    }
}
