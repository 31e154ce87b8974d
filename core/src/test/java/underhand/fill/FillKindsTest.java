package underhand.fill;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.hand.Hold;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.solve.PlacedGrip;

/** What each kind of fill is, in every key: the facts of the trade (common practice), checked on every fill proposed. */
class FillKindsTest {

    private static final String[] PROGRESSIONS = {
        "[One]\n| I | vi | IV | V |\n[Two]\n| I | iii | ii | V |\n[End]\n| IV | I |",
        "[One]\n| I | IV | V | I |\n[Two]\n| vi | ii | V | I |",
    };
    private static final Map<String, Integer> STEPS = Map.of("I", 0, "ii", 1, "iii", 2, "IV", 3, "V", 4, "vi", 5);

    /** A song in a key, arranged without a capo on a rung. */
    record Song(String key, String progression, int rung) {

        Arrangement arrangement() {
            return new Arranger().arrange(chart(), settings());
        }

        ArrangementSettings settings() {
            return ArrangementSettings.ofRung(rung)
                    .withHouseRules(HouseRules.NONE.with(HouseRule.CAPO, false))
                    .withCapo(0);
        }

        private Chart chart() {
            Key major = Key.parse(key);
            String text = progression;
            for (Map.Entry<String, Integer> step :
                    new TreeMap<>(STEPS).descendingMap().entrySet()) {
                String root = major.spell(
                                Math.floorMod(major.tonic().pitchClass() + Mode.MAJOR.semitones(step.getValue()), 12))
                        .toString();
                String chord = root + (step.getKey().matches("[iv]+") ? "m" : "");
                text = text.replaceAll("\\| " + step.getKey() + " (?=\\|)", "| " + chord + " ");
            }
            return ChartTextReader.read("key: " + key + "\ntempo: 66\n" + text).chart();
        }
    }

    static List<Song> songs() {
        List<Song> songs = new ArrayList<>();
        int at = 0;
        for (String key : "C G D A E B F Bb Eb Ab Db F#".split(" ")) {
            songs.add(new Song(key, PROGRESSIONS[at % PROGRESSIONS.length], 4 + at % 2));
            at++;
        }
        return songs;
    }

    private static int[] midis(Fill fill, Fretboard board) {
        return fill.notes().stream()
                .mapToInt(n -> board.midi(n.string(), n.fret()))
                .toArray();
    }

    @ParameterizedTest
    @MethodSource("songs")
    void everyFill_isWhatItsNameSays(Song song) {
        Arrangement arrangement = song.arrangement();
        Fills fills = new Fills(arrangement);
        Fretboard board =
                new Fretboard(song.settings().guitar(), song.settings().tuning(), 0);
        int seen = 0;
        for (PlacedGrip place : arrangement.placements()) {
            for (Fill fill : fills.at(place.index()).fills()) {
                PlacedGrip next = place.index() + 1 < arrangement.placements().size()
                        ? arrangement.placements().get(place.index() + 1)
                        : null;
                check(fill, midis(fill, board), place, next, board, song + " " + fill);
                assertTrue(fill.isInTime(), "late: " + song + " " + fill);
                seen++;
            }
        }
        assertTrue(seen > 10, song + " has only " + seen + " fills");
    }

    /** Pairs of notes the same number of steps apart on one pair of strings, each a step on from the one before. */
    private static void parallel(Fill fill, int[] midi, int least, int stringsApart, String message) {
        int string = fill.notes().get(0).string();
        for (int i = 0; i < midi.length; i += 2) {
            int apart = midi[i + 1] - midi[i];
            assertTrue(apart == least || apart == least + 1, message);
            assertEquals(string, fill.notes().get(i).string(), message);
            assertEquals(string + stringsApart, fill.notes().get(i + 1).string(), message);
            assertTrue(i == 0 || Math.abs(midi[i] - midi[i - 2]) <= 2, message);
        }
    }

    /** From the tonic to the fourth degree two lie between, and both are played where there is time; degrees named. */
    @ParameterizedTest
    @ValueSource(strings = {"tenths", "sixths", "thirds"})
    void rows_fromOneToFour_passThroughTwoAndThree(String kind) {
        ArrangementSettings settings = ArrangementSettings.ofRung(5).withCapo(0);
        Arrangement arrangement = new Arranger()
                .arrange(
                        ChartTextReader.read("key: G\ntempo: 60\n| G | G | C | G |")
                                .chart(),
                        settings);
        Fill row = new Fills(arrangement)
                .at(1).fills().stream()
                        .filter(f -> f.id().equals(kind))
                        .findFirst()
                        .orElseThrow();
        assertEquals(4, row.notes().size());
        assertTrue(row.reason().endsWith("from G to C: ii, iii."), row.reason());
    }

