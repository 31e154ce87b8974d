package underhand.format.score;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import underhand.part.HeardNote;
import underhand.part.NoteValue;
import underhand.part.Part;
import underhand.part.PartBar;
import underhand.part.Strike;

/** How loud each written note of a part is: as it is heard on the page and in MIDI. */
final class Dynamics {

    private record Written(int bar, int from, int string) {}

    private final Map<Written, Integer> velocities = new HashMap<>();

    /** @param part whose heard notes stand in the order of its strikes */
    Dynamics(Part part) {
        List<HeardNote> heard = part.heard();
        List<PartBar> bars = part.bars();
        int at = 0;
        int bar = 0;
        for (Strike strike : part.strikes()) {
            while (bar + 1 < bars.size() && strike.from() >= bars.get(bar + 1).from() - 1e-6) {
                bar++;
            }
            PartBar in = bars.get(bar);
            int from = (int) Math.round((strike.from() - in.from()) * in.quartersABeat() * NoteValue.PER_QUARTER);
            for (int i = 0; i < strike.notes().size(); i++) {
                HeardNote note = heard.get(at++);
                velocities.put(new Written(in.number(), from, note.string()), note.velocity());
            }
        }
    }

    /**
     * Velocity of a note, 1 to 127.
     *
     * @param bar its number, from 1
     * @param from ticks after the bar's start
     */
    OptionalInt velocity(int bar, int from, int string) {
        Integer velocity = velocities.get(new Written(bar, from, string));
        return velocity == null ? OptionalInt.empty() : OptionalInt.of(velocity);
    }
}
