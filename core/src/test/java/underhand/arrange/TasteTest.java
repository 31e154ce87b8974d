package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;

/** Whole parts: the same wherever the capo lies, and turned by the house rules of taste. */
class TasteTest {

    /** A row of chords moved by n semitones gives the same shapes with the capo moved by n. */
    @Test
    void arrange_transposedChart_givesTheSameShapesWithTheCapoMoved() {
        Random random = new Random(12);
        List<String> songs = List.of("G D Em C", "C Am Dm G7", "A D E A", "Am Em Am E", "D G A7 D", "E7 A7 B7 E7");
        for (int i = 0; i < 12; i++) {
            List<ChordSymbol> song = Arrays.stream(
                            songs.get(random.nextInt(songs.size())).split(" "))
                    .map(ChordSymbol::parse)
                    .toList();
            int rung = 1 + random.nextInt(3);
            int up = 1 + random.nextInt(5);
            List<ChordSymbol> higher = song.stream()
                    .map(c -> c.transpose(up, Key.on(up, Mode.MAJOR)))
                    .toList();
            List<Shape> low = shapes(song, rung, 0, true);
            List<Shape> high = shapes(higher, rung, up, true);
            assertEquals(low, high, "seed 12, case " + i + ": " + song + " up " + up + " on rung " + rung);
        }
    }

    /** Shapes at a slow tempo, where no change is late in either place. */
    private static List<Shape> shapes(List<ChordSymbol> song, int rung, int capo, boolean slow) {
        ArrangementSettings settings = ArrangementSettings.ofRung(rung).withTempo(slow ? 30 : 92);
        return new Arranger()
                .solve(TeacherParts.chart(song), settings, capo).placements().stream()
                        .map(p -> p.grip().orElseThrow().grip().shape())
                        .toList();
    }

    @Test
    void taste_ringing_takesMoreOpenStringsThanDry() {
        List<ChordSymbol> song = IntStream.of(0, 5, 7, 0)
                .mapToObj(up -> ChordSymbol.parse("A").transpose(up, Key.parse("A")))
                .toList();
        assertTrue(open(song, HouseRules.NONE.with(HouseRule.RING, 1.0))
                > open(song, HouseRules.NONE.with(HouseRule.RING, -1.0)));
    }

    private static int open(List<ChordSymbol> song, HouseRules houseRules) {
        return part(song, houseRules).stream()
                .mapToInt(g -> g.shape().openStrings())
                .sum();
    }

    private static List<Grip> part(List<ChordSymbol> song, HouseRules houseRules) {
        return new Arranger()
                        .solve(
                                TeacherParts.chart(song),
                                ArrangementSettings.ofRung(4).withHouseRules(houseRules),
                                0)
                        .placements()
                        .stream()
                        .map(p -> p.grip().orElseThrow().grip())
                        .toList();
    }

    @Test
    void taste_movingTopLine_movesItMoreThanAStillOne() {
        List<ChordSymbol> song =
                Arrays.stream("C Am F G C".split(" ")).map(ChordSymbol::parse).toList();
        assertTrue(topLine(song, HouseRules.NONE.with(HouseRule.MOTION, 1.0))
                > topLine(song, HouseRules.NONE.with(HouseRule.MOTION, -1.0)));
    }

    private static int topLine(List<ChordSymbol> song, HouseRules houseRules) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        int way = 0;
        Optional<Integer> before = Optional.empty();
        for (Grip grip : part(song, houseRules)) {
            int string = grip.shape().highestSounding();
            int top = board.midi(string, grip.shape().fret(string));
            way += before.map(b -> Math.abs(b - top)).orElse(0);
            before = Optional.of(top);
        }
        return way;
    }
}
