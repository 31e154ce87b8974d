package underhand.solve;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.harmony.Reading;
import underhand.harmony.ReadingId;
import underhand.neck.Shape;
import underhand.repertoire.Candidates;
import underhand.repertoire.GripFinder;
import underhand.repertoire.GripPool;
import underhand.repertoire.KnownGrips;
import underhand.repertoire.RatedGrip;
import underhand.repertoire.WantedChord;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.TexturePlan;
import underhand.solve.Layer.Block;
import underhand.texture.Motion;
import underhand.work.Work;

/**
 * Lays a song out in layers: for every placement the grips of the chords it may be played with, and the player's locks.
 *
 * <p>Chords are searched once, and only as far as it is needed; the layers of a chord share one list of grips.
 */
final class LayerBuilder {

    /** Each time a chord is widened it is searched for so many times as many grips. */
    static final int WIDENING = 2;

    /** Grips of a chord bound to others that are looked at. */
    private static final int MOST_BOUND = 160;

    /** On more strings a chord has too many shapes to look at all of them. */
    private static final int MOST_STRINGS = 7;

    private final Song song;
    private final KnownGrips known;
    private final KnownGrips.Search searches;
    private final StrokeTiming timing;
    private final boolean repeatsAlike;
    private final TexturePlan textures;
    private final Map<Integer, List<Lock>> locks;

    /** Shapes of chords whose grips are bound to others: there the fingers count as much as the shape. */
    private Map<WantedChord, Set<Shape>> bound;

    /** Chords that cannot be bound within their texture, and are looked for in grips of any kind. */
    private final Set<WantedChord> loosened = new HashSet<>();

    /** What is searched for among those. */
    private final Map<WantedChord, GripPool> boundPools = new ConcurrentHashMap<>();

    private final Map<WantedChord, Integer> widths = new HashMap<>();
    private final Map<WantedChord, GripPool.Cheapest> searched = new HashMap<>();
    private final Map<LockedChord, LockedGrips> locked = new HashMap<>();
    private final int firstWidth;
    private final int mostGrips;
    private final boolean inAllFingerings;

    /** Index of the layer each layer is tied to, by layer. */
    private final List<Integer> ties = new ArrayList<>();

    private final List<Integer> unkeptLocks = new ArrayList<>();

    private record LockedChord(WantedChord chord, Lock.Kept kept) {}

    private record LockedGrips(GripPool.Cheapest grips, int locked) {}

    /**
     * @param firstWidth how many grips of a chord are looked at first
     * @param mostGrips how many are looked at when a chord is widened
     * @param inAllFingerings whether the further fingerings of their shapes are looked at too
     */
    LayerBuilder(
            Song song,
            KnownGrips known,
            KnownGrips.Search searches,
            StrokeTiming timing,
            ArrangementSettings settings,
            int firstWidth,
            int mostGrips,
            boolean inAllFingerings) {
        this.song = song;
        this.known = known;
        this.searches = searches;
        this.timing = timing;
        this.repeatsAlike = settings.repeatsAlike();
        this.textures = settings.textures();
        this.firstWidth = firstWidth;
        this.mostGrips = mostGrips;
        this.inAllFingerings = inAllFingerings;
        this.locks = settings.locks().stream().collect(Collectors.groupingBy(Lock::placement));
        this.bound = boundShapes();
    }

    private Map<WantedChord, Set<Shape>> boundShapes() {
        return known.board().strings() > MOST_STRINGS
                ? BoundShapes.withoutSlides(song, this::wanted)
                : BoundShapes.of(song, this::wanted, searches::shapes);
    }

    /**
     * Looks for the chords of readings that are bound in grips of any kind from the next {@link #build} on.
     *
     * @param readings by placement, which cannot be kept within their texture
     * @return false when they were looked for in grips of any kind already
     */
    boolean loosen(Map<Integer, ReadingId> readings) {
        Set<WantedChord> chords = new HashSet<>();
        readings.forEach((placement, id) -> song.reach(placement, id)
                .forEach(at -> song.reading(at, id)
                        .orElseThrow()
                        .steps()
                        .forEach(step -> chords.add(wanted(song.placements().get(at), step)))));
        chords.removeIf(chord -> chord.ask().texture().isFree() || chord.ask().ofAnyKind());
        return loosen(chords);
    }

    /** The same for what another builder looks for in grips of any kind. */
    LayerBuilder alike(LayerBuilder other) {
        loosen(other.loosened);
        return this;
    }

    private boolean loosen(Set<WantedChord> chords) {
        boolean isChanged = loosened.addAll(chords);
        if (isChanged) {
            bound = boundShapes();
        }
        return isChanged;
    }

