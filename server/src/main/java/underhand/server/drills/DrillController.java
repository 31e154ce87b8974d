package underhand.server.drills;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import underhand.neck.Guitar;
import underhand.practice.Calibration;
import underhand.practice.DrillLog;
import underhand.practice.DrillPlan;
import underhand.practice.Forecast;
import underhand.practice.Run;
import underhand.server.arrangements.ArrangementView.NeckView;
import underhand.server.platform.InputException;
import underhand.server.shapes.GripView;

/** The drill book over HTTP. A player is named by id; without one it is the adult hand's book. */
@RestController
@RequestMapping("/api/v1/drills")
class DrillController {

    private static final String MINUTES = "20";
    private static final int MOST_LOGGED = 2000;
    private static final String CSV = "text/csv";
    private static final int WEEKS_BEFORE = 5;
    private static final int WEEKS_AFTER = 2;

    private final DrillService drills;

    DrillController(DrillService drills) {
        this.drills = drills;
    }

    /**
     * @param neck positions of frets and fingertips
     * @param minutes all drills take together
     * @param stopped drills that are out for today because they hurt
     * @param streak days in a row on which something was run
     */
    record PlanView(List<PlannedDrillView> drills, NeckView neck, double minutes, List<String> stopped, int streak) {}

    /**
     * @param zone whose day it is, such as {@code Europe/Berlin}
     * @param swapped drills that something else stands for today
     * @param skipped drills that are left out today, with their minutes
     * @param shortened drills that take half of their time today
     */
    @GetMapping("/plan")
    PlanView plan(
            @RequestParam(defaultValue = MINUTES) int minutes,
            @RequestParam(required = false) Long playerId,
            @RequestParam(defaultValue = "UTC") String zone,
            @RequestParam(defaultValue = "") Set<String> swapped,
            @RequestParam(defaultValue = "") Set<String> skipped,
            @RequestParam(defaultValue = "") Set<String> shortened) {
        ZoneId days = zone(zone);
        DrillPlan plan = drills.plan(playerId, minutes, days, new DrillService.Said(swapped, skipped, shortened));
        return new PlanView(
                plan.drills().stream().map(PlannedDrillView::of).toList(),
                NeckView.of(plan.drills().stream()
                        .flatMap(d -> d.drill().grips().stream())
                        .findFirst()
                        .map(g -> g.board().guitar())
                        .orElse(Guitar.ACOUSTIC)),
                plan.minutes(),
                plan.stopped(),
                drills.log(playerId, days).streak(LocalDate.now(days)));
    }

    /**
     * @param drill id from a plan
     * @param result clean, rough, missed or discomfort
     * @param tempo beats a minute it was run at
     * @param seconds measured for one change
     * @param at when, with its offset; now when missing
     */
    record RunRequest(
            String drill,

            @Schema(allowableValues = {"clean", "rough", "missed", "discomfort"})
            String result,

            Integer tempo,
            @Schema(nullable = true) Double seconds,
            @Schema(nullable = true) String at,
            @Schema(nullable = true) Long playerId) {}

    /**
     * What follows from a run.
     *
     * @param due day on which it comes again; null where nothing is known yet
     * @param advice what to do now; blank where nothing is to be said
     */
    record RanView(String drill, @Schema(nullable = true) String due, int days, double ease, String advice) {}

    @PostMapping("/log")
    @ResponseStatus(HttpStatus.CREATED)
    RanView log(@RequestBody RunRequest request) {
        if (request.drill() == null || request.result() == null) {
            String field = request.drill() == null ? "drill" : "result";
            throw InputException.field(field, field + " is missing; send a drill of the plan and how it went.");
        }
        OffsetDateTime at = at(request.at());
        Run run = new StoredRun(
                        request.drill(),
                        request.result(),
                        request.tempo() == null ? 0 : request.tempo(),
                        request.seconds())
                .toRun(at.toInstant());
        Optional<DrillLog.Due> next = drills.ran(request.playerId(), run, at.getOffset());
        boolean hurts = run.result() == Run.Result.DISCOMFORT;
        return new RanView(
                run.drill(),
                next.map(d -> d.day().toString()).orElse(null),
                next.map(DrillLog.Due::days).orElse(0),
                GripView.round(next.map(DrillLog.Due::ease).orElse(0.0)),
                hurts
                        ? "Rest now. This drill is out for today. If it lasts, see a qualified health professional or"
                                + " your teacher."
                        : "");
    }

