package underhand.solo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.TuneNote;
import underhand.harmony.Reading;
import underhand.harmony.ReadingId;
import underhand.solve.Segment;
import underhand.solve.Song;

/** A song as moments: the tune whole, and a moment wherever a chord, a note or a strong beat begins. */
final class Moments {

    private static final double SAME = 1e-6;
    private static final int OCTAVE = 12;

    private final int shift;
    private final boolean basses;
    private final List<Moment> moments = new ArrayList<>();
    private final List<Sung> tune = new ArrayList<>();

    private Moments(int octave, boolean basses) {
        this.shift = OCTAVE * octave;
        this.basses = basses;
    }

    /**
     * The moments of a song.
     *
     * @param octave octaves the tune is moved by
     * @param basses whether strong beats inside a chord have a bass of their own
     */
    static Moments of(Song song, int octave, boolean basses) {
        Moments all = new Moments(octave, basses);
        double from = 0;
        int place = 0;
        for (List<Chart.Slot> section : sections(song.placements())) {
            boolean sung = section.stream().anyMatch(s -> !s.placement().tune().isEmpty());
            for (Chart.Slot slot : section) {
                all.sing(slot.placement(), from);
                double within = 0;
                for (Segment segment : segments(song, slot)) {
                    all.add(place++, slot, segment, from + within, !sung);
                    within += segment.beats();
                }
                from += slot.placement().beats();
            }
        }
        return all;
    }

    List<Moment> moments() {
        return moments;
    }

    List<Sung> tune() {
        return tune;
    }

    /** Placements of each section, in the order of the song. */
    private static List<List<Chart.Slot>> sections(List<Chart.Slot> slots) {
        List<List<Chart.Slot>> sections = new ArrayList<>();
        int bar = -1;
        for (Chart.Slot slot : slots) {
            if (sections.isEmpty() || slot.barInSection() == 1 && slot.bar() != bar) {
                sections.add(new ArrayList<>());
            }
            bar = slot.bar();
            sections.get(sections.size() - 1).add(slot);
        }
        return sections;
    }

    /** The chords of a placement: the reading the player chose, else the chart's own chord. */
    private static List<Segment> segments(Song song, Chart.Slot slot) {
        Placement placement = slot.placement();
        List<Reading> readings = song.readings(slot);
        if (readings.isEmpty()) {
            return List.of(new Segment(ReadingId.ORIGINAL, 0, Optional.empty(), placement.beat(), placement.beats()));
        }
        Reading reading = readings.get(0);
        List<Segment> segments = new ArrayList<>();
        double at = placement.beat();
        for (Reading.Step step : reading.steps()) {
            segments.add(new Segment(reading.id(), segments.size(), Optional.of(step.chord()), at, step.beats()));
            at += step.beats();
        }
        return segments;
    }

    /** Adds the notes of a placement to the tune; what goes on from the placement before is the same note. */
    private void sing(Placement placement, double from) {
        for (TuneNote note : placement.tune()) {
            double begins = from + note.from();
            int midi = note.pitch().midi() + shift;
            int last = tune.size() - 1;
            boolean goesOn = note.tied()
                    && last >= 0
                    && tune.get(last).midi() == midi
                    && Math.abs(tune.get(last).until() - begins) < SAME;
            if (goesOn) {
                Sung before = tune.get(last);
                tune.set(last, new Sung(before.from(), begins + note.beats() - before.from(), midi));
            } else {
                tune.add(new Sung(begins, note.beats(), midi));
            }
        }
    }

    private void add(int place, Chart.Slot slot, Segment segment, double from, boolean plain) {
        double until = from + segment.beats();
        if (plain) {
            moments.add(new Moment(
                    place,
                    slot,
                    segment,
                    from,
                    segment.beat(),
                    segment.beats(),
                    Moment.Tune.RESTS,
                    -1,
                    true,
                    true,
                    true));
            return;
        }
        List<Double> starts = starts(slot, segment, from, until);
        for (int i = 0; i < starts.size(); i++) {
            double at = starts.get(i);
            double end = i + 1 < starts.size() ? starts.get(i + 1) : until;
            Optional<Sung> sung = sungAt(at);
            Moment.Tune does = sung.isEmpty()
                    ? Moment.Tune.RESTS
                    : sung.get().from() > at - SAME ? Moment.Tune.STRUCK : Moment.Tune.HELD;
            moments.add(new Moment(
                    place,
                    slot,
                    segment,
                    at,
                    segment.beat() + at - from,
                    end - at,
                    does,
                    sung.map(Sung::midi).orElse(-1),
                    i == 0,
                    i == 0 || isStrong(slot.metre(), segment.beat() + at - from),
                    false));
        }
    }

    private List<Double> starts(Chart.Slot slot, Segment segment, double from, double until) {
        TreeSet<Double> starts = new TreeSet<>(List.of(from));
        for (int i = tune.size() - 1; i >= 0 && tune.get(i).from() > from - SAME; i--) {
            double begins = tune.get(i).from();
            if (begins > from + SAME && begins < until - SAME) {
                starts.add(begins);
            }
        }
        if (basses && segment.chord().isPresent()) {
            for (double beat = Math.ceil(segment.beat() - SAME);
                    beat < segment.beat() + segment.beats() - SAME;
                    beat++) {
                double at = from + beat - segment.beat();
                boolean isNew = starts.stream().noneMatch(s -> Math.abs(s - at) < SAME);
                if (isNew && isStrong(slot.metre(), beat)) {
                    starts.add(at);
                }
            }
        }
        return List.copyOf(starts);
    }

    /** Whether a beat of a bar, from 1, is one the bass plays on. */
    private static boolean isStrong(Metre metre, double beat) {
        int every = metre.unit() >= 8 && metre.beats() % 3 == 0 ? 3 : metre.beats() % 2 == 0 ? 2 : metre.beats();
        double off = (beat - 1) % every;
        return off < SAME || every - off < SAME;
    }

    private Optional<Sung> sungAt(double at) {
        for (int i = tune.size() - 1; i >= 0 && tune.get(i).until() > at - 1; i--) {
            if (tune.get(i).from() < at + SAME && tune.get(i).until() > at + SAME) {
                return Optional.of(tune.get(i));
            }
        }
        return Optional.empty();
    }
}
