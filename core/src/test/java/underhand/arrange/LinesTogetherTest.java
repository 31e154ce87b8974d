package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.hand.Grip;
import underhand.harmony.Bond;
import underhand.harmony.Reading;
import underhand.harmony.ReadingId;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.picking.PatternPlan;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.ReadingChoice;
import underhand.settings.ReadingChoice.Verdict;
import underhand.settings.Setting;
import underhand.settings.TexturePlan;
import underhand.solve.PlacedGrip;
import underhand.texture.Texture;
import underhand.texture.TextureAsk;
import underhand.texture.Wishes;

/** Lines, pairs and slides are played together, one string or one grip moving, or they are not offered. Common practice. */
class LinesTogetherTest {

    private static final Arranger ARRANGER = new Arranger();

    private static Chart chart(String text) {
        return ChartTextReader.read(text).chart();
    }

    private static ArrangementSettings taking(ArrangementSettings settings, String reading, int... placements) {
        List<ReadingChoice> choices = new ArrayList<>(settings.readings());
        for (int placement : placements) {
            choices.add(new ReadingChoice(placement, ReadingId.parse(reading), Verdict.PINNED));
        }
        return settings.withReadings(choices);
    }

    private static Arrangement played(String text, String reading, int... placements) {
        return ARRANGER.arrange(
                chart(text), taking(ArrangementSettings.ofRung(4).withCapo(0), reading, placements));
    }

    private static List<Grip> grips(Arrangement arrangement) {
        return arrangement.placements().stream()
                .map(p -> p.grip().orElseThrow().grip())
                .toList();
    }

    /** Strings on which two shapes differ, numbered from the highest as 1. */
    private static List<Integer> moved(Shape one, Shape other) {
        return IntStream.range(0, one.strings())
                .filter(s -> one.fret(s) != other.fret(s))
                .map(s -> one.strings() - s)
                .boxed()
                .toList();
    }

    private static boolean isUnkept(Arrangement arrangement) {
        return arrangement.warnings().stream().anyMatch(w -> w.kind() == Warning.Kind.READING);
    }

    @ParameterizedTest
    @CsvSource({
        "Cm, falling-line:inside:2@string-3, 3",
        "Dm, falling-line:inside:2@string-4, 4",
        "Gm, falling-line:top:4@string-1, 1",
        "Am, rising-line:inside:2, 0",
        "Em, rising-line:inside:4, 0",
        "C, major-line:falling:inside:2, 0",
        "G, major-line:rising:inside:2, 0",
        "Am, falling-line:bass:2, 0",
    })
    void line_overStillBars_movesOneStringAlone(String chord, String reading, int string) {
        String bars = ("| " + chord + " ").repeat(4) + "|";
        Arrangement arrangement = played("key: " + chord + "\n" + bars, reading, 0, 1, 2, 3);
        assertFalse(isUnkept(arrangement), arrangement.warnings().toString());
        List<Grip> grips = grips(arrangement);
        TreeSet<Integer> strings = new TreeSet<>();
        for (int i = 1; i < 4; i++) {
            strings.addAll(moved(grips.get(i - 1).shape(), grips.get(i).shape()));
            assertEquals(
                    1, moved(grips.get(i - 1).shape(), grips.get(i).shape()).size(), grips.toString());
        }
        assertTrue(string == 0 || strings.equals(new TreeSet<>(List.of(string))), grips.toString());
    }

    /** The line is heard at its notes: each a half step on from the one before. */
    @ParameterizedTest
    @ValueSource(strings = {"Cm", "C#m", "Dm", "Ebm", "Em", "Fm", "F#m", "Gm", "G#m", "Am", "Bbm", "Bm"})
    void fallingLineInside_everyMinorChord_fallsByHalfStepsOrIsNotOffered(String chord) {
        String text = "key: " + chord + "\n" + ("| " + chord + " ").repeat(4) + "|";
        Arrangement arrangement = played(text, "falling-line:inside:4", 0, 1, 2, 3);
        Fretboard board = arrangement.board();
        List<Grip> grips = grips(arrangement);
        if (!isUnkept(arrangement)) {
            for (int i = 1; i < 4; i++) {
                Shape before = grips.get(i - 1).shape();
                Shape after = grips.get(i).shape();
                List<Integer> moved = moved(before, after);
                assertEquals(1, moved.size(), grips.toString());
                int at = before.strings() - moved.get(0);
                assertEquals(1, board.midi(at, before.fret(at)) - board.midi(at, after.fret(at)), grips.toString());
            }
        } else {
            assertEquals(1, grips.stream().map(Grip::shape).distinct().count(), grips.toString());
        }
    }

