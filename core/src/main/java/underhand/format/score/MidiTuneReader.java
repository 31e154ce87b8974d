package underhand.format.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.format.score.MidiFile.Sung;
import underhand.input.FormatException;
import underhand.input.RangeException;
import underhand.pitch.Pitch;

/**
 * Lays a voice of a Standard MIDI File over a chart as its tune: the highest note at a time, of the voice that was chosen,
 * else of the one that sings highest. A file alone becomes a chart of its own, whose bars wait for chords.
 */
final class MidiTuneReader {

    /** Quarters a tune may be moved, as far as a long pick-up reaches. */
    static final int MOST_SHIFT = 16;

    /** Another place is proposed when so much more of what is sung on strong beats belongs to the chords there. */
    private static final double FITS_BETTER = 0.1;

    private static final double SAME = 1e-6;

    private final MidiFile file;
    private final int voice;
    private final Set<String> said = new LinkedHashSet<>();
    private final List<Sung> tune;

    private MidiTuneReader(byte[] bytes, OptionalInt chosen) {
        file = MidiFile.read(bytes);
        int most = file.voices().size();
        if (chosen.isPresent() && (chosen.getAsInt() < 0 || chosen.getAsInt() >= most)) {
            throw new RangeException("voice", "This file has voices 0 to " + (most - 1) + ", no " + chosen.getAsInt());
        }
        voice = chosen.orElseGet(() -> IntStream.range(0, most)
                .boxed()
                .max(Comparator.comparingDouble(v -> height(file.voices().get(v))))
                .orElseThrow());
        tune = oneVoice(file.voices().get(voice).notes());
    }

    private static double height(MidiFile.Voice voice) {
        return voice.notes().stream().mapToInt(Sung::midi).average().orElse(0);
    }

    /**
     * A tune over a chart.
     *
     * @param voice index of the voice to take; empty for the one that sings highest
     * @param shift quarters it is moved later
     * @throws FormatException when it is no MIDI file, or none with notes
     * @throws RangeException when it has no such voice, or is moved too far
     */
    static ReadScore into(Chart chart, byte[] bytes, OptionalInt voice, double shift) {
        MidiTuneReader reader = new MidiTuneReader(bytes, voice);
        reader.compare(chart);
        return reader.laid(chart, shift);
    }

    /** The tune alone: as many bars of the file's own metre as it lasts, without chords. */
    static ReadScore alone(byte[] bytes, OptionalInt voice, double shift) {
        MidiTuneReader reader = new MidiTuneReader(bytes, voice);
        return reader.laid(reader.bare(shift), shift);
    }

    private Chart bare(double shift) {
        Metre metre = file.metre().orElse(Metre.COMMON);
        if (file.metreChanges()) {
            said.add("changes of metre: all bars are " + metre);
        }
        double unit = 4.0 / metre.unit();
        double end = tune.get(tune.size() - 1).until() + shift;
        int bars = (int) Math.max(1, Math.ceil(end / (metre.beats() * unit) - SAME));
        if (bars > Chart.MOST_PLACEMENTS) {
            throw FormatException.inFile(
                    "This tune has " + bars + " bars; " + Chart.MOST_PLACEMENTS + " are the most.", 0, 0);
        }
        Bar bar = new Bar(metre, List.of(new Placement(Optional.empty(), 1, metre.beats(), "")));
        OptionalInt tempo = file.tempo()
                .map(t -> (int) Math.round(t / unit))
                .filter(t -> t >= Chart.LOWEST_TEMPO && t <= Chart.HIGHEST_TEMPO)
                .map(OptionalInt::of)
                .orElse(OptionalInt.empty());
        return new Chart(
                file.title(),
                Optional.empty(),
                metre,
                tempo,
                OptionalInt.empty(),
                Optional.empty(),
                List.of(new Section(
                                "",
                                Optional.empty(),
                                IntStream.range(0, bars).mapToObj(i -> bar).toList())
                        .inPhrases()));
    }

    /** Says where the file and the chart differ; the chart's word is kept. */
    private void compare(Chart chart) {
        file.metre()
                .filter(m -> !m.equals(chart.metre()))
                .ifPresent(m -> said.add("the file's metre " + m + ": the chart says " + chart.metre()));
        if (file.metreChanges()) {
            said.add("the file's changes of metre");
        }
        double unit = 4.0 / chart.metre().unit();
        OptionalInt stated = chart.tempo();
        file.tempo()
                .map(t -> (int) Math.round(t / unit))
                .filter(t -> stated.isPresent() && t != stated.getAsInt())
                .ifPresent(t -> said.add("the file's tempo " + t + ": the chart says " + stated.getAsInt()));
    }

