package underhand.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.chart.Bar;
import underhand.chart.Metre;

/**
 * One line of a chart that has chords: its chords, bars, beats, repeats and words in order.
 *
 * <p>Without bar lines each chord fills a bar, but chords within one word share one.
 */
final class ChordLine {

    private static final Pattern BRACKETS = Pattern.compile("\\[([^\\[\\]]*)]");
    private static final Pattern SPACED = Pattern.compile("\\|:|:\\||\\|\\||\\||\\[|]|[^\\s|]+");
    private static final Pattern TIMES = Pattern.compile("[x×]([0-9]{1,2})|([0-9]{1,2})[x×]");
    private static final Pattern ENDING = Pattern.compile("[1-9]\\.");
    private static final int MOST_TIMES = 32;

    /** What a piece of the line is. */
    private enum Kind {
        CHORD,
        UNREAD,
        WORDS,
        BAR,
        OPEN_REPEAT,
        CLOSE_REPEAT,
        BEAT,
        SAME_BAR,
        ENDING,
        TIMES
    }

    /** @param glued for a chord in brackets: whether it stands in one word with the chord before it */
    private record Piece(Kind kind, String text, int column, ChordToken chord, boolean glued) {
        static Piece of(Kind kind, String text, int column) {
            return new Piece(kind, text, column, null, false);
        }
    }

    private final int number;
    private final List<Piece> pieces;
    private final boolean brackets;

    private ChordLine(int number, List<Piece> pieces, boolean brackets) {
        this.number = number;
        this.pieces = pieces;
        this.brackets = brackets;
    }

    /** Reads a line of words with chords in brackets. */
    static ChordLine bracketed(String line, int number) {
        List<Piece> pieces = new ArrayList<>();
        Matcher matcher = BRACKETS.matcher(line);
        int from = 0;
        boolean brackets = false;
        while (matcher.find()) {
            String before = line.substring(from, matcher.start());
            words(brackets ? upTo(line, from, matcher.start(), matcher.end()) : before, from, pieces);
            ChordToken token = ChordToken.of(matcher.group(1).strip(), matcher.start() + 2);
            boolean glued = brackets && before.chars().noneMatch(Character::isWhitespace);
            pieces.add(
                    new Piece(token.isRead() ? Kind.CHORD : Kind.UNREAD, token.text(), token.column(), token, glued));
            brackets = true;
            from = matcher.end();
        }
        words(line.substring(from), from, pieces);
        return new ChordLine(number, pieces, brackets);
    }

    /** What stands between two places of a line, with a hyphen where its last word goes on after a chord. */
    private static String upTo(String line, int from, int to, int next) {
        String text = line.substring(from, to);
        boolean goesOn = to > from
                && next < line.length()
                && Character.isLetter(line.codePointBefore(to))
                && Character.isLetter(line.codePointAt(next));
        return goesOn ? text + "-" : text;
    }

    private static void words(String text, int offset, List<Piece> pieces) {
        Matcher matcher =
                Pattern.compile("\\|:|:\\||\\|\\||\\||[^|]+?(?=:?\\||$)").matcher(text);
        while (matcher.find()) {
            String part = matcher.group();
            Matcher times = TIMES.matcher(part.strip());
            if (part.contains("|")) {
                pieces.add(Piece.of(bar(part), part, offset + matcher.start() + 1));
            } else if (times.matches()) {
                pieces.add(Piece.of(Kind.TIMES, part.strip(), offset + matcher.start() + 1));
            } else if (part.strip().matches("[./](\\s*[./])*")) {
                part.chars()
                        .filter(c -> c == '.' || c == '/')
                        .forEach(c -> pieces.add(Piece.of(Kind.BEAT, "/", offset + matcher.start() + 1)));
            } else if (ENDING.matcher(part.strip()).matches()) {
                pieces.add(Piece.of(Kind.ENDING, part.strip(), offset + matcher.start() + 1));
            } else if (part.strip().equals("%")) {
                pieces.add(Piece.of(Kind.SAME_BAR, "%", offset + matcher.start() + 1));
            } else if (!part.isBlank()) {
                pieces.add(Piece.of(Kind.WORDS, part, offset + matcher.start() + 1));
            }
        }
    }

