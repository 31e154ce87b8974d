package underhand.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.input.FormatException;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Pick;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Span;
import underhand.picking.Step.Strum;
import underhand.picking.Step.Weight;

/**
 * Reads the steps of a pattern, separated by spaces: {@code r lmh b lmh}, {@code D . D U . U D U}.
 *
 * <p>A dot is no stroke. Letters name roles plucked together ({@code r} root, {@code b} other bass, {@code l m h} low,
 * middle and high treble), digits strings (1 the highest). {@code D} and {@code U} are strums down and up, of the bass
 * ({@code Db}) or treble strings ({@code Ut}) alone. After a stroke {@code >} is an accent, {@code x} a ghost stroke,
 * {@code _} a palm mute, {@code ^} cut short.
 */
final class StepReader {

    private static final Pattern STRUM = Pattern.compile("([DU])([bt]?)([>x]?)([_^]?)");
    private static final Pattern PICK = Pattern.compile("([rblmh]*)([1-9]*)([>x]?)([_^]?)");

    private StepReader() {}

    /** @throws FormatException naming the first step that cannot be read */
    static List<Step> read(String text) {
        List<Step> steps = new ArrayList<>();
        for (String word : text.trim().split("\\s+")) {
            steps.add(step(steps.size(), word));
        }
        return steps;
    }

    private static Step step(int at, String word) {
        if (word.equals(".")) {
            return Step.REST;
        }
        Matcher strum = STRUM.matcher(word);
        if (strum.matches()) {
            Span span = strum.group(2).equals("b") ? Span.BASS : strum.group(2).equals("t") ? Span.TREBLE : Span.ALL;
            return new Strum(
                    strum.group(1).equals("D") ? Direction.DOWN : Direction.UP,
                    span,
                    weight(strum.group(3)),
                    sound(strum.group(4)));
        }
        Matcher pick = PICK.matcher(word);
        if (!pick.matches() || pick.group(1).isEmpty() && pick.group(2).isEmpty()) {
            throw FormatException.inStep(
                    "pattern",
                    word,
                    at,
                    "write a dot for no stroke, D or U for a strum, the letters r b l m h or string numbers for plucked"
                            + " strings, with > x _ or ^ behind.");
        }
        List<Role> roles = new ArrayList<>();
        for (Role role : Role.values()) {
            if (pick.group(1).indexOf(role.letter()) >= 0) {
                roles.add(role);
            }
        }
        List<Integer> strings =
                pick.group(2).chars().map(c -> c - '0').distinct().boxed().toList();
        if (roles.size() + strings.size()
                != pick.group(1).length() + pick.group(2).length()) {
            throw FormatException.inStep("pattern", word, at, "a string is named twice; name each once.");
        }
        if (roles.size() + strings.size() > Finger.values().length) {
            throw FormatException.inStep("pattern", word, at, "four fingers pluck at most four strings together.");
        }
        return new Pick(roles, strings, weight(pick.group(3)), sound(pick.group(4)));
    }

    private static Weight weight(String sign) {
        return sign.equals(">") ? Weight.ACCENT : sign.equals("x") ? Weight.GHOST : Weight.NORMAL;
    }

    private static Sound sound(String sign) {
        return sign.equals("_") ? Sound.PALM_MUTE : sign.equals("^") ? Sound.CUT : Sound.RING;
    }
}
