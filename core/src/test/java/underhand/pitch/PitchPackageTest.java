package underhand.pitch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.input.FormatException;

class PitchPackageTest {

    @ParameterizedTest
    @CsvSource({"C,0", "F#,6", "Gb,6", "B#,0", "Cb,11", "E♭,3", "Fx,7", "Abb,7", "A♯,10"})
    void noteParse_anySpelling_hasItsPitchClass(String text, int pitchClass) {
        assertEquals(pitchClass, Note.parse(text).pitchClass());
    }

    @Test
    void noteParse_everyNote_readsBackWhatToStringAndGlyphsWrite() {
        for (Letter letter : Letter.values()) {
            for (int alteration = -2; alteration <= 2; alteration++) {
                Note note = new Note(letter, alteration);
                assertEquals(note, Note.parse(note.toString()));
                assertEquals(note, Note.parse(note.glyphs()));
            }
        }
    }

    @Test
    void noteParse_noAccidental_pointsAtIt() {
        FormatException e = assertThrows(FormatException.class, () -> Note.parse("C?"));
        assertEquals(2, e.column());
        assertEquals("C?", e.input().orElseThrow());
    }

    /** Spelled as any theory book has it; common practice. */
    @ParameterizedTest
    @CsvSource({
        "C,M3,E",
        "C,A4,F#",
        "C,d5,Gb",
        "Ab,m3,Cb",
        "F#,M7,E#",
        "B,A5,Fx",
        "Db,m7,Cb",
        "Eb,M9,F",
        "G#,d7,F",
        "C,A11,F#"
    })
    void notePlus_interval_keepsTheLetterOfTheInterval(String from, String interval, String to) {
        assertEquals(Note.parse(to), Note.parse(from).plus(Interval.parse(interval)));
    }

    @ParameterizedTest
    @CsvSource({"P1,0", "m3,3", "M3,4", "d5,6", "A5,8", "d7,9", "M7,11", "m9,13", "A9,15", "P11,17", "A11,18", "M13,21"
    })
    void intervalParse_anyQuality_hasItsSemitonesAndReadsBack(String text, int semitones) {
        assertEquals(semitones, Interval.parse(text).semitones());
        assertEquals(text, Interval.parse(text).toString());
    }

    @ParameterizedTest
    @CsvSource({"P3", "m5", "M4", "X3", "m0", "m99", "''"})
    void intervalParse_noSuchInterval_isRefused(String text) {
        assertThrows(FormatException.class, () -> Interval.parse(text));
    }

    @Test
    void pitch_a4_is440Hz() {
        assertEquals(69, Pitch.parse("A4").midi());
        assertEquals(440.0, Pitch.parse("A4").frequencyHz(), 1e-9); // ISO 16:1975
        assertEquals(82.407, Pitch.parse("E2").frequencyHz(), 1e-3); // equal temperament from A4
    }

    @ParameterizedTest
    @CsvSource({"C4,60", "B#3,60", "Cb4,59", "E2,40", "Bb1,34", "C-1,0", "G9,127"})
    void pitchParse_octaveCountsFromTheLetterC(String text, int midi) {
        assertEquals(midi, Pitch.parse(text).midi());
    }

    @ParameterizedTest
    @CsvSource({"E", "2", "E22", "H2", "G#9", "''"})
    void pitchParse_noPitch_isRefused(String text) {
        assertThrows(FormatException.class, () -> Pitch.parse(text));
    }

    @ParameterizedTest
    @CsvSource({
        "C,C major,0",
        "Am,A minor,0",
        "F# minor,F# minor,3",
        "Bbmaj,Bb major,-2",
        "c# min,C# minor,4",
        "Ebm,Eb minor,-6",
        "Gb,Gb major,-6",
        "E-,E minor,1"
    })
    void keyParse_anySpelling_hasItsSignature(String text, String key, int fifths) {
        assertEquals(Key.parse(key), Key.parse(text));
        assertEquals(fifths, Key.parse(text).fifths());
        assertEquals(Key.parse(text), Key.parse(Key.parse(text).toString()));
    }

    @Test
    void keySpell_scaleNotes_haveEachLetterOnce() {
        for (int tonic = 0; tonic < 12; tonic++) {
            for (Mode mode : Mode.values()) {
                Key key = Key.on(tonic, mode);
                long letters = IntStream.range(0, 7)
                        .mapToObj(step -> key.spell((key.tonic().pitchClass() + mode.semitones(step)) % 12)
                                .letter())
                        .distinct()
                        .count();
                assertEquals(7, letters, key.toString());
                assertTrue(Math.abs(key.fifths()) <= 6, key.toString());
            }
        }
    }

    @Test
    void keyParse_neitherMajorNorMinor_saysSo() {
        FormatException e = assertThrows(FormatException.class, () -> Key.parse("A sunny"));
        assertTrue(e.getMessage().contains("\"sunny\" is neither major nor minor"), e.getMessage());
    }
}
