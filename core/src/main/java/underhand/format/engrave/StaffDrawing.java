package underhand.format.engrave;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import underhand.chart.Metre;
import underhand.format.engrave.Lettering.Face;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffKey;
import underhand.format.staff.StaffNote;
import underhand.format.staff.StaffNote.Head;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;

/** Draws bars on a staff of five lines whose highest line is so far down its row. */
final class StaffDrawing {

    /** Points between two lines. */
    static final float SPACE = 4.6f;

    static final float HEIGHT = 4 * SPACE;

    /** Lines and spaces a stem is long. */
    static final int STEM = 7;

    private static final int HIGHEST_LINE = 8;
    private static final int MIDDLE_LINE = 4;

    /** Lines and spaces from the middle of a rest to the end of the tallest, and to a head it does not touch. */
    private static final int HALF_A_REST = 4;

    private static final int CLEAR_OF_HEADS = 5;
    private static final float HEAD = Signs.HEAD_WIDTH * SPACE;
    private static final float THIN = 0.6f;
    private static final float BEAM = 0.5f * SPACE;
    private static final float DOT = Signs.DOT_WIDTH * SPACE;
    private static final float SIGN = 1.1f * SPACE;
    private static final float FINGER = 6.5f;
    private static final float FINGER_WIDE = 0.65f * FINGER;

    /** From a finger to its head: past a ledger line. */
    private static final float FINGER_GAP = 2.6f;

    /** How far a tie reaches back that comes over the bar line. */
    private static final float FROM_BEFORE = 3 * SPACE;

    private final Ink ink;
    private final float top;

    StaffDrawing(Ink ink, float top) {
        this.ink = ink;
        this.top = top;
    }

    private float y(double position) {
        return top + (float) (HIGHEST_LINE - position) * SPACE / 2;
    }

    private void sign(int sign, float x, double position) {
        ink.sign(sign, SPACE, x, y(position));
    }

    void lines(float x1, float x2) {
        for (int line = 0; line <= HIGHEST_LINE; line += 2) {
            ink.line(x1, y(line), x2, y(line), 0.5f);
        }
    }

    /** Points a clef with its key takes. */
    static float headWidth(StaffKey key) {
        return 3.6f * SPACE + SIGN * Math.abs(key.fifths());
    }

    void head(float x, StaffKey key) {
        sign(Signs.GUITAR_CLEF, x + 2, 2);
        float at = x + 3.4f * SPACE;
        for (int position : key.positions()) {
            sign(key.fifths() < 0 ? Signs.FLAT : Signs.SHARP, at, position);
            at += SIGN;
        }
    }

    /** Points a metre takes. */
    static final float METRE = 2.8f * SPACE;

    void metre(float x, Metre metre) {
        number(x, 6, metre.beats());
        number(x, 2, metre.unit());
    }

    private void number(float x, int position, int number) {
        String digits = Integer.toString(number);
        float at = x + (digits.length() == 1 ? SPACE / 2 : 0);
        for (char digit : digits.toCharArray()) {
            sign(Signs.TIME_0 + digit - '0', at, position);
            at += 1.6f * SPACE;
        }
    }

    /** Points that notes over one another want to their left: fingers and accidentals. */
    static float before(List<StaffNote> column) {
        int fingers = FingerMark.columns(FingerMark.of(column));
        return signsBefore(column) + (fingers > 0 ? fingers * FINGER_WIDE + FINGER_GAP : 0);
    }

    private static float signsBefore(List<StaffNote> column) {
        float widest = 0;
        for (StaffNote note : column) {
            boolean aside = !note.stemUp() && note.heads().stream().anyMatch(Head::aside);
            widest = Math.max(widest, SIGN * note.accidentalColumns() + (aside ? HEAD : 0));
        }
        return widest;
    }

