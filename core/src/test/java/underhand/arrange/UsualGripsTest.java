package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import underhand.chord.ChordSymbol;
import underhand.hand.Parameters;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.solve.PlacedGrip;
import underhand.solve.SolvedPart;

/** On rungs 1 and 2 a chord keeps its grip through a song; another one has to save more than a margin. */
class UsualGripsTest {

    private static final List<String> CHORDS =
            List.of("C", "Am", "F", "G", "Dm", "Bm", "Bb", "Gm", "Cm", "F#m", "B7", "Fm", "Eb", "D/F#", "Cadd9");

    private static final Arranger FREE =
            new Arranger(Parameters.STANDARD.with("habit.other.1", 0).with("habit.other.2", 0));

    private final Arranger kept = new Arranger();

    private static List<ChordSymbol> song(Random random) {
        List<ChordSymbol> few = random.ints(4, 0, CHORDS.size())
                .mapToObj(c -> ChordSymbol.parse(CHORDS.get(c)))
                .toList();
        return random.ints(12, 0, few.size()).mapToObj(few::get).toList();
    }

    /** The shape each chord has most often, the first of equals: counted here anew. */
    private static Map<ChordSymbol, Shape> usual(SolvedPart part) {
        Map<ChordSymbol, Map<Shape, Integer>> counts = new HashMap<>();
        Map<ChordSymbol, Shape> usual = new HashMap<>();
        for (PlacedGrip placed : part.placements()) {
            ChordSymbol chord = placed.segment().chord().orElseThrow();
            Shape shape = placed.grip().orElseThrow().grip().shape();
            Map<Shape, Integer> of = counts.computeIfAbsent(chord, c -> new HashMap<>());
            of.merge(shape, 1, Integer::sum);
            if (of.get(shape) > of.getOrDefault(usual.getOrDefault(chord, shape), 0) || !usual.containsKey(chord)) {
                usual.put(chord, shape);
            }
        }
        return usual;
    }

    private static List<PlacedGrip> others(SolvedPart part, Map<ChordSymbol, Shape> usual) {
        return part.placements().stream()
                .filter(p -> !p.grip()
                        .orElseThrow()
                        .grip()
                        .shape()
                        .equals(usual.get(p.segment().chord().orElseThrow())))
                .toList();
    }

    @Test
    void solve_randomSongs_takesAnotherGripOnlyWhereItSavesMoreThanTheMargin() {
        Random random = new Random(2026);
        int twoWays = 0;
        int mended = 0;
        for (int i = 0; i < 120; i++) {
            int rung = 1 + i % 2;
            double margin = Parameters.STANDARD.get("habit.other." + rung);
            List<ChordSymbol> song = song(random);
            ArrangementSettings settings = ArrangementSettings.ofRung(rung).withCapo(0);
            SolvedPart free = FREE.solve(TeacherParts.chart(song), settings, 0);
            SolvedPart part = kept.solve(TeacherParts.chart(song), settings, 0);
            Map<ChordSymbol, Shape> usual = usual(free);
            int before = others(free, usual).size();
            List<PlacedGrip> now = others(part, usual);
            String message = "seed 2026, case " + i + " " + song;
            assertTrue(part.total() >= free.total() - 1e-6, message);
            assertTrue(part.total() + margin * now.size() <= free.total() + margin * before + 1e-6, message);
            if (before == 0) {
                assertEquals(free.total(), part.total(), 1e-6, message);
            }
            for (PlacedGrip other : now) {
                Shape shape = usual.get(other.segment().chord().orElseThrow());
                Lock lock = Lock.onShape(other.slot().index(), shape);
                List<Lock> locks = new ArrayList<>(List.of(lock));
                SolvedPart locked = kept.solve(TeacherParts.chart(song), settings.withLocks(locks), 0);
                assertTrue(locked.total() >= part.total() + margin - 1e-6 - margin * (now.size() - 1), message);
            }
            twoWays += before > 0 ? 1 : 0;
            mended += before > now.size() ? 1 : 0;
        }
        assertTrue(twoWays > 3 && mended > 0, twoWays + " songs with a chord played two ways, fewer in " + mended);
    }

    @Test
    void keptGrips_sayTheMargin_onLowRungsOnly() {
        List<ChordSymbol> song =
                List.of("C G C F C".split(" ")).stream().map(ChordSymbol::parse).toList();
        Arrangement low = kept.arrange(
                TeacherParts.chart(song), ArrangementSettings.ofRung(1).withCapo(0));
        assertEquals(
                Optional.of("On this rung a chord keeps its grip: another one here has to save more than 2.0."),
                Optional.ofNullable(low.keptGrips().get(0)));
        assertEquals(
                List.of(0, 2, 4), low.keptGrips().keySet().stream().sorted().toList());
        Arrangement high = kept.arrange(
                TeacherParts.chart(song), ArrangementSettings.ofRung(3).withCapo(0));
        assertTrue(high.keptGrips().isEmpty());
    }
}
