package underhand.part;

import java.util.List;
import java.util.Optional;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;

/**
 * Notes struck at one time.
 *
 * @param place index of the place in the arrangement
 * @param from beats from the start of the song
 * @param strum direction of a strum; empty for plucked notes
 * @param notes in the order in which they are struck
 * @param fill whether it belongs to a fill
 */
public record Strike(
        int place,
        double from,
        Optional<Direction> strum,
        Weight weight,
        Sound sound,
        List<PlayedNote> notes,
        boolean fill) {

    public Strike {
        notes = List.copyOf(notes);
    }

    Strike withNotes(List<PlayedNote> other) {
        return new Strike(place, from, strum, weight, sound, other, fill);
    }
}
