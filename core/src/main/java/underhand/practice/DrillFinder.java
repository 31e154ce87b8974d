package underhand.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import underhand.arrange.Arrangement;
import underhand.arrange.PatternChoice;
import underhand.chart.Chart;
import underhand.fill.Fill;
import underhand.solve.PlacedGrip;
import underhand.solve.Solo;
import underhand.solve.TimedChange;

/** The drills of a part: its worst changes, each practised by what is hard about it, its right hand, its tune and its fills. */
final class DrillFinder {

    /** Changes of a part that are worth a drill of their own. */
    private static final int CHANGES = 24;

    /** Bars of a tune that are practised at once. */
    private static final int BARS_OF_TUNE = 2;

    /** What the right hand, a tune and a fill are worth beside a change. */
    private static final double ALONE = 1;

    private DrillFinder() {}

    /** The drills of a part without fills, the hardest first. */
    static List<Drill> of(Arrangement arrangement) {
        return of(arrangement, List.of());
    }

    /** @param fills that are played in the part */
    static List<Drill> of(Arrangement arrangement, List<Fill> fills) {
        Map<List<Object>, PractisedChange> changes = new LinkedHashMap<>();
        for (TimedChange change : arrangement.changes()) {
            PlacedGrip from = arrangement.placements().get(change.from());
            PlacedGrip to = arrangement.placements().get(change.to());
            boolean moves = change.change().neededSeconds() > 0;
            if (moves && from.grip().isPresent() && to.grip().isPresent()) {
                changes.merge(
                        List.of(from.grip().get().grip(), to.grip().get().grip()),
                        new PractisedChange(arrangement, change, from, to, 1),
                        PractisedChange::with);
            }
        }
        List<PractisedChange> hardest = changes.values().stream()
                .sorted(Comparator.comparingDouble(PractisedChange::hardness).reversed())
                .limit(CHANGES)
                .toList();
        List<Drill> drills = new ArrayList<>();
        hardest.forEach(change -> drills.addAll(change.drills()));
        arrangement.rightHand().stream()
                .map(PatternChoice::pattern)
                .filter(p -> p.strokes() > 1 && !p.id().equals("own"))
                .map(p -> pattern(arrangement, p.id(), p.name()))
                .distinct()
                .forEach(drills::add);
        arrangement.solo().ifPresent(solo -> drills.add(tune(arrangement, solo, hardest)));
        fills.stream().map(fill -> fill(arrangement, fill)).forEach(drills::add);
        return drills.stream()
                .collect(Collectors.toMap(Drill::id, Function.identity(), (first, again) -> first, LinkedHashMap::new))
                .values()
                .stream()
                .toList();
    }

    private static Drill pattern(Arrangement arrangement, String id, String name) {
        return alone(
                arrangement,
                DrillId.ofPattern(id),
                name,
                "The right hand goes on whatever the left one does: it has to run by itself.",
                1,
                arrangement.tempo(),
                List.of());
    }

    /** The tune where its chords are hardest to change. */
    private static Drill tune(Arrangement arrangement, Solo solo, List<PractisedChange> hardest) {
        Function<Integer, Integer> barOf =
                place -> arrangement.placements().get(place).slot().bar();
        int bar = hardest.stream()
                .filter(change -> solo.places().contains(change.to().index()))
                .map(change -> change.to().slot().bar())
                .findFirst()
                .orElseGet(() -> solo.places().stream()
                        .map(barOf)
                        .min(Comparator.naturalOrder())
                        .orElse(1));
        List<Drill.Note> notes = solo.notes().stream()
                .filter(Solo.Note::tune)
                .filter(note -> barOf.apply(note.place()) >= bar && barOf.apply(note.place()) < bar + BARS_OF_TUNE)
                .map(note -> new Drill.Note(note.string(), note.fret()))
                .toList();
        return alone(
                arrangement,
                DrillId.ofNotes(DrillKind.TUNE, notes, arrangement.board()),
                "The tune from bar " + bar,
                "The tune has to sing whatever the chords under it ask: here they change hardest.",
                bar,
                Math.min(arrangement.tempo(), solo.fastestTempo()),
                notes);
    }

    private static Drill fill(Arrangement arrangement, Fill fill) {
        List<Drill.Note> notes = fill.notes().stream()
                .map(note -> new Drill.Note(note.string(), note.fret()))
                .toList();
        double share = fill.neededSeconds() > 0 ? fill.availableSeconds() / fill.neededSeconds() : 1;
        int bar = arrangement.placements().get(fill.place()).slot().bar();
        return alone(
                arrangement,
                DrillId.ofNotes(DrillKind.FILL, notes, arrangement.board()),
                fill.name() + " in bar " + bar,
                fill.reason(),
                bar,
                (int) Math.min(Chart.HIGHEST_TEMPO, arrangement.tempo() * Math.max(1, share)),
                notes);
    }

    private static Drill alone(
            Arrangement arrangement, DrillId id, String name, String why, int bar, int holds, List<Drill.Note> notes) {
        return new Drill(
                id.toString(),
                id.kind(),
                name,
                why,
                Optional.empty(),
                bar,
                ALONE,
                arrangement.tempo(),
                holds,
                Set.of(),
                Optional.empty(),
                notes);
    }
}
