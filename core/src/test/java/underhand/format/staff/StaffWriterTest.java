package underhand.format.staff;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.format.staff.StaffNote.Head;
import underhand.format.text.ChartTextReader;
import underhand.neck.Shape;
import underhand.part.Part;
import underhand.part.Spelling;
import underhand.picking.PatternPlan;
import underhand.picking.Patterns;
import underhand.pitch.Letter;
import underhand.pitch.SpelledPitch;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;

/** Staff notation by common practice, as any handbook of notation has it. */
class StaffWriterTest {

    private static final Arranger ARRANGER = new Arranger();

    private static Part part(String text, int capo, String pattern, String shape) {
        Chart chart = ChartTextReader.read(text).chart();
        ArrangementSettings settings = ArrangementSettings.ofRung(5)
                .withCapo(capo)
                .withPatterns(PatternPlan.of(Patterns.of(pattern).orElseThrow()));
        if (!shape.isEmpty()) {
            settings = settings.withLocks(List.of(Lock.onShape(0, Shape.parse(shape))));
        }
        Arrangement arrangement = ARRANGER.arrange(chart, settings);
        return Part.of(arrangement, List.of());
    }

    private static StaffBar first(String text, int capo, String pattern, String shape) {
        return StaffWriter.write(part(text, capo, pattern, shape), false).get(0);
    }

    private static String positions(StaffNote note) {
        return note.heads().stream().map(h -> Integer.toString(h.position())).collect(Collectors.joining(" "));
    }

    private static String signs(StaffNote note) {
        return note.heads().stream()
                .map(h -> h.accidental().isEmpty()
                        ? "."
                        : Integer.toString(h.accidental().getAsInt()))
                .collect(Collectors.joining(" "));
    }

    /**
     * Written an octave above its sound: the open sixth string, E2, below the third ledger line; the open first, E4, in the top
     * space. Signs are semitones, a dot where key or bar say it already; a chord's own spelling goes before the key's.
     */
    private static List<StaffNote> notes(StaffBar bar) {
        return bar.voices().get(0).notes();
    }

    @ParameterizedTest
    @CsvSource(
            value = {
                "C;  C;  x32010; 0; -2 0 2 5 7; . . . . .",
                "C;  Em; 022000; 0; -7 -3 0 2 4 7; . . . . . .",
                "G;  D;  xx0232; 0; -1 3 6 8; . . . .",
                "C;  D;  xx0232; 0; -1 3 6 8; . . . 1",
                "F;  Bb; x13331; 0; -3 1 4 6 8; . . . . .",
                "C;  Bb; x13331; 0; -3 1 4 6 8; -1 . -1 . .",
                "F;  G;  320003; 0; -5 -3 -1 2 4 9; . 0 . . 0 .",
                "A;  A;  320003; 2; -5 -3 -1 2 4 9; . . . . . .",
                "Bb; D7; xx0212; 0; -1 3 5 8; . . . 1",
                "Eb; B7; x21202; 0; -3 -1 3 4 8; 0 1 0 0 1",
            },
            delimiter = ';')
    void heads_ofAChord_standOnTheirLines(
            String key, String chord, String shape, int capo, String positions, String signs) {
        StaffBar bar = first("key: " + key + "\n| " + chord + " | " + chord + " |", capo, "beat-strum", shape);
        assertEquals(positions, positions(notes(bar).get(0)));
        assertEquals(signs, signs(notes(bar).get(0)));
        assertTrue(
                notes(bar).get(1).heads().stream().allMatch(h -> h.accidental().isEmpty()), "a sign holds for its bar");
        assertTrue(notes(bar).get(0).begins() && !notes(bar).get(1).begins());
    }

    @Test
    void accidental_inTheNextBar_isWrittenAgain() {
        List<StaffBar> bars = StaffWriter.write(part("key: C\n| D | D |", 0, "beat-strum", ""), false);
        assertEquals(signs(notes(bars.get(0)).get(0)), signs(notes(bars.get(1)).get(0)));
    }

