package underhand.move;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.FingerAct.Act;
import underhand.neck.Fretboard;

/**
 * Effort and time of a change of grip.
 *
 * <p>Each finger stays, slides, travels, lands or lifts; its way is measured on the neck. A finger that lands was
 * hovering over its string at its own fret of the hand's place before. To the fingers' efforts come the shift of the
 * hand, a barre set down, fingers that swap their order, and landing with nothing resting. A whole grip that slides
 * unchanged is one motion.
 *
 * <p>Time is {@code s * (start + finger * n + way * log2(1 + D/W))} for n fingers set down, D the longest way and W the
 * width of the fret it ends in (P. M. Fitts, J. Exp. Psychology 47, 1954; Shannon form, I. S. MacKenzie 1992, from
 * memory); s is the rung's change time times the player's factor. The constants are set so that four fingers a hand's
 * width (120 mm) away take about s at fret 5. A change in which no finger is set down takes only its start; one in which
 * nothing moves takes none.
 */
public final class ChangeModel {

    private static final double PER_LOG2 = 1 / Math.log(2);

    private final Fretboard board;
    private final double seconds;
    private final double slide;
    private final double slideMm;
    private final double travel;
    private final double travelMm;
    private final double land;
    private final double landMm;
    private final double lift;
    private final double shiftMm;
    private final double barre;
    private final double cross;
    private final double together;
    private final double block;
    private final double timeStart;
    private final double timeFinger;
    private final double timeWay;

    public ChangeModel(Fretboard board, Rung rung, Player player, Parameters p) {
        this.board = board;
        this.seconds = rung.changeSeconds() * player.changeFactor();
        slide = p.get("change.slide");
        slideMm = p.get("change.slide.mm");
        travel = p.get("change.travel");
        travelMm = p.get("change.travel.mm");
        land = p.get("change.land");
        landMm = p.get("change.land.mm");
        lift = p.get("change.lift");
        shiftMm = p.get("change.shift.mm");
        barre = p.get("change.barre");
        cross = p.get("change.cross");
        together = p.get("change.together");
        block = p.get("change.block");
        timeStart = p.get("time.start");
        timeFinger = p.get("time.finger");
        timeWay = p.get("time.way");
    }

    /** The change in full, with every finger's act. */
    public Change between(Grip from, Grip to) {
        List<FingerAct> acts = new ArrayList<>();
        EnumMap<ChangeTerm, Double> terms = new EnumMap<>(ChangeTerm.class);
        Tally tally = new Tally(from, to);
        for (int finger = 1; finger <= Grip.THUMB; finger++) {
            if (from.uses(finger) || to.uses(finger)) {
                tally.finger(finger);
                acts.add(new FingerAct(finger, tally.act, tally.mm));
            }
        }
        tally.wholeHand();
        tally.into(terms);
        return new Change(acts, Collections.unmodifiableMap(terms), tally.neededSeconds());
    }

    /** What the route needs of a change: its effort, without the terms one by one. */
    public double effort(Grip from, Grip to) {
        return tally(from, to).effort();
    }

    /**
     * What the time of a change is the sum of, in seconds.
     *
     * @param start what any change takes
     * @param fingers what setting down each finger takes
     * @param way what the longest way takes
     */
    public record TimeParts(double start, double fingers, double way) {

        public double total() {
            return start + fingers + way;
        }
    }

    public TimeParts timeParts(Grip from, Grip to) {
        return tally(from, to).timeParts();
    }

    public double neededSeconds(Grip from, Grip to) {
        return tally(from, to).neededSeconds();
    }

    /** What the route needs of a change: effort without its terms, and the seconds it takes. */
    public record Cost(double effort, double seconds) {}

    public Cost cost(Grip from, Grip to) {
        Tally tally = tally(from, to);
        return new Cost(tally.effort(), tally.neededSeconds());
    }

    private Tally tally(Grip from, Grip to) {
        Tally tally = new Tally(from, to);
        for (int fingers = from.fingersUsed() | to.fingersUsed(); fingers != 0; fingers &= fingers - 1) {
            tally.finger(Integer.numberOfTrailingZeros(fingers));
        }
        tally.wholeHand();
        return tally;
    }

    /** Sums up one change finger by finger. */
    private final class Tally {
        private final Grip from;
        private final Grip to;
        private Act act;
        private double mm;
        private double slides;
        private double travels;
        private double lands;
        private double lifts;
        private double shift;
        private double barres;
        private double crossings;
        private double alone;
        private int setDown;
        private int staying;
        private int sliding;
        private int slidFrets = Integer.MIN_VALUE;
        private boolean oneBlock = true;
        private double farthestMm;
        private int farthestFret = 1;

        Tally(Grip from, Grip to) {
            this.from = from;
            this.to = to;
        }

