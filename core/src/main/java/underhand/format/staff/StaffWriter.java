package underhand.format.staff;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import underhand.chart.Metre;
import underhand.format.staff.StaffNote.Head;
import underhand.part.Notation;
import underhand.part.NoteValue;
import underhand.part.Part;
import underhand.part.PlayedNote;
import underhand.part.Spelling;
import underhand.pitch.Note;
import underhand.pitch.SpelledPitch;

/**
 * Writes a part on a guitar's staff: treble clef, sounding an octave lower, in the key of the shapes, as if there were no
 * capo. Stems, beams and accidentals follow common practice: an accidental holds for its line to the end of the bar, a stem
 * points from the outermost note towards the middle line, a beam keeps within a beat.
 */
public final class StaffWriter {

    /** Step of E4, on the lowest line. */
    private static final int LOWEST_LINE = new SpelledPitch(Note.parse("E"), 4).step();

    private static final int MIDDLE_LINE = 4;

    /** Lines and spaces the clef lies above what sounds. */
    private static final int AN_OCTAVE_UP = 7;

    /** Accidentals this many lines and spaces apart do not touch. */
    private static final int APART = 6;

    private final Spelling spelling;
    private final StaffKey signature;
    private final boolean withSlashes;

    private StaffWriter(Part part, boolean withSlashes) {
        this.withSlashes = withSlashes;
        this.spelling = Spelling.fingered(part);
        this.signature = new StaffKey(spelling.key().fifths());
    }

    /** Key signature of a part's staff. */
    public static StaffKey key(Part part) {
        return new StaffWriter(part, false).signature;
    }

    /** @param withSlashes whether strums are slashes in their rhythm, where no tune is over them */
    public static List<StaffBar> write(Part part, boolean withSlashes) {
        StaffWriter writer = new StaffWriter(part, withSlashes);
        return Notation.of(part).stream().map(writer::bar).toList();
    }

    private StaffBar bar(Notation.WrittenBar written) {
        List<List<Notation.Event>> voices = written.voices();
        List<StaffBar.StaffVoice> drawn = new ArrayList<>();
        for (int i = 0; i < voices.size(); i++) {
            // Of two voices the stems of the upper point up, those of the lower down.
            Optional<Boolean> up = voices.size() > 1 ? Optional.of(i == 0) : Optional.empty();
            drawn.add(voice(voices.get(i), written.bar().metre(), up, withSlashes && written.isOneVoice()));
        }
        return new StaffBar(written, drawn);
    }

    private StaffBar.StaffVoice voice(
            List<Notation.Event> events, Metre metre, Optional<Boolean> stemsUp, boolean slashes) {
        List<StaffNote> notes = new ArrayList<>();
        Map<Integer, Integer> altered = new HashMap<>();
        for (Notation.Event event : events) {
            int at = event.from();
            for (int i = 0; i < event.values().size(); i++) {
                NoteValue value = event.values().get(i);
                boolean tied = i > 0 || event.fromBefore();
                StaffNote note = slashes && event.isStrum()
                        ? slash(event, value, at, tied)
                        : note(event, value, at, tied, altered);
                notes.add(note.isRest() || stemsUp.isEmpty() ? note : stemmed(note, stemsUp.get()));
                at += value.length();
            }
        }
        List<List<Integer>> beams = beams(notes, beatLength(metre));
        for (List<Integer> beam : beams) {
            boolean up = stemsUp.orElseGet(() -> stemUp(
                    beam.stream().mapToInt(i -> notes.get(i).lowest()).min().orElseThrow(),
                    beam.stream().mapToInt(i -> notes.get(i).highest()).max().orElseThrow()));
            beam.forEach(i -> notes.set(i, stemmed(notes.get(i), up)));
        }
        return new StaffBar.StaffVoice(List.copyOf(notes), beams, triplets(notes));
    }

    private StaffNote note(
            Notation.Event event, NoteValue value, int from, boolean tied, Map<Integer, Integer> altered) {
        List<Head> heads = new ArrayList<>();
        event.notes().stream()
                .sorted(Comparator.comparingInt(PlayedNote::midi))
                .forEach(note -> heads.add(head(note, event.place(), altered)));
        heads.sort(Comparator.comparingInt(Head::position));
        if (heads.isEmpty()) {
            return new StaffNote(event, value, from, tied, List.of(), true, false);
        }
        boolean up = stemUp(heads.get(0).position(), heads.get(heads.size() - 1).position());
        return stemmed(new StaffNote(event, value, from, tied, inColumns(heads), up, false), up);
    }

