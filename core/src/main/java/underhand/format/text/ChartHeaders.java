package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.neck.Tuning;
import underhand.pitch.Key;

/**
 * The headers of a chart: {@code key: A minor} or {@code {key: A minor}}, one or several a line, and the ways players write
 * them without a colon, such as {@code Capo 3}.
 */
final class ChartHeaders {

    private static final String NAMES =
            "(?i)(title|key|tempo|bpm|metre|meter|time signature|time|capo|tuning|spelling|pick-?up)";
    private static final Pattern FIRST = Pattern.compile("\\s*" + NAMES + "\\s*[:=]\\s*");
    private static final Pattern NEXT = Pattern.compile("(?:\\s\\s+|\\s*[,;|(]\\s*|\\s)" + NAMES + "\\s*[:=]\\s*");
    private static final Pattern AFTER_TITLE = Pattern.compile("(?:\\s\\s+|\\s*[;|]\\s*)" + NAMES + "\\s*[:=]\\s*");
    private static final Pattern PARTED = Pattern.compile("\\s{2,}|\\s*[|,;]\\s*");
    private static final Pattern BRACED = Pattern.compile("\\s*\\{\\s*([A-Za-z_ ]+?)\\s*(?::\\s*(.*?))?\\s*}\\s*");

    /** Ways to write one without a colon: name and pattern of its value. */
    private static final Map<String, Pattern> BARE = Map.of(
            "capo",
                    Pattern.compile(
                            "\\s*[\\[(]?(?i:capo\\s+((?:(?:on|at|in|the|fret)\\s+)*[^\\s\\])]+(?:\\s+fret)?)|(no)\\s+capo)[\\])]?\\s*"),
            "tempo",
                    Pattern.compile(
                            "\\s*(?i:(?:tempo|bpm|[♩♪q]\\.?\\s*=)\\s*([0-9]{2,3})(?:\\s*bpm)?|([0-9]{2,3})\\s*bpm)\\s*"),
            "key",
                    Pattern.compile(
                            "\\s*(?i:key\\s+(?:of\\s+)?)([A-Ha-h][#b♯♭]?(?:\\s*(?:m|min|minor|maj|major))?)()\\s*"),
            "metre", Pattern.compile("\\s*([0-9]{1,2}/[0-9]{1,2})(?i:\\s+time)?()\\s*"),
            "tuning",
                    Pattern.compile(
                            "\\s*(?:(?i:tuning)\\s+(.+?)|((?i:(?:double\\s+)?drop\\s.*|open\\s.*|.*\\btuning)|DADGAD))\\s*"));

    private static final Pattern NUMBER = Pattern.compile("(?<![0-9])([0-9]{1,4})(?![0-9])");
    private static final Pattern LEADING =
            Pattern.compile("^(?:(?:on|at|in|the|fret)\\s+)+|\\s*(?:fret|\\(.*\\))\\s*$");
    private static final List<String> FRETS = List.of(
            "none|no|off|without|-|0|open",
            "i|first|1st",
            "ii|second|2nd",
            "iii|third|3rd",
            "iv|fourth|4th",
            "v|fifth|5th",
            "vi|sixth|6th",
            "vii|seventh|7th",
            "viii|eighth|8th",
            "ix|ninth|9th",
            "x|tenth|10th",
            "xi|eleventh|11th");
    private static final Pattern GERMAN_KEY = Pattern.compile("(?i:([a-h](?:is|es|s)?)[- ]?(dur|moll))");
    private static final Pattern TITLE_WITH_CAPO = Pattern.compile("(.*\\S)\\s*[-–—,;(]+\\s*((?i:capo)\\s.+?)\\)?");

    /** A title with a capo behind it is no longer. */
    private static final int LONGEST_TITLE = 120;

    /** No header is longer. */
    private static final int LONGEST = 1000;

    /** How every header begins, whatever way it is written. */
    private static final Pattern MAY_BE = Pattern.compile(
            "\\s*[{\\[(]?\\s*(?i:title|key|tempo|bpm|metre|meter|time|capo|no\\s+capo|tuning|spelling|pick"
                    + "|[♩♪q]|[0-9]|double|drop|open|standard|half|whole|dadgad|\\{)|.{0,60}(?i:tuning)\\s*$|\\s*\\{");

    /** A line that looks like a header, with so many words that are no value, is sung. */
    private static final int SUNG_WORDS = 4;

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
    Optional<Spelling> spelling = Optional.empty();

