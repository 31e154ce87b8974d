package underhand.repertoire;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordNamer;
import underhand.chord.ChordSymbol;
import underhand.hand.FingerSpreads;
import underhand.hand.FingeringSearch;
import underhand.hand.FingersReader;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.input.FormatException;
import underhand.move.Change;
import underhand.move.ChangeModel;
import underhand.move.FingerAct.Act;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.settings.Setting;
import underhand.table.Table;

/** Taught shapes come with the fingers they are taught with; common practice of method books and teachers. */
class TaughtFingersTest {

    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final Player THUMB = new Player(FingerSpreads.ADULT, true, 1);

    private static GripFinder finder(int rung, Fretboard board) {
        return new GripFinder(
                board, Rung.of(rung), Player.ADULT, Setting.ALONE, GripFinder.HIGHEST_FRET, Parameters.STANDARD);
    }

    private static String fingersOf(int rung, Shape shape) {
        ChordSymbol chord =
                ChordNamer.names(shape.pitches(BOARD), Optional.empty()).get(0).symbol();
        return finder(rung, BOARD).fingerings(shape, chord, 1).get(0).grip().fingers();
    }

    @Test
    void table_everyWayToFingerAShape_isOneTheSearchKnows() {
        List<String> unknown = new ArrayList<>();
        FingeringSearch search = new FingeringSearch(BOARD, Rung.of(5), THUMB);
        List<String[]> rows =
                Table.read(Repertoire.class, "taught-shapes.csv", 4, row -> new String[] {row.cell(2), row.cell(3)});
        for (String[] row : rows) {
            Shape shape = Shape.parse(row[0]);
            List<String> known =
                    search.fingerings(shape).stream().map(Grip::fingers).toList();
            Arrays.stream(row[1].split(" ")).filter(f -> !known.contains(f)).forEach(f -> unknown.add(shape + " " + f));
        }
        assertTrue(rows.size() > 80);
        assertEquals(List.of(), unknown);
    }

    @ParameterizedTest
    @CsvSource({
        "2, x20003, -1---3 -1---4 -2---3 -2---4",
        "1, xx0212, ---213",
        "2, xx0233, ---134",
        "2, 020000, -2---- -1----",
        "3, 242322, 131211",
        "2, 320002, 32---1 31---2",
        "5, 8x998x, 1-342-",
        "5, 7x887x, 1-342-",
        "5, 5x665x, 1-342-",
        "2, x02230, --124-",
        "1, 022000, -23---",
        "5, 3x333x, 2-333- 2-334-",
    })
    void fingers_ofATaughtShape_areThoseItIsTaughtWith(int rung, String shape, String accepted) {
        String fingers = fingersOf(rung, Shape.parse(shape));
        assertTrue(List.of(accepted.split(" ")).contains(fingers), shape + " " + fingers);
    }

    /** Grips every accompanist knows, moved along the neck: the search finds each and gives the fingers noted. */
    @ParameterizedTest
    @CsvFileSource(resources = "movable-grips.tsv", delimiter = '\t')
    void fingers_ofMovableGrips_areThoseNoted(String chord, String written, String accepted, String family) {
        Shape shape = Shape.parse(written);
        for (int up = -2; up <= 2; up++) {
            int[] frets = shape.toArray();
            for (int string = 0; string < frets.length; string++) {
                frets[string] += frets[string] > 0 ? up : 0;
            }
            String fingers = fingersOf(5, Shape.of(frets));
            assertTrue(List.of(accepted.split("\\|")).contains(fingers), Shape.of(frets) + " " + fingers);
        }
    }

    /** A finger that stays is gain. */
    @ParameterizedTest
    @CsvSource({"xx0232, ---132, xx0233, 4", "x02220, --123-, x02230, 4"})
    void change_toTheSuspendedFourth_landsTheLittleFingerAlone(String from, String fingers, String to, int lands) {
        Grip left = FingersReader.read(Shape.parse(from), fingers, BOARD);
        Grip reached = FingersReader.read(Shape.parse(to), fingersOf(2, Shape.parse(to)), BOARD);
        Change change = new ChangeModel(BOARD, Rung.of(2), Player.ADULT, Parameters.STANDARD).between(left, reached);
        List<Integer> down = change.acts().stream()
                .filter(a -> a.act() == Act.LANDS || a.act() == Act.TRAVELS || a.act() == Act.SLIDES)
                .map(a -> a.finger())
                .toList();
        assertEquals(List.of(lands), down);
    }

    /** Fingers may cross where the player wants it; what no hand can do is said with its string. */
    @Test
    void read_thePlayersOwnFingers_areTakenOrSaidWhereTheyCannotBe() {
        assertEquals(
                "--213-",
                FingersReader.read(Shape.parse("x02220"), "--213-", BOARD).fingers());
        for (String wrong : List.of("--21--", "-1213-", "--213", "--11-1", "--9 3-")) {
            FormatException error = assertThrows(
                    FormatException.class, () -> FingersReader.read(Shape.parse("x02220"), wrong, BOARD), wrong);
            assertTrue(error.column() > 0 && !error.reason().isBlank(), error.getMessage());
        }
        assertThrows(FormatException.class, () -> FingersReader.read(Shape.parse("x32010"), "-33-1-", BOARD));
        assertThrows(FormatException.class, () -> FingersReader.read(Shape.parse("x20203"), "-1-1-3", BOARD));
    }
}
