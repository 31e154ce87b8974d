package underhand.picking;

import underhand.input.RangeException;

/** Two ways to pick a pattern with the fingers. */
public enum School {
    /** A finger for each treble: thumb on the basses, index, middle and ring finger on the trebles. */
    PIMA("pima", "p i m a"),
    /** The thumb takes all but the highest string, the index finger that one: p p p i. */
    THUMB_LED("thumb", "thumb leads");

    private final String id;
    private final String label;

    School(String id, String label) {
        this.id = id;
        this.label = label;
    }

    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    public static School parse(String id) {
        for (School school : values()) {
            if (school.id.equals(id)) {
                return school;
            }
        }
        throw RangeException.outside("pickingHand", id, "pima or thumb");
    }

    /** The finger this school puts on a role. */
    Finger finger(Role role) {
        return switch (role) {
            case ROOT, OTHER_BASS -> Finger.P;
            case LOW -> this == PIMA ? Finger.I : Finger.P;
            case MIDDLE -> this == PIMA ? Finger.M : Finger.P;
            case HIGH -> this == PIMA ? Finger.A : Finger.I;
        };
    }
}
