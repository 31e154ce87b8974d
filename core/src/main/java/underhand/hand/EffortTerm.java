package underhand.hand;

/** The named terms an effort is the sum of. */
public enum EffortTerm {
    FINGERS(0, "fingers", Group.HAND),
    SPREAD(1, "spread", Group.HAND),
    BARRE(2, "barre", Group.HAND),
    POSTURE(3, "posture", Group.HAND),
    CROWDING(4, "crowding", Group.HAND),
    DAMPING(5, "damping", Group.HAND),
    SKIPS(6, "string skips", Group.HAND),
    THUMB(7, "thumb", Group.HAND),
    SIGHT(8, "far from the nut", Group.HAND),
    MUD(9, "low mud", Group.SOUND),
    THIN(10, "strings missing", Group.SOUND),
    TOP(11, "silent top strings", Group.SOUND),
    INNER(12, "silent strings inside", Group.SOUND),
    UNISON(13, "doubled unison", Group.SOUND),
    GAP(14, "hole between voices", Group.SOUND),
    OPEN_HIGH(15, "open strings under a high hand", Group.SOUND),
    BASS(16, "root not lowest", Group.SOUND),
    FIFTH(17, "fifth missing", Group.SOUND),
    DOUBLING(18, "doubled leading note", Group.SOUND),
    NEW_SHAPE(19, "new shape", Group.HABIT),
    OTHER_FINGERS(20, "other fingers than usual", Group.HABIT),
    BEYOND(21, "beyond the rung", Group.HABIT),
    RING(22, "ring", Group.SOUND);

    /** Who pays: the hand, the ear, or the learner. */
    public enum Group {
        HAND,
        SOUND,
        HABIT
    }

    /** Number of terms. */
    static final int COUNT = values().length;

    private final int slot;
    private final String label;
    private final Group group;

    EffortTerm(int slot, String label, Group group) {
        this.slot = slot;
        this.label = label;
        this.group = group;
    }

    /** Place of the term in an {@link Effort}, from 0 without gaps. */
    int slot() {
        return slot;
    }

    public String label() {
        return label;
    }

    public Group group() {
        return group;
    }
}
