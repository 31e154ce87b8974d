package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.harmony.Preferences.MinorDominant;
import underhand.harmony.Preferences.SeventhDegree;
import underhand.harmony.Reach;
import underhand.harmony.ReadingId;
import underhand.harmony.RuleCatalogue;
import underhand.neck.Shape;
import underhand.picking.PatternPlan;
import underhand.settings.ArrangementSettings;
import underhand.settings.Fullness;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Lock;
import underhand.settings.MajorBarre;
import underhand.settings.ReadingChoice;
import underhand.settings.ReadingChoice.Verdict;
import underhand.settings.Setting;
import underhand.settings.TexturePlan;
import underhand.solve.PlacedGrip;

/** Readings in the route: accepted, pinned, refused, priced; and what each house rule changes. */
class ReadingsTest {

    private static final Arranger ARRANGER = new Arranger();

    /** Where a hand of the highest rung ends: a fifth degree a fret up lies past it. */
    private static final int HIGHEST_FRET = 12;

    private static Chart chart(String text) {
        return ChartTextReader.read(text).chart();
    }

    private static List<String> chords(Arrangement arrangement) {
        return arrangement.placements().stream()
                .map(p -> p.segment().chord().orElseThrow().toString())
                .toList();
    }

    private static List<Shape> shapes(Arrangement arrangement) {
        return arrangement.placements().stream()
                .map(p -> p.grip().orElseThrow().grip().shape())
                .toList();
    }

    private static ArrangementSettings with(
            ArrangementSettings settings, int placement, String reading, Verdict stand) {
        List<ReadingChoice> choices = new ArrayList<>(settings.readings());
        choices.add(new ReadingChoice(placement, ReadingId.parse(reading), stand));
        return settings.withReadings(choices);
    }

    @Test
    void arrange_pinnedTwoBeforeFive_splitsThePlacement() {
        Chart chart = chart("key: C\n| C | F | G7 | C |");
        ArrangementSettings settings =
                with(ArrangementSettings.ofRung(3).withCapo(0), 2, "two-before-five", Verdict.PINNED);
        Arrangement arrangement = ARRANGER.arrange(chart, settings);
        assertEquals(List.of("C", "F", "Dm7", "G7", "C"), chords(arrangement));
        PlacedGrip five = arrangement.placements().get(3);
        assertEquals(2, five.slot().index());
        assertEquals(3, five.segment().beat(), 1e-9);
        assertEquals(2, five.segment().beats(), 1e-9);
        assertTrue(five.reading().orElseThrow().reason().contains("Dm7 before G7"));
        assertEquals(4, arrangement.changes().size());
    }

    /** With a reading accepted the route takes it where it is cheaper, and never gets dearer. */
    @Test
    void arrange_acceptedReadings_areTakenOnlyWhereTheyAreCheaper() {
        Chart chart = chart("key: C\n| C | F | G7 | C |");
        ArrangementSettings plain = ArrangementSettings.ofRung(2).withCapo(0);
        ArrangementSettings both = with(plain, 1, "barre-to-fragment:maj7", Verdict.ACCEPTED);
        both = with(both, 2, "two-before-five", Verdict.ACCEPTED);
        Arrangement before = ARRANGER.arrange(chart, plain);
        Arrangement after = ARRANGER.arrange(chart, both);
        assertTrue(after.total() < before.total());
        assertEquals(List.of("C", "Fmaj7", "G7", "C"), chords(after));
        Arrangement refused = ARRANGER.arrange(chart, with(plain, 1, "barre-to-fragment:maj7", Verdict.REFUSED));
        assertEquals(chords(before), chords(refused));
    }

