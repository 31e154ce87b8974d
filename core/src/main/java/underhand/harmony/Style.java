package underhand.harmony;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/** Kinds of music that a right hand plays each in its own way (common practice). */
public enum Style {
    FOLK("a folk song", "folk", "country"),
    POP("a pop song", "pop"),
    BALLAD("a ballad", "ballad", "lullaby"),
    BLUES("a blues", "blues", "shuffle"),
    SWING("a swing tune", "swing", "jazz"),
    BOSSA("a bossa", "bossa", "samba"),
    FUNK("a funk groove", "funk"),
    OFF_BEAT("off-beat music", "reggae", "ska");

    private final String words;
    private final Set<String> names;

    Style(String words, String... names) {
        this.words = words;
        this.names = Set.of(names);
    }

    /** The styles a word of a title or a section's name means. */
    static Stream<Style> named(String word) {
        return Arrays.stream(values()).filter(s -> s.names.contains(word));
    }

    /** What a song of this style is called. */
    public String words() {
        return words;
    }

    /** @throws IllegalArgumentException when there is none of this name */
    public static Style of(String name) {
        return Arrays.stream(values())
                .filter(s -> s.name().replace('_', '-').equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no style \"" + name + "\"; there are "
                        + Arrays.toString(values()).toLowerCase(Locale.ROOT)));
    }
}
