package underhand.format.score;

import java.util.List;
import java.util.Objects;
import underhand.chart.Chart;
import underhand.neck.Tuning;
import underhand.part.Part;
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
}