    /** Draws the left hand's fingers before notes over one another, with the left edges of their heads at a place. */
    void fingers(List<StaffNote> column, float x) {
        float right = x - signsBefore(column) - FINGER_GAP;
        for (FingerMark mark : FingerMark.of(column)) {
            float left = right - (mark.column() + 1) * FINGER_WIDE;
            ink.text(Face.PLAIN, FINGER, left, y(mark.position()) + 0.36f * FINGER, mark.label());
        }
    }

    /**
     * Draws a bar's notes.
     *
     * @param xs left edges of their heads
     * @param rests positions of the middles of those that are rests
     */
    void notes(StaffBar.StaffVoice bar, float[] xs, int[] rests) {
        List<StaffNote> notes = bar.notes();
        float[] ends = new float[notes.size()];
        for (int i = 0; i < ends.length; i++) {
            ends[i] = y(stemEnd(notes.get(i)));
        }
        for (List<Integer> beam : bar.beams()) {
            boolean up = notes.get(beam.get(0)).stemUp();
            OptionalDouble end = up
                    ? beam.stream().mapToDouble(i -> ends[i]).min()
                    : beam.stream().mapToDouble(i -> ends[i]).max();
            beam.forEach(i -> ends[i] = (float) end.orElseThrow());
            beams(notes, beam, xs, ends[beam.get(0)]);
        }
        for (int i = 0; i < ends.length; i++) {
            StaffNote note = notes.get(i);
            int at = i;
            if (note.isRest()) {
                rest(note, xs[i], rests[i]);
                continue;
            }
            heads(note, xs[i]);
            if (!note.tied()) {
                articulations(note, xs[i]);
            }
            if (note.hasStem()) {
                stem(note, xs[i], ends[i], bar.beams().stream().noneMatch(beam -> beam.contains(at)));
            }
            if (note.tied()) {
                ties(note, i > 0 ? xs[i - 1] : xs[i] - FROM_BEFORE, xs[i]);
            }
        }
        for (List<Integer> triplet : bar.triplets()) {
            triplet(notes, triplet, xs, ends, bar.beams().contains(triplet));
        }
    }

    /** Position a stem reaches: an octave on, and to the middle line at least. */
    private static int stemEnd(StaffNote note) {
        if (note.isRest()) {
            return HIGHEST_LINE;
        }
        return note.stemUp()
                ? Math.max(note.highest() + STEM, MIDDLE_LINE)
                : Math.min(note.lowest() - STEM, MIDDLE_LINE);
    }

    /** The sign of a bar like the one before, in the middle between two places. */
    void again(float x1, float x2) {
        sign(Signs.REPEAT_BAR, (x1 + x2 - Signs.REPEAT_WIDTH * SPACE) / 2, MIDDLE_LINE);
    }

    /** The dots of a repeat, in the spaces about the middle line, their middle at a place. */
    void repeatDots(float x) {
        sign(Signs.DOT, x - DOT / 2, MIDDLE_LINE - 1);
        sign(Signs.DOT, x - DOT / 2, MIDDLE_LINE + 1);
    }

    private void rest(StaffNote note, float x, int middle) {
        int type = note.value().type();
        int sign = Signs.REST_WHOLE + Integer.numberOfTrailingZeros(type);
        sign(sign, x, type == 1 ? middle + 2 : middle);
        if (note.value().dotted()) {
            sign(Signs.DOT, x + 1.6f * SPACE, middle + 1);
        }
    }

    /**
     * Position of the middle of a rest: that of the staff, or clear of what another voice has over or under it.
     *
     * @param column what stands over one another there, the rest too
     * @param upper whether it is the upper voice that rests
     */
    static int restAt(List<StaffNote> column, boolean upper) {
        List<StaffNote> others = column.stream().filter(n -> !n.isRest()).toList();
        if (others.isEmpty()) {
            return MIDDLE_LINE;
        }
        int clear = upper
                ? others.stream().mapToInt(StaffNote::highest).max().orElseThrow() + CLEAR_OF_HEADS
                : others.stream().mapToInt(StaffNote::lowest).min().orElseThrow() - CLEAR_OF_HEADS;
        // Rests hang on lines as they do in the middle.
        int onLine = clear + (clear % 2 == 0 ? 0 : upper ? 1 : -1);
        return upper ? Math.max(MIDDLE_LINE, onLine) : Math.min(MIDDLE_LINE, onLine);
    }

