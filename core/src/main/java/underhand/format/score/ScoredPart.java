package underhand.format.score;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.chart.FoldedBar;
import underhand.neck.Tuning;
import underhand.part.Notation;
import underhand.part.Part;
import underhand.part.PartBar;
import underhand.pitch.Key;

/**
 * A part with what a page or a player has to know of its guitar.
 *
 * @param name as printed, such as Guitar or Second guitar
 * @param nylon whether it sounds on nylon strings
 * @param handedness which way round its grips are drawn
 * @param words words of the song that have no chords
 */
public record ScoredPart(
        String name, Part part, Tuning tuning, boolean nylon, Handedness handedness, List<Chart.Words> words) {

    /** A part of a song whose words all have chords. */
    public ScoredPart(String name, Part part, Tuning tuning, boolean nylon, Handedness handedness) {
        this(name, part, tuning, nylon, handedness, List.of());
    }

    public ScoredPart {
        words = List.copyOf(words);
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(part, "part");
        Objects.requireNonNull(tuning, "tuning");
        Objects.requireNonNull(handedness, "handedness");
    }

    public int capo() {
        return part.arrangement().capo();
    }

    public Key key() {
        return part.arrangement().key();
    }

    /** Words that stand before a bar, counted from 1. */
    public List<Chart.Words> wordsBefore(int bar) {
        return words.stream().filter(w -> w.bar() == bar - 1).toList();
    }

    /** Words that stand after the last bar. */
    public List<Chart.Words> wordsAfter() {
        return wordsBefore(part.bars().size() + 1);
    }

    /** Whether the right hand plays the same in every section. */
    public boolean isOnePattern() {
        return part.bars().stream()
                        .filter(bar -> bar.section().isPresent())
                        .map(PartBar::pattern)
                        .distinct()
                        .count()
                < 2;
    }

    /**
     * What stands over a bar, counted from 1, that a section begins with: its name, what the right hand plays where that changes,
     * and whether it swings; blank for a section of no name.
     */
    public Optional<String> heading(int number) {
        PartBar bar = part.bars().get(number - 1);
        return bar.section()
                .map(name -> Stream.of(name, isOnePattern() ? "" : bar.pattern(), bar.swing() ? "swing" : "")
                        .filter(word -> !word.isBlank())
                        .collect(Collectors.joining(" · ")));
    }

    /** Its bars as words and chords stand on a sheet: repeats as they are written. */
    public List<FoldedBar> folded() {
        return part.arrangement().folded((a, b) -> wordsBefore(b).isEmpty());
    }

    /** Its bars as their notes stand on a sheet: repeats as they are written, where they have the same notes. */
    public List<FoldedBar> foldedNotes() {
        List<Notation.WrittenBar> bars = Notation.of(part);
        return part.arrangement()
                .folded((a, b) -> wordsBefore(b).isEmpty() && Notation.isLike(bars.get(a - 1), bars.get(b - 1), part));
    }
}
