package underhand.server.engraving;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import underhand.format.engrave.Lettering.Face;

/** A part as rows of staff and tab. Places are points from the left edge of a row and down from its upper edge. */
record EngravingView(List<EngravedRowView> rows) {

    /**
     * Bars beside one another.
     *
     * @param bar the first, counted from 1
     * @param plays all bars that are played from it; those of a repeat too
     * @param heading what stands over it; null where no section begins
     * @param lines each from x, y to x, y, so wide
     * @param blanks places blanked out over the lines: x, y, width, height
     * @param arcs level lines bent downwards in their middle: from x, to x, y, bend
     */
    record EngravedRowView(
            int bar,
            List<Integer> plays,
            @Schema(nullable = true) String heading,
            double height,
            List<double[]> lines,
            List<double[]> blanks,
            List<double[]> arcs,
            List<EngravedSignView> signs,
            List<EngravedTextView> texts) {}

    /**
     * @param sign one character of a music font, as the Standard Music Font Layout numbers them
     * @param size of the font
     */
    record EngravedSignView(String sign, double size, double x, double y) {}

    record EngravedTextView(Face face, double size, double x, double y, String text) {}
}