    private ReadScore laid(Chart chart, double shift) {
        if (!(Math.abs(shift) <= MOST_SHIFT)) {
            throw new RangeException(
                    "shift", "shift is in quarters, from -" + MOST_SHIFT + " to " + MOST_SHIFT + ", was " + shift);
        }
        List<Section> sections = new ArrayList<>();
        double quarter = 0;
        for (Section section : chart.sections()) {
            List<Bar> bars = new ArrayList<>();
            for (Bar bar : section.bars()) {
                double unit = 4.0 / bar.metre().unit();
                List<Placement> placements = new ArrayList<>();
                for (Placement placement : bar.placements()) {
                    double until = quarter + placement.beats() * unit;
                    placements.add(placement.withTune(notes(quarter - shift, until - shift, unit)));
                    quarter = until;
                }
                bars.add(bar.with(placements));
            }
            sections.add(new Section(section.name(), section.key(), bars));
        }
        double end = quarter;
        if (tune.stream().anyMatch(n -> n.from() + shift >= end - SAME)) {
            said.add("notes after the song's last bar");
        }
        if (tune.stream().anyMatch(n -> n.from() + shift < -SAME)) {
            said.add("notes before the song's first bar");
        }
        return new ReadScore(
                chart.withSections(sections),
                List.copyOf(said),
                Optional.of(new ReadScore.Tune(
                        file.voices().stream().map(MidiTuneReader::described).toList(),
                        voice,
                        shift,
                        better(chart, shift))));
    }

    private static ReadScore.Voice described(MidiFile.Voice voice) {
        int lowest = voice.notes().stream().mapToInt(Sung::midi).min().orElseThrow();
        int highest = voice.notes().stream().mapToInt(Sung::midi).max().orElseThrow();
        return new ReadScore.Voice(
                voice.name(),
                voice.notes().size(),
                Pitch.ofMidi(lowest).toString(),
                Pitch.ofMidi(highest).toString());
    }

    /** One note at a time: of those that begin together the highest, each until the next. */
    private List<Sung> oneVoice(List<Sung> notes) {
        List<Sung> one = new ArrayList<>();
        for (Sung note : notes) {
            int last = one.size() - 1;
            if (last >= 0 && one.get(last).from() == note.from()) {
                said.add("the lower notes of chords in the tune");
                continue;
            }
            if (last >= 0 && one.get(last).until() > note.from()) {
                Sung held = one.get(last);
                one.set(last, new Sung(held.from(), note.from(), held.midi()));
            }
            one.add(note);
        }
        return one;
    }

    private List<TuneNote> notes(double from, double until, double unit) {
        List<TuneNote> notes = new ArrayList<>();
        for (Sung note : tune) {
            double begins = Math.max(from, note.from());
            double ends = Math.min(until, note.until());
            if (ends - begins > SAME) {
                notes.add(new TuneNote(
                        Pitch.ofMidi(note.midi()),
                        (begins - from) / unit,
                        (ends - begins) / unit,
                        note.from() < from - SAME));
            }
        }
        return notes;
    }

    /** The place, whole beats away and at most a bar, where more of the tune belongs to the chords; where one clearly is. */
    private OptionalDouble better(Chart chart, double shift) {
        double unit = 4.0 / chart.metre().unit();
        int reach = chart.metre().beats() - 1;
        double here = fit(chart, shift);
        double best = here + FITS_BETTER;
        OptionalDouble found = OptionalDouble.empty();
        for (int beats : IntStream.rangeClosed(1, reach)
                .flatMap(b -> IntStream.of(b, -b))
                .toArray()) {
            double there = fit(chart, shift + beats * unit);
            if (there > best) {
                best = there;
                found = OptionalDouble.of(shift + beats * unit);
            }
        }
        return found;
    }

    /**
     * How well the tune lies over the chords, from 0 to 1: half by the time it is on a tone of its chord, half by whether such
     * a tone is struck where a chord begins.
     */
    private double fit(Chart chart, double shift) {
        double time = 0;
        double onTone = 0;
        int begun = 0;
        int struck = 0;
        double at = -shift;
        int next = 0;
        for (Chart.Slot slot : chart.placements()) {
            double until = at + slot.placement().beats() * 4.0 / slot.metre().unit();
            while (next < tune.size() && tune.get(next).until() <= at + SAME) {
                next++;
            }
            Optional<ChordSymbol> chord = slot.placement().chord();
            for (int i = next;
                    chord.isPresent() && i < tune.size() && tune.get(i).from() < until - SAME;
                    i++) {
                Sung note = tune.get(i);
                boolean belongs = chord.get().tones().stream()
                        .anyMatch(t -> t.note().pitchClass() == Math.floorMod(note.midi(), 12));
                double here = Math.min(until, note.until()) - Math.max(at, note.from());
                time += here;
                onTone += belongs ? here : 0;
                if (note.from() <= at + SAME) {
                    begun++;
                    struck += belongs && Math.abs(note.from() - at) <= SAME ? 1 : 0;
                }
            }
            at = until;
        }
        return begun == 0 ? 0 : (onTone / time + (double) struck / begun) / 2;
    }
}
