package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import underhand.arrange.Setting;

/**
 * What has been decided for a song.
 *
 * @param capo null for the fret with the least effort
 * @param tempo null for the chart's own
 * @param playerId null for an adult hand
 * @param guitarId null for a steel-string acoustic in the chart's tuning
 * @param ring -1 dry to 1 ringing
 * @param motion -1 a still top line to 1 a moving one
 */
record Decisions(
        int rung,
        String setting,
        @Schema(nullable = true) Integer capo,
        @Schema(nullable = true) Integer tempo,
        List<SongLock> locks,
        @Schema(nullable = true) Long playerId,
        @Schema(nullable = true) Long guitarId,
        double ring,
        double motion) {

    /** Decisions of a song nobody has decided anything for. */
    static Decisions first(int rung, Integer capo) {
        return new Decisions(rung, Setting.ALONE.id(), capo, null, List.of(), null, null, 0, 0);
    }

    /** @param frets shape in text form */
    record SongLock(int placement, String frets) {}

    Decisions {
        locks = locks == null ? List.of() : List.copyOf(locks);
    }
}
