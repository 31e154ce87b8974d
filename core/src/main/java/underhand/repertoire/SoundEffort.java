package underhand.repertoire;

import java.util.Arrays;
import java.util.OptionalInt;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Interval;
import underhand.settings.HouseRule;
import underhand.settings.HouseRules;
import underhand.settings.Voicing;

/**
 * What a grip lacks as a sound: strings missing, silence inside, muddy lows, holes, doubled notes.
 *
 * <p>Without these terms the least effort is a scrap nobody plays: C on two strings, E minor with no finger down.
 */
final class SoundEffort {

    /** Widest interval between neighbouring voices that is no hole: a major sixth. */
    private static final int WIDEST_GAP = 9;

    /** Below this pitch (E3) close intervals at the bottom are muddy (memory; arrangers' handbooks print tables). */
    private static final int CLEAR_FROM_MIDI = 52;

    /** Smallest interval at the bottom that stays clear down there: a fourth. */
    private static final int CLEAR_INTERVAL = 5;

    /** Open strings sound even with a hand up to this fret above the capo. */
    private static final int EVEN_TO_FRET = 3;

    /** A hand over the first fret has its little finger here. */
    private static final int HOME_TO_FRET = 4;

    /** A major second. */
    private static final int WIDEST_SECOND = 2;

    private static final int HALF_STEP = 1;
    private static final int MINOR_NINTH = 13;
    private static final Interval MINOR_THIRD = Interval.parse("m3");

    /** Root, fifth and root: a whole power chord (common practice). */
    private static final int FULL_POWER_CHORD = 3;

    private final Fretboard board;
    private final double full;
    private final double fullPower;
    private final double oneShort;
    private final double thin;
    private final double top;
    private final double inner;
    private final double rings;
    private final double unison;
    private final double gap;
    private final double openHigh;
    private final double openReach;
    private final double ring;
    private final double openApart;
    private final double closedApart;
    private final double bass;
    private final double fifth;
    private final double doubling;
    private final double mud;
    private final double second;
    private final double low;
    private final double clash;

    /**
     * @param picked whether strings are picked one by one, so that silent ones are simply left out
     * @param apart whether it is to lie apart from another guitar at the nut: closed shapes without a capo, or open ones
     *     behind one, never a mixture
     * @param voices strings a chord is to sound on where it need not sound whole; then silent strings, gaps and fifths left
     *     out cost nothing
     */
    SoundEffort(
            Fretboard board,
            Voicing voicing,
            HouseRules houseRules,
            boolean picked,
            boolean apart,
            OptionalInt voices,
            Parameters p) {
        boolean whole = voices.isEmpty();
        this.board = board;
        openApart = apart && board.capo() == 0 ? p.get("second.open") : 0;
        closedApart = apart && board.capo() > 0 ? p.get("second.closed") : 0;
        full = !whole
                ? voices.getAsInt()
                : Math.min(
                        p.get("sound.full." + voicing.fullness().id()),
                        picked ? p.get("sound.full.picked") : Double.POSITIVE_INFINITY);
        fullPower = whole ? FULL_POWER_CHORD : 0;
        oneShort = p.get(picked ? "sound.short.picked" : "sound.short");
        thin = p.get("sound.thin");
        top = whole ? p.get("sound.top") : 0;
        inner = !whole ? 0 : p.get(picked ? "sound.skipped" : "sound.inner");
        rings = picked || !whole ? 0 : p.get("sound.rings");
        unison = p.get("sound.unison");
        gap = whole ? p.get("sound.gap") : 0;
        openHigh = p.get("sound.openHigh") * (1 - Math.max(0, houseRules.get(HouseRule.RING)));
        openReach = p.get("sound.openReach") * (1 - Math.max(0, houseRules.get(HouseRule.RING)));
        ring = -houseRules.get(HouseRule.RING) * p.get("sound.ring");
        bass = whole ? p.get("sound.bass") : 0;
        fifth = whole ? p.get("sound.fifth") : 0;
        doubling = p.get("sound.doubling");
        mud = p.get("sound.mud");
        second = p.get("sound.second");
        low = whole ? p.get("sound.low") : 0;
        clash = p.get("sound.clash");
    }