    /** No other realisation is cheaper: the part costs no more than with any line of shapes locked by hand. */
    @Test
    void fallingLine_lockedByHand_isNeverCheaper() {
        String text = "key: Cm\n| Cm | Cm | Cm | Cm |";
        ArrangementSettings line = taking(
                        ArrangementSettings.ofRung(4).withCapo(0), "falling-line:inside:4@string-3", 0, 1, 2, 3)
                .withPatterns(PatternPlan.BEAT);
        Arrangement best = ARRANGER.arrange(chart(text), line);
        int tried = 0;
        for (PlacedGrip.Alternative other : ARRANGER.sweep(chart(text), line)
                .priced(OptionalInt.of(0))
                .placements()
                .get(0)
                .alternatives()) {
            Shape first = other.grip().grip().shape();
            Arrangement locked = ARRANGER.arrange(chart(text), line.withLocks(List.of(Lock.onShape(0, first))));
            assertEquals(first, grips(locked).get(0).shape());
            double dearer = locked.total() - best.total();
            assertTrue(dearer > -1e-6 && dearer < other.price() + 1e-6, first + " " + dearer + " " + other.price());
            tried++;
        }
        assertTrue(tried > 0, "no other line is priced");
    }

    @ParameterizedTest
    @CsvSource({
        "| A7 | F#7 | Bm | Bm |, chromatic-walk, 0",
        "| C | Dm7 | Em7 | Am |, chromatic-walk, 1",
        "| C | Bdim7 | C | C |, symmetric-move:up, 1",
        "| C | Bdim7 | C | C |, symmetric-move:down, 1",
        "| A7 | D9 | A7 | E7 |, half-step-slide:above, 0",
        "| A7 | D9 | A7 | E7 |, half-step-slide:below, 0",
    })
    void slide_oneGripInTheSameFingers(String bars, String reading, int placement) {
        Chart chart = chart(bars);
        Arrangement arrangement = played(bars, reading, placement);
        assertFalse(isUnkept(arrangement), arrangement.warnings().toString());
        List<PlacedGrip> placed = arrangement.placements();
        int slides = 0;
        for (int i = 0; i + 1 < placed.size(); i++) {
            Reading of = placed.get(i).reading().orElse(null);
            boolean isSlide =
                    of != null && of.steps().get(placed.get(i).segment().part()).bond() == Bond.SLIDE;
            if (isSlide) {
                Grip left = placed.get(i).grip().orElseThrow().grip();
                Grip reached = placed.get(i + 1).grip().orElseThrow().grip();
                int by = reached.shape().highestFret() - left.shape().highestFret();
                assertEquals(left.shape().moved(by).orElseThrow(), reached.shape());
                assertEquals(left.fingers(), reached.fingers());
                slides++;
            }
        }
        assertTrue(slides > 0, chart.placements().toString());
    }

    /** Within a texture its own grips slide: two strings in tenths, power chords on the lowest strings. */
    @ParameterizedTest
    @CsvSource({"tenths, 2", "riff, 3", "triads, 3"})
    void slide_inATexture_isOfItsGrips(String texture, int mostStrings) {
        ArrangementSettings settings = taking(ArrangementSettings.ofRung(4).withCapo(0), "chromatic-walk", 0)
                .withTextures(TexturePlan.read(texture, new TexturePlan.Wished(null, null, null, null, null)));
        Arrangement arrangement = ARRANGER.arrange(chart("| A7 | F#7 | Bm | E7 |"), settings);
        assertFalse(isUnkept(arrangement), arrangement.warnings().toString());
        List<Grip> grips = grips(arrangement).subList(0, 4);
        for (int i = 0; i < 3; i++) {
            assertEquals(
                    grips.get(i).shape().moved(-1).orElseThrow(),
                    grips.get(i + 1).shape());
            assertTrue(grips.get(i).shape().sounding() <= mostStrings, grips.toString());
        }
    }

