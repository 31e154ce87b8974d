package underhand.neck;

import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.pitch.Interval;

/**
 * Which pitch classes a shape may sound, must sound, and must have lowest, as bit masks (bit 0 is C).
 *
 * <p>Required: the root, unless somebody else plays the bass; the third, or what stands for it; a sixth or seventh;
 * every altered note; the highest extension; the fifth of a chord that has nothing but a triad when the guitar plays
 * alone. An unaltered fifth, and an unaltered ninth below a higher extension, may be left out.
 *
 * @param allowed every pitch class that may sound
 * @param required every pitch class that must sound
 * @param lowest pitch class that must sound lowest; -1 when any may
 * @param root pitch class of the root
 */
public record ToneDemand(int allowed, int required, int lowest, int root) {

    /**
     * The demand of a chord.
     *
     * @param rootElsewhere whether the root may be left to somebody else
     * @param bassElsewhere whether a bass that is written may be left to somebody else
     */
    public static ToneDemand of(ChordSymbol chord, boolean rootElsewhere, boolean bassElsewhere) {
        int allowed = 0;
        int required = 0;
        for (ChordSymbol.Tone tone : chord.tones()) {
            int bit = 1 << tone.note().pitchClass();
            allowed |= bit;
            if (isRequired(tone.interval(), chord.type(), rootElsewhere)) {
                required |= bit;
            }
        }
        for (Interval interval : chord.type().optional()) {
            allowed |= 1 << chord.root().plus(interval).pitchClass();
        }
        int lowest = -1;
        if (chord.bass().isPresent() && !bassElsewhere) {
            lowest = chord.bass().get().pitchClass();
            required |= 1 << lowest;
        }
        return new ToneDemand(allowed, required, lowest, chord.root().pitchClass());
    }

    /** Only the tones of a chord that stand in the place of some numbers, such as 3 and 7, and all of them. */
    public static ToneDemand ofIntervals(ChordSymbol chord, int... numbers) {
        int required = 0;
        for (ChordSymbol.Tone tone : chord.tones()) {
            for (int number : numbers) {
                required |=
                        tone.interval().number() == number ? 1 << tone.note().pitchClass() : 0;
            }
        }
        return new ToneDemand(required, required, -1, chord.root().pitchClass());
    }

    private static boolean isRequired(Interval interval, ChordType type, boolean rootElsewhere) {
        boolean altered = interval.offset() != 0;
        boolean highest = type.intervals().get(type.intervals().size() - 1).equals(interval);
        boolean power = !type.has(3) && !type.has(4) && !type.has(2) && !type.has(7);
        boolean triad = !type.has(6) && !type.has(7) && !type.has(9) && !type.has(11) && !type.has(13);
        return switch (interval.number()) {
            case 1 -> !rootElsewhere;
            case 5 -> altered || power || triad && !rootElsewhere;
            case 9, 11 -> altered || highest || !type.has(7) && !type.has(6);
            default -> true;
        };
    }

    boolean allows(int midi) {
        return (allowed >> midi % 12 & 1) == 1;
    }

    boolean allowsLowest(int midi) {
        return lowest < 0 ? allows(midi) : midi % 12 == lowest;
    }
}
