package underhand.part;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import underhand.arrange.Arrangement;
import underhand.fill.Fill;
import underhand.fill.FillNote;
import underhand.fill.Technique;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.picking.Finger;
import underhand.picking.PatternRun;
import underhand.picking.PickedStrings;
import underhand.picking.PickingPattern;
import underhand.picking.PlayedPatterns;
import underhand.picking.RightHand;
import underhand.picking.RightHandLimit;
import underhand.picking.Role;
import underhand.picking.Step;
import underhand.picking.Step.Pick;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Strum;
import underhand.picking.Step.Weight;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRule;
import underhand.solve.PlacedGrip;

/**
 * Strikes the grips of an arrangement by its patterns and fills. A pattern that is faster than the rung's hand is replaced
 * by a stroke a beat, or as many as the hand has; a string that the same finger would have to pluck again too fast is left
 * out the first time.
 */
final class PartWriter {

    private static final double SAME = 1e-6;

    private final Arrangement arrangement;
    private final ArrangementSettings settings;
    private final Fretboard board;
    private final PlayedPatterns patterns;
    private final RightHandLimit limit;
    private final double beatSeconds;
    private final Map<Integer, Fill> fills = new HashMap<>();
    private final SoloStrikes solo;
    private final List<PartBar> bars = new ArrayList<>();
    private final List<Strike> strikes = new ArrayList<>();
    private final Set<String> notices = new LinkedHashSet<>();

    private PartWriter(Arrangement arrangement, List<Fill> fills) {
        this.arrangement = arrangement;
        this.settings = arrangement.settings();
        this.board = arrangement.board();
        this.patterns = new PlayedPatterns(settings.patterns(), settings.rung(), arrangement.tempo());
        this.limit = RightHandLimit.of(settings.rung());
        this.beatSeconds = 60.0 / arrangement.tempo();
        this.solo = new SoloStrikes(arrangement);
        fills.stream().filter(f -> !solo.plays(f.place())).forEach(f -> this.fills.put(f.place(), f));
    }

    /** @param fills at most one a place; the last of several is played */
    static Part write(Arrangement arrangement, List<Fill> fills) {
        return new PartWriter(arrangement, fills).write();
    }

    private Part write() {
        double from = 0;
        for (PlacedGrip placed : arrangement.placements()) {
            PickingPattern pattern = patterns.pattern(placed.slot());
            bar(placed, pattern, from);
            if (solo.plays(placed.index())) {
                strikes.addAll(solo.at(placed.index()));
            } else if (placed.grip().isPresent()) {
                patterns.notice(placed.slot()).ifPresent(notices::add);
                strike(placed, pattern, from);
            }
            from += placed.segment().beats();
        }
        finger();
        ring(from);
        return new Part(arrangement, bars, strikes, List.copyOf(notices));
    }

    private void bar(PlacedGrip placed, PickingPattern pattern, double from) {
        int last = bars.size() - 1;
        double beats = placed.segment().beats();
        if (last >= 0 && bars.get(last).number() == placed.slot().bar()) {
            PartBar bar = bars.get(last);
            bars.set(
                    last,
                    new PartBar(
                            bar.number(),
                            bar.section(),
                            bar.metre(),
                            bar.from(),
                            bar.beats() + beats,
                            bar.swing(),
                            bar.pattern()));
            return;
        }
        Optional<String> section =
                placed.slot().barInSection() == 1 ? Optional.of(placed.slot().section()) : Optional.empty();
        bars.add(new PartBar(
                placed.slot().bar(), section, placed.slot().metre(), from, beats, pattern.swing(), pattern.name()));
    }

    private void strike(PlacedGrip placed, PickingPattern pattern, double start) {
        Grip grip = placed.grip().orElseThrow().grip();
        PickedStrings strings =
                PickedStrings.of(grip.shape(), placed.segment().chord().orElseThrow(), board);
        Optional<Fill> fill = Optional.ofNullable(fills.get(placed.index()));
        Set<Integer> slidInto = slidInto(placed);
        double until = fill.map(Fill::from).orElse(placed.segment().beats());
        for (PatternRun.Struck struck : patterns.strokes(
                placed.slot(), placed.segment().beat(), placed.segment().beats())) {
            if (struck.from() < until - SAME || struck.from() < SAME) {
                lacking(placed, pattern, strings, struck.step());
                boolean opens = struck.from() < SAME;
                List<PlayedNote> notes = strings.strings(struck.step()).stream()
                        .map(s -> note(
                                s,
                                grip.shape().fret(s),
                                grip.fingerOn(s),
                                opens && slidInto.contains(s) ? Technique.SLIDE : Technique.PLUCKED))
                        .toList();
                if (!notes.isEmpty()) {
                    strikes.add(strike(placed, start + struck.from(), struck.step(), notes));
                }
            }
        }
        fill.ifPresent(f -> fill(placed, f, start));
    }

    /** Strings on which the place before slides into this one. */
    private Set<Integer> slidInto(PlacedGrip placed) {
        Fill before = fills.get(placed.index() - 1);
        return before == null || !before.slidesOn()
                ? Set.of()
                : before.notes().stream().map(FillNote::string).collect(Collectors.toSet());
    }

