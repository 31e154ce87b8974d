package underhand.practice;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.format.text.ChartTextReader;
import underhand.hand.Grip;
import underhand.hand.Rung;
import underhand.practice.DrillPlan.Candidate;
import underhand.practice.DrillPlan.Day;
import underhand.practice.DrillPlan.Planned;
import underhand.settings.ArrangementSettings;
import underhand.solve.TimedChange;

/**
 * Minutes until a simulated player holds a song's tempo: by the plan, by playing the whole song at the tempo its slowest change
 * holds, and by drills drawn at random. The law by which it learns is older than the plan and is not touched here.
 */
class PracticeStudyTest {

    private static final int SEEDS = Integer.getInteger("study.seeds", 8);
    private static final int MINUTES_A_DAY = 20;
    private static final int MOST_MINUTES = 2000;
    private static final LocalDate START = LocalDate.of(2026, 1, 5);

    /** Times a change is made in what the law counts as one run: a minute and a half of two bars, there and back, at 60 beats. */
    private static final double CHANGES_A_RUN = 11;

    /** Of a drill's time one half is rest; of playing a song through a quarter. */
    private static final double REST_OF_A_DRILL = 0.5;

    private static final double REST_OF_A_SONG = 0.25;

    /** A grip is held and heard that long before the hand goes back, where a drill has no bars. */
    private static final double HELD_SECONDS = 1;

    private static final int BEATS_THERE_AND_BACK = 8;

    private static final int BEATS_A_BAR = 4;

    /** Of the tempo that nothing more can be won of. */
    private static final double AT_EASE = 0.9;

    private static final String[] CHORDS = {
        "C", "D", "E", "F", "G", "A", "Bb", "Am", "Bm", "Cm", "Dm", "Em", "F#m", "Gm", "C7", "D7", "E7", "A7", "B7",
        "Cmaj7", "Fmaj7", "Am7", "Dm7", "Em7"
    };

    /** A song of three sections, its changes with how often they come, and its tempo: what the hand holds once it has learnt all. */
    private record Studied(List<Candidate> candidates, Map<String, Integer> changes, int bars, double tempo) {

        static Studied of(Random random, SimulatedPlayer hand) {
            String verse = line(random);
            String chorus = line(random);
            String bridge = line(random);
            String chart = String.join(
                    "\n",
                    "[Verse]",
                    verse,
                    verse,
                    "[Chorus]",
                    chorus,
                    chorus,
                    "[Verse]",
                    verse,
                    verse,
                    "[Chorus]",
                    chorus,
                    chorus,
                    "[Bridge]",
                    bridge,
                    "[Chorus]",
                    chorus,
                    chorus);
            Arrangement part = arranged(chart);
            Map<String, Integer> changes = changes(part);
            for (int again = 0; again < 3; again++) {
                part = arranged("tempo: " + (int) Math.ceil(learnt(changes, hand)) + "\n" + chart);
                changes = changes(part);
            }
            double tempo = Math.min(part.tempo(), learnt(changes, hand));
            int bars =
                    part.placements().get(part.placements().size() - 1).slot().bar();
            return new Studied(Candidate.of(part, List.of(), 1, "A song"), changes, bars, tempo);
        }

        private static Arrangement arranged(String chart) {
            return new Arranger()
                    .arrange(
                            ChartTextReader.read(chart).chart(),
                            ArrangementSettings.ofRung(3).withCapo(0));
        }

        /** How often each change comes. */
        private static Map<String, Integer> changes(Arrangement part) {
            Map<String, Integer> changes = new HashMap<>();
            for (TimedChange change : part.changes()) {
                if (change.change().neededSeconds() > 0) {
                    String id = DrillId.of(
                                    DrillKind.LOOP, grip(part, change.from()), grip(part, change.to()), part.board())
                            .toString();
                    changes.merge(id, 1, Integer::sum);
                }
            }
            return changes;
        }

        /** A tempo that the hand has at ease once it has learnt all. */
        private static double learnt(Map<String, Integer> changes, SimulatedPlayer hand) {
            double slowest = changes.keySet().stream()
                    .mapToDouble(hand::learntSeconds)
                    .max()
                    .orElseThrow();
            return AT_EASE * SimulatedPlayer.cleanTo(slowest);
        }

        private static String line(Random random) {
            StringBuilder line = new StringBuilder("|");
            IntStream.range(0, 4)
                    .forEach(i -> line.append(' ')
                            .append(CHORDS[random.nextInt(CHORDS.length)])
                            .append(" |"));
            return line.toString();
        }

        private static Grip grip(Arrangement part, int place) {
            return part.placements().get(place).grip().orElseThrow().grip();
        }