    private static int head(StaffNote note) {
        if (note.event().weight() == Weight.GHOST) {
            return Signs.HEAD_X;
        }
        return switch (note.value().type()) {
            case 1 -> note.slash() ? Signs.SLASH_WHOLE : Signs.HEAD_WHOLE;
            case 2 -> note.slash() ? Signs.SLASH_HALF : Signs.HEAD_HALF;
            default -> note.slash() ? Signs.SLASH : Signs.HEAD_BLACK;
        };
    }

    private void heads(StaffNote note, float x) {
        int sign = head(note);
        boolean anyAside = note.heads().stream().anyMatch(Head::aside);
        float left = x - (anyAside && !note.stemUp() ? HEAD : 0);
        float wide = note.slash() ? Signs.slashWidth(note.value().type()) * SPACE : HEAD;
        float dots = x + (anyAside && note.stemUp() ? 2 * HEAD : wide) + 0.4f * SPACE;
        for (Head head : note.heads()) {
            int position = head.position();
            sign(sign, !head.aside() ? x : note.stemUp() ? x + HEAD : x - HEAD, position);
            if (head.accidental().isPresent() && !note.tied()) {
                sign(Signs.accidental(head.accidental().getAsInt()), left - SIGN * (head.column() + 1), position);
            }
        }
        if (note.value().dotted()) {
            for (int space : dotted(note)) {
                sign(Signs.DOT, dots, space);
            }
        }
        for (int line = -2; line >= note.lowest(); line -= 2) {
            ink.line(x - 2, y(line), x + HEAD + 2, y(line), THIN);
        }
        for (int line = HIGHEST_LINE + 2; line <= note.highest(); line += 2) {
            ink.line(x - 2, y(line), x + HEAD + 2, y(line), THIN);
        }
    }

    /** Spaces with a dot: those of the heads in them, and over heads on lines, or under them where the one over it is taken. */
    private static Set<Integer> dotted(StaffNote note) {
        Set<Integer> heads = note.heads().stream().map(Head::position).collect(Collectors.toSet());
        Set<Integer> spaces = new TreeSet<>();
        for (int position : heads) {
            boolean onLine = position % 2 == 0;
            spaces.add(!onLine ? position : heads.contains(position + 1) ? position - 1 : position + 1);
        }
        return spaces;
    }

    /** An accent and a dot on the side of the heads where there is no stem, the dot in a space of the staff. */
    private void articulations(StaffNote note, float x) {
        int way = note.stemUp() ? -1 : 1;
        int position = (note.stemUp() ? note.lowest() : note.highest()) + 2 * way;
        int below = note.stemUp() ? 1 : 0;
        if (note.event().sound() == Sound.CUT) {
            boolean onLine = position % 2 == 0 && position >= 0 && position <= HIGHEST_LINE;
            position += onLine ? way : 0;
            sign(Signs.STACCATO_ABOVE + below, x + (HEAD - 0.34f * SPACE) / 2, position);
            position += 2 * way;
        }
        if (note.event().weight() == Weight.ACCENT) {
            position = note.stemUp() ? Math.min(position, -1) : Math.max(position, HIGHEST_LINE + 1);
            sign(Signs.ACCENT_ABOVE + below, x - 0.1f * SPACE, position);
        }
    }

    /** Lines and spaces accent and dot take on their side of the heads. */
    private static int articulated(StaffNote note) {
        boolean cut = note.event().sound() == Sound.CUT;
        boolean accent = note.event().weight() == Weight.ACCENT;
        return note.tied() ? 1 : 1 + (cut ? 3 : 0) + (accent ? 4 : 0);
    }

