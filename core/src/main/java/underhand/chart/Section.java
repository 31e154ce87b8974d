package underhand.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import underhand.pitch.Key;

/**
 * A part of a song, such as a verse.
 *
 * @param name blank where the chart gave none
 * @param key as the chart states it for this part; empty where it states none
 */
public record Section(String name, Optional<Key> key, List<Bar> bars) {

    public Section {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(key, "key");
        bars = List.copyOf(bars);
    }

    /** What its bars are without their words: metre, and chord, beat and length of every placement. */
    List<List<Object>> chords() {
        return bars.stream()
                .map(bar -> {
                    List<Object> facts = new ArrayList<>(List.of(key, bar.metre()));
                    bar.placements().forEach(p -> facts.addAll(List.of(p.chord(), p.beat(), p.beats())));
                    return facts;
                })
                .toList();
    }

    /** @param chartKey key of the song, for the spelling of a section that states none */
    Section transpose(int semitones, Key chartKey) {
        Optional<Key> newKey = key.map(k -> k.transpose(semitones));
        Key spelling = newKey.orElseGet(() -> chartKey.transpose(semitones));
        return new Section(
                name,
                newKey,
                bars.stream()
                        .map(bar -> bar.with(bar.placements().stream()
                                .map(p -> p.transpose(semitones, p.chord().map(c -> c.transpose(semitones, spelling))))
                                .toList()))
                        .toList());
    }
}
