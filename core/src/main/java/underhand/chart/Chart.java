package underhand.chart;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import underhand.pitch.Key;

/**
 * What came in: a song's chords on beats, its words, and what its headers say.
 *
 * @param title blank when none was given
 * @param key as stated by the chart itself
 * @param tempo beats a minute, if stated
 * @param capo fret of the capo, if stated
 * @param tuning open strings as stated, unread
 * @param words words of the song that have no chords, in its order
 */
public record Chart(
        String title,
        Optional<Key> key,
        Metre metre,
        OptionalInt tempo,
        OptionalInt capo,
        Optional<String> tuning,
        List<Section> sections,
        List<Words> words) {

    /** Tempo of a chart that states none. */
    public static final int DEFAULT_TEMPO = 92;

    public static final int LOWEST_TEMPO = 20;
    public static final int HIGHEST_TEMPO = 400;

    /** More placements than this are refused. */
    public static final int MOST_PLACEMENTS = 2000;

    /**
     * Words without chords: a verse that was typed without them, a remark, or the name of a part that comes again.
     *
     * @param bar bars of the song that stand before them
     * @param heading name of the part they are, which has no bars of its own; empty inside another part
     * @param lines may be empty under a heading
     */
    public record Words(int bar, Optional<String> heading, List<String> lines) {
        public Words {
            Objects.requireNonNull(heading, "heading");
            lines = List.copyOf(lines);
        }
    }

    /**
     * A placement with the place it has in the song.
     *
     * @param written index of the placement it repeats, or its own: a bar under a repeat sign, or in a section with the
     *     same chords as an earlier one
     * @param barInSection number of its bar in its section, from 1
     * @param back how many bars further up its section stands the bar its own repeats; 0 for one that was written itself
     * @param newLine whether a line of the page begins with it: its section, a line of the chart, or four bars more of a long
     *     one
     * @param key key its section states; empty where it states none
     */
    public record Slot(
            int index,
            int written,
            int bar,
            int barInSection,
            int back,
            boolean newLine,
            String section,
            Optional<Key> key,
            Metre metre,
            Placement placement) {}

    /** A chart that is all chords. */
    public Chart(
            String title,
            Optional<Key> key,
            Metre metre,
            OptionalInt tempo,
            OptionalInt capo,
            Optional<String> tuning,
            List<Section> sections) {
        this(title, key, metre, tempo, capo, tuning, sections, List.of());
    }

    public Chart {
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(key, "key");
        Objects.requireNonNull(metre, "metre");
        sections = List.copyOf(sections);
        words = List.copyOf(words);
    }

    /** All placements in the order of the song; indices count from 0, bars from 1. */
    public List<Slot> placements() {
        List<Slot> placed = new ArrayList<>();
        Map<List<List<Object>>, List<Integer>> firstOfBars = new HashMap<>();
        int bar = 0;
        for (Section section : sections) {
            List<Integer> earlier = firstOfBars.get(section.chords());
            List<Integer> writtenAt = new ArrayList<>();
            List<Boolean> newLines = section.newLines();
            for (int i = 0; i < section.bars().size(); i++) {
                Bar one = section.bars().get(i);
                bar++;
                int written = earlier != null
                        ? earlier.get(i)
                        : one.back() > 0 ? writtenAt.get(i - one.back()) : placed.size();
                writtenAt.add(written);
                for (Placement placement : one.placements()) {
                    placed.add(new Slot(
                            placed.size(),
                            written++,
                            bar,
                            i + 1,
                            one.back(),
                            newLines.get(i) && placement == one.placements().get(0),
                            section.name(),
                            section.key(),
                            one.metre(),
                            placement));
                }
            }
            firstOfBars.putIfAbsent(section.chords(), writtenAt);
        }
        return placed;
    }

    /**
     * The same song so many semitones higher, its chords spelled for the new key.
     *
     * @param from the key it is in, which a chart need not state
     */
    public Chart transpose(int semitones, Key from) {
        if (semitones == 0) {
            return this;
        }
        return new Chart(
                title,
                key.map(k -> k.transpose(semitones)),
                metre,
                tempo,
                capo,
                tuning,
                sections.stream().map(s -> s.transpose(semitones, from)).toList(),
                words);
    }

    /** A song of one of its sections alone, counted from 0. */
    public Chart only(int section) {
        return new Chart(title, key, metre, tempo, capo, tuning, List.of(sections.get(section)));
    }

    /** Index of a section's first placement. */
    public int firstPlacement(int section) {
        return sections.subList(0, section).stream()
                .flatMap(s -> s.bars().stream())
                .mapToInt(b -> b.placements().size())
                .sum();
    }

    /** The same song with other chords, tune or words on its bars. */
    public Chart withSections(List<Section> other) {
        return new Chart(title, key, metre, tempo, capo, tuning, other, words);
    }

    /** The same song, its key stated. */
    public Chart withKey(Key stated) {
        return new Chart(title, Optional.of(stated), metre, tempo, capo, tuning, sections, words);
    }

    /** The same song with a section before its first. */
    public Chart withFirst(Section first) {
        List<Section> all = new ArrayList<>(sections);
        all.add(0, first);
        return new Chart(
                title,
                key,
                metre,
                tempo,
                capo,
                tuning,
                all,
                words.stream()
                        .map(w -> new Words(w.bar() + first.bars().size(), w.heading(), w.lines()))
                        .toList());
    }

    /** How many parts it has, those without chords among them. */
    public int parts() {
        return sections.size()
                + (int) words.stream().filter(w -> w.heading().isPresent()).count();
    }

    /** Whether a tune is written over any of its chords. */
    public boolean hasTune() {
        return sections.stream()
                .flatMap(s -> s.bars().stream())
                .flatMap(b -> b.placements().stream())
                .anyMatch(p -> !p.tune().isEmpty());
    }

    public int bars() {
        return sections.stream().mapToInt(s -> s.bars().size()).sum();
    }
}
