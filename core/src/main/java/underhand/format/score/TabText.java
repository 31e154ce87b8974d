package underhand.format.score;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import underhand.chart.Chart;
import underhand.hand.Grip;
import underhand.part.Notation;
import underhand.part.Notation.Event;
import underhand.part.NoteValue;
import underhand.part.PlayedNote;
import underhand.picking.Finger;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Weight;
import underhand.solve.PlacedGrip;

/**
 * Writes a part as plain tab: its grips with the fingers of the left hand, then a line a string, the highest on top, frets from the capo, the chords as played above and the
 * right hand below, as {@link #SIGNS} say.
 */
final class TabText {

    private static final int WIDTH = 78;

    /** A column every sixteenth. */
    private static final int COLUMN = NoteValue.PER_QUARTER / 4;

    private static final int CELL = 2;

    private static final String SIGNS = """
            Under the strings: p i m a fingers, * too many to write, v stroke down,
            ^ stroke up, > accent, _ palm muted, . cut short.
            On the strings: x ghost stroke, h hammer-on, p pull-off, / slide.
            """;

    private final ScoredPart scored;
    private final int strings;

    private TabText(ScoredPart scored) {
        this.scored = scored;
        this.strings = scored.tuning().strings().size();
    }

    public static String write(String title, ScoredPart scored) {
        return new TabText(scored).write(title);
    }

    private String write(String title) {
        StringBuilder text = new StringBuilder(title).append('\n');
        text.append(scored.name())
                .append(", tuned ")
                .append(scored.tuning())
                .append(scored.capo() > 0 ? ", capo " + scored.capo() + ", frets from the capo" : ", no capo")
                .append(", ")
                .append(scored.part().arrangement().tempo())
                .append(" beats a minute\n");
        grips(text);
        List<List<String>> line = new ArrayList<>();
        int width = 0;
        boolean swing = false;
        for (Notation.WrittenBar bar : Notation.of(scored.part())) {
            List<String> block = bar(bar);
            int wide = block.get(1).length();
            boolean newSection = bar.bar().section().isPresent() && !line.isEmpty();
            boolean newFeel = bar.bar().swing() != swing;
            List<Chart.Words> words = scored.wordsBefore(bar.bar().number());
            if (!line.isEmpty() && (width + wide > WIDTH || newSection || newFeel || !words.isEmpty())) {
                append(text, line);
                line = new ArrayList<>();
                width = 0;
            }
            words(text, words);
            if (bar.bar().section().filter(s -> !s.isBlank()).isPresent()) {
                text.append("\n[").append(bar.bar().section().get()).append("]\n");
            }
            if (newFeel) {
                swing = bar.bar().swing();
                text.append(swing ? "(swing: the first of two eighths is twice as long)\n" : "(straight eighths)\n");
            }
            line.add(block);
            width += wide;
        }
        append(text, line);
        words(text, scored.wordsAfter());
        text.append(SIGNS);
        return text.toString();
    }

    private static void words(StringBuilder text, List<Chart.Words> words) {
        for (Chart.Words spoken : words) {
            spoken.heading().ifPresent(name -> text.append("\n[").append(name).append("]\n"));
            spoken.lines().forEach(line -> text.append(line).append('\n'));
            text.append('\n');
        }
    }

    /** Every different grip with the fingers of the left hand, lowest string first. */
    private void grips(StringBuilder text) {
        scored.part().arrangement().placements().stream()
                .filter(p -> p.grip().isPresent())
                .map(p -> {
                    Grip grip = p.grip().get().grip();
                    return "%-9s %-16s fingers %s%n"
                            .formatted(p.played().orElseThrow(), grip.shape(), grip.fingers())
                            .replace(System.lineSeparator(), "\n");
                })
                .distinct()
                .forEach(text::append);
        text.append('\n');
    }

    private void append(StringBuilder text, List<List<String>> line) {
        for (int row = 0; row < strings + 2 && !line.isEmpty(); row++) {
            int at = row;
            boolean ofString = row > 0 && row <= strings;
            String label = ofString ? label(strings - row) + "|" : "   ";
            String joined = line.stream().map(b -> b.get(at)).collect(Collectors.joining(ofString ? "|" : " "));
            text.append((label + joined + (ofString ? "|" : "")).stripTrailing())
                    .append('\n');
        }
        text.append('\n');
    }

    private String label(int string) {
        String name = scored.tuning().strings().get(string).toString().replaceAll("[0-9]", "");
        return name + " ".repeat(2 - name.length());
    }

    /** Chords, strings from the highest, right hand: rows of one width. */
    private List<String> bar(Notation.WrittenBar bar) {
        int columns = Math.max(1, (int) Math.ceil((double) bar.length() / COLUMN));
        StringBuilder[] rows = new StringBuilder[strings + 2];
        for (int row = 0; row < rows.length; row++) {
            boolean ofString = row > 0 && row <= strings;
            rows[row] = new StringBuilder((ofString ? "-" : " ").repeat(columns * CELL + 1));
        }
        int lastPlace = -1;
        for (Event event : bar.events()) {
            int at = 1 + event.from() / COLUMN * CELL;
            if (event.notes().isEmpty()) {
                continue;
            }
            if (event.place() != lastPlace) {
                lastPlace = event.place();
                PlacedGrip place = scored.part().arrangement().placements().get(event.place());
                put(rows[0], at, place.played().orElseThrow().toString());
            }
            for (PlayedNote note : event.notes()) {
                put(rows[strings - note.string()], at, fret(event, note));
            }
            put(rows[strings + 1], at, hand(event));
        }
        int widest = 0;
        for (StringBuilder row : rows) {
            widest = Math.max(widest, row.length());
        }
        List<String> block = new ArrayList<>();
        for (int row = 0; row < rows.length; row++) {
            boolean ofString = row > 0 && row <= strings;
            block.add(rows[row] + (ofString ? "-" : " ").repeat(widest - rows[row].length()));
        }
        return block;
    }

    private static String fret(Event event, PlayedNote note) {
        return event.weight() == Weight.GHOST ? "x" : note.technique().sign() + note.fret();
    }

    /** The stroke or the fingers, then how they sound; a star where there is no room before the next event. */
    private static String hand(Event event) {
        String stroke = event.strum()
                .map(direction -> direction == Direction.DOWN ? "v" : "^")
                .orElseGet(() -> event.notes().stream()
                        .flatMap(n -> n.rightFinger().stream())
                        .map(Finger::letter)
                        .collect(Collectors.joining()));
        String accent = event.weight() == Weight.ACCENT ? ">" : "";
        String sound = switch (event.sound()) {
            case RING -> "";
            case PALM_MUTE -> "_";
            case CUT -> ".";
        };
        int room = Math.max(1, event.length() / COLUMN) * CELL;
        String all = stroke + accent + sound;
        return all.length() <= room ? all : stroke.length() <= room ? stroke : "*";
    }

    /** Writes into a row, which grows where the text is longer than what is left of it. */
    private static void put(StringBuilder row, int at, String text) {
        while (row.length() < at + text.length()) {
            row.append(row.charAt(row.length() - 1) == '-' ? '-' : ' ');
        }
        row.replace(at, at + text.length(), text);
    }
}
