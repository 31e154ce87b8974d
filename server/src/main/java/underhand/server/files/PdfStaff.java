package underhand.server.files;

import java.io.IOException;
import java.util.List;
import java.util.OptionalDouble;
import underhand.chart.Metre;
import underhand.format.staff.StaffBar;
import underhand.format.staff.StaffKey;
import underhand.format.staff.StaffNote;
import underhand.format.staff.StaffNote.Head;
import underhand.hand.Grip;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;
import underhand.server.files.PdfType.Face;

/** Draws bars on a staff of five lines whose highest line is so far below the place reached on the page. */
final class PdfStaff {

    /** Points between two lines. */
    static final float SPACE = 4.6f;

    static final float HEIGHT = 4 * SPACE;

    /** Lines and spaces a stem is long. */
    static final int STEM = 7;

    private static final int HIGHEST_LINE = 8;
    private static final int MIDDLE_LINE = 4;
    private static final float HEAD = MusicFont.HEAD_WIDTH * SPACE;
    private static final float THIN = 0.6f;
    private static final float BEAM = 0.5f * SPACE;
    private static final float SIGN = 1.1f * SPACE;
    private static final float FINGER = 6.5f;
    private static final float FINGER_WIDE = 0.65f * FINGER;

    /** From a finger to its head: past a ledger line. */
    private static final float FINGER_GAP = 2.6f;

    /** How far a tie reaches back that comes over the bar line. */
    private static final float FROM_BEFORE = 3 * SPACE;

    private final PdfCanvas page;
    private final float top;

    PdfStaff(PdfCanvas page, float top) {
        this.page = page;
        this.top = top;
    }

    private float y(double position) {
        return top + (float) (HIGHEST_LINE - position) * SPACE / 2;
    }

    private void sign(int sign, float x, double position) throws IOException {
        MusicFont.draw(page, sign, x, y(position), SPACE);
    }

    void lines(float x1, float x2) throws IOException {
        for (int line = 0; line <= HIGHEST_LINE; line += 2) {
            page.line(x1, y(line), x2, y(line), 0.5f);
        }
    }

    /** Points a clef with its key takes. */
    static float headWidth(StaffKey key) {
        return 3.6f * SPACE + SIGN * Math.abs(key.fifths());
    }

    void head(float x, StaffKey key) throws IOException {
        sign(MusicFont.GUITAR_CLEF, x + 2, 2);
        float at = x + 3.4f * SPACE;
        for (int position : key.positions()) {
            sign(key.fifths() < 0 ? MusicFont.FLAT : MusicFont.SHARP, at, position);
            at += SIGN;
        }
    }

    /** Points a metre takes. */
    static final float METRE = 2.8f * SPACE;

    void metre(float x, Metre metre) throws IOException {
        number(x, 6, metre.beats());
        number(x, 2, metre.unit());
    }

    private void number(float x, int position, int number) throws IOException {
        String digits = Integer.toString(number);
        float at = x + (digits.length() == 1 ? SPACE / 2 : 0);
        for (char digit : digits.toCharArray()) {
            sign(MusicFont.TIME_0 + digit - '0', at, position);
            at += 1.6f * SPACE;
        }
    }

    /** Points a note wants to its left: fingers and accidentals. */
    static float before(StaffNote note) {
        boolean aside = !note.stemUp() && note.heads().stream().anyMatch(Head::aside);
        return SIGN * note.accidentalColumns()
                + (note.isFingered() ? FINGER_WIDE + FINGER_GAP : 0)
                + (aside ? HEAD : 0);
    }

