package underhand.fill;

import java.util.List;
import java.util.function.Function;

/**
 * A kind of fill.
 *
 * @param id as in {@code bass-walk}
 * @param name in the words of players
 * @param lowestRung first rung it suits
 * @param proposal the fills it sees in a gap, or why it sees none
 */
record FillRule(String id, String name, int lowestRung, Function<Gap, Proposal> proposal) {

    /**
     * What a rule says to a gap.
     *
     * @param why there is nothing, in words; blank where there is something
     */
    record Proposal(List<Sketch> sketches, String why) {

        Proposal {
            sketches = List.copyOf(sketches);
        }

        static Proposal of(List<Sketch> sketches, String whyNone) {
            return new Proposal(sketches, sketches.isEmpty() ? whyNone : "");
        }

        static Proposal of(Sketch sketch) {
            return new Proposal(List.of(sketch), "");
        }

        static Proposal none(String why) {
            return new Proposal(List.of(), why);
        }
    }
}
