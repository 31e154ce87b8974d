package underhand.repertoire;

import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import underhand.hand.Parameters;
import underhand.move.ChangeBound;
import underhand.move.ChangeModel;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.settings.FrettingHand;

/**
 * The grips and changes one hand was priced with, whatever the song. What is found does not depend on what was asked
 * before, so that the same song gives the same part with much, little or nothing known. Songs are solved one at a time
 * with it, under its lock.
 */
public final class KnownGrips {

    private final Fretboard board;
    private final ChangeModel changes;
    private final VoiceLeading voices;
    private final GripChanges prices;
    private final GripFinder strummed;
    private final GripFinder picked;
    private final Map<Asked, GripPool.Cheapest> found = new ConcurrentHashMap<>();
    private final AtomicLong foundGrips = new AtomicLong();
    private final SharedLock lock = new SharedLock();

    /** A hand of which nothing is known, and one grip with its effort by terms; from heap dumps. */
    private static final long BYTES = 20_000;

    private static final long BYTES_A_GRIP = 600;

    /** How the grips of a chord were asked for; where it comes more often a new shape is learnt for less. */
    private record Asked(WantedChord wanted, int occurrences, int most, boolean inAllFingerings) {}

    /** @param hand whose grips are priced; nothing is known of it yet */
    public KnownGrips(FrettingHand hand, Parameters parameters) {
        this.board = hand.board();
        this.changes = new ChangeModel(board, hand.rung(), hand.player(), parameters);
        this.voices = new VoiceLeading(board, hand.voicing().fullness(), hand.houseRules(), parameters);
        this.prices = new GripChanges(changes, new ChangeBound(board, parameters), voices, parameters);
        this.strummed = new GripFinder(
                        board, hand.rung(), hand.player(), hand.voicing(), GripFinder.HIGHEST_FRET, parameters)
                .withHouseRules(hand.houseRules());
        this.picked = strummed.picked();
    }

    /** What is held while a song is solved with what is known here. */
    public SharedLock lock() {
        return lock;
    }

    /** About how many bytes of memory are taken by what is known, told by who holds the lock. */
    public long bytes() {
        return BYTES + foundGrips.get() * BYTES_A_GRIP + prices.bytes();
    }

    public Fretboard board() {
        return board;
    }

    public ChangeModel changes() {
        return changes;
    }

    public VoiceLeading voices() {
        return voices;
    }

    /** What changes between its grips cost, kept as they are asked for. */
    public GripChanges prices() {
        return prices;
    }

    /** @param picked whether chords are picked string by string, not strummed */
    public GripFinder finder(boolean picked) {
        return picked ? this.picked : strummed;
    }

    /** The search for a chord: for its texture, picked or strummed. */
    public GripFinder finder(WantedChord wanted) {
        GripFinder plain = finder(wanted.picked());
        return wanted.ask().isFree() ? plain : plain.in(wanted.ask());
    }

    /** Searches that go on from where they stopped; they take more memory than what they find, so they are not kept. */
    public final class Search {
        private final Map<Sought, GripPool> pools = new ConcurrentHashMap<>();

        private final Map<WantedChord, Set<Shape>> shapes = new ConcurrentHashMap<>();

        private record Sought(WantedChord wanted, int occurrences) {}

        /**
         * The cheapest grips of a chord.
         *
         * @param occurrences how often the song has it
         * @param inAllFingerings whether the further fingerings of their shapes are wanted too
         */
        public GripPool.Cheapest cheapest(WantedChord wanted, int occurrences, int most, boolean inAllFingerings) {
            Asked asked = new Asked(wanted, occurrences, most, inAllFingerings);
            GripPool.Cheapest known = found.get(asked);
            if (known == null) {
                GripPool pool = pools.computeIfAbsent(new Sought(wanted, occurrences), this::pool);
                known = inAllFingerings ? pool.cheapestInAllFingerings(most) : pool.cheapest(most);
                found.put(asked, known);
                foundGrips.addAndGet(known.grips().size());
            }
            return known;
        }

        /** Every shape of a chord, whether a hand can hold it or not. */
        public Set<Shape> shapes(WantedChord wanted) {
            return shapes.computeIfAbsent(
                    wanted,
                    w -> pools.computeIfAbsent(new Sought(w, 1), this::pool).shapes());
        }

        /** The grips of a chord of some shapes, to be searched as far as they are needed. */
        public GripPool among(WantedChord wanted, int occurrences, Set<Shape> some) {
            return finder(wanted).pool(wanted.chord(), wanted.form(), occurrences, some::contains);
        }

        private GripPool pool(Sought sought) {
            WantedChord wanted = sought.wanted();
            return finder(wanted).pool(wanted.chord(), wanted.form(), sought.occurrences(), shape -> true);
        }
    }
}
