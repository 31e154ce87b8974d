package underhand.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import underhand.part.Notation.Event;
import underhand.part.Notation.WrittenBar;

/** Parts the strokes of bars with a tune into two voices: the tune as long as it is held, over the bar line too, and the rest. */
final class NotatedVoices {

    /** A note of the tune that goes on in the next bar, and how long. */
    private record Carried(Event event, int length) {}

    private Optional<Carried> carried = Optional.empty();

    List<WrittenBar> of(List<WrittenBar> bars) {
        return bars.stream().map(this::of).toList();
    }

    private WrittenBar of(WrittenBar bar) {
        boolean sings = bar.events().stream().flatMap(e -> e.notes().stream()).anyMatch(PlayedNote::tune);
        if (!sings && carried.isEmpty()) {
            return bar;
        }
        List<Event> tune = tune(bar);
        List<Event> under = under(bar);
        boolean isAlone = under.stream().allMatch(e -> e.notes().isEmpty());
        return bar.withVoices(isAlone ? List.of(tune) : List.of(tune, under));
    }

    private List<Event> tune(WrittenBar bar) {
        List<Event> struck = only(bar, PlayedNote::tune);
        List<Event> voice = new ArrayList<>();
        int at = 0;
        if (carried.isPresent()) {
            Carried before = carried.get();
            int next = struck.isEmpty() ? bar.length() : struck.get(0).from();
            int length = Math.min(before.length(), next);
            boolean goesOn = before.length() > bar.length() && struck.isEmpty();
            voice.add(lasting(before.event(), 0, length, true, goesOn));
            carried = goesOn
                    ? Optional.of(new Carried(before.event(), before.length() - bar.length()))
                    : Optional.empty();
            at = length;
        }
        for (int i = 0; i < struck.size(); i++) {
            Event event = struck.get(i);
            if (event.from() > at) {
                voice.add(Notation.rest(at, event.from() - at));
            }
            int next = i + 1 < struck.size() ? struck.get(i + 1).from() : bar.length();
            int rings = Notation.ticks(bar.bar(), event.notes().get(0).ring());
            boolean goesOn = i + 1 == struck.size() && event.from() + rings > bar.length();
            at = Math.min(next, event.from() + rings);
            voice.add(lasting(event, event.from(), at - event.from(), false, goesOn));
            carried = goesOn ? Optional.of(new Carried(event, event.from() + rings - bar.length())) : Optional.empty();
        }
        if (at < bar.length()) {
            voice.add(Notation.rest(at, bar.length() - at));
        }
        return voice;
    }

    private static List<Event> under(WrittenBar bar) {
        List<Event> struck = only(bar, note -> !note.tune());
        List<Event> voice = new ArrayList<>();
        int first = struck.isEmpty() ? bar.length() : struck.get(0).from();
        if (first > 0) {
            voice.add(Notation.rest(0, first));
        }
        for (int i = 0; i < struck.size(); i++) {
            int from = struck.get(i).from();
            int until = i + 1 < struck.size() ? struck.get(i + 1).from() : bar.length();
            voice.add(lasting(struck.get(i), from, until - from, false, false));
        }
        return voice;
    }

    /** The strokes of a bar with some of their notes, where they have any. A chord's name stands with the tune, if that begins. */
    private static List<Event> only(WrittenBar bar, Predicate<PlayedNote> which) {
        List<Event> some = new ArrayList<>();
        for (Event event : bar.events()) {
            List<PlayedNote> notes = event.notes().stream().filter(which).toList();
            if (!notes.isEmpty()) {
                boolean hasTune = event.notes().stream().anyMatch(PlayedNote::tune);
                boolean names = event.begins() && (!hasTune || notes.get(0).tune());
                some.add(new Event(
                        event.from(),
                        event.values(),
                        notes,
                        event.strum(),
                        event.weight(),
                        event.sound(),
                        event.fill(),
                        event.place(),
                        names,
                        event.fingered().stream()
                                .filter(s -> notes.stream().anyMatch(n -> n.string() == s))
                                .collect(Collectors.toSet()),
                        false,
                        false));
            }
        }
        return some;
    }

    private static Event lasting(Event event, int from, int length, boolean fromBefore, boolean intoNext) {
        return new Event(
                from,
                NoteValue.of(from, length),
                event.notes(),
                event.strum(),
                event.weight(),
                event.sound(),
                event.fill(),
                event.place(),
                event.begins() && !fromBefore,
                fromBefore ? Set.of() : event.fingered(),
                fromBefore,
                intoNext);
    }
}
