package underhand.format.text;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import underhand.format.text.TuneText.Note;
import underhand.input.RangeException;
import underhand.pitch.Pitch;

class TuneTextTest {

    private static final String SONG = """
            title: Lock and Quay
            key: G
            metre: 3/4

            # a remark stays
            [Verse]
            G        D7
            Down by the lock
            tune: B4 . A4 | F#4 . . |
            | C |  G/B |
            [Chorus]
            [C]Sung in [G]brackets
            """;

    private static Note note(double from, double beats, String pitch) {
        return new Note(from, beats, Pitch.parse(pitch));
    }

    @Test
    void notes_areReadOverAllLines_asOneTune() {
        TuneText tune = TuneText.read(SONG);
        assertEquals(List.of(note(0, 2, "B4"), note(2, 1, "A4"), note(3, 3, "F#4")), tune.notes());
        assertEquals(6, tune.bars().size());
        assertEquals(6.0, tune.bars().get(2).from());
        assertEquals(10, tune.bars().get(2).line());
    }

    @Test
    void anotherTune_isWritten_andEveryOtherLineStays() {
        TuneText tune = TuneText.read(SONG);
        assertEquals(SONG, tune.with(tune.notes()));
        List<Note> more = new ArrayList<>(tune.notes());
        // Over the bar line and the end of the line of chords.
        more.set(2, note(3, 4.5, "F#4"));
        more.add(note(7.5, 0.5, "E4"));
        more.add(note(12, 1.0 / 3, "D4"));
        String written = tune.with(more);
        assertEquals(
                SONG.replace("| C |  G/B |", "| C |  G/B |\ntune: . . . E4 - - |")
                        .replace("brackets\n", "brackets\ntune: D4 - - - - - - - - |\n"),
                written);
        assertEquals(more, TuneText.read(written).notes());
    }

    @Test
    void aTuneTakenAway_takesItsLines() {
        TuneText tune = TuneText.read(SONG);
        assertEquals(SONG.replace("tune: B4 . A4 | F#4 . . |\n", ""), tune.with(List.of()));
    }

    @Test
    void repeatsWrittenOnOneLine_haveTheirBars() {
        TuneText tune = TuneText.read("|: G | C :|\ntune: G4 . . . | E4 . . . | G4 . . . | C5 . . . |\n");
        assertEquals(4, tune.bars().size());
        assertEquals("C5", tune.notes().get(3).pitch().toString());
        assertEquals(12, tune.notes().get(3).from());
    }

    @Test
    void wrongTunes_areRefused() {
        TuneText tune = TuneText.read(SONG);
        assertThrows(RangeException.class, () -> note(0, 0, "C4"));
        assertThrows(RangeException.class, () -> note(Double.NaN, 1, "C4"));
        List<Note> over = List.of(note(0, 2, "C4"), note(1, 1, "D4"));
        assertTrue(assertThrows(RangeException.class, () -> tune.with(over))
                .getMessage()
                .contains("one voice"));
    }

    @Test
    void linesEndAsTheyDid() {
        String windows = "| C | G |\r\n\r\ntext of words only\r\n";
        assertEquals(
                "| C | G |\r\ntune: C5 - - - |\r\n\r\ntext of words only\r\n",
                TuneText.read(windows).with(List.of(note(0, 1, "C5"))));
    }

    /** Random tunes on a grid of sixths and quarters of a beat come back note by note. */
    @Test
    void whateverIsWritten_isReadBack() {
        Random random = new Random(5);
        for (int round = 0; round < 400; round++) {
            TuneText tune = TuneText.read(SONG);
            List<Note> notes = new ArrayList<>();
            double grid = random.nextBoolean() ? 1.0 / 6 : 0.25;
            double at = 0;
            while (at < 17) {
                at += grid * random.nextInt(8);
                double beats = grid * (1 + random.nextInt(24));
                if (at + beats <= 18) {
                    notes.add(
                            note(at, beats, "ABCDEFG".charAt(random.nextInt(7)) + (random.nextBoolean() ? "4" : "5")));
                }
                at += beats;
            }
            List<Note> read = TuneText.read(tune.with(notes)).notes();
            assertEquals(notes.size(), read.size(), notes + "\n" + read);
            for (int i = 0; i < read.size(); i++) {
                assertEquals(notes.get(i).pitch(), read.get(i).pitch());
                assertEquals(notes.get(i).from(), read.get(i).from(), 1e-3);
                assertEquals(notes.get(i).beats(), read.get(i).beats(), 1e-3);
            }
        }
    }
}
