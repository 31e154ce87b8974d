package underhand.server.drills;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.practice.Calibration;
import underhand.practice.DrillLog;
import underhand.practice.Run;
import underhand.server.players.MeasuredHands;
import underhand.server.storage.Writes;

/** What players ran, and what it says of their speed. */
@Component
class DrillLogs implements MeasuredHands {

    /** Runs of a player that are looked at, the latest. */
    private static final int MOST = 5000;

    /** Runs that tell how fast a player is now. */
    private static final int OF_LATE = 300;

    private final DrillRunRepository runs;
    private final Writes writes;

    /** A restored book is another one soon enough. */
    private final Cache<Hand, Calibration> calibrations = Caffeine.newBuilder()
            .maximumSize(200)
            .expireAfterWrite(Duration.ofSeconds(20))
            .build();

    private final Cache<Long, Set<Shape>> mastered = Caffeine.newBuilder()
            .maximumSize(200)
            .expireAfterWrite(Duration.ofSeconds(20))
            .build();

    private record Hand(Long playerId, int rung, Optional<Instant> from) {}

    DrillLogs(DrillRunRepository runs, Writes writes) {
        this.runs = runs;
        this.writes = writes;
    }

    /** @param playerId null for the adult hand */
    List<Run> of(Long playerId) {
        return of(playerId, MOST);
    }

    private List<Run> of(Long playerId, int most) {
        List<DrillRunEntity> found = playerId == null
                ? runs.findByPlayerIdIsNullOrderByRunAtDesc(Limit.of(most))
                : runs.findByPlayerIdOrderByRunAtDesc(playerId, Limit.of(most));
        return found.stream().map(DrillRunEntity::toRun).toList();
    }

    void add(Long playerId, List<Run> added) {
        writes.in(() -> runs.saveAll(
                added.stream().map(run -> new DrillRunEntity(playerId, run)).toList()));
        calibrations.invalidateAll();
        mastered.invalidateAll();
    }

    /** @param from runs before that time say nothing any more */
    Calibration calibration(Long playerId, int rung, Optional<Instant> from) {
        return calibrations.get(new Hand(playerId, rung, from), hand -> {
            List<Run> counted = of(playerId, OF_LATE).stream()
                    .filter(run -> from.isEmpty() || !run.at().isBefore(from.get()))
                    .toList();
            return Calibration.of(counted, Rung.of(rung));
        });
    }

    @Override
    public Set<Shape> mastered(long playerId) {
        return mastered.get(playerId, player -> new DrillLog(of(player, OF_LATE), ZoneOffset.UTC).mastered());
    }

    @Override
    public double factor(long playerId, int rung, Optional<Instant> from) {
        return calibration(playerId, rung, from).factor();
    }
}
