package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ForkJoinPool;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartTextReader;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.picking.PatternPlan;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Lock;
import underhand.settings.Setting;
import underhand.solve.PlacedGrip;

class ArrangerTest {

    private static final Arranger ARRANGER = new Arranger();

    private static Chart chart(String chords) {
        return TeacherParts.chart(
                Arrays.stream(chords.split(" ")).map(ChordSymbol::parse).toList());
    }

    private static List<String> shapes(Arrangement arrangement) {
        return arrangement.placements().stream()
                .map(p -> p.grip().orElseThrow().grip().shape().toString())
                .toList();
    }

    static Stream<TeacherParts.Part> teacherParts() {
        return TeacherParts.ALL.stream();
    }

    /** Parts a teacher would write, one set of parameters for all; common practice. */
    @ParameterizedTest
    @MethodSource("teacherParts")
    void arrange_teachersPart_choosesAnAcceptedShapeForEveryChord(TeacherParts.Part part) {
        assertEquals(
                part.chords().size(),
                TeacherParts.agreeing(part, Parameters.STANDARD),
                part.chords() + " chosen " + TeacherParts.chosen(part, Parameters.STANDARD));
    }

    @Test
    void arrange_firstSongOfRungOne_hasTextbookShapesAndFingers() {
        Arrangement arrangement = ARRANGER.arrange(chart("G D Em C"), ArrangementSettings.ofRung(1));
        assertEquals(0, arrangement.capo());
        assertEquals(List.of("320003", "xx0232", "022000", "x32010"), shapes(arrangement));
        List<String> fingers = arrangement.placements().stream()
                .map(p -> p.grip().orElseThrow().grip().fingers())
                .toList();
        assertTrue(List.of("21---3", "32---4").contains(fingers.get(0)), fingers.toString());
        assertEquals(List.of("---132", "-23---", "-32-1-"), fingers.subList(1, 4));
    }

    /** What least effort alone would give: scraps. None of them may come out; every needed tone sounds. */
    @ParameterizedTest
    @CsvSource({"1,C Em G7 D", "2,C Em G7 D", "3,C Em G7 D", "4,C Em G7 D", "5,C Em G7 D"})
    void arrange_alone_neverChoosesScraps(int rung, String chords) {
        Arrangement arrangement =
                ARRANGER.arrange(chart(chords), ArrangementSettings.ofRung(rung).withCapo(0));
        for (PlacedGrip placed : arrangement.placements()) {
            Shape shape = placed.grip().orElseThrow().grip().shape();
            assertTrue(shape.sounding() >= 4, shape.toString());
            assertEquals(0, placed.grip().orElseThrow().grip().undampedInside(), shape.toString());
        }
    }

    @ParameterizedTest
    @CsvSource({"Eb Ab Bb Eb", "Bb Eb F Gm", "F# B C# F#", "Ab Db Eb Ab"})
    void arrange_keyFullOfBarres_getsACapoWithoutBarres(String chords) {
        Arrangement first = ARRANGER.arrange(chart(chords), ArrangementSettings.ofRung(1));
        CapoCandidate chosen = first.candidates().get(first.capo());
        assertEquals(0, chosen.barres(), chords + ": " + shapes(first));
        assertEquals(0, chosen.beyond());
        assertTrue(chosen.reasons().contains("no barres"), chosen.reasons().toString());
        Arrangement third = ARRANGER.arrange(chart(chords), ArrangementSettings.ofRung(3));
        int barres = third.candidates().get(third.capo()).barres();
        assertTrue(barres < third.candidates().get(0).barres(), chords + ": " + shapes(third));
    }

