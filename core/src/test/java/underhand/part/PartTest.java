package underhand.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.fill.Fill;
import underhand.fill.FillNote;
import underhand.fill.Fills;
import underhand.fill.Technique;
import underhand.fill.Variation;
import underhand.format.text.ChartTextReader;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.picking.Finger;
import underhand.picking.PatternPlan;
import underhand.picking.Patterns;
import underhand.picking.PickingPattern;
import underhand.picking.RightHandLimit;
import underhand.picking.School;
import underhand.settings.ArrangementSettings;
import underhand.settings.Filling;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.solve.PlacedGrip;

/** Grips struck by a right hand: what every part holds to, whatever the chart, the rung and the pattern. */
class PartTest {

    private static final Arranger ARRANGER = new Arranger();
    private static final String[] METRES = {"4/4", "3/4", "6/8", "12/8", "2/4"};
    private static final String[] CHORDS = {"C", "G", "Am", "F", "Dm", "Em", "D7", "G7", "A7", "Cmaj7", "Fm", "E7"};

    static Chart chart(String text) {
        return ChartTextReader.read(text).chart();
    }

    static PickingPattern pattern(String id) {
        return Patterns.of(id).orElseThrow();
    }

    private static Part part(Chart chart, ArrangementSettings settings) {
        return PartWriter.write(ARRANGER.arrange(chart, settings), List.of());
    }

