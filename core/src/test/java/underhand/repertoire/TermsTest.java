package underhand.repertoire;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.chord.ChordSymbol;
import underhand.hand.Effort;
import underhand.hand.EffortTerm;
import underhand.hand.FingerSpreads;
import underhand.hand.FingeringSearch;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.neck.Tuning;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.settings.Voicing;

/** Every term moves the choice the right way: the same pair of grips, the term's number turned up, the other one wins. */
class TermsTest {

    private static final Player THUMB = new Player(FingerSpreads.ADULT, true, 1);
    private static final Fretboard BOARD = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);

    /** Cost of a grip without the habits of a rung: what the hand and the ear find dear. */
    private static Effort effort(String chord, String grip, Parameters parameters) {
        String[] parts = grip.split(" ");
        Grip one = new FingeringSearch(BOARD, Rung.of(5), THUMB)
                .fingerings(Shape.parse(parts[0])).stream()
                        .filter(g -> parts.length == 1 || g.fingers().equals(parts[1]))
                        .findFirst()
                        .orElseThrow(() -> new AssertionError("no fingering " + grip));
        SoundEffort sound = new SoundEffort(
                BOARD, Voicing.of(Setting.ALONE), HouseRules.NONE, false, false, OptionalInt.empty(), parameters);
        Effort.Builder effort = new Effort.Builder().addAll(new HandEffort(BOARD, THUMB, parameters).of(one));
        sound.ofShape(effort, one.shape(), SoundEffort.Roles.of(ChordSymbol.parse(chord), Voicing.of(Setting.ALONE)));
        sound.ofHand(effort, one);
        return effort.build();
    }

    /** With its number turned up, the term decides against the grip that has more of it. */
    @ParameterizedTest
    @CsvSource({
        "FINGERS,finger.3,Em,022000 -23---,022000 -12---", "FINGERS,finger.4,G,320003 32---4,320003 21---3",
        "BARRE,barre.1.base,F,133211 134211,xx3214 --3214", "BARRE,barre.1.string,F,133211 134211,xx3211 --3211",
        "BARRE,barre.clear,A,x02220 --111-,x02220 --123-", "BARRE,barre.nearNut,F,133211 134211,x02220 --123-",
        "BARRE,barre.2,A,x02220 --222-,x02220 --123-", "BARRE,barre.3,Bb,x13331 -13331,x13331 -12341",
        "BARRE,barre.4,Bb,x13331 -14441,x13331 -12341", "BARRE,barre.other.string,Bb,x13331 -13331,x13331 -12341",
        "POSTURE,posture.stretched,C,x134xx -124--,x134xx -134--",
                "POSTURE,posture.drawnIn,C,x12xxx -13---,x12xxx -12---",
        "POSTURE,posture.home,Em,022000 -12---,022000 -23---", "POSTURE,tilt.ringHigh,C,xxxxx3 -----3,xxxxx3 -----4",
        "POSTURE,tilt.littleLow,C,3xxxxx 4-----,3xxxxx 3-----", "SPREAD,spread,C,x15xxx -14---,x14xxx -14---",
        "CROWDING,crowding,A,x02220 --123-,x02220 --111-", "DAMPING,damping,G,3x0003 3----4,320003 32---4",
        "SKIPS,skip,C,1xxxx2 1----2,12xxxx 12----", "THUMB,thumb,D/F#,200232 T--132,200232 1--243",
        "SIGHT,sight,C,x-10-10-9-8-8 -34211,x32010 -32-1-", "MUD,sound.mud,G,320003 32---4,3x0003 3----4",
        "THIN,sound.short,Em,xx2000,022000 -23---", "THIN,sound.thin,C,xxx010,x32010 -32-1-",
        "TOP,sound.top,C,x3201x -32-1-,x32010 -32-1-", "INNER,sound.inner,C,x3x010 -3--1-,x32010 -32-1-",
        "INNER,sound.rings,Em,0xx000,022000 -23---", "UNISON,sound.unison,E,022400 -124--,022100 -231--",
        "GAP,sound.gap,G,3xxx03 3----4,320003 32---4", "OPEN_HIGH,sound.openHigh,A,x07650 --321-,x02220 --123-",
        "BASS,sound.bass,C,332010 342-1-,x32010 -32-1-", "FIFTH,sound.fifth,C7,x32310 -3241-,x32010 -32-1-",
        "DOUBLING,sound.doubling,G7,323001 324--1,320001 32---1"
    })
    void term_turnedUp_decidesAgainstTheGripThatHasIt(
            String term, String parameter, String chord, String burdened, String free) {
        Parameters dear = Parameters.STANDARD.with(parameter, Parameters.STANDARD.get(parameter) + 1000);
        Effort with = effort(chord, burdened, dear);
        EffortTerm named = EffortTerm.valueOf(term);
        assertTrue(
                with.of(named) > effort(chord, burdened, Parameters.STANDARD).of(named),
                term + " grows with " + parameter);
        assertTrue(
                with.total() > effort(chord, free, dear).total(),
                burdened + " must be dearer than " + free + ": " + with);
    }

    /** The habits of a rung, through the search that knows them. */
    @ParameterizedTest
    @CsvSource({
        "habit.new.2,x32010,335553",
        "habit.strange,x32010,335553",
        "habit.fingers.2,x32010,x32010",
        "habit.beyond,x32010,x"
    })
    void habit_turnedUp_neverTouchesTheUsualGrip(String parameter, String usual, String unusual) {
        ChordSymbol chord = ChordSymbol.parse("C");
        Parameters dear = Parameters.STANDARD.with(parameter, Parameters.STANDARD.get(parameter) + 1000);
        List<RatedGrip> plain = finder(Parameters.STANDARD).find(chord, 1);
        List<RatedGrip> after = finder(dear).find(chord, 1);
        assertEquals(usual, after.get(0).grip().shape().toString());
        assertEquals(plain.get(0).effort().total(), after.get(0).effort().total(), 1e-9);
        long dearer = after.stream().filter(g -> g.effort().total() > 500).count();
        assertEquals(unusual.equals("x"), dearer == 0, parameter + " burdens " + dearer + " grips");
    }

    @Test
    void repertoire_shapeThePlayerHas_isNoLongerNew() {
        ChordSymbol chord = ChordSymbol.parse("C");
        Shape strange = Shape.parse("x3201x");
        Player owner = new Player(FingerSpreads.ADULT, false, 1, Set.of(strange));
        RatedGrip before =
                finder(Parameters.STANDARD).fingerings(strange, chord, 1).get(0);
        RatedGrip after = new GripFinder(
                        BOARD, Rung.of(1), owner, Setting.ALONE, GripFinder.HIGHEST_FRET, Parameters.STANDARD)
                .fingerings(strange, chord, 1)
                .get(0);
        assertTrue(before.isNew());
        assertTrue(!after.isNew() && after.effort().total() < before.effort().total());
    }

    /** Leaving shapes unfingered that cannot be among the cheapest changes nothing about the cheapest. */
    @ParameterizedTest
    @CsvSource({"C,1", "F#m7b5,4", "E9,5", "Bb,3", "Dm7,2"})
    void cheapest_fewWanted_areThoseOfTheFullSearch(String symbol, int rung) {
        ChordSymbol chord = ChordSymbol.parse(symbol);
        GripFinder finder = new GripFinder(
                BOARD, Rung.of(rung), THUMB, Setting.ALONE, GripFinder.HIGHEST_FRET, Parameters.STANDARD);
        List<RatedGrip> all = finder.find(chord, 1);
        for (int most : new int[] {1, 10, 100}) {
            GripPool.Cheapest few = finder.pool(chord, 1).cheapest(most);
            int count = Math.min(most, all.size());
            assertTrue(few.grips().size() >= count);
            Set<Shape> shapes =
                    all.subList(0, count).stream().map(g -> g.grip().shape()).collect(Collectors.toSet());
            assertTrue(
                    few.grips().stream().allMatch(g -> shapes.contains(g.grip().shape())));
            for (int i = 0; i < count; i++) {
                assertEquals(
                        all.get(i).effort().total(), few.grips().get(i).effort().total(), 1e-9);
            }
            if (all.size() > most) {
                assertTrue(few.leftOutFrom() <= all.get(most).effort().total() + 1e-9);
                assertTrue(few.leftOutFrom() >= all.get(most - 1).effort().total() - 1e-9);
            }
        }
    }

    private static GripFinder finder(Parameters parameters) {
        return new GripFinder(BOARD, Rung.of(2), Player.ADULT, Setting.ALONE, GripFinder.HIGHEST_FRET, parameters);
    }

    @Test
    void effortTerms_slots_areUniqueAndWithoutGaps() {
        for (EffortTerm term : EffortTerm.values()) {
            assertEquals(
                    Map.of(term, 1.0), new Effort.Builder().add(term, 1).build().terms());
        }
    }

    /** Voice-leading distance: C major to A minor in close position moves one voice by two semitones. */
    @Test
    void voiceLeading_knownPairs_haveTheirDistance() {
        assertEquals(2, VoiceLeading.distance(new int[] {60, 64, 67}, new int[] {60, 64, 69}));
        assertEquals(2, VoiceLeading.distance(new int[] {59, 65}, new int[] {58, 64})); // III and VII of G7 to C7
        assertEquals(0, VoiceLeading.distance(new int[] {60, 64}, new int[] {60, 64}));
        assertEquals(3, VoiceLeading.distance(new int[] {60, 64, 67}, new int[] {60, 64}));
    }

    @Test
    void voiceLeading_randomPairs_equalTryingEveryMatching() {
        Random random = new Random(313);
        for (int i = 0; i < 200; i++) {
            int[] before = random.ints(1 + random.nextInt(4), 40, 80).sorted().toArray();
            int[] after = random.ints(1 + random.nextInt(4), 40, 80).sorted().toArray();
            assertEquals(everyMatching(before, after), VoiceLeading.distance(before, after), "seed 313, case " + i);
        }
    }

    /** Least total over all sets of pairs in which every voice of both sides has a partner. */
    private static int everyMatching(int[] before, int[] after) {
        int pairs = before.length * after.length;
        int best = Integer.MAX_VALUE;
        for (int set = 1; set < 1 << pairs; set++) {
            int left = 0;
            int right = 0;
            int way = 0;
            for (int p = 0; p < pairs; p++) {
                if ((set >> p & 1) == 1) {
                    left |= 1 << p / after.length;
                    right |= 1 << p % after.length;
                    way += Math.abs(before[p / after.length] - after[p % after.length]);
                }
            }
            boolean all = left == (1 << before.length) - 1 && right == (1 << after.length) - 1;
            best = all ? Math.min(best, way) : best;
        }
        return best;
    }
}
