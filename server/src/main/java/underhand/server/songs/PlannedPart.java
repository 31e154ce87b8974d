package underhand.server.songs;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Objects;
import underhand.server.arrangements.ArrangementView;
import underhand.server.parts.PartView;
import underhand.server.shapes.GripView;

/**
 * A part as it was planned when its version was kept: capo, grips, fingers and strokes, for another planner would plan another
 * one. Lies in the book and in backups, so it changes only with {@link #SCHEMA}.
 *
 * @param schema form of what is written
 * @param key it sounds in
 * @param barres grips with a barre
 * @param hardest the change that is hardest; null where there is none
 */
record PlannedPart(
        int schema,
        String key,
        int capo,
        int rung,
        int tempo,
        int fastestTempo,
        double total,
        int barres,
        @Schema(nullable = true) Hardest hardest,
        List<Place> places,
        List<Stroke> strokes) {

    /** The form that is written today. */
    static final int SCHEMA = 1;

    /** @param from name of the shape that is left */
    record Hardest(String from, String to, double neededSeconds) {}

    /**
     * @param played name of the shape above the capo; null where nothing is played, as its grip is
     */
    record Place(
            int bar,
            String section,
            @Schema(nullable = true) String played,
            @Schema(nullable = true) Held grip) {}

    /** A grip; arrays run from the lowest string. */
    record Held(
            String shape,

            @JsonSetter(contentNulls = Nulls.SET) @ArraySchema(schema = @Schema(nullable = true, type = "integer"))
            List<Integer> frets,

            @JsonSetter(contentNulls = Nulls.SET) @ArraySchema(schema = @Schema(nullable = true, type = "string"))
            List<String> fingers,

            GripView.FrameView frame,
            List<GripView.BarreView> barres) {}

    /**
     * @param beat when, in beats from the start of the song
     * @param strum down or up; null for plucked notes
     * @param notes string from the lowest as 0, fret and the finger that plucks: {@code 1:3:p}
     */
    record Stroke(double beat, @Schema(nullable = true) String strum, List<String> notes) {}

    static PlannedPart of(ArrangementView arrangement, PartView part) {
        ArrangementView.CandidateView chosen = arrangement.capo().candidates().stream()
                .filter(c -> c.capo() == arrangement.capo().chosen())
                .findFirst()
                .orElseThrow();
        return new PlannedPart(
                SCHEMA,
                arrangement.key(),
                arrangement.capo().chosen(),
                arrangement.rung(),
                arrangement.tempo(),
                arrangement.fastestTempo(),
                arrangement.total(),
                chosen.barres(),
                chosen.worstChange() == null
                        ? null
                        : new Hardest(
                                played(arrangement, chosen.worstChange().from()),
                                played(arrangement, chosen.worstChange().to()),
                                chosen.worstChange().neededSeconds()),
                arrangement.placements().stream()
                        .map(p -> new Place(p.bar(), p.section(), p.played(), held(p.grip())))
                        .toList(),
                part.bars().stream()
                        .flatMap(bar -> bar.events().stream())
                        .filter(event -> !event.notes().isEmpty())
                        .map(event -> new Stroke(
                                event.beat(),
                                event.strum(),
                                event.notes().stream()
                                        .map(n -> n.string() + ":" + n.fret()
                                                + (n.right() == null ? "" : ":" + n.right()))
                                        .toList()))
                        .toList());
    }

    private static String played(ArrangementView arrangement, int place) {
        return Objects.requireNonNullElse(arrangement.placements().get(place).played(), "");
    }

    private static Held held(GripView grip) {
        return grip == null ? null : new Held(grip.shape(), grip.frets(), grip.fingers(), grip.frame(), grip.barres());
    }
}
