package underhand.chart;

import java.util.ArrayList;
import java.util.List;
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
 */
public record Chart(
        String title,
        Optional<Key> key,
        Metre metre,
        OptionalInt tempo,
        OptionalInt capo,
        Optional<String> tuning,
        List<Section> sections) {

    /** Tempo of a chart that states none. */
    public static final int DEFAULT_TEMPO = 92;

    public static final int LOWEST_TEMPO = 20;
    public static final int HIGHEST_TEMPO = 400;

    /** More placements than this are refused. */
    public static final int MOST_PLACEMENTS = 2000;

    /**
     * A placement with the place it has in the song.
     *
     * @param key key its section states; empty where it states none
     */
    public record Placed(int index, int bar, String section, Optional<Key> key, Metre metre, Placement placement) {}

    public Chart {
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(key, "key");
        Objects.requireNonNull(metre, "metre");
        sections = List.copyOf(sections);
    }

    /** All placements in the order of the song; indices count from 0, bars from 1. */
    public List<Placed> placements() {
        List<Placed> placed = new ArrayList<>();
        int bar = 0;
        for (Section section : sections) {
            for (Bar one : section.bars()) {
                bar++;
                for (Placement placement : one.placements()) {
                    placed.add(new Placed(placed.size(), bar, section.name(), section.key(), one.metre(), placement));
                }
            }
        }
        return placed;
    }

    public int bars() {
        return sections.stream().mapToInt(s -> s.bars().size()).sum();
    }
}
