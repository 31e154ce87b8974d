package underhand.texture;

import java.util.Arrays;
import java.util.Locale;
import underhand.input.RangeException;

/** How the highest voice shall go from chord to chord. */
public enum Top {
    STAYS,
    FALLS,
    RISES,
    HALF_STEPS;

    /** @throws RangeException naming those there are */
    public static Top parse(String id) {
        return Arrays.stream(values())
                .filter(top -> top.id().equals(id))
                .findFirst()
                .orElseThrow(() -> RangeException.outside("wishes.top", id, "stays, falls, rises or half-steps"));
    }

    /** {@code half-steps}. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** How far a step of so many semitones is from what is wished; 0 for one that is. */
    public int away(int semitones) {
        return switch (this) {
            case STAYS -> Math.abs(semitones);
            case FALLS -> semitones < 0 ? 0 : 1 + semitones;
            case RISES -> semitones > 0 ? 0 : 1 - semitones;
            case HALF_STEPS -> Math.abs(Math.abs(semitones) - 1);
        };
    }
}
