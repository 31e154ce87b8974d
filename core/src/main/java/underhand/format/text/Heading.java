package underhand.format.text;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import underhand.table.Table;

/**
 * The name of a part of a song, as a line begins with it.
 *
 * @param times how often the part is played
 * @param end index of the line after it; what stands there are its first chords or words
 * @param known whether its name is one that parts have, and not any text in brackets or with a colon
 */
record Heading(String name, int times, int end, boolean known) {

    private static final int LONGEST_NAME = 60;

    /** A line with more is no heading, and none begins with a longer one. */
    private static final int LONGEST_LINE = 120;

    /** Words of a name that is not known, with a colon behind it: a longer line is sung. */
    private static final int MOST_WORDS = 4;

    private static final Map<String, String> KINDS = kinds();

    private static final String NAMES = KINDS.keySet().stream()
            .sorted(Comparator.comparingInt(String::length).reversed())
            .map(Pattern::quote)
            .collect(Collectors.joining("|", "(?:", ")"));

    private static final String BEFORE =
            "(?:(?:repeat|last|final|first|second|third|1st|2nd|3rd|half|double|quiet|guitar|piano|instrumental|short|long) )*";
    private static final String NUMBER =
            "(?:[ -]?[0-9]{1,2}(?!\\s?x)|[ -](?:[ivx]{1,4}|one|two|three|four|[a-d]))?(?![\\p{L}0-9])";
    private static final String TIMES = times("times");
    private static final String REMARK = "(?:\\s*\\([^()|]{1,40}\\))?";
    private static final String SOFT = "(?i)(?u)";

    private static final Pattern ALONE = Pattern.compile(SOFT + "[\\s#*=_~<>\\-–—\"'(\\[]{0,12}(?<name>" + BEFORE
            + NAMES + NUMBER + ")" + TIMES + REMARK + times("again") + "[\\s#*=_~<>\\-–—\"')\\].:]*");

    private static final Pattern WITH_COLON = Pattern.compile(
            SOFT + "\\s*[(]?(?<name>" + BEFORE + NAMES + NUMBER + ")" + TIMES + REMARK + "[)]?\\s*(?::|\\s[-–—]\\s)");

    private static final Pattern BEFORE_CHORDS =
            Pattern.compile(SOFT + "\\s*[(]?(?<name>" + BEFORE + NAMES + "(?:[ -]?[0-9]{1,2})?)[)]?(?=\\s)");

    private static final Pattern BRACKETED = Pattern.compile("\\s*\\[(?<name>[^\\[\\]]*)](?:\\s*:)?" + TIMES);
    private static final Pattern TIMES_INSIDE = Pattern.compile("\\s*[,-]?\\s*(?<times>" + Marks.TIMES + ")\\s*$");
    private static final Pattern ANY_WITH_COLON = Pattern.compile("\\s*(?<name>\\p{L}[^:|\\[\\]]*?)\\s*:");
    private static final Pattern LETTER = Pattern.compile("[A-Z][0-9'’]?");
    private static final Pattern NUMBERED = Pattern.compile(
            SOFT
                    + "^(?:repeat |last |final |first |second |third |[123](?:st|nd|rd) )+|[ -]?[0-9]+$|[ -](?:[ivx]{1,4}|one|two|three|four|[a-d])$|\\(.*\\)");

    /** How often, where it is said, as a group of this name. */
    private static String times(String group) {
        return "(?:\\s*,?\\s*(?<" + group + ">" + Marks.TIMES + "))?";
    }

    private static Map<String, String> kinds() {
        Map<String, String> kinds = new HashMap<>();
        Table.read(Heading.class, "section-names.csv", 2, row -> row)
                .forEach(row -> Arrays.stream(row.cell(1).split("\\|")).forEach(name -> kinds.put(name, row.cell(0))));
        return kinds;
    }

