package underhand.neck;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordNamer;
import underhand.chord.ChordSymbol;
import underhand.input.FormatException;
import underhand.pitch.Note;

class NeckPackageTest {

    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);

    /** Equal temperament: x(n) = L (1 - 2^(-n/12)); the octave lies at half the string. */
    @ParameterizedTest
    @CsvSource({"1,36.37", "5,162.55", "7,215.51", "12,324.00"})
    void fretMm_at648_isEqualTemperament(int fret, double mm) {
        assertEquals(mm, BOARD.fretMm(fret), 0.005);
    }

    @Test
    void fretboard_aboveACapo_keepsRealDistances() {
        Fretboard above = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 5);
        assertEquals(BOARD.fretMm(8), above.fretMm(3), 1e-9);
        assertEquals(BOARD.pressMm(8), above.pressMm(3), 1e-9);
        assertEquals(BOARD.midi(2, 8), above.midi(2, 3));
        assertEquals(112, BOARD.fretMm(7) - BOARD.fretMm(3), 0.5); // equal temperament at 648 mm
        assertEquals(69, BOARD.fretMm(10) - BOARD.fretMm(7), 0.5);
    }

    @ParameterizedTest
    @CsvSource({"x32010", "8-x-7-9-10-x", "133211", "x-x-0-2-3-2"})
    void shapeParse_bothForms_readBack(String text) {
        assertEquals(Shape.parse(text), Shape.parse(Shape.parse(text).toString()));
    }

    @ParameterizedTest
    @CsvSource({"x3201?,5", "x-3-99-0-1-0,4", "x32,0", "'',0"})
    void shapeParse_noShape_pointsAtTheTrouble(String text, int index) {
        assertEquals(
                index + 1,
                assertThrows(FormatException.class, () -> Shape.parse(text)).column());
    }

    /** Facts of the trade: what these shapes are; common practice. */
    @ParameterizedTest
    @CsvFileSource(resources = "shape-facts.csv", useHeadersInDisplayName = true)
    void names_shapeOfTheTrade_hasItsNames(String tuning, String shape, String best, String others) {
        Fretboard board =
                new Fretboard(Guitar.ACOUSTIC, tuning.equals("standard") ? Tuning.STANDARD : Tuning.parse(tuning), 0);
        List<String> names = ChordNamer.names(Shape.parse(shape).pitches(board), Optional.empty()).stream()
                .map(n -> n.symbol().toString())
                .toList();
        assertEquals(best, names.get(0), names.toString());
        if (others != null) {
            assertTrue(names.containsAll(List.of(others.split(" "))), shape + " " + names);
        }
    }

    @Test
    void names_rootlessDominant_saysThatTheRootIsMissing() {
        ChordNamer.Name name = ChordNamer.names(Shape.parse("x5646x").pitches(BOARD), Optional.empty()).stream()
                .filter(n -> n.symbol().root().equals(Note.parse("E")))
                .findFirst()
                .orElseThrow();
        assertTrue(name.symbol().toString().startsWith("E7b9"));
        assertEquals("[P1]", name.missing().toString());
    }

    @Test
    void names_anyThreeNotes_areNeverEmpty() {
        Random random = new Random(7);
        for (int i = 0; i < 500; i++) {
            int[] frets = random.ints(6, 0, 13).toArray();
            Shape shape = Shape.of(frets);
            Set<Integer> classes = new HashSet<>();
            shape.pitches(BOARD).forEach(p -> classes.add(p.pitchClass()));
            if (classes.size() >= 3) {
                assertFalse(
                        ChordNamer.names(shape.pitches(BOARD), Optional.empty()).isEmpty(), shape.toString());
            }
        }
    }

    @Test
    void names_overABassPlayer_areNamedFromThatBass() {
        assertEquals(
                "Am7",
                ChordNamer.names(Shape.parse("xx5558").pitches(BOARD), Optional.of(Note.parse("A")))
                        .get(0)
                        .symbol()
                        .toString());
    }

    /** The finder against every shape there is on a short neck: same set. */
    @Test
    void find_allChords_equalsTryingEverything() {
        Random random = new Random(11);
        Tuning tuning = Tuning.parse("D3 G3 B3 E4");
        Fretboard board = new Fretboard(new Guitar(Guitar.Kind.ACOUSTIC, 648, 36, 52, 6), tuning, 0);
        List<String> chords = List.of("C", "Am7", "G7", "Dm/F", "Bdim", "Esus4", "F#m7b5", "A5", "Caug", "D6");
        for (int i = 0; i < 40; i++) {
            ToneDemand demand = ToneDemand.of(
                    ChordSymbol.parse(chords.get(random.nextInt(chords.size()))),
                    random.nextBoolean(),
                    random.nextBoolean());
            double reach = 60 + random.nextInt(80);
            int inner = random.nextInt(3);
            Set<Shape> found = new HashSet<>(new ShapeFinder(board, 6, reach, inner).find(demand));
            assertEquals(everyShape(board, demand, reach, inner), found, "seed 11, case " + i + " " + demand);
        }
    }

    private static Set<Shape> everyShape(Fretboard board, ToneDemand demand, double reach, int inner) {
        Set<Shape> shapes = new HashSet<>();
        for (int code = 0; code < 8 * 8 * 8 * 8; code++) {
            Shape shape = Shape.of((code & 7) - 1, (code >> 3 & 7) - 1, (code >> 6 & 7) - 1, (code >> 9 & 7) - 1);
            if (isWanted(shape, board, demand, reach, inner)) {
                shapes.add(shape);
            }
        }
        return shapes;
    }

    private static boolean isWanted(Shape shape, Fretboard board, ToneDemand demand, double reach, int inner) {
        if (shape.sounding() < 2) {
            return false;
        }
        int tones = 0;
        double low = Double.MAX_VALUE;
        double high = 0;
        for (int string = 0; string < shape.strings(); string++) {
            if (!shape.isSilent(string)) {
                tones |= 1 << board.midi(string, shape.fret(string)) % 12;
            }
            if (shape.isFretted(string)) {
                low = Math.min(low, board.pressMm(shape.fret(string)));
                high = Math.max(high, board.pressMm(shape.fret(string)));
            }
        }
        int lowest = shape.lowestSounding().orElseThrow();
        int bass = board.midi(lowest, shape.fret(lowest)) % 12;
        int silent = shape.highestSounding() - lowest + 1 - shape.sounding();
        boolean onlyAllowed = (tones & ~demand.allowed() & ~(demand.lowest() < 0 ? 0 : 1 << bass)) == 0;
        boolean foreignAbove = demand.lowest() >= 0
                && (demand.allowed() >> bass & 1) == 0
                && IntStream.range(lowest + 1, shape.strings())
                        .anyMatch(s -> !shape.isSilent(s) && board.midi(s, shape.fret(s)) % 12 == bass);
        return onlyAllowed
                && !foreignAbove
                && (demand.required() & ~tones) == 0
                && (demand.lowest() < 0 || bass == demand.lowest())
                && silent <= inner
                && high - low <= reach;
    }
}
