package underhand.hand;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/**
 * A shape with the finger on every fretted string, on a certain neck: {@code x32010} with {@code -32-1-}.
 *
 * <p>Positions are in millimetres: along the neck from the nut, across it from the lowest string.
 */
public final class Grip {

    /** Number of the thumb among the fingers 1 to 4. */
    public static final int THUMB = 5;

    private final Shape shape;
    private final List<Hold> holds;
    private final Hold[] byFinger = new Hold[THUMB + 1];
    private final double[] alongMm = new double[THUMB + 1];
    private final double[] acrossMm = new double[THUMB + 1];
    private final int fingersUsed;
    private final int handFret;
    private final double handMm;

    /** Worked out when first asked for, which most grips never are; 0 before. */
    private int hash;

    /** @param holds by finger number, the thumb last */
    Grip(Shape shape, List<Hold> holds, Fretboard board) {
        this.shape = shape;
        this.holds = List.copyOf(holds);
        int used = 0;
        for (Hold hold : this.holds) {
            used |= 1 << hold.finger();
            byFinger[hold.finger()] = hold;
            alongMm[hold.finger()] = board.pressMm(hold.fret());
            acrossMm[hold.finger()] =
                    board.stringGapMm(alongMm[hold.finger()]) * (hold.lowString() + hold.highString()) / 2.0;
        }
        this.fingersUsed = used;
        this.handFret = Posture.handFret(this.holds);
        this.handMm = board.fretMm(handFret);
    }

    public Shape shape() {
        return shape;
    }

    /** Fingers that press, lowest finger number first, the thumb last. */
    public List<Hold> holds() {
        return holds;
    }

    public Optional<Hold> hold(int finger) {
        return Optional.ofNullable(byFinger[finger]);
    }

    /** Whether a finger presses; the fast form of {@link #hold}. */
    public boolean uses(int finger) {
        return byFinger[finger] != null;
    }

    /** The fingers that press, a bit each: bit 1 the index finger, bit {@link #THUMB} the thumb. */
    public int fingersUsed() {
        return fingersUsed;
    }

    /** The hold of a finger that {@link #uses} says presses. */
    public Hold held(int finger) {
        return byFinger[finger];
    }

    public List<Hold> barres() {
        return holds.stream().filter(Hold::isBarre).toList();
    }

    /** Finger on a string: 1 to 4, {@link #THUMB}, or 0 when it is open or silent. */
    public int fingerOn(int string) {
        if (!shape.isFretted(string)) {
            return 0;
        }
        for (Hold hold : holds) {
            if (hold.fret() == shape.fret(string) && hold.lowString() <= string && string <= hold.highString()) {
                return hold.finger();
            }
        }
        throw new IllegalStateException("no finger on string " + string + " of " + this);
    }

    /** Where a pressing finger is along the neck, in mm from the nut. */
    public double alongMm(int finger) {
        return alongMm[finger];
    }

    /** Where a pressing finger is across the neck, in mm from the lowest string; the middle of a barre. */
    public double acrossMm(int finger) {
        return acrossMm[finger];
    }

    /** No fingering of a shape without the thumb has a lower {@link #handFret}: fingers rise with the frets. */
    public static int lowestHandFret(Shape shape) {
        int lowest = shape.lowestFretted().orElse(THUMB - shape.stoppedFrets());
        return lowest + shape.stoppedFrets() - (THUMB - 1);
    }

    /** The fret above the capo at which the index finger rests in this grip. */
    public int handFret() {
        return handFret;
    }

    /** Where {@link #handFret} is along the neck, in mm from the nut. */
    public double handMm() {
        return handMm;
    }

    /** Distance along the neck between the outermost fingertips, in mm; 0 with fewer than two fingers. */
    public double spanMm() {
        double low = holds.stream().mapToDouble(h -> alongMm[h.finger()]).min().orElse(0);
        double high = holds.stream().mapToDouble(h -> alongMm[h.finger()]).max().orElse(0);
        return high - low;
    }

    /** Who silences each silent string, lowest string first. */
    public List<Damping> damping() {
        List<Damping> found = new ArrayList<>();
        for (int string = 0; string < shape.strings(); string++) {
            if (shape.isSilent(string)) {
                found.add(new Damping(string, dampingFinger(string)));
            }
        }
        return found;
    }

    /** Silent strings between sounding ones that no finger can damp: a strum would ring them. */
    public long undampedInside() {
        return insideSilent(true);
    }

    /** Silent strings between sounding ones. */
    public long silentInside() {
        return insideSilent(false);
    }

    /** Silent strings that a barre passes over: it would sound them, so that it must be held hollow there. */
    int silentUnderBarres() {
        int count = 0;
        for (Hold hold : holds) {
            for (int string = hold.lowString(); string <= hold.highString(); string++) {
                count += shape.isSilent(string) ? 1 : 0;
            }
        }
        return count;
    }

    private long insideSilent(boolean undampedOnly) {
        int high = shape.highestSounding();
        int low = 0;
        while (low < high && shape.isSilent(low)) {
            low++;
        }
        long count = 0;
        for (int string = low + 1; string < high; string++) {
            boolean counts = shape.isSilent(string) && (!undampedOnly || dampingFinger(string) == Damping.PICKING_HAND);
            count += counts ? 1 : 0;
        }
        return count;
    }

    /** A finger on the next thinner string leans back with its tip; one on the next thicker lies over with its pad. */
    private int dampingFinger(int string) {
        if (leans(string + 1, string)) {
            return fingerOn(string + 1);
        }
        return leans(string - 1, string) ? fingerOn(string - 1) : Damping.PICKING_HAND;
    }

    /** Whether the finger on a neighbouring string can silence this one; a barre over it would sound it instead. */
    private boolean leans(int neighbour, int string) {
        if (neighbour < 0 || neighbour >= shape.strings() || !shape.isFretted(neighbour)) {
            return false;
        }
        Hold hold = byFinger[fingerOn(neighbour)];
        return string < hold.lowString() || string > hold.highString();
    }

    /** Fingers from the lowest string to the highest, {@code -32-1-}. */
    public String fingers() {
        StringBuilder text = new StringBuilder();
        for (int string = 0; string < shape.strings(); string++) {
            int finger = fingerOn(string);
            text.append(finger == 0 ? "-" : finger == THUMB ? "T" : Integer.toString(finger));
        }
        return text.toString();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Grip grip && shape.equals(grip.shape) && holds.equals(grip.holds);
    }

    @Override
    public int hashCode() {
        if (hash == 0) {
            hash = 31 * shape.hashCode() + holds.hashCode();
        }
        return hash;
    }

    @Override
    public String toString() {
        return shape + " " + fingers();
    }

    /** The frets a chord frame of it shows. */
    public FretWindow window() {
        return FretWindow.of(this);
    }
}
