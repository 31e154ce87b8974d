package underhand.hand;

/** The named terms an effort is the sum of. */
public enum EffortTerm {
    FINGERS("fingers", Group.HAND),
    SPREAD("spread", Group.HAND),
    BARRE("barre", Group.HAND),
    POSTURE("posture", Group.HAND),
    CROWDING("crowding", Group.HAND),
    DAMPING("damping", Group.HAND),
    SKIPS("string skips", Group.HAND),
    THUMB("thumb", Group.HAND),
    SIGHT("far from the nut", Group.HAND),
    MUD("low mud", Group.SOUND),
    THIN("strings missing", Group.SOUND),
    TOP("silent top strings", Group.SOUND),
    INNER("silent strings inside", Group.SOUND),
    UNISON("doubled unison", Group.SOUND),
    GAP("hole between voices", Group.SOUND),
    OPEN_HIGH("open strings under a high hand", Group.SOUND),
    BASS("root not lowest", Group.SOUND),
    FIFTH("fifth missing", Group.SOUND),
    DOUBLING("doubled leading note", Group.SOUND),
    NEW_SHAPE("new shape", Group.HABIT),
    OTHER_FINGERS("other fingers than usual", Group.HABIT),
    BEYOND("beyond the rung", Group.HABIT),
    RING("ring", Group.SOUND),
    CLASH("clash", Group.SOUND),
    /** What is missing under a note of the tune, or stands badly there. */
    UNDER_TUNE("under the tune", Group.SOUND);

    /** Who pays: the hand, the ear, or the learner. */
    public enum Group {
        HAND,
        SOUND,
        HABIT
    }

    /** Number of terms. */
    static final int COUNT = values().length;

    private final String label;
    private final Group group;

    EffortTerm(String label, Group group) {
        this.label = label;
        this.group = group;
    }

    /** Place of the term in an {@link Effort}, from 0 without gaps. */
    int slot() {
        return ordinal();
    }

    public String label() {
        return label;
    }

    public Group group() {
        return group;
    }
}
