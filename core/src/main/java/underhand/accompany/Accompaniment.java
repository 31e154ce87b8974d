package underhand.accompany;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;
import underhand.pitch.Mode;
import underhand.table.Table;

/**
 * A chord a tune may be accompanied with, {@code accompaniment.csv}.
 *
 * @param tones pitch classes
 * @param price how far it lies from the ordinary, 0 for home
 * @param target pitch class of the root it leads to; empty where it may go anywhere
 */
record Accompaniment(ChordSymbol chord, Set<Integer> tones, double price, OptionalInt target) {

    private record Row(Mode mode, int above, String type, double price, Optional<Integer> target) {}

    private static final List<Row> ROWS = Table.read(
            Accompaniment.class,
            "accompaniment.csv",
            5,
            row -> new Row(
                    Mode.valueOf(row.cell(0)),
                    row.number(1),
                    row.cell(2),
                    row.decimal(3),
                    row.cell(4).isEmpty() ? Optional.empty() : Optional.of(row.number(4))));

    /** All of a key. */
    static List<Accompaniment> of(Key key) {
        int tonic = key.tonic().pitchClass();
        return ROWS.stream()
                .filter(row -> row.mode() == key.mode())
                .map(row -> new Accompaniment(
                        ChordSymbol.parse(key.spell(Math.floorMod(tonic + row.above(), 12)) + row.type()),
                        row.price(),
                        row.target()
                                .map(t -> OptionalInt.of(Math.floorMod(tonic + t, 12)))
                                .orElse(OptionalInt.empty())))
                .toList();
    }

    /** A chord that was chosen: whatever it is, it is wanted. */
    static Accompaniment chosen(ChordSymbol chord) {
        return new Accompaniment(chord, 0, OptionalInt.empty());
    }

    private Accompaniment(ChordSymbol chord, double price, OptionalInt target) {
        this(
                chord,
                chord.tones().stream().map(t -> t.note().pitchClass()).collect(Collectors.toUnmodifiableSet()),
                price,
                target);
    }

    int root() {
        return chord.root().pitchClass();
    }

    boolean has(int pitchClass) {
        return tones.contains(pitchClass);
    }
}
