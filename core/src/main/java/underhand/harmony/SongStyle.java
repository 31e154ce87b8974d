package underhand.harmony;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.pitch.Interval;
import underhand.pitch.Key;

/**
 * What kind of music a chart is, told from its words, its chords and its tempo. A guess (memory): it ranks, it forbids little.
 *
 * @param named styles its title or its sections name
 * @param rich share of its chords with a seventh or a sixth, or more
 * @param dominant share of its chords that are dominants
 * @param blues whether the first and the fourth degree are dominants both
 * @param different how many different chords it has
 */
public record SongStyle(Set<Style> named, double rich, double dominant, boolean blues, int different) {

    private static final Interval MAJOR_THIRD = Interval.parse("M3");
    private static final Interval MINOR_SEVENTH = Interval.parse("m7");
    private static final int FOURTH = 5;

    private static final double MOSTLY = 0.5;
    private static final double SOME = 0.25;

    /** Vamps on so few chords are grooves. */
    private static final int FEW_CHORDS = 4;

    private static final int SLOW = 76;
    private static final int RATHER_SLOW = 88;
    private static final int BRISK = 100;
    private static final int GROOVE_FROM = 80;
    private static final int GROOVE_TO = 126;

    static SongStyle of(Chart chart, Key key) {
        Set<Style> named = words(chart).flatMap(Style::named).collect(Collectors.toSet());
        List<ChordSymbol> chords = chart.placements().stream()
                .flatMap(p -> p.placement().chord().stream())
                .toList();
        int all = Math.max(1, chords.size());
        Set<Integer> dominants = new HashSet<>();
        chords.stream()
                .filter(SongStyle::isDominant)
                .forEach(c -> dominants.add(
                        Math.floorMod(c.root().pitchClass() - key.tonic().pitchClass(), 12)));
        return new SongStyle(
                named,
                (double) chords.stream().filter(SongStyle::isRich).count() / all,
                (double) chords.stream().filter(SongStyle::isDominant).count() / all,
                dominants.contains(0) && dominants.contains(FOURTH),
                (int) chords.stream().distinct().count());
    }

    private static Stream<String> words(Chart chart) {
        return Stream.concat(Stream.of(chart.title()), chart.sections().stream().map(s -> s.name()))
                .flatMap(text -> Stream.of(text.toLowerCase(Locale.ROOT).split("[^\\p{L}]+")));
    }

    private static boolean isRich(ChordSymbol chord) {
        return chord.type().has(7) || chord.type().has(6);
    }

    private static boolean isDominant(ChordSymbol chord) {
        return chord.type().hasInterval(MAJOR_THIRD) && chord.type().hasInterval(MINOR_SEVENTH);
    }

    /**
     * How much each style is this song's at a tempo, 0 to 1.
     *
     * @param tempo beats a minute
     */
    public Map<Style, Double> weights(int tempo) {
        Map<Style, Double> weights = new EnumMap<>(Style.class);
        boolean isRich = rich >= MOSTLY;
        boolean isBlues = blues && dominant >= MOSTLY;
        boolean isGroove = isRich && !isBlues && different <= FEW_CHORDS && GROOVE_FROM <= tempo && tempo <= GROOVE_TO;
        weights.put(Style.BLUES, isBlues ? 0.9 : 0.0);
        weights.put(Style.SWING, isRich && !isBlues ? tempo >= BRISK ? 0.8 : 0.5 : 0.0);
        weights.put(Style.BOSSA, isRich && !isBlues && tempo >= BRISK ? 0.4 : 0.0);
        weights.put(Style.FUNK, isGroove && dominant >= MOSTLY ? 0.6 : 0.0);
        weights.put(Style.FOLK, rich < SOME ? 0.7 : isRich ? 0.0 : 0.4);
        weights.put(Style.POP, isRich ? 0.2 : 0.6);
        weights.put(Style.OFF_BEAT, 0.0);
        weights.put(Style.BALLAD, tempo <= SLOW ? 0.85 : tempo <= RATHER_SLOW && isRich ? 0.6 : 0.0);
        named.forEach(style -> weights.put(style, 1.0));
        return weights;
    }

    /** How much closed shapes are at home in it: the share of its rich chords where most are, else 0. */
    public double richness() {
        return rich >= MOSTLY ? rich : 0;
    }

    /** Whether sevenths are no rarity in it. */
    public boolean isColourful() {
        return rich >= SOME;
    }

    /** The style that is most this song's at a tempo. */
    public Style first(int tempo) {
        return weights(tempo).entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
    }
}