    private static Kind bar(String text) {
        return switch (text) {
            case "|:" -> Kind.OPEN_REPEAT;
            case ":|" -> Kind.CLOSE_REPEAT;
            default -> Kind.BAR;
        };
    }

    /** Reads a line of chords with spaces between them. */
    static ChordLine spaced(String line, int number) {
        List<Piece> pieces = new ArrayList<>();
        Matcher matcher = SPACED.matcher(line);
        while (matcher.find()) {
            String text = matcher.group();
            int column = matcher.start() + 1;
            if (text.contains("|")) {
                pieces.add(Piece.of(bar(text), text, column));
            } else if (text.endsWith(":") && matcher.end() < line.length() && line.charAt(matcher.end()) == '|') {
                addSpaced(text.substring(0, text.length() - 1), column, pieces);
                pieces.add(Piece.of(Kind.CLOSE_REPEAT, ":|", matcher.end()));
                matcher.region(matcher.end() + 1, line.length());
            } else {
                addSpaced(text, column, pieces);
            }
        }
        return new ChordLine(number, pieces, false);
    }

    private static void addSpaced(String text, int column, List<Piece> pieces) {
        if (text.isEmpty()) {
            return;
        }
        if (text.matches("[./]+")) {
            text.chars().forEach(c -> pieces.add(Piece.of(Kind.BEAT, "/", column)));
        } else if (text.equals("%")) {
            pieces.add(Piece.of(Kind.SAME_BAR, text, column));
        } else if (ENDING.matcher(text).matches()) {
            pieces.add(Piece.of(Kind.ENDING, text, column));
        } else if (TIMES.matcher(text).matches()) {
            pieces.add(Piece.of(Kind.TIMES, text, column));
        } else {
            ChordToken token = ChordToken.of(text, column);
            pieces.add(new Piece(token.isRead() ? Kind.CHORD : Kind.UNREAD, text, column, token, false));
        }
    }

    boolean hasBrackets() {
        return brackets;
    }

    /** Whether a line without brackets is one of chords: at least half are, and the others are meant as chords. */
    boolean isChordLine() {
        long chords = count(Kind.CHORD);
        long unread = count(Kind.UNREAD);
        boolean bars = count(Kind.BAR) + count(Kind.OPEN_REPEAT) + count(Kind.CLOSE_REPEAT) > 0;
        boolean allMeant = pieces.stream()
                .filter(p -> p.kind() == Kind.UNREAD)
                .allMatch(p -> p.chord().isMeant());
        return bars && chords + count(Kind.SAME_BAR) > 0 || chords > 0 && chords >= unread && allMeant;
    }

    private long count(Kind kind) {
        return pieces.stream().filter(p -> p.kind() == kind).count();
    }

    /** Adds the line's bars to a chart. */
    void into(ChartBuilder builder, Metre metre, Optional<String> wordsUnder, Consumer<Fault> faults) {
        new Writing(builder, metre, wordsUnder, faults).run();
    }

    /** One pass over the pieces. */
    private final class Writing {
        private final ChartBuilder builder;
        private final Metre metre;
        private final Optional<String> under;
        private final Consumer<Fault> faults;
        private final boolean barred;
        private final int firstBar;
        private BarFiller bar = new BarFiller();
        private boolean closesRepeat;

        /** Words before the first chord of a bar; they go with that chord. */
        private String pickUp = "";

        Writing(ChartBuilder builder, Metre metre, Optional<String> under, Consumer<Fault> faults) {
            this.builder = builder;
            this.metre = metre;
            this.under = under;
            this.faults = faults;
            this.barred = count(Kind.BAR) + count(Kind.OPEN_REPEAT) + count(Kind.CLOSE_REPEAT) > 0;
            this.firstBar = builder.barsInSection();
        }

        void run() {
            for (int at = 0; at < pieces.size(); at++) {
                piece(at);
            }
            finishBar();
            finishRepeat(2);
            builder.lyric(pickUp);
        }

