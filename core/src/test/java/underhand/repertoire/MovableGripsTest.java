package underhand.repertoire;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.settings.Setting;
import underhand.texture.Structure;
import underhand.texture.Texture;
import underhand.texture.TextureAsk;
import underhand.texture.Wishes;

/** The movable grips every accompanist knows (common practice), at every place of the neck. */
class MovableGripsTest {

    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
    private static final int FURTHEST = 13;
    private static final int FIRST = 12;

    private static final Map<String, String> TEXTURES = Map.of(
            "muted", "comping", "shell", "comping", "drop 2", "drop2", "drop 3", "drop3", "guide", "comping", "tenth",
            "tenths", "triad", "triads", "power", "power");

    private record Row(ChordSymbol chord, Shape shape, List<String> fingers, String family) {}

    private static List<Row> rows() throws IOException {
        try (InputStream in = MovableGripsTest.class.getResourceAsStream("/underhand/repertoire/movable-grips.tsv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .map(line -> line.split("\t"))
                    .map(cells -> new Row(
                            ChordSymbol.parse(cells[0]),
                            Shape.parse(cells[1]),
                            List.of(cells[2].split("\\|")),
                            cells[3]))
                    .toList();
        }
    }

    private static Setting setting(Row row) {
        return List.of("guide", "triad").contains(row.family()) ? Setting.BASS : Setting.ALONE;
    }

    @ParameterizedTest
    @CsvSource({"4", "5"})
    void everyRow_atEveryPlace_isAmongTheFirstOfItsTexture(int rung) throws IOException {
        List<String> missing = new ArrayList<>();
        int checked = 0;
        for (Row row : rows()) {
            int lowest = lowestFret(row.shape());
            for (int place = 1; place <= FURTHEST; place++) {
                int up = place - lowest;
                Shape shape = row.shape().moved(up).orElseThrow();
                if (shape.highestFret() > FURTHEST) {
                    continue;
                }
                ChordSymbol chord = row.chord().transpose(up, Key.on(0, Mode.MAJOR));
                TextureAsk ask = new TextureAsk(Texture.of(TEXTURES.get(row.family())), Wishes.NONE);
                GripFinder finder = new GripFinder(
                                BOARD, Rung.of(rung), Player.ADULT, setting(row), GripFinder.HIGHEST_FRET)
                        .in(ask);
                List<RatedGrip> found = finder.find(chord, 1);
                List<Shape> shapes =
                        found.stream().map(g -> g.grip().shape()).distinct().toList();
                int at = shapes.indexOf(shape);
                List<String> fingers = found.stream()
                        .filter(g -> g.grip().shape().equals(shape))
                        .map(g -> g.grip().fingers())
                        .limit(2)
                        .toList();
                checked++;
                if (at < 0 || at >= FIRST || fingers.stream().noneMatch(row.fingers()::contains)) {
                    missing.add(chord + " " + shape + " " + row.family() + ": place " + at + " of " + shapes.size()
                            + ", fingers " + fingers + ", wanted " + row.fingers());
                }
            }
        }
        assertEquals(List.of(), missing, missing.size() + " of " + checked);
    }

    private static int lowestFret(Shape shape) {
        int lowest = Integer.MAX_VALUE;
        for (int string = 0; string < shape.strings(); string++) {
            lowest = shape.isFretted(string) ? Math.min(lowest, shape.fret(string)) : lowest;
        }
        return lowest;
    }

    @Test
    void everyRow_isOfItsFamily() throws IOException {
        for (Row row : rows()) {
            Structure structure = new Structure(row.shape(), row.chord(), BOARD, false);
            assertEquals(
                    true,
                    structure.families().contains(row.family()),
                    row.chord() + " " + row.shape() + " is " + structure.families());
        }
    }
}
