package underhand.server.arrangements;

import java.util.List;

/**
 * One rung of a song's ladder.
 *
 * @param adds one sentence on what is new against the rung below
 * @param effort what the part would ask of a beginner, a bar: the same measure on every rung
 * @param readings the readings it takes, as decisions
 */
record RungStepView(
        int rung,
        String name,
        String adds,
        double effort,
        List<ReadingChoiceRequest> readings,
        ArrangementView arrangement) {}
