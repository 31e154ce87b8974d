package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import underhand.chart.Bar;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.TuneNote;
import underhand.chord.ChordSymbol;
import underhand.pitch.Pitch;

/**
 * Collects what stands in one bar and shares its beats out: evenly among the chords, or by the beats drawn with {@code
 * .} and {@code /}, each of which holds the chord before it for one more beat.
 */
final class BarFiller {

    /** Shorter than any note. */
    private static final double CUT = 1e-6;

    private enum Hold {
        /** A chord begins. */
        NONE,
        /** The chord before it for one more beat. */
        BEAT,
        /** A beat drawn in one word with its chord. */
        STROKE
    }

    private record Cell(Hold hold, Optional<ChordSymbol> chord, String lyric) {
        boolean holds() {
            return hold != Hold.NONE;
        }
    }

    private final List<Cell> cells = new ArrayList<>();

    /** Cells after which a dash stands. */
    private final List<Integer> dashes = new ArrayList<>();

    private boolean drawn;

    void chord(Optional<ChordSymbol> chord, String lyric) {
        cells.add(new Cell(Hold.NONE, chord, lyric));
    }

    void beat() {
        beat("");
    }

    /** One more beat of the chord before, with words of its own. */
    void beat(String lyric) {
        cells.add(new Cell(Hold.BEAT, Optional.empty(), lyric));
        drawn |= cells.size() > 1;
    }

    void stroke() {
        cells.add(new Cell(Hold.STROKE, Optional.empty(), ""));
        drawn = true;
    }

    /** A dash after the last cell: it may be a beat. */
    void dash() {
        if (!cells.isEmpty()) {
            dashes.add(cells.size());
        }
    }

    /** Words that go with the last chord of the bar. */
    void lyric(String words) {
        if (!cells.isEmpty()) {
            Cell last = cells.remove(cells.size() - 1);
            cells.add(new Cell(last.hold(), last.chord(), last.lyric() + words));
        }
    }

    /** Words without the spaces that only lined chords up. */
    static String tidy(String words) {
        return words.strip().replaceAll("\\s+", " ");
    }

    boolean isEmpty() {
        return cells.isEmpty();
    }

    /** Beats drawn one by one in this bar, or 0 when they are not drawn. */
    int drawnBeats(Metre metre) {
        settle(metre);
        return drawn ? cells.size() : 0;
    }

    /** Whether its beats are drawn and are fewer than the metre's. */
    boolean isShort(Metre metre) {
        settle(metre);
        return drawn && cells.size() < metre.beats();
    }

    /**
     * Decides what dashes and strokes are by what fills the bar: {@code C////} is four strokes, {@code C///} a chord and three
     * more; a dash is a beat where that makes the bar full, and else only stands between chords.
     */
    private void settle(Metre metre) {
        if (!dashes.isEmpty() && cells.size() + dashes.size() == metre.beats()) {
            for (int i = dashes.size() - 1; i >= 0; i--) {
                cells.add(dashes.get(i), new Cell(Hold.BEAT, Optional.empty(), ""));
            }
            drawn = true;
        }
        dashes.clear();
        boolean stroked = cells.stream().anyMatch(c -> c.hold() == Hold.STROKE);
        if (stroked && cells.size() != metre.beats()) {
            List<Cell> strokesOnly = strokesOnly();
            if (strokesOnly.size() == metre.beats()) {
                cells.clear();
                cells.addAll(strokesOnly);
            }
        }
    }

    /** The cells where a chord with strokes begins on its first stroke. */
    private List<Cell> strokesOnly() {
        List<Cell> only = new ArrayList<>(cells);
        for (int i = only.size() - 1; i > 0; i--) {
            if (only.get(i).hold() == Hold.STROKE && !only.get(i - 1).holds()) {
                only.remove(i);
            }
        }
        return only;
    }

    /**
     * The bar; a bar that begins with a held beat holds the chord before it.
     *
     * @param before chord that sounded last; empty when none has yet
     * @param length beats of the bar, where it is a pick-up with a length of its own
     * @param first whether it is the first bar of the song: drawn short, it is a pick-up and keeps its length
     */
    Bar fill(Metre metre, Optional<ChordSymbol> before, OptionalDouble length, boolean first) {
        settle(metre);
        double beats = first && length.isPresent()
                ? Math.min(metre.beats(), length.getAsDouble())
                : first && isShort(metre) ? cells.size() : metre.beats();
        double each = beats / cells.size();
        double start = metre.beats() - beats;
        List<Placement> placements = new ArrayList<>();
        for (int i = 0; i < cells.size(); ) {
            Cell cell = cells.get(i);
            int end = i + 1;
            while (end < cells.size() && cells.get(end).holds()) {
                end++;
            }
            Optional<ChordSymbol> chord = cell.holds() ? before : cell.chord();
            String lyric = cells.subList(i, end).stream().map(Cell::lyric).collect(Collectors.joining());
            placements.add(new Placement(chord, 1 + start + i * each, (end - i) * each, tidy(lyric)));
            i = end;
        }
        return new Bar(metre, placements);
    }

    /**
     * A bar with the notes of a tune, which share its length evenly, handed to the placements they sound over.
     *
     * @param before note that sounds to the end of the bar before; a bar that begins with a point holds it
     */
    static Bar withTune(Bar bar, List<TuneLine.Cell> cells, Optional<Pitch> before) {
        double start =
                bar.placements().stream().mapToDouble(Placement::beat).min().orElse(1);
        double length = bar.placements().stream().mapToDouble(Placement::beats).sum();
        double each = length / cells.size();
        List<Placement> placements = new ArrayList<>();
        for (Placement placement : bar.placements()) {
            double from = placement.beat() - start;
            List<TuneNote> notes = new ArrayList<>();
            for (int i = 0; i < cells.size(); ) {
                int end = i + 1;
                while (end < cells.size() && cells.get(end).holds()) {
                    end++;
                }
                double begins = Math.max(from, i * each);
                double ends = Math.min(from + placement.beats(), end * each);
                Optional<Pitch> pitch =
                        cells.get(i).holds() ? before : cells.get(i).pitch();
                if (pitch.isPresent() && ends > begins + CUT) {
                    boolean tied = cells.get(i).holds() || begins > i * each + CUT;
                    notes.add(new TuneNote(pitch.get(), begins - from, ends - begins, tied));
                }
                i = end;
            }
            placements.add(placement.withTune(notes));
        }
        return bar.with(placements);
    }
}
