package underhand.harmony;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;

/** Reads a chart's harmony: its key, the keys of its sections, and every placement as rules see it. */
public final class HarmonyReader {

    /** How much better its own key has to fit a section than the song's before it counts as a modulation. */
    private static final double MODULATES = 1.6;

    /** A section shorter than this many chords has no key of its own. */
    private static final int FEWEST_CHORDS = 4;

    /**
     * A section's key.
     *
     * @param score how well the key fits; higher is better
     * @param runnerUp the key that fits next best
     */
    public record SectionKey(String section, int firstBar, Key key, double score, KeyFinder.Scored runnerUp) {}

    private final Key key;
    private final SongStyle style;
    private final List<SectionKey> sections = new ArrayList<>();
    private final List<Spot> spots;
    private final List<Function> functions;

    private HarmonyReader(Chart chart) {
        this.key = KeyFinder.keyOf(chart);
        this.style = SongStyle.of(chart, key);
        List<Chart.Slot> slot = chart.placements();
        Map<Integer, Key> keys = sectionKeys(chart, slot);
        this.spots = spots(slot, keys);
        this.functions = new FunctionReader(spots).read();
    }

    public static HarmonyReader of(Chart chart) {
        return new HarmonyReader(chart);
    }

    public Key key() {
        return key;
    }

    /** What kind of music it is. */
    public SongStyle style() {
        return style;
    }

    /** A chart's key alone, without reading the rest. */
    public static Key keyOf(Chart chart) {
        return KeyFinder.keyOf(chart);
    }

    /** The chart's sections in order, each with its key. */
    public List<SectionKey> sections() {
        return List.copyOf(sections);
    }

    /** All placements with a chord, in order. */
    public List<Spot> spots() {
        return spots;
    }

    public Optional<Spot> spot(int placement) {
        int at = indexOf(placement);
        return at < 0 ? Optional.empty() : Optional.of(spots.get(at));
    }

    /** What the chord of a placement does; empty where it has none. */
    public Optional<Function> function(int placement) {
        int at = indexOf(placement);
        return at < 0 ? Optional.empty() : Optional.of(functions.get(at));
    }

    /** Spots stand in the order of their placements. */
    private int indexOf(int placement) {
        int low = 0;
        int high = spots.size() - 1;
        while (low <= high) {
            int middle = (low + high) / 2;
            int found = spots.get(middle).slot().index();
            if (found == placement) {
                return middle;
            }
            if (found < placement) {
                low = middle + 1;
            } else {
                high = middle - 1;
            }
        }
        return -1;
    }

    /** Key of each placement's section, by placement. */
    private Map<Integer, Key> sectionKeys(Chart chart, List<Chart.Slot> slot) {
        Map<Integer, Key> keys = new HashMap<>();
        for (int i = 0; i < chart.sections().size(); i++) {
            int from = chart.firstPlacement(i);
            int to = i + 1 < chart.sections().size() ? chart.firstPlacement(i + 1) : slot.size();
            if (from < to) {
                SectionKey section = sectionKey(slot.subList(from, to));
                sections.add(section);
                slot.subList(from, to).forEach(p -> keys.put(p.index(), section.key()));
            }
        }
        return keys;
    }

    private SectionKey sectionKey(List<Chart.Slot> slot) {
        List<KeyFinder.Weighted> chords = slot.stream()
                .filter(p -> p.placement().chord().isPresent())
                .map(p -> new KeyFinder.Weighted(
                        p.placement().chord().get(), p.placement().beats()))
                .toList();
        List<KeyFinder.Scored> ranked = KeyFinder.rank(chords);
        KeyFinder.Scored best = ranked.get(0);
        Key usual = slot.get(0).key().orElse(key);
        KeyFinder.Scored own = ranked.stream()
                .filter(s -> s.key().tonic().pitchClass() == usual.tonic().pitchClass()
                        && s.key().mode() == usual.mode())
                .findFirst()
                .orElse(best);
        boolean modulates =
                slot.get(0).key().isEmpty() && chords.size() >= FEWEST_CHORDS && best.score() > own.score() + MODULATES;
        KeyFinder.Scored chosen = modulates ? best : own;
        KeyFinder.Scored runnerUp =
                ranked.stream().filter(s -> s != chosen).findFirst().orElseThrow();
        return new SectionKey(
                slot.get(0).section(), slot.get(0).bar(), modulates ? best.key() : usual, chosen.score(), runnerUp);
    }

