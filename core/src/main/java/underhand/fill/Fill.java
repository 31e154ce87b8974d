package underhand.fill;

import java.util.List;

/**
 * A fill at the end of a chord.
 *
 * @param id rule and variant, {@code bass-walk:scale}
 * @param name in the words of players
 * @param place index of the place in the part
 * @param from beats after the place's start at which it begins; until the place's end it takes the pattern's stead
 * @param reason one sentence from the actual chords
 * @param effort of the ways the hand goes, in the unit of the change model
 * @param neededSeconds for the tightest of its moves
 * @param availableSeconds for that move
 * @param slidesOn whether its last notes slide into those of the next place on their strings
 */
public record Fill(
        String id,
        String name,
        int place,
        double from,
        List<FillNote> notes,
        String reason,
        double effort,
        double neededSeconds,
        double availableSeconds,
        boolean slidesOn) {

    public Fill {
        notes = List.copyOf(notes);
    }

    public boolean isInTime() {
        return neededSeconds <= availableSeconds + 1e-9;
    }
}
