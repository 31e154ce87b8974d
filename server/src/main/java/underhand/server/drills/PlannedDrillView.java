package underhand.server.drills;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.stream.IntStream;
import underhand.neck.Fretboard;
import underhand.practice.Drill;
import underhand.practice.DrillPlan;
import underhand.server.arrangements.ArrangementView.ActView;
import underhand.server.shapes.GripView;

/**
 * A drill of today's plan as the API gives it.
 *
 * @param drill its id, to be sent with what was run
 * @param does what to do
 * @param why what is hard, and why it is in the plan
 * @param caution null where none is needed
 * @param from grip that is left; null for the right hand alone
 * @param song number of the song it is from
 * @param tempo beats a minute to run it at; the song's is {@code songTempo}
 * @param capo its fret
 * @param acts what each finger does from one grip to the other; none where nothing changes
 * @param openStrings pitches of the open strings above the capo, MIDI numbers from the lowest; none for the right hand alone
 * @param notes played one after another; none but for a tune or a fill
 * @param best the fastest clean run so far; 0 for none
 */
record PlannedDrillView(
        String drill,
        String kind,
        String name,
        String does,
        String why,
        @Schema(nullable = true) String caution,
        @Schema(nullable = true) GripView from,
        @Schema(nullable = true) GripView to,
        int capo,
        List<ActView> acts,
        List<Integer> openStrings,
        List<DrillNoteView> notes,
        long song,
        int bar,
        int tempo,
        int songTempo,
        int best,
        double minutes,
        boolean isNew) {

    /** @param string index from the lowest */
    record DrillNoteView(int string, int fret) {}

    static PlannedDrillView of(DrillPlan.Planned planned) {
        Drill drill = planned.drill();
        return new PlannedDrillView(
                drill.id(),
                drill.kind().id(),
                drill.name(),
                drill.kind().does(),
                planned.why(),
                drill.caution().orElse(null),
                drill.grips()
                        .flatMap(g -> g.from()
                                .map(from -> GripView.of(from, g.fromChord().orElseThrow(), g.board())))
                        .orElse(null),
                drill.grips()
                        .map(g -> GripView.of(g.to(), g.toChord(), g.board()))
                        .orElse(null),
                drill.grips().map(g -> g.board().capo()).orElse(0),
                drill.grips().stream()
                        .flatMap(g -> g.acts().stream())
                        .map(a -> ActView.of(a.finger(), a.act().label(), a.distanceMm()))
                        .toList(),
                drill.grips().map(g -> openStrings(g.board())).orElse(List.of()),
                drill.notes().stream()
                        .map(n -> new DrillNoteView(n.string(), n.fret()))
                        .toList(),
                planned.song(),
                drill.bar(),
                planned.tempo(),
                drill.tempo(),
                planned.best(),
                planned.minutes(),
                planned.isNew());
    }

    private static List<Integer> openStrings(Fretboard board) {
        return IntStream.range(0, board.strings())
                .mapToObj(string -> board.midi(string, 0))
                .toList();
    }
}
