package underhand.server.drills;

import underhand.practice.Drill;
import underhand.server.shapes.GripView;

/**
 * A change to be timed.
 *
 * @param drill id to log its times by
 */
record TimedChangeView(String drill, String name, GripView from, GripView to) {

    static TimedChangeView of(Drill drill) {
        Drill.Grips grips = drill.grips().orElseThrow();
        return new TimedChangeView(
                drill.id(),
                drill.name(),
                GripView.of(grips.from().orElseThrow(), grips.fromChord().orElseThrow(), grips.board()),
                GripView.of(grips.to(), grips.toChord(), grips.board()));
    }
}
