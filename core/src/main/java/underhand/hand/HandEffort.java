package underhand.hand;

import java.util.Arrays;
import java.util.List;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/** What a grip costs the hand, by named terms; impossible grips have an infinite spread. */
public final class HandEffort {

    /** Fret above the nut at which a barre is no longer made harder by the nut. */
    private static final double NUT_FELT_TO_FRET = 5;

    /** Last fret above the nut that is still in easy sight. */
    private static final double SEEN_TO_FRET = 5;

    /** From this many fingertips on in one fret they may crowd. */
    private static final int CROWD = 3;

    private final Fretboard board;
    private final FingerSpreads spreads;
    private final double[] finger = new double[Grip.THUMB + 1];
    private final double[] barreBase = new double[Grip.THUMB + 1];
    /** The least so many fingers cost; each is set down once. */
    private final double[] cheapestFingers = new double[Grip.THUMB + 1];

    /** The least that barres cost, {@code [fret][strings]}: in the lowest fret of a shape, and in others; set down once. */
    private final double[][] lowestBarre;

    private final double[][] otherBarre;

    /** The least that stopping strings costs, {@code [fret][strings]}: in the lowest fret of a shape, and in others. */
    private final double[][] stoppingLowest;

    private final double[][] stoppingOther;

    /** The most that stopping one string with the thumb saves. */
    private final double thumbSaves;

    private final boolean thumb;
    private final double barreString;
    private final double barreOtherString;
    private final double barreClear;
    private final double barreNearNut;
    private final double otherBarreBase;
    private final double spread;
    private final double stretched;
    private final double drawnIn;
    private final double ringHigh;
    private final double littleLow;
    private final double home;
    private final double crowding;
    private final double tipMm;
    private final double damping;
    private final double hollow;
    private final double turned;
    private final double beside;
    private final double skip;
    private final double sight;

    public HandEffort(Fretboard board, Player player, Parameters parameters) {
        this.board = board;
        this.spreads = player.spreads();
        for (int f = 1; f < Grip.THUMB; f++) {
            finger[f] = parameters.get("finger." + f);
            barreBase[f] = parameters.get(f == 1 ? "barre.1.base" : "barre." + f);
        }
        finger[Grip.THUMB] = parameters.get("thumb");
        double[] fingers = Arrays.stream(finger, 1, Grip.THUMB).sorted().toArray();
        for (int f = 0; f < Grip.THUMB; f++) {
            cheapestFingers[f + 1] = cheapestFingers[f] + fingers[Math.min(f, fingers.length - 1)];
        }
        thumb = player.thumb();
        thumbSaves = thumb ? Math.max(0, fingers[fingers.length - 1] - finger[Grip.THUMB]) : 0;
        barreString = parameters.get("barre.1.string");
        barreOtherString = parameters.get("barre.other.string");
        barreClear = parameters.get("barre.clear");
        barreNearNut = parameters.get("barre.nearNut");
        otherBarreBase = Arrays.stream(barreBase, 2, Grip.THUMB).min().orElseThrow();
        spread = parameters.get("spread");
        stretched = parameters.get("posture.stretched");
        drawnIn = parameters.get("posture.drawnIn");
        ringHigh = parameters.get("tilt.ringHigh");
        littleLow = parameters.get("tilt.littleLow");
        home = parameters.get("posture.home");
        crowding = parameters.get("crowding");
        tipMm = parameters.get("tip.mm");
        damping = parameters.get("damping");
        hollow = parameters.get("barre.hollow");
        turned = parameters.get("posture.turned");
        beside = parameters.get("barre.beside");
        skip = parameters.get("skip");
        sight = parameters.get("sight");
        lowestBarre = table((fret, strings) -> barreAtLeast(fret, strings, true));
        otherBarre = table((fret, strings) -> barreAtLeast(fret, strings, false));
        stoppingLowest = table((fret, strings) -> stopping(fret, strings, lowestBarre));
        stoppingOther = table((fret, strings) -> stopping(fret, strings, otherBarre));
    }

    private interface OfStrings {
        double cost(int fret, int strings);
    }

    private double[][] table(OfStrings what) {
        double[][] costs = new double[board.frets() + 1][board.strings() + 1];
        for (int fret = 0; fret < costs.length; fret++) {
            for (int strings = 0; strings < costs[fret].length; strings++) {
                costs[fret][strings] = what.cost(fret, strings);
            }
        }
        return costs;
    }

