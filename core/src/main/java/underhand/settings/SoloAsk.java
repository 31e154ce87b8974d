package underhand.settings;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import underhand.input.RangeException;
import underhand.neck.Tuning;

/**
 * How a tune is to be played on top of its chords.
 *
 * @param under what stands under it
 * @param octave octaves above where the chart has the tune, -1 to 1; empty for the one that lies best
 * @param strings strings that some notes of the tune are to be played on
 */
public record SoloAsk(Under under, OptionalInt octave, List<TuneString> strings) {

    /** Octaves a tune may be moved by, up or down. */
    public static final int MOST_OCTAVES = 1;

    public static final SoloAsk OPEN = new SoloAsk(Under.CHORDS, OptionalInt.empty(), List.of());

    /** What stands under a tune. */
    public enum Under {
        /** The chords of the song. */
        CHORDS,
        /** Open strings of the key that go on, whatever the chord is; the tune keeps to the two highest strings. */
        DRONES,
        /** Nothing: the tune alone, as somebody plays it over another guitar. */
        NOTHING;

        /** {@code drones}. */
        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** @throws RangeException naming those there are */
        public static Under parse(String id) {
            return Arrays.stream(values())
                    .filter(under -> under.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> RangeException.outside(
                            "solo.under",
                            id,
                            Arrays.stream(values()).map(Under::id).collect(Collectors.joining(", "))));
        }
    }

    /**
     * A note of the tune with its string.
     *
     * @param bar of the song, from 1
     * @param beat it begins on, from 1
     * @param number of the string as players count, 1 the highest
     */
    public record TuneString(int bar, double beat, int number) {
        public TuneString {
            RangeException.check("solo.strings.bar", bar, 1, Integer.MAX_VALUE);
            RangeException.check("solo.strings.string", number, 1, Tuning.MOST);
        }
    }

    public SoloAsk {
        strings = List.copyOf(strings);
        octave.ifPresent(o -> RangeException.check("octave", o, -MOST_OCTAVES, MOST_OCTAVES));
    }
}