    private void lacking(PlacedGrip placed, PickingPattern pattern, PickedStrings strings, Step step) {
        strings.lacking(step)
                .ifPresent(why -> notices.add("Bar " + placed.slot().bar() + ": "
                        + placed.played().orElseThrow().glyphs() + " as "
                        + placed.grip().orElseThrow().grip().shape() + " cannot carry the " + pattern.name() + ": "
                        + why + "."));
    }

    private static Strike strike(PlacedGrip placed, double from, Step step, List<PlayedNote> notes) {
        if (step instanceof Strum strum) {
            return new Strike(
                    placed.index(), from, Optional.of(strum.direction()), strum.weight(), strum.sound(), notes, false);
        }
        Pick pick = (Pick) step;
        return new Strike(placed.index(), from, Optional.empty(), pick.weight(), pick.sound(), notes, false);
    }

    private void fill(PlacedGrip placed, Fill fill, double start) {
        Map<Double, List<PlayedNote>> byTime = new TreeMap<>();
        for (FillNote note : fill.notes()) {
            byTime.computeIfAbsent(note.from(), at -> new ArrayList<>())
                    .add(note(note.string(), note.fret(), note.finger(), note.technique()));
        }
        byTime.forEach((from, notes) -> strikes.add(
                new Strike(placed.index(), start + from, Optional.empty(), Weight.NORMAL, Sound.RING, notes, true)));
    }

    private PlayedNote note(int string, int fret, int finger, Technique technique) {
        return new PlayedNote(
                string, fret, board.midi(string, fret), finger, Optional.empty(), technique, 0, Voice.CHORDS);
    }

    /** Gives every plucked note its finger of the right hand, and leaves out what one finger cannot pluck in time. */
    private void finger() {
        List<Integer> plucked = new ArrayList<>();
        List<RightHand.Pluck> plucks = new ArrayList<>();
        for (int i = 0; i < strikes.size(); i++) {
            Strike strike = strikes.get(i);
            List<Integer> strings = strike.notes().stream()
                    .filter(n -> n.technique() == Technique.PLUCKED)
                    .map(PlayedNote::string)
                    .sorted()
                    .toList();
            if (strike.strum().isEmpty() && !strings.isEmpty()) {
                plucked.add(i);
                plucks.add(new RightHand.Pluck(strike.from() * beatSeconds, strings, roles(strike, strings)));
            }
        }
        List<List<Finger>> fingers =
                new RightHand(settings.houseRules().get(HouseRule.PICKING_HAND), limit.fastSeconds()).fingers(plucks);
        for (int i = 0; i < plucks.size(); i++) {
            Set<Finger> busy = Set.of();
            if (i + 1 < plucks.size()
                    && plucks.get(i + 1).seconds() - plucks.get(i).seconds() < limit.fastSeconds()) {
                busy = Set.copyOf(fingers.get(i + 1));
            }
            strikes.set(plucked.get(i), fingered(strikes.get(plucked.get(i)), plucks.get(i), fingers.get(i), busy));
        }
        strikes.removeIf(s -> s.notes().isEmpty());
    }

    private static Strike fingered(Strike strike, RightHand.Pluck pluck, List<Finger> fingers, Set<Finger> busy) {
        List<PlayedNote> notes = new ArrayList<>();
        for (PlayedNote note : strike.notes()) {
            if (note.technique() != Technique.PLUCKED) {
                notes.add(note);
                continue;
            }
            Finger finger = fingers.get(pluck.strings().indexOf(note.string()));
            if (!busy.contains(finger) || note.tune()) {
                notes.add(note.withRightFinger(finger));
            }
        }
        return strike.withNotes(notes);
    }

    private List<Role> roles(Strike strike, List<Integer> strings) {
        if (solo.plays(strike.place())) {
            return SoloStrikes.roles(strike, strings, board.strings());
        }
        PlacedGrip placed = arrangement.placements().get(strike.place());
        PickedStrings roles = PickedStrings.of(
                placed.grip().orElseThrow().grip().shape(),
                placed.segment().chord().orElseThrow(),
                board);
        return strings.stream().map(roles::role).toList();
    }

    /** A note rings until its string is struck again, its chord ends, or its stroke stops it. */
    private void ring(double end) {
        Map<Integer, Double> nextOnString = new HashMap<>();
        double nextPlace = end;
        int place = Integer.MAX_VALUE;
        double placeFrom = end;
        for (int i = strikes.size() - 1; i >= 0; i--) {
            Strike strike = strikes.get(i);
            if (strike.place() != place) {
                nextPlace = placeFrom;
                place = strike.place();
            }
            double chordEnd = Math.max(nextPlace, strike.from());
            double stop = strike.sound() == Sound.RING && strike.weight() != Weight.GHOST
                    ? chordEnd
                    : Math.min(chordEnd, strike.from() + 0.5);
            Strike rung = strike.withNotes(strike.notes().stream()
                    .map(n -> n.ring() > 0
                            ? n
                            : n.withRing(Math.min(stop, nextOnString.getOrDefault(n.string(), end)) - strike.from()))
                    .toList());
            strikes.set(i, rung);
            strike.notes().forEach(n -> nextOnString.put(n.string(), strike.from()));
            placeFrom = strike.from();
        }
    }
}
