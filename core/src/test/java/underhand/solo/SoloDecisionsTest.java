package underhand.solo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.arrange.Warning;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartTextReader;
import underhand.neck.Shape;
import underhand.part.Part;
import underhand.pitch.Pitch;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.SoloAsk;
import underhand.settings.SoloAsk.TuneString;
import underhand.solve.PlacedGrip;
import underhand.solve.Solo;

/** What a player decides about a solo is kept, and what cannot be is said. */
class SoloDecisionsTest {

    private static final SoloAsk AS_WRITTEN = new SoloAsk(SoloAsk.Under.CHORDS, OptionalInt.of(0), List.of());

    private static Arrangement arrange(String chart, int rung, SoloAsk ask) {
        return new Arranger()
                .arrange(
                        chart(chart),
                        ArrangementSettings.ofRung(rung).withCapo(0).withSolo(ask));
    }

    private static Chart chart(String text) {
        return ChartTextReader.read(text).chart();
    }

    private static String grip(PlacedGrip placed) {
        return placed.grip().orElseThrow().grip().toString();
    }

    private static Solo.Note tune(Arrangement arrangement, int note) {
        return arrangement.solo().orElseThrow().notes().stream()
                .filter(Solo.Note::tune)
                .toList()
                .get(note);
    }

    @ParameterizedTest
    @CsvSource({"1,0", "2,5", "3,9"})
    void aNoteIsPlayedOnTheStringThePlayerWants(int string, int fret) {
        SoloAsk ask = new SoloAsk(SoloAsk.Under.CHORDS, OptionalInt.of(0), List.of(new TuneString(1, 3, string)));
        Solo.Note note = tune(arrange("| C |\ntune: C5 . E4 . |\n", 4, ask), 1);

        assertEquals(6 - string, note.string());
        assertEquals(fret, note.fret());
        assertEquals(64, note.midi());
    }

    @Test
    void aLockedShapeIsKeptWhereItHasTheTuneOnTop() {
        Chart chart = chart("| C | G7 |\ntune: G4 . . . | F4 . . . |\n");
        Lock lock = Lock.onShape(0, Shape.parse("x32013"));
        Arrangement arrangement = new Arranger()
                .arrange(
                        chart,
                        ArrangementSettings.ofRung(4)
                                .withCapo(0)
                                .withSolo(AS_WRITTEN)
                                .withLocks(List.of(lock)));
        PlacedGrip first = arrangement.placements().get(0);

        assertTrue(first.locked());
        assertEquals("x32013", first.grip().orElseThrow().grip().shape().toString());
    }

