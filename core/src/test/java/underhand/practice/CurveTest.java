package underhand.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import underhand.practice.Curve.Point;
import underhand.practice.DrillLog.CalendarDay;
import underhand.practice.DrillPlan.Candidate;
import underhand.practice.Run.Result;

/** Curves and calendar against logs whose every number is known. */
class CurveTest {

    private static final LocalDate DAY = LocalDate.of(2026, 5, 20);
    private static final String FIRST = "x32010/-32-1->x02210/--231-@0 E2 A2 D3 G3 B3 E4";
    private static final String SECOND = "320003/21---3>x32010/-32-1-@0 E2 A2 D3 G3 B3 E4";

    private static Run run(String kind, String change, Result result, int tempo, double seconds, int day) {
        return new Run(
                kind + ":" + change,
                result,
                tempo,
                seconds > 0 ? OptionalDouble.of(seconds) : OptionalDouble.empty(),
                DAY.plusDays(day).atTime(18, 0).toInstant(ZoneOffset.UTC));
    }

    private static final DrillLog LOG = new DrillLog(
            List.of(
                    run("loop", FIRST, Result.CLEAN, 60, 0.9, 0),
                    run("anchor", FIRST, Result.CLEAN, 64, 0.7, 0),
                    run("loop", FIRST, Result.MISSED, 90, 0.8, 0),
                    run("loop", FIRST, Result.CLEAN, 70, 0, 2),
                    run("loop", FIRST, Result.ROUGH, 76, 0.5, 3),
                    run("loop", SECOND, Result.CLEAN, 50, 0, 3),
                    run("pattern", "ballad", Result.CLEAN, 80, 0, 3),
                    run("pattern", "ballad", Result.CLEAN, 84, 0, 4)),
            ZoneOffset.UTC);

    @Test
    void aChangeHasTheFastestCleanRunOfEachDay_whateverTheDrill() {
        List<Curve> curves = Curve.tempoOfChanges(LOG);
        assertEquals(
                List.of("x32010 to x02210", "ballad"),
                curves.stream().map(Curve::name).toList());
        assertEquals(
                List.of(new Point(DAY, 64), new Point(DAY.plusDays(2), 70)),
                curves.get(0).points());
        assertEquals(3, curves.get(0).runs());
    }

    @Test
    void secondsAreTheMiddleOfADay_cleanOrNot() {
        List<Curve> curves = Curve.secondsOfChanges(LOG);
        assertEquals(1, curves.size());
        assertEquals(
                List.of(new Point(DAY, 0.8), new Point(DAY.plusDays(3), 0.5)),
                curves.get(0).points());
    }

    @Test
    void kindsOfDrillsHaveTheirOwnCurves() {
        List<Curve> curves = Curve.tempoOfKinds(LOG);
        assertEquals(
                List.of("loop", "pattern"), curves.stream().map(Curve::name).toList());
        assertEquals(
                List.of(new Point(DAY.plusDays(3), 80), new Point(DAY.plusDays(4), 84)),
                curves.get(1).points());
    }

    /** A song holds what its slowest change holds: what the hand is expected to, until that one is run. */
    @Test
    void aSongHoldsWhatItsSlowestChangeHolds() {
        List<Candidate> song = new ArrayList<>();
        for (String change : List.of(FIRST, SECOND)) {
            song.add(new Candidate(
                    new Drill(
                            "loop:" + change,
                            DrillKind.LOOP,
                            "",
                            "",
                            Optional.empty(),
                            1,
                            1,
                            100,
                            66,
                            Set.of(),
                            Optional.empty(),
                            List.of()),
                    7,
                    "A song"));
        }
        Curve curve = Curve.tempoOfSongs(song, LOG).get(0);
        assertEquals("A song", curve.name());
        assertEquals(
                List.of(64.0, 66.0, 50.0, 50.0),
                curve.points().stream().map(Point::value).toList());
    }

    /** 20 May 2026 is a Wednesday. */
    @Test
    void theCalendarHasWholeWeeks_runsAndWhatComesAgain() {
        LocalDate today = DAY.plusDays(5);
        List<CalendarDay> days = LOG.calendar(today, 1, 2);
        assertEquals(4 * 7, days.size());
        assertEquals(LocalDate.of(2026, 5, 18), days.get(0).day());
        CalendarDay first = days.get(2);
        assertEquals(DAY, first.day());
        assertEquals(3, first.runs());
        assertEquals(2, first.clean());
        int due = days.stream().mapToInt(CalendarDay::due).sum();
        assertEquals(4, due, "every drill comes again once");
        assertTrue(days.stream().filter(d -> d.day().isBefore(today)).allMatch(d -> d.due() == 0));
        for (String drill : List.of("loop:" + FIRST, "anchor:" + FIRST, "loop:" + SECOND, "pattern:ballad")) {
            LocalDate again = LOG.due(drill).orElseThrow().day();
            LocalDate shown = again.isBefore(today) ? today : again;
            assertTrue(days.stream().anyMatch(d -> d.day().equals(shown) && d.due() > 0), drill + " on " + again);
        }
    }
}
