package underhand.settings;

import java.util.Objects;
import java.util.function.Consumer;
import underhand.harmony.Stance.MinorDominant;
import underhand.harmony.Stance.SeventhDegree;
import underhand.picking.School;

/**
 * The player's stand where good players disagree.
 *
 * @param ring -1 dry (no open strings) to 1 ringing (open strings sought, also under a hand up the neck); 0 is neutral
 * @param motion -1 a still top line to 1 a moving one; 0 is neutral
 * @param repeatsAlike whether what is repeated is played like the first time
 * @param capo whether a capo may be used
 * @param majorBarre how three neighbouring strings on one fret are stopped
 * @param fullness whole chords or parts of them
 * @param seventhDegree what stands on the seventh degree of a major key
 * @param minorDominant the ninth of a dominant that leads to a minor chord
 * @param pickingHand which finger of the right hand takes which string
 * @param filling where fills may stand
 */
public record HouseRules(
        double ring,
        double motion,
        boolean repeatsAlike,
        boolean capo,
        MajorBarre majorBarre,
        Fullness fullness,
        SeventhDegree seventhDegree,
        MinorDominant minorDominant,
        School pickingHand,
        Filling filling) {

    /** How three neighbouring strings on one fret are stopped, as in the A shape of a major chord. */
    public enum MajorBarre {
        /** Whichever costs less. */
        EITHER,
        /** One finger across. */
        BARRE,
        /** A fingertip on each. */
        FINGERTIPS
    }

    /** Where fills may stand. */
    public enum Filling {
        /** With a singer in the gaps between words, else anywhere. */
        BY_SETTING,
        /** Anywhere, also under words. */
        ANYWHERE,
        /** Nowhere: the space is left. */
        NOWHERE
    }

    /** How much of a chord a grip holds. */
    public enum Fullness {
        BY_SETTING,
        WHOLE,
        PARTS
    }

    public static final HouseRules DEFAULT = new HouseRules(
            0,
            0,
            true,
            true,
            MajorBarre.EITHER,
            Fullness.BY_SETTING,
            SeventhDegree.BY_RUNG,
            MinorDominant.FLAT_NINE,
            School.PIMA,
            Filling.BY_SETTING);

    public HouseRules {
        inRange("ring", ring);
        inRange("motion", motion);
        Objects.requireNonNull(majorBarre, "majorBarre");
        Objects.requireNonNull(fullness, "fullness");
        Objects.requireNonNull(seventhDegree, "seventhDegree");
        Objects.requireNonNull(minorDominant, "minorDominant");
        Objects.requireNonNull(pickingHand, "pickingHand");
        Objects.requireNonNull(filling, "filling");
    }

    private static void inRange(String field, double value) {
        if (!(value >= -1 && value <= 1)) {
            throw new IllegalArgumentException(field + " must be -1 to 1, was " + value);
        }
    }

    public HouseRules withRing(double other) {
        return changed(draft -> draft.ring = other);
    }

    public HouseRules withMotion(double other) {
        return changed(draft -> draft.motion = other);
    }

    public HouseRules withRepeatsAlike(boolean other) {
        return changed(draft -> draft.repeatsAlike = other);
    }

    public HouseRules withCapo(boolean other) {
        return changed(draft -> draft.capo = other);
    }

    public HouseRules withMajorBarre(MajorBarre other) {
        return changed(draft -> draft.majorBarre = other);
    }

    public HouseRules withFullness(Fullness other) {
        return changed(draft -> draft.fullness = other);
    }

    public HouseRules withSeventhDegree(SeventhDegree other) {
        return changed(draft -> draft.seventhDegree = other);
    }

    public HouseRules withMinorDominant(MinorDominant other) {
        return changed(draft -> draft.minorDominant = other);
    }

    public HouseRules withPickingHand(School other) {
        return changed(draft -> draft.pickingHand = other);
    }

    public HouseRules withFilling(Filling other) {
        return changed(draft -> draft.filling = other);
    }

    private HouseRules changed(Consumer<Draft> change) {
        Draft draft = new Draft(this);
        change.accept(draft);
        return draft.checked();
    }

    /** The same, field by field, while it is changed. */
    private static final class Draft {

        private double ring;
        private double motion;
        private boolean repeatsAlike;
        private boolean capo;
        private MajorBarre majorBarre;
        private Fullness fullness;
        private SeventhDegree seventhDegree;
        private MinorDominant minorDominant;
        private School pickingHand;
        private Filling filling;

        Draft(HouseRules from) {
            ring = from.ring;
            motion = from.motion;
            repeatsAlike = from.repeatsAlike;
            capo = from.capo;
            majorBarre = from.majorBarre;
            fullness = from.fullness;
            seventhDegree = from.seventhDegree;
            minorDominant = from.minorDominant;
            pickingHand = from.pickingHand;
            filling = from.filling;
        }

        HouseRules checked() {
            return new HouseRules(
                    ring,
                    motion,
                    repeatsAlike,
                    capo,
                    majorBarre,
                    fullness,
                    seventhDegree,
                    minorDominant,
                    pickingHand,
                    filling);
        }
    }
}
