package underhand.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.format.text.ChartTextReader;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.ChangeModel;
import underhand.practice.Run.Result;
import underhand.settings.ArrangementSettings;
import underhand.solve.TimedChange;

/** The log finds a hand's true speed, and is believed only when it tells more than the default. */
class CalibrationTest {

    private static final Rung RUNG = Rung.of(3);
    private static final List<String> DRILLS = drills();

    private static List<String> drills() {
        List<String> ids = new ArrayList<>();
        for (String song :
                List.of("| G | D | Em | C |", "| F | Bb | C7 | F |", "| Am | F | C | E7 |", "| Bm | G | D | A |")) {
            DrillFinder.of(new Arranger()
                            .arrange(
                                    ChartTextReader.read(song).chart(),
                                    ArrangementSettings.ofRung(3).withCapo(0)))
                    .stream()
                    .filter(d -> !d.kind().isOfRightHand())
                    .forEach(d -> ids.add(d.id()));
        }
        return ids;
    }

    private static List<Run> runs(double factor, int count, long seed) {
        SimulatedPlayer player = new SimulatedPlayer(RUNG, factor, seed);
        Random random = new Random(seed);
        return IntStream.range(0, count)
                .mapToObj(i ->
                        player.run(DRILLS.get(random.nextInt(DRILLS.size())), 80, Instant.ofEpochSecond(3600L * i)))
                .toList();
    }

    /** A hand of some speed, and what the log finds of it. */
    private record Measured(double factor, long seed, Calibration found) {}

    /**
     * A hundred hands, none within 5% of the default. Only runs of changes a hand has learnt tell its own speed: the first dozens are
     * left out, as they are slower.
     */
    private static final List<Measured> HANDS = hands();

    private static List<Measured> hands() {
        Random random = new Random(21);
        List<Measured> hands = new ArrayList<>();
        while (hands.size() < 100) {
            double factor = 0.6 + random.nextDouble();
            if (Math.abs(factor - 1) > 0.05) {
                long seed = hands.size();
                List<Run> learnt = runs(factor, 2000, seed).subList(1700, 2000);
                hands.add(new Measured(factor, seed, Calibration.of(learnt, RUNG)));
            }
        }
        return hands;
    }

    @Test
    void factorsAreFoundWithinATenth() {
        HANDS.forEach(hand -> assertEquals(300, hand.found().count()));
        long near = HANDS.stream()
                .filter(hand -> Math.abs(hand.found().factor() / hand.factor() - 1) < 0.1)
                .count();
        assertTrue(near >= 90, near + " of " + HANDS.size());
    }

    /**
     * A song nobody practised: the tempo its changes allow the true hand, by the simulated hand's own seconds, is told better by
     * what the log found than by the default.
     */
    @Test
    void fastestTempoOfAnotherSong_isToldBetterThanByTheDefault() {
        Arrangement song = new Arranger()
                .arrange(
                        ChartTextReader.read("tempo: 96\n| Dm | Bb | Gm7 | A7 | C | Em |")
                                .chart(),
                        ArrangementSettings.ofRung(3).withCapo(0));
        long better = HANDS.stream()
                .filter(hand -> {
                    SimulatedPlayer player = new SimulatedPlayer(RUNG, hand.factor(), hand.seed());
                    double truth = song.changes().stream()
                            .mapToDouble(c -> tempo(song, c, player.learntSeconds(drill(song, c))))
                            .min()
                            .orElseThrow();
                    double byLog = fastest(song, hand.found().factor());
                    return Math.abs(byLog - truth) < Math.abs(fastest(song, 1) - truth);
                })
                .count();
        assertTrue(better >= 90, better + " of " + HANDS.size());
    }

    private static double fastest(Arrangement song, double factor) {
        return song.changes().stream()
                .mapToDouble(c -> tempo(song, c, factor * c.change().neededSeconds()))
                .min()
                .orElseThrow();
    }

    /** Beats a minute at which a change that takes so long is just in time. */
    private static double tempo(Arrangement song, TimedChange change, double seconds) {
        return song.tempo() * change.availableSeconds() / seconds;
    }

    private static String drill(Arrangement song, TimedChange change) {
        return DrillId.of(DrillKind.LOOP, grip(song, change.from()), grip(song, change.to()), song.board())
                .toString();
    }

    private static Grip grip(Arrangement song, int place) {
        return song.placements().get(place).grip().orElseThrow().grip();
    }

    /** The reference: without noise and with a far prior, ordinary least squares gives back what made the data. */
    @Test
    void termsThatMadeTheDataAreFound() {
        double[] truth = {0.8, 1.5, 1.1};
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i < 400; i++) {
            DrillId id = DrillId.parse(DRILLS.get(i % DRILLS.size()));
            ChangeModel model = new ChangeModel(id.board(), RUNG, Player.ADULT, Parameters.STANDARD);
            var parts = model.timeParts(id.left().orElseThrow(), id.reached().orElseThrow());
            double seconds = truth[0] * parts.start() + truth[1] * parts.fingers() + truth[2] * parts.way();
            runs.add(new Run(id.toString(), Result.CLEAN, 60, OptionalDouble.of(seconds), Instant.ofEpochSecond(i)));
        }
        Calibration found = Calibration.of(runs, RUNG);
        for (int i = 0; i < truth.length; i++) {
            assertEquals(truth[i], found.terms().get(i).value(), 0.05, found.toString());
        }
        assertTrue(found.used());
        assertTrue(found.error() < found.defaultError());
    }

    @Test
    void fewRunsSayNothing() {
        Calibration found = Calibration.of(runs(1.5, Calibration.FEWEST - 1, 1), RUNG);
        assertFalse(found.used());
        assertEquals(1, found.factor());
        assertEquals(Calibration.FEWEST - 1, found.count());
    }

    @Test
    void errorsShrinkWithRuns() {
        List<Run> all = runs(1.4, 2000, 5);
        double few =
                Calibration.of(all.subList(1700, 1740), RUNG).terms().get(1).error();
        double many =
                Calibration.of(all.subList(1700, 2000), RUNG).terms().get(1).error();
        assertTrue(many < few, many + " " + few);
    }

    @Test
    void theSimulatedHandLearns_andIsTheSameForASeed() {
        List<Run> runs = runs(1, 1200, 3);
        assertEquals(runs, runs(1, 1200, 3));
        double first = mean(runs.subList(0, 100));
        double last = mean(runs.subList(1100, 1200));
        assertTrue(last < 0.8 * first, last + " " + first);
    }

    private static double mean(List<Run> runs) {
        return runs.stream()
                .mapToDouble(r -> r.seconds().orElseThrow())
                .average()
                .orElseThrow();
    }
}