    /** A random song: metre, tempo, chords of a bar, half a bar, or an odd part of it. */
    private static Chart randomChart(Random random) {
        String metre = METRES[random.nextInt(METRES.length)];
        StringBuilder text =
                new StringBuilder("key: C\nmetre: " + metre + "\ntempo: " + (50 + random.nextInt(150)) + "\n|");
        for (int bar = 0; bar < 4; bar++) {
            for (int chord = 1 + random.nextInt(3); chord > 0; chord--) {
                text.append(' ').append(CHORDS[random.nextInt(CHORDS.length)]);
            }
            text.append(" |");
        }
        return chart(text.toString());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void part_ofRandomSongs_keepsToItsHandItsStringsAndItsBars(long seed) {
        Random random = new Random(seed);
        Chart chart = randomChart(random);
        int rung = 1 + random.nextInt(5);
        ArrangementSettings settings = ArrangementSettings.ofRung(rung).withCapo(0);
        List<PickingPattern> fitting = new ArrayList<>(Patterns.all().stream()
                .filter(p -> p.metre().equals(chart.metre()))
                .toList());
        for (PickingPattern pattern : fitting) {
            for (School school : List.of(School.values()[random.nextInt(School.values().length)])) {
                ArrangementSettings with = settings.withPatterns(PatternPlan.of(pattern))
                        .withHouseRules(
                                HouseRules.NONE.with(HouseRule.CAPO, false).with(HouseRule.PICKING_HAND, school));
                Arrangement arrangement = ARRANGER.arrange(chart, with);
                Fills fills = new Fills(arrangement);
                List<Fill> chosen = new ArrayList<>();
                for (PlacedGrip place : arrangement.placements()) {
                    List<Fill> offered = fills.at(place.index()).fills();
                    if (!offered.isEmpty()) {
                        chosen.add(offered.get(random.nextInt(offered.size())));
                    }
                }
                checkHand(PartWriter.write(arrangement, List.of()), with, "seed " + seed + " " + pattern);
                Part filled = PartWriter.write(arrangement, chosen);
                checkHand(filled, with, "filled, seed " + seed + " " + pattern);
                checkStrings(filled, with);
                NotationTest.check(filled);
                chosen.forEach(f -> checkFill(f, arrangement, with));
            }
        }
    }

    /** No finger of the right hand twice on successive fast notes, and no more strokes a second than the rung has. */
    private static void checkHand(Part part, ArrangementSettings settings, String message) {
        RightHandLimit limit = RightHandLimit.of(settings.rung());
        double beatSeconds = 60.0 / part.arrangement().tempo();
        Map<Integer, Double> starts = new HashMap<>();
        Strike before = null;
        for (Strike strike : part.strikes()) {
            boolean opens = starts.putIfAbsent(strike.place(), strike.from()) == null;
            if (before != null) {
                double seconds = (strike.from() - before.from()) * beatSeconds;
                if (seconds < limit.fastSeconds()) {
                    Set<Finger> same = fingers(before);
                    same.retainAll(fingers(strike));
                    assertTrue(same.isEmpty(), message + ": " + same + " at beat " + strike.from());
                }
                if (!opens && !strike.fill() && !before.fill()) {
                    assertTrue(seconds > 1 / limit.strokesASecond() - 1e-6, message + " at beat " + strike.from());
                }
            }
            before = strike;
        }
    }

    private static Set<Finger> fingers(Strike strike) {
        return strike.notes().stream().flatMap(n -> n.rightFinger().stream()).collect(Collectors.toSet());
    }

    private static void checkStrings(Part part, ArrangementSettings settings) {
        Fretboard board = new Fretboard(
                settings.guitar(), settings.tuning(), part.arrangement().capo());
        for (Strike strike : part.strikes()) {
            PlacedGrip place = part.arrangement().placements().get(strike.place());
            for (PlayedNote note : strike.notes()) {
                assertEquals(board.midi(note.string(), note.fret()), note.midi());
                assertTrue(note.ring() > 0, "a note that does not sound: " + note);
                if (!strike.fill()) {
                    assertEquals(
                            note.fret(),
                            place.grip().orElseThrow().grip().shape().fret(note.string()));
                }
                boolean plucked = strike.strum().isEmpty() && note.technique() == Technique.PLUCKED;
                assertEquals(plucked, note.rightFinger().isPresent());
            }
        }
    }

    private static void checkFill(Fill fill, Arrangement arrangement, ArrangementSettings settings) {
        Fretboard board = new Fretboard(settings.guitar(), settings.tuning(), arrangement.capo());
        PlacedGrip place = arrangement.placements().get(fill.place());
        List<Integer> scale = List.of(0, 2, 4, 5, 7, 9, 11);
        for (FillNote note : fill.notes()) {
            int pitchClass = board.midi(note.string(), note.fret()) % 12;
            boolean ofChord = place.segment().chord().orElseThrow().tones().stream()
                    .anyMatch(t -> t.note().pitchClass() == pitchClass);
            assertTrue(note.chromatic() || ofChord || scale.contains(pitchClass), fill + " in C major");
            assertTrue(note.from() + note.beats() <= place.segment().beats() + 1e-9, fill.id());
            assertTrue((note.fret() == 0) == (note.finger() == 0), fill.id() + " " + note);
        }
        assertFalse(fill.reason().isBlank());
    }

    /** An open string struck last leaves the hand free from the stroke before it. */
    @Test
    void arrange_openStringsStruckLast_buyTime() {
        Chart chart = chart("key: G\ntempo: 60\n| G | D |");
        PickingPattern last = PickingPattern.parse("t", "t", "4/4", false, 1, "r l m 3");
        ArrangementSettings picked =
                ArrangementSettings.ofRung(2).withCapo(0).withLocks(List.of()).withPatterns(PatternPlan.of(last));
        Arrangement arrangement = ARRANGER.arrange(chart, picked);
        Shape first =
                arrangement.placements().get(0).grip().orElseThrow().grip().shape();
        assertTrue(
                first.fret(0) == 3 && first.fret(2) == 0 && first.fret(3) == 0 && first.fret(4) == 0, first.toString());
        // Strings 4, 3 and 2 of this G are open: only the root on beat 1 holds the hand.
        assertEquals(4, arrangement.changes().get(0).availableSeconds(), 1e-9);
        PickingPattern held = PickingPattern.parse("t", "t", "4/4", false, 1, "r l m h");
        Arrangement other = ARRANGER.arrange(chart, picked.withPatterns(PatternPlan.of(held)));
        assertEquals(1, other.changes().get(0).availableSeconds(), 1e-9);
    }

    @Test
    void arrange_syncopatedStrum_leavesTheTimeAfterItsLastStroke() {
        Chart chart = chart("key: G\ntempo: 60\n| G | D |");
        ArrangementSettings settings =
                ArrangementSettings.ofRung(2).withCapo(0).withPatterns(PatternPlan.of(pattern("folk-strum")));
        assertEquals(0.5, ARRANGER.arrange(chart, settings).changes().get(0).availableSeconds(), 1e-9);
    }

    /** Strummed parts take only damped shapes; picked ones may leave out a string that rings. */
    @Test
    void arrange_picked_mayUseAShapeThatCannotBeStrummed() {
        Chart chart = chart("key: C\n| Gmaj7 | Am7 | Bm7 | Cmaj7 | Em7 | Fmaj7 |");
        ArrangementSettings strummed = ArrangementSettings.ofRung(4).withSetting(Setting.BASS);
        ArrangementSettings picked = strummed.withPatterns(PatternPlan.of(pattern("forward-roll")));
        assertTrue(undamped(ARRANGER.arrange(chart, strummed.withCapo(0))) == 0);
        Arranger untaughtToo = new Arranger(Parameters.STANDARD.with("habit.untaught", 0));
        long free = 0;
        for (String suffix : List.of("", "m", "7", "m7", "maj7", "6", "m6", "9", "add9", "sus4", "dim7", "m7b5")) {
            String row = List.of("C", "D", "E", "F", "G", "A", "B").stream()
                    .map(root -> root + suffix)
                    .collect(Collectors.joining(" | ", "| ", " |"));
            free += undamped(untaughtToo.arrange(chart("key: C\n" + row), picked.withCapo(0)));
        }
        assertTrue(free > 0, "no picked part skips a string");
    }

    private static long undamped(Arrangement arrangement) {
        return arrangement.placements().stream()
                .mapToLong(p -> p.grip().orElseThrow().grip().undampedInside())
                .sum();
    }

    @Test
    void plan_perSectionAndEveryFourthBar() {
        Chart chart = chart("key: C\n[Verse]\n| C | C | C | C | C |\n[Chorus]\n| F | F |");
        PatternPlan plan = new PatternPlan(
                Optional.of(new PatternPlan.Choice(pattern("folk-strum"), Optional.of(pattern("folk-strum-full")))),
                Map.of("Chorus", new PatternPlan.Choice(pattern("arpeggio-up"), Optional.empty())));
        Part part = part(
                chart,
                ArrangementSettings.ofRung(3).withCapo(0).withPatterns(plan).withTempo(90));
        assertEquals(
                List.of(
                        "folk strum",
                        "folk strum",
                        "folk strum",
                        "running folk strum",
                        "folk strum",
                        "arpeggio up",
                        "arpeggio up"),
                part.bars().stream().map(PartBar::pattern).toList());
        assertEquals(
                List.of(1, 6),
                part.bars().stream()
                        .filter(b -> b.section().isPresent())
                        .map(PartBar::number)
                        .toList());
    }

    @Test
    void part_fasterThanTheHand_isThinnedAndSaid() {
        ArrangementSettings settings = ArrangementSettings.ofRung(2)
                .withCapo(0)
                .withTempo(200)
                .withPatterns(PatternPlan.of(pattern("arpeggio-up")));
        Part part = part(chart("key: C\n| C | G |"), settings);
        assertEquals(8, part.strikes().size());
        assertTrue(
                part.notices().get(0).contains("needs 6.7 strokes a second; a hand of rung 2 has 5.5"),
                part.notices().toString());
    }

    @Test
    void part_swung_soundsOffBeatsLate() {
        ArrangementSettings settings = ArrangementSettings.ofRung(3)
                .withCapo(0)
                .withTempo(100)
                .withPatterns(PatternPlan.of(pattern("shuffle-strum")));
        PartBar bar = part(chart("key: A\n| A7 | D7 |"), settings).bars().get(0);
        assertTrue(bar.swing());
        assertEquals(1 + 2 / 3.0, bar.swung(1.5), 1e-9);
        assertEquals(2, bar.swung(2), 1e-9);
    }

    @Test
    void fills_byHouseRuleAndSinger_keepOutOfTheWords() {
        Chart chart = chart("key: C\ntempo: 60\n[C]one two three four five six seven eight [F]so [G]  [C]");
        ArrangementSettings alone = ArrangementSettings.ofRung(4).withCapo(0);
        ArrangementSettings singer = alone.withSetting(Setting.SINGER);
        ArrangementSettings anywhere = singer.withHouseRules(HouseRules.NONE.with(HouseRule.FILLING, Filling.ANYWHERE));
        ArrangementSettings nowhere = alone.withHouseRules(HouseRules.NONE.with(HouseRule.FILLING, Filling.NOWHERE));
        assertFalse(offers(chart, alone, 0).fills().isEmpty());
        assertTrue(offers(chart, singer, 0).refusal().contains("The words need this space"));
        assertFalse(offers(chart, singer, 2).fills().isEmpty());
        assertFalse(offers(chart, anywhere, 0).fills().isEmpty());
        assertTrue(offers(chart, nowhere, 0).refusal().contains("house rules"));
    }

    private static Fills.Offer offers(Chart chart, ArrangementSettings settings, int place) {
        return new Fills(ARRANGER.arrange(chart, settings)).at(place);
    }

    /** Where the grip before and after allow it, common practice; notes low to high in time as MIDI numbers. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                // C down to Am by B, or by half steps; G up to C by A and B
                "C; | C | Am |; 0; bass-walk:scale; 47",
                "G; | G | C |; 0; bass-walk:scale; 45 47",
                "C; | C | Am |; 0; bass-walk:chromatic; 47 46",
            })
    void bassWalk_betweenTwoRoots_playsTheseNotes(String key, String chords, int place, String id, String midis) {
        ArrangementSettings settings = ArrangementSettings.ofRung(3).withCapo(0).withTempo(60);
        Fills.Offer offer = offers(chart("key: " + key + "\n" + chords), settings, place);
        Fill fill = offer.fills().stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow(() ->
                        new AssertionError(offer.fills().stream().map(Fill::id).toList() + offer.refusal()));
        Fretboard board = new Fretboard(settings.guitar(), settings.tuning(), 0);
        assertEquals(
                midis,
                fill.notes().stream()
                        .map(n -> Integer.toString(board.midi(n.string(), n.fret())))
                        .collect(Collectors.joining(" ")));
    }

    /** Nine to three on I and vi; on iii, whose ninth is out of the key, three to eleven; common practice. */
    @ParameterizedTest
    @CsvSource({"C, ninth, third", "Am, ninth, third", "Em, third, eleventh"})
    void hammerOn_inCMajor_keepsBothNotesInTheKey(String chord, String from, String to) {
        ArrangementSettings settings =
                ArrangementSettings.ofRung(4).withCapo(0).withTempo(60).withPatterns(PatternPlan.BEAT);
        Fills.Offer offer = offers(chart("key: C\n| " + chord + " | F |"), settings, 0);
        Fill fill = offer.fills().stream()
                .filter(f -> f.id().equals("hammer-on"))
                .findFirst()
                .orElseThrow();
        assertTrue(fill.reason().contains("From the " + from + " to the " + to), fill.reason());
        assertEquals(Technique.HAMMER_ON, fill.notes().get(1).technique());
        assertEquals(fill.notes().get(0).string(), fill.notes().get(1).string());
        assertTrue(fill.notes().get(1).fret() > fill.notes().get(0).fret());
    }

    @Test
    void fills_overManySongs_includeEveryKind() {
        Set<String> kinds = new java.util.TreeSet<>();
        Chart chart = chart("key: C\ntempo: 60\n[Verse]\n| C | Am | F | G7 | Em | Dm7 |\n[Chorus]\n| F#m7 | Gm7 | C |");
        ArrangementSettings settings = ArrangementSettings.ofRung(5).withCapo(0).withPatterns(PatternPlan.BEAT);
        Arrangement arrangement = ARRANGER.arrange(chart, settings);
        Fills fills = new Fills(arrangement);
        for (int place = 0; place < arrangement.placements().size(); place++) {
            fills.at(place).fills().forEach(f -> kinds.add(f.id().replaceAll(":.*", "")));
        }
        assertEquals(
                "[bass-walk, ending-roll, falling-line, hammer-on, open-string, pick-up, pull-off, run, sixths, slide-in, tenths, thirds]",
                kinds.toString());
    }

    @Test
    void slideIn_slidesOnIntoTheNextGrip() {
        Chart chart = chart("key: C\ntempo: 60\n| F#m7 | Gm7 | C |");
        ArrangementSettings settings = ArrangementSettings.ofRung(5).withCapo(0).withPatterns(PatternPlan.BEAT);
        Arrangement arrangement = ARRANGER.arrange(chart, settings);
        Fills fills = new Fills(arrangement);
        for (int place = 0; place < 2; place++) {
            Optional<Fill> slide = fills.named(place, "slide-in");
            if (slide.isPresent()) {
                int after = place + 1;
                Part part = PartWriter.write(arrangement, List.of(slide.get()));
                Strike reached = part.strikes().stream()
                        .filter(s -> s.place() == after)
                        .findFirst()
                        .orElseThrow();
                assertTrue(reached.notes().stream().anyMatch(n -> n.technique() == Technique.SLIDE));
                assertTrue(reached.notes().stream()
                        .filter(n -> n.technique() == Technique.SLIDE)
                        .allMatch(n -> n.rightFinger().isEmpty()));
                return;
            }
        }
        throw new AssertionError("no slide into any of these grips");
    }

    @Test
    void variation_ofARepeatedSection_addsOnlyWhatIsInTime() {
        String verse = "[Verse]\n| C | Am | F | G | C | Am | F | C |\n";
        Chart chart = chart("key: C\ntempo: 70\n" + verse + "[Chorus]\n| F | G |\n" + verse);
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0);
        Arrangement arrangement = ARRANGER.arrange(chart, settings);
        List<Fill> varied = Variation.of(arrangement);
        assertFalse(varied.isEmpty());
        for (Fill fill : varied) {
            assertTrue(fill.place() >= 10, "only the second verse is varied: " + fill);
            assertTrue(fill.isInTime(), fill.toString());
        }
        assertEquals(List.of(), Variation.of(ARRANGER.arrange(chart("key: C\n| C | F | G | C |"), settings)));
        Part plain = PartWriter.write(arrangement, List.of());
        Part second = PartWriter.write(arrangement, varied);
        assertFalse(plain.strikes().equals(second.strikes()));
    }

    /** The last move of a fill, and every other, is what the change model says; a late one is said to be late. */
    @ParameterizedTest
    @ValueSource(ints = {60, 90, 120, 180, 240})
    void fills_atAnyTempo_sayHowMuchTimeTheyHave(int tempo) {
        Chart chart = chart("key: G\ntempo: " + tempo + "\n| G | C | D7 | Em | Am | D | G |");
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0);
        Fills fills = new Fills(ARRANGER.arrange(chart, settings));
        for (int place = 0; place < 7; place++) {
            List<Fill> offered = fills.at(place).fills();
            boolean late = false;
            for (Fill fill : offered) {
                assertTrue(fill.neededSeconds() >= 0 && fill.availableSeconds() > 0, fill.toString());
                assertTrue(fill.availableSeconds() <= 4 * 60.0 / tempo + 1e-9, fill.toString());
                assertTrue(!late || !fill.isInTime(), "those in time stand first");
                late = !fill.isInTime();
            }
        }
    }
}