    public Effort of(Grip grip) {
        Effort.Builder effort = new Effort.Builder();
        List<Hold> holds = grip.holds();
        double spreadCost = spread(grip);
        effort.add(EffortTerm.SPREAD, spreadCost);
        if (Double.isInfinite(spreadCost)) {
            return effort.build();
        }
        for (Hold hold : holds) {
            effort.add(hold.finger() == Grip.THUMB ? EffortTerm.THUMB : EffortTerm.FINGERS, finger[hold.finger()]);
            if (hold.isBarre()) {
                effort.add(EffortTerm.BARRE, barre(grip.shape(), hold));
            }
        }
        effort.add(EffortTerm.POSTURE, tilt(grip.shape().strings(), holds));
        Posture.Rest rest = Posture.of(holds, stretched, drawnIn);
        effort.add(EffortTerm.POSTURE, rest.cost() + awayFromHome(grip.shape(), rest));
        effort.add(EffortTerm.POSTURE, turned * turnedFrets(holds));
        effort.add(EffortTerm.BARRE, beside * besideBarres(holds));
        effort.add(EffortTerm.CROWDING, crowding(holds));
        effort.add(EffortTerm.DAMPING, damping * grip.silentInside() + hollow * grip.silentUnderBarres());
        effort.add(EffortTerm.SKIPS, skip * skippedStrings(holds));
        if (!holds.isEmpty()) {
            effort.add(EffortTerm.SIGHT, sight(grip.handFret()));
        }
        return effort.build();
    }

    /**
     * No fingering of a shape costs the hand less: in each of its frets a finger for every string or a barre, with no more
     * fingers than a hand has.
     */
    public double atLeast(Shape shape) {
        int frets = shape.frettedStrings();
        if (frets == 0) {
            return 0;
        }
        int mostFingers = thumb ? Grip.THUMB : Grip.THUMB - 1;
        double cheapest = Double.POSITIVE_INFINITY;
        int lowest = shape.lowestFretted().orElseThrow();
        long shared = shape.sharedFrets();
        // Every way to take a barre in some of the frets that several strings share.
        for (long barred = shared; ; barred = barred - 1 & shared) {
            int fingers = frets;
            double barres = 0;
            for (long left = barred; left != 0; left &= left - 1) {
                int fret = Long.numberOfTrailingZeros(left);
                int strings = shape.stringsAt(fret);
                fingers -= strings - 1;
                barres += (fret == lowest || thumb ? lowestBarre : otherBarre)[fret][strings];
            }
            if (fingers <= mostFingers) {
                cheapest = Math.min(cheapest, cheapestFingers[fingers] + barres);
            }
            if (barred == 0) {
                return cheapest - thumbSaves + (thumb ? 0 : sight(Grip.lowestHandFret(shape)));
            }
        }
    }

    /** No fingering stops so many strings in a fret for less; {@link #atLeast} is no less than that of all frets together. */
    public double stoppingAtLeast(int fret, int strings, boolean lowest) {
        return (lowest || thumb ? stoppingLowest : stoppingOther)[fret][strings];
    }

    private double stopping(int fret, int strings, double[][] barre) {
        double fingers = strings < cheapestFingers.length ? cheapestFingers[strings] : Double.POSITIVE_INFINITY;
        return strings < 2 ? fingers : Math.min(fingers, barre[fret][strings]);
    }

    /** What {@link #atLeast} may lie below the frets' {@link #stoppingAtLeast} together. */
    public double savedAtMost() {
        return thumbSaves;
    }

    /** No barre over so many strings costs less, though a finger of their own may take some of them. */
    private double barreAtLeast(int fret, int strings, boolean lowest) {
        double near = nearNut(fret);
        double others = barreAtLeast(otherBarreBase * near, barreOtherString * near, strings);
        double index = barreAtLeast(barreBase[1] * near, barreString * near, strings);
        return lowest ? Math.min(index, others) : others;
    }

    private double barreAtLeast(double base, double string, int strings) {
        return base + 2 * string + (strings - 2) * Math.min(string, cheapestFingers[1]);
    }

    /** A barre is heavier near the nut, and lighter work than keeping it clear of an open string beside it. */
    private double barre(Shape shape, Hold hold) {
        double cost = barreBase[hold.finger()] + (hold.finger() == 1 ? barreString : barreOtherString) * hold.strings();
        int next = hold.highString() + 1;
        cost += next < shape.strings() && shape.fret(next) == 0 ? barreClear : 0;
        return cost * nearNut(hold.fret());
    }

