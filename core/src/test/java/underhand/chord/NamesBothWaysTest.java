package underhand.chord;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.settings.Setting;

/** Every grip made for a chord has that chord among its names: all types with a name of their own, and some without. */
class NamesBothWaysTest {

    private static final List<String> ROOTS = List.of("C", "Db", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B");
    private static final List<String> WITHOUT_A_NAME = List.of("(addb9)", "add#11", "add9#11", "m(add9)", "7b5b9");
    private static final int GRIPS = 4;

    private static boolean isAmong(List<ChordNamer.Name> names, ChordSymbol chord) {
        return names.stream()
                .map(ChordNamer.Name::symbol)
                .anyMatch(s -> s.root().pitchClass() == chord.root().pitchClass()
                        && s.type().equals(chord.type()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"standard", "drop D", "DADGAD", "open G"})
    void names_ofGripsMadeForAChord_haveThatChordAmongThem(String tuning) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), 0);
        GripFinder finder = new GripFinder(board, Rung.of(5), Player.ADULT, Setting.ALONE, GripFinder.HIGHEST_FRET);
        List<String> types = Stream.concat(
                        ChordTypes.STANDARD.all().stream().map(t -> t.type().suffix()), WITHOUT_A_NAME.stream())
                .toList();
        List<String> missed = new ArrayList<>();
        int seen = 0;
        for (String type : types) {
            for (String root : ROOTS) {
                ChordSymbol chord = ChordSymbol.parse(root + type);
                List<RatedGrip> grips = finder.pool(chord, 1).cheapest(GRIPS).grips();
                for (RatedGrip rated : grips.subList(0, Math.min(GRIPS, grips.size()))) {
                    var shape = rated.grip().shape();
                    seen++;
                    if (!isAmong(ChordNamer.namesOver(shape.pitches(board), Optional.empty()), chord)) {
                        missed.add(chord + " " + shape);
                    }
                }
            }
        }
        assertEquals(List.of(), missed);
        assertTrue(seen > 2000, seen + " grips");
    }
}
