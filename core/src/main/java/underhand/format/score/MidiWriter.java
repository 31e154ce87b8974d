package underhand.format.score;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import underhand.chart.Metre;
import underhand.part.HeardNote;
import underhand.part.NoteValue;
import underhand.part.PartBar;

/**
 * Writes a Standard MIDI File (format 1, MIDI Manufacturers Association, RP-001): a track with tempo and metres, then one
 * for each guitar. Swung bars sound swung.
 */
final class MidiWriter {

    public static final int TICKS_A_QUARTER = 960;

    private static final int TEMPO = 0x51;
    private static final int TIME_SIGNATURE = 0x58;
    private static final int TRACK_NAME = 0x03;
    private static final int MARKER = 0x06;
    private static final int NYLON = 24;
    private static final int STEEL = 25;
    private static final int PAN = 10;
    private static final double SECONDS_A_MINUTE = 60;
    private static final double MICROSECONDS_A_MINUTE = 60e6;

    private MidiWriter() {}

    /** @param parts of one song, the first guitar first */
    public static byte[] write(String title, List<ScoredPart> parts) {
        try {
            Sequence sequence = new Sequence(Sequence.PPQ, TICKS_A_QUARTER);
            conduct(sequence.createTrack(), title, parts.get(0));
            for (int i = 0; i < parts.size(); i++) {
                play(sequence.createTrack(), parts.get(i), i, parts.size());
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            MidiSystem.write(sequence, 1, out);
            return out.toByteArray();
        } catch (InvalidMidiDataException e) {
            throw new IllegalStateException("a part gave what MIDI cannot hold: " + e.getMessage(), e);
        } catch (IOException e) {
            throw new UncheckedIOException("writing to memory failed", e);
        }
    }

    private static void conduct(Track track, String title, ScoredPart part) throws InvalidMidiDataException {
        meta(track, TRACK_NAME, 0, title.getBytes(StandardCharsets.UTF_8));
        Metre metre = null;
        for (PartBar bar : part.part().bars()) {
            long tick = tick(part.part().bars(), bar.from());
            if (!bar.metre().equals(metre)) {
                metre = bar.metre();
                byte unit = (byte) Integer.numberOfTrailingZeros(metre.unit());
                meta(track, TIME_SIGNATURE, tick, new byte[] {(byte) metre.beats(), unit, 24, 8});
                int quarter = (int) Math.round(
                        MICROSECONDS_A_MINUTE / part.part().arrangement().tempo() / bar.quartersABeat());
                meta(track, TEMPO, tick, new byte[] {(byte) (quarter >> 16), (byte) (quarter >> 8), (byte) quarter});
            }
            if (bar.section().filter(s -> !s.isBlank()).isPresent()) {
                meta(track, MARKER, tick, bar.section().get().getBytes(StandardCharsets.UTF_8));
            }
        }
    }

    private static void play(Track track, ScoredPart scored, int channel, int of) throws InvalidMidiDataException {
        meta(track, TRACK_NAME, 0, scored.name().getBytes(StandardCharsets.UTF_8));
        int pan = of == 1 ? 64 : channel == 0 ? 44 : 84;
        track.add(new MidiEvent(
                new ShortMessage(ShortMessage.PROGRAM_CHANGE, channel, scored.nylon() ? NYLON : STEEL, 0), 0));
        track.add(new MidiEvent(new ShortMessage(ShortMessage.CONTROL_CHANGE, channel, PAN, pan), 0));
        List<PartBar> bars = scored.part().bars();
        for (HeardNote note : scored.part().heard()) {
            double late = note.seconds() * scored.part().arrangement().tempo() / SECONDS_A_MINUTE;
            long from = sounding(bars, note.beat() + late);
            long until = Math.max(from + 1, sounding(bars, note.beat() + note.beats()));
            track.add(
                    new MidiEvent(new ShortMessage(ShortMessage.NOTE_ON, channel, note.midi(), note.velocity()), from));
            track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_OFF, channel, note.midi(), 0), until));
        }
    }

    /** Ticks from the start of the song to a moment that was swung already; a song may ring on past its end. */
    private static long sounding(List<PartBar> bars, double beat) {
        double quarters = 0;
        for (int i = 0; i < bars.size(); i++) {
            PartBar bar = bars.get(i);
            if (beat < bar.from() + bar.beats() - 1e-9 || i == bars.size() - 1) {
                return Math.round((quarters + (beat - bar.from()) * bar.quartersABeat()) * TICKS_A_QUARTER);
            }
            quarters += bar.beats() * bar.quartersABeat();
        }
        return 0;
    }

    /** Ticks from the start of the song to a beat, swung where its bar swings. */
    static long tick(List<PartBar> bars, double beat) {
        double quarters = 0;
        for (PartBar bar : bars) {
            if (beat < bar.from() + bar.beats() - 1e-9) {
                quarters += bar.swung(beat - bar.from()) * bar.quartersABeat();
                break;
            }
            quarters += bar.beats() * bar.quartersABeat();
        }
        return Math.round(quarters * NoteValue.PER_QUARTER) * (TICKS_A_QUARTER / NoteValue.PER_QUARTER);
    }

    private static void meta(Track track, int type, long tick, byte[] data) throws InvalidMidiDataException {
        track.add(new MidiEvent(new MetaMessage(type, data, data.length), tick));
    }
}