    @Test
    void secondsInAChord_theUpperStandsAsideOfAStemUp() {
        StaffNote note = notes(first("| Cadd9 |", 0, "beat-strum", "x32030")).get(0);
        assertEquals("-2 0 2 6 7", positions(note));
        assertTrue(note.stemUp());
        assertEquals(
                List.of(false, false, false, false, true),
                note.heads().stream().map(Head::aside).toList());
    }

    @ParameterizedTest
    @CsvSource({
        "4/4, arpeggio-up-down, [[0; 1]; [2; 3]; [4; 5]; [6; 7]]",
        "6/8, six-arpeggio, [[0; 1; 2]; [3; 4; 5]]",
        "12/8, twelve-arpeggio, [[0; 1; 2]; [3; 4; 5]; [6; 7; 8]; [9; 10; 11]]",
        "3/4, waltz-arpeggio, [[0; 1]; [2; 3]; [4; 5]]",
        "4/4, sixteenth-pick, [[0; 1; 2; 3]; [4; 5; 6; 7]; [8; 9; 10; 11]; [12; 13; 14; 15]]",
        "4/4, beat-strum, []",
    })
    void beams_keepWithinABeat(String metre, String pattern, String beams) {
        StaffBar bar = first("time: " + metre + "\ntempo: 60\n| C |", 0, pattern, "");
        assertEquals(beams.replace(';', ','), bar.voices().get(0).beams().toString());
    }

    /** Beats, not bars: halves in 2/2, three eighths in 9/8; common practice. */
    @ParameterizedTest
    @CsvSource({"4/4, 24", "3/4, 24", "2/2, 48", "6/8, 36", "9/8, 36", "3/8, 36", "5/8, 24", "6/16, 18"})
    void beatLength_ofAMetre(String metre, int length) {
        assertEquals(length, StaffWriter.beatLength(Metre.parse(metre)));
    }

    @ParameterizedTest
    @CsvSource({
        "0, '', ''",
        "1, 8, F",
        "4, 8 5 9 6, F C G D",
        "7, 8 5 9 6 3 7 4, F C G D A E B",
        "-1, 4, B",
        "-3, 4 7 3, B E A",
        "-7, 4 7 3 6 2 5 1, B E A D G C F",
    })
    void keySignature_hasItsSignsInOrder(int fifths, String positions, String letters) {
        StaffKey key = new StaffKey(fifths);
        assertEquals(positions, key.positions().stream().map(String::valueOf).collect(Collectors.joining(" ")));
        for (Letter letter : Letter.values()) {
            assertEquals(
                    letters.contains(letter.name()) ? Integer.signum(fifths) : 0,
                    key.alteration(letter),
                    letter.name());
        }
    }

    /** Read as a musician reads it, every bar gives the pitches that sound, whatever the key, capo, pattern and chords. */
    @Test
    void anyPart_readFromItsStaff_soundsTheSame() {
        Random random = new Random(1812);
        List<String> chords = List.of("C", "F#m7", "Bb13", "B7b9", "Ebmaj7", "G#dim7", "A", "Dm", "Gbadd9", "Caug");
        List<String> keys = List.of("C", "G", "Eb", "F#", "Bbm", "E", "Ab", "C#m");
        List<String> patterns =
                List.of("beat-strum", "arpeggio-up-down", "funk-sixteenths", "swing-thumb", "bossa-pluck");
        for (int song = 0; song < 40; song++) {
            String bars = IntStream.range(0, 4)
                    .mapToObj(i -> chords.get(random.nextInt(chords.size())))
                    .collect(Collectors.joining(" | ", "| ", " |"));
            String text = "key: " + keys.get(random.nextInt(keys.size())) + "\ntempo: 60\n" + bars;
            Part part = part(text, random.nextInt(5), patterns.get(random.nextInt(patterns.size())), "");
            StaffKey key = StaffWriter.key(part);
            for (StaffBar bar : StaffWriter.write(part, false)) {
                checkPitches(bar, key, part.arrangement().capo(), text);
                notes(bar).forEach(note -> checkRoom(note, text));
                checkBeams(bar, text);
            }
        }
    }

