package underhand.format.score;

import underhand.hand.FretWindow;
import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.neck.Shape;

/** Draws a grip as a chord frame: strings upright, the lowest at the left, fingers in their dots. */
final class GripSvg {

    private static final int STRING = 18;
    private static final int FRET = 22;
    private static final int LEFT = 26;
    private static final int TOP = 44;

    private GripSvg() {}

    /** @param name the chord as it is called above the capo */
    public static String write(String name, Grip grip, Handedness handedness) {
        Shape shape = grip.shape();
        FretWindow window = FretWindow.of(grip);
        int first = window.first();
        int frets = window.frets();
        int width = LEFT * 2 + STRING * (shape.strings() - 1);
        int height = TOP + FRET * frets + 14;
        XmlText svg = Svg.open(width, height, name + " " + grip);
        svg.element(
                "text", name, "x", width / 2, "y", 16, "text-anchor", "middle", "font-size", 16, "font-weight", 700);
        int right = LEFT + STRING * (shape.strings() - 1);
        for (int fret = 0; fret <= frets; fret++) {
            int y = TOP + FRET * fret;
            Svg.line(svg, LEFT, y, right, y, fret == 0 && window.atNut() ? 4 : 1);
        }
        if (!window.atNut()) {
            svg.element("text", first, "x", LEFT - 10, "y", TOP + FRET / 2 + 4, "text-anchor", "end", "font-size", 11);
        }
        for (int string = 0; string < shape.strings(); string++) {
            int x = LEFT + STRING * handedness.column(string, shape.strings());
            Svg.line(svg, x, TOP, x, TOP + FRET * frets, 1);
            if (!shape.isFretted(string)) {
                String sign = shape.isSilent(string) ? "×" : "○";
                svg.element("text", sign, "x", x, "y", TOP - 7, "text-anchor", "middle", "font-size", 13);
            }
        }
        for (Hold hold : grip.holds()) {
            int y = TOP + FRET * (hold.fret() - first) + FRET / 2;
            int low = LEFT + STRING * handedness.column(hold.lowString(), shape.strings());
            int high = LEFT + STRING * handedness.column(hold.highString(), shape.strings());
            if (hold.isBarre()) {
                svg.empty(
                        "line",
                        "x1",
                        low,
                        "y1",
                        y,
                        "x2",
                        high,
                        "y2",
                        y,
                        "stroke",
                        Svg.CHOSEN,
                        "stroke-width",
                        15,
                        "stroke-linecap",
                        "round");
            } else {
                svg.empty("circle", "cx", low, "cy", y, "r", 8, "fill", Svg.CHOSEN);
            }
            svg.element(
                    "text",
                    hold.label(),
                    "x",
                    low,
                    "y",
                    y + 4,
                    "text-anchor",
                    "middle",
                    "font-size",
                    11,
                    "fill",
                    "#fff");
        }
        return svg.close().toString();
    }
}
