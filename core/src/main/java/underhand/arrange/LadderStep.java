package underhand.arrange;

import java.util.List;
import underhand.settings.ReadingChoice;

/**
 * One rung of a song's ladder.
 *
 * @param readings the readings this rung takes, ready to be used as decisions
 * @param effort what the part would ask of a beginner, a bar: the same measure on every rung
 * @param adds one sentence on what is new against the rung below
 */
public record LadderStep(int rung, Arrangement arrangement, List<ReadingChoice> readings, double effort, String adds) {

    public LadderStep {
        readings = List.copyOf(readings);
    }

    LadderStep withAdds(String other) {
        return new LadderStep(rung, arrangement, readings, effort, other);
    }
}