    /** The heading a whole line is. */
    static Optional<Heading> whole(String line) {
        if (line.length() > LONGEST_LINE) {
            return Optional.empty();
        }
        Matcher bracketed = BRACKETED.matcher(line);
        if (bracketed.matches()) {
            return inBrackets(bracketed);
        }
        Matcher alone = ALONE.matcher(line);
        if (namesAPart(line) && alone.matches()) {
            String times = alone.group("times") != null ? alone.group("times") : alone.group("again");
            return Optional.of(of(alone.group("name"), times, line.length(), true));
        }
        Matcher colon = ANY_WITH_COLON.matcher(line);
        boolean named = colon.lookingAt()
                && line.substring(colon.end()).isBlank()
                && colon.group("name").split("\\s+").length <= MOST_WORDS;
        return named
                ? Optional.of(of(
                        colon.group("name"),
                        null,
                        line.length(),
                        LETTER.matcher(colon.group("name")).matches()))
                : Optional.empty();
    }

    /** Headings a line may begin with, to be tried in turn against what follows them. */
    static List<Heading> beginning(String whole) {
        String line = whole.substring(0, Math.min(whole.length(), LONGEST_LINE));
        Matcher bracketed = BRACKETED.matcher(line);
        if (bracketed.lookingAt()) {
            return inBrackets(bracketed).stream().toList();
        }
        boolean named = namesAPart(line);
        Matcher colon = WITH_COLON.matcher(line);
        if (named && colon.lookingAt()) {
            return List.of(of(colon.group("name"), colon.group("times"), colon.end(), true));
        }
        Matcher before = BEFORE_CHORDS.matcher(line);
        if (named && before.lookingAt()) {
            return List.of(of(before.group("name"), null, before.end(), true));
        }
        Matcher any = ANY_WITH_COLON.matcher(line);
        boolean other = any.lookingAt()
                && any.group("name").split("\\s+").length <= MOST_WORDS
                && any.end() < line.length()
                && Character.isWhitespace(line.charAt(any.end()));
        return other ? List.of(of(any.group("name"), null, any.end(), false)) : List.of();
    }

    /** Whether one of the names parts have is in a line at all: most lines are told by that. */
    private static boolean namesAPart(String line) {
        String lower = line.toLowerCase(Locale.ROOT);
        return KINDS.keySet().stream().anyMatch(lower::contains);
    }

    private static Optional<Heading> inBrackets(Matcher bracketed) {
        String inside = bracketed.group("name").strip();
        Matcher times = TIMES_INSIDE.matcher(inside);
        boolean timed = times.find() && times.start() > 0;
        String name = timed ? inside.substring(0, times.start()).strip() : inside;
        boolean known = namesAPart(name) && ALONE.matcher(name).matches();
        if (name.isEmpty() || !known && isChordOrMark(name)) {
            return Optional.empty();
        }
        return Optional.of(of(name, timed ? times.group("times") : bracketed.group("times"), bracketed.end(), known));
    }

    private static boolean isChordOrMark(String name) {
        boolean chords = Arrays.stream(name.split("[\\s,]+"))
                .allMatch(word -> ChordToken.of(word, Spelling.ENGLISH).isMeant()
                        || ChordToken.isSmall(word)
                        || Spelling.isGermanOnly(word));
        return chords || Marks.of(name).isPresent();
    }

    private static Heading of(String name, String times, int end, boolean known) {
        String stripped = name.strip();
        return new Heading(
                stripped.length() <= LONGEST_NAME ? stripped : stripped.substring(0, LONGEST_NAME),
                times == null ? 1 : Marks.times(times),
                end,
                known);
    }

    /** What parts of the same sort share: Chorus, CHORUS 2 and Last Refrain are one sort. */
    static String kind(String name) {
        String bare = NUMBERED.matcher(name.toLowerCase(Locale.ROOT).strip())
                .replaceAll("")
                .strip();
        return KINDS.getOrDefault(bare, bare);
    }
}
