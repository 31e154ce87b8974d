package underhand.harmony;

import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.pitch.Interval;

/** What a chord is at heart, whatever its extensions: by its third, fifth and seventh. */
enum Quality {
    MAJOR("maj7"),
    MINOR("m7"),
    DOMINANT("7"),
    DIMINISHED("dim7"),
    HALF_DIMINISHED("m7b5"),
    AUGMENTED("aug7"),
    /** Without a third: suspended or a power chord. */
    OPEN("7sus4");

    private static final Interval MINOR_THIRD = Interval.parse("m3");
    private static final Interval MAJOR_THIRD = Interval.parse("M3");
    private static final Interval DIMINISHED_FIFTH = Interval.parse("d5");
    private static final Interval AUGMENTED_FIFTH = Interval.parse("A5");
    private static final Interval MINOR_SEVENTH = Interval.parse("m7");

    private final String seventh;

    Quality(String seventh) {
        this.seventh = seventh;
    }

    /** Suffix of the plain seventh chord of this quality. */
    String seventh() {
        return seventh;
    }

    public static Quality of(ChordSymbol chord) {
        ChordType type = chord.type();
        boolean minorSeventh = type.hasInterval(MINOR_SEVENTH);
        if (type.hasInterval(MINOR_THIRD)) {
            if (!type.hasInterval(DIMINISHED_FIFTH)) {
                return MINOR;
            }
            return minorSeventh ? HALF_DIMINISHED : DIMINISHED;
        }
        if (!type.hasInterval(MAJOR_THIRD)) {
            return OPEN;
        }
        if (minorSeventh) {
            return DOMINANT;
        }
        return type.hasInterval(AUGMENTED_FIFTH) ? AUGMENTED : MAJOR;
    }

    /** Whether a dominant can lead to it: a plain major or minor chord. */
    boolean isGoal() {
        return this == MAJOR || this == MINOR;
    }
}