    /** Beats of the bar the song begins with, where it is shorter than its metre. */
    OptionalDouble pickUp = OptionalDouble.empty();

    private static final Map<String, BiConsumer<ChartHeaders, String>> SETTERS = Map.ofEntries(
            Map.entry("title", (to, value) -> to.title = value),
            Map.entry("t", (to, value) -> to.title = value),
            Map.entry("key", (to, value) -> to.key = Optional.of(key(value))),
            Map.entry("metre", (to, value) -> to.metre = Metre.parse(value)),
            Map.entry("meter", (to, value) -> to.metre = Metre.parse(value)),
            Map.entry("time", (to, value) -> to.metre = Metre.parse(value)),
            Map.entry("time signature", (to, value) -> to.metre = Metre.parse(value)),
            Map.entry("tempo", (to, value) -> to.tempo = tempo(value)),
            Map.entry("bpm", (to, value) -> to.tempo = tempo(value)),
            Map.entry("capo", (to, value) -> to.capo = OptionalInt.of(fret(value))),
            Map.entry(
                    "tuning",
                    (to, value) -> to.tuning = Optional.of(Tuning.parse(value).toString())),
            Map.entry(
                    "spelling",
                    (to, value) -> to.spelling = Optional.of(Spelling.valueOf(value.toUpperCase(Locale.ROOT)))),
            Map.entry("pickup", (to, value) -> to.pickUp = OptionalDouble.of(beats(value))),
            Map.entry("pick-up", (to, value) -> to.pickUp = OptionalDouble.of(beats(value))));

    private static OptionalInt tempo(String value) {
        int tempo = NUMBER.matcher(value)
                .results()
                .mapToInt(r -> Integer.parseInt(r.group(1)))
                .reduce((first, last) -> last)
                .orElse(0);
        if (tempo < Chart.LOWEST_TEMPO || tempo > Chart.HIGHEST_TEMPO) {
            throw new IllegalArgumentException("is no tempo");
        }
        return OptionalInt.of(tempo);
    }

    private static int fret(String value) {
        String bare = LEADING.matcher(value.toLowerCase(Locale.ROOT).strip())
                .replaceAll("")
                .strip();
        for (int fret = 0; fret < FRETS.size(); fret++) {
            if (bare.equals(Integer.toString(fret)) || bare.matches(FRETS.get(fret))) {
                return fret;
            }
        }
        throw new IllegalArgumentException("is no fret");
    }

    private static double beats(String value) {
        double beats = Double.parseDouble(value);
        if (!(beats > 0 && beats <= 16)) {
            throw new IllegalArgumentException("is no length");
        }
        return beats;
    }

    private static Key key(String value) {
        Matcher german = GERMAN_KEY.matcher(value);
        if (german.matches()) {
            String note = german.group(1).substring(0, 1).toUpperCase(Locale.ROOT)
                    + german.group(1).substring(1).toLowerCase(Locale.ROOT);
            boolean minor = german.group(2).equalsIgnoreCase("moll");
            return Spelling.GERMAN
                    .chord(note)
                    .map(chord -> Key.parse(chord.root() + (minor ? "m" : "")))
                    .orElseThrow(() -> new IllegalArgumentException("is no key"));
        }
        return Key.parse(value.replaceFirst("\\s*\\(.*\\)\\s*$", ""));
    }

    /** Takes a line of words as the title; a capo that stands behind it is one. */
    void title(SourceLine line) {
        String text = line.stripped();
        Matcher matcher = TITLE_WITH_CAPO.matcher(text);
        boolean hasCapo = text.length() <= LONGEST_TITLE
                && matcher.matches()
                && bare(SourceLine.of(1, matcher.group(2))) == Outcome.TAKEN;
        title = hasCapo ? matcher.group(1) : text;
    }

    /** What became of a line that looked like a header. */
    enum Outcome {
        /** It is none. */
        NOT_A_HEADER,
        TAKEN,
        /** It is one, but was not understood; the fault was reported. */
        REFUSED
    }

    /** A header and where its value stands. */
    private record Said(String name, String value, int nameAt, int valueAt) {}

    /** Takes a line if it is made of headers; reports one whose name or value is not understood. */
    Outcome take(SourceLine line, Consumer<Fault> faults) {
        if (line.text().length() > LONGEST || !MAY_BE.matcher(line.text()).lookingAt()) {
            return Outcome.NOT_A_HEADER;
        }
        Matcher braced = BRACED.matcher(line.text());
        if (braced.matches()) {
            String value = braced.group(2);
            return set(
                    line,
                    List.of(new Said(
                            name(braced.group(1)),
                            value,
                            braced.start(1),
                            value == null ? braced.start(1) : braced.start(2))),
                    faults);
        }
        List<Said> said = said(line.text());
        return said.isEmpty() ? bare(line) : set(line, said, faults);
    }