    /** @param at with its offset, as it was said */
    record LoggedRunView(
            String drill,
            String result,
            int tempo,
            @Schema(nullable = true) Double seconds,
            String at) {}

    record LogView(
            @ArraySchema(schema = @Schema(implementation = LoggedRunView.class))
            List<LoggedRunView> runs) {}

    /** What was run, the latest first. */
    @GetMapping("/log")
    LogView log(@RequestParam(required = false) Long playerId) {
        DrillLog log = drills.log(playerId, ZoneOffset.UTC);
        int runs = log.runs().size();
        List<LoggedRunView> latest = log.runs().subList(Math.max(0, runs - MOST_LOGGED), runs).stream()
                .map(r -> new LoggedRunView(
                        r.drill(),
                        r.result().id(),
                        r.tempo(),
                        r.seconds().isPresent() ? r.seconds().getAsDouble() : null,
                        r.at().toString()))
                .toList();
        List<LoggedRunView> latestFirst = new ArrayList<>(latest);
        Collections.reverse(latestFirst);
        return new LogView(latestFirst);
    }

    /**
     * The tempo a song holds by the log.
     *
     * @param holds beats a minute that its slowest change holds
     * @param playedOn day on which it is to be played; null where none is set
     * @param state holds, soon, too_few or not_faster
     * @param day on which it will hold its tempo; null unless soon
     * @param early the day may be as early as this, four times in five
     * @param late as late as this; null where it may never come
     */
    record ForecastView(
            long song,
            String title,
            @Schema(nullable = true) String playedOn,
            int holds,
            int tempo,
            String state,
            @Schema(nullable = true) String day,
            @Schema(nullable = true) String early,
            @Schema(nullable = true) String late) {

        private static ForecastView of(DrillService.SongForecast said) {
            Forecast forecast = said.forecast();
            return new ForecastView(
                    said.song(),
                    said.title(),
                    said.playedOn().map(LocalDate::toString).orElse(null),
                    forecast.holds(),
                    forecast.tempo(),
                    forecast.state().name().toLowerCase(Locale.ROOT),
                    forecast.day().map(d -> d.expected().toString()).orElse(null),
                    forecast.day().map(d -> d.early().toString()).orElse(null),
                    forecast.day()
                            .flatMap(Forecast.Day::late)
                            .map(LocalDate::toString)
                            .orElse(null));
        }
    }

    /** The songs that were practised last, and when each will hold its tempo. */
    @GetMapping("/forecast")
    List<ForecastView> forecast(
            @RequestParam(required = false) Long playerId, @RequestParam(defaultValue = "UTC") String zone) {
        return drills.forecasts(playerId, zone(zone)).stream()
                .map(ForecastView::of)
                .toList();
    }