    /** Draws a bar's notes with the left edges of their heads at the places given. */
    void notes(StaffBar.StaffVoice bar, float[] xs) throws IOException {
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
                rest(note, xs[i]);
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
    void again(float x1, float x2) throws IOException {
        sign(MusicFont.REPEAT_BAR, (x1 + x2 - MusicFont.REPEAT_WIDTH * SPACE) / 2, MIDDLE_LINE);
    }

    private void rest(StaffNote note, float x) throws IOException {
        int type = note.value().type();
        int sign = MusicFont.REST_WHOLE + Integer.numberOfTrailingZeros(type);
        sign(sign, x, type == 1 ? MIDDLE_LINE + 2 : MIDDLE_LINE);
        if (note.value().dotted()) {
            sign(MusicFont.DOT, x + 1.6f * SPACE, MIDDLE_LINE + 1);
        }
    }

    private static int head(StaffNote note) {
        if (note.event().weight() == Weight.GHOST) {
            return MusicFont.HEAD_X;
        }
        return switch (note.value().type()) {
            case 1 -> note.slash() ? MusicFont.SLASH_WHOLE : MusicFont.HEAD_WHOLE;
            case 2 -> note.slash() ? MusicFont.SLASH_HALF : MusicFont.HEAD_HALF;
            default -> note.slash() ? MusicFont.SLASH : MusicFont.HEAD_BLACK;
        };
    }

    private void heads(StaffNote note, float x) throws IOException {
        int sign = head(note);
        boolean anyAside = note.heads().stream().anyMatch(Head::aside);
        float left = x - (anyAside && !note.stemUp() ? HEAD : 0);
        float wide = note.slash() ? MusicFont.slashWidth(note.value().type()) * SPACE : HEAD;
        float dots = x + (anyAside && note.stemUp() ? 2 * HEAD : wide) + 0.4f * SPACE;
        for (Head head : note.heads()) {
            int position = head.position();
            sign(sign, !head.aside() ? x : note.stemUp() ? x + HEAD : x - HEAD, position);
            if (head.accidental().isPresent() && !note.tied()) {
                sign(accidental(head.accidental().getAsInt()), left - SIGN * (head.column() + 1), position);
            }
            if (note.value().dotted()) {
                sign(MusicFont.DOT, dots, position % 2 == 0 ? position + 1 : position);
            }
        }
        if (note.isFingered()) {
            fingers(note, left - SIGN * note.accidentalColumns());
        }
        for (int line = -2; line >= note.lowest(); line -= 2) {
            page.line(x - 2, y(line), x + HEAD + 2, y(line), THIN);
        }
        for (int line = HIGHEST_LINE + 2; line <= note.highest(); line += 2) {
            page.line(x - 2, y(line), x + HEAD + 2, y(line), THIN);
        }
    }

    /** An accent and a dot on the side of the heads where there is no stem, the dot in a space of the staff. */
    private void articulations(StaffNote note, float x) throws IOException {
        int way = note.stemUp() ? -1 : 1;
        int position = (note.stemUp() ? note.lowest() : note.highest()) + 2 * way;
        int below = note.stemUp() ? 1 : 0;
        if (note.event().sound() == Sound.CUT) {
            boolean onLine = position % 2 == 0 && position >= 0 && position <= HIGHEST_LINE;
            position += onLine ? way : 0;
            sign(MusicFont.STACCATO_ABOVE + below, x + (HEAD - 0.34f * SPACE) / 2, position);
            position += 2 * way;
        }
        if (note.event().weight() == Weight.ACCENT) {
            position = note.stemUp() ? Math.min(position, -1) : Math.max(position, HIGHEST_LINE + 1);
            sign(MusicFont.ACCENT_ABOVE + below, x - 0.1f * SPACE, position);
        }
    }

    /** Lines and spaces accent and dot take on their side of the heads. */
    private static int articulated(StaffNote note) {
        boolean cut = note.event().sound() == Sound.CUT;
        boolean accent = note.event().weight() == Weight.ACCENT;
        return note.tied() ? 1 : 1 + (cut ? 3 : 0) + (accent ? 4 : 0);
    }

    /** The left hand's fingers before the heads; where two would touch, one stands farther out. */
    private void fingers(StaffNote note, float right) throws IOException {
        int before = Integer.MIN_VALUE;
        for (Head head : note.heads()) {
            int finger = head.note().leftFinger();
            if (note.event().fingered().contains(head.note().string())) {
                boolean touches = head.position() - before < 2;
                String label = finger == Grip.THUMB ? "T" : Integer.toString(finger);
                float x = right - FINGER_GAP - (touches ? 2 : 1) * FINGER_WIDE;
                page.text(Face.PLAIN, FINGER, x, y(head.position()) + 0.36f * FINGER, label);
                before = touches ? Integer.MIN_VALUE : head.position();
            }
        }
    }

    private static int accidental(int alteration) {
        return switch (alteration) {
            case -2 -> MusicFont.DOUBLE_FLAT;
            case -1 -> MusicFont.FLAT;
            case 1 -> MusicFont.SHARP;
            case 2 -> MusicFont.DOUBLE_SHARP;
            default -> MusicFont.NATURAL;
        };
    }

    private static float stemX(StaffNote note, float x) {
        return note.stemUp() ? x + HEAD - THIN / 2 : x + THIN / 2;
    }

    private void stem(StaffNote note, float x, float end, boolean flagged) throws IOException {
        float at = stemX(note, x);
        // The foot of a slash is where its stem begins; a cross in its place is as small as any head.
        boolean isFoot = note.slash() && note.event().weight() != Weight.GHOST;
        int from = isFoot
                ? note.lowest()
                : note.heads().get(note.stemUp() ? 0 : note.heads().size() - 1).position();
        page.line(at, y(from), at, end, THIN);
        if (flagged && note.flags() > 0) {
            int sign = MusicFont.FLAG_8_UP + 2 * (note.flags() - 1) + (note.stemUp() ? 0 : 1);
            MusicFont.draw(page, sign, at - THIN / 2, end, SPACE);
        }
    }

    /** The beams of a run: one over all, more where notes are shorter, a stub where only one is. */
    private void beams(List<StaffNote> notes, List<Integer> beam, float[] xs, float end) throws IOException {
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
                    page.line(x1 - THIN / 2, below, x2 + THIN / 2, below, BEAM);
                }
                i++;
            }
        }
    }

    private void ties(StaffNote note, float from, float to) throws IOException {
        for (Head head : note.heads()) {
            boolean over = head.position() > (note.lowest() + note.highest()) / 2 || !note.stemUp();
            float bend = over ? -SPACE : SPACE;
            page.arc(from + HEAD + 1, to - 1, y(head.position()) + bend * 0.6f, bend);
        }
    }

    private void triplet(List<StaffNote> notes, List<Integer> triplet, float[] xs, float[] ends, boolean beamed)
            throws IOException {
        int first = triplet.get(0);
        int last = triplet.get(triplet.size() - 1);
        boolean up = notes.get(first).stemUp();
        float below = (float)
                (up
                        ? triplet.stream().mapToDouble(i -> ends[i]).min().orElseThrow() - 3
                        : triplet.stream().mapToDouble(i -> ends[i]).max().orElseThrow() + 8);
        float middle = (xs[first] + xs[last] + HEAD) / 2;
        page.text(Face.PLAIN, 6, middle - 2, below, "3");
        if (!beamed) {
            float line = below - 2;
            page.line(xs[first], line, middle - 4, line, THIN);
            page.line(middle + 4, line, xs[last] + HEAD, line, THIN);
        }
    }

    /** Lines and spaces a note with its stem takes above the highest line. */
    static int above(StaffNote note) {
        return note.isRest() ? 0 : Math.max(note.highest() + articulated(note), stemEnd(note)) - HIGHEST_LINE;
    }

    /** Lines and spaces a note with its stem takes below the lowest line. */
    static int below(StaffNote note) {
        return note.isRest() ? 0 : -Math.min(note.lowest() - articulated(note), stemEnd(note));
    }
}
