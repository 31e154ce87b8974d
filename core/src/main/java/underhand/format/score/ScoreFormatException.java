package underhand.format.score;

/** A file of music that cannot be read; says where and what is wrong. */
public final class ScoreFormatException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final int line;
    private final int column;

    /** @param line from 1, 0 where there is none to be told; likewise the column */
    public ScoreFormatException(String message, int line, int column) {
        super(message);
        this.line = line;
        this.column = column;
    }

    public int line() {
        return line;
    }

    public int column() {
        return column;
    }
}
