package underhand.settings;

import java.util.Objects;
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
        return new HouseRules(
                other,
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

    public HouseRules withMotion(double other) {
        return new HouseRules(
                ring,
                other,
                repeatsAlike,
                capo,
                majorBarre,
                fullness,
                seventhDegree,
                minorDominant,
                pickingHand,
                filling);
    }

    public HouseRules withRepeatsAlike(boolean other) {
        return new HouseRules(
                ring, motion, other, capo, majorBarre, fullness, seventhDegree, minorDominant, pickingHand, filling);
    }

    public HouseRules withCapo(boolean other) {
        return new HouseRules(
                ring,
                motion,
                repeatsAlike,
                other,
                majorBarre,
                fullness,
                seventhDegree,
                minorDominant,
                pickingHand,
                filling);
    }

    public HouseRules withMajorBarre(MajorBarre other) {
        return new HouseRules(
                ring, motion, repeatsAlike, capo, other, fullness, seventhDegree, minorDominant, pickingHand, filling);
    }

    public HouseRules withFullness(Fullness other) {
        return new HouseRules(
                ring,
                motion,
                repeatsAlike,
                capo,
                majorBarre,
                other,
                seventhDegree,
                minorDominant,
                pickingHand,
                filling);
    }

    public HouseRules withSeventhDegree(SeventhDegree other) {
        return new HouseRules(
                ring, motion, repeatsAlike, capo, majorBarre, fullness, other, minorDominant, pickingHand, filling);
    }

    public HouseRules withMinorDominant(MinorDominant other) {
        return new HouseRules(
                ring, motion, repeatsAlike, capo, majorBarre, fullness, seventhDegree, other, pickingHand, filling);
    }

    public HouseRules withPickingHand(School other) {
        return new HouseRules(
                ring, motion, repeatsAlike, capo, majorBarre, fullness, seventhDegree, minorDominant, other, filling);
    }

    public HouseRules withFilling(Filling other) {
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
                other);
    }
}