    private double nearNut(int fret) {
        double near = Math.max(0, (NUT_FELT_TO_FRET - board.capo() - fret) / (NUT_FELT_TO_FRET - 1));
        return 1 + barreNearNut * near;
    }

    private double spread(Grip grip) {
        double cost = 0;
        List<Hold> holds = grip.holds();
        for (int i = 0; i < holds.size(); i++) {
            for (int j = i + 1; j < holds.size() && holds.get(j).finger() < Grip.THUMB; j++) {
                cost += spreadOfPair(grip, holds.get(i), holds.get(j));
            }
        }
        return cost;
    }

    private double spreadOfPair(Grip grip, Hold lower, Hold higher) {
        double mm = distanceMm(grip, lower, higher);
        double comfortable = spreads.comfortableMm(lower.finger(), higher.finger());
        if (mm <= comfortable) {
            return 0;
        }
        double widest = spreads.widestMm(lower.finger(), higher.finger());
        if (mm > widest) {
            return Double.POSITIVE_INFINITY;
        }
        double over = (mm - comfortable) / Math.max(widest - comfortable, 1e-9);
        return spread * over * over;
    }

    /** Straight distance between two fingertips; from a barre, which lies under all strings, only along the neck. */
    private double distanceMm(Grip grip, Hold a, Hold b) {
        double along = grip.alongMm(b.finger()) - grip.alongMm(a.finger());
        if (a.isBarre() || b.isBarre()) {
            return Math.abs(along);
        }
        int stringsApart = Math.abs(a.lowString() - b.lowString());
        double across = stringsApart * board.stringGapMm((grip.alongMm(a.finger()) + grip.alongMm(b.finger())) / 2);
        return Math.sqrt(along * along + across * across);
    }

    /** The hand lies aslant: the ring finger rests over the low strings, the short little finger over the high ones. */
    private double tilt(int strings, List<Hold> holds) {
        double cost = 0;
        for (Hold hold : holds) {
            double high = (double) hold.highString() / (strings - 1);
            cost += hold.finger() == 3 ? ringHigh * high : hold.finger() == 4 ? littleLow * (1 - high) : 0;
        }
        return cost;
    }

    /** Fingers on the fret of the lowest barre and on a string next to it, where there is no room for them. */
    private static int besideBarres(List<Hold> holds) {
        if (holds.isEmpty() || !holds.get(0).isBarre()) {
            return 0;
        }
        Hold barre = holds.get(0);
        int beside = 0;
        for (Hold hold : holds.subList(1, holds.size())) {
            boolean isNext = hold.lowString() == barre.highString() + 1 || hold.highString() == barre.lowString() - 1;
            beside += isNext && hold.fret() == barre.fret() ? 1 : 0;
        }
        return beside;
    }

    /** Frets on which the lowest finger takes the highest string. */
    private static int turnedFrets(List<Hold> holds) {
        int frets = 0;
        for (int i = 1; i < holds.size(); i++) {
            Hold before = holds.get(i - 1);
            boolean isSame = before.fret() == holds.get(i).fret();
            frets += isSame && before.lowString() > holds.get(i).highString() ? 1 : 0;
        }
        return frets;
    }

    /** Open strings are played with the index finger over the first fret, where the hand knows its way. */
    private double awayFromHome(Shape shape, Posture.Rest rest) {
        return shape.openStrings() > 0 ? home * Math.min(1, rest.handFret() - 1) : 0;
    }

    private double sight(int handFret) {
        return sight * Math.max(0, board.capo() + handFret - SEEN_TO_FRET);
    }

    private double crowding(List<Hold> holds) {
        double cost = 0;
        for (int i = 0; i < holds.size(); ) {
            int fret = holds.get(i).fret();
            int tips = 0;
            while (i < holds.size() && holds.get(i).fret() == fret) {
                tips++;
                i++;
            }
            if (tips >= CROWD) {
                cost += Math.max(0, tips * tipMm - board.fretWidthMm(fret)) / tipMm;
            }
        }
        return crowding * cost;
    }

    private static int skippedStrings(List<Hold> holds) {
        int skipped = 0;
        for (int i = 1; i < holds.size(); i++) {
            Hold a = holds.get(i - 1);
            Hold b = holds.get(i);
            int apart = Math.max(a.lowString() - b.highString(), b.lowString() - a.highString());
            skipped += Math.max(0, apart - 1);
        }
        return skipped;
    }
}