    /**
     * What of a chord the ear asks after: pitch classes, -1 where the chord has no such tone.
     *
     * @param lowest what is lowest where nobody else plays it
     * @param lowestElsewhere whether somebody does
     * @param avoided a natural eleventh over a major third, which belongs to the scale but not to the chord
     * @param minor whether it has a minor third
     * @param bare whether it has but two tones, a power chord: three strings are all of it
     */
    record Roles(
            int root,
            int lowest,
            boolean lowestElsewhere,
            int perfectFifth,
            int seventh,
            int avoided,
            boolean minor,
            boolean bare) {

        static Roles of(ChordSymbol chord, Voicing voicing) {
            int fifth = -1;
            int seventh = -1;
            for (ChordSymbol.Tone tone : chord.tones()) {
                boolean perfect = tone.interval().offset() == 0;
                fifth = tone.interval().number() == 5 && perfect ? tone.note().pitchClass() : fifth;
                seventh = tone.interval().number() == 7 ? tone.note().pitchClass() : seventh;
            }
            return new Roles(
                    chord.root().pitchClass(),
                    chord.lowest().pitchClass(),
                    voicing.lowestElsewhere(chord),
                    fifth,
                    seventh,
                    chord.type().optional().stream()
                            .filter(interval -> interval.number() == 11)
                            .map(interval -> chord.root().plus(interval).pitchClass())
                            .findFirst()
                            .orElse(-1),
                    chord.type().hasInterval(MINOR_THIRD),
                    chord.type().intervals().size() == 2);
        }
    }

    /** Adds the terms that depend on the shape alone. */
    void ofShape(Effort.Builder effort, Shape shape, Roles roles) {
        int[] voices = new int[shape.strings()];
        int sounding = 0;
        for (int string = 0; string < shape.strings(); string++) {
            if (!shape.isSilent(string)) {
                voices[sounding++] = board.midi(string, shape.fret(string));
            }
        }
        effort.add(EffortTerm.THIN, thin(shape, sounding, roles));
        effort.add(EffortTerm.TOP, top(shape, roles));
        effort.add(EffortTerm.INNER, inner * innerSilent(shape, sounding));
        effort.add(EffortTerm.RING, ring * shape.openStrings() + (shape.openStrings() > 0 ? openApart : closedApart));
        effort.add(EffortTerm.OPEN_HIGH, openReach(shape));
        voicing(effort, Arrays.copyOf(voices, sounding), roles);
    }

    /** No less than this is what {@link #ofShape} and {@link #ofHand} add; told from the strings that sound. */
    double atAGlance(Shape shape, Roles roles) {
        int sounding = shape.sounding();
        return thin(shape, sounding, roles)
                + top(shape, roles)
                + inner * innerSilent(shape, sounding)
                + (sounding > 0 ? bassOf(shape, roles) : 0)
                + unison * unisons(shape)
                + rings * undamped(shape)
                + Math.min(0, ring) * shape.strings();
    }

    /**
     * No less than this is {@link #atAGlance} of a shape that is being put together.
     *
     * @param lowestMidi -1 while no string sounds
     * @param mostSounding strings that may sound in the end
     * @param silentSince silent strings since the last that sounds, which end up inside or above
     */
    double ofPartAtLeast(
            int lowestMidi,
            int mostSounding,
            int innerSilent,
            int silentSince,
            int unisons,
            int undamped,
            Roles roles) {
        boolean rootIsLow = lowestMidi < 0 || roles.lowestElsewhere() || lowestMidi % 12 == roles.lowest();
        return thin(board.strings(), mostSounding, roles)
                + inner * innerSilent
                + Math.min(inner, roles.bare() ? 0 : top) * silentSince
                + (rootIsLow ? 0 : bass)
                + unison * unisons
                + rings * undamped
                + Math.min(0, ring) * board.strings();
    }

    private double thin(Shape shape, int sounding, Roles roles) {
        return thin(shape.strings(), sounding, roles);
    }

    private double thin(int strings, int sounding, Roles roles) {
        double wanted = roles.bare() ? fullPower : Math.min(full, strings - 1.0);
        double missing = wanted - sounding;
        return missing <= 0 ? 0 : oneShort + thin * (missing - 1);
    }

    /** Strings that sound a pitch another one sounds too. */
    private int unisons(Shape shape) {
        int unisons = 0;
        for (int string = 1; string < shape.strings(); string++) {
            boolean isDouble = false;
            for (int lower = 0; lower < string && !shape.isSilent(string); lower++) {
                isDouble |= !shape.isSilent(lower)
                        && board.midi(lower, shape.fret(lower)) == board.midi(string, shape.fret(string));
            }
            unisons += isDouble ? 1 : 0;
        }
        return unisons;
    }

    private double bassOf(Shape shape, Roles roles) {
        int string = shape.lowestSounding().orElseThrow();
        boolean isRight = board.midi(string, shape.fret(string)) % 12 == roles.lowest();
        return roles.lowestElsewhere() || isRight ? 0 : bass;
    }

    private double top(Shape shape, Roles roles) {
        return roles.bare() ? 0 : top * (shape.strings() - 1 - shape.highestSounding());
    }

    /** Adds the terms that depend on where the hand is and what it damps. */
    void ofHand(Effort.Builder effort, Grip grip) {
        effort.add(EffortTerm.OPEN_HIGH, openHigh(grip.shape(), grip.handFret()));
        effort.add(EffortTerm.INNER, rings * grip.undampedInside());
    }

