package underhand.neck;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordNamer;
import underhand.input.FormatException;

class TuningsTest {

    private static List<String> openChord(Tuning tuning) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, tuning, 0);
        Shape open = Shape.of(IntStream.range(0, tuning.size()).map(s -> 0).toArray());
        return ChordNamer.names(open.pitches(board), Optional.empty()).stream()
                .map(n -> n.symbol().toString())
                .toList();
    }

    /** The chord that all strings make: the one most tunings are named after; common practice. */
    @ParameterizedTest
    @CsvSource({
        "standard, Em11",
        "half step down, Ebm11",
        "whole step down, Dm11",
        "one and a half steps down, C#m11",
        "two steps down, Cm11",
        "drop D, G6/9/D",
        "drop D♭, F#6/9/C#",
        "drop C, F6/9/C",
        "drop B, E6/9/B",
        "double drop D, Gadd9/D",
        "DADGAD, Dsus4",
        "open D, D",
        "open D minor, Dm",
        "open G, G/D",
        "open G minor, Gm/D",
        "open C, C",
        "open C6, C6",
        "open E, E",
        "open E minor, Em",
        "open A, A/E",
        "open F, F/C",
        "low C, G/C",
        "all fourths, Dm11/E",
        "new standard, C6/9",
        "high strung, Em11",
        "baritone, Bm11",
        "seven string, G6/9/B",
        "eight string, Em11/F#",
        "bass, A7sus4/E",
        "five string bass, G6/9/B",
        "ukulele, C6",
    })
    void openStrings_areTheChordOfTheTuning(String name, String chord) {
        List<String> names = openChord(Tuning.named().get(name));
        assertTrue(names.contains(chord), names.toString());
    }

    @Test
    void everyTuning_isFoundByItsName_andByWhatItWrites() {
        Map<String, Tuning> named = Tuning.named();
        assertTrue(named.size() >= 24, named.keySet().toString());
        assertEquals(Tuning.STANDARD, named.values().iterator().next());
        named.forEach((name, tuning) -> {
            assertEquals(tuning, Tuning.parse(name));
            assertEquals(tuning, Tuning.parse(tuning.toString()));
        });
    }

    @ParameterizedTest
    @CsvSource({
        "BEADGBE, B1 E2 A2 D3 G3 B3 E4",
        "F#BEADGBE, F#1 B1 E2 A2 D3 G3 B3 E4",
        "BEADG, B0 E1 A1 D2 G2",
        "DADG, D1 A1 D2 G2",
        "CGCGCE, C2 G2 C3 G3 C4 E4",
    })
    void letters_areThePitchesNearestToTheUsualStrings(String letters, String pitches) {
        assertEquals(Tuning.parse(pitches), Tuning.parse(letters));
    }

    @Test
    void nineLetters_needTheirOctaves() {
        assertThrows(FormatException.class, () -> Tuning.parse("CFBEADGBE"));
    }

    @ParameterizedTest
    @CsvSource({
        "half step down, true",
        "nashville, true",
        "seven string, true",
        "drop D, false",
        "all fourths, false",
        "open G, false"
    })
    void isStandard_whereAllSixStringsAre(String name, boolean is) {
        assertEquals(is, Retuning.of(Tuning.parse(name)).isStandard());
    }
}
