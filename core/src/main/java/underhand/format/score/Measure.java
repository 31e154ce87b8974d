package underhand.format.score;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import underhand.chart.Metre;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;

/** A measure of a score while it is read; places and lengths in quarters. */
final class Measure {

    /** A chord, or nothing to be played, from a place on. */
    record Harmony(double at, Optional<ChordSymbol> chord) {}

    /** @param midi as it sounds */
    record Sung(double at, double length, int midi, boolean tied) {}

    /** @param goesOn whether its word goes on with the next syllable */
    record Words(double at, String text, boolean goesOn) {}

    final List<Harmony> harmonies = new ArrayList<>();
    final List<Sung> tune = new ArrayList<>();

    /** Words by the number of their verse, from 1. */
    final Map<Integer, List<Words>> verses = new TreeMap<>();

    Metre metre = Metre.COMMON;
    Optional<Key> key = Optional.empty();
    Optional<String> section = Optional.empty();
    Optional<Double> tempo = Optional.empty();
    boolean implicit;
    boolean repeatForward;

    /** How often what is repeated is played, where a repeat ends here; 0 where none does. */
    int repeatBackward;

    /** Numbers of the ending that begins here; none where none does. */
    List<Integer> ending = List.of();

    boolean endingStops;

    /** Quarters of what is written in it. */
    double length;

    /** The words of a verse; those of the first where it has none of its own, as a refrain has. */
    List<Words> words(int verse) {
        return verses.getOrDefault(verse, verses.getOrDefault(1, List.of()));
    }

    double fullLength() {
        return metre.beats() * 4.0 / metre.unit();
    }
}
