package underhand.server.drills;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.OptionalDouble;
import underhand.practice.Run;
import underhand.practice.Run.Result;

/** A run as it lies in the book and in backups. */
record StoredRun(
        String drill,
        String result,
        int tempo,
        @Schema(nullable = true) Double seconds) {

    static StoredRun of(Run run) {
        return new StoredRun(
                run.drill(),
                run.result().id(),
                run.tempo(),
                run.seconds().isPresent() ? run.seconds().getAsDouble() : null);
    }

    /** @throws RuntimeException naming what of it cannot be */
    Run toRun(Instant at) {
        OptionalDouble measured = seconds == null ? OptionalDouble.empty() : OptionalDouble.of(seconds);
        return new Run(drill, Result.parse(result), tempo, measured, at);
    }
}
