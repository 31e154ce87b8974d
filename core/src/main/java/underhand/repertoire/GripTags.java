package underhand.repertoire;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Pitch;

/** The families of shapes a grip belongs to, by their usual definitions. */
final class GripTags {

    private static final int OCTAVE = 12;

    private GripTags() {}

    static List<String> of(Grip grip, ChordSymbol chord, Fretboard board) {
        Shape shape = grip.shape();
        List<Integer> voices =
                shape.pitches(board).stream().map(Pitch::midi).sorted().toList();
        Set<Integer> above = voices.stream()
                .map(v -> Math.floorMod(v - chord.root().pitchClass(), OCTAVE))
                .collect(Collectors.toSet());
        List<String> tags = new ArrayList<>();
        add(tags, "open", shape.openStrings() > 0);
        add(tags, "barre", !grip.barres().isEmpty());
        Repertoire.of(board.tuning()).carriedFrom(shape).ifPresent(from -> tags.add("carried from " + from));
        add(tags, "power", above.equals(Set.of(0, 7)));
        add(tags, "rootless", !above.contains(0));
        add(tags, "tenth", voices.size() == 2 && isTenth(voices.get(1) - voices.get(0)));
        add(tags, "guide tones", voices.size() == 2 && hasThird(above) && hasSeventh(above));
        add(tags, "shell", voices.size() == 3 && above.contains(0) && hasThird(above) && hasSeventh(above));
        add(
                tags,
                "triad",
                voices.size() == 3
                        && above.size() == 3
                        && chord.type().intervals().size() == 3);
        add(tags, "quartal", isQuartal(voices));
        if (voices.size() == 4 && above.size() == 4) {
            add(tags, "drop 2", isDrop(voices, 2));
            add(tags, "drop 3", isDrop(voices, 3));
        }
        return tags;
    }

    private static void add(List<String> tags, String tag, boolean applies) {
        if (applies) {
            tags.add(tag);
        }
    }

    private static boolean isTenth(int semitones) {
        return semitones == OCTAVE + 3 || semitones == OCTAVE + 4;
    }

    private static boolean hasThird(Set<Integer> above) {
        return above.contains(3) || above.contains(4);
    }

    private static boolean hasSeventh(Set<Integer> above) {
        return above.contains(9) || above.contains(10) || above.contains(11);
    }

    private static boolean isQuartal(List<Integer> voices) {
        for (int i = 1; i < voices.size(); i++) {
            int interval = voices.get(i) - voices.get(i - 1);
            if (interval != 5 && interval != 6) {
                return false;
            }
        }
        return voices.size() >= 3;
    }

    /** Whether the lowest voice is the n-th from the top of a close chord, dropped an octave. */
    private static boolean isDrop(List<Integer> voices, int fromTop) {
        int raised = voices.get(0) + OCTAVE;
        List<Integer> close = new ArrayList<>(voices.subList(1, voices.size()));
        close.add(raised);
        close.sort(null);
        return close.get(3) - close.get(0) < OCTAVE && close.indexOf(raised) == 4 - fromTop;
    }
}
