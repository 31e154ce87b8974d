package underhand.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import underhand.arrange.Arrangement;
import underhand.arrange.PatternChoice;
import underhand.hand.EffortTerm;
import underhand.hand.Grip;
import underhand.move.FingerAct;
import underhand.move.FingerAct.Act;
import underhand.repertoire.RatedGrip;
import underhand.solve.PlacedGrip;
import underhand.solve.TimedChange;

/** The drills of a part: its worst changes, each practised by what is hard about it, and its right hand. */
final class DrillFinder {

    /** Changes of a part that are worth a drill of their own. */
    private static final int CHANGES = 6;

    private static final double LATE_SECOND = 8;
    private static final double EFFORT = 0.4;
    private static final double OFTEN = 0.5;

    /** From so many fingers on a grip is learnt by halves. */
    private static final int MANY_FINGERS = 3;

    /** A spread that costs more than pressing one finger more is a wide one. */
    private static final double WIDE = 1;

    private static final String CARE =
            " Short runs with rests. Stop at pain, tingling or numbness and see a health professional or your teacher.";

    private DrillFinder() {}

    /** One change of grip, with how often a part has it. */
    private record Known(TimedChange worst, PlacedGrip from, PlacedGrip to, int times) {

        double hardness() {
            double late = Math.max(0, -worst.slackSeconds());
            return LATE_SECOND * late + EFFORT * worst.effort() + OFTEN * Math.log(times);
        }
    }

    /** The drills of a part, the hardest first. */
    static List<Drill> of(Arrangement arrangement) {
        Map<List<Object>, Known> changes = new LinkedHashMap<>();
        for (TimedChange change : arrangement.changes()) {
            PlacedGrip from = arrangement.placements().get(change.from());
            PlacedGrip to = arrangement.placements().get(change.to());
            boolean moves = change.change().neededSeconds() > 0;
            if (moves && from.grip().isPresent() && to.grip().isPresent()) {
                changes.merge(
                        List.of(from.grip().get().grip(), to.grip().get().grip()),
                        new Known(change, from, to, 1),
                        DrillFinder::worse);
            }
        }
        List<Drill> drills = new ArrayList<>();
        changes.values().stream()
                .sorted(Comparator.comparingDouble(Known::hardness).reversed())
                .limit(CHANGES)
                .forEach(known -> add(arrangement, known, drills));
        arrangement.rightHand().stream()
                .map(PatternChoice::pattern)
                .filter(p -> p.strokes() > 1 && !p.id().equals("own"))
                .map(p -> pattern(arrangement, p.id(), p.name()))
                .distinct()
                .forEach(drills::add);
        return drills;
    }

    private static Known worse(Known a, Known b) {
        Known worst = a.worst().slackSeconds() <= b.worst().slackSeconds() ? a : b;
        return new Known(worst.worst(), worst.from(), worst.to(), a.times() + b.times());
    }

    private static Drill pattern(Arrangement arrangement, String id, String name) {
        return new Drill(
                DrillId.ofPattern(id).toString(),
                DrillKind.PATTERN,
                name,
                "The right hand goes on whatever the left one does: it has to run by itself.",
                Optional.empty(),
                1,
                1,
                arrangement.tempo(),
                arrangement.tempo(),
                false,
                Optional.empty());
    }

    private static void add(Arrangement arrangement, Known known, List<Drill> drills) {
        List<FingerAct> acts = known.worst().change().acts();
        Grip reached = grip(known.to()).grip();
        boolean barre = !reached.barres().isEmpty()
                && acts.stream().anyMatch(a -> a.act() == Act.LANDS || a.act() == Act.TRAVELS);
        if (barre) {
            drills.add(drill(
                    arrangement, known, DrillKind.BARRE, "the barre comes down with " + landing(acts) + " at once"));
        }
        Optional<FingerAct> anchor =
                acts.stream().filter(a -> a.act() == Act.STAYS).findFirst();
        Optional<FingerAct> guide =
                acts.stream().filter(a -> a.act() == Act.SLIDES).findFirst();
        if (anchor.isPresent()) {
            drills.add(drill(
                    arrangement,
                    known,
                    DrillKind.ANCHOR,
                    "finger " + anchor.get().finger() + " stays where it is"));
        } else if (guide.isPresent()) {
            drills.add(drill(
                    arrangement, known, DrillKind.GUIDE, "finger " + guide.get().finger() + " stays on its string"));
        } else {
            drills.add(drill(
                    arrangement, known, DrillKind.TOGETHER, "no finger rests: " + landing(acts) + " land together"));
        }
        long landing = acts.stream()
                .filter(a -> a.act() == Act.LANDS || a.act() == Act.TRAVELS)
                .count();
        if (landing >= MANY_FINGERS) {
            drills.add(drill(arrangement, known, DrillKind.HALF, landing + " fingers are set down at once"));
        }
        drills.add(drill(arrangement, known, DrillKind.LOOP, "it has to be in time"));
    }

    private static String landing(List<FingerAct> acts) {
        long landing = acts.stream()
                .filter(a -> a.act() == Act.LANDS || a.act() == Act.TRAVELS)
                .count();
        return landing == 1 ? "one finger" : landing + " fingers";
    }

    private static Drill drill(Arrangement arrangement, Known known, DrillKind kind, String hard) {
        RatedGrip left = grip(known.from());
        RatedGrip reached = grip(known.to());
        double slack = known.worst().slackSeconds();
        String time = slack < 0
                ? String.format(Locale.ROOT, "it needs %.2f s more than the song gives", -slack)
                : String.format(Locale.ROOT, "it has %.2f s to spare", slack);
        String times = known.times() == 1 ? "once" : known.times() + " times";
        boolean barres =
                !left.grip().barres().isEmpty() || !reached.grip().barres().isEmpty();
        boolean wide =
                Math.max(left.effort().of(EffortTerm.SPREAD), reached.effort().of(EffortTerm.SPREAD)) > WIDE;
        Optional<String> caution = wide
                ? Optional.of("This stretches the hand wide." + CARE)
                : barres ? Optional.of("Barres tire the hand." + CARE) : Optional.empty();
        return new Drill(
                DrillId.of(kind, left.grip(), reached.grip(), arrangement.board())
                        .toString(),
                kind,
                name(known.from()) + " to " + name(known.to()),
                hard + "; it comes " + times + ", and " + time + ".",
                caution,
                known.to().slot().bar(),
                known.hardness(),
                arrangement.tempo(),
                known.worst().fastestTempo(arrangement.tempo()),
                barres,
                Optional.of(new Drill.Grips(
                        left,
                        known.from().segment().sounding(),
                        reached,
                        known.to().segment().sounding(),
                        arrangement.board())));
    }

    private static RatedGrip grip(PlacedGrip placed) {
        return placed.grip().orElseThrow();
    }

    private static String name(PlacedGrip placed) {
        return placed.played().orElseThrow().glyphs();
    }
}
