package underhand.neckmap;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.pitch.Note;
import underhand.repertoire.RatedGrip;

class NeckMapTest {

    private static final NeckMap STANDARD = map("standard", 0);

    private static NeckMap map(String tuning, int capo) {
        return new NeckMap(new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), capo), Player.ADULT);
    }

    private static Tones scale(String root, String name) {
        return Scale.of(name).on(Note.parse(root));
    }

    /** Scales and chords on all roots: npm tonal 6.4.3, a general music theory library. */
    @ParameterizedTest
    @CsvFileSource(resources = "scales.tsv", delimiter = '\t')
    void tones_areThoseOfAnIndependentLibrary(String kind, String root, String name, String notes) {
        Tones tones = kind.equals("scale")
                ? scale(root, name)
                : Tones.of(ChordSymbol.parse(root + (name == null ? "" : name)));
        Set<Integer> theirs = Arrays.stream(notes.split(" "))
                .map(note -> Note.parse(note.replaceAll("(##|bb)[#b]+$", "$1")).pitchClass())
                .collect(Collectors.toSet());
        assertEquals(theirs, tones.pitchClasses());
        assertEquals(
                tones.pitchClasses().size() * map("bass", 0).board().strings(),
                map("bass", 0).dots(tones).stream().filter(d -> d.fret() < 12).count());
    }

    /** The five forms of C and of A minor from the nut up; common practice. */
    @ParameterizedTest
    @CsvSource({
        "C, C 0 x32010 | A 3 x35553 | G 5 875558 | E 8 8-10-10-9-8-8 | D 10 x-x-10-12-13-12",
        "Am, A 0 x02210 | G 2 532255 | E 5 577555 | D 7 x-x-7-9-10-8 | C 9 x-12-10-9-10-x",
        "G7, G 0 320001 | E 3 353433 | D 5 xx5767 | C 7 x-10-9-10-8-7 | A 10 x-10-12-10-12-10",
    })
    void forms_standInTheirOrder(String chord, String expected) {
        assertEquals(
                expected,
                STANDARD.forms(ChordSymbol.parse(chord)).stream()
                        .map(f -> f.form() + " " + f.fret() + " "
                                + f.whole().map(Shape::toString).orElse("-"))
                        .collect(Collectors.joining(" | ")));
    }

    @Test
    void formsHaveLowerAndUpperParts_andNoneInOtherTunings() {
        NeckMap.FormPlace form = STANDARD.forms(ChordSymbol.parse("G")).stream()
                .filter(f -> f.form().equals("E"))
                .findFirst()
                .orElseThrow();
        assertEquals(Optional.of(Shape.parse("355xxx")), form.lower());
        assertEquals(Optional.of(Shape.parse("xxx433")), form.upper());
        assertEquals(List.of(), map("open G", 0).forms(ChordSymbol.parse("G")));
        assertEquals(5, map("half step down", 0).forms(ChordSymbol.parse("G")).size());
    }

    /** The table of barre chords with the barre at the first fret; common practice. */
    @ParameterizedTest
    @CsvSource({
        "'', 133211, x13331",
        "m, 133111, x13321",
        "7, 131211, x13131",
        "m7, 131111, x13121",
        "maj7, 132211, x13231",
        "sus4, 133311, x13341",
        "7sus4, 131311, x13141",
    })
    void barres_areTheTableEverybodyLearns(String quality, String onSix, String onFive) {
        Map<String, String> shapes = STANDARD.barres().stream()
                .filter(b -> b.quality().equals(quality))
                .collect(Collectors.toMap(NeckMap.Barre::form, b -> b.shape().toString()));
        assertEquals(onFive, shapes.get("A"));
        assertEquals(onSix, shapes.get("E"));
    }

    /** The five boxes of the minor pentatonic of A; common practice. */
    @ParameterizedTest
    @CsvSource({
        "E form at 5, 5 8|5 7|5 7|5 7|5 8|5 8",
        "D form at 7, 8 10|7 10|7 10|7 9|8 10|8 10",
        "C form at 9, 10 12|10 12|10 12|9 12|10 13|10 12",
        "G form at 2, 3 5|3 5|2 5|2 5|3 5|3 5",
    })
    void minorPentatonic_isInItsBoxes(String position, String frets) {
        assertEquals(frets, box(scale("A", "minor pentatonic"), position));
    }

    /** Scales in position; common practice. */
    @ParameterizedTest
    @CsvSource({
        "C, major, E form at 8, 7 8 10|7 8 10|7 9 10|7 9 10|8 10|7 8 10",
        "C, major, G form at 5, 5 7 8|5 7 8|5 7|4 5 7|5 6 8|5 7 8",
        "C, major, C form at 0, 0 1 3|0 2 3|0 2 3|0 2|0 1 3|0 1 3",
        "A, natural minor, E form at 5, 5 7 8|5 7 8|5 7|4 5 7|5 6 8|5 7 8",
        "C, major pentatonic, E form at 8, 8 10|7 10|7 10|7 9|8 10|8 10",
        "A, blues, E form at 5, 5 8|5 6 7|5 7|5 7 8|5 8|5 8",
    })
    void scales_areWithinReach(String root, String scale, String position, String frets) {
        assertEquals(frets, box(scale(root, scale), position));
    }

    private static String box(Tones tones, String label) {
        Position position = STANDARD.positions(tones.root()).stream()
                .filter(p -> p.label().equals(label))
                .findFirst()
                .orElseThrow();
        Map<Integer, List<String>> byString = new TreeMap<>();
        STANDARD.line(tones, position.fret())
                .forEach(s -> byString.computeIfAbsent(s.dot().string(), k -> new ArrayList<>())
                        .add(Integer.toString(s.dot().fret())));
        return byString.values().stream().map(f -> String.join(" ", f)).collect(Collectors.joining("|"));
    }

    @Test
    void fingers_standOneAFret() {
        List<Integer> fingers = STANDARD.line(scale("A", "minor pentatonic"), 5).stream()
                .map(NeckMap.Stop::finger)
                .toList();
        assertEquals(List.of(1, 4, 1, 3, 1, 3, 1, 3, 1, 4, 1, 4), fingers);
    }

    @Test
    void lines_leaveNoToneOut_inAnyTuning() {
        Random random = new Random(11);
        List<Tuning> tunings = List.copyOf(Tuning.named().values());
        for (int round = 0; round < 2_000; round++) {
            Tuning tuning = tunings.get(random.nextInt(tunings.size()));
            NeckMap map = new NeckMap(new Fretboard(Guitar.ACOUSTIC, tuning, random.nextInt(5)), Player.ADULT);
            Scale scale = Scale.all().get(random.nextInt(Scale.all().size()));
            Tones tones = scale.on(Note.inPitchClass(random.nextInt(12), true));
            int fret = random.nextInt(11);
            List<NeckMap.Stop> line = map.line(tones, fret);
            List<Integer> pitches = line.stream().map(s -> s.dot().midi()).toList();
            for (int i = 1; i < pitches.size(); i++) {
                int before = pitches.get(i - 1);
                assertTrue(pitches.get(i) > before, tuning + " " + scale.name() + " " + fret);
                for (int pitch = before + 1; pitch < pitches.get(i); pitch++) {
                    assertFalse(tones.has(pitch), tuning + " " + scale.name() + " at " + fret + " leaves out " + pitch);
                }
            }
            line.forEach(s -> assertEquals(
                    map.board().midi(s.dot().string(), s.dot().fret()), s.dot().midi()));
        }
    }

    /** Triads on the three highest strings; common practice. */
    @ParameterizedTest
    @CsvSource({
        "C, xxx010 xxx553 xxx988 x-x-x-12-13-12",
        "G, xxx433 xxx787 x-x-x-12-12-10",
        "Em, xxx000 xxx453 xxx987 x-x-x-12-12-12"
    })
    void triads_onTheTopStrings(String chord, String shapes) {
        List<String> top = STANDARD.triads(ChordSymbol.parse(chord)).stream()
                .filter(t -> t.low() == 3)
                .map(t -> t.shape().toString())
                .toList();
        assertTrue(top.containsAll(List.of(shapes.split(" "))), top.toString());
    }

    @Test
    void triads_comeInThreeInversionsAnOctave_onEachGroup() {
        for (int root = 0; root < 12; root++) {
            ChordSymbol chord = ChordSymbol.parse(Note.inPitchClass(root, true) + "m");
            for (int low = 0; low < 4; low++) {
                int group = low;
                Set<Integer> inversions = STANDARD.triads(chord).stream()
                        .filter(t -> t.low() == group)
                        .map(NeckMap.Triad::inversion)
                        .collect(Collectors.toSet());
                assertEquals(Set.of(0, 1, 2), inversions, chord + " " + low);
            }
        }
    }

    /** Over a chord that is not the key's own, its notes displace the key's; common practice. */
    @ParameterizedTest
    @CsvSource({
        "Dm, A major, A harmonic major, F for F♯",
        "Dm7, C major, D dorian, ''",
        "G7, C major, G mixolydian, ''",
        "E7, A minor, E phrygian dominant, G♯ for G",
        "C7, C major, C mixolydian, B♭ for B",
        "D7, C major, D mixolydian, F♯ for F",
        "Fm, C major, C harmonic major, A♭ for A",
        "Bm7b5, A minor, B locrian, ''",
        "Am7, C major, A natural minor, ''",
    })
    void serving_isTheKeysScale_withTheChordsOwnNotes(String chord, String key, String has, String watch) {
        NeckMap.Serving first = STANDARD.serving(ChordSymbol.parse(chord), key).get(0);
        assertEquals(
                watch,
                first.watch().stream()
                        .map(w -> w.plays().glyphs() + " for " + w.insteadOf().glyphs())
                        .collect(Collectors.joining(", ")));
        List<String> notes = first.notes().stream().map(Note::glyphs).toList();
        assertEquals(has, first.name());
        assertEquals(7, notes.size());
    }

    @Test
    void otherScales_haveAllNotesOfTheChord_orLeaveSomeOut() {
        List<NeckMap.Serving> serving = STANDARD.serving(ChordSymbol.parse("Am7"), "G");
        List<String> names = serving.stream().map(NeckMap.Serving::name).toList();
        assertEquals("A dorian", names.get(0));
        assertTrue(names.contains("A minor pentatonic"), names.toString());
        assertTrue(names.size() <= 5);
    }

    @ParameterizedTest
    @CsvSource({"C, 1, 4", "C, 3, 7", "F#m7, 5, 9", "Bb, 6, 10", "G, 7, 11"})
    void chordsAtAPlace_stayThere(String chord, int from, int to) {
        RatedGrip grip =
                STANDARD.at(ChordSymbol.parse(chord), from, to, Rung.of(4)).orElseThrow();
        Shape shape = grip.grip().shape();
        for (int string = 0; string < 6; string++) {
            int fret = shape.fret(string);
            assertTrue(fret == Shape.SILENT || fret == 0 && from == 1 || fret >= from && fret <= to, shape.toString());
        }
    }

    @Test
    void aPlaceWithoutTheChord_isSaid() {
        assertEquals(Optional.empty(), STANDARD.at(ChordSymbol.parse("C13"), 13, 13, Rung.of(2)));
    }
}