    private static Shape shape(PlacedGrip place) {
        return place.grip().orElseThrow().grip().shape();
    }

    private static void check(
            Fill fill, int[] midi, PlacedGrip place, PlacedGrip next, Fretboard board, String message) {
        Shape here = shape(place);
        int last = midi[midi.length - 1];
        switch (fill.id()) {
            case "bass-walk:scale", "bass-walk:chromatic" -> {
                int from = bass(here, board);
                int to = bass(shape(next), board);
                for (int i = 0; i < midi.length; i++) {
                    assertTrue(midi[i] != from && midi[i] != to, message);
                    assertTrue(i == 0 || Integer.signum(midi[i] - midi[i - 1]) == Integer.signum(to - from), message);
                }
                assertTrue(Math.abs(to - last) <= 2, "it ends a step from where it leads: " + message);
            }
            case "tenths" -> parallel(fill, midi, 15, 3, message);
            case "sixths" -> parallel(fill, midi, 8, 2, message);
            case "thirds" -> parallel(fill, midi, 3, 1, message);
            case "run" -> {
                int top = board.midi(
                        shape(next).highestSounding(),
                        shape(next).fret(shape(next).highestSounding()));
                assertTrue(Math.abs(top - last) <= 2, message);
                assertTrue(midi.length >= 2 && midi.length <= 4, message);
            }
            case "hammer-on", "hammer-on:root" -> {
                slurred(fill, place, message);
                assertEquals(Technique.HAMMER_ON, fill.notes().get(1).technique());
                assertTrue(midi[1] > midi[0] && midi[1] - midi[0] <= 3, message);
            }
            case "pull-off", "pull-off:root" -> {
                slurred(fill, place, message);
                assertEquals(Technique.PULL_OFF, fill.notes().get(1).technique());
                assertTrue(midi[1] < midi[0] && midi[0] - midi[1] <= 3, message);
            }
            case "slide-in" -> {
                assertTrue(fill.slidesOn() && shape(next).openStrings() == 0, message);
                fill.notes().forEach(n -> assertEquals(shape(next).fret(n.string()) - 1, n.fret(), message));
            }
            case "pick-up" -> {
                assertEquals(1, next.slot().barInSection(), message);
                assertEquals(2, midi.length, message);
            }
            case "open-string" -> assertEquals(0, fill.notes().get(0).fret(), message);
            case "falling-line" ->
                assertTrue(
                        midi[0] > midi[1]
                                && fill.notes().get(0).string()
                                        == fill.notes().get(1).string(),
                        message);
            case "ending-roll" -> {
                assertTrue(next == null, message);
                assertTrue(IntStream.range(1, midi.length).allMatch(i -> midi[i] > midi[i - 1]), message);
            }
            default -> throw new AssertionError("a kind without a check: " + fill.id());
        }
    }

    /** One finger is hammered on or pulled off beside another or the open string, and never behind a barre. */
    private static void slurred(Fill fill, PlacedGrip place, String message) {
        FillNote first = fill.notes().get(0);
        FillNote second = fill.notes().get(1);
        assertEquals(first.string(), second.string(), message);
        assertTrue(first.finger() != second.finger(), "one finger for both: " + message);
        int low = Math.min(first.fret(), second.fret());
        for (Hold hold : place.grip().orElseThrow().grip().holds()) {
            boolean covers = hold.lowString() <= first.string() && first.string() <= hold.highString();
            assertFalse(hold.isBarre() && covers && low < hold.fret(), "behind a barre: " + message);
        }
    }

    private static int bass(Shape shape, Fretboard board) {
        int string = shape.lowestSounding().orElseThrow();
        return board.midi(string, shape.fret(string));
    }

