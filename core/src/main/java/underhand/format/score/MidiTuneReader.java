package underhand.format.score;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.input.FormatException;
import underhand.pitch.Pitch;

/**
 * Lays the tune of a Standard MIDI File over a chart, from its first bar on: the highest note of the track that sings
 * highest, to the nearest twelfth of a quarter. The file's tempo and metres are not asked.
 */
final class MidiTuneReader {

    private static final int STEPS = 12;
    private static final int DRUMS = 9;
    private static final int HIGHEST_MIDI = 127;
    private static final int MOST_NOTES = 100_000;

    private MidiTuneReader() {}

    public static boolean is(byte[] bytes) {
        return bytes.length > 4 && bytes[0] == 'M' && bytes[1] == 'T' && bytes[2] == 'h' && bytes[3] == 'd';
    }

    private record Sung(double from, double until, int midi) {}

    /** @throws FormatException when it is no MIDI file, or none with notes */
    public static ReadScore into(Chart chart, byte[] bytes) {
        Set<String> dropped = new LinkedHashSet<>();
        List<Sung> tune = oneVoice(track(sequence(bytes), dropped), dropped);
        List<Section> sections = new ArrayList<>();
        double quarter = 0;
        for (Section section : chart.sections()) {
            List<Bar> bars = new ArrayList<>();
            for (Bar bar : section.bars()) {
                double unit = 4.0 / bar.metre().unit();
                List<Placement> placements = new ArrayList<>();
                for (Placement placement : bar.placements()) {
                    double until = quarter + placement.beats() * unit;
                    placements.add(placement.withTune(notes(tune, quarter, until, unit)));
                    quarter = until;
                }
                bars.add(bar.with(placements));
            }
            sections.add(new Section(section.name(), section.key(), bars));
        }
        double end = quarter;
        if (tune.stream().anyMatch(n -> n.from() >= end)) {
            dropped.add("notes after the song's last bar");
        }
        return new ReadScore(chart.withSections(sections), List.copyOf(dropped));
    }

    private static Sequence sequence(byte[] bytes) {
        try {
            Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(bytes));
            if (sequence.getDivisionType() != Sequence.PPQ || sequence.getResolution() <= 0) {
                throw FormatException.inFile("This MIDI file counts in film frames, not in beats.", 0, 0);
            }
            return sequence;
        } catch (InvalidMidiDataException | IOException e) {
            throw FormatException.inFile("This is no MIDI file that can be read.", 0, 0);
        } catch (RuntimeException e) {
            if (e instanceof FormatException) {
                throw e;
            }
            throw FormatException.inFile("This MIDI file is damaged and cannot be read.", 0, 0);
        }
    }

    /** Notes of the track whose notes lie highest, in quarters. */
    private static List<Sung> track(Sequence sequence, Set<String> dropped) {
        List<List<Sung>> tracks = new ArrayList<>();
        for (Track track : sequence.getTracks()) {
            List<Sung> notes = notes(track, sequence.getResolution());
            if (!notes.isEmpty()) {
                tracks.add(notes);
            }
        }
        if (tracks.size() > 1) {
            dropped.add("the other tracks of the file");
        }
        return tracks.stream()
                .max(Comparator.comparingDouble(
                        t -> t.stream().mapToInt(Sung::midi).average().orElse(0)))
                .orElseThrow(() -> FormatException.inFile("There are no notes in this MIDI file.", 0, 0));
    }

    private static List<Sung> notes(Track track, int resolution) {
        double[] since = new double[128];
        Arrays.fill(since, -1);
        List<Sung> notes = new ArrayList<>();
        for (int i = 0; i < track.size() && notes.size() < MOST_NOTES; i++) {
            MidiEvent event = track.get(i);
            if (event.getMessage() instanceof ShortMessage message && message.getChannel() != DRUMS) {
                boolean on = message.getCommand() == ShortMessage.NOTE_ON && message.getData2() > 0;
                boolean off = message.getCommand() == ShortMessage.NOTE_OFF
                        || message.getCommand() == ShortMessage.NOTE_ON && message.getData2() == 0;
                double at = Math.rint((double) event.getTick() / resolution * STEPS) / STEPS;
                int midi = message.getData1() & HIGHEST_MIDI;
                if (off && since[midi] >= 0) {
                    notes.add(new Sung(since[midi], Math.max(at, since[midi] + 1.0 / STEPS), midi));
                    since[midi] = -1;
                } else if (on) {
                    since[midi] = at;
                }
            }
        }
        notes.sort(Comparator.comparingDouble(Sung::from)
                .thenComparing(Comparator.comparingInt(Sung::midi).reversed()));
        return notes;
    }

    /** One note at a time: of those that begin together the highest, each until the next. */
    private static List<Sung> oneVoice(List<Sung> notes, Set<String> dropped) {
        List<Sung> voice = new ArrayList<>();
        for (Sung note : notes) {
            int last = voice.size() - 1;
            if (last >= 0 && voice.get(last).from() == note.from()) {
                dropped.add("the lower notes of chords in the tune");
                continue;
            }
            if (last >= 0 && voice.get(last).until() > note.from()) {
                voice.set(
                        last,
                        new Sung(
                                voice.get(last).from(),
                                note.from(),
                                voice.get(last).midi()));
            }
            voice.add(note);
        }
        return voice;
    }

    private static List<TuneNote> notes(List<Sung> tune, double from, double until, double unit) {
        List<TuneNote> notes = new ArrayList<>();
        for (Sung note : tune) {
            double begins = Math.max(from, note.from());
            double ends = Math.min(until, note.until());
            if (ends - begins > 1e-6) {
                notes.add(new TuneNote(
                        Pitch.ofMidi(note.midi()),
                        (begins - from) / unit,
                        (ends - begins) / unit,
                        note.from() < from - 1e-6));
            }
        }
        return notes;
    }
}
