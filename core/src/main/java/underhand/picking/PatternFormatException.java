package underhand.picking;

/** A pattern's steps that cannot be read: says which step and what is wrong with it. */
public final class PatternFormatException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final int step;

    PatternFormatException(int step, String text, String reason) {
        super("Step " + (step + 1) + " of the pattern, \"" + text + "\": " + reason);
        this.step = step;
    }

    /** Index of the step, from 0. */
    public int step() {
        return step;
    }
}
