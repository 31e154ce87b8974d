package underhand.server.drills;

import java.util.List;
import underhand.practice.Curve;
import underhand.server.shapes.GripView;

/** @param runs it is drawn from */
record CurveView(String name, int runs, List<CurvePointView> points) {

    record CurvePointView(String day, double value) {}

    static CurveView of(Curve curve) {
        return new CurveView(
                curve.name(),
                curve.runs(),
                curve.points().stream()
                        .map(point -> new CurvePointView(point.day().toString(), GripView.round(point.value())))
                        .toList());
    }
}