    /** The seventh of a movable grip falls to the sixth, and the finger on the third string rests. */
    @Test
    void sevenToSix_lockedAtTheEighthFret_keepsTheOtherStrings() {
        ArrangementSettings settings = taking(ArrangementSettings.ofRung(4).withCapo(0), "seven-to-six", 0)
                .withLocks(List.of(Lock.onShape(0, Shape.parse("8x998x"))));
        Arrangement arrangement = ARRANGER.arrange(chart("key: C\n| C | F | G | C |"), settings);
        List<Grip> grips = grips(arrangement);
        assertEquals(
                List.of("8x998x", "8x798x"),
                List.of(grips.get(0).shape().toString(), grips.get(1).shape().toString()));
        assertEquals(4, grips.get(0).fingerOn(3));
        assertEquals(4, grips.get(1).fingerOn(3));
    }

    @Test
    void dominantToDim_risesByItsRootAlone() {
        List<Grip> grips = grips(played("key: C\n| G7 | C | F | C |", "dominant-to-dim", 0));
        assertEquals(1, moved(grips.get(0).shape(), grips.get(1).shape()).size(), grips.toString());
    }

    /** A line the hand cannot play together is not offered; where it was taken the chart's chord is played, and that is said. */
    @Test
    void lines_noHandCanPlayTogether_areNotOfferedAndFallBackWhereTaken() {
        String text = "key: Dm\n| Dm | Dm | Dm | Dm |";
        int kept = 0;
        int unkept = 0;
        for (String line : List.of("falling-line:inside:4", "falling-line:top:4", "rising-line:inside:4")) {
            for (int string = 1; string <= 5; string++) {
                String id = line + "@string-" + string;
                ArrangementSettings settings =
                        taking(ArrangementSettings.ofRung(4).withCapo(0), id, 0, 1, 2, 3);
                Arrangement arrangement = ARRANGER.arrange(chart(text), settings);
                assertEquals(!isUnkept(arrangement), offered(text, settings).contains(id), id);
                assertEquals(
                        isUnkept(arrangement),
                        arrangement.placements().stream()
                                .allMatch(p -> p.reading().isEmpty()),
                        id);
                kept += isUnkept(arrangement) ? 0 : 1;
                unkept += isUnkept(arrangement) ? 1 : 0;
            }
        }
        assertTrue(kept > 3 && unkept > 3, kept + " kept, " + unkept + " unkept");
    }

    /** A line is told more closely, by string and by how often it comes, only where it is taken. */
    @Test
    void readings_closerOnes_areOfferedWhereTheLineIsTaken() {
        String text = "key: Cm\n" + "| Cm ".repeat(8) + "|";
        ArrangementSettings plain = ArrangementSettings.ofRung(4).withCapo(0);
        List<String> before = offered(text, plain);
        assertTrue(before.stream().noneMatch(id -> id.contains("@")), before.toString());
        List<String> after = offered(text, taking(plain, "falling-line:inside:4", 0, 1, 2, 3, 4, 5, 6, 7));
        assertTrue(after.contains("falling-line:inside:4@string-3"), after.toString());
        assertTrue(after.contains("falling-line:inside:4@every-4"), after.toString());
        assertEquals(
                List.of(),
                before.stream()
                        .filter(id -> !after.contains(id) && !id.startsWith("half-step-slide"))
                        .toList());
    }

    private static List<String> offered(String text, ArrangementSettings settings) {
        return ARRANGER.sweep(chart(text), settings).readings(OptionalInt.of(0), 0).stream()
                .map(o -> o.reading().id().toString())
                .toList();
    }

