package underhand.texture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.ShapeFinder;
import underhand.neck.ToneDemand;
import underhand.neck.Tuning;
import underhand.pitch.Key;
import underhand.pitch.Mode;

/** Families by their structure: grips that belong and grips that do not (common practice), and how many there are. */
class StructureTest {

    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final List<String> SEVENTHS = List.of("maj7", "7", "m7", "m7b5", "m(maj7)");

    private static Structure structure(String chord, String shape, boolean bassElsewhere) {
        return new Structure(Shape.parse(shape), ChordSymbol.parse(chord), BOARD, bassElsewhere);
    }

    @ParameterizedTest
    @CsvSource({
        "C, x32010, OPEN",
        "E7, 020100, OPEN",
        "D, xx0232, OPEN",
        "F, 133211, FORM",
        "Bb, x13331, FORM",
        "F, xx3211, FORM",
        "D, x5777x, FORM",
        "Am7, 5x555x, MUTED",
        "D9, x54555, MUTED",
        "A13, 5x5677, MUTED",
        "D7, x545xx, SHELL",
        "Am7, 5x55xx, SHELL",
        "A9, x-12-11-12-12-x, SHELL",
        "G7, xx34xx, GUIDE",
        "Fmaj7, xx3555, DROP_2",
        "Cmaj7, x3545x, DROP_2",
        "G7, 3x343x, DROP_3",
        "C, xxx553, TRIAD",
        "C, xxx988, TRIAD",
        "C, x3xx5x, TENTH",
        "G, 3xx4xx, TENTH",
        "A, x4x2xx, TENTH",
        "G5, 355xxx, POWER",
        "A5, x022xx, POWER",
    })
    void isOf_gripsThatBelong(String chord, String shape, Family family) {
        assertTrue(
                structure(chord, shape, false).isOf(family),
                structure(chord, shape, false).families().toString());
    }

    @ParameterizedTest
    @CsvSource({
        "F, 133211, OPEN", "E, 079997, OPEN", "C, x32010, FORM", "Am7, 5755xx, MUTED", "Am7, 575555, MUTED",
        "G7, 3x343x, SHELL", "G7, x2x0xx, SHELL", "G7, xxx343, GUIDE", "Am7, x02010, DROP_2", "Fmaj7, xx3210, DROP_2",
        "C, 3x201x, DROP_3", "C, xx5553, TRIAD", "G7, xxx433, TRIAD", "C, x32xxx, TENTH", "C, x3x5xx, TENTH",
        "G, 320xxx, POWER", "D5, 10-5-7-x-x-x, POWER", "A5, xxxx55, POWER",
    })
    void isOf_gripsThatDoNot(String chord, String shape, Family family) {
        assertFalse(
                structure(chord, shape, false).isOf(family),
                structure(chord, shape, false).families().toString());
    }

    /** One finger has root and fifth, and the third lies four frets on, the minor third three, the second two (common practice). */
    @ParameterizedTest
    @CsvSource({
        "drop D, G, 559xxx, true",
        "drop D, Am, 7-7-10-x-x-x, true",
        "drop D, Gsus2, 557xxx, true",
        "drop D, D/F#, 454xxx, true",
        "drop D, A/C#, 11-12-11-x-x-x, true",
        "drop D, D5, 000xxx, true",
        "DADGAD, Em, 225xxx, true",
        "drop D, G, 55xxxx, false",
        "drop D, G, 5x9xxx, false",
        "drop D, C, 559xxx, false",
        "standard, G, 355xxx, false",
        "drop D, Am, 7-7-11-x-x-x, false",
        "drop D, G, 5590xx, false",
    })
    void droppedStrings_haveRootAndFifthUnderOneFinger(String tuning, String chord, String shape, boolean belongs) {
        Fretboard dropped = new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), 0);
        Structure structure = new Structure(Shape.parse(shape), ChordSymbol.parse(chord), dropped, false);
        assertEquals(belongs, structure.isOf(Family.DROPPED));
    }

    @Test
    void triad_ofASeventhChord_belongsToSomebodyElsesBass() {
        assertTrue(structure("G7", "xxx431", true).isOf(Family.TRIAD));
        assertFalse(structure("G7", "xxx431", false).isOf(Family.TRIAD));
    }

    @ParameterizedTest
    @CsvSource({
        "D, x5777x, A form at 5", "A, 577655, E form at 5", "F, x8756x, C form at 5", "C, xxx553, A form at 3",
        "E, xx2454, D form at 2", "F#m7, 242222, E form at 2", "B, 7xxxxx, ''", "G, 320003, ''",
    })
    void form_isNamedByItsPlace(String chord, String shape, String form) {
        assertEquals(form, structure(chord, shape, false).form().orElse(""));
    }

    @ParameterizedTest
    @CsvSource({"Cmaj7, x3545x, 0", "Cmaj7, xx2413, 1", "G7, xx0001, 2", "G/B, x20003, 1", "C/Bb, x1201x, -1"})
    void inversion_countsTheTonesOfTheChord(String chord, String shape, int inversion) {
        assertEquals(inversion, structure(chord, shape, false).inversion());
    }

    /** Four inversions on each of three string sets, and two sets of drop 3 (combinatorics), within thirteen frets. */
    @Test
    void dropVoicings_ofEverySeventhChord_areAsManyAsThereAre() {
        for (String type : SEVENTHS) {
            for (int root = 0; root < 12; root++) {
                ChordSymbol chord = ChordSymbol.parse("C" + type).transpose(root, Key.on(0, Mode.MAJOR));
                Set<String> second = new HashSet<>();
                Set<String> third = new HashSet<>();
                for (Shape shape : new ShapeFinder(BOARD, 18, 200, 2).find(ToneDemand.of(chord, true, true))) {
                    Structure structure = new Structure(shape, chord, BOARD, false);
                    String place = shape.lowestSounding().orElseThrow() + "/" + structure.inversion();
                    if (structure.isOf(Family.DROP_2)) {
                        second.add(place);
                    }
                    if (structure.isOf(Family.DROP_3)) {
                        third.add(place);
                    }
                }
                assertEquals(12, second.size(), chord + " drop 2 " + second);
                assertEquals(8, third.size(), chord + " drop 3 " + third);
            }
        }
    }

    /** I7 and IV7 in guide tones lie a fret apart on three pairs of strings in every key (common practice). */
    @ParameterizedTest
    @CsvSource({"1", "2", "3"})
    void guideTones_ofOneAndFour_lieAFretApart(int lowString) {
        for (int key = 0; key < 12; key++) {
            ChordSymbol one = ChordSymbol.parse("C7").transpose(key, Key.on(0, Mode.MAJOR));
            ChordSymbol four = ChordSymbol.parse("F7").transpose(key, Key.on(0, Mode.MAJOR));
            assertTrue(
                    guides(one, lowString).stream()
                            .anyMatch(shape -> shape.moved(-1)
                                    .filter(guides(four, lowString)::contains)
                                    .isPresent()),
                    one + " to " + four + " on string " + lowString);
        }
    }

    private static List<Shape> guides(ChordSymbol chord, int lowString) {
        return new ShapeFinder(BOARD, 15, 200, 0)
                .find(ToneDemand.ofIntervals(chord, 3, 7)).stream()
                        .filter(s -> s.openStrings() == 0 && s.lowestSounding().orElseThrow() == lowString)
                        .filter(s -> new Structure(s, chord, BOARD, true).isOf(Family.GUIDE))
                        .toList();
    }
}
