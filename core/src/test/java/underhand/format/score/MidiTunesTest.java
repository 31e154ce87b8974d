package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Collectors;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.accompany.TuneChords;
import underhand.chart.Chart;
import underhand.chart.Placement;
import underhand.chart.TuneNote;
import underhand.format.text.ChartTextReader;
import underhand.format.text.ChartTextWriter;
import underhand.input.FormatException;
import underhand.input.RangeException;
import underhand.solo.Tunes;

/** Tunes from Standard MIDI Files, written with the platform's own sequencer: voices, metre, tempo, pick-ups. */
class MidiTunesTest {

    private static final int QUARTER = 480;

    /** A file under construction. */
    private static final class File {
        private final Sequence sequence;
        private Track track;

        File() throws Exception {
            sequence = new Sequence(Sequence.PPQ, QUARTER);
            track = sequence.createTrack();
        }

        File track(String name) throws Exception {
            track = sequence.createTrack();
            return meta(0x03, name.getBytes(StandardCharsets.UTF_8));
        }

        File meta(int type, byte[] data) throws Exception {
            track.add(new MidiEvent(new MetaMessage(type, data, data.length), 0));
            return this;
        }

        File title(String name) throws Exception {
            return meta(0x03, name.getBytes(StandardCharsets.UTF_8));
        }

        File metre(int beats, int unit) throws Exception {
            return meta(0x58, new byte[] {(byte) beats, (byte) Integer.numberOfTrailingZeros(unit), 24, 8});
        }

        File tempo(int quarters) throws Exception {
            int us = 60_000_000 / quarters;
            return meta(0x51, new byte[] {(byte) (us >> 16), (byte) (us >> 8), (byte) us});
        }

