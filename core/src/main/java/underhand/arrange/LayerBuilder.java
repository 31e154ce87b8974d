package underhand.arrange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import underhand.arrange.Layer.Block;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.harmony.Form;
import underhand.harmony.Reading;
import underhand.neck.Shape;

/**
 * Lays a song out in layers: for every placement the grips of the chords it may be played with, and the player's locks.
 *
 * <p>Chords are searched once, and only as far as it is needed; the layers of a chord share one list of grips.
 */
final class LayerBuilder {

    /** Each time a chord is widened it is searched for so many times as many grips. */
    private static final int WIDENING = 4;

    private final Song song;
    private final Pools pools;
    private final StrokeTiming timing;
    private final boolean repeatsAlike;
    private final Map<Integer, List<Lock>> locks;
    private final Map<Wanted, Search> searches = new HashMap<>();
    private final Map<Wanted, GripPool.Cheapest> searched = new HashMap<>();
    private final Map<LockedChord, LockedGrips> locked = new HashMap<>();
    private final int firstWidth;
    private final int mostGrips;

    /** Index of the layer each layer is tied to, by layer. */
    private final List<Integer> ties = new ArrayList<>();

    private final List<Integer> unkeptLocks = new ArrayList<>();

    /**
     * A chord in a form: what grips are searched for.
     *
     * @param picked whether it is picked string by string, not strummed
     */
    record Wanted(ChordSymbol chord, Form form, boolean picked) {}

    /** How far a chord is searched: for so many grips, that cost less than a bound. */
    private record Search(int most, double bound) {}

    private record LockedChord(Wanted chord, Object lock) {}

    private record LockedGrips(List<RatedGrip> grips, int locked) {}

    /**
     * @param firstWidth how many grips of a chord are looked at first
     * @param mostGrips how many are looked at when a chord is widened
     */
    LayerBuilder(
            Song song, Pools pools, StrokeTiming timing, ArrangementSettings settings, int firstWidth, int mostGrips) {
        this.song = song;
        this.pools = pools;
        this.timing = timing;
        this.repeatsAlike = settings.repeatsAlike();
        this.firstWidth = firstWidth;
        this.mostGrips = mostGrips;
        this.locks = settings.locks().stream().collect(Collectors.groupingBy(Lock::placement));
    }

    /** Looks at more grips of a chord from the next {@link #build} on, if there are more that cost less than a bound. */
    boolean widen(Wanted chord, double bound) {
        int most = search(chord).most();
        if (most >= mostGrips || grips(chord).leftOutFrom() >= bound) {
            return false;
        }
        searches.put(chord, new Search(Math.min(mostGrips, most * WIDENING), bound));
        searched.remove(chord);
        locked.keySet().removeIf(key -> key.chord().equals(chord));
        return true;
    }

    List<Layer> build() {
        ties.clear();
        unkeptLocks.clear();
        List<Layer> layers = new ArrayList<>();
        Map<List<Object>, Integer> firstOf = new HashMap<>();
        for (Chart.Placed placed : song.placements()) {
            List<Reading> readings = song.readings(placed).stream()
                    .filter(r -> isPlayable(placed, r))
                    .toList();
            int piece = 0;
            for (double from : starts(readings)) {
                Layer layer = new Layer(placed, blocks(placed, readings, from));
                List<Object> sameAs = List.of(placed.written(), piece++, lists(layer));
                int first = firstOf.computeIfAbsent(sameAs, key -> layers.size());
                ties.add(repeatsAlike ? first : layers.size());
                layers.add(layer);
            }
        }
        return layers;
    }

