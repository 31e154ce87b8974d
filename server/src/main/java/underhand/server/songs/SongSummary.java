package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import underhand.server.arrangements.ArrangementService;

/**
 * A line of the songbook.
 *
 * @param practisedAt when it was last played along to; null when never
 * @param playedOn day on which it is to be played; null where none is set
 * @param efforts what it asks of a hand on each rung; null where that is still to be worked out
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
        @Schema(nullable = true) Instant practisedAt,
        @Schema(nullable = true) LocalDate playedOn,
        @Schema(nullable = true) List<ArrangementService.RungEffort> efforts) {}
