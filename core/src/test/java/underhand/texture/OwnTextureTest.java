package underhand.texture;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartTextReader;
import underhand.input.RangeException;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.settings.ArrangementSettings;
import underhand.settings.TexturePlan;

/** Textures of a player's own: what is said of them is what is played. */
class OwnTextureTest {

    private static OwnTexture own(String families, String otherwise, String open, String strings, Integer voices) {
        return new OwnTexture(
                words(families),
                words(otherwise),
                open,
                words(strings),
                voices == null ? OptionalInt.empty() : OptionalInt.of(voices),
                false);
    }

    private static List<String> words(String text) {
        return text.isBlank() ? List.of() : List.of(text.split(" "));
    }

    static Stream<OwnTexture> textures() {
        return Stream.of(
                own("drop-2", "", "none", "5432 4321", null),
                own("drop-3 drop-2", "form", "none", "", 4),
                own("triad", "", "allowed", "432", 3),
                own("open form", "power", "bass", "", null),
                own("tenth", "guide", "bass", "63 52", 2));
    }

    @ParameterizedTest
    @MethodSource("textures")
    void id_saysAllOfIt(OwnTexture own) {
        Texture read = Texture.of(own.id());
        Texture made = own.toTexture();
        assertEquals(made, read);
        assertEquals(made.hashCode(), read.hashCode());
        assertEquals(made.families(), read.families());
        assertEquals(made.open(), read.open());
        assertEquals(List.copyOf(made.strings()).stream().sorted().toList(), read.strings());
        assertEquals(made.voices(), read.voices());
        assertEquals(own.id(), read.id());
    }

    @Test
    void id_isTheSameInWhateverOrderThingsWereNamed() {
        assertEquals(
                own("drop-2 drop-3", "", "none", "5432 4321", 4).id(),
                own("drop-3 drop-2", "", "none", "4321 5432", 4).id());
        assertEquals(
                "own: drop-2 drop-3 > form; none; 4321 5432; 4; free",
                own("drop-3 drop-2", "form", "none", "5432 4321", 4).id());
    }

    /** Shapes of structure a player would name so, and others that are none of it. */
    @ParameterizedTest
    @CsvSource({
        "x35453, Cmaj7, false", // five strings
        "xx5557, Cmaj7, true", // close spread an octave down: G C E B
        "x3545x, Cmaj7, true",
        "8x998x, Cmaj7, false", // drop 3
        "x32000, Cmaj7, false",
    })
    void dropTwoOnTwoSets_takesThoseAlone(String shape, String chord, boolean taken) {
        TextureAsk ask =
                new TextureAsk(own("drop-2", "", "none", "5432 4321", null).toTexture(), Wishes.NONE);
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        assertEquals(taken, ask.holds(Shape.parse(shape), ChordSymbol.parse(chord), board, false));
    }

    @Test
    void part_keepsToIt_andSaysWhereItCannot() {
        String id = own("drop-2", "", "none", "5432", null).id();
        ArrangementSettings settings = ArrangementSettings.ofRung(4)
                .withTextures(TexturePlan.read(id, new TexturePlan.Wished(null, null, null, null, null)));
        Arrangement arrangement = new Arranger()
                .arrange(ChartTextReader.read("| Cmaj7 | Am7 | Dm7 | G7 |").chart(), settings);
        arrangement.placements().forEach(place -> {
            String numbers = place.grip().orElseThrow().grip().shape().stringNumbers();
            assertEquals("5432", numbers);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "own: ",
                "own: drop-2",
                "own: drop-9; none; any; any; led",
                "own: drop-2; some; any; any; led",
                "own: drop-2; none; 4532; any; led",
                "own: drop-2; none; 5; any; led",
                "own: drop-2; none; any; 1; led",
                "own: drop-2; none; any; many; led",
                "own: ; none; any; any; led",
                "own: drop-2 > drop-7; none; any; any; led",
                "own: drop-2; none; 21 32 43 54 65 321 432 543 654 4321 5432 6543 65432; any; led",
            })
    void whatIsNone_isRefused(String id) {
        RangeException e = assertThrows(RangeException.class, () -> Texture.of(id));
        assertTrue(e.getMessage().contains("must be"), e.getMessage());
    }
}
