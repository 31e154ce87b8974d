package underhand.format.text;

import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Signs that stand among chords and words in either layout: bar lines, repeats, endings, how many times, jumps. */
final class Marks {

    static final String BAR = "\\|\\|:|:\\|\\|?:|:\\|[|\\]]?|\\|:|\\|\\||\\|]|\\[\\||\\|";

    private static final Map<String, Piece.Kind> BARS = Map.of(
            "||:", Piece.Kind.OPEN_REPEAT,
            "|:", Piece.Kind.OPEN_REPEAT,
            ":|:", Piece.Kind.TURN_REPEAT,
            ":||:", Piece.Kind.TURN_REPEAT,
            ":|", Piece.Kind.CLOSE_REPEAT,
            ":||", Piece.Kind.CLOSE_REPEAT,
            ":|]", Piece.Kind.CLOSE_REPEAT);

    /** How many times something is played: {@code x4}, {@code 2x}, {@code (x 2)}, {@code 3 times}. */
    static final String TIMES =
            "(?:\\(\\s*)?(?:(?i:repeat|play)\\s+)?(?:(?i:twice)|[xX×]\\s?[0-9]{1,2}|[0-9]{1,2}\\s?[xX×]|[0-9]{1,2} (?i:times))(?:\\s*\\))?";

    /** Jumps of printed music. */
    static final String DIRECTION =
            "\\(?(?i:D\\.\\s?[CS]\\.(?:\\s*al\\s+(?:Fine|Coda))?|(?:Da Capo|Dal Segno)(?:\\s+al\\s+(?:Fine|Coda))?"
                    + "|To Coda|al Fine|al Coda|Fine)\\.?\\)?";

    private static final int TWICE = 2;
    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,2}");
    private static final Pattern ENDING = Pattern.compile("[1-9]\\.");
    private static final Pattern METRE = Pattern.compile("[0-9]{1,2}/(?:2|4|8|16)");
    private static final Pattern WHOLE_TIMES = Pattern.compile(TIMES);
    private static final Pattern WHOLE_DIRECTION = Pattern.compile(DIRECTION);

    private Marks() {}

    static Piece.Kind bar(String text) {
        return BARS.getOrDefault(text, Piece.Kind.BAR);
    }

    /** What a text without spaces around it is, when it is a sign other than a bar line or drawn beats. */
    static Optional<Piece.Kind> of(String text) {
        if (text.equals("%") || text.equals("./.")) {
            return Optional.of(Piece.Kind.SAME_BAR);
        }
        if (ENDING.matcher(text).matches()) {
            return Optional.of(Piece.Kind.ENDING);
        }
        if (WHOLE_TIMES.matcher(text).matches()) {
            return Optional.of(Piece.Kind.TIMES);
        }
        if (WHOLE_DIRECTION.matcher(text).matches()) {
            return Optional.of(Piece.Kind.DIRECTION);
        }
        return METRE.matcher(text).matches() ? Optional.of(Piece.Kind.METRE) : Optional.empty();
    }

    /** The number in a text that says how many times. */
    static int times(String text) {
        Matcher number = NUMBER.matcher(text);
        return number.find() ? Integer.parseInt(number.group()) : TWICE;
    }
}
