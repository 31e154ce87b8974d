package underhand.format.text;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Cuts a line into pieces, in the layout with chords in brackets or in the one of chords and spaces. */
final class Pieces {

    static final Pattern BRACKETS = Pattern.compile("\\[([^\\[\\]]*)]");

    private static final Pattern SPACED = Pattern.compile("(?<bar>" + Marks.BAR + ")"
            + "|(?<times>(?<![^\\s|:])" + Marks.TIMES + "(?![^\\s|]))"
            + "|(?<jump>(?<![^\\s|])" + Marks.DIRECTION + "(?![^\\s|]))"
            + "|(?<remark>\\([^()|\\s]*\\s[^()|]*\\))"
            + "|(?<ending>(?<=\\|)[1-9](?=\\s))"
            + "|(?<word>[^\\s|]+?(?=:\\||[\\s|]|$))");

    private static final Pattern IN_WORDS = Pattern.compile(Marks.BAR + "|[^|]+?(?=:?\\||$)");
    private static final Pattern BEATS = Pattern.compile("[./](?:\\s*[./])*");
    private static final Pattern DASHES = Pattern.compile("[-–—>→~,;]+");
    private static final Pattern JOINT = Pattern.compile("[-–—>→,;~]+");
    private static final Pattern STROKES = Pattern.compile("/+");

    /** Longest word that is tried as chords with their beats. */
    private static final int LONGEST_STROKED = 20;

    private final List<Piece> pieces = new ArrayList<>();
    private final Tokens tokens;

    /** Ends of words that are no chords with beats, however they are cut. */
    private final Set<String> unstroked = new HashSet<>();

    private Pieces(Tokens tokens) {
        this.tokens = tokens;
    }

    /** A line of words with chords in brackets. */
    static List<Piece> bracketed(String line, Tokens tokens) {
        Pieces cut = new Pieces(tokens);
        Matcher bracket = BRACKETS.matcher(line);
        int from = 0;
        boolean chordBefore = false;
        while (bracket.find()) {
            String before = line.substring(from, bracket.start());
            cut.words(chordBefore ? upTo(line, from, bracket.start(), bracket.end()) : before, from);
            boolean glued = chordBefore && before.chars().noneMatch(Character::isWhitespace);
            chordBefore |= cut.bracket(bracket.group(1), bracket.start() + 1, glued);
            from = bracket.end();
        }
        cut.words(line.substring(from), from);
        return List.copyOf(cut.pieces);
    }

    /** What stands in one pair of brackets; whether it is a chord. */
    private boolean bracket(String inside, int at, boolean glued) {
        String text = inside.strip();
        int start = at + inside.length() - inside.stripLeading().length();
        Optional<Piece.Kind> mark = Marks.of(text);
        if (mark.isPresent()) {
            pieces.add(Piece.of(mark.get(), text, start));
            return false;
        }
        int before = pieces.size();
        word(text, start, glued);
        List<Piece> added = pieces.subList(before, pieces.size());
        if (added.stream().allMatch(p -> p.kind() == Piece.Kind.ODD)) {
            added.clear();
            Piece.Kind kind = ChordToken.isSmall(text) ? Piece.Kind.UNREAD : Piece.Kind.ODD;
            if (!severalChords(text, start, glued) && !text.isEmpty()) {
                pieces.add(new Piece(kind, text, start, tokens.of(text), glued));
                return kind == Piece.Kind.UNREAD;
            }
        }
        for (int i = before + 1; i < pieces.size(); i++) {
            if (pieces.get(i).kind() == Piece.Kind.CHORD) {
                pieces.set(i, Piece.chord(pieces.get(i).token(), pieces.get(i).at(), true));
            }
        }
        return true;
    }

    private boolean severalChords(String text, int at, boolean glued) {
        List<Piece> all = spaced(text, tokens);
        boolean chords = all.size() > 1 && all.stream().allMatch(p -> p.kind() == Piece.Kind.CHORD);
        if (chords) {
            for (int i = 0; i < all.size(); i++) {
                pieces.add(Piece.chord(all.get(i).token(), at + all.get(i).at(), glued || i > 0));
            }
        }
        return chords;
    }

    /** What stands between two places of a line, with a hyphen where its last word goes on after a chord. */
    static String upTo(String line, int from, int to, int next) {
        String text = line.substring(from, to);
        boolean goesOn = to > from
                && next < line.length()
                && Character.isLetter(line.codePointBefore(to))
                && Character.isLetter(line.codePointAt(next));
        return goesOn ? text + "-" : text;
    }

    private void words(String text, int offset) {
        Matcher part = IN_WORDS.matcher(text);
        while (part.find()) {
            String found = part.group();
            String bare = found.strip();
            int at = offset
                    + part.start()
                    + found.length()
                    - found.stripLeading().length();
            if (found.contains("|")) {
                pieces.add(Piece.of(Marks.bar(found), found, at));
            } else if (BEATS.matcher(bare).matches() && !bare.equals("./.")) {
                bare.chars()
                        .filter(c -> c == '.' || c == '/')
                        .forEach(c -> pieces.add(Piece.of(Piece.Kind.BEAT, "/", at)));
            } else if (Marks.of(bare).isPresent()) {
                pieces.add(Piece.of(Marks.of(bare).get(), bare, at));
            } else if (!found.isBlank()) {
                pieces.add(Piece.of(Piece.Kind.WORDS, found, offset + part.start()));
            }
        }
    }