    /** The price of every reading is what the whole song costs more when it is pinned. */
    @Test
    void readings_everyOffer_hasItsTruePrice() {
        Chart chart = chart("key: Am\n|: Am | Dm | E7 | Am :|\n| F | E7 | Am | Am |");
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0).withPatterns(PatternPlan.BEAT);
        Sweep sweep = ARRANGER.sweep(chart, settings);
        double free = sweep.at(OptionalInt.of(0)).total();
        int split = 0;
        for (int placement : new int[] {2, 8, 10}) {
            List<ReadingOffer> offers = sweep.readings(OptionalInt.of(0), placement);
            assertTrue(offers.size() > 5);
            for (ReadingOffer offer : offers) {
                ArrangementSettings taken = settings;
                List<Integer> where =
                        offer.reading().overStill() ? Reach.of(chart, placement).still() : List.of(placement);
                for (int at : where) {
                    taken = with(taken, at, offer.reading().id().toString(), Verdict.PINNED);
                }
                Arrangement pinned = ARRANGER.arrange(chart, taken);
                assertEquals(
                        pinned.total() - free,
                        offer.price(),
                        1e-3,
                        offer.reading().toString());
                split += offer.reading().steps().size() > 1 ? 1 : 0;
            }
        }
        assertTrue(split > 2, "no reading splits its placement");
    }

    @Test
    void arrange_choiceAtARepeatedPlacement_holdsForItsRepeat() {
        Chart chart = chart("key: C\n|: C | F | G7 | C :|");
        ArrangementSettings settings =
                with(ArrangementSettings.ofRung(3).withCapo(0), 1, "borrowed-four", Verdict.PINNED);
        List<String> chords = chords(ARRANGER.arrange(chart("key: C\n|: C | F | C | C :|"), settings));
        assertEquals(List.of("C", "F", "Fm", "C", "C", "C", "F", "Fm", "C", "C"), chords);
        Arrangement gone = ARRANGER.arrange(chart, settings);
        assertTrue(gone.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.READING));
        assertEquals(8, gone.placements().size());
    }

    /** Three voices keep still while one falls by half steps. */
    @Test
    void arrange_fallingLineInside_movesOneVoice() {
        Chart chart = chart("key: Dm\n| Dm | Dm | Dm | Dm |");
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0);
        for (int placement = 0; placement < 4; placement++) {
            settings = with(settings, placement, "falling-line:inside:4", Verdict.PINNED);
        }
        Arrangement arrangement = ARRANGER.arrange(chart, settings);
        assertEquals(List.of("Dm", "Dm(maj7)", "Dm7", "Dm6"), chords(arrangement));
        List<Shape> shapes = shapes(arrangement);
        for (int i = 1; i < 4; i++) {
            int moved = 0;
            for (int string = 0; string < 6; string++) {
                moved += shapes.get(i).fret(string) != shapes.get(i - 1).fret(string) ? 1 : 0;
            }
            assertEquals(1, moved, shapes.toString());
        }
    }

    /** I, IV and V of a dominant blues in guide tones on three pairs of strings: one fret down and one fret up. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11})
    void arrange_guideTonesOfABlues_moveByOneFret(int semitones) {
        Chart blues = chart("key: A\n| A7 | D7 | A7 | E7 |");
        Chart chart = blues.transpose(semitones, blues.key().orElseThrow());
        ArrangementSettings settings = ArrangementSettings.ofRung(5).withCapo(0).withSetting(Setting.BASS);
        for (int placement = 0; placement < 4; placement++) {
            settings = with(settings, placement, "guide-tones", Verdict.PINNED);
        }
        for (String pair : List.of("54", "43", "32")) {
            TexturePlan onPair = TexturePlan.read("free", new TexturePlan.Wished(pair, null, null, null, null));
            List<Shape> shapes = shapes(ARRANGER.arrange(chart, settings.withTextures(onPair)));
            for (char number : pair.toCharArray()) {
                int string = 6 - (number - '0');
                if (shapes.get(0).highestFret() == HIGHEST_FRET) {
                    continue;
                }
                int one = shapes.get(0).fret(string);
                assertEquals(2, shapes.get(0).sounding(), shapes.toString());
                assertEquals(one - 1, shapes.get(1).fret(string), shapes.toString());
                assertEquals(one, shapes.get(2).fret(string), shapes.toString());
                assertEquals(one + 1, shapes.get(3).fret(string), shapes.toString());
            }
        }
    }

    @Test
    void arrange_forms_giveWhatTheyPromise() {
        Chart chart = chart("key: G\n| G | C | D7 | G |");
        ArrangementSettings bass = ArrangementSettings.ofRung(3).withCapo(0).withSetting(Setting.BASS);
        Shape tenth = shapes(ARRANGER.arrange(chart, with(bass, 0, "tenth", Verdict.PINNED)))
                .get(0);
        assertEquals(2, tenth.sounding());
        assertTrue(tenth.lowestSounding().orElseThrow() <= 1, tenth.toString());
        Shape part = shapes(ARRANGER.arrange(chart, with(bass, 1, "part-shape", Verdict.PINNED)))
                .get(1);
        assertEquals(3, part.sounding());
        ArrangementSettings alone = ArrangementSettings.ofRung(3).withCapo(0);
        Arrangement fragment = ARRANGER.arrange(
                chart("key: F\n| F | Bb | F | Bb |"), with(alone, 0, "barre-to-fragment:part", Verdict.PINNED));
        assertTrue(fragment.placements().get(0).grip().orElseThrow().grip().barres().stream()
                .allMatch(h -> h.strings() <= 3));
    }

    private static Arrangement ruled(Chart chart, ArrangementSettings settings, HouseRules rules) {
        return ARRANGER.arrange(chart, settings.withHouseRules(rules));
    }

    @Test
    void houseRules_noCapo_staysAtTheNut() {
        Chart chart = chart("key: Eb\n| Eb | Ab | Bb | Eb |");
        ArrangementSettings settings = ArrangementSettings.ofRung(2);
        assertNotEquals(0, ARRANGER.arrange(chart, settings).capo());
        Arrangement without = ruled(chart, settings, HouseRules.NONE.with(HouseRule.CAPO, false));
        assertEquals(0, without.capo());
        assertEquals(1, without.candidates().size());
    }

    @Test
    void houseRules_aShapeMajor_isBarredOrFingered() {
        Chart chart = chart("key: D\n| D | D | D | D |");
        ArrangementSettings settings =
                ArrangementSettings.ofRung(4).withCapo(0).withLocks(List.of(Lock.onShape(0, Shape.parse("x5777x"))));
        long barred = barres(ruled(chart, settings, HouseRules.NONE.with(HouseRule.MAJOR_BARRE, MajorBarre.BARRE)));
        long fingered =
                barres(ruled(chart, settings, HouseRules.NONE.with(HouseRule.MAJOR_BARRE, MajorBarre.FINGERTIPS)));
        assertEquals(1, barred);
        assertEquals(0, fingered);
    }

    private static long barres(Arrangement arrangement) {
        return arrangement
                .placements()
                .get(0)
                .grip()
                .orElseThrow()
                .grip()
                .barres()
                .size();
    }

    @Test
    void houseRules_fullness_overridesTheSetting() {
        Chart chart = chart("key: C\n| C | Am7 | Dm7 | G7 |");
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0);
        int whole = sounding(ruled(
                chart, settings.withSetting(Setting.BASS), HouseRules.NONE.with(HouseRule.FULLNESS, Fullness.WHOLE)));
        int parts = sounding(ruled(chart, settings, HouseRules.NONE.with(HouseRule.FULLNESS, Fullness.PARTS)));
        assertTrue(whole > parts, whole + " strings, " + parts + " strings");
        assertEquals(whole, sounding(ARRANGER.arrange(chart, settings)));
    }

    private static int sounding(Arrangement arrangement) {
        return shapes(arrangement).stream().mapToInt(Shape::sounding).sum();
    }

    @Test
    void houseRules_seventhDegreeAndMinorDominant_changeWhatIsProposed() {
        ArrangementSettings settings = ArrangementSettings.ofRung(2).withCapo(0);
        Chart seven = chart("key: C\n| C | Bdim | C | C |");
        for (SeventhDegree rule : SeventhDegree.values()) {
            List<String> ids = offered(
                    seven,
                    settings.withHouseRules(HouseRules.NONE.with(HouseRule.SEVENTH_DEGREE, rule)),
                    "seven-as-five");
            assertEquals(rule == SeventhDegree.DIMINISHED ? 0 : 1, ids.size(), rule.toString());
        }
        Chart five = chart("key: G\n| G | D7 | Gm | C |");
        HouseRules natural = HouseRules.NONE.with(HouseRule.MINOR_DOMINANT, MinorDominant.NATURAL_NINE);
        assertEquals(1, offered(five, settings, "flat-nine").size());
        assertEquals(
                0, offered(five, settings.withHouseRules(natural), "flat-nine").size());
    }

    private static List<String> offered(Chart chart, ArrangementSettings settings, String rule) {
        return ARRANGER.sweep(chart, settings).readings(OptionalInt.of(0), 1).stream()
                .map(o -> o.reading().id().toString())
                .filter(id -> id.startsWith(rule))
                .toList();
    }

    /** A half step against the tune: refused, but played where the player insists; never merely where it is easier. */
    @Test
    void arrange_clashWithTheTune_isPlayedOnlyWhenInsistedOn() {
        Chart chart = chart("key: C\n| C | F |\ntune: C5 . . . | A4 . . . |");
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0);
        RuleCatalogue.Judgement judgement =
                ARRANGER.sweep(chart, settings).judgement(0).orElseThrow();
        assertTrue(judgement.reading(ReadingId.parse("sevenths")).isEmpty());
        assertTrue(
                judgement.insisted(ReadingId.parse("sevenths")).isPresent(),
                judgement.refusals().toString());
        assertEquals(
                List.of("Cmaj7", "F"), chords(ARRANGER.arrange(chart, with(settings, 0, "sevenths", Verdict.PINNED))));
        assertEquals(
                List.of("C", "F"), chords(ARRANGER.arrange(chart, with(settings, 0, "sevenths", Verdict.ACCEPTED))));
    }

    /** A dominant is put in, and its own second before it: two rules in a row, common practice. */
    @Test
    void arrange_secondBeforeADominantOfTheSecond_isOneReading() {
        Chart chart = chart("key: C\n| C | Dm | G | C |");
        ArrangementSettings settings =
                with(ArrangementSettings.ofRung(4).withCapo(0), 0, "secondary-dominant:with-second", Verdict.PINNED);
        Arrangement arrangement = ARRANGER.arrange(chart, settings);
        assertEquals(List.of("C", "Em7b5", "A7", "Dm", "G", "C"), chords(arrangement));
        assertEquals(1, arrangement.placements().get(2).segment().beats(), 1e-9);
    }
}
