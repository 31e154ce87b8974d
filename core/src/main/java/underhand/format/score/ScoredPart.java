package underhand.format.score;

import java.util.Objects;
import underhand.neck.Tuning;
import underhand.part.Part;
import underhand.pitch.Key;

/**
 * A part with what a page or a player has to know of its guitar.
 *
 * @param name as printed, such as Guitar or Second guitar
 * @param nylon whether it sounds on nylon strings
 * @param handedness which way round its grips are drawn
 */
public record ScoredPart(String name, Part part, Tuning tuning, boolean nylon, Handedness handedness) {

    public ScoredPart {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(tuning, "tuning");
        Objects.requireNonNull(handedness, "handedness");
    }

    public int capo() {
        return part.arrangement().capo();
    }

    public Key key() {
        return part.arrangement().key();
    }
}