    @Test
    void arrange_anyCapo_soundsTheSameChords() {
        Chart chart = chart("Eb Cm Ab Bb7");
        for (int capo = 0; capo <= 9; capo++) {
            Arrangement arrangement =
                    ARRANGER.arrange(chart, ArrangementSettings.ofRung(3).withCapo(capo));
            Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, capo);
            for (PlacedGrip placed : arrangement.placements()) {
                ChordSymbol chord = placed.slot().placement().chord().orElseThrow();
                List<Integer> tones =
                        chord.tones().stream().map(t -> t.note().pitchClass()).toList();
                placed.grip()
                        .orElseThrow()
                        .grip()
                        .shape()
                        .pitches(board)
                        .forEach(p -> assertTrue(tones.contains(p.pitchClass()), chord + " at capo " + placed));
                assertEquals(
                        chord.root().pitchClass(),
                        (placed.played().orElseThrow().root().pitchClass() + capo) % 12);
            }
        }
    }

    @Test
    void arrange_chordBeyondTheRung_stillGetsAGripAndSaysSo() {
        Arrangement arrangement = ARRANGER.arrange(
                chart("C Ab13 C"), ArrangementSettings.ofRung(1).withCapo(0));
        PlacedGrip hard = arrangement.placements().get(1);
        assertTrue(hard.grip().orElseThrow().rung() > 1);
        Warning warning = arrangement.warnings().stream()
                .filter(w -> w.kind() == Warning.Kind.BEYOND_RUNG)
                .findFirst()
                .orElseThrow();
        assertEquals(List.of(1), warning.placements());
        assertTrue(warning.text().contains("A♭13"), warning.text());
    }

    @Test
    void arrange_lock_keepsTheShapeAndMovesTheOthers() {
        Chart chart = chart("D G D A");
        Shape wanted = Shape.parse("x57775");
        ArrangementSettings settings = ArrangementSettings.ofRung(3).withCapo(0);
        Arrangement locked = ARRANGER.priced(chart, settings.withLocks(List.of(Lock.onShape(0, wanted))));
        assertEquals("x57775", shapes(locked).get(0));
        assertTrue(locked.placements().get(0).locked());
        Arrangement free = ARRANGER.arrange(chart, settings);
        double backToFree = locked.placements().get(0).alternatives().stream()
                .mapToDouble(PlacedGrip.Alternative::price)
                .min()
                .orElseThrow();
        assertEquals(free.total() - locked.total(), backToFree, 1e-4);
        assertTrue(backToFree < 0, "the lock is dearer than the free choice");
    }

    @Test
    void arrange_regionLock_keepsTheHandThere() {
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0);
        Chart chart = chart("D G A D");
        List<Lock> locks = List.of(Lock.onRegion(0, 5, 8), Lock.onRegion(1, 5, 8));
        Arrangement locked = ARRANGER.arrange(chart, settings.withLocks(locks));
        for (int i = 0; i < 2; i++) {
            Shape shape = locked.placements().get(i).grip().orElseThrow().grip().shape();
            for (int string = 0; string < shape.strings(); string++) {
                assertTrue(!shape.isFretted(string) || shape.fret(string) >= 5 && shape.fret(string) <= 8, "" + shape);
            }
            assertTrue(locked.placements().get(i).locked());
        }
        assertTrue(locked.total() > ARRANGER.arrange(chart, settings).total());
        Arrangement nowhere = ARRANGER.arrange(chart, settings.withLocks(List.of(Lock.onRegion(0, 30, 31))));
        assertTrue(nowhere.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.LOCK));
    }

    /** Without the tie this song ends its repeat on another grip, for the change back no longer counts there. */
    @Test
    void arrange_repeat_isPlayedLikeTheFirstTimeUnlessItIsFree() {
        Chart chart = ChartTextReader.read("|: B | Gm | B7 :|\n| D7 | F |").chart();
        int differing = 0;
        for (int rung = 1; rung <= 5; rung++) {
            ArrangementSettings settings =
                    ArrangementSettings.ofRung(rung).withCapo(0).withPatterns(PatternPlan.BEAT);
            Arrangement alike = ARRANGER.arrange(chart, settings);
            List<String> shapes = shapes(alike);
            assertEquals(shapes.subList(0, 3), shapes.subList(3, 6));
            Arrangement free = ARRANGER.arrange(
                    chart, settings.withHouseRules(HouseRules.NONE.with(HouseRule.REPEATS_ALIKE, false)));
            assertTrue(free.total() <= alike.total() + 1e-6);
            differing += shapes(free).subList(0, 3).equals(shapes(free).subList(3, 6)) ? 0 : 1;
        }
        assertTrue(differing > 0, "no rung shows the difference");
    }

    @Test
    void arrange_lockOnRepeat_isASecondTimeVariant() {
        Chart chart = ChartTextReader.read("|: G | D | Em | C :|").chart();
        ArrangementSettings settings = ArrangementSettings.ofRung(3).withCapo(0);
        Lock first = Lock.onShape(0, Shape.parse("355433"));
        Lock second = Lock.onShape(4, Shape.parse("320003"));
        assertEquals(
                "355433",
                shapes(ARRANGER.arrange(chart, settings.withLocks(List.of(first))))
                        .get(4));
        List<String> varied = shapes(ARRANGER.arrange(chart, settings.withLocks(List.of(first, second))));
        assertEquals("355433", varied.get(0));
        assertEquals("320003", varied.get(4));
    }

    @Test
    void arrange_lockNobodyCanHold_isLetGoAndReported() {
        Arrangement arrangement = ARRANGER.arrange(
                chart("D G"),
                ArrangementSettings.ofRung(3)
                        .withCapo(0)
                        .withLocks(List.of(Lock.onShape(0, Shape.parse("1-5-9-1-5-9")))));
        assertFalse(arrangement.placements().get(0).locked());
        assertTrue(arrangement.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.LOCK));
    }

    /** The price of an alternative is what the whole song costs more when it is locked there. */
    @Test
    void arrange_everyAlternative_hasItsTruePrice() {
        Chart chart = chart("G D Em C G");
        ArrangementSettings settings = ArrangementSettings.ofRung(2).withCapo(0);
        Arrangement free = ARRANGER.priced(chart, settings);
        for (PlacedGrip placed : free.placements()) {
            assertTrue(placed.alternatives().size() >= 3);
            for (PlacedGrip.Alternative alternative : placed.alternatives()) {
                Lock lock = Lock.onShape(
                        placed.slot().index(), alternative.grip().grip().shape());
                Arrangement forced = ARRANGER.arrange(chart, settings.withLocks(List.of(lock)));
                assertEquals(forced.total() - free.total(), alternative.price(), 1e-4, lock.toString());
            }
        }
    }

    @Test
    void arrange_anyNumberOfThreads_givesTheSame() throws Exception {
        Chart chart = chart("F Bb C7 F Dm Gm C7 F");
        String alone = new ForkJoinPool(1)
                .submit(() ->
                        ARRANGER.arrange(chart, ArrangementSettings.ofRung(3)).toString())
                .get();
        String many = new ForkJoinPool(8)
                .submit(() ->
                        ARRANGER.arrange(chart, ArrangementSettings.ofRung(3)).toString())
                .get();
        assertEquals(alone, many);
    }

    @Test
    void arrange_slowerTempo_leavesMoreTime() {
        Chart chart = chart("C F G C");
        Arrangement slow = ARRANGER.arrange(
                chart, ArrangementSettings.ofRung(1).withTempo(40).withCapo(0).withPatterns(PatternPlan.BEAT));
        Arrangement fast = ARRANGER.arrange(
                chart, ArrangementSettings.ofRung(1).withTempo(160).withCapo(0).withPatterns(PatternPlan.BEAT));
        assertTrue(
                slow.changes().get(0).availableSeconds() > fast.changes().get(0).availableSeconds());
        assertEquals(1.5, slow.changes().get(0).availableSeconds(), 1e-9); // one beat at 40 a minute
        assertTrue(fast.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.LATE));
        assertTrue(slow.warnings().stream().noneMatch(w -> w.kind() == Warning.Kind.LATE));
        assertTrue(slow.fastestTempo() >= 40 && fast.fastestTempo() < 160);
    }

    @Test
    void arrange_higherTempoThanTheFastest_isLateAndNotBelow() {
        Chart chart = chart("C F G C Am Dm");
        ArrangementSettings settings = ArrangementSettings.ofRung(2).withCapo(0);
        int fastest = ARRANGER.arrange(chart, settings.withTempo(60)).fastestTempo();
        Arrangement at = ARRANGER.arrange(chart, settings.withTempo(fastest));
        assertTrue(at.changes().stream().allMatch(c -> c.slackSeconds() >= 0), "in time at " + fastest);
    }

    @Test
    void arrange_fullRungs_proveThatNoGripLeftOutWouldHaveBeenCheaper() {
        for (int rung = 3; rung <= 5; rung++) {
            Arrangement arrangement = ARRANGER.arrange(
                    chart("Dm7 G7 Cmaj7 A7"), ArrangementSettings.ofRung(rung).withCapo(0));
            assertTrue(arrangement.warnings().stream().noneMatch(w -> w.kind() == Warning.Kind.CUT), "rung " + rung);
        }
    }

    @Test
    void arrange_emptyChart_isEmptyAndCostsNothing() {
        Arrangement arrangement = ARRANGER.arrange(TeacherParts.chart(List.of()), ArrangementSettings.ofRung(2));
        assertEquals(0, arrangement.total());
        assertTrue(arrangement.placements().isEmpty());
    }

    @Test
    void arrange_longBarrePassage_cautionsTheHand() {
        Arrangement arrangement = ARRANGER.arrange(
                chart("F# B F# B G#m C# F# B"), ArrangementSettings.ofRung(3).withCapo(0));
        Warning caution = arrangement.warnings().stream()
                .filter(w -> w.kind() == Warning.Kind.CAUTION)
                .findFirst()
                .orElseThrow();
        assertTrue(caution.text().contains("Stop at pain"), caution.text());
    }

    /** A riff in drop D: one finger across the three low strings; common practice. */
    @Test
    void arrange_powerChordsInDropD_layAFingerAcross() {
        ArrangementSettings dropD =
                ArrangementSettings.ofRung(2).withCapo(0).withTuning(Tuning.parse("D2 A2 D3 G3 B3 E4"));
        assertEquals(
                List.of("000xxx", "333xxx", "555xxx", "000xxx"), shapes(ARRANGER.arrange(chart("D5 F5 G5 D5"), dropD)));
    }

    @Test
    void find_bassPlayer_mayLeaveTheRootToThem() {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        GripFinder finder = new GripFinder(
                board, Rung.of(4), Player.ADULT, Setting.BASS, GripFinder.HIGHEST_FRET, Parameters.STANDARD);
        assertTrue(finder.find(ChordSymbol.parse("C7"), 1).stream()
                .anyMatch(g -> g.tags(ChordSymbol.parse("C7"), board).contains("rootless")));
    }

    @ParameterizedTest
    @CsvSource({
        "x-3-5-4-5-x,Cmaj7,drop 2", "8-x-9-9-8-x,Cmaj7,drop 3", "3-x-x-4-x-x,G,tenth", "5-x-5-5-x-x,Am7,shell",
        "3-5-5-x-x-x,G5,power", "x-x-x-7-8-7,G,triad", "x-x-3-4-x-x,G7,guide tones", "x-x-5-5-6-x,Csus4,quartal"
    })
    void tags_shapeOfAFamily_carryItsName(String shape, String chord, String tag) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        RatedGrip grip = new GripFinder(
                        board, Rung.of(5), Player.ADULT, Setting.BASS, GripFinder.HIGHEST_FRET, Parameters.STANDARD)
                .fingerings(Shape.parse(shape), ChordSymbol.parse(chord), 1)
                .get(0);
        List<String> tags = grip.tags(ChordSymbol.parse(chord), board);
        assertTrue(tags.contains(tag), shape + " " + tags);
    }
}