    /** An open string under a hand that reaches far; as a bass note alone it is welcome. */
    private double openReach(Shape shape) {
        int lowest = shape.lowestSounding().orElse(0);
        boolean isInTheChord = shape.openStrings() > (shape.fret(lowest) == 0 ? 1 : 0);
        return !isInTheChord ? 0 : openReach * Math.max(0, shape.highestFret() - HOME_TO_FRET);
    }

    private double openHigh(Shape shape, int handFret) {
        return openHigh * shape.openStrings() * Math.max(0, handFret - EVEN_TO_FRET);
    }

    /**
     * What {@link #ofHand} adds whatever the fingers do: a silent string inside with no finger beside it rings.
     *
     * @param lowestHandFret the hand stands no lower
     */
    double atLeastOfHand(Shape shape, int lowestHandFret) {
        return rings * undamped(shape) + openHigh(shape, lowestHandFret);
    }

    /** Silent strings inside a shape with no stopped string beside them. */
    private static int undamped(Shape shape) {
        int undamped = 0;
        int low = shape.lowestSounding().orElse(0);
        for (int string = low + 1; string < shape.highestSounding(); string++) {
            boolean alone = !shape.isFretted(string - 1) && !shape.isFretted(string + 1);
            undamped += shape.isSilent(string) && alone ? 1 : 0;
        }
        return undamped;
    }

    private static int innerSilent(Shape shape, int sounding) {
        return shape.highestSounding() - shape.lowestSounding().orElse(0) + 1 - sounding;
    }

    /** @param voices ascending */
    private double mud(int[] voices, Roles roles) {
        double price = 0;
        boolean close = voices.length > 1 && voices[1] - voices[0] < CLEAR_INTERVAL;
        price += close ? mud * Math.max(0, CLEAR_FROM_MIDI - voices[0]) : 0;
        int clearSecondsFrom = CLEAR_FROM_MIDI + board.capo();
        for (int i = 1; i < voices.length && voices[i - 1] < clearSecondsFrom; i++) {
            int apart = voices[i] - voices[i - 1];
            price += apart > 0 && apart <= WIDEST_SECOND ? second * (clearSecondsFrom - voices[i - 1]) : 0;
        }
        boolean inTheWay = roles.lowestElsewhere() && voices.length > 0 && voices[0] % 12 != roles.lowest();
        price += inTheWay ? low * Math.max(0, CLEAR_FROM_MIDI - voices[0]) : 0;
        return price;
    }

    /** Half steps and minor ninths between two voices, but for those every player lets stand; and notes that are avoided. */
    private static int clashes(int[] voices, Roles roles) {
        int clashes = 0;
        for (int voice : voices) {
            clashes += voice % 12 == roles.avoided() ? 1 : 0;
        }
        for (int i = 0; i < voices.length; i++) {
            for (int j = i + 1; j < voices.length; j++) {
                int apart = voices[j] - voices[i];
                if (apart == HALF_STEP || apart == MINOR_NINTH) {
                    int above = Math.floorMod(voices[i] - roles.root(), 12);
                    boolean seventhAtItsRoot = apart == HALF_STEP && above == 11;
                    boolean ninthAtItsMinorThird = apart == HALF_STEP && above == 2 && roles.minor();
                    boolean flatNineOverItsRoot = above == 0;
                    clashes += seventhAtItsRoot || ninthAtItsMinorThird || flatNineOverItsRoot ? 0 : 1;
                }
            }
        }
        return clashes;
    }

    private static boolean rootIsLow(int[] voices, Roles roles) {
        return roles.lowestElsewhere() || voices[0] % 12 == roles.lowest();
    }

    private void voicing(Effort.Builder effort, int[] voices, Roles roles) {
        effort.add(EffortTerm.BASS, rootIsLow(voices, roles) ? 0 : bass);
        Arrays.sort(voices);
        for (int i = 1; i < voices.length; i++) {
            int interval = voices[i] - voices[i - 1];
            effort.add(EffortTerm.UNISON, interval == 0 ? unison : 0);
            effort.add(EffortTerm.GAP, gap * Math.max(0, interval - WIDEST_GAP));
        }
        effort.add(EffortTerm.MUD, mud(voices, roles));
        effort.add(EffortTerm.CLASH, clash * clashes(voices, roles));
        int fifths = 0;
        int sevenths = 0;
        for (int voice : voices) {
            fifths += voice % 12 == roles.perfectFifth() ? 1 : 0;
            sevenths += voice % 12 == roles.seventh() ? 1 : 0;
        }
        effort.add(EffortTerm.FIFTH, roles.perfectFifth() >= 0 && fifths == 0 ? fifth : 0);
        effort.add(EffortTerm.DOUBLING, doubling * Math.max(0, sevenths - 1));
    }
}
