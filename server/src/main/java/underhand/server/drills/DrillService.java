package underhand.server.drills;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import underhand.hand.Rung;
import underhand.practice.Calibration;
import underhand.practice.Curve;
import underhand.practice.Drill;
import underhand.practice.DrillLog;
import underhand.practice.DrillPlan;
import underhand.practice.DrillPlan.Candidate;
import underhand.practice.Forecast;
import underhand.practice.Run;
import underhand.server.arrangements.ArrangementService;
import underhand.server.arrangements.ArrangementService.Arranged;
import underhand.server.arrangements.Task;
import underhand.server.parts.PartService;
import underhand.server.players.PlayerService;
import underhand.server.players.PracticeLimits;
import underhand.server.songs.SongService;
import underhand.server.songs.SongService.ToPractise;

/** Plans what to practise from the songs that were practised last, and keeps what was run. */
@Service
public class DrillService {

    /** Songs whose drills are looked at. */
    private static final int SONGS = 4;

    /** The rung of the hand that plays where no player is chosen. */
    private static final int USUAL_RUNG = 3;

    private final SongService songs;
    private final ArrangementService arrangements;
    private final PlayerService players;
    private final DrillLogs logs;

    DrillService(SongService songs, ArrangementService arrangements, PlayerService players, DrillLogs logs) {
        this.songs = songs;
        this.arrangements = arrangements;
        this.players = players;
        this.logs = logs;
    }

    /**
     * What a player says of today's plan.
     *
     * @param swapped ids of drills that something else stands for
     * @param skipped ids of drills that are left out with their minutes
     * @param shortened ids of drills that take half of their time
     */
    record Said(Set<String> swapped, Set<String> skipped, Set<String> shortened) {}

    /** What fits into the minutes today. */
    DrillPlan plan(Long playerId, int minutes, ZoneId zone, Said said) {
        Map<Drill.Strain, Integer> caps = new EnumMap<>(Drill.Strain.class);
        if (playerId != null) {
            PracticeLimits limits = players.practice(playerId);
            limits.mostBarres().ifPresent(most -> caps.put(Drill.Strain.BARRE, most));
            limits.mostStretches().ifPresent(most -> caps.put(Drill.Strain.STRETCH, most));
        }
        LocalDate today = LocalDate.now(zone);
        List<ToPractise> practised = songs.toPractise(SONGS, today);
        Map<Long, LocalDate> played = new HashMap<>();
        practised.forEach(song -> song.playedOn().ifPresent(day -> played.put(song.id(), day)));
        return DrillPlan.of(
                candidates(playerId, practised),
                log(playerId, zone),
                new DrillPlan.Day(today, minutes, caps, said.swapped(), said.skipped(), said.shortened(), played));
    }

    /** Six changes to be timed: the easiest of a player's songs, the hardest, and what lies between them. */
    List<Drill> timed(Long playerId, ZoneId zone) {
        checkPlayer(playerId);
        return DrillPlan.timed(candidates(playerId, songs.toPractise(SONGS, LocalDate.now(zone))));
    }

    /** What a curve is drawn of. */
    enum Of {
        CHANGE,
        SONG,
        KIND,
        SECONDS
    }

    /** How things went from day to day. */
    List<Curve> curves(Long playerId, ZoneId zone, Of of) {
        DrillLog log = log(playerId, zone);
        return switch (of) {
            case CHANGE -> Curve.tempoOfChanges(log);
            case KIND -> Curve.tempoOfKinds(log);
            case SECONDS -> Curve.secondsOfChanges(log);
            case SONG -> Curve.tempoOfSongs(candidates(playerId, songs.toPractise(SONGS, LocalDate.now(zone))), log);
        };
    }

    DrillLog log(Long playerId, ZoneId zone) {
        checkPlayer(playerId);
        return new DrillLog(logs.of(playerId), zone);
    }

    /** Keeps a run; what follows for its drill, empty where the hand said stop the first time. */
    Optional<DrillLog.Due> ran(Long playerId, Run run, ZoneId zone) {
        checkPlayer(playerId);
        logs.add(playerId, List.of(run));
        return log(playerId, zone).due(run.drill());
    }

    /** Keeps the runs that are not in the log yet; how many those are. */
    int take(Long playerId, List<Run> runs) {
        record Ran(String drill, Instant at) {}
        checkPlayer(playerId);
        Set<Ran> known = logs.of(playerId).stream()
                .map(run -> new Ran(run.drill(), run.at().truncatedTo(ChronoUnit.MILLIS)))
                .collect(Collectors.toCollection(HashSet::new));
        List<Run> added = runs.stream()
                .filter(run -> known.add(new Ran(run.drill(), run.at().truncatedTo(ChronoUnit.MILLIS))))
                .toList();
        logs.add(playerId, added);
        return added.size();
    }

    Calibration calibration(Long playerId) {
        checkPlayer(playerId);
        return logs.calibration(
                playerId, rung(playerId), playerId == null ? Optional.empty() : players.measuredFrom(playerId));
    }

    /** Shapes that are a player's own by the log; none for the adult hand, which nobody is. */
    List<String> mastered(Long playerId) {
        return playerId == null
                ? List.of()
                : logs.mastered(playerId).stream()
                        .map(Object::toString)
                        .sorted()
                        .toList();
    }

    /**
     * A song with when it will hold its tempo.
     *
     * @param playedOn day on which it is to be played; empty where none is set
     */
    record SongForecast(long song, String title, Optional<LocalDate> playedOn, Forecast forecast) {}

    /** The songs that are played next or were practised last, each with when it will hold its tempo. */
    List<SongForecast> forecasts(Long playerId, ZoneId zone) {
        DrillLog log = log(playerId, zone);
        LocalDate today = LocalDate.now(zone);
        List<SongForecast> forecasts = new ArrayList<>();
        for (ToPractise song : songs.toPractise(SONGS, today)) {
            List<Drill> drills = candidates(playerId, List.of(song)).stream()
                    .map(Candidate::drill)
                    .toList();
            if (!drills.isEmpty()) {
                Forecast forecast = Forecast.of(drills, drills.get(0).tempo(), log, today);
                forecasts.add(new SongForecast(song.id(), song.title(), song.playedOn(), forecast));
            }
        }
        return forecasts;
    }

    private void checkPlayer(Long playerId) {
        if (playerId != null) {
            players.hand(playerId);
        }
    }

    private int rung(Long playerId) {
        return playerId == null ? USUAL_RUNG : players.rung(playerId);
    }

    private List<Candidate> candidates(Long playerId, List<ToPractise> practised) {
        List<Candidate> candidates = new ArrayList<>();
        for (ToPractise song : practised) {
            Task task = arrangements.task(
                    playerId == null ? song.asked() : song.asked().by(playerId, rung(playerId)));
            candidates.addAll(arrangements.planned(task, () -> {
                Arranged arranged = arrangements.roughly(task);
                return Candidate.of(
                        arranged.arrangement(),
                        PartService.fills(arranged, song.asked().fills()),
                        song.id(),
                        song.title());
            }));
        }
        return candidates;
    }

    /** Fills the log of the adult hand with some weeks of a simulated player, for the demo. */
    public void simulate(int weeks, Instant until) {
        List<Candidate> candidates =
                candidates(null, songs.toPractise(SONGS, LocalDate.ofInstant(until, ZoneOffset.UTC)));
        logs.add(null, DrillLog.simulated(candidates, Rung.of(USUAL_RUNG), weeks, until));
    }
}
