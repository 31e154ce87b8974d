package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * What has been decided for a song.
 *
 * @param capo null for the fret with the least effort
 * @param tempo null for the chart's own
 */
record Decisions(
        int rung,
        String setting,
        @Schema(nullable = true) Integer capo,
        @Schema(nullable = true) Integer tempo,
        List<SongLock> locks) {

    /** @param frets shape in text form */
    record SongLock(int placement, String frets) {}

    Decisions {
        locks = locks == null ? List.of() : List.copyOf(locks);
    }
}
