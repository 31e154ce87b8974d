package underhand.part;

import java.util.List;
import underhand.arrange.Arrangement;
import underhand.fill.Fill;

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

    /**
     * The part of an arrangement.
     *
     * @param fills at most one a place; the last of several is played
     */
    public static Part of(Arrangement arrangement, List<Fill> fills) {
        return PartWriter.write(arrangement, fills);
    }

    /** Its notes as they sound, in the order of time. */
    public List<HeardNote> heard() {
        return Heard.of(this);
    }

    /** Beats the part lasts. */
    public double beats() {
        return bars.isEmpty()
                ? 0
                : bars.get(bars.size() - 1).from() + bars.get(bars.size() - 1).beats();
    }
}
