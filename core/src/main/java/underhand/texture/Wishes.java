package underhand.texture;

import java.util.Optional;
import underhand.input.RangeException;
import underhand.neck.Shape;

/**
 * What a player wishes of every grip, whatever the texture. A wish binds.
 *
 * @param strings numbers of the strings that may sound, from the highest as 1; empty for all of them
 * @param fromFret lowest fret a finger presses, from 1; an open string lies outside unless that is the first
 * @param toFret highest fret a finger presses
 * @param noDoubling whether no two strings sound the same note of the chord
 * @param top how the highest voice shall go
 */
public record Wishes(String strings, int fromFret, int toFret, boolean noDoubling, Optional<Top> top) {

    private static final int MOST_FRETS = 36;

    public static final Wishes NONE = new Wishes("", 1, MOST_FRETS, false, Optional.empty());

    public Wishes {
        if (!strings.matches("[1-9]{0,9}") || strings.chars().distinct().count() != strings.length()) {
            throw new RangeException(
                    "wishes.strings",
                    "strings are numbers from the highest as 1, each once, such as 4321; was \"" + strings + "\"");
        }
        RangeException.check("wishes.fromFret", fromFret, 1, MOST_FRETS);
        RangeException.check("wishes.toFret", toFret, 1, MOST_FRETS);
        if (fromFret > toFret) {
            throw new RangeException(
                    "wishes.toFret",
                    "the region from fret " + fromFret + " to fret " + toFret
                            + " has no fret; the first must not be higher");
        }
    }

    public static Wishes onStrings(String strings) {
        return new Wishes(strings, 1, MOST_FRETS, false, Optional.empty());
    }

    /** Whether a shape keeps them, but for the way of its highest voice. */
    boolean hold(Shape shape, Structure structure) {
        for (int string = 0; string < shape.strings(); string++) {
            int number = shape.strings() - string;
            boolean isWanted = strings.isEmpty() || strings.indexOf(Character.forDigit(number, 10)) >= 0;
            boolean isOutside = shape.isFretted(string)
                    ? shape.fret(string) < fromFret || shape.fret(string) > toFret
                    : !shape.isSilent(string) && fromFret > 1;
            if (isOutside || !shape.isSilent(string) && !isWanted) {
                return false;
            }
        }
        return !noDoubling || !structure.isDoubled();
    }
}
