package underhand.part;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import underhand.arrange.Arrangement;
import underhand.fill.Technique;
import underhand.picking.Role;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;
import underhand.solve.Solo;

/** The notes of a tune and its chords as strokes of the right hand, by their places. */
final class SoloStrikes {

    /** Parts of a beat in which notes that begin together are told from others. */
    private static final double GRAIN = 1e4;

    private final Map<Integer, List<Strike>> strikes = new HashMap<>();

    SoloStrikes(Arrangement arrangement) {
        arrangement.solo().ifPresent(this::add);
    }

    private void add(Solo solo) {
        solo.moments().forEach(m -> strikes.computeIfAbsent(m.place(), p -> new ArrayList<>()));
        Map<Long, List<Solo.Note>> together = new TreeMap<>();
        for (Solo.Note note : solo.notes()) {
            together.computeIfAbsent(Math.round(note.from() * GRAIN), t -> new ArrayList<>())
                    .add(note);
        }
        for (List<Solo.Note> notes : together.values()) {
            Solo.Note first = notes.get(0);
            List<PlayedNote> played = notes.stream().map(SoloStrikes::played).toList();
            strikes.get(first.place())
                    .add(new Strike(
                            first.place(), first.from(), Optional.empty(), Weight.NORMAL, Sound.RING, played, false));
        }
    }

    private static PlayedNote played(Solo.Note note) {
        return new PlayedNote(
                note.string(),
                note.fret(),
                note.midi(),
                note.finger(),
                Optional.empty(),
                Technique.PLUCKED,
                note.beats(),
                note.tune() ? Voice.TUNE : Voice.UNDER_TUNE);
    }

    /** Whether a place has the tune on top, if it only rests there. */
    boolean plays(int place) {
        return strikes.containsKey(place);
    }

    List<Strike> at(int place) {
        return strikes.getOrDefault(place, List.of());
    }

    /** The thumb plays the lowest note under the tune, the fingers what is above it. */
    static List<Role> roles(Strike strike, List<Integer> rising, int strings) {
        List<Role> roles = new ArrayList<>();
        for (int string : rising) {
            boolean isTune = strike.notes().stream().anyMatch(n -> n.string() == string && n.tune());
            Role own = Role.ofString(strings - string);
            boolean isBass = !isTune && roles.isEmpty();
            roles.add(isBass ? Role.ROOT : own.isBass() ? Role.LOW : own);
        }
        return roles;
    }
}
