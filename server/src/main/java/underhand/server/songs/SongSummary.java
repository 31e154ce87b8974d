package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;

/**
 * A line of the songbook.
 *
 * @param practisedAt when it was last played along to; null when never
 */
record SongSummary(
        long id,
        String title,
        String key,
        String metre,
        int tempo,
        int bars,
        int chords,
        int faults,
        @Schema(nullable = true) Instant practisedAt) {}