    /** Looks at more grips of some chords from the next {@link #build} on; false when all were searched as far as may be. */
    boolean widen(Set<WantedChord> chords) {
        boolean isWidened = false;
        for (WantedChord chord : chords) {
            isWidened |= widen(chord);
        }
        return isWidened;
    }

    /** Where voices are led a grip's own effort says little of what it is worth: all are looked at from the first. */
    private int width(WantedChord chord) {
        boolean isWished = !chord.ask().motion().equals(Motion.FREE);
        return widths.getOrDefault(chord, isWished ? mostGrips : firstWidth);
    }

    private boolean widen(WantedChord chord) {
        int most = width(chord);
        if (most >= mostGrips) {
            return false;
        }
        widths.put(chord, Math.min(mostGrips, most * WIDENING));
        searched.remove(chord);
        locked.keySet().removeIf(key -> key.chord().equals(chord));
        return true;
    }

    List<Layer> build() {
        search();
        ties.clear();
        unkeptLocks.clear();
        List<Layer> layers = new ArrayList<>();
        Map<Repeated, Integer> firstOf = new HashMap<>();
        Map<Candidates, Integer> numbers = new HashMap<>();
        for (Chart.Slot slot : song.placements()) {
            List<Reading> readings = song.readings(slot).stream()
                    .filter(r -> isPlayable(slot, r))
                    .toList();
            int piece = 0;
            for (double from : starts(readings)) {
                Layer layer = new Layer(slot, blocks(slot, readings, from));
                Repeated sameAs = new Repeated(slot.written(), piece++, lists(layer, numbers));
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

    /**
     * What layers have in common that are to be played alike.
     *
     * @param written placement in the chart as it is written
     * @param piece of it, from 0
     * @param candidates numbers of what they may be played with
     */
    private record Repeated(int written, int piece, List<Integer> candidates) {}

    /** Which candidates a layer has; equal for layers that share theirs. */
    private static List<Integer> lists(Layer layer, Map<Candidates, Integer> numbers) {
        return layer.blocks().stream()
                .map(b -> numbers.computeIfAbsent(b.candidates(), list -> numbers.size()))
                .toList();
    }

    private boolean isPlayable(Chart.Slot slot, Reading reading) {
        return reading.steps().stream()
                .noneMatch(s -> grips(wanted(slot, s)).grips().isEmpty());
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

    private WantedChord wanted(Chart.Slot slot, Reading.Step step) {
        WantedChord wanted =
                new WantedChord(step.chord(), step.form(), timing.isPicked(slot), textures.at(slot.index()));
        return loosened.contains(wanted)
                ? new WantedChord(
                        wanted.chord(),
                        wanted.form(),
                        wanted.picked(),
                        wanted.ask().inAnyKind())
                : wanted;
    }

    private List<Block> blocks(Chart.Slot slot, List<Reading> readings, double from) {
        List<Block> blocks = new ArrayList<>();
        for (Reading reading : readings) {
            double at = 0;
            for (int part = 0; part < reading.steps().size(); part++) {
                Reading.Step step = reading.steps().get(part);
                if (at <= from && from < at + step.beats()) {
                    double beat = slot.placement().beat() + at;
                    Segment segment = new Segment(reading.id(), part, Optional.of(step.chord()), beat, step.beats());
                    blocks.add(block(slot, segment, step, at < from));
                }
                at += step.beats();
            }
        }
        return blocks;
    }

    private Block block(Chart.Slot slot, Segment segment, Reading.Step step, boolean held) {
        WantedChord wanted = wanted(slot, step);
        GripPool.Cheapest pool = grips(wanted);
        Optional<Lock> lock = lockOn(slot, segment.part());
        if (lock.isEmpty()) {
            return new Block(segment, wanted, step.bond(), held, pool.candidates(), 0, pool.leftOutFrom());
        }
        LockedGrips kept = lock.get()
                .at(known.board().capo())
                .map(here ->
                        locked.computeIfAbsent(new LockedChord(wanted, here), key -> lockedGrips(wanted, here, pool)))
                .orElseGet(() -> new LockedGrips(pool, 0));
        if (kept.locked() == 0 && !held) {
            unkeptLocks.add(slot.index());
        }
        return new Block(
                segment,
                wanted,
                step.bond(),
                held,
                kept.grips().candidates(),
                kept.locked(),
                kept.grips().leftOutFrom());
    }

    /** The lock on a placement itself, or on the one it repeats. */
    private Optional<Lock> lockOn(Chart.Slot slot, int part) {
        return lockAt(slot.index(), part).or(() -> repeatsAlike ? lockAt(slot.written(), part) : Optional.empty());
    }

    private Optional<Lock> lockAt(int placement, int part) {
        return locks.getOrDefault(placement, List.of()).stream()
                .filter(lock -> lock.part() == part)
                .reduce((first, last) -> last);
    }

    /** Locked grips first, then all others. */
    private LockedGrips lockedGrips(WantedChord wanted, Lock.Kept lock, GripPool.Cheapest all) {
        GripPool.Cheapest kept = kept(wanted, lock);
        if (kept.grips().isEmpty()) {
            return new LockedGrips(all, 0);
        }
        List<RatedGrip> joined = new ArrayList<>(kept.grips());
        Stream.concat(otherFingers(wanted, lock).stream(), all.grips().stream())
                .filter(g -> !lock.holds(g.grip()))
                .filter(new HashSet<>()::add)
                .forEach(joined::add);
        double leftOutFrom = Math.min(kept.leftOutFrom(), all.leftOutFrom() + Layer.LOCK);
        return new LockedGrips(
                new GripPool.Cheapest(joined, leftOutFrom), kept.grips().size());
    }

    /** The grips of a chord that keep a lock. */
    private GripPool.Cheapest kept(WantedChord wanted, Lock.Kept lock) {
        GripFinder finder = known.finder(wanted);
        int occurrences = song.occurrences(wanted.chord());
        if (lock instanceof Lock.Region region) {
            GripPool within = finder.pool(wanted.chord(), wanted.form(), occurrences, region::holds);
            return inAllFingerings ? within.cheapestInAllFingerings(mostGrips) : within.cheapest(mostGrips);
        }
        Lock.OneShape one = (Lock.OneShape) lock;
        List<RatedGrip> fingered = one.fingers().isEmpty() || !fits(one.shape())
                ? fingerings(wanted, one.shape())
                : finder.fingered(one.shape(), one.fingers().get(), wanted.chord(), occurrences).stream()
                        .toList();
        return new GripPool.Cheapest(fingered, Double.POSITIVE_INFINITY);
    }

    /** The fingerings of a locked shape that are not the player's own. */
    private List<RatedGrip> otherFingers(WantedChord wanted, Lock.Kept lock) {
        boolean isFingered = lock instanceof Lock.OneShape one && one.fingers().isPresent();
        return isFingered ? fingerings(wanted, ((Lock.OneShape) lock).shape()) : List.of();
    }

    private List<RatedGrip> fingerings(WantedChord wanted, Shape shape) {
        return fits(shape)
                ? known.finder(wanted).fingerings(shape, wanted.chord(), song.occurrences(wanted.chord()))
                : List.of();
    }

    private boolean fits(Shape shape) {
        return shape.strings() == known.board().strings()
                && shape.highestFret() <= known.board().frets();
    }

    private GripPool.Cheapest grips(WantedChord wanted) {
        return searched.get(wanted);
    }

    /** Searches every chord of the song that was not searched yet as far as it is wanted, each on a thread of its own. */
    private void search() {
        Set<WantedChord> missing = new LinkedHashSet<>();
        for (Chart.Slot slot : song.placements()) {
            for (Reading reading : song.readings(slot)) {
                for (Reading.Step step : reading.steps()) {
                    WantedChord wanted = wanted(slot, step);
                    if (!searched.containsKey(wanted)) {
                        missing.add(wanted);
                    }
                }
            }
        }
        Work work = Work.current();
        searched.putAll(missing.parallelStream()
                .collect(Collectors.toMap(chord -> chord, chord -> work.doing(() -> cheapest(chord)))));
    }

    private GripPool.Cheapest cheapest(WantedChord chord) {
        int occurrences = song.occurrences(chord.chord());
        return bound.containsKey(chord)
                ? boundGrips(chord, occurrences)
                : searches.cheapest(chord, occurrences, width(chord), inAllFingerings);
    }

    /** Past the easiest so many that are left of a chord there is none that anybody would play. */
    private GripPool.Cheapest boundGrips(WantedChord chord, int occurrences) {
        Set<Shape> shapes = bound.get(chord);
        if (shapes.isEmpty()) {
            return new GripPool.Cheapest(List.of(), Double.POSITIVE_INFINITY);
        }
        GripPool pool = boundPools.computeIfAbsent(chord, c -> searches.among(c, occurrences, shapes));
        return width(chord) < MOST_BOUND
                ? pool.cheapestInAllFingerings(width(chord))
                : new GripPool.Cheapest(pool.cheapestInAllFingerings(MOST_BOUND).grips(), Double.POSITIVE_INFINITY);
    }
}