    /** For each layer of the last {@link #build} the first layer that is to be played like it. */
    int[] ties() {
        return ties.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Placements whose lock no hand could keep, as the last {@link #build} found. */
    List<Integer> unkeptLocks() {
        return List.copyOf(unkeptLocks);
    }

    private static List<Integer> lists(Layer layer) {
        return layer.blocks().stream()
                .map(b -> System.identityHashCode(b.grips()))
                .toList();
    }

    private boolean isPlayable(Chart.Placed placed, Reading reading) {
        return reading.steps().stream()
                .noneMatch(s -> grips(wanted(placed, s)).grips().isEmpty());
    }

    /** Beats from the placement's start at which a chord of any reading begins. */
    private static Iterable<Double> starts(List<Reading> readings) {
        TreeSet<Double> starts = new TreeSet<>();
        for (Reading reading : readings) {
            double at = 0;
            for (Reading.Step step : reading.steps()) {
                starts.add(at);
                at += step.beats();
            }
        }
        return starts;
    }

    private Wanted wanted(Chart.Placed placed, Reading.Step step) {
        return new Wanted(step.chord(), step.form(), timing.isPicked(placed));
    }

    private List<Block> blocks(Chart.Placed placed, List<Reading> readings, double from) {
        List<Block> blocks = new ArrayList<>();
        for (Reading reading : readings) {
            double at = 0;
            for (int part = 0; part < reading.steps().size(); part++) {
                Reading.Step step = reading.steps().get(part);
                if (at <= from && from < at + step.beats()) {
                    double beat = placed.placement().beat() + at;
                    Segment segment = new Segment(reading.rule(), part, Optional.of(step.chord()), beat, step.beats());
                    blocks.add(block(placed, segment, wanted(placed, step), at < from));
                }
                at += step.beats();
            }
        }
        return blocks;
    }

    private Block block(Chart.Placed placed, Segment segment, Wanted wanted, boolean held) {
        GripPool.Cheapest pool = grips(wanted);
        Optional<Lock> lock = lockOn(placed, segment.part());
        if (lock.isEmpty()) {
            return new Block(segment, wanted, held, pool.grips(), 0, pool.leftOutFrom());
        }
        LockedGrips kept = locked.computeIfAbsent(
                new LockedChord(wanted, constraint(lock.get())), key -> lockedGrips(wanted, lock.get(), pool.grips()));
        if (kept.locked() == 0 && !held) {
            unkeptLocks.add(placed.index());
        }
        return new Block(segment, wanted, held, kept.grips(), kept.locked(), pool.leftOutFrom());
    }

    /** The lock on a placement itself, or on the one it repeats. */
    private Optional<Lock> lockOn(Chart.Placed placed, int part) {
        return lockAt(placed.index(), part).or(() -> repeatsAlike ? lockAt(placed.written(), part) : Optional.empty());
    }

    private Optional<Lock> lockAt(int placement, int part) {
        return locks.getOrDefault(placement, List.of()).stream()
                .filter(lock -> lock.part() == part)
                .reduce((first, last) -> last);
    }

    /** What a lock asks for, wherever it stands. */
    private static Object constraint(Lock lock) {
        return lock instanceof Lock.OnRegion region
                ? List.of(region.lowestFret(), region.highestFret())
                : ((Lock.OnShape) lock).shape();
    }

    /** Locked grips first, then all others. */
    private LockedGrips lockedGrips(Wanted wanted, Lock lock, List<RatedGrip> all) {
        ChordSymbol chord = wanted.chord();
        Predicate<Shape> keeps;
        List<RatedGrip> kept;
        if (lock instanceof Lock.OnRegion region) {
            keeps = region::holds;
            kept = pools.finder(wanted.picked())
                    .pool(chord, wanted.form(), song.occurrences(chord), keeps)
                    .cheapest(mostGrips)
                    .grips();
        } else {
            Shape shape = ((Lock.OnShape) lock).shape();
            keeps = shape::equals;
            kept = fits(shape)
                    ? pools.finder(wanted.picked()).fingerings(shape, chord, song.occurrences(chord))
                    : List.of();
        }
        if (kept.isEmpty()) {
            return new LockedGrips(all, 0);
        }
        List<RatedGrip> joined = new ArrayList<>(kept);
        all.stream().filter(g -> !keeps.test(g.grip().shape())).forEach(joined::add);
        return new LockedGrips(List.copyOf(joined), kept.size());
    }

    private boolean fits(Shape shape) {
        return shape.strings() == pools.board().strings()
                && shape.highestFret() <= pools.board().frets();
    }

    private GripPool.Cheapest grips(Wanted wanted) {
        return searched.computeIfAbsent(
                wanted,
                w -> pools.of(w, song.occurrences(w.chord()))
                        .cheapest(search(w).most(), search(w).bound()));
    }

    private Search search(Wanted wanted) {
        return searches.getOrDefault(wanted, new Search(firstWidth, Double.POSITIVE_INFINITY));
    }
}
