package underhand.server.players;

import java.util.List;
import underhand.hand.FingerSpreads;
import underhand.server.platform.InputException;

/**
 * How far one pair of fingers reaches apart.
 *
 * @param fingers the pair, lower finger first: {@code 1-2} to {@code 3-4}
 * @param comfortableMm at ease, in mm
 * @param widestMm at most, in mm
 */
public record PairReach(String fingers, double comfortableMm, double widestMm) {

    /** The hand with these pairs measured by themselves. */
    public static FingerSpreads into(FingerSpreads hand, List<PairReach> pairs) {
        FingerSpreads spreads = hand;
        for (PairReach pair : pairs) {
            if (pair.fingers() == null || !pair.fingers().matches("[1-4]-[1-4]")) {
                throw InputException.field(
                        "pairs", "A pair of fingers is written 1-2, was \"" + pair.fingers() + "\".");
            }
            int lower = pair.fingers().charAt(0) - '0';
            int higher = pair.fingers().charAt(2) - '0';
            spreads = spreads.with(lower, higher, pair.comfortableMm(), pair.widestMm());
        }
        return spreads;
    }
}