    /** Where a kind has nothing to propose, in several keys: it keeps silent rather than force a fill. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "C; | C | C |; 0; bass-walk; the bass stays",
                "G; | G | G |; 0; bass-walk; the bass stays",
                "C; | C | C |; 0; tenths; no way between the roots",
                "C; | C | F |; 0; pick-up; no new section",
                "G; | G | C |; 0; ending-roll; not the last chord",
                "C; | C | C |; 0; open-string; the hand does not move",
                "D; | D5 | A |; 0; hammer-on; the chord has no third",
                "D; | Dsus4 | A |; 0; pull-off; the chord has no third",
                "G; | G | C |; 0; slide-in; the next grip has open strings",
                "G; | G | D |; 1; bass-walk; nothing follows",
                "G; | G | D |; 1; run; nothing follows",
                "C; | C G | F |; 0; falling-line; two beats are too few",
            })
    void kinds_withoutOccasion_keepSilent(String key, String chords, int place, String kind, String why) {
        ArrangementSettings settings = ArrangementSettings.ofRung(4)
                .withHouseRules(HouseRules.NONE.with(HouseRule.CAPO, false))
                .withCapo(0);
        Chart chart =
                ChartTextReader.read("key: " + key + "\ntempo: 60\n" + chords).chart();
        Fills fills = new Fills(new Arranger().arrange(chart, settings));
        assertTrue(
                fills.at(place).fills().stream().noneMatch(f -> f.id().startsWith(kind)),
                kind + " in spite of: " + why);
    }

    /** A rung that has not learnt a kind yet is not offered it. */
    @ParameterizedTest
    @CsvSource({
        "1, ''",
        "2, 'ending-roll open-string'",
        "3, 'bass-walk ending-roll hammer-on open-string pick-up pull-off'"
    })
    void rungs_haveOnlyTheirOwnKinds(int rung, String kinds) {
        ArrangementSettings settings = ArrangementSettings.ofRung(rung)
                .withHouseRules(HouseRules.NONE.with(HouseRule.CAPO, false))
                .withCapo(0);
        Chart chart = ChartTextReader.read("key: C\ntempo: 60\n[A]\n| C | Am | F | G |\n[B]\n| C | G | C |")
                .chart();
        Arrangement arrangement = new Arranger().arrange(chart, settings);
        Fills fills = new Fills(arrangement);
        for (PlacedGrip place : arrangement.placements()) {
            for (Fill fill : fills.at(place.index()).fills()) {
                String kind = fill.id().replaceAll(":.*", "");
                assertTrue(List.of(kinds.split(" ")).contains(kind), "rung " + rung + " has no " + kind);
            }
        }
    }

    /** In a blues the minor third is slurred into the major one; common practice. */
    @Test
    void blues_dominant_slursItsMinorThird() {
        ArrangementSettings settings = ArrangementSettings.ofRung(4)
                .withHouseRules(HouseRules.NONE.with(HouseRule.CAPO, false))
                .withCapo(0);
        Chart chart = ChartTextReader.read("key: E\ntempo: 70\n| E7 | A7 | E7 | E7 | A7 | A7 | E7 | B7 |")
                .chart();
        Arrangement arrangement = new Arranger().arrange(chart, settings);
        Fretboard board = new Fretboard(settings.guitar(), settings.tuning(), 0);
        List<Fill> slurs = arrangement.placements().stream()
                .flatMap(p -> new Fills(arrangement).at(p.index()).fills().stream())
                .filter(f -> f.id().equals("hammer-on:blues"))
                .toList();
        assertFalse(slurs.isEmpty());
        slurs.forEach(f -> assertEquals(1, midis(f, board)[1] - midis(f, board)[0]));
    }

    /** Every kind of the rung is either offered or says why not. */
    @ParameterizedTest
    @MethodSource("songs")
    void everyKind_isOfferedOrRefusedInWords(Song song) {
        Arrangement arrangement = song.arrangement();
        Fills fills = new Fills(arrangement);
        for (PlacedGrip place : arrangement.placements()) {
            Fills.Offer offer = fills.at(place.index());
            List<String> named = new ArrayList<>();
            offer.fills().forEach(f -> named.add(f.name()));
            offer.refused().forEach(r -> assertFalse(named.contains(r.name()), r.toString()));
            offer.refused().forEach(r -> assertTrue(r.why().endsWith("."), r.toString()));
            offer.refused().forEach(r -> named.add(r.name()));
            FillRules.ALL.forEach(
                    rule -> assertTrue(named.contains(rule.name()), song + " says nothing of " + rule.name()));
        }
    }

    @Test
    void shortChord_hasNoRoom_andSaysSo() {
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withCapo(0);
        Chart chart = ChartTextReader.read("key: C\n| C . . G | N.C. | F |").chart();
        Fills fills = new Fills(new Arranger().arrange(chart, settings));
        assertTrue(fills.at(1).refusal().contains("less than two beats"));
        assertTrue(fills.at(2).refusal().contains("Nothing is played here"));
        assertFalse(fills.at(0).fills().isEmpty());
    }
}
