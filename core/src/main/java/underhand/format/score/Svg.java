package underhand.format.score;

/** What the drawings have in common. */
final class Svg {

    static final String INK = "#1F2A2E";
    static final String CHOSEN = "#0F5C5C";
    static final String MOVES = "#A5631A";

    private Svg() {}

    /** Opens a drawing on a ground of its own, in pixels. */
    static XmlText open(int width, int height, String title) {
        XmlText svg = new XmlText();
        svg.open(
                "svg",
                "xmlns",
                "http://www.w3.org/2000/svg",
                "width",
                width,
                "height",
                height,
                "viewBox",
                "0 0 " + width + " " + height,
                "font-family",
                "sans-serif",
                "fill",
                INK,
                "role",
                "img");
        svg.element("title", title);
        svg.empty("rect", "width", width, "height", height, "fill", "#fff");
        return svg;
    }

    static void line(XmlText svg, double x1, double y1, double x2, double y2, double wide) {
        svg.empty("line", "x1", x1, "y1", y1, "x2", x2, "y2", y2, "stroke", INK, "stroke-width", wide);
    }
}
