package underhand.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chord.ChordNamer;
import underhand.desk.Desk.Neighbour;
import underhand.hand.Player;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.pitch.Key;

/** What lies a finger away: facts every player knows (common practice), and all there is by trying every move. */
class NeighboursTest {

    private static final Fretboard STANDARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final int HIGHEST = 15;

    private static List<Neighbour> around(String shape, Fretboard board, String key) {
        Optional<Key> in = key.isEmpty() ? Optional.empty() : Optional.of(Key.parse(key));
        return new Neighbours(board, Player.ADULT, in, HIGHEST).of(Shape.parse(shape));
    }

    private static Set<String> shapes(List<Neighbour> neighbours) {
        return neighbours.stream().map(n -> n.shape().toString()).collect(Collectors.toSet());
    }

    @ParameterizedTest
    @CsvSource({
        "x02210, x02220, A",
        "022100, 022000, Em",
        "022100, 020100, E7",
        "x32010, x32000, Cmaj7",
        "x32010, x02010, Am7",
        "x02210, x02010, Am7",
        "xx0232, xx0231, Dm",
        "133211, 133111, Fm",
        "133211, 131211, F7",
        "x24432, x20432, Bm",
        "x7577x, x7677x, E9",
        "5x565x, 5x555x, Am7",
        "x-5-6-4-6-x, x-5-6-5-6-x, Dm7b5"
    })
    void aFingerMakesAnotherChord(String from, String to, String name) {
        Neighbour there = around(from, STANDARD, "").stream()
                .filter(n -> n.shape().equals(Shape.parse(to)))
                .findFirst()
                .orElseThrow();
        assertTrue(
                there.names().stream().anyMatch(n -> n.symbol().toString().equals(name)),
                there.names().toString());
    }

    @ParameterizedTest
    @CsvSource({
        "x32010, E2 A2 D3 G3 B3 E4, 0",
        "x7577x, E2 A2 D3 G3 B3 E4, 0",
        "133211, E2 A2 D3 G3 B3 E4, 3",
        "000000, D2 G2 D3 G3 B3 D4, 0",
        "5-5-9-x-x-x, D2 A2 D3 G3 B3 E4, 0",
        "0232, G4 C4 E4 A4, 0",
        "x-x-3-2-0-1-0, B1 E2 A2 D3 G3 B3 E4, 0"
    })
    void noMoveOfOneStringIsForgotten(String from, String tuning, int capo) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.parse(tuning), capo);
        Shape shape = Shape.parse(from);
        ShapeGrips grips = new ShapeGrips(board, Player.ADULT);
        Set<String> all = new HashSet<>();
        for (int string = 0; string < shape.strings(); string++) {
            for (int fret = -1; fret <= HIGHEST; fret++) {
                int[] frets = shape.toArray();
                frets[string] = fret;
                Shape moved = Shape.of(frets);
                boolean isNamed = moved.sounding() > 0
                        && !ChordNamer.names(moved.pitches(board), Optional.empty())
                                .isEmpty();
                if (!moved.equals(shape)
                        && moved.sounding() > 1
                        && isNamed
                        && !grips.of(moved).isEmpty()) {
                    all.add(moved.toString());
                }
            }
        }
        Set<String> found = shapes(around(from, board, ""));
        assertTrue(found.containsAll(all), () -> {
            all.removeAll(found);
            return "missing " + all;
        });
        assertFalse(found.contains(shape.toString()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"x32010", "133211", "x7577x", "022100"})
    void whatMovedIsSaid(String from) {
        Shape shape = Shape.parse(from);
        for (Neighbour neighbour : around(from, STANDARD, "")) {
            int[] frets = shape.toArray();
            neighbour.moved().forEach(m -> {
                assertEquals(frets[m.string()], m.from());
                frets[m.string()] = m.to();
            });
            assertEquals(neighbour.shape(), Shape.of(frets));
            long kept = IntStream.range(0, 6)
                    .filter(s -> !shape.isSilent(s)
                            && shape.fret(s) == neighbour.shape().fret(s))
                    .count();
            assertEquals(kept, neighbour.kept());
        }
    }

    @Test
    void chordsOfTheKeyComeFirst() {
        List<Neighbour> near = around("x32010", STANDARD, "C");
        int lastIn = 0;
        for (int i = 0; i < near.size(); i++) {
            boolean inC = near.get(i).shape().pitches(STANDARD).stream()
                    .allMatch(p -> Set.of(0, 2, 4, 5, 7, 9, 11).contains(p.pitchClass()));
            assertEquals(inC, near.get(i).inKey(), near.get(i).toString());
            lastIn = near.get(i).inKey() ? i : lastIn;
        }
        assertEquals(near.stream().filter(Neighbour::inKey).count() - 1, lastIn);
    }

    @Test
    void aBarreLetsGoOfAllItsStrings() {
        assertTrue(shapes(around("x24442", STANDARD, "")).contains("x20002"));
        assertTrue(shapes(around("xx7777", STANDARD, "")).contains("xx9999"));
    }

    @Test
    void twoFingersReachWhatOneDoesNot() {
        Neighbours neighbours = new Neighbours(STANDARD, Player.ADULT, Optional.empty(), HIGHEST);
        Shape c = Shape.parse("x32010");
        Set<String> one = shapes(neighbours.of(c));
        Set<String> two = shapes(neighbours.twoAway(c));
        assertTrue(two.contains("x02210"), "C to Am takes one finger and the third string");
        assertTrue(two.stream().noneMatch(one::contains));
    }
}
