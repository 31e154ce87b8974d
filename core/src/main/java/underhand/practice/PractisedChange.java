package underhand.practice;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import underhand.arrange.Arrangement;
import underhand.hand.EffortTerm;
import underhand.hand.Grip;
import underhand.move.FingerAct;
import underhand.move.FingerAct.Act;
import underhand.neck.Shape;
import underhand.practice.Drill.Strain;
import underhand.repertoire.RatedGrip;
import underhand.solve.PlacedGrip;
import underhand.solve.TimedChange;

/**
 * A change of grip as a part has it, and the drills that fit what is hard about it.
 *
 * @param worst where it has the least time to spare
 * @param from grip left there
 * @param to grip reached there
 * @param times how often the part has it
 */
record PractisedChange(Arrangement arrangement, TimedChange worst, PlacedGrip from, PlacedGrip to, int times) {

    private static final double LATE_SECOND = 8;
    private static final double EFFORT = 0.4;
    private static final double OFTEN = 0.5;

    /** From so many fingers on a grip is learnt by halves. */
    private static final int MANY_FINGERS = 3;

    /** A spread that costs more than pressing one finger more is a wide one. */
    private static final double WIDE = 1;

    /** Frets up the neck where a wide grip is practised first; it is wide down there because the frets are. */
    private static final int UP_THE_NECK = 4;

    private static final String CARE =
            " Short runs with rests. Stop at pain, tingling or numbness and see a health professional or your teacher.";

    double hardness() {
        double late = Math.max(0, -worst.slackSeconds());
        return LATE_SECOND * late + EFFORT * worst.effort() + OFTEN * Math.log(times);
    }

    /** The same change met again. */
    PractisedChange with(PractisedChange again) {
        PractisedChange worse = worst.slackSeconds() <= again.worst.slackSeconds() ? this : again;
        return new PractisedChange(arrangement, worse.worst, worse.from, worse.to, times + again.times);
    }

    List<Drill> drills() {
        List<Drill> drills = new ArrayList<>();
        Grip reached = reached().grip();
        int landing = landing();
        if (!reached.barres().isEmpty() && landing > 0) {
            drills.add(drill(DrillKind.BARRE, "the barre comes down with " + words(landing) + " at once"));
        }
        Optional<FingerAct> anchor = first(Act.STAYS);
        Optional<FingerAct> guide = first(Act.SLIDES);
        if (anchor.isPresent()) {
            drills.add(drill(DrillKind.ANCHOR, "finger " + anchor.get().finger() + " stays where it is"));
        } else if (guide.isPresent()) {
            drills.add(drill(DrillKind.GUIDE, "finger " + guide.get().finger() + " stays on its string"));
        } else if (landing > 0) {
            drills.add(drill(DrillKind.TOGETHER, "no finger rests: " + words(landing) + " land together"));
        }
        if (isWide(reached())) {
            drills.add(drill(DrillKind.PRESS, "the hand opens wide for " + name(to)));
        }
        if (landing >= MANY_FINGERS) {
            drills.add(drill(DrillKind.HALF, landing + " fingers are set down at once"));
        }
        if (isHeavy() && isMovable(left()) && isMovable(reached())) {
            drills.add(drill(DrillKind.MOVED, "it is heaviest down here, where the frets are widest"));
        }
        if (isMovable(reached())
                && reached.shape().atFirstFret().equals(left().grip().shape().atFirstFret())) {
            drills.add(slid());
        }
        drills.add(drill(DrillKind.LOOP, "it has to be in time"));
        drills.add(drill(DrillKind.INBAR, "it comes in bar " + to.slot().bar() + " with no time to think of it"));
        return drills;
    }

    private RatedGrip left() {
        return from.grip().orElseThrow();
    }

    private RatedGrip reached() {
        return to.grip().orElseThrow();
    }

    private Optional<FingerAct> first(Act act) {
        return worst.change().acts().stream().filter(a -> a.act() == act).findFirst();
    }

    private int landing() {
        return (int) worst.change().acts().stream()
                .filter(a -> a.act() == Act.LANDS || a.act() == Act.TRAVELS)
                .count();
    }

    private static String words(int landing) {
        return landing == 1 ? "one finger" : landing + " fingers";
    }

    private static boolean isWide(RatedGrip grip) {
        return grip.effort().of(EffortTerm.SPREAD) > WIDE;
    }

    private boolean isWide() {
        return isWide(left()) || isWide(reached());
    }

    private boolean hasBarres() {
        return !left().grip().barres().isEmpty() || !reached().grip().barres().isEmpty();
    }

    private boolean isHeavy() {
        return hasBarres() || isWide();
    }

    /** Whether a grip can be taken some frets up the neck as it is. */
    private boolean isMovable(RatedGrip grip) {
        Optional<Shape> moved = grip.grip().shape().moved(UP_THE_NECK);
        return moved.isPresent()
                && moved.get().highestFret() <= arrangement.board().frets();
    }

    private Set<Strain> strains() {
        Set<Strain> strains = EnumSet.noneOf(Strain.class);
        if (hasBarres()) {
            strains.add(Strain.BARRE);
        }
        if (isWide()) {
            strains.add(Strain.STRETCH);
        }
        return strains;
    }

    private Optional<String> caution() {
        return isWide()
                ? Optional.of("This stretches the hand wide." + CARE)
                : hasBarres() ? Optional.of("Barres tire the hand." + CARE) : Optional.empty();
    }

    private String why(String hard) {
        double slack = worst.slackSeconds();
        String time = slack < 0
                ? String.format(Locale.ROOT, "it needs %.2f s more than the song gives", -slack)
                : String.format(Locale.ROOT, "it has %.2f s to spare", slack);
        String often = times == 1 ? "once" : times + " times";
        return hard + "; it comes " + often + ", and " + time + ".";
    }

    private Drill drill(DrillKind kind, String hard) {
        return drill(
                DrillId.of(kind, left().grip(), reached().grip(), arrangement.board()),
                name(from) + " to " + name(to),
                why(hard),
                new Drill.Grips(
                        Optional.of(left()),
                        Optional.of(from.segment().sounding()),
                        reached(),
                        to.segment().sounding(),
                        arrangement.board(),
                        worst.change().acts()));
    }

    private Drill slid() {
        return drill(
                DrillId.of(DrillKind.SLID, reached().grip(), arrangement.board()),
                name(to),
                why("the hand keeps its shape from " + name(from) + " to " + name(to)),
                new Drill.Grips(
                        Optional.empty(),
                        Optional.empty(),
                        reached(),
                        to.segment().sounding(),
                        arrangement.board(),
                        List.of()));
    }

    private Drill drill(DrillId id, String name, String why, Drill.Grips grips) {
        return new Drill(
                id.toString(),
                id.kind(),
                name,
                why,
                caution(),
                to.slot().bar(),
                hardness(),
                arrangement.tempo(),
                worst.fastestTempo(arrangement.tempo()),
                strains(),
                Optional.of(grips),
                List.of());
    }

    private static String name(PlacedGrip placed) {
        return placed.played().orElseThrow().glyphs();
    }
}