    private static float stemX(StaffNote note, float x) {
        return note.stemUp() ? x + HEAD - THIN / 2 : x + THIN / 2;
    }

    private void stem(StaffNote note, float x, float end, boolean flagged) {
        float at = stemX(note, x);
        // The foot of a slash is where its stem begins; a cross in its place is as small as any head.
        boolean isFoot = note.slash() && note.event().weight() != Weight.GHOST;
        int from = isFoot
                ? note.lowest()
                : note.heads().get(note.stemUp() ? 0 : note.heads().size() - 1).position();
        ink.line(at, y(from), at, end, THIN);
        if (flagged && note.flags() > 0) {
            int sign = Signs.FLAG_8_UP + 2 * (note.flags() - 1) + (note.stemUp() ? 0 : 1);
            ink.sign(sign, SPACE, at - THIN / 2, end);
        }
    }

    /** The beams of a run: one over all, more where notes are shorter, a stub where only one is. */
    private void beams(List<StaffNote> notes, List<Integer> beam, float[] xs, float end) {
        boolean up = notes.get(beam.get(0)).stemUp();
        for (int level = 1; level <= 3; level++) {
            float below = end + (up ? 1 : -1) * ((level - 1) * 1.5f * BEAM + BEAM / 2);
            int i = 0;
            while (i < beam.size()) {
                int first = i;
                while (i < beam.size() && notes.get(beam.get(i)).flags() >= level) {
                    i++;
                }
                if (i > first) {
                    float x1 = stemX(notes.get(beam.get(first)), xs[beam.get(first)]);
                    float x2 = stemX(notes.get(beam.get(i - 1)), xs[beam.get(i - 1)]);
                    if (i - first == 1) {
                        x1 -= first > 0 ? SPACE : 0;
                        x2 += first > 0 ? 0 : SPACE;
                    }
                    ink.line(x1 - THIN / 2, below, x2 + THIN / 2, below, BEAM);
                }
                i++;
            }
        }
    }

    private void ties(StaffNote note, float from, float to) {
        for (Head head : note.heads()) {
            boolean over = head.position() > (note.lowest() + note.highest()) / 2 || !note.stemUp();
            float bend = over ? -SPACE : SPACE;
            ink.arc(from + HEAD + 1, to - 1, y(head.position()) + bend * 0.6f, bend);
        }
    }

    private void triplet(List<StaffNote> notes, List<Integer> triplet, float[] xs, float[] ends, boolean beamed) {
        int first = triplet.get(0);
        int last = triplet.get(triplet.size() - 1);
        boolean up = notes.get(first).stemUp();
        float below = (float)
                (up
                        ? triplet.stream().mapToDouble(i -> ends[i]).min().orElseThrow() - 3
                        : triplet.stream().mapToDouble(i -> ends[i]).max().orElseThrow() + 8);
        float middle = (xs[first] + xs[last] + HEAD) / 2;
        ink.text(Face.PLAIN, 6, middle - 2, below, "3");
        if (!beamed) {
            float line = below - 2;
            ink.line(xs[first], line, middle - 4, line, THIN);
            ink.line(middle + 4, line, xs[last] + HEAD, line, THIN);
        }
    }

    /** Lines and spaces that notes over one another take above the highest line. */
    static int above(List<StaffNote> column) {
        int highest = HIGHEST_LINE;
        for (StaffNote note : column) {
            highest = Math.max(
                    highest,
                    note.isRest()
                            ? restAt(column, true) + HALF_A_REST
                            : Math.max(note.highest() + articulated(note), stemEnd(note)));
        }
        return highest - HIGHEST_LINE;
    }

    /** Lines and spaces that notes over one another take below the lowest line. */
    static int below(List<StaffNote> column) {
        int lowest = 0;
        for (StaffNote note : column) {
            lowest = Math.min(
                    lowest,
                    note.isRest()
                            ? restAt(column, false) - HALF_A_REST
                            : Math.min(note.lowest() - articulated(note), stemEnd(note)));
        }
        return -lowest;
    }
}
