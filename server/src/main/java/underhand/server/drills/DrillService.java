package underhand.server.drills;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import underhand.hand.Rung;
import underhand.practice.Calibration;
import underhand.practice.Drill;
import underhand.practice.DrillLog;
import underhand.practice.DrillPlan;
import underhand.practice.DrillPlan.Candidate;
import underhand.practice.Forecast;
import underhand.practice.Run;
import underhand.practice.SimulatedPlayer;
import underhand.server.arrangements.ArrangementService;
import underhand.server.arrangements.ArrangementService.Task;
import underhand.server.players.PlayerService;
import underhand.server.songs.SongService;

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

    /** What fits into the minutes today. */
    DrillPlan plan(Long playerId, int minutes, ZoneId zone) {
        OptionalInt barres = playerId == null
                ? OptionalInt.empty()
                : players.practice(playerId).mostBarres();
        return DrillPlan.of(candidates(playerId), log(playerId, zone), minutes, barres, LocalDate.now(zone));
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

    /** A song with when it will hold its tempo. */
    record SongForecast(long song, String title, Forecast forecast) {}

    /** The songs that were practised last, each with when it will hold its tempo. */
    List<SongForecast> forecasts(Long playerId, ZoneId zone) {
        DrillLog log = log(playerId, zone);
        Map<Long, List<Candidate>> bySong = candidates(playerId).stream()
                .collect(Collectors.groupingBy(Candidate::song, LinkedHashMap::new, Collectors.toList()));
        return bySong.entrySet().stream()
                .map(song -> {
                    List<Drill> drills =
                            song.getValue().stream().map(Candidate::drill).toList();
                    int tempo = drills.get(0).tempo();
                    return new SongForecast(
                            song.getKey(),
                            song.getValue().get(0).title(),
                            Forecast.of(drills, tempo, log, LocalDate.now(zone)));
                })
                .toList();
    }

    private void checkPlayer(Long playerId) {
        if (playerId != null) {
            players.hand(playerId);
        }
    }

    private int rung(Long playerId) {
        return playerId == null ? USUAL_RUNG : players.rung(playerId);
    }

    private List<Candidate> candidates(Long playerId) {
        List<Candidate> candidates = new ArrayList<>();
        for (SongService.ToPractise song : songs.toPractise(SONGS)) {
            Task task = arrangements.task(
                    playerId == null ? song.asked() : song.asked().by(playerId, rung(playerId)));
            candidates.addAll(arrangements.planned(
                    task, () -> Candidate.of(arrangements.roughly(task).arrangement(), song.id(), song.title())));
        }
        return candidates;
    }

    /** Fills the log of the adult hand with some weeks of a simulated player, for the demo. */
    public void simulate(int weeks, Instant until) {
        logs.add(null, new SimulatedPlayer(Rung.of(USUAL_RUNG), 1, weeks).practise(candidates(null), weeks, until));
    }
}
