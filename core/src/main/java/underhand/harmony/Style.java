package underhand.harmony;

import java.util.Arrays;
import java.util.Locale;

/** Kinds of music that a right hand plays each in its own way (common practice). */
public enum Style {
    FOLK("a folk song"),
    POP("a pop song"),
    BALLAD("a ballad"),
    BLUES("a blues"),
    SWING("a swing tune"),
    BOSSA("a bossa"),
    FUNK("a funk groove"),
    OFF_BEAT("off-beat music");

    private final String words;

    Style(String words) {
        this.words = words;
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
