package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartTextReader;
import underhand.hand.Grip;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.input.RangeException;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.repertoire.GripFinder;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.Setting;
import underhand.settings.TexturePlan;
import underhand.settings.TexturePlan.Wished;
import underhand.solve.PlacedGrip;

/** Parts of a kind: what a texture takes, what binds, how voices are led, and which kind comes first by itself. */
class TexturesTest {

    private static final Arranger ARRANGER = new Arranger();
    private static final Wished NOTHING = new Wished(null, null, null, null, null);

    private static Chart chart(String bars) {
        return ChartTextReader.read("tempo: 90\n" + bars).chart();
    }

    private static Arrangement part(String bars, int rung, String texture, Wished wished) {
        return ARRANGER.arrange(
                chart(bars), ArrangementSettings.ofRung(rung).withTextures(TexturePlan.read(texture, wished)));
    }

    private static Arrangement inOpenPosition(Chart chart, ArrangementSettings settings) {
        return ARRANGER.sweep(chart, settings).alone(0);
    }

    private static List<Shape> shapes(Arrangement part) {
        return part.placements().stream()
                .map(p -> p.grip().orElseThrow().grip().shape())
                .toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"closed", "comping", "led", "drop2", "drop3"})
    void closedTextures_haveNoOpenStringAndNoCapo(String texture) {
        Arrangement part = ARRANGER.arrange(
                chart("| Dm7 | G7 | Am7 | Gm7 |"),
                ArrangementSettings.ofRung(4).withTextures(TexturePlan.read(texture, NOTHING)));
        assertEquals(0, part.capo());
        for (Shape shape : shapes(part)) {
            assertEquals(0, shape.openStrings(), texture + " " + shape);
        }
        assertEquals(Map.of(), part.fallbacks());
    }

    @Test
    void everyGrip_isOfTheFamiliesOfItsTexture() {
        Arrangement part = part("| Dm7 | G7 | Cmaj7 | A7 |", 4, "drop2", NOTHING);
        for (PlacedGrip placed : part.placements()) {
            List<String> families = placed.grip()
                    .orElseThrow()
                    .structure(placed.segment().chord().orElseThrow(), part.board())
                    .families();
            assertTrue(families.contains("drop 2"), placed.grip() + " " + families);
        }
    }

    @Test
    void aChordWithoutAGripOfTheKind_takesAnotherAndSaysSo() {
        Arrangement part = part("| G5 | Am7 | D7 |", 4, "drop2", NOTHING);
        assertEquals(List.of(0), List.copyOf(part.fallbacks().keySet()));
        assertTrue(part.fallbacks().get(0).startsWith("G5 has no grip of the kind \"drop2\""));
    }

    @Test
    void belowItsRung_aTextureIsTriedAndSaysSo() {
        Arrangement part = part("| Dm7 | G7 | Cmaj7 |", 2, "led", NOTHING);
        assertTrue(part.warnings().stream().anyMatch(w -> w.text().contains("technique of rung 4")));
        assertEquals(Map.of(), part.fallbacks());
    }

    @Test
    void wishes_bind() {
        Wished strings = new Wished("4321", 3, 10, true, null);
        for (Shape shape : shapes(part("| Dm7 | G7 | Cmaj7 | Am7 |", 5, "drop2", strings))) {
            assertTrue(shape.isSilent(0) && shape.isSilent(1), shape.toString());
            for (int string = 2; string < 6; string++) {
                assertTrue(shape.fret(string) >= 3 && shape.fret(string) <= 10, shape.toString());
            }
        }
    }

    @Test
    void top_fallsWhereItIsAsked() {
        Arrangement part = part("| Cmaj7 | Am7 | Dm7 | G7 |", 5, "led", new Wished(null, null, null, null, "falls"));
        List<Integer> tops = part.placements().stream()
                .map(p -> p.grip().orElseThrow().grip().shape().pitches(part.board()).stream()
                        .mapToInt(pitch -> pitch.midi())
                        .max()
                        .orElseThrow())
                .toList();
        for (int i = 1; i < tops.size(); i++) {
            assertTrue(tops.get(i) < tops.get(i - 1), tops.toString());
        }
        assertTrue(part.warnings().stream().noneMatch(w -> w.kind() == Warning.Kind.WISH));
    }

    @ParameterizedTest
    @CsvSource({"43, led", "4, triads"})
    void wishes_thatLeaveNoGrip_areRefused(String strings, String texture) {
        assertThrows(
                RangeException.class, () -> TexturePlan.read(texture, new Wished(strings, null, null, null, null)));
    }

    @Test
    void wishes_thatExcludeEachOther_areRefused() {
        assertThrows(RangeException.class, () -> TexturePlan.read("free", new Wished(null, 9, 5, null, null)));
        assertThrows(RangeException.class, () -> TexturePlan.read("free", new Wished("441", null, null, null, null)));
        assertThrows(RangeException.class, () -> TexturePlan.read("free", new Wished(null, null, null, null, "up")));
    }

    /** Least total motion of the voices, by trying every row of grips; of rows that tie any may be taken. */
    @Test
    void ledVoices_moveAsLittleAsTheyCan() {
        Random random = new Random(41);
        String[] types = {"maj7", "m7", "7", "m7b5"};
        String[] roots = {"C", "D", "E", "F", "G", "A", "B", "Bb", "Eb", "Ab", "F#", "C#"};
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        GripFinder finder = new GripFinder(board, Rung.of(5), Player.ADULT, Setting.ALONE, GripFinder.HIGHEST_FRET)
                .in(TexturePlan.ask("drop2", new Wished("4321", null, null, null, null)));
        for (int song = 0; song < 200; song++) {
            List<ChordSymbol> chords = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                chords.add(
                        ChordSymbol.parse(roots[random.nextInt(roots.length)] + types[random.nextInt(types.length)]));
            }
            StringBuilder bars = new StringBuilder("|");
            chords.forEach(c -> bars.append(' ').append(c).append(" |"));
            List<Shape> played = ARRANGER
                    .solve(
                            chart(bars.toString()),
                            ArrangementSettings.ofRung(5)
                                    .withTextures(
                                            TexturePlan.read("drop2", new Wished("4321", null, null, null, null))),
                            0)
                    .placements()
                    .stream()
                    .map(p -> p.grip().orElseThrow().grip().shape())
                    .toList();
            List<Shape> before = List.of();
            int[] costs = new int[0];
            for (ChordSymbol chord : chords) {
                List<Shape> now = finder.find(chord, 1).stream()
                        .map(g -> g.grip().shape())
                        .distinct()
                        .toList();
                int[] next = new int[now.size()];
                for (int to = 0; to < next.length; to++) {
                    next[to] = before.isEmpty() ? 0 : Integer.MAX_VALUE;
                    for (int from = 0; from < costs.length; from++) {
                        next[to] = Math.min(next[to], costs[from] + motion(before.get(from), now.get(to), board));
                    }
                }
                before = now;
                costs = next;
            }
            int least = Arrays.stream(costs).min().orElseThrow();
            int moved = 0;
            for (int i = 1; i < played.size(); i++) {
                moved += motion(played.get(i - 1), played.get(i), board);
            }
            assertEquals(least, moved, "seed 41, song " + song + ": " + chords + " " + played);
        }
    }

    /** Semitones all voices move, string by string: both grips sound on the same four. */
    private static int motion(Shape from, Shape to, Fretboard board) {
        int moved = 0;
        for (int string = 2; string < 6; string++) {
            moved += Math.abs(board.midi(string, from.fret(string)) - board.midi(string, to.fret(string)));
        }
        return moved;
    }

    @Test
    void voices_ofAChange_nameTheStringsTheyReach() {
        Arrangement part = part("| Dm7 | G7 |", 5, "drop2", new Wished("4321", null, null, null, null));
        assertEquals(
                List.of(1, 2, 3, 4),
                part.changes().get(0).voices().stream().map(v -> v.string()).toList());
        int total = part.changes().get(0).voices().stream()
                .mapToInt(v -> Math.abs(v.to() - v.from()))
                .sum();
        assertTrue(total <= 4, "Dm7 to G7 keeps two tones and moves two: " + total);
    }

    /** The shapes of dropped strings by rung: a third where the hand reaches it, else root and fifth (common practice). */
    @ParameterizedTest
    @CsvSource({
        "drop D, 2, 'D5:000xxx G:559xxx Em:225xxx A:7-7-11-x-x-x D/F#:454xxx Gsus2:557xxx'",
        "drop D, 4, 'D5:000xxx G:559xxx Em:225xxx A:7-7-11-x-x-x D/F#:454xxx Gsus2:557xxx'",
        "drop C, 4, 'C5:000xxx F:559xxx Dm:225xxx G:7-7-11-x-x-x C/E:454xxx Fsus2:557xxx'",
        "A1 E2 A2 D3 G3 B3 E4, 4, 'A5:000xxxx D:559xxxx Bm:225xxxx E:7-7-11-x-x-x-x'",
    })
    void droppedStrings_takeTheThirdWhereTheHandReachesIt(String tuning, int rung, String wanted) {
        String chords = wanted.replaceAll(":\\S+", "").replace(' ', '|');
        Arrangement part = ARRANGER.arrange(
                chart("| " + chords + " |"),
                ArrangementSettings.ofRung(rung)
                        .withCapo(0)
                        .withTuning(Tuning.parse(tuning))
                        .withTextures(TexturePlan.read("dropped", NOTHING)));
        List<String> played = part.placements().stream()
                .map(p -> p.segment().chord().orElseThrow() + ":"
                        + p.grip().orElseThrow().grip().shape())
                .toList();
        assertEquals(wanted, String.join(" ", played));
        assertEquals(Map.of(), part.fallbacks());
    }

    /** The kind is offered only where the two lowest strings are a fifth apart. */
    @ParameterizedTest
    @CsvSource({"drop D, true", "DADGAD, true", "open D, true", "standard, false", "open G, false"})
    void ranking_offersDroppedStringsWhereThereAreSome(String tuning, boolean offered) {
        Arrangement part = inOpenPosition(
                chart("| D5 | G5 | A5 |"), ArrangementSettings.ofRung(3).withTuning(Tuning.parse(tuning)));
        assertEquals(
                offered, part.textures().stream().anyMatch(t -> t.texture().id().equals("dropped")));
    }

    /** Some bare chords in an open or dropped tuning make no riff of a song: its open strings are what it is tuned for. */
    @ParameterizedTest
    @CsvSource({
        "DADGAD, '| D | Gsus2 | A | D | G | Em |', ringing",
        "drop D, '| D5 | G | A | D | Em | G |', ringing",
        "drop D, '| D5 | F5 | G5 | D5 |', dropped",
    })
    void ranking_takesDroppedStringsForRiffsAlone(String tuning, String bars, String first) {
        Arrangement part = inOpenPosition(
                chart(bars),
                ArrangementSettings.ofRung(3).withTuning(Tuning.parse(tuning)).withTextures(TexturePlan.OPEN));
        assertEquals(first, part.textures().get(0).texture().id());
    }

    /** A section's own texture holds there and nowhere else. */
    @Test
    void places_mayHaveTexturesOfTheirOwn() {
        TexturePlan plan = TexturePlan.read("ringing", NOTHING).with("comping", Stream.of(2, 3));
        Arrangement part = inOpenPosition(
                chart("| C | G | Dm7 | G7 |"), ArrangementSettings.ofRung(4).withTextures(plan));
        List<Shape> shapes = shapes(part);
        assertTrue(shapes.get(0).openStrings() > 0 && shapes.get(1).openStrings() > 0, shapes.toString());
        assertEquals(0, shapes.get(2).openStrings() + shapes.get(3).openStrings(), shapes.toString());
    }

    @ParameterizedTest
    @CsvSource({
        "'| Fmaj7 | Gm7 C7 | Am7 | Dm7 |', 4, alone, comping",
        "'| Fmaj7 | Gm7 C7 | Am7 | Dm7 |', 1, alone, ringing",
        "'| G | C | D | Em |', 2, alone, ringing",
        "'| G | C | D | Em |', 4, singer, ringing",
        "'| E5 | G5 | A5 | E5 |', 3, alone, riff",
        "'| Dm7 | G7 | Cmaj7 | A7 |', 4, bass, comping",
    })
    void ranking_takesTheKindThatFitsTheChart(String bars, int rung, String setting, String first) {
        Arrangement part = inOpenPosition(
                chart(bars),
                ArrangementSettings.ofRung(rung)
                        .withSetting(Setting.parse(setting))
                        .withTextures(TexturePlan.OPEN));
        assertEquals(
                first, part.textures().get(0).texture().id(), part.textures().toString());
        assertEquals(first, part.settings().textures().at(0).texture().id());
    }

    /** Nobody else has the bass: what has none never comes first by itself, and tenths never on the first two rungs. */
    @Test
    void ranking_aloneOrWithASinger_keepsTheBass() {
        for (String bars :
                List.of("| Fmaj7 | Gm7 C7 |", "| G | C |", "| Am | F | C7 | G |", "| Dm7 | G7 |", "| D5 | F5 |")) {
            for (int rung = 1; rung <= 5; rung++) {
                for (Setting setting : List.of(Setting.ALONE, Setting.SINGER)) {
                    Arrangement part = inOpenPosition(
                            chart("tempo: 60\n" + bars),
                            ArrangementSettings.ofRung(rung)
                                    .withSetting(setting)
                                    .withTextures(TexturePlan.OPEN));
                    String first = part.textures().get(0).texture().id();
                    assertFalse(List.of("led", "triads").contains(first), bars + " on rung " + rung);
                    assertTrue(part.textures().get(0).texture().lowestRung() <= rung, bars + " on rung " + rung);
                    assertFalse(rung <= 2 && first.equals("tenths"), bars + " on rung " + rung);
                }
            }
        }
    }

    /** A second guitar is proposed what leaves the first its room, and has the texture it asks for. */
    @ParameterizedTest
    @CsvSource({"ringing, 4, triads", "ringing, 2, free", "comping, 3, free", "comping, 5, triads", "triads, 4, ringing"
    })
    void secondGuitar_isProposedWhatTheFirstLeavesFree(String first, int rung, String proposed) {
        Chart chart = chart("| G | Em | C | D7 |");
        Arrangement below = part("| G | Em | C | D7 |", 4, first, NOTHING);
        ArrangementSettings beside =
                ArrangementSettings.ofRung(rung).withSetting(Setting.SECOND).withTextures(TexturePlan.OPEN);
        Arrangement second = ARRANGER.second(chart, below, beside).arrangement();
        assertEquals(
                proposed,
                second.textures().get(0).texture().id(),
                second.textures().toString());
        assertTrue(!proposed.equals("triads") || second.capo() == 0, "a capo and shapes high up");
        assertEquals(proposed, second.settings().textures().at(0).texture().id());
        Arrangement asked = ARRANGER.second(chart, below, beside.withTextures(TexturePlan.read("tenths", NOTHING)))
                .arrangement();
        assertEquals("tenths", asked.settings().textures().at(0).texture().id());
    }

    /** Cmaj7 to C6 as accompanists play it: one voice moves, the fingers that stay stay (common practice). */
    @Test
    void compingOnAHeldRoot_movesOneVoice() {
        Arrangement part = part("| Cmaj7 | C6 |", 4, "comping", new Wished(null, 7, 10, null, null));
        List<Shape> shapes = shapes(part);
        assertEquals(List.of(Shape.parse("8x998x"), Shape.parse("8x798x")), shapes);
    }

    @Test
    void free_isWhatItWasWithoutTextures() {
        Chart chart = chart("| C | Am | F | G7 | Dm7 | E7 |");
        for (int rung = 1; rung <= 5; rung++) {
            Arrangement plain = inOpenPosition(chart, ArrangementSettings.ofRung(rung));
            Arrangement free = inOpenPosition(
                    chart, ArrangementSettings.ofRung(rung).withTextures(TexturePlan.read("free", NOTHING)));
            assertEquals(shapes(plain), shapes(free));
            assertEquals(plain.total(), free.total());
        }
        assertNotEquals(
                shapes(part("| C | Am | F | G7 |", 4, "free", NOTHING)),
                shapes(part("| C | Am | F | G7 |", 4, "closed", NOTHING)));
    }

    @Test
    void locks_holdWhateverTheTexture() {
        ArrangementSettings settings = ArrangementSettings.ofRung(4)
                .withTextures(TexturePlan.read("drop2", NOTHING))
                .withLocks(List.of(Lock.onShape(0, Shape.parse("x02010"))));
        Arrangement part = inOpenPosition(chart("| Am7 | D7 |"), settings);
        Grip first = part.placements().get(0).grip().orElseThrow().grip();
        assertEquals(Shape.parse("x02010"), first.shape());
        assertEquals(Map.of(), part.fallbacks());
    }
}