    private static StaffNote slash(Notation.Event event, NoteValue value, int from, boolean tied) {
        Head head = new Head(event.notes().get(0), MIDDLE_LINE, OptionalInt.empty(), 0, false);
        return new StaffNote(event, value, from, tied, List.of(head), false, true);
    }

    private Head head(PlayedNote note, int place, Map<Integer, Integer> altered) {
        SpelledPitch pitch = spelling.of(note, place);
        int position = pitch.step() + AN_OCTAVE_UP - LOWEST_LINE;
        int alteration = pitch.note().alteration();
        int holds =
                altered.getOrDefault(position, signature.alteration(pitch.note().letter()));
        altered.put(position, alteration);
        OptionalInt accidental = alteration == holds ? OptionalInt.empty() : OptionalInt.of(alteration);
        return new Head(note, position, accidental, 0, false);
    }

    /** Accidentals from the top down, each in the first column where it touches no other. */
    private static List<Head> inColumns(List<Head> heads) {
        List<Integer> lowestInColumn = new ArrayList<>();
        Head[] placed = heads.toArray(Head[]::new);
        for (int i = placed.length - 1; i >= 0; i--) {
            Head head = placed[i];
            if (head.accidental().isPresent()) {
                int column = 0;
                while (column < lowestInColumn.size() && lowestInColumn.get(column) - head.position() < APART) {
                    column++;
                }
                if (column == lowestInColumn.size()) {
                    lowestInColumn.add(head.position());
                } else {
                    lowestInColumn.set(column, head.position());
                }
                placed[i] = new Head(head.note(), head.position(), head.accidental(), column, head.aside());
            }
        }
        return List.of(placed);
    }

    private static boolean stemUp(int lowest, int highest) {
        return MIDDLE_LINE - lowest > highest - MIDDLE_LINE;
    }

    /** A note with its stem one way: of two heads side by side the one farther along the stem stands aside. */
    private static StaffNote stemmed(StaffNote note, boolean up) {
        Head[] heads = note.heads().toArray(Head[]::new);
        int last = heads.length - 1;
        for (int i = 0; i <= last; i++) {
            int at = up ? i : last - i;
            int before = up ? at - 1 : at + 1;
            boolean beside = i > 0 && Math.abs(heads[at].position() - heads[before].position()) <= 1;
            boolean aside = beside && !heads[before].aside();
            Head head = heads[at];
            heads[at] = new Head(head.note(), head.position(), head.accidental(), head.column(), aside);
        }
        return new StaffNote(note.event(), note.value(), note.from(), note.tied(), List.of(heads), up, note.slash());
    }

    /** Length within which notes share a beam: three of the unit where beats are threes, else a quarter at most. */
    static int beatLength(Metre metre) {
        int unit = 4 * NoteValue.PER_QUARTER / metre.unit();
        boolean inThrees = metre.unit() >= 8 && metre.beats() % 3 == 0;
        return inThrees ? 3 * unit : Math.max(unit, NoteValue.PER_QUARTER);
    }

    private static List<List<Integer>> beams(List<StaffNote> notes, int beat) {
        List<List<Integer>> beams = new ArrayList<>();
        List<Integer> run = new ArrayList<>();
        for (int i = 0; i < notes.size(); i++) {
            StaffNote note = notes.get(i);
            boolean goesOn = !run.isEmpty()
                    && note.from() / beat == notes.get(run.get(0)).from() / beat;
            if (!goesOn || note.flags() == 0 || note.isRest()) {
                close(run, beams, 2);
            }
            if (note.flags() > 0 && !note.isRest()) {
                run.add(i);
            }
        }
        close(run, beams, 2);
        return beams;
    }

    private static List<List<Integer>> triplets(List<StaffNote> notes) {
        List<List<Integer>> triplets = new ArrayList<>();
        List<Integer> run = new ArrayList<>();
        int length = 0;
        for (int i : IntStream.range(0, notes.size()).toArray()) {
            NoteValue value = notes.get(i).value();
            if (!value.triplet()) {
                close(run, triplets, 1);
                length = 0;
                continue;
            }
            run.add(i);
            length += value.length();
            if (length % (NoteValue.PER_QUARTER / 2) == 0) {
                close(run, triplets, 1);
                length = 0;
            }
        }
        close(run, triplets, 1);
        return triplets;
    }

    private static void close(List<Integer> run, List<List<Integer>> runs, int fewest) {
        if (run.size() >= fewest) {
            runs.add(List.copyOf(run));
        }
        run.clear();
    }
}
