package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.hand.Parameters;
import underhand.hand.Rung;
import underhand.neck.Shape;
import underhand.repertoire.GripPool;
import underhand.repertoire.KnownGrips;
import underhand.settings.ArrangementSettings;
import underhand.settings.FrettingHand;
import underhand.settings.Lock;
import underhand.settings.Setting;

/** What is kept of earlier songs and dials changes the time an arrangement takes, and nothing else. */
class GripStoreTest {

    private static final List<Chart> SONGS = List.of(
            chart("| G | Em7 | Cadd9 | D |\n| Am7 | D7 | Bm7 | E7 |"),
            chart("| Em7 | A7 | D | D |\n| Em7 | A7 | D | G |"),
            chart("| Bbmaj7 | Gm7 | Cm7 F7 | Bb6 |"));

    private static final int TURNS = 40;

    private record Turn(Chart chart, ArrangementSettings settings, boolean isPriced) {

        static Turn at(Random random) {
            ArrangementSettings settings = ArrangementSettings.ofRung(1 + random.nextInt(Rung.HIGHEST))
                    .withSetting(
                            List.of(Setting.ALONE, Setting.SINGER, Setting.BASS).get(random.nextInt(3)))
                    .withCapo(random.nextInt(4))
                    .withTempo(60 + 40 * random.nextInt(3))
                    .withLocks(random.nextInt(3) == 0 ? List.of(Lock.onShape(0, Shape.parse("320003"))) : List.of());
            return new Turn(SONGS.get(random.nextInt(SONGS.size())), settings, random.nextInt(4) == 0);
        }

        /** Every grip, change and price to the last digit. */
        String arranged(Arranger arranger) {
            Sweep sweep = arranger.sweep(chart, settings);
            Arrangement arrangement = isPriced
                    ? sweep.priced(settings.capo())
                    : sweep.alone(settings.capo().orElseThrow());
            return arrangement.toString();
        }
    }

    private static Chart chart(String bars) {
        return ChartTextReader.read("title: Made up\n" + bars).chart();
    }

    private static List<Turn> turns(long seed) {
        Random random = new Random(seed);
        List<Turn> turns = new ArrayList<>();
        for (int i = 0; i < TURNS; i++) {
            turns.add(Turn.at(random));
        }
        return turns;
    }

    @Test
    void arrange_dialsTurnedInAnyOrder_givesWhatASearchOfItsOwnGives() {
        List<Turn> turns = turns(1126);
        List<String> alone =
                turns.stream().map(turn -> turn.arranged(new Arranger())).toList();
        for (int order = 0; order < 2; order++) {
            Map<FrettingHand, KnownGrips> kept = new ConcurrentHashMap<>();
            Arranger arranger = new Arranger(kept::computeIfAbsent);
            List<Integer> shuffled = new ArrayList<>();
            for (int i = 0; i < TURNS; i++) {
                shuffled.add(i);
            }
            Collections.shuffle(shuffled, new Random(order));
            shuffled.forEach(i ->
                    assertEquals(alone.get(i), turns.get(i).arranged(arranger), "order " + shuffled + ", turn " + i));
        }
    }

    @Test
    void arrange_fromSeveralThreads_givesTheSame() {
        List<Turn> turns = turns(2611);
        List<String> alone =
                turns.stream().map(turn -> turn.arranged(new Arranger())).toList();
        Map<FrettingHand, KnownGrips> kept = new ConcurrentHashMap<>();
        Arranger arranger = new Arranger(kept::computeIfAbsent);
        assertEquals(
                alone,
                turns.parallelStream().map(turn -> turn.arranged(arranger)).toList());
    }

    /** As a server is asked: from threads of its own, at once for the same hand, each comparing all capo positions. */
    @Test
    @Timeout(value = 60, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
    void arrange_askedAtOnceForTheSameHand_neverWaitsForItself() throws Exception {
        Map<FrettingHand, KnownGrips> kept = new ConcurrentHashMap<>();
        Arranger arranger = new Arranger(kept::computeIfAbsent);
        ExecutorService threads = Executors.newFixedThreadPool(8);
        try {
            List<Future<Integer>> asked = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                ArrangementSettings settings =
                        ArrangementSettings.ofRung(2 + i / 20).withTempo(60 + i % 40);
                Sweep sweep = arranger.sweep(SONGS.get(i % SONGS.size()), settings);
                asked.add(threads.submit(() -> sweep.alone(2).capo()));
                asked.add(threads.submit(
                        () -> sweep.at(OptionalInt.empty()).candidates().size()));
                asked.add(threads.submit(
                        () -> sweep.at(OptionalInt.of(3)).candidates().size()));
            }
            for (Future<Integer> one : asked) {
                assertTrue(one.get() > 0);
            }
        } finally {
            threads.shutdownNow();
        }
    }

    /** Tempo changes no grip, so one hand serves for all tempos; another capo is another neck. */
    @Test
    void arrange_otherTempo_asksForTheSameHand() {
        AtomicInteger made = new AtomicInteger();
        Map<FrettingHand, KnownGrips> kept = new ConcurrentHashMap<>();
        Arranger arranger = new Arranger((hand, fresh) -> kept.computeIfAbsent(hand, h -> {
            made.incrementAndGet();
            return fresh.apply(h);
        }));
        ArrangementSettings settings = ArrangementSettings.ofRung(3);
        for (int tempo : new int[] {60, 90, 120}) {
            arranger.sweep(SONGS.get(0), settings.withTempo(tempo)).alone(2);
        }
        assertEquals(1, made.get());
        arranger.sweep(SONGS.get(0), settings).alone(3);
        assertEquals(2, made.get());
        assertTrue(kept.keySet().stream().allMatch(hand -> hand.rung().level() == 3));
    }

    /** The cheapest grips are the same whether a chord was searched further before or not. */
    @Test
    void cheapest_afterAWiderSearch_isTheSame() {
        FrettingHand hand = FrettingHand.of(ArrangementSettings.ofRung(4), 0);
        KnownGrips known = new KnownGrips(hand, Parameters.STANDARD);
        SONGS.get(0).placements().stream()
                .flatMap(placed -> placed.placement().chord().stream())
                .forEach(chord -> {
                    GripPool fresh = known.finder(false).pool(chord, 4);
                    GripPool searched = known.finder(false).pool(chord, 4);
                    searched.cheapest(90);
                    assertEquals(
                            fresh.cheapest(10).toString(), searched.cheapest(10).toString());
                    assertEquals(
                            fresh.cheapest(40).toString(), searched.cheapest(40).toString());
                    assertEquals(
                            fresh.cheapestInAllFingerings(20).toString(),
                            searched.cheapestInAllFingerings(20).toString());
                });
    }
}