        void finger(int finger) {
            if (!to.uses(finger)) {
                act = Act.LIFTS;
                mm = 0;
                lifts += lift;
                oneBlock = false;
            } else if (!from.uses(finger)) {
                landed(finger);
            } else {
                moved(finger, from.held(finger), to.held(finger));
            }
            if (to.uses(finger) && mm > farthestMm) {
                farthestMm = mm;
                farthestFret = to.held(finger).fret();
            }
        }

        private void landed(int finger) {
            Hold hold = to.held(finger);
            act = Act.LANDS;
            mm = hoverMm(finger);
            lands += land + landMm * mm;
            barres += hold.isBarre() ? barre : 0;
            setDown++;
            oneBlock = false;
        }

        /** Way from where the free finger hovered: over its own fret of the hand's place before. */
        private double hoverMm(int finger) {
            if (finger == Grip.THUMB) {
                return Math.abs(to.alongMm(finger) - board.fretMm(from.handFret()));
            }
            double hovering = board.fretMm(from.handFret() + finger - 1);
            return Math.abs(to.alongMm(finger) - hovering);
        }

        private void moved(int finger, Hold before, Hold after) {
            boolean sameString = before.lowString() == after.lowString();
            boolean sameFret = before.fret() == after.fret();
            boolean barreGrows = after.strings() > before.strings();
            double along = to.alongMm(finger) - from.alongMm(finger);
            double across = to.acrossMm(finger) - from.acrossMm(finger);
            mm = Math.sqrt(along * along + across * across);
            if (sameFret && before.lowString() <= after.highString() && after.lowString() <= before.highString()) {
                act = Act.STAYS;
                mm = 0;
                staying++;
                barres += barreGrows ? barre : 0;
                oneBlock = false;
            } else if (sameString) {
                act = Act.SLIDES;
                mm = Math.abs(along);
                slides += slide + slideMm * mm;
                barres += barreGrows ? barre : 0;
                sliding++;
                int frets = after.fret() - before.fret();
                oneBlock &= before.highString() == after.highString()
                        && (slidFrets == Integer.MIN_VALUE || slidFrets == frets);
                slidFrets = frets;
            } else {
                act = Act.TRAVELS;
                travels += travel + travelMm * mm;
                barres += after.isBarre() ? barre : 0;
                setDown++;
                oneBlock = false;
            }
        }

        void wholeHand() {
            boolean bothPress = !from.holds().isEmpty() && !to.holds().isEmpty();
            shift = bothPress ? shiftMm * Math.abs(to.handMm() - from.handMm()) : 0;
            if (oneBlock && sliding > 1) {
                slides = block + slideMm * farthestMm;
                return;
            }
            alone = setDown > 0 && staying + sliding == 0 ? together : 0;
            crossings = cross * swaps();
        }

        /** Pairs of fingers pressing before and after whose order across the strings is turned round. */
        private int swaps() {
            int swaps = 0;
            int both = from.fingersUsed() & to.fingersUsed() & ~(1 << Grip.THUMB);
            for (int left = both; left != 0; left &= left - 1) {
                int a = Integer.numberOfTrailingZeros(left);
                for (int right = left & left - 1; right != 0; right &= right - 1) {
                    int b = Integer.numberOfTrailingZeros(right);
                    double before = from.acrossMm(a) - from.acrossMm(b);
                    double after = to.acrossMm(a) - to.acrossMm(b);
                    swaps += before * after < 0 ? 1 : 0;
                }
            }
            return swaps;
        }

        double effort() {
            return slides + travels + lands + lifts + shift + barres + crossings + alone;
        }

        double neededSeconds() {
            return timeParts().total();
        }

        TimeParts timeParts() {
            if (setDown + sliding == 0) {
                return new TimeParts(lifts > 0 || barres > 0 ? seconds * timeStart : 0, 0, 0);
            }
            if (setDown == 0 && sliding == 1) {
                return new TimeParts(seconds * timeStart, 0, 0);
            }
            int fingers = oneBlock && sliding > 1 ? 1 : setDown + sliding;
            double way = Math.log(1 + farthestMm / board.fretWidthMm(farthestFret)) * PER_LOG2;
            return new TimeParts(seconds * timeStart, seconds * timeFinger * fingers, seconds * timeWay * way);
        }

        void into(Map<ChangeTerm, Double> terms) {
            put(terms, ChangeTerm.SLIDES, slides);
            put(terms, ChangeTerm.TRAVELS, travels);
            put(terms, ChangeTerm.LANDS, lands);
            put(terms, ChangeTerm.LIFTS, lifts);
            put(terms, ChangeTerm.SHIFT, shift);
            put(terms, ChangeTerm.BARRE, barres);
            put(terms, ChangeTerm.CROSSING, crossings);
            put(terms, ChangeTerm.TOGETHER, alone);
        }

        private void put(Map<ChangeTerm, Double> terms, ChangeTerm term, double value) {
            if (value > 0) {
                terms.put(term, value);
            }
        }
    }
}
