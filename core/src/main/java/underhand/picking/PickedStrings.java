package underhand.picking;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import underhand.chord.ChordSymbol;
import underhand.neck.Fretboard;
import underhand.neck.Shape;

/**
 * The strings of a shape as the right hand sees them. Strings are indices from the lowest.
 *
 * <p>The trebles are the three highest strings that sound besides the lowest, wherever they are: the third, second and
 * first of a full grip. What sounds between the root and them are other basses.
 */
public final class PickedStrings {

    private static final int TREBLES = 3;
    private static final int BASSES = 2;

    private final Shape shape;
    private final ChordSymbol chord;
    private final Fretboard board;
    private final List<Integer> sounding;
    private final List<Integer> trebles;
    private final List<Integer> between;

    private PickedStrings(Shape shape, ChordSymbol chord, Fretboard board) {
        this.shape = shape;
        this.chord = chord;
        this.board = board;
        this.sounding = IntStream.range(0, shape.strings())
                .filter(s -> !shape.isSilent(s))
                .boxed()
                .toList();
        List<Integer> above = sounding.isEmpty() ? List.of() : sounding.subList(1, sounding.size());
        int basses = Math.max(0, above.size() - TREBLES);
        this.between = above.subList(0, basses);
        this.trebles = above.subList(basses, above.size());
    }

    /** @param chord the sounding chord, whose fifth is the other bass that is sought first, then its third */
    public static PickedStrings of(Shape shape, ChordSymbol chord, Fretboard board) {
        return new PickedStrings(shape, chord, board);
    }

    private OptionalInt otherBass() {
        for (int number : new int[] {5, 3}) {
            for (int string : between) {
                int pitchClass = Math.floorMod(board.midi(string, shape.fret(string)), 12);
                boolean wanted = chord.tones().stream()
                        .anyMatch(
                                t -> t.interval().number() == number && t.note().pitchClass() == pitchClass);
                if (wanted) {
                    return OptionalInt.of(string);
                }
            }
        }
        return between.isEmpty() ? OptionalInt.empty() : OptionalInt.of(between.get(0));
    }

    /** The string of a role; empty where the shape has none for it. */
    public OptionalInt string(Role role) {
        if (sounding.isEmpty()) {
            return OptionalInt.empty();
        }
        return switch (role) {
            case ROOT -> OptionalInt.of(sounding.get(0));
            case OTHER_BASS -> OptionalInt.of(otherBass().orElse(sounding.get(0)));
            case HIGH -> fromTop(0);
            case MIDDLE -> fromTop(1);
            case LOW -> fromTop(2);
        };
    }

    /** The role of a string; one that has none here, silent or between, has that of a full grip. */
    public Role role(int string) {
        for (Role role : Role.values()) {
            OptionalInt its = string(role);
            if (its.isPresent() && its.getAsInt() == string) {
                return role;
            }
        }
        return Role.ofString(shape.strings() - string);
    }

    private OptionalInt fromTop(int place) {
        int index = trebles.size() - 1 - place;
        return index < 0 ? OptionalInt.empty() : OptionalInt.of(trebles.get(index));
    }

    /** Strings a step strikes, in the order in which they are struck: a strum up begins at the highest. */
    public List<Integer> strings(Step step) {
        if (step instanceof Step.Strum strum) {
            List<Integer> span = new ArrayList<>(
                    switch (strum.span()) {
                        case ALL -> sounding;
                        case BASS -> sounding.subList(0, Math.min(BASSES, sounding.size()));
                        case TREBLE -> sounding.subList(Math.max(0, sounding.size() - TREBLES), sounding.size());
                    });
            if (strum.direction() == Step.Direction.UP) {
                Collections.reverse(span);
            }
            return span;
        }
        if (step instanceof Step.Pick pick) {
            List<Integer> strings = new ArrayList<>();
            pick.roles().forEach(r -> string(r).ifPresent(strings::add));
            pick.strings().forEach(number -> {
                int string = shape.strings() - number;
                if (sounding.contains(string)) {
                    strings.add(string);
                }
            });
            return strings.stream().distinct().sorted().toList();
        }
        return List.of();
    }

    /** What a step asks for that this shape does not sound, in words. */
    public Optional<String> lacking(Step step) {
        if (step instanceof Step.Pick pick) {
            for (Role role : pick.roles()) {
                if (string(role).isEmpty()) {
                    return Optional.of(
                            "it sounds only " + sounding.size() + " strings, so there is no " + role.label());
                }
            }
            for (int number : pick.strings()) {
                if (!sounding.contains(shape.strings() - number)) {
                    return Optional.of("its string " + number + " does not sound");
                }
            }
        }
        return Optional.empty();
    }

    /** Whether every string a step strikes is open. */
    public boolean strikesOnlyOpen(Step step) {
        if (step instanceof Step.Strum strum && strum.span() == Step.Span.ALL) {
            return shape.highestFret() == 0;
        }
        List<Integer> struck = strings(step);
        return !struck.isEmpty() && struck.stream().noneMatch(shape::isFretted);
    }
}