    private static String name(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    private static List<Said> said(String text) {
        Matcher first = FIRST.matcher(text);
        List<Said> said = new ArrayList<>();
        if (!first.lookingAt()) {
            return said;
        }
        String name = name(first.group(1));
        int nameAt = first.start(1);
        int valueAt = first.end();
        Matcher next = (name.equals("title") ? AFTER_TITLE : NEXT).matcher(text);
        while (next.find(valueAt)) {
            said.add(new Said(name, text.substring(valueAt, next.start()).strip(), nameAt, valueAt));
            name = name(next.group(1));
            nameAt = next.start(1);
            valueAt = next.end();
        }
        String last = text.substring(valueAt).replaceFirst("[\\s,;|]+$", "");
        boolean closes = last.endsWith(")") && last.indexOf('(') < 0;
        said.add(new Said(name, closes ? last.substring(0, last.length() - 1) : last, nameAt, valueAt));
        boolean empty = said.stream().anyMatch(s -> s.value().isEmpty());
        return empty ? List.of() : said;
    }

    private Outcome bare(SourceLine line) {
        for (Map.Entry<String, Pattern> way : BARE.entrySet()) {
            Matcher matcher = way.getValue().matcher(line.text());
            if (matcher.matches()) {
                String value = matcher.group(1) != null ? matcher.group(1) : matcher.group(2);
                try {
                    SETTERS.get(way.getKey()).accept(this, value);
                    return Outcome.TAKEN;
                } catch (IllegalArgumentException e) {
                    // "Open water" is no tuning: it stays what it is.
                }
            }
        }
        return Outcome.NOT_A_HEADER;
    }

    private Outcome set(SourceLine line, List<Said> all, Consumer<Fault> faults) {
        Outcome outcome = Outcome.TAKEN;
        for (Said said : all) {
            BiConsumer<ChartHeaders, String> setter = SETTERS.get(said.name());
            if (setter == null || said.value() == null) {
                faults.accept(
                        Fault.unread(
                                line,
                                said.nameAt(),
                                line.stripped(),
                                "is no header that is used here; there are title, key, tempo, metre, capo, tuning, pickup and spelling"));
                return Outcome.REFUSED;
            }
            try {
                setter.accept(this, said.value());
            } catch (IllegalArgumentException e) {
                if (takenInPart(line, said, setter, faults)) {
                    continue;
                }
                if (all.size() == 1 && said.value().split("\\s+").length >= SUNG_WORDS) {
                    return Outcome.NOT_A_HEADER;
                }
                faults.accept(Fault.unread(
                        line,
                        said.valueAt(),
                        said.value(),
                        "is no " + said.name() + " (" + example(said.name()) + ")"));
                outcome = Outcome.REFUSED;
            }
        }
        return outcome;
    }

    /** A value with more behind it, {@code G major | 3/4 | slow}: what stands first is taken, and the rest where it is a header. */
    private boolean takenInPart(
            SourceLine line, Said said, BiConsumer<ChartHeaders, String> setter, Consumer<Fault> faults) {
        String[] pieces = PARTED.split(said.value());
        if (pieces.length < 2) {
            return false;
        }
        try {
            setter.accept(this, pieces[0]);
        } catch (IllegalArgumentException e) {
            return false;
        }
        for (int i = 1; i < pieces.length; i++) {
            if (bare(SourceLine.of(line.number(), pieces[i])) != Outcome.TAKEN) {
                faults.accept(Fault.told(
                        line,
                        said.valueAt() + said.value().indexOf(pieces[i]),
                        pieces[i],
                        "is no header; kept in the text"));
            }
        }
        return true;
    }

    private static String example(String name) {
        return switch (name) {
            case "key" -> "write it like A minor or Bb";
            case "tempo", "bpm" -> "write beats a minute, " + Chart.LOWEST_TEMPO + " to " + Chart.HIGHEST_TEMPO;
            case "capo" -> "write a fret from 0 to 11, or none";
            case "tuning" -> "write the strings low to high, like E2 A2 D3 G3 B3 E4, or a name like drop D";
            case "pickup", "pick-up" -> "write beats, like 1 or 0.5";
            case "spelling" -> "write english or german";
            default -> "write it like 3/4";
        };
    }
}
