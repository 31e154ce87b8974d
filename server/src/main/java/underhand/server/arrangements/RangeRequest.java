package underhand.server.arrangements;

import underhand.server.platform.InputException;
import underhand.settings.VoiceRange;

/** Lowest and highest note of a voice or a tune, such as A3 and D5. */
public record RangeRequest(String lowest, String highest) {

    /** @throws InputException when an end is missing */
    public VoiceRange toRange() {
        if (lowest == null || highest == null) {
            throw InputException.field("range", "A range names its lowest and its highest note, such as A3 and D5.");
        }
        return VoiceRange.parse(lowest, highest);
    }
}