    /** What a rung adds it can play: no step of the ladder has a reading that falls back. */
    @ParameterizedTest
    @ValueSource(strings = {"Dm", "F#m", "Bbm"})
    void ladder_overAStillMinorChord_pinsOnlyWhatItPlays(String chord) {
        Chart chart = chart("key: " + chord + "\ntempo: 70\n" + ("| " + chord + " ").repeat(4) + "|");
        for (LadderStep step : Ladder.of(ARRANGER, chart, ArrangementSettings.ofRung(3))) {
            assertFalse(isUnkept(step.arrangement()), "rung " + step.rung());
            List<Integer> played = step.arrangement().placements().stream()
                    .filter(p -> p.reading().isPresent())
                    .map(p -> p.slot().index())
                    .toList();
            step.readings().stream()
                    .filter(c -> c.verdict() == Verdict.PINNED)
                    .forEach(c -> assertTrue(played.contains(c.placement()), step.rung() + " " + c));
        }
    }

    @Test
    void line_thatComesAgain_beginsAnewAfterItsBars() {
        int[] all = IntStream.range(0, 8).toArray();
        Arrangement arrangement = played("key: Cm\n" + "| Cm ".repeat(8) + "|", "falling-line:inside:4@every-4", all);
        List<String> chords = arrangement.placements().stream()
                .map(p -> p.segment().chord().orElseThrow().toString())
                .toList();
        List<String> round = List.of("Cm", "Cm(maj7)", "Cm7", "Cm6");
        List<String> twice = new ArrayList<>(round);
        twice.addAll(round);
        assertEquals(twice, chords);
    }

    /** A line and a slide are played in the kind of grip that is asked for where it has any, else in others, and that is said. */
    @ParameterizedTest
    @CsvSource({
        "Cm, falling-line:inside:4, drop2, true",
        "Gm, falling-line:inside:4, drop2, true",
        "Am, falling-line:inside:4, drop3, false",
        "Am, falling-line:inside:4, closed, true",
        "Bdim7, symmetric-move:up, drop2, true",
        "Cm, falling-line:inside:4, power, false",
        "Cm, falling-line:inside:4, triads, true",
    })
    void whatMovesTogether_isOfItsTextureWhereItCan(String chord, String reading, String texture, boolean isOfIt) {
        TextureAsk ask = new TextureAsk(Texture.of(texture), Wishes.NONE);
        String text = "key: " + chord.charAt(0) + "m\n" + ("| " + chord + " ").repeat(4) + "|";
        ArrangementSettings settings =
                ArrangementSettings.ofRung(4).withCapo(0).withTextures(TexturePlan.FREE.with(ask));
        Arrangement arrangement = ARRANGER.arrange(chart(text), taking(settings, reading, 0, 1, 2, 3));
        assertFalse(isUnkept(arrangement), arrangement.warnings().toString());
        assertEquals(isOfIt, arrangement.fallbacks().isEmpty(), arrangement.fallbacks() + " " + grips(arrangement));
        for (PlacedGrip placed : arrangement.placements()) {
            Shape shape = placed.grip().orElseThrow().grip().shape();
            assertEquals(
                    !ask.holds(shape, placed.segment().sounding(), arrangement.board(), false),
                    arrangement.fallbacks().containsKey(placed.index()),
                    grips(arrangement).toString());
        }
    }

    /** A reading that is a kind of grip by itself does not lack another kind. */
    @Test
    void guideTones_inAnotherTexture_lackNothing() {
        ArrangementSettings settings = ArrangementSettings.ofRung(4)
                .withCapo(0)
                .withTextures(TexturePlan.FREE.with(new TextureAsk(Texture.of("closed"), Wishes.NONE)));
        Arrangement arrangement = ARRANGER.arrange(
                chart("key: C\n| Dm7 | G7 |"), taking(settings.withSetting(Setting.BASS), "guide-tones", 0, 1));
        assertFalse(isUnkept(arrangement), arrangement.warnings().toString());
        assertTrue(grips(arrangement).stream().allMatch(g -> g.shape().sounding() == 2));
        assertTrue(arrangement.fallbacks().isEmpty(), arrangement.fallbacks().toString());
    }
}
