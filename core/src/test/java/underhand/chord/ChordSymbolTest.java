package underhand.chord;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.input.FormatException;

class ChordSymbolTest {

    /** Spellings of lead sheets and the tones they mean; common practice. */
    @ParameterizedTest
    @CsvSource({
        "C,C,C E G",
        "Cm,Cm,C Eb G",
        "C-,Cm,C Eb G",
        "Cmin,Cm,C Eb G",
        "Cmaj7,Cmaj7,C E G B",
        "CM7,Cmaj7,C E G B",
        "C△,Cmaj7,C E G B",
        "C△7,Cmaj7,C E G B",
        "C^7,Cmaj7,C E G B",
        "C7,C7,C E G Bb",
        "C-7,Cm7,C Eb G Bb",
        "Cm7b5,Cm7b5,C Eb Gb Bb",
        "Cø,Cm7b5,C Eb Gb Bb",
        "Cø7,Cm7b5,C Eb Gb Bb",
        "Cdim,Cdim,C Eb Gb",
        "C°,Cdim,C Eb Gb",
        "C°7,Cdim7,C Eb Gb Bbb",
        "C+,Caug,C E G#",
        "Caug,Caug,C E G#",
        "C+7,Caug7,C E G# Bb",
        "C6,C6,C E G A",
        "C6/9,C6/9,C E G A D",
        "C69,C6/9,C E G A D",
        "Cm6,Cm6,C Eb G A",
        "C9,C9,C E G Bb D",
        "C11,C11,C G Bb D F",
        "C13,C13,C E G Bb D A",
        "Csus,Csus4,C F G",
        "Csus2,Csus2,C D G",
        "Csus4,Csus4,C F G",
        "C7sus4,C7sus4,C F G Bb",
        "C9sus4,C9sus4,C F G Bb D",
        "Cadd9,Cadd9,C E G D",
        "Cm(add9),Cm(add9),C Eb G D",
        "C(maj7),Cmaj7,C E G B",
        "Cm(maj7),Cm(maj7),C Eb G B",
        "C-maj7,Cm(maj7),C Eb G B",
        "C7b9,C7b9,C E G Bb Db",
        "C7#9,C7#9,C E G Bb D#",
        "C7#5,Caug7,C E G# Bb",
        "C13b9,C13b9,C E G Bb Db A",
        "Cmaj7#11,Cmaj7#11,C E G B F#",
        "C5,C5,C G",
        "C/E,C/E,C E G",
        "C7/Bb,C7/Bb,C E G Bb",
        "Cmaj9,Cmaj9,C E G B D",
        "Cm9,Cm9,C Eb G Bb D",
        "Bbm7,Bbm7,Bb Db F Ab",
        "F#m7b5/A,F#m7b5/A,F# A C E",
        "E♭maj7,Ebmaj7,Eb G Bb D",
        "Cb,Cb,Cb Eb Gb"
    })
    void parse_usualSpelling_meansTheseTones(String text, String canonical, String tones) {
        ChordSymbol chord = ChordSymbol.parse(text);
        assertEquals(canonical, chord.toString());
        assertEquals(tones, chord.tones().stream().map(t -> t.note().toString()).collect(Collectors.joining(" ")));
    }

    @Test
    void parse_listOfAlterations_takesThemAll() {
        assertEquals(
                Set.of("P1", "M3", "P5", "m7", "m9", "A11"),
                ChordSymbol.parse("C7(b9,#11)").type().intervals().stream()
                        .map(Object::toString)
                        .collect(Collectors.toSet()));
    }

    @Test
    void parse_everyRootAndNamedType_readsBackWhatItWrites() {
        Set<String> seen = new HashSet<>();
        for (String root : "C C# Db D Eb E F F# Gb G Ab A Bb B".split(" ")) {
            for (ChordTypes.Named named : ChordTypes.STANDARD.all()) {
                String text = root + named.type().suffix();
                ChordSymbol chord = ChordSymbol.parse(text);
                assertEquals(named.type(), chord.type(), text);
                assertEquals(chord, ChordSymbol.parse(chord.toString()), text);
                assertEquals(chord, ChordSymbol.parse(chord.glyphs()), text);
                assertTrue(seen.add(text), text + " stands twice in the table");
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"Hm7,0", "C7sus5,5", "Cm7b,3", "C7(b9,5", "C7b9),4", "c,0", "'',0", "Cfoo,1", "C/,1"})
    void parse_noChord_pointsAtTheTrouble(String text, int index) {
        FormatException e = assertThrows(FormatException.class, () -> ChordSymbol.parse(text));
        assertEquals(index + 1, e.column(), e.getMessage());
        assertEquals(text, e.input().orElseThrow());
    }

    @Test
    void glyphs_flatsAndSharps_areRealSigns() {
        assertEquals("F♯m7♭5/A", ChordSymbol.parse("F#m7b5/A").glyphs());
        assertEquals("B♭7♯9", ChordSymbol.parse("Bb7#9").glyphs());
    }
}