        /** The tempo that the hand's slowest change holds by now. */
        double holds(SimulatedPlayer hand) {
            return SimulatedPlayer.cleanTo(
                    changes.keySet().stream().mapToDouble(hand::seconds).max().orElseThrow());
        }
    }

    private interface Way {
        /** Practises for one day; the minutes it took. */
        double day(Studied song, SimulatedPlayer hand, LocalDate date);
    }

    private static SimulatedPlayer hand(long seed) {
        return new SimulatedPlayer(Rung.of(3), 1, seed);
    }

    private static double minutes(long seed, Studied song, Way way) {
        SimulatedPlayer hand = hand(seed);
        double minutes = 0;
        for (LocalDate date = START;
                song.holds(hand) < song.tempo() && minutes < MOST_MINUTES;
                date = date.plusDays(1)) {
            minutes += way.day(song, hand, date);
        }
        return minutes;
    }

    /** Runs a drill: as often there and back as its minutes allow. */
    private static Run run(SimulatedPlayer hand, Drill drill, int tempo, LocalDate date) {
        Run run = hand.run(drill.id(), tempo, date.atTime(18, 0).toInstant(ZoneOffset.UTC));
        DrillId id = DrillId.parse(drill.id());
        if (id.reached().isPresent()) {
            boolean hasBars = drill.kind() == DrillKind.LOOP || drill.kind() == DrillKind.INBAR;
            double thereAndBack =
                    hasBars ? BEATS_THERE_AND_BACK * 60.0 / tempo : 2 * (hand.seconds(drill.id()) + HELD_SECONDS);
            double runs = drill.kind().minutes() * 60 * (1 - REST_OF_A_DRILL) / thereAndBack / CHANGES_A_RUN;
            hand.repeat(drill.id(), Math.max(0, runs - 1));
            String back = new DrillId(id.kind(), id.to().orElseThrow(), Optional.of(id.from()), id.capo(), id.tuning())
                    .toString();
            hand.repeat(back, runs);
        }
        return run;
    }

    private static Way byThePlan() {
        List<Run> runs = new ArrayList<>();
        return (song, hand, date) -> {
            double minutes = 0;
            DrillLog log = new DrillLog(runs, ZoneOffset.UTC);
            for (Planned planned : DrillPlan.of(song.candidates(), log, Day.of(date, MINUTES_A_DAY))
                    .drills()) {
                runs.add(run(hand, planned.drill(), planned.tempo(), date));
                minutes += planned.minutes();
                if (song.holds(hand) >= song.tempo()) {
                    return minutes;
                }
            }
            return minutes;
        };
    }

    private static Way wholeSong() {
        return (song, hand, date) -> {
            double tempo = Math.min(song.tempo(), song.holds(hand));
            song.changes().forEach((change, times) -> hand.repeat(change, times / CHANGES_A_RUN));
            return song.bars() * BEATS_A_BAR / tempo / (1 - REST_OF_A_SONG);
        };
    }

    private static Way atRandom(long seed) {
        Random random = new Random(seed);
        return (song, hand, date) -> {
            Drill drill = song.candidates()
                    .get(random.nextInt(song.candidates().size()))
                    .drill();
            run(hand, drill, (int) Math.max(30, Math.min(song.tempo(), song.holds(hand))), date);
            return drill.kind().minutes();
        };
    }

    @Test
    void thePlanNeedsFewerMinutesThanTheWholeSongAndThanDrillsAtRandom() {
        int beforeWhole = 0;
        int beforeRandom = 0;
        double[] sums = new double[3];
        List<Integer> lost = new ArrayList<>();
        for (int seed = 0; seed < SEEDS; seed++) {
            Studied song = Studied.of(new Random(seed), hand(seed));
            double plan = minutes(seed, song, byThePlan());
            double whole = minutes(seed, song, wholeSong());
            double random = minutes(seed, song, atRandom(seed));
            sums[0] += plan;
            sums[1] += whole;
            sums[2] += random;
            beforeWhole += plan < whole ? 1 : 0;
            beforeRandom += plan < random ? 1 : 0;
            if (plan >= whole) {
                lost.add(seed);
            }
        }
        System.out.printf(
                "practice: minutes to a song's tempo over %d songs: by the plan %.0f, the whole song %.0f, drills at random %.0f. The plan"
                        + " before the whole song %d times (not with seeds %s), before random drills %d times.%n",
                SEEDS, sums[0] / SEEDS, sums[1] / SEEDS, sums[2] / SEEDS, beforeWhole, lost, beforeRandom);
        assertTrue(sums[0] < sums[1] && sums[0] < sums[2], "the plan takes longer");
    }
}
