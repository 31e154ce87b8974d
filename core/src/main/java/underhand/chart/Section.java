package underhand.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import underhand.pitch.Key;

/**
 * A part of a song, such as a verse. Its first bar begins a line.
 *
 * @param name blank where the chart gave none
 * @param key as the chart states it for this part; empty where it states none
 */
public record Section(String name, Optional<Key> key, List<Bar> bars) {

    /** Bars of a line that is kept whole. */
    private static final int LONGEST_LINE = 8;

    /** Bars on a line of the page where the chart's are longer. */
    private static final int PHRASE = 4;

    public Section {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(key, "key");
        bars = beginningALine(bars);
    }

    private static List<Bar> beginningALine(List<Bar> bars) {
        List<Bar> all = new ArrayList<>(bars);
        if (!all.isEmpty()) {
            all.set(0, all.get(0).atLineStart());
        }
        return List.copyOf(all);
    }

    /** The same bars in lines of four, for a song that came without lines of its own; a new metre begins one too. */
    public Section inPhrases() {
        List<Bar> lined = new ArrayList<>();
        int inLine = 0;
        for (int i = 0; i < bars.size(); i++) {
            Bar bar = bars.get(i);
            boolean newMetre = i > 0 && !bar.metre().equals(bars.get(i - 1).metre());
            boolean newLine = newMetre || inLine == PHRASE;
            inLine = newLine ? 1 : inLine + 1;
            lined.add(newLine ? bar.atLineStart() : bar);
        }
        return new Section(name, key, lined);
    }

    /** Whether a line of the page begins with each of its bars. */
    List<Boolean> newLines() {
        List<Boolean> begins = new ArrayList<>();
        for (int from = 0, to; from < bars.size(); from = to) {
            to = from + 1;
            while (to < bars.size() && !bars.get(to).newLine()) {
                to++;
            }
            int aLine = to - from > LONGEST_LINE ? PHRASE : LONGEST_LINE;
            for (int i = 0; i < to - from; i++) {
                begins.add(i % aLine == 0);
            }
        }
        return begins;
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
