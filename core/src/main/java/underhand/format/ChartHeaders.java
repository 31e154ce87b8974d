package underhand.format;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.neck.Tuning;
import underhand.pitch.Key;

/** The headers of a chart: {@code key: A minor} or {@code {key: A minor}}, one a line. */
final class ChartHeaders {

    private static final Pattern PLAIN = Pattern.compile("\\s*([A-Za-z]+)\\s*:\\s*(.*?)\\s*");
    private static final Pattern BRACED = Pattern.compile("\\s*\\{\\s*([A-Za-z_ ]+?)\\s*(?::\\s*(.*?))?\\s*}\\s*");
    private static final Pattern NUMBER = Pattern.compile("([0-9]{1,4})\\b.*");

    String title = "";
    Optional<Key> key = Optional.empty();

    /** Metre of the bars from here on. */
    Metre metre = Metre.COMMON;

    /** Metre the song begins in: the last one stated before its first bar. */
    Metre firstMetre = Metre.COMMON;

    /** Key the song begins in. */
    Optional<Key> firstKey = Optional.empty();

    OptionalInt tempo = OptionalInt.empty();
    OptionalInt capo = OptionalInt.empty();
    Optional<String> tuning = Optional.empty();

    private final Map<String, Consumer<String>> setters = Map.of(
            "title", value -> title = value,
            "key", value -> key = Optional.of(Key.parse(value)),
            "metre", value -> metre = Metre.parse(value),
            "meter", value -> metre = Metre.parse(value),
            "time", value -> metre = Metre.parse(value),
            "tempo", value -> tempo = number(value, Chart.LOWEST_TEMPO, Chart.HIGHEST_TEMPO),
            "capo", value -> capo = number(value, 0, 11),
            "tuning", value -> tuning = Optional.of(Tuning.parse(value).toString()));

    private static OptionalInt number(String value, int low, int high) {
        Matcher matcher = NUMBER.matcher(value);
        int number = matcher.matches() ? Integer.parseInt(matcher.group(1)) : low - 1;
        if (number < low || number > high) {
            throw new IllegalArgumentException("is no number from " + low + " to " + high);
        }
        return OptionalInt.of(number);
    }

    /** What became of a line that looked like a header. */
    enum Outcome {
        /** It is none. */
        NOT_A_HEADER,
        TAKEN,
        /** It is one, but was not understood; the fault was reported. */
        REFUSED
    }

    /** Takes a line if it is a header; reports one whose name or value is not understood. */
    Outcome take(String line, int number, Consumer<Fault> faults) {
        Matcher braced = BRACED.matcher(line);
        if (braced.matches()) {
            return set(line, number, braced, true, faults);
        }
        Matcher plain = PLAIN.matcher(line);
        boolean known = plain.matches()
                && setters.containsKey(name(plain))
                && !plain.group(2).isEmpty();
        return known ? set(line, number, plain, false, faults) : Outcome.NOT_A_HEADER;
    }

    private static String name(Matcher matcher) {
        return matcher.group(1).toLowerCase(Locale.ROOT);
    }

    private Outcome set(String line, int number, Matcher matcher, boolean braced, Consumer<Fault> faults) {
        Consumer<String> setter = setters.get(name(matcher));
        if (setter == null || matcher.group(2) == null) {
            faults.accept(new Fault(
                    number,
                    1 + matcher.start(1),
                    line.strip(),
                    "is no header that is used here; there are title, key, tempo, metre, capo and tuning",
                    Optional.empty()));
            return Outcome.REFUSED;
        }
        String value = matcher.group(2);
        try {
            setter.accept(value);
            return Outcome.TAKEN;
        } catch (IllegalArgumentException e) {
            faults.accept(new Fault(
                    number,
                    1 + matcher.start(2),
                    value,
                    "is no " + name(matcher) + " (" + example(name(matcher)) + ")",
                    Optional.empty()));
            return Outcome.REFUSED;
        }
    }

    private static String example(String name) {
        return switch (name) {
            case "key" -> "write it like A minor or Bb";
            case "tempo" -> "write beats a minute, " + Chart.LOWEST_TEMPO + " to " + Chart.HIGHEST_TEMPO;
            case "capo" -> "write a fret from 0 to 11";
            case "tuning" -> "write the strings low to high, like E2 A2 D3 G3 B3 E4";
            default -> "write it like 3/4";
        };
    }
}