    /** A line of chords with spaces between them. */
    static List<Piece> spaced(String line, Tokens tokens) {
        Pieces cut = new Pieces(tokens);
        Matcher found = SPACED.matcher(line);
        while (found.find()) {
            String text = found.group();
            int at = found.start();
            if (found.group("bar") != null) {
                cut.pieces.add(Piece.of(Marks.bar(text), text, at));
            } else if (found.group("times") != null) {
                cut.pieces.add(Piece.of(Piece.Kind.TIMES, text, at));
            } else if (found.group("jump") != null) {
                cut.pieces.add(Piece.of(Piece.Kind.DIRECTION, text, at));
            } else if (found.group("remark") != null) {
                cut.remark(text, at);
            } else if (found.group("ending") != null) {
                cut.pieces.add(Piece.of(Piece.Kind.ENDING, text, at));
            } else {
                cut.spacedWord(text, at);
            }
        }
        return cut.phrases(line);
    }

    /** The pieces with odd words beside each other as one. */
    private List<Piece> phrases(String line) {
        List<Piece> joined = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            int last = i;
            while (piece.kind() == Piece.Kind.ODD
                    && last + 1 < pieces.size()
                    && pieces.get(last + 1).kind() == Piece.Kind.ODD) {
                last++;
            }
            if (last > i) {
                String text = line.substring(piece.at(), pieces.get(last).end());
                joined.add(new Piece(Piece.Kind.ODD, text, piece.at(), piece.token(), false));
                i = last;
            } else {
                joined.add(piece);
            }
        }
        return List.copyOf(joined);
    }

    /** Words in parentheses, or chords in them. */
    private void remark(String text, int at) {
        List<Piece> inside = spaced(text.substring(1, text.length() - 1), tokens);
        if (inside.stream().allMatch(p -> p.kind() == Piece.Kind.CHORD)) {
            inside.forEach(p -> pieces.add(Piece.chord(p.token(), at + 1 + p.at(), false)));
        } else {
            pieces.add(new Piece(Piece.Kind.ODD, text, at, tokens.of(text), false));
        }
    }

    private void spacedWord(String text, int at) {
        if (text.matches("[./]+") && !text.equals("./.")) {
            text.chars().forEach(c -> pieces.add(Piece.of(Piece.Kind.BEAT, "/", at)));
        } else if (DASHES.matcher(text).matches()) {
            pieces.add(Piece.of(Piece.Kind.DASH, text, at));
        } else if (Marks.of(text).isPresent()) {
            pieces.add(Piece.of(Marks.of(text).get(), text, at));
        } else {
            word(text, at, false);
        }
    }

    private void word(String text, int at, boolean glued) {
        ChordToken token = tokens.of(text);
        if (token.isRead()) {
            pieces.add(Piece.chord(token, at, glued));
        } else if (!strokes(text, at, glued) && !joined(text, at, glued)) {
            pieces.add(new Piece(token.isMeant() ? Piece.Kind.UNREAD : Piece.Kind.ODD, text, at, token, glued));
        }
    }

    /** Reads {@code C////} and {@code G//D/}: chords with the beats they last. */
    private boolean strokes(String text, int at, boolean glued) {
        boolean drawn = text.endsWith("/") || text.contains("//");
        if (!drawn || text.length() > LONGEST_STROKED || unstroked.contains(text)) {
            return false;
        }
        for (int end = text.length() - 1; end > 0; end--) {
            Matcher strokes = STROKES.matcher(text).region(end, text.length());
            ChordToken token = tokens.of(text.substring(0, end));
            if (!strokes.lookingAt() || !token.isRead() || text.charAt(end - 1) == '/') {
                continue;
            }
            int before = pieces.size();
            pieces.add(Piece.chord(token, at, glued));
            for (int stroke = end; stroke < strokes.end(); stroke++) {
                pieces.add(Piece.of(Piece.Kind.STROKE, "/", at + stroke));
            }
            String rest = text.substring(strokes.end());
            int next = at + strokes.end();
            if (rest.isEmpty() || strokes(rest, next, true) || lastChord(rest, next)) {
                return true;
            }
            pieces.subList(before, pieces.size()).clear();
        }
        unstroked.add(text);
        return false;
    }

    private boolean lastChord(String text, int at) {
        ChordToken token = tokens.of(text);
        if (token.isRead()) {
            pieces.add(Piece.chord(token, at, true));
        }
        return token.isRead();
    }

    /** Reads {@code G-D-Em}: chords with dashes, arrows or commas between them. */
    private boolean joined(String text, int at, boolean glued) {
        if (text.isEmpty() || text.charAt(0) < 'A' || text.charAt(0) > 'H') {
            return false;
        }
        List<Piece> found = new ArrayList<>();
        Matcher joint = JOINT.matcher(text);
        int from = 0;
        boolean more = true;
        while (more) {
            more = joint.find();
            int to = more ? joint.start() : text.length();
            ChordToken token = tokens.of(text.substring(from, to));
            if (to > from && !token.isRead()) {
                return false;
            }
            if (to > from) {
                found.add(Piece.chord(token, at + from, glued && found.isEmpty()));
            }
            from = more ? joint.end() : to;
        }
        pieces.addAll(found);
        return !found.isEmpty();
    }
}
