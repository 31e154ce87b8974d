package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import underhand.input.FormatException;
import underhand.pitch.Pitch;

/**
 * A line with the tune of the chord line above it: {@code tune: E4 G4 | A4 . B4 | - E4}. The notes of a bar share its
 * beats evenly; a point holds the note before it, a dash is a rest. Pitches are as they sound.
 */
final class TuneLine {

    private static final Pattern LINE = Pattern.compile("\\s*tune:(.*)", Pattern.CASE_INSENSITIVE);
    private static final Pattern PIECE = Pattern.compile("\\||[^\\s|]+");

    /** A share of a bar: a note, a rest where it is empty, or the one before it held on. */
    record Cell(boolean holds, Optional<Pitch> pitch) {}

    private TuneLine() {}

    static boolean is(String line) {
        return LINE.matcher(line).matches();
    }

    /** The bars of a tune line; what cannot be read is a rest, and reported. */
    static List<List<Cell>> read(SourceLine line, Consumer<Fault> faults) {
        Matcher matcher = LINE.matcher(line.text());
        if (!matcher.matches()) {
            return List.of();
        }
        List<List<Cell>> bars = new ArrayList<>();
        List<Cell> bar = new ArrayList<>();
        Matcher piece =
                PIECE.matcher(line.text()).region(matcher.start(1), line.text().length());
        while (piece.find()) {
            if (piece.group().equals("|")) {
                if (!bar.isEmpty()) {
                    bars.add(bar);
                    bar = new ArrayList<>();
                }
            } else {
                bar.add(cell(piece, line, faults));
            }
        }
        if (!bar.isEmpty()) {
            bars.add(bar);
        }
        return bars;
    }

    private static Cell cell(Matcher piece, SourceLine line, Consumer<Fault> faults) {
        String text = piece.group();
        if (text.equals(".")) {
            return new Cell(true, Optional.empty());
        }
        if (text.equals("-")) {
            return new Cell(false, Optional.empty());
        }
        try {
            return new Cell(false, Optional.of(Pitch.parse(text)));
        } catch (FormatException e) {
            faults.accept(Fault.unread(
                    line,
                    piece.start(),
                    text,
                    "is no note of a tune; write them like E4 or F#4, - for a rest, . to hold"));
            return new Cell(false, Optional.empty());
        }
    }
}
