package underhand.part;

import java.util.List;
import underhand.arrange.Arrangement;

/**
 * What one guitar plays: a route with its right hand and fills.
 *
 * @param strikes in the order of time
 * @param notices what could not be played as asked, in words
 */
public record Part(Arrangement arrangement, List<PartBar> bars, List<Strike> strikes, List<String> notices) {

    public Part {
        bars = List.copyOf(bars);
        strikes = List.copyOf(strikes);
        notices = List.copyOf(notices);
    }

    /** Beats the part lasts. */
    public double beats() {
        return bars.isEmpty()
                ? 0
                : bars.get(bars.size() - 1).from() + bars.get(bars.size() - 1).beats();
    }
}
