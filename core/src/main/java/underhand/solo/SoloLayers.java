package underhand.solo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import underhand.neck.Fretboard;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.SoloAsk;

/** Lays the moments of a song out in layers of grips, and keeps what the player decided about them. */
final class SoloLayers {

    private static final double SAME = 1e-3;

    /** Where a grip for whole chords comes from. */
    interface PlainGrips {
        List<SoloGrip> of(Moment moment);
    }

    private final SoloGrips grips;
    private final Fretboard board;
    private final PlainGrips plain;
    private final Map<Integer, List<Lock>> locks;
    private final List<SoloAsk.TuneString> strings;
    private final TreeSet<Integer> unkeptLocks = new TreeSet<>();

    /** The chords that may be held on from where they were gripped, until the next one. */
    private List<SoloGrip> alive = List.of();

    SoloLayers(SoloGrips grips, Fretboard board, ArrangementSettings settings, PlainGrips plain) {
        this.grips = grips;
        this.board = board;
        this.plain = plain;
        this.locks = settings.locks().stream().collect(Collectors.groupingBy(Lock::placement));
        this.strings = settings.solo().map(SoloAsk::strings).orElse(List.of());
    }

    /** The grips of every moment; each has at least one. */
    SoloGrip[][] of(List<Moment> moments) {
        SoloGrip[][] layers = new SoloGrip[moments.size()][];
        for (int i = 0; i < layers.length; i++) {
            layers[i] = layer(moments.get(i)).toArray(SoloGrip[]::new);
        }
        return layers;
    }

    /** Placements whose lock no grip under their tune keeps. */
    List<Integer> unkeptLocks() {
        return List.copyOf(unkeptLocks);
    }

    private List<SoloGrip> layer(Moment moment) {
        if (moment.plain()) {
            alive = List.of();
            return orRest(locked(moment, plain.of(moment)), moment);
        }
        List<SoloGrip> layer = moment.begins() ? beginning(moment) : goingOn(moment);
        return orRest(inRegion(moment, onString(moment, layer)), moment);
    }

    private List<SoloGrip> beginning(Moment moment) {
        boolean hasChord = moment.segment().chord().isPresent();
        List<SoloGrip> anew = hasChord ? grips.chords(moment) : List.of();
        Optional<Lock.Kept> lock = lockAt(moment).filter(l -> !isRegion(l));
        List<SoloGrip> kept = lock.map(l -> kept(moment, l, anew)).orElse(anew);
        alive = kept;
        List<SoloGrip> layer = new ArrayList<>(kept);
        if (lock.isEmpty() || kept == anew) {
            layer.addAll(moment.midi() < 0 ? List.of() : grips.alone(moment));
        }
        return layer;
    }

    private List<SoloGrip> goingOn(Moment moment) {
        List<SoloGrip> layer = new ArrayList<>();
        for (SoloGrip anchor : alive) {
            if (moment.midi() < 0) {
                layer.add(SoloGrips.heldOn(anchor));
            } else {
                layer.addAll(grips.over(anchor, moment));
            }
        }
        if (moment.midi() >= 0) {
            layer.addAll(grips.alone(moment));
        }
        if (moment.strong()
                && moment.segment().chord().isPresent()
                && lockAt(moment).filter(l -> !isRegion(l)).isEmpty()) {
            List<SoloGrip> anew = grips.chords(moment);
            layer.addAll(anew);
            List<SoloGrip> both = new ArrayList<>(alive);
            both.addAll(anew);
            alive = both;
        }
        return layer;
    }

    /** The grips that are on the string the player wants of a note; all where none is. */
    private List<SoloGrip> onString(Moment moment, List<SoloGrip> layer) {
        if (moment.tune() != Moment.Tune.STRUCK || strings.isEmpty()) {
            return layer;
        }
        int bar = moment.slot().bar();
        for (SoloAsk.TuneString wanted : strings) {
            if (wanted.bar() == bar && Math.abs(wanted.beat() - moment.beat()) < SAME) {
                List<SoloGrip> there = layer.stream()
                        .filter(g -> g.top() == board.strings() - wanted.number())
                        .toList();
                return there.isEmpty() ? layer : there;
            }
        }
        return layer;
    }

    private static boolean isRegion(Lock.Kept lock) {
        return lock instanceof Lock.Region;
    }

    /** A phrase is asked to stay in one place: the grips of its chords and all notes over them that lie there. */
    private List<SoloGrip> inRegion(Moment moment, List<SoloGrip> layer) {
        Optional<Lock.Kept> region = lockAt(moment).filter(SoloLayers::isRegion);
        if (region.isEmpty()) {
            return layer;
        }
        List<SoloGrip> there =
                layer.stream().filter(g -> region.get().holds(g.grip())).toList();
        if (there.isEmpty() && !layer.isEmpty()) {
            unkeptLocks.add(moment.slot().index());
            return layer;
        }
        return there;
    }

    private List<SoloGrip> orRest(List<SoloGrip> layer, Moment moment) {
        List<SoloGrip> all = new ArrayList<>(layer);
        all.add(grips.rest(moment));
        return all;
    }

    private List<SoloGrip> locked(Moment moment, List<SoloGrip> all) {
        return lockAt(moment).map(lock -> kept(moment, lock, all)).orElse(all);
    }

    private Optional<Lock.Kept> lockAt(Moment moment) {
        int part = moment.segment().part();
        return locks.getOrDefault(moment.slot().index(), List.of()).stream()
                .filter(lock -> lock.part() == part)
                .reduce((first, last) -> last)
                .flatMap(lock -> {
                    Optional<Lock.Kept> here = lock.at(board.capo());
                    if (here.isEmpty()) {
                        unkeptLocks.add(moment.slot().index());
                    }
                    return here;
                });
    }

    private List<SoloGrip> kept(Moment moment, Lock.Kept lock, List<SoloGrip> all) {
        List<SoloGrip> kept = all.stream().filter(g -> lock.holds(g.grip())).toList();
        if (kept.isEmpty() && lock instanceof Lock.OneShape one) {
            kept = grips.shaped(moment, one.shape()).stream()
                    .filter(g -> lock.holds(g.grip()))
                    .toList();
        }
        if (kept.isEmpty()) {
            unkeptLocks.add(moment.slot().index());
            return all;
        }
        return kept;
    }
}