        private void piece(int at) {
            Piece piece = pieces.get(at);
            if (piece.kind() != Kind.TIMES) {
                finishRepeat(2);
            }
            switch (piece.kind()) {
                case CHORD -> chord(at, piece);
                case UNREAD -> unread(piece);
                case WORDS -> words(piece.text());
                case BEAT -> bar.beat();
                case SAME_BAR -> sameBar(piece);
                case BAR -> finishBar();
                case ENDING -> builder.ending();
                case OPEN_REPEAT -> {
                    finishBar();
                    builder.openRepeat();
                }
                case CLOSE_REPEAT -> {
                    finishBar();
                    closesRepeat = true;
                }
                case TIMES -> times(piece);
            }
        }

        private void chord(int at, Piece piece) {
            boolean sharesWord = piece.glued() && !bar.isEmpty() || sharesWordUnder(at);
            if (!barred && !sharesWord) {
                finishBar();
            }
            bar.chord(piece.chord().chord(), pickUp + wordsUnder(at));
            pickUp = "";
        }

        /** Whether this chord and the one before it stand over the same word. */
        private boolean sharesWordUnder(int at) {
            if (under.isEmpty() || at == 0 || pieces.get(at - 1).kind() != Kind.CHORD) {
                return false;
            }
            int from = pieces.get(at - 1).column() - 1;
            int to = Math.min(pieces.get(at).column(), under.get().length());
            return from < to && under.get().substring(from, to).chars().noneMatch(Character::isWhitespace);
        }

        /** The words under a chord: from its column, or the line's start for the first, to the next chord's. */
        private String wordsUnder(int at) {
            if (under.isEmpty()) {
                return "";
            }
            boolean first = pieces.subList(0, at).stream().noneMatch(p -> p.kind() == Kind.CHORD);
            int from = first ? 0 : pieces.get(at).column() - 1;
            int to = pieces.subList(at + 1, pieces.size()).stream()
                    .filter(p -> p.kind() == Kind.CHORD)
                    .findFirst()
                    .map(p -> p.column() - 1)
                    .orElse(under.get().length());
            int length = under.get().length();
            return upTo(under.get(), Math.min(from, length), Math.min(to, length), to)
                    .strip();
        }

        private void unread(Piece piece) {
            faults.accept(new Fault(
                    number,
                    piece.column(),
                    piece.text(),
                    "is no chord name here",
                    ChordSuggester.suggest(piece.text())));
        }

        private void words(String text) {
            if (bar.isEmpty()) {
                pickUp += text;
            } else {
                bar.lyric(text);
            }
        }

        private void sameBar(Piece piece) {
            finishBar();
            Optional<Bar> last = builder.lastBar();
            if (last.isEmpty()) {
                faults.accept(new Fault(
                        number,
                        piece.column(),
                        piece.text(),
                        "repeats a bar, but there is none before it",
                        Optional.empty()));
            }
            last.ifPresent(b -> builder.bar(b.repeatedAfter(1)));
        }

        private void finishBar() {
            if (bar.isEmpty()) {
                return;
            }
            int drawn = bar.drawnBeats();
            boolean pickUp = builder.isEmpty() && bar.isShort(metre);
            if (drawn > 0 && drawn != metre.beats() && barred && !pickUp) {
                faults.accept(new Fault(
                        number,
                        1,
                        drawn + " beats",
                        "stand in a bar of " + metre + "; the bar was shared evenly",
                        Optional.empty()));
            }
            builder.bar(builder.fill(bar, metre));
            bar = new BarFiller();
        }

        private void finishRepeat(int times) {
            if (closesRepeat) {
                builder.closeRepeat(times);
                closesRepeat = false;
            }
        }

        private void times(Piece piece) {
            Matcher matcher = TIMES.matcher(piece.text());
            matcher.matches();
            int times = Integer.parseInt(matcher.group(1) != null ? matcher.group(1) : matcher.group(2));
            if (times < 1 || times > MOST_TIMES) {
                faults.accept(new Fault(
                        number,
                        piece.column(),
                        piece.text(),
                        "repeats 1 to " + MOST_TIMES + " times",
                        Optional.empty()));
            } else if (closesRepeat) {
                finishRepeat(times);
            } else {
                finishBar();
                builder.repeat(firstBar, times);
            }
        }
    }
}