    @Test
    void aLockWithoutTheTuneOnTopIsSaid() {
        Chart chart = chart("| C | G7 |\ntune: A4 . . . | F4 . . . |\n");
        Arrangement arrangement = new Arranger()
                .arrange(
                        chart,
                        ArrangementSettings.ofRung(4)
                                .withCapo(0)
                                .withSolo(AS_WRITTEN)
                                .withLocks(List.of(Lock.onShape(0, Shape.parse("x32010")))));

        assertFalse(arrangement.placements().get(0).locked());
        assertTrue(arrangement.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.LOCK));
    }

    @Test
    void aSectionWithoutATuneStaysAPlainPart() {
        String text = "[Verse]\n| C | G |\ntune: E4 . G4 . | D4 . . . |\n\n[Bridge]\n| Am | F |\n";
        Arrangement solo = arrange(text, 3, AS_WRITTEN);
        Part part = Part.of(solo, List.of());
        List<Integer> inSolo = solo.solo().orElseThrow().moments().stream()
                .map(Solo.Moment::place)
                .distinct()
                .toList();

        assertEquals(List.of(0, 1), inSolo);
        assertEquals("x02210 --231-", grip(solo.placements().get(2)));
        assertTrue(part.strikes().stream().anyMatch(s -> s.place() == 2));
        assertTrue(part.strikes().stream().anyMatch(s -> s.place() == 3));
    }

    @Test
    void aChartWithoutATuneIsThePlainPart() {
        Arrangement asked = arrange("| C | G | Am | F |\n", 3, SoloAsk.OPEN);
        Arrangement plain = new Arranger()
                .arrange(
                        chart("| C | G | Am | F |\n"),
                        ArrangementSettings.ofRung(3).withCapo(0));

        assertTrue(asked.solo().isEmpty());
        assertEquals(
                plain.placements().stream().map(SoloDecisionsTest::grip).toList(),
                asked.placements().stream().map(SoloDecisionsTest::grip).toList());
    }

    @Test
    void notesOffTheNeckAreLeftOutAndSaid() {
        Arrangement low = arrange("| C |\ntune: E4 C2 E4 . |\n", 4, AS_WRITTEN);
        Solo solo = low.solo().orElseThrow();

        assertEquals(List.of(36), solo.leftOut().stream().map(Solo.Lost::midi).toList());
        assertEquals(2, solo.notes().stream().filter(Solo.Note::tune).count());
        assertTrue(low.warnings().stream()
                .anyMatch(w -> w.kind() == Warning.Kind.TUNE && w.text().contains("C2")));
    }

    @Test
    void aPinnedReadingIsWhatStandsUnderTheTune() {
        Chart plain = chart("key: C\n| Dm | G | C | C |\ntune: F4 . . . | D4 . . . | E4 . . . | E4 . . . |\n");
        Arrangement arrangement = new Arranger()
                .arrange(plain, ArrangementSettings.ofRung(4).withCapo(0).withSolo(AS_WRITTEN));

        assertEquals(
                List.of("Dm", "G", "C", "C"),
                arrangement.placements().stream()
                        .map(p -> p.segment().chord().orElseThrow().toString())
                        .toList());
    }

    @ParameterizedTest
    @CsvSource({
        "C, E4, the third of C",
        "C, A4, the 6 over C",
        "C7, A4, the 13 over C7",
        "Am, B4, the 9 over Am",
        "Am7, G4, the seventh of Am7",
        "G, C#5, the ♯11 over G",
        "D9, E4, the ninth of D9",
        "C, C5, the root of C"
    })
    void aNoteIsNamedInItsChord(String chord, String note, String words) {
        assertEquals(
                words, ToneWords.of(ChordSymbol.parse(chord), Pitch.parse(note).midi()));
    }

    @Test
    void aTuneOverNoChordIsPlayedAlone() {
        Arrangement arrangement = arrange("| N.C. | C |\ntune: G4 A4 B4 . | C5 . . . |\n", 5, AS_WRITTEN);
        Solo solo = arrangement.solo().orElseThrow();

        assertEquals(4, solo.notes().stream().filter(Solo.Note::tune).count());
        assertTrue(solo.notes().stream().noneMatch(n -> n.place() == 0 && !n.tune()));
        Part part = Part.of(arrangement, List.of());
        assertEquals(3, part.strikes().stream().filter(s -> s.place() == 0).count());
    }

    /** A phrase asked to stay in one place does: its chords, and every note between them, by all rungs. */
    @ParameterizedTest
    @CsvSource({"1", "2", "3", "4", "5"})
    void aPhraseStaysInThePlaceItIsAskedFor(int rung) {
        Chart chart = chart("key: C\n| C | F |\ntune: E4 G4 C5 B4 | A4 C5 F4 E4 |\n");
        List<Lock> region = List.of(Lock.onRegion(0, 5, 8), Lock.onRegion(1, 5, 8));
        Arrangement arrangement = new Arranger()
                .arrange(
                        chart,
                        ArrangementSettings.ofRung(rung)
                                .withCapo(0)
                                .withSolo(AS_WRITTEN)
                                .withLocks(region));
        List<Solo.Note> notes = arrangement.solo().orElseThrow().notes();
        assertEquals(8, notes.stream().filter(Solo.Note::tune).count());
        notes.forEach(n -> assertTrue(n.fret() == 0 || n.fret() >= 5 && n.fret() <= 8, n.toString()));
    }

    /** A note the place does not have is played where it is, and that is said. */
    @Test
    void aPhraseThatLeavesItsPlace_isSaid() {
        Chart chart = chart("key: C\n| C | F |\ntune: E5 F5 G5 E5 | C4 A4 C5 . |\n");
        Arrangement arrangement = new Arranger()
                .arrange(
                        chart,
                        ArrangementSettings.ofRung(1)
                                .withCapo(0)
                                .withSolo(AS_WRITTEN)
                                .withLocks(List.of(Lock.onRegion(1, 9, 11))));
        assertEquals(
                7,
                arrangement.solo().orElseThrow().notes().stream()
                        .filter(Solo.Note::tune)
                        .count());
        assertTrue(
                arrangement.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.LOCK),
                arrangement.warnings().toString());
    }

    /** The tune alone, as a second guitar plays it over the first: nothing else sounds, on any rung. */
    @ParameterizedTest
    @CsvSource({"1", "3", "5"})
    void nothingStandsUnderTheTuneWhereNothingIsAskedFor(int rung) {
        SoloAsk ask = new SoloAsk(SoloAsk.Under.NOTHING, OptionalInt.empty(), List.of());
        for (String name : List.of("amazing-grace", "ode-to-joy")) {
            Arrangement arrangement = new Arranger()
                    .arrange(
                            Tunes.chart(name),
                            ArrangementSettings.ofRung(rung).withCapo(0).withSolo(ask));
            List<Solo.Note> notes = arrangement.solo().orElseThrow().notes();
            assertTrue(notes.stream().allMatch(Solo.Note::tune), notes.toString());
            long struck = Tunes.chart(name).placements().stream()
                    .flatMap(s -> s.placement().tune().stream())
                    .filter(n -> !n.tied())
                    .count();
            assertEquals(struck, notes.size());
        }
    }
}