    private static List<Spot> spots(List<Chart.Slot> slot, Map<Integer, Key> keys) {
        List<Chart.Slot> sounding =
                slot.stream().filter(p -> p.placement().chord().isPresent()).toList();
        Map<Integer, double[]> still = stillness(sounding);
        Map<Integer, Integer> lastBars = lastBars(slot);
        List<Optional<ChordSymbol>> goals = goals(sounding);
        List<Spot> found = new ArrayList<>();
        for (int i = 0; i < sounding.size(); i++) {
            Chart.Slot at = sounding.get(i);
            double[] spell = still.get(at.index());
            found.add(new Spot(
                    at,
                    chordOf(at),
                    ModalScale.plain(keys.get(at.index())),
                    new Neighbours(chord(sounding, i - 1), chord(sounding, i + 1), goals.get(i)),
                    spell[0],
                    spell[1],
                    lastBars.get(at.index()) - at.bar() + 1,
                    i + 1 == sounding.size()));
        }
        return inModes(found);
    }

    /** Every section in the mode its chords have. */
    private static List<Spot> inModes(List<Spot> spots) {
        Map<List<Object>, List<Spot>> sections = new LinkedHashMap<>();
        for (Spot spot : spots) {
            List<Object> section = List.of(spot.slot().section(), spot.key());
            sections.computeIfAbsent(section, s -> new ArrayList<>()).add(spot);
        }
        Map<List<Object>, ModalScale> scales = new HashMap<>();
        sections.forEach((section, inside) ->
                scales.put(section, ModalScale.of(inside.get(0).key(), inside)));
        return spots.stream()
                .map(s -> s.inScale(scales.get(List.of(s.slot().section(), s.key()))))
                .toList();
    }

    /** For each chord the next one on another root; after the last one its section begins again. */
    private static List<Optional<ChordSymbol>> goals(List<Chart.Slot> sounding) {
        int start = sounding.size();
        while (start > 0
                && sounding.get(start - 1)
                        .section()
                        .equals(sounding.get(sounding.size() - 1).section())) {
            start--;
        }
        List<Chart.Slot> round = new ArrayList<>(sounding);
        round.addAll(sounding.subList(start, sounding.size()));
        Deque<Optional<ChordSymbol>> goals = new ArrayDeque<>();
        Optional<ChordSymbol> goal = Optional.empty();
        for (int i = round.size() - 2; i >= 0; i--) {
            ChordSymbol next = chordOf(round.get(i + 1));
            boolean moves =
                    next.root().pitchClass() != chordOf(round.get(i)).root().pitchClass();
            goal = moves ? Optional.of(next) : goal;
            goals.addFirst(goal);
        }
        return List.copyOf(goals);
    }

    private static Optional<ChordSymbol> chord(List<Chart.Slot> sounding, int at) {
        return at < 0 || at >= sounding.size()
                ? Optional.empty()
                : sounding.get(at).placement().chord();
    }

    private static ChordSymbol chordOf(Chart.Slot slot) {
        return slot.placement().chord().orElseThrow();
    }

    /** For each placement: beats since its chord began to stand still, and for how many it does in all. */
    private static Map<Integer, double[]> stillness(List<Chart.Slot> sounding) {
        Map<Integer, double[]> still = new LinkedHashMap<>();
        for (int from = 0; from < sounding.size(); ) {
            int to = from;
            double beats = 0;
            while (to < sounding.size()
                    && chordOf(sounding.get(to)).equals(chordOf(sounding.get(from)))
                    && sounding.get(to).section().equals(sounding.get(from).section())) {
                beats += sounding.get(to).placement().beats();
                to++;
            }
            double at = 0;
            for (int i = from; i < to; i++) {
                still.put(sounding.get(i).index(), new double[] {at, beats});
                at += sounding.get(i).placement().beats();
            }
            from = to;
        }
        return still;
    }

    /** Last bar of each placement's section. */
    private static Map<Integer, Integer> lastBars(List<Chart.Slot> slot) {
        Map<Integer, Integer> last = new HashMap<>();
        for (int i = slot.size() - 1; i >= 0; i--) {
            boolean sameSection = i + 1 < slot.size()
                    && slot.get(i + 1).section().equals(slot.get(i).section());
            last.put(
                    slot.get(i).index(),
                    sameSection
                            ? last.get(slot.get(i + 1).index())
                            : slot.get(i).bar());
        }
        return last;
    }
}
