package underhand.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;

/**
 * The bars of a part as they are written: one voice, every event as long as the time to the next. Lengths are counted in
 * {@link NoteValue#PER_QUARTER}ths of a quarter.
 */
public final class Notation {

    private Notation() {}

    /**
     * What stands at one moment of a bar.
     *
     * @param from where it begins in its bar
     * @param values written lengths, tied together
     * @param notes lowest string first; none for a rest
     */
    public record Event(
            int from,
            List<NoteValue> values,
            List<PlayedNote> notes,
            Optional<Direction> strum,
            Weight weight,
            Sound sound,
            boolean fill,
            int place) {

        /** Written length in all. */
        public int length() {
            return values.stream().mapToInt(NoteValue::length).sum();
        }
    }

    public record WrittenBar(PartBar bar, int length, List<Event> events) {}

    /** The bars of a part, each filled by its events. */
    public static List<WrittenBar> of(Part part) {
        List<WrittenBar> written = new ArrayList<>();
        int next = 0;
        for (PartBar bar : part.bars()) {
            List<Strike> strikes = new ArrayList<>();
            double end = bar.from() + bar.beats();
            while (next < part.strikes().size() && part.strikes().get(next).from() < end - 1e-6) {
                strikes.add(part.strikes().get(next++));
            }
            written.add(bar(bar, strikes));
        }
        return written;
    }

    private static WrittenBar bar(PartBar bar, List<Strike> strikes) {
        int length = ticks(bar, bar.beats());
        List<Event> events = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < strikes.size(); i++) {
            Strike strike = strikes.get(i);
            int from = ticks(bar, strike.from() - bar.from());
            if (from > at) {
                events.add(rest(at, from - at));
            }
            int until = i + 1 < strikes.size() ? ticks(bar, strikes.get(i + 1).from() - bar.from()) : length;
            events.add(new Event(
                    from,
                    NoteValue.of(from, until - from),
                    strike.notes().stream()
                            .sorted((a, b) -> Integer.compare(a.string(), b.string()))
                            .toList(),
                    strike.strum(),
                    strike.weight(),
                    strike.sound(),
                    strike.fill(),
                    strike.place()));
            at = until;
        }
        if (at < length) {
            events.add(rest(at, length - at));
        }
        return new WrittenBar(bar, length, events);
    }

    private static Event rest(int from, int length) {
        return new Event(
                from, NoteValue.of(from, length), List.of(), Optional.empty(), Weight.NORMAL, Sound.RING, false, -1);
    }

    /** Beats of a bar in written lengths. */
    static int ticks(PartBar bar, double beats) {
        return (int) Math.round(beats * bar.quartersABeat() * NoteValue.PER_QUARTER);
    }
}
