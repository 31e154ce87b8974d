package underhand.server.arrangements;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import underhand.server.platform.InputException;
import underhand.settings.SoloAsk;

/**
 * How the tune is played on top of its chords.
 *
 * @param under what stands under it: {@code "chords"}, {@code "drones"} for open strings of the key that go on, {@code "nothing"} for
 *     the tune alone; chords when missing
 * @param octave {@code "auto"} or octaves above where the chart has it, -1 to 1; auto when missing
 * @param strings strings that some of its notes are to be played on
 */
public record SoloRequest(
        @Schema(example = "chords", nullable = true) String under,

        @Schema(type = "string", example = "auto", nullable = true)
        JsonNode octave,

        @Schema(nullable = true) List<TuneStringRequest> strings) {

    static final SoloRequest OPEN = new SoloRequest(null, null, List.of());

    /**
     * @param bar of the song, from 1
     * @param beat the note begins on, from 1
     * @param string from the highest as 1
     */
    public record TuneStringRequest(Integer bar, Double beat, Integer string) {

        private SoloAsk.TuneString toTuneString(int index) {
            if (bar == null || beat == null || string == null) {
                throw InputException.field(
                        "solo.strings[" + index + "]", "solo.strings[" + index + "] needs bar, beat and string.");
            }
            return new SoloAsk.TuneString(bar, beat, string);
        }
    }

    SoloRequest in(JsonNode other) {
        return other == null || other.isNull() ? this : new SoloRequest(under, other, strings);
    }

    /** @throws RuntimeException naming what cannot be */
    public SoloAsk toAsk() {
        List<TuneStringRequest> said = strings == null ? List.of() : strings;
        return new SoloAsk(
                under == null ? SoloAsk.Under.CHORDS : SoloAsk.Under.parse(under),
                readOctave(),
                IntStream.range(0, said.size())
                        .mapToObj(i -> said.get(i).toTuneString(i))
                        .toList());
    }

    private OptionalInt readOctave() {
        if (octave == null
                || octave.isNull()
                || octave.isTextual() && octave.asText().equals("auto")) {
            return OptionalInt.empty();
        }
        boolean isNumber =
                octave.isInt() || octave.isTextual() && octave.asText().matches("-?[0-9]{1,3}");
        if (!isNumber) {
            throw InputException.field("octave", "octave must be \"auto\", -1, 0 or 1, was " + octave + ".");
        }
        return OptionalInt.of(Integer.parseInt(octave.asText()));
    }
}