    /** Everything that was run, as a table. */
    @GetMapping(value = "/log.csv", produces = CSV)
    ResponseEntity<String> table(@RequestParam(required = false) Long playerId) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"drill-log.csv\"")
                .body(DrillCsv.write(drills.log(playerId, ZoneOffset.UTC).runs()));
    }

    /** @param known runs of the table that were in the log before */
    record TakenView(int added, int known) {}

    /** Adds the runs of a table that are not in the log yet; all of them or, where a line cannot be read, none. */
    @PostMapping(value = "/log.csv", consumes = CSV)
    TakenView take(@RequestBody String table, @RequestParam(required = false) Long playerId) {
        List<Run> runs = DrillCsv.read(table);
        int added = drills.take(playerId, runs);
        return new TakenView(added, runs.size() - added);
    }

    /** @param value times the default */
    record CalibrationTermView(String name, double value, double error, int count) {}

    /**
     * What the log says of a player's speed.
     *
     * @param used whether parts of this player go by it
     * @param error root mean square in seconds on runs that were held back
     * @param mastered shapes that are the player's own by now
     * @param needed runs with measured seconds before anything is said
     */
    record CalibrationView(
            List<CalibrationTermView> terms,
            int count,
            int needed,
            boolean used,
            double factor,
            double error,
            double defaultError,
            List<String> mastered,
            String words) {}

    @GetMapping("/calibration")
    CalibrationView calibration(@RequestParam(required = false) Long playerId) {
        Calibration found = drills.calibration(playerId);
        return new CalibrationView(
                found.terms().stream()
                        .map(t -> new CalibrationTermView(
                                t.name(), GripView.round(t.value()), GripView.round(t.error()), t.count()))
                        .toList(),
                found.count(),
                Calibration.FEWEST,
                found.used(),
                GripView.round(found.factor()),
                GripView.round(found.error()),
                GripView.round(found.defaultError()),
                drills.mastered(playerId),
                words(found, playerId != null));
    }

    private static String words(Calibration found, boolean ofPlayer) {
        if (found.count() < Calibration.FEWEST) {
            return "Too few measured runs yet: " + found.count() + " of " + Calibration.FEWEST + ".";
        }
        if (!found.used()) {
            return "The log tells no more than the rung does, so nothing is changed by it.";
        }
        long percent = Math.round(100 * Math.abs(1 - found.factor()));
        return percent == 0
                ? "Your changes take as long as your rung expects."
                : "Your changes take " + percent + "% " + (found.factor() < 1 ? "less" : "more")
                        + " time than your rung expects"
                        + (ofPlayer ? "; your parts go by that." : ". A player's own parts would go by that.")
                        + " How far the hand stretches is never changed by it.";
    }

    /** Six changes of a player's songs, the easiest first: timed, they tell how fast this hand is. */
    @GetMapping("/timed")
    List<TimedChangeView> timed(
            @RequestParam(required = false) Long playerId, @RequestParam(defaultValue = "UTC") String zone) {
        return drills.timed(playerId, zone(zone)).stream()
                .map(TimedChangeView::of)
                .toList();
    }

    /**
     * How things went from day to day.
     *
     * @param of change or kind: the tempo of clean runs; song: the tempo it held; seconds: those measured of each change
     */
    @GetMapping("/curves")
    List<CurveView> curves(
            @RequestParam(required = false) Long playerId,
            @RequestParam(defaultValue = "UTC") String zone,
            @Parameter(schema = @Schema(allowableValues = {"change", "song", "kind", "seconds"}))
                    @RequestParam(defaultValue = "change")
                    String of) {
        return drills.curves(playerId, zone(zone), of(of)).stream()
                .map(CurveView::of)
                .toList();
    }

    private static DrillService.Of of(String said) {
        try {
            return DrillService.Of.valueOf(said.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException unknown) {
            throw InputException.field(
                    "of", "Curves are drawn of change, song, kind or seconds, not of \"" + said + "\".");
        }
    }

    /** Whole weeks around today: what was run, and what comes again. */
    @GetMapping("/calendar")
    List<CalendarDayView> calendar(
            @RequestParam(required = false) Long playerId, @RequestParam(defaultValue = "UTC") String zone) {
        ZoneId days = zone(zone);
        return drills.log(playerId, days).calendar(LocalDate.now(days), WEEKS_BEFORE, WEEKS_AFTER).stream()
                .map(CalendarDayView::of)
                .toList();
    }

    private static ZoneId zone(String zone) {
        try {
            return ZoneId.of(zone);
        } catch (DateTimeException e) {
            throw InputException.field("zone", "\"" + zone + "\" is no time zone; send one such as Europe/Berlin.");
        }
    }

    private static OffsetDateTime at(String said) {
        if (said == null || said.isBlank()) {
            return Instant.now().atOffset(ZoneOffset.UTC);
        }
        try {
            return OffsetDateTime.parse(said);
        } catch (DateTimeException e) {
            throw InputException.field(
                    "at", "\"" + said + "\" is no point of time; send one such as 2026-11-28T18:30:00+01:00.");
        }
    }
}
