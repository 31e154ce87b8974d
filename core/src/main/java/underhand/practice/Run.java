package underhand.practice;

import java.time.Instant;
import java.util.Locale;
import java.util.OptionalDouble;
import underhand.input.RangeException;

/**
 * A drill that was run, as the player says.
 *
 * @param drill id of the drill
 * @param tempo beats a minute it was run at; 0 where it has none
 * @param seconds measured for one change; empty where nothing was measured
 */
public record Run(String drill, Result result, int tempo, OptionalDouble seconds, Instant at) {

    private static final int HIGHEST_TEMPO = 400;
    private static final double LONGEST = 60;

    /** How it went. */
    public enum Result {
        CLEAN(5),
        ROUGH(3),
        MISSED(1),
        /** The hand said stop: nothing is learnt from it, and the drill is out for the day. */
        DISCOMFORT(0);

        /** Quality of recall as SM-2 counts it, 0 to 5. */
        private final int quality;

        Result(int quality) {
            this.quality = quality;
        }

        int quality() {
            return quality;
        }

        public static Result parse(String id) {
            for (Result result : values()) {
                if (result.id().equals(id)) {
                    return result;
                }
            }
            throw RangeException.outside("result", id, "clean, rough, missed or discomfort");
        }

        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @throws RangeException naming what cannot be */
    public Run {
        DrillId.parse(drill);
        RangeException.check("tempo", tempo, 0, HIGHEST_TEMPO);
        if (seconds.isPresent() && !(seconds.getAsDouble() > 0 && seconds.getAsDouble() <= LONGEST)) {
            throw new RangeException("seconds", "seconds must be above 0 and at most 60, was " + seconds.getAsDouble());
        }
    }
}
