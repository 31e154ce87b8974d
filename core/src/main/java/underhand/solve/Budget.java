package underhand.solve;

import java.util.List;

/**
 * What was left out of a comparison that would have been too long. It depends on the song and what is asked alone, never on
 * time: the same song gets the same part on any machine.
 *
 * @param cut what was not compared, in words
 * @param bound how much less effort the best part could be at most, in the unit of its total
 */
public record Budget(List<String> cut, double bound) {

    public Budget {
        cut = List.copyOf(cut);
    }
}
