package underhand.server.arrangements;

import io.swagger.v3.oas.annotations.media.Schema;
import underhand.chart.Chart;
import underhand.server.platform.InputException;

/**
 * A texture for a section or for one chord: one of the two is named.
 *
 * @param section counted from 0 in the chart
 * @param placement counted from 0 in the chart
 * @param texture its id
 */
public record TextureRequest(
        @Schema(nullable = true) Integer section,
        @Schema(nullable = true) Integer placement,
        String texture) {

    /** @throws InputException when neither or both are named, or are none of the chart */
    void check(Chart chart) {
        check();
        int sections = chart.sections().size();
        if (section != null && section >= sections) {
            throw InputException.field(
                    "textures.section", "textures.section must be 0 to " + (sections - 1) + ", was " + section + ".");
        }
        int placements = chart.placements().size();
        if (placement != null && placement >= placements) {
            throw InputException.field(
                    "textures.placement",
                    "textures.placement must be 0 to " + (placements - 1) + ", was " + placement + ".");
        }
    }

    /** @throws InputException when neither or both are named */
    public void check() {
        if ((section == null) == (placement == null) || texture == null) {
            throw InputException.field(
                    "textures", "A texture names its section or its placement, counted from 0, and what it is.");
        }
        if (section != null && section < 0 || placement != null && placement < 0) {
            throw InputException.field("textures", "Sections and placements are counted from 0.");
        }
    }

    /** The same at another placement. */
    public TextureRequest at(int other) {
        return new TextureRequest(section, other, texture);
    }
}
