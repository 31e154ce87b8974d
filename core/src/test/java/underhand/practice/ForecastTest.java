package underhand.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import underhand.practice.Forecast.State;
import underhand.practice.Run.Result;

/** When a song holds its tempo: a trend that is there is found, one that is not is not made up. */
class ForecastTest {

    private static final Instant NOW = Instant.parse("2026-05-20T18:00:00Z");
    private static final LocalDate TODAY = LocalDate.parse("2026-05-20");
    private static final int TEMPO = 100;
    private static final String CHANGE = "x32010/-32-1->x02210/--231-@0 E2 A2 D3 G3 B3 E4";
    private static final String OTHER = "320003/21---3>x32010/-32-1-@0 E2 A2 D3 G3 B3 E4";

    private static Drill drill(String kind, String change, int holds) {
        DrillKind of = DrillKind.parse(kind);
        return new Drill(
                kind + ":" + change,
                of,
                "",
                "",
                Optional.empty(),
                1,
                1,
                TEMPO,
                holds,
                Set.of(),
                Optional.empty(),
                List.of());
    }

    private static final List<Drill> SONG = List.of(drill("anchor", CHANGE, 70), drill("loop", CHANGE, 70));

    /** Clean runs on every second day, the first of them some days ago. */
    private static List<Run> runs(String change, int days, IntUnaryOperator tempo) {
        List<Run> runs = new ArrayList<>();
        for (int day = 2 * days; day > 0; day -= 2) {
            runs.add(new Run(
                    "loop:" + change,
                    Result.CLEAN,
                    tempo.applyAsInt(-day),
                    OptionalDouble.empty(),
                    NOW.minus(Duration.ofDays(day))));
        }
        return runs;
    }

    private static Forecast of(List<Drill> drills, List<Run> runs) {
        return Forecast.of(drills, TEMPO, new DrillLog(runs, ZoneOffset.UTC), TODAY);
    }

    @Test
    void aLineIsCarriedOn() {
        Forecast forecast = of(SONG, runs(CHANGE, 8, day -> 90 + day));
        assertEquals(State.SOON, forecast.state());
        assertEquals(88, forecast.holds());
        assertEquals(TODAY.plusDays(10), forecast.day().orElseThrow().expected());
        assertEquals(TODAY.plusDays(10), forecast.day().orElseThrow().early());
        assertEquals(
                Optional.of(TODAY.plusDays(10)), forecast.day().orElseThrow().late());
    }

    /** The spread holds what it says: the tempo of a further run reaches the song's between the two days four times in five. */
    @Test
    void theSpreadHoldsFourTimesInFive() {
        int within = 0;
        int told = 0;
        for (int seed = 0; seed < 400; seed++) {
            Random random = new Random(seed);
            Forecast forecast =
                    of(SONG, runs(CHANGE, 12, day -> (int) Math.round(88 + 0.8 * day + 3 * random.nextGaussian())));
            int further = 15;
            double then = 88 + 0.8 * further + 3 * random.nextGaussian();
            if (forecast.state() == State.SOON) {
                told++;
                Forecast.Day day = forecast.day().orElseThrow();
                long early = ChronoUnit.DAYS.between(TODAY, day.early());
                long late =
                        day.late().map(d -> ChronoUnit.DAYS.between(TODAY, d)).orElse(9999L);
                assertTrue(early <= late);
                // A run above the tempo before the early day, or below it after the late one, falls out of the spread.
                boolean falls = further < early && then >= TEMPO || further > late && then < TEMPO;
                within += falls ? 0 : 1;
            }
        }
        assertTrue(told > 350, told + " told");
        assertTrue(within >= 0.8 * told, within + " of " + told);
    }

    @Test
    void fewDays_sayNothing() {
        assertEquals(State.TOO_FEW, of(SONG, runs(CHANGE, 4, day -> 90 + day)).state());
        assertEquals(State.TOO_FEW, of(SONG, List.of()).state());
        assertEquals(70, of(SONG, List.of()).holds());
        List<Drill> easy = List.of(drill("loop", CHANGE, 140));
        assertEquals(State.TOO_FEW, of(easy, List.of()).state(), "what the hand is expected to hold was not played");
    }

    @Test
    void aFlatOrFallingLine_promisesNothing() {
        assertEquals(State.NOT_FASTER, of(SONG, runs(CHANGE, 10, day -> 80)).state());
        assertEquals(
                State.NOT_FASTER, of(SONG, runs(CHANGE, 10, day -> 70 - day)).state());
        assertEquals(
                State.NOT_FASTER,
                of(SONG, runs(CHANGE, 10, day -> 80 + (day % 4 == 0 ? 9 : -9))).state());
    }

    @Test
    void aSongWhoseChangesAllHold_holds() {
        Forecast forecast = of(SONG, runs(CHANGE, 8, day -> 110 + day));
        assertEquals(State.HOLDS, forecast.state());
        assertEquals(TEMPO, forecast.holds());
        assertEquals(State.HOLDS, of(List.of(), List.of()).state());
    }

    /** The slowest change decides, and one that nothing is known of comes before all that is known of others. */
    @Test
    void theSlowestChangeDecides() {
        List<Drill> both = new ArrayList<>(SONG);
        both.add(drill("loop", OTHER, 60));
        List<Run> runs = new ArrayList<>(runs(CHANGE, 8, day -> 90 + day));
        assertEquals(State.TOO_FEW, of(both, runs).state());
        assertEquals(60, of(both, runs).holds());
        runs.addAll(runs(OTHER, 8, day -> 80 + day));
        assertEquals(TODAY.plusDays(20), of(both, runs).day().orElseThrow().expected());
    }
}
