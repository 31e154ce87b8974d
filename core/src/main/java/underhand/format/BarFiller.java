package underhand.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

    private record Cell(boolean holds, Optional<ChordSymbol> chord, String lyric) {}

    private final List<Cell> cells = new ArrayList<>();
    private boolean drawn;

    void chord(Optional<ChordSymbol> chord, String lyric) {
        cells.add(new Cell(false, chord, lyric));
    }

    void beat() {
        cells.add(new Cell(true, Optional.empty(), ""));
        drawn = true;
    }

    /** Words that go with the last chord of the bar. */
    void lyric(String words) {
        if (!cells.isEmpty()) {
            Cell last = cells.remove(cells.size() - 1);
            cells.add(new Cell(last.holds(), last.chord(), last.lyric() + words));
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
    int drawnBeats() {
        return drawn ? cells.size() : 0;
    }

    /** Whether its beats are drawn and are fewer than the metre's. */
    boolean isShort(Metre metre) {
        return drawn && cells.size() < metre.beats();
    }

    /**
     * The bar; a bar that begins with a held beat holds the chord before it.
     *
     * @param before chord that sounded last; empty when none has yet
     * @param first whether it is the first bar of the song: drawn short, it is a pick-up and keeps its length
     */
    Bar fill(Metre metre, Optional<ChordSymbol> before, boolean first) {
        boolean pickUp = first && isShort(metre);
        double each = pickUp ? 1 : (double) metre.beats() / cells.size();
        int start = pickUp ? metre.beats() - cells.size() : 0;
        List<Placement> placements = new ArrayList<>();
        for (int i = 0; i < cells.size(); ) {
            Cell cell = cells.get(i);
            int end = i + 1;
            while (end < cells.size() && cells.get(end).holds()) {
                end++;
            }
            Optional<ChordSymbol> chord = cell.holds() ? before : cell.chord();
            placements.add(new Placement(chord, 1 + start + i * each, (end - i) * each, tidy(cell.lyric())));
            i = end;
        }
        return new Bar(metre, placements);
    }

    /** A bar with the notes of a tune, which share its length evenly, handed to the placements they sound over. */
    static Bar withTune(Bar bar, List<TuneLine.Cell> cells) {
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
                Optional<Pitch> pitch = cells.get(i).pitch();
                if (pitch.isPresent() && ends > begins) {
                    notes.add(new TuneNote(pitch.get(), begins - from, ends - begins));
                }
                i = end;
            }
            placements.add(placement.withTune(notes));
        }
        return bar.with(placements);
    }
}
