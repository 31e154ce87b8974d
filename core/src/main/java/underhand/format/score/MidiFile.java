package underhand.format.score;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import underhand.chart.Metre;
import underhand.input.FormatException;

/**
 * What of a Standard MIDI File tells of a tune: its voices, a track's channels apart and drums left out, its first metre and
 * tempo. Times are in quarters, to the nearest twelfth.
 *
 * @param title name of the first track, where it has no notes of its own; blank where there is none
 * @param tempo quarters a minute; empty where the file states none
 * @param voices those with notes
 */
record MidiFile(String title, Optional<Metre> metre, boolean metreChanges, Optional<Double> tempo, List<Voice> voices) {

    /** Notes a file may have. */
    private static final int MOST_NOTES = 100_000;

    private static final int STEPS = 12;
    private static final int DRUMS = 9;
    private static final int HIGHEST_MIDI = 127;
    private static final int NAME = 0x03;
    private static final int TEMPO = 0x51;
    private static final int TIME_SIGNATURE = 0x58;
    private static final double MICROSECONDS_A_MINUTE = 60e6;
    private static final int LONGEST_NAME = 60;

    /** A note, in quarters from the start. */
    record Sung(double from, double until, int midi) {}

    /**
     * Notes that belong together.
     *
     * @param name as the file has it; blank where it has none
     * @param notes in the order they begin, of those that begin together the highest first
     */
    record Voice(String name, List<Sung> notes) {
        Voice {
            notes = List.copyOf(notes);
        }
    }

    static boolean is(byte[] bytes) {
        return bytes.length > 4 && bytes[0] == 'M' && bytes[1] == 'T' && bytes[2] == 'h' && bytes[3] == 'd';
    }

    /** @throws FormatException when it is no MIDI file, or none with notes */
    static MidiFile read(byte[] bytes) {
        Sequence sequence = sequence(bytes);
        List<Voice> voices = new ArrayList<>();
        List<byte[]> metres = new ArrayList<>();
        Optional<Double> tempo = Optional.empty();
        String title = "";
        for (int i = 0; i < sequence.getTracks().length; i++) {
            Track track = sequence.getTracks()[i];
            List<Voice> its = voices(track, sequence.getResolution());
            voices.addAll(its);
            if (i == 0 && its.isEmpty()) {
                title = meta(track, NAME).stream()
                        .findFirst()
                        .map(MidiFile::text)
                        .orElse("");
            }
            metres.addAll(meta(track, TIME_SIGNATURE));
            tempo = tempo.or(() -> meta(track, TEMPO).stream().findFirst().flatMap(MidiFile::tempo));
        }
        if (voices.isEmpty()) {
            throw FormatException.inFile("There are no notes in this MIDI file.", 0, 0);
        }
        List<Metre> read =
                metres.stream().map(MidiFile::metre).flatMap(Optional::stream).toList();
        return new MidiFile(
                title, read.stream().findFirst(), read.stream().distinct().count() > 1, tempo, voices);
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

    private static List<byte[]> meta(Track track, int type) {
        List<byte[]> found = new ArrayList<>();
        for (int i = 0; i < track.size(); i++) {
            if (track.get(i).getMessage() instanceof MetaMessage meta && meta.getType() == type) {
                found.add(meta.getData());
            }
        }
        return found;
    }

    private static String text(byte[] bytes) {
        String text = new String(bytes, StandardCharsets.UTF_8)
                .replaceAll("[^\\p{L}\\p{N}\\p{P} ]", " ")
                .replaceAll("\\s+", " ")
                .strip();
        return text.substring(0, Math.min(LONGEST_NAME, text.length()));
    }

    private static Optional<Double> tempo(byte[] data) {
        int microseconds = data.length < 3 ? 0 : (data[0] & 0xff) << 16 | (data[1] & 0xff) << 8 | data[2] & 0xff;
        return microseconds == 0 ? Optional.empty() : Optional.of(MICROSECONDS_A_MINUTE / microseconds);
    }

    private static Optional<Metre> metre(byte[] data) {
        boolean readable = data.length >= 2 && data[0] >= 1 && data[0] <= 16 && data[1] >= 0 && data[1] <= 4;
        return readable ? Optional.of(new Metre(data[0], 1 << data[1])) : Optional.empty();
    }

    /** Notes of a track by its channels, drums left out. */
    private static List<Voice> voices(Track track, int resolution) {
        Map<Integer, List<Sung>> notes = new TreeMap<>();
        double[][] since = new double[16][128];
        for (double[] channel : since) {
            Arrays.fill(channel, -1);
        }
        int count = 0;
        for (int i = 0; i < track.size() && count < MOST_NOTES; i++) {
            MidiEvent event = track.get(i);
            if (event.getMessage() instanceof ShortMessage message && message.getChannel() != DRUMS) {
                boolean on = message.getCommand() == ShortMessage.NOTE_ON && message.getData2() > 0;
                boolean off = message.getCommand() == ShortMessage.NOTE_OFF
                        || message.getCommand() == ShortMessage.NOTE_ON && message.getData2() == 0;
                double at = Math.rint((double) event.getTick() / resolution * STEPS) / STEPS;
                int midi = message.getData1() & HIGHEST_MIDI;
                double[] begun = since[message.getChannel()];
                if (off && begun[midi] >= 0) {
                    notes.computeIfAbsent(message.getChannel(), c -> new ArrayList<>())
                            .add(new Sung(begun[midi], Math.max(at, begun[midi] + 1.0 / STEPS), midi));
                    begun[midi] = -1;
                    count++;
                } else if (on) {
                    begun[midi] = at;
                }
            }
        }
        String name = meta(track, NAME).stream().findFirst().map(MidiFile::text).orElse("");
        return notes.entrySet().stream()
                .map(e -> new Voice(
                        notes.size() == 1 ? name : (name + " channel " + (e.getKey() + 1)).strip(),
                        e.getValue().stream()
                                .sorted(Comparator.comparingDouble(Sung::from)
                                        .thenComparing(Comparator.comparingInt(Sung::midi)
                                                .reversed()))
                                .toList()))
                .toList();
    }
}