    private static void checkPitches(StaffBar bar, StaffKey key, int capo, String text) {
        Map<Integer, Integer> altered = new HashMap<>();
        for (StaffNote note : notes(bar)) {
            for (Head head : note.heads()) {
                head.accidental().ifPresent(sign -> altered.put(head.position(), sign));
                Letter letter = Letter.E.up(head.position());
                int octave = 4 + Math.floorDiv(head.position() + 2, 7);
                int alteration = altered.getOrDefault(head.position(), key.alteration(letter));
                int written = 12 * (octave + 1) + letter.semitones() + alteration;
                assertEquals(head.note().midi() - capo + 12, written, text + " at " + note.from());
            }
        }
    }

    private static void checkRoom(StaffNote note, String text) {
        List<Head> heads = note.heads();
        for (int i = 1; i < heads.size(); i++) {
            boolean close = heads.get(i).position() - heads.get(i - 1).position() <= 1;
            assertTrue(!close || heads.get(i).aside() != heads.get(i - 1).aside(), text + ": heads on one another");
        }
        for (Head one : heads) {
            for (Head other : heads) {
                boolean touch = one != other
                        && one.accidental().isPresent()
                        && other.accidental().isPresent()
                        && one.column() == other.column()
                        && Math.abs(one.position() - other.position()) < 6;
                assertTrue(!touch, text + ": signs on one another");
            }
        }
    }

    private static void checkBeams(StaffBar bar, String text) {
        int beat = StaffWriter.beatLength(bar.written().bar().metre());
        for (int i = 1; i < notes(bar).size(); i++) {
            StaffNote before = notes(bar).get(i - 1);
            StaffNote note = notes(bar).get(i);
            boolean joined = before.flags() > 0
                    && note.flags() > 0
                    && !before.isRest()
                    && !note.isRest()
                    && before.from() / beat == note.from() / beat;
            List<Integer> pair = List.of(i - 1, i);
            assertEquals(joined, bar.voices().get(0).beams().stream().anyMatch(beam -> beam.containsAll(pair)), text);
            assertTrue(!joined || before.stemUp() == note.stemUp(), text);
        }
    }

    /** The chord's letters before the key's: A's third is C♯ even in E♭, where the key would write D♭. */
    @ParameterizedTest
    @CsvSource({"Eb, A, C# E", "Eb, Abm, Cb Eb", "D, Bb7, D F Ab", "F, E7, E G# B D"})
    void spelling_ofChordTones_isTheChords(String key, String chord, String tones) {
        Part part = part("key: " + key + "\n| " + chord + " |", 0, "beat-strum", "");
        Spelling spelling = Spelling.sounding(part);
        List<String> letters = part.strikes().get(0).notes().stream()
                .map(note -> spelling.of(note, 0))
                .map(SpelledPitch::note)
                .map(Object::toString)
                .toList();
        for (String tone : tones.split(" ")) {
            assertTrue(letters.contains(tone), letters.toString());
        }
    }

    /** Strums as slashes on the middle line, in the rhythm they have; what is plucked is written out, with its signs. */
    @Test
    void strumsAsSlashes_keepTheirRhythm() {
        Part strummed = part("key: F\n| Bb | D |", 0, "folk-strum", "");
        List<StaffNote> slashes = notes(StaffWriter.write(strummed, true).get(0));
        List<StaffNote> written = notes(StaffWriter.write(strummed, false).get(0));
        assertEquals(
                written.stream().map(StaffNote::value).toList(),
                slashes.stream().map(StaffNote::value).toList());
        for (StaffNote slash : slashes) {
            assertTrue(slash.slash() && !slash.isFingered());
            assertEquals("4", positions(slash));
            assertEquals(".", signs(slash));
            assertEquals(List.of(2, 6), List.of(slash.lowest(), slash.highest()));
        }
        Part plucked = part("key: F\n| Bb | D |", 0, "arpeggio-up", "");
        assertEquals(StaffWriter.write(plucked, false), StaffWriter.write(plucked, true));
    }
}
