package underhand.format.score;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import underhand.arrange.Arrangement;
import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.move.FingerAct;
import underhand.neck.Fretboard;
import underhand.solve.PlacedGrip;
import underhand.solve.TimedChange;

/**
 * Draws the hand road: the song from left to right, the neck from the capo upwards to true scale, every finger a thread to
 * the next grip. A thick line stays, a double one slides, dashes travel.
 */
final class RoadSvg {

    private static final int COLUMN = 96;
    private static final int LEFT = 44;
    private static final int TOP = 34;
    private static final int HEIGHT = 320;
    private static final double STRING = 9;
    private static final int FEWEST_FRETS = 4;

    private final Arrangement arrangement;
    private final Fretboard board;
    private final Handedness handedness;
    private final int highest;

    private RoadSvg(Arrangement arrangement, Handedness handedness) {
        this.handedness = handedness;
        this.arrangement = arrangement;
        this.board = arrangement.board();
        this.highest = arrangement.placements().stream()
                .flatMap(p -> p.grip().stream())
                .mapToInt(g -> g.grip().shape().highestFret())
                .reduce(FEWEST_FRETS, Math::max);
    }

    public static String write(String title, Arrangement arrangement, Handedness handedness) {
        return new RoadSvg(arrangement, handedness).write(title);
    }

    private String write(String title) {
        List<PlacedGrip> places = arrangement.placements();
        int width = LEFT + COLUMN * Math.max(1, places.size()) + 10;
        XmlText svg = Svg.open(width, TOP + HEIGHT + 30, title);
        for (int fret = 0; fret <= highest; fret++) {
            Svg.line(svg, LEFT, y(fret), width - 10.0, y(fret), fret == 0 ? 3 : 0.4);
            String label = fret > 0 ? Integer.toString(fret) : arrangement.capo() > 0 ? "capo" : "nut";
            svg.element("text", label, "x", LEFT - 8, "y", y(fret) + 4, "text-anchor", "end", "font-size", 10);
        }
        Map<Integer, Integer> columns = new HashMap<>();
        places.forEach(p -> columns.put(p.index(), LEFT + 30 + COLUMN * columns.size()));
        for (TimedChange change : arrangement.changes()) {
            threads(svg, change, columns);
        }
        for (PlacedGrip place : places) {
            grip(svg, place, columns.get(place.index()));
        }
        return svg.close().toString();
    }

    /** Height of a fret: its distance from the capo on the real neck. */
    private double y(int fret) {
        return y(board.fretMm(fret));
    }

    private double y(double fromNutMm) {
        double share = (fromNutMm - board.fretMm(0)) / (board.fretMm(highest) - board.fretMm(0));
        return round(TOP + HEIGHT - share * (HEIGHT - 20));
    }

    private double x(int column, Hold hold) {
        return round((x(column, hold.lowString()) + x(column, hold.highString())) / 2);
    }

    private double x(int column, int string) {
        return column + STRING * handedness.column(string, board.strings());
    }

    private void threads(XmlText svg, TimedChange change, Map<Integer, Integer> columns) {
        Grip left =
                arrangement.placements().get(change.from()).grip().orElseThrow().grip();
        Grip reached =
                arrangement.placements().get(change.to()).grip().orElseThrow().grip();
        for (FingerAct act : change.change().acts()) {
            if (!left.uses(act.finger()) || !reached.uses(act.finger())) {
                continue;
            }
            Hold from = left.held(act.finger());
            Hold to = reached.held(act.finger());
            boolean stays = act.act() == FingerAct.Act.STAYS;
            boolean slides = act.act() == FingerAct.Act.SLIDES;
            svg.empty(
                    "line",
                    "x1",
                    x(columns.get(change.from()), from),
                    "y1",
                    middle(from.fret()),
                    "x2",
                    x(columns.get(change.to()), to),
                    "y2",
                    middle(to.fret()),
                    "stroke",
                    stays ? Svg.CHOSEN : Svg.MOVES,
                    "stroke-width",
                    stays ? 4 : slides ? 3 : 1,
                    "stroke-dasharray",
                    stays || slides ? "none" : "4 3");
        }
    }

    /** Where a fingertip presses. */
    private double middle(int fret) {
        return round(y(board.pressMm(fret)));
    }

    private void grip(XmlText svg, PlacedGrip place, int column) {
        svg.element(
                "text",
                place.played().map(c -> c.glyphs()).orElse("N.C."),
                "x",
                column + STRING * (board.strings() - 1) / 2,
                "y",
                18,
                "text-anchor",
                "middle",
                "font-size",
                14,
                "font-weight",
                700);
        for (int string = 0; string < board.strings(); string++) {
            double x = column + STRING * string;
            Svg.line(svg, x, TOP + 10, x, TOP + HEIGHT, 0.5);
        }
        place.grip().ifPresent(rated -> {
            Grip grip = rated.grip();
            for (int string = 0; string < board.strings(); string++) {
                String sign = grip.shape().isSilent(string) ? "×" : grip.shape().isFretted(string) ? "" : "○";
                if (!sign.isEmpty()) {
                    svg.element(
                            "text",
                            sign,
                            "x",
                            x(column, string),
                            "y",
                            TOP + HEIGHT + 14,
                            "text-anchor",
                            "middle",
                            "font-size",
                            10);
                }
            }
            for (Hold hold : grip.holds()) {
                if (hold.isBarre()) {
                    svg.empty(
                            "line",
                            "x1",
                            x(column, hold.lowString()),
                            "y1",
                            middle(hold.fret()),
                            "x2",
                            x(column, hold.highString()),
                            "y2",
                            middle(hold.fret()),
                            "stroke",
                            Svg.CHOSEN,
                            "stroke-width",
                            12,
                            "stroke-linecap",
                            "round");
                } else {
                    svg.empty("circle", "cx", x(column, hold), "cy", middle(hold.fret()), "r", 6, "fill", Svg.CHOSEN);
                }
                svg.element(
                        "text",
                        hold.label(),
                        "x",
                        x(column, hold),
                        "y",
                        middle(hold.fret()) + 3,
                        "text-anchor",
                        "middle",
                        "font-size",
                        9,
                        "fill",
                        "#fff");
            }
        });
    }

    private static double round(double value) {
        return Double.parseDouble(String.format(Locale.ROOT, "%.1f", value));
    }
}
