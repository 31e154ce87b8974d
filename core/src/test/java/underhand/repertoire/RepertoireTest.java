package underhand.repertoire;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordNamer;
import underhand.chord.ChordSymbol;
import underhand.hand.FingeringSearch;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Retuning;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.pitch.Pitch;
import underhand.settings.Setting;
import underhand.table.Table;

/** What is known in which tuning. */
class RepertoireTest {

    private static Fretboard board(String tuning) {
        Tuning strings = Tuning.parse(tuning);
        return new Fretboard(new Guitar(Guitar.Kind.ACOUSTIC, 648, 36, 52, 20), strings, 0);
    }

    /** Common practice. */
    @ParameterizedTest
    @CsvSource({
        "standard, x32010, 1",
        "standard, x02010, 2",
        "half step down, x32010, 1",
        "nashville, x32010, 1",
        "baritone, 320003, 1",
        "open G, 000000, 1",
        "open A, 555555, 1",
        "open A, x02012, 2",
        "drop D, 000232, 1",
        "drop D, x32010, 1",
        "drop C, 555xxx, 1",
        "drop D, 222000, 2",
        "seven string, xx32010, 1",
        "ukulele, 0003, 1",
    })
    void shapesOfATuning_areTaughtInIt(String tuning, String shape, int rung) {
        Repertoire repertoire = Repertoire.of(Tuning.parse(tuning));
        assertTrue(repertoire.isTaughtTo(Rung.of(rung), Shape.parse(shape)));
        assertTrue(rung == 1 || !repertoire.isTaughtTo(Rung.of(rung - 1), Shape.parse(shape)));
    }

    @ParameterizedTest
    @CsvSource({"open G, x02010", "open G, 320003", "drop D, 022000", "DADGAD, x32010", "standard, 000000"})
    void shapesOfAnotherTuning_areNotTaught(String tuning, String shape) {
        assertFalse(Repertoire.of(Tuning.parse(tuning)).isTaughtTo(Rung.of(Rung.HIGHEST), Shape.parse(shape)));
    }

    @ParameterizedTest
    @CsvSource({"drop D, 520003, 320003", "drop D, 222000, 022000", "drop C, 555433, 133211"})
    void shapesWhoseOneStringIsRetuned_areCarried_andNamedAsSuch(String tuning, String shape, String from) {
        assertEquals(
                Optional.of(Shape.parse(from)),
                Repertoire.of(Tuning.parse(tuning)).carriedFrom(Shape.parse(shape)));
    }

    @Test
    void everyOwnShape_isTheChordItIsTaughtAs_andCanBeHeld() {
        record Row(String tuning, String kind, Shape shape, List<String> fingers, String chord) {}
        List<Row> rows = Table.read(
                Repertoire.class,
                "tuned-shapes.csv",
                6,
                r -> new Row(r.cell(0), r.cell(2), Shape.parse(r.cell(3)), r.words(4), r.cell(5)));
        List<String> wrong = new ArrayList<>();
        for (Row row : rows) {
            Fretboard board = board(row.tuning());
            List<String> names = ChordNamer.names(row.shape().pitches(board), Optional.empty()).stream()
                    .map(n -> n.symbol().toString())
                    .toList();
            if (!names.contains(ChordSymbol.parse(row.chord()).toString())) {
                wrong.add(row + " is " + names);
            }
            List<String> fingers = new FingeringSearch(board, Rung.of(Rung.HIGHEST), Player.ADULT)
                    .fingerings(row.shape()).stream().map(g -> g.fingers()).toList();
            row.fingers().stream()
                    .filter(f -> !fingers.contains(f))
                    .forEach(f -> wrong.add(row + " is held " + fingers));
        }
        assertEquals(List.of(), wrong);
    }

    /** A shape on a string that is lowered by n and stopped n frets higher sounds the same, and the hand is priced where it is. */
    @Test
    void carriedShapes_soundAsBefore() {
        Random random = new Random(7);
        for (int round = 0; round < 2_000; round++) {
            int string = random.nextInt(6);
            int lower = 1 + random.nextInt(4);
            List<Pitch> strings = new ArrayList<>(Tuning.STANDARD.strings());
            strings.set(string, Pitch.ofMidi(strings.get(string).midi() - lower));
            Tuning retuned = new Tuning(strings);
            int[] frets = random.ints(6, -1, 9).toArray();
            Shape shape = Shape.of(frets);
            Shape carried = Retuning.of(retuned).carry(shape, 1).orElseThrow();
            Fretboard there = new Fretboard(Guitar.ACOUSTIC, retuned, 0);
            Fretboard here = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
            assertEquals(
                    shape.pitches(here).stream().map(p -> p.midi()).toList(),
                    carried.pitches(there).stream().map(p -> p.midi()).toList());
        }
    }

    /** In the tuning's own open chord the strings are let ring. */
    @ParameterizedTest
    @CsvSource({"open G, G, x00000", "open D, D, 000000", "drop D, D, 000232", "open C, C, 000000"})
    void onTheFirstRung_aTuningsOwnShapeComesFirst(String tuning, String chord, String shape) {
        RatedGrip first = new GripFinder(board(tuning), Rung.of(1), Player.ADULT, Setting.ALONE, 12)
                .find(ChordSymbol.parse(chord), 4)
                .get(0);
        assertEquals(Shape.parse(shape), first.grip().shape());
        assertFalse(first.isNew());
    }
}