        /** A note by its pitch, where it begins and how long it lasts, in quarters. */
        File note(int channel, int midi, double from, double length) throws Exception {
            long at = Math.round(from * QUARTER);
            track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_ON, channel, midi, 80), at));
            track.add(new MidiEvent(
                    new ShortMessage(ShortMessage.NOTE_OFF, channel, midi, 0), at + Math.round(length * QUARTER)));
            return this;
        }

        byte[] bytes() throws Exception {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            MidiSystem.write(sequence, 1, out);
            return out.toByteArray();
        }
    }

    private static Chart read(String text) {
        return ChartTextReader.read(text).chart();
    }

    private static String tune(ReadScore read) {
        return read.chart().placements().stream()
                .flatMap(p -> p.placement().tune().stream())
                .map(n -> n.pitch() + ":" + n.beats())
                .collect(Collectors.joining(" "));
    }

    private static ReadScore over(Chart chart, byte[] file) {
        return MidiTuneReader.into(chart, file, OptionalInt.empty(), 0);
    }

    @Test
    void tune_isLaidOverTheChart() throws Exception {
        Chart chart = read("key: C\n| C F | G |");
        byte[] file = new File()
                .note(0, 64, 0, 1)
                .note(0, 67, 1, 2)
                .note(0, 60, 1, 2)
                .note(0, 71, 4, 4)
                .note(0, 72, 8.5, 1)
                .bytes();
        ReadScore read = over(chart, file);
        assertEquals("E4:1.0 G4:1.0 G4:1.0 B4:4.0", tune(read));
        assertEquals(
                List.of("the lower notes of chords in the tune", "notes after the song's last bar"), read.dropped());
        Chart again = ChartTextReader.read(ChartTextWriter.write(read.chart())).chart();
        assertEquals(read.chart().sections(), again.sections());
    }

    private static byte[] band() throws Exception {
        return new File()
                .title("Harbour Air")
                .metre(3, 4)
                .tempo(108)
                .track("Voice")
                .note(0, 64, 0, 3)
                .note(0, 67, 3, 3)
                .track("Bass")
                .note(1, 40, 0, 3)
                .note(1, 43, 3, 2)
                .note(1, 42, 5, 1)
                .track("Drums")
                .note(9, 90, 0, 1)
                .bytes();
    }

    @Test
    void voices_areNamedAndChosen_drumsAreNone() throws Exception {
        Chart chart = read("metre: 3/4\ntempo: 108\n| C | G |");
        ReadScore highest = over(chart, band());
        assertEquals(
                List.of(new ReadScore.Voice("Voice", 2, "E4", "G4"), new ReadScore.Voice("Bass", 3, "E2", "G2")),
                highest.tune().orElseThrow().voices());
        assertEquals(0, highest.tune().orElseThrow().voice());
        assertEquals(List.of(), highest.dropped());
        ReadScore bass = MidiTuneReader.into(chart, band(), OptionalInt.of(1), 0);
        assertEquals("E2:3.0 G2:2.0 F#2:1.0", tune(bass));
        assertThrows(RangeException.class, () -> MidiTuneReader.into(chart, band(), OptionalInt.of(2), 0));
    }

    /** All channels in one track, as old files have them. */
    @Test
    void channelsOfOneTrack_areVoicesOfTheirOwn() throws Exception {
        byte[] file =
                new File().title("Song").note(0, 72, 0, 4).note(3, 48, 0, 4).bytes();
        assertEquals(
                List.of("Song channel 1", "Song channel 4"),
                over(read("| C |"), file).tune().orElseThrow().voices().stream()
                        .map(ReadScore.Voice::name)
                        .toList());
    }

    @Test
    void metreAndTempo_areComparedWithTheChart() throws Exception {
        ReadScore read = over(read("metre: 4/4\ntempo: 90\n| C | G |"), band());
        assertEquals(
                List.of("the file's metre 3/4: the chart says 4/4", "the file's tempo 108: the chart says 90"),
                read.dropped());
        assertEquals(List.of(), over(read("metre: 3/4\n| C | G |"), band()).dropped(), "a chart without a tempo");
    }

    @Test
    void fileAlone_isASongThatWaitsForChords() throws Exception {
        ReadScore read = MidiTuneReader.alone(band(), OptionalInt.empty(), 0);
        assertEquals("Harbour Air", read.chart().title());
        assertEquals("3/4", read.chart().metre().toString());
        assertEquals(108, read.chart().tempo().orElseThrow());
        assertEquals(2, read.chart().bars());
        assertEquals(2, TuneChords.waiting(read.chart()));
        Chart again = ChartTextReader.read(ChartTextWriter.write(read.chart())).chart();
        assertEquals(read.chart().sections(), again.sections());
    }

    /** The tune of a chart as a file, so many beats late. */
    private static byte[] file(Chart chart, int late) throws Exception {
        double unit = 4.0 / chart.metre().unit();
        List<double[]> notes = new ArrayList<>();
        double at = late * unit;
        for (Chart.Slot slot : chart.placements()) {
            for (TuneNote note : slot.placement().tune()) {
                if (note.tied()) {
                    notes.get(notes.size() - 1)[2] += note.beats() * unit;
                } else {
                    notes.add(new double[] {note.pitch().midi(), at + note.from() * unit, note.beats() * unit});
                }
            }
            at += slot.placement().beats() * unit;
        }
        File file = new File();
        for (double[] note : notes) {
            file.note(0, (int) note[0], note[1], note[2]);
        }
        return file.bytes();
    }

    /** One that lies well is left; of those a beat late most are found, and none is moved elsewhere. */
    @Test
    void shift_thatPutsTheTuneUnderItsChords_isProposed() throws Exception {
        int found = 0;
        for (String name : Tunes.ALL) {
            Chart chart = Tunes.chart(name);
            double beat = 4.0 / chart.metre().unit();
            assertEquals(
                    OptionalDouble.empty(),
                    over(chart, file(chart, 0)).tune().orElseThrow().proposedShift(),
                    name);
            byte[] late = file(chart, 1);
            OptionalDouble proposed = over(chart, late).tune().orElseThrow().proposedShift();
            if (proposed.isPresent()) {
                found++;
                assertEquals(-beat, proposed.getAsDouble(), name);
            }
            ReadScore moved = MidiTuneReader.into(chart, late, OptionalInt.empty(), -beat);
            assertEquals(sung(chart), sung(moved.chart()));
        }
        assertTrue(found >= 7, found + " of 8");
    }

    private static List<String> sung(Chart chart) {
        return chart.placements().stream()
                .map(Chart.Slot::placement)
                .map(Placement::tune)
                .flatMap(List::stream)
                .map(n -> n.pitch() + " " + Math.round(n.from() * 12) + " " + Math.round(n.beats() * 12))
                .toList();
    }

    @ParameterizedTest
    @ValueSource(doubles = {17, -17, Double.NaN})
    void shift_outOfReach_isRefused(double shift) throws Exception {
        byte[] file = band();
        Chart chart = read("| C |");
        assertThrows(RangeException.class, () -> MidiTuneReader.into(chart, file, OptionalInt.empty(), shift));
    }

    @Test
    void damagedOrEmpty_saysSo() throws Exception {
        Chart chart = read("| C |");
        byte[] file = band();
        Random random = new Random(3);
        for (int i = 0; i < 600; i++) {
            byte[] damaged = file.clone();
            damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
            try {
                assertTrue(over(chart, damaged).chart().bars() == 1);
                assertTrue(MidiTuneReader.alone(damaged, OptionalInt.empty(), 0)
                                .chart()
                                .bars()
                        > 0);
            } catch (FormatException expected) {
                assertTrue(expected.getMessage().matches(".*(MIDI|bars).*"), expected.getMessage());
            }
        }
        byte[] empty = new File().bytes();
        assertThrows(FormatException.class, () -> over(chart, empty));
    }
}
