package underhand.repertoire;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.FingerSpreads;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.ShapeFinder;
import underhand.neck.ToneDemand;
import underhand.neck.Tuning;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.settings.Voicing;

/** What the search is told of a shape before it is fingered is never more than its cheapest grip costs. */
class BoundsTest {

    private static final Parameters P = Parameters.STANDARD;
    private static final double SAME = 1e-9;

    @ParameterizedTest
    @CsvSource({
        "C, 0, false, false, 0", "F, 0, true, false, 0", "Bm7, 0, true, false, 1", "E7#9, 0, false, true, -1",
        "G7, 3, true, true, 1", "D5, 0, false, false, 1", "Am9, 5, true, false, -1", "Ddim7, 2, false, false, 0",
    })
    void bounds_everyGripOfAChord_costsNoLess(String name, int capo, boolean thumb, boolean picked, double ring) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, capo);
        Player player = new Player(FingerSpreads.ADULT, thumb, 1);
        HandEffort hand = new HandEffort(board, player, P);
        SoundEffort sound = new SoundEffort(
                board,
                Voicing.of(Setting.ALONE),
                HouseRules.NONE.with(HouseRule.RING, ring),
                picked,
                false,
                OptionalInt.empty(),
                P);
        FingeringSearch fingers = new FingeringSearch(board, Rung.of(5), player);
        ChordSymbol chord = ChordSymbol.parse(name);
        SoundEffort.Roles roles = SoundEffort.Roles.of(chord, Voicing.of(Setting.ALONE));
        int seen = 0;
        for (Shape shape : new ShapeFinder(board, 12, FingerSpreads.ADULT.widestMm(1, 4), 2)
                .find(ToneDemand.of(chord, false, false))) {
            Effort.Builder ofShape = new Effort.Builder();
            sound.ofShape(ofShape, shape, roles);
            for (Grip grip : fingers.fingerings(shape)) {
                assertTrue(hand.atLeast(shape) <= hand.of(grip).total() + SAME, grip.toString());
                Effort.Builder ofHand = new Effort.Builder();
                sound.ofHand(ofHand, grip);
                int handFret = thumb ? 1 : Grip.lowestHandFret(shape);
                assertTrue(handFret <= grip.handFret() || thumb, grip.toString());
                assertTrue(sound.atLeastOfHand(shape, handFret) <= ofHand.total() + SAME, grip.toString());
                double heard = ofShape.total() + ofHand.total();
                assertTrue(sound.atAGlance(shape, roles) <= heard + SAME, grip.toString());
                seen++;
            }
        }
        assertTrue(seen > 50, "grips of " + name + ": " + seen);
    }

    /** Shapes that are known are looked up, all others searched: together they are every shape a hand can hold. */
    @ParameterizedTest
    @CsvSource({
        "C, standard, 3, 0",
        "Am/G, standard, 3, 0",
        "G/B, standard, 4, 2",
        "C/D, standard, 5, 0",
        "D/F#, drop D, 4, 0",
        "Fmaj7/E, DADGAD, 5, 3",
        "Bm7b5/A, standard, 5, 0",
        "Em, open G, 2, 0",
        "A7, seven string, 3, 0",
    })
    void everyShapeIsFound_knownOrNot(String name, String tuning, int level, int capo) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), capo);
        ChordSymbol chord = ChordSymbol.parse(name);
        Rung rung = Rung.of(level);
        GripFinder finder = new GripFinder(board, rung, Player.ADULT, Setting.ALONE, GripFinder.HIGHEST_FRET);
        Set<Shape> found =
                finder.find(chord, 1).stream().map(grip -> grip.grip().shape()).collect(Collectors.toSet());
        int innerSilent = level > 2 ? 2 : 0;
        int highest = Math.min(GripFinder.HIGHEST_FRET, rung.highestFret());
        Set<Shape> all = new ShapeFinder(board, highest, FingerSpreads.ADULT.widestMm(1, 4), innerSilent)
                .find(ToneDemand.of(chord, false, false)).stream()
                        .filter(shape ->
                                finder.fingerings(shape, chord, 1).stream().anyMatch(grip -> grip.rung() == level))
                        .collect(Collectors.toSet());
        assertEquals(all, found);
        assertTrue(all.size() > 5, name + ": " + all.size());
    }
}
