package underhand.harmony;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;

class HarmonyTest {

    /** Textbook cadences and common progressions; common practice. */
    @ParameterizedTest
    @CsvSource({
        "C F G C,C major", "G D Em C,G major", "Am Dm E7 Am,A minor", "Dm7 G7 Cmaj7,C major", "Em C G D,E minor",
        "A D E A,A major", "Eb Ab Bb Eb,Eb major", "F#m D A E,F# minor", "Bm7b5 E7 Am,A minor",
                "A7 D7 A7 E7 A7,A major",
        "Bb Gm Eb F Bb,Bb major", "Gm Cm D7 Gm,G minor", "F# B C# F#,F# major"
    })
    void find_progression_givesItsKey(String chords, String key) {
        assertEquals(
                Key.parse(key),
                KeyFinder.find(Arrays.stream(chords.split(" "))
                        .map(c -> new KeyFinder.Weighted(ChordSymbol.parse(c), 4))
                        .toList()));
    }

    /** Roman numerals as any harmony book has them; common practice. */
    @ParameterizedTest
    @CsvSource({
        "C major,C,I",
        "C major,Dm7,ii7",
        "C major,Em,iii",
        "C major,Fmaj7,IVmaj7",
        "C major,G7,V7",
        "C major,Am,vi",
        "C major,Bm7b5,viiø7",
        "C major,Bdim,vii°",
        "C major,Bb,♭VII",
        "C major,Fm,iv",
        "C major,D7,II7",
        "C major,F#dim7,♯iv°7",
        "A minor,Am,i",
        "A minor,E7,V7",
        "A minor,C,III",
        "A minor,F,VI",
        "A minor,G#dim7,♯vii°7",
        "A major,G,♭VII",
        "G major,D/F#,V",
        "C major,Gsus4,Vsus4",
        "C major,Caug,I+"
    })
    void of_chordInKey_isItsRomanNumeral(String key, String chord, String numeral) {
        assertEquals(numeral, Degree.of(ChordSymbol.parse(chord), Key.parse(key)));
    }
}
