package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import underhand.chart.Chart;
import underhand.hand.Parameters;
import underhand.harmony.HarmonyReader;
import underhand.harmony.Reach;
import underhand.harmony.Reading;
import underhand.harmony.ReadingId;
import underhand.harmony.RuleCatalogue;
import underhand.neck.Fretboard;
import underhand.picking.PatternPlan;
import underhand.repertoire.SharedLock;
import underhand.settings.ArrangementSettings;
import underhand.settings.ReadingChoice.Verdict;
import underhand.solve.Solo;
import underhand.solve.SolvedPart;
import underhand.solve.Song;
import underhand.work.Work;

/**
 * A song solved for the capo positions that were asked for, or for all. What was solved is kept, and so are the prices of
 * all other grips for a position that was looked at. Safe to share between threads.
 */
public final class Sweep {

    private static final double NO_DIFFERENCE = 1e-6;

    private final Song song;
    private final ArrangementSettings settings;
    private final Parameters parameters;
    private final Solving solving;
    private final int highestCapo;

    /** What the right hand plays, by the capo whose route it was chosen for. */
    private final List<Once<PatternChooser.Chosen>> hands;

    private final Map<PatternPlan, UnderPlan> plans = new ConcurrentHashMap<>();

    /** All capo positions compared. */
    private record Ruler(List<CapoCandidate> candidates, int least) {}

    /** How the song is solved for a capo. */
    interface Solving {

        /** Without the prices of other grips. */
        SolvedPart sketch(ArrangementSettings settings, int capo);

        /** With them. */
        SolvedPart priced(ArrangementSettings settings, int capo);

        /** The kinds of part, the one that fits best first. */
        List<TextureChoice> textures(ArrangementSettings settings);

        /** What the part costs with each of some readings forced. */
        List<Double> totals(ArrangementSettings settings, int capo, List<Song.Forced> readings);
    }

    /** The song under one plan of the right hand. */
    private final class UnderPlan {
        private final ArrangementSettings settings;
        private final List<Once<SolvedPart>> parts;
        private final List<Once<SolvedPart>> priced;
        private final Once<Ruler> ruler = new Once<>(this::compared);

        UnderPlan(PatternPlan plan) {
            settings = Sweep.this.settings.withPatterns(plan);
            parts = byCapo(capo -> solving.sketch(settings, capo));
            priced = byCapo(capo -> solving.priced(settings, capo));
        }

        SolvedPart part(int capo) {
            return parts.get(capo).get();
        }

        SolvedPart priced(int capo) {
            return priced.get(capo).get();
        }

        private Ruler compared() {
            Work work = Work.current();
            List<CapoCandidate> candidates = IntStream.range(0, mostCompared())
                    .parallel()
                    .mapToObj(capo -> work.doing(() -> CapoReasons.candidate(part(capo))))
                    .toList();
            int fewest = IntStream.range(0, mostTried())
                    .map(capo -> part(capo).unkeptLocks().size())
                    .min()
                    .orElseThrow();
            List<CapoCandidate> tried = candidates.stream()
                    .limit(mostTried())
                    .filter(c -> part(c.capo()).unkeptLocks().size() == fewest)
                    .toList();
            double least =
                    tried.stream().mapToDouble(CapoCandidate::total).min().orElseThrow();
            int best = tried.stream()
                    .filter(c -> c.total() <= least * (1 + parameters.get("capo.gain")))
                    .findFirst()
                    .orElseThrow()
                    .capo();
            return new Ruler(candidates, best);
        }

        /** Capo positions whose parts are shown beside one another. */
        private int mostCompared() {
            return settings.textures().isClosed() ? 1 : highestCapo + 1;
        }

        /** Capo positions of which the best may be taken; where no string sounds open a capo only takes frets away. */
        private int mostTried() {
            return settings.textures().isClosed() ? 1 : Math.min(highestCapo, ArrangementSettings.HIGHEST_CAPO) + 1;
        }
    }

    /** A value that is worked out when it is first asked for. */
    private static final class Once<T> {
        private final Supplier<T> source;
        private final SharedLock lock = new SharedLock();
        private volatile T value;

        Once(Supplier<T> source) {
            this.source = source;
        }

        boolean isKnown() {
            return value != null;
        }

        T get() {
            if (value == null) {
                lock.holding(() -> {
                    value = value == null ? source.get() : value;
                    return value;
                });
            }
            return value;
        }
    }

    /** @param highestCapo highest capo position to be tried */
    Sweep(Song song, ArrangementSettings settings, Parameters parameters, int highestCapo, Solving solving) {
        this.song = song;
        this.settings = settings;
        this.parameters = parameters;
        this.solving = solving;
        this.highestCapo = highestCapo;
        this.hands = byCapo(capo -> new PatternChooser(song, settings, capo)
                .choose(plan -> under(plan).part(capo)));
    }

    private <T> List<Once<T>> byCapo(IntFunction<T> source) {
        return IntStream.rangeClosed(0, highestCapo)
                .mapToObj(capo -> new Once<>(() -> source.apply(capo)))
                .toList();
    }

    private UnderPlan under(PatternPlan plan) {
        return plans.computeIfAbsent(plan, UnderPlan::new);
    }

    /** What the right hand plays: chosen for the capo asked for, or for the best under one stroke a bar. */
    private PatternChooser.Chosen hand(OptionalInt capo) {
        return hands.get(capo.orElseGet(this::roughly)).get();
    }

    /** The best capo while nothing is known of the right hand. */
    private int roughly() {
        return under(new PatternChooser(song, settings, 0).bars()).ruler.get().least();
    }

    /** Placements of the song. */
    public int placements() {
        return song.placements().size();
    }

    /** Highest capo position that is tried. */
    public int highestCapo() {
        return highestCapo;
    }

    /**
     * The capo asked for in the settings, or the one with the least effort, under one stroke a bar where the right hand is left
     * open: what songs and keys are compared by, in half the time of a part.
     */
    public CapoCandidate best() {
        Ruler rough = under(new PatternChooser(song, settings, 0).bars()).ruler.get();
        UnderPlan plan = under(new PatternChooser(song, settings, 0).bars());
        return CapoReasons.candidate(plan.part(settings.capo().orElse(rough.least())));
    }

    /** The arrangement with the capo at a fret, or where the effort is least; without the prices of other grips. */
    public Arrangement at(OptionalInt capo) {
        UnderPlan plan = under(hand(capo).plan());
        return arrangement(plan, hand(capo), plan.part(fret(plan, capo)), plan.ruler.get(), true);
    }

    /** The same with the prices of other grips, which are worked out when they are first asked for. */
    public Arrangement priced(OptionalInt capo) {
        UnderPlan plan = under(hand(capo).plan());
        return arrangement(plan, hand(capo), plan.priced(fret(plan, capo)), plan.ruler.get(), true);
    }

    /** The arrangement with the capo at a fret, compared with the other frets only if they were solved before. */
    public Arrangement alone(int capo) {
        PatternChooser.Chosen hand = hand(OptionalInt.of(capo));
        UnderPlan plan = under(hand.plan());
        if (plan.ruler.isKnown()) {
            return at(OptionalInt.of(capo));
        }
        SolvedPart part = plan.part(capo);
        return arrangement(plan, hand, part, new Ruler(List.of(CapoReasons.candidate(part)), capo), false);
    }

    private static int fret(UnderPlan plan, OptionalInt capo) {
        return capo.orElseGet(() -> plan.ruler.get().least());
    }

    private Arrangement arrangement(
            UnderPlan plan, PatternChooser.Chosen hand, SolvedPart chosen, Ruler tried, boolean swept) {
        return new Arrangement(
                plan.settings,
                new Fretboard(settings.guitar(), settings.tuning(), chosen.capo()),
                parameters,
                song.key(),
                song.harmony().sections(),
                song.tempo(),
                song.harmony().style(),
                hand.choices(),
                solving.textures(plan.settings),
                chosen.capo(),
                tried.least(),
                withChosen(tried.candidates(), chosen),
                swept,
                chosen.placements(),
                chosen.changes(),
                chosen.total(),
                fastestTempo(chosen),
                Warnings.of(chosen, settings, fastestTempo(chosen)),
                chosen.budget(),
                chosen.solo());
    }

    /** The capo that was asked for stands among those compared, wherever it sits. */
    private static List<CapoCandidate> withChosen(List<CapoCandidate> candidates, SolvedPart chosen) {
        if (candidates.stream().anyMatch(c -> c.capo() == chosen.capo())) {
            return candidates;
        }
        List<CapoCandidate> all = new ArrayList<>(candidates);
        all.add(CapoReasons.candidate(chosen));
        return all;
    }

    /** What the rules say to a placement, without prices; empty where it has no chord. */
    public Optional<RuleCatalogue.Judgement> judgement(int placement) {
        return song.harmony().spot(placement).map(spot -> RuleCatalogue.judge(spot, song.preferences()));
    }

    /**
     * Every reading of a placement with its price, the cheapest first; what tells one more closely only where that one is taken.
     * What a rule promises of the hand and no hand can do is not offered.
     *
     * @param capo fret of the capo, or where the effort is least
     */
    public List<ReadingOffer> readings(OptionalInt capo, int placement) {
        UnderPlan plan = under(hand(capo).plan());
        int at = fret(plan, capo);
        List<Reading> proposed = judgement(placement).map(RuleCatalogue.Judgement::readings).orElse(List.of()).stream()
                .filter(r -> !r.id().isCloser() || isTaken(placement, r.id().plain()))
                .toList();
        List<Double> totals = solving.totals(
                plan.settings,
                at,
                proposed.stream().map(r -> forced(placement, r)).toList());
        List<ReadingOffer> offers = new ArrayList<>();
        for (int i = 0; i < proposed.size(); i++) {
            Reading reading = proposed.get(i);
            double price = totals.get(i) - plan.part(at).total();
            boolean isKept = !reading.isBound() || Double.isFinite(price);
            if (isKept && !changesNothing(reading, placement, price)) {
                offers.add(
                        new ReadingOffer(reading, RuleCatalogue.of(reading.id().rule()), price));
            }
        }
        offers.sort(Comparator.comparingDouble(ReadingOffer::price));
        return offers;
    }

    private boolean isTaken(int placement, ReadingId plain) {
        int written = song.placements().get(placement).written();
        return settings.readings().stream()
                .filter(c ->
                        c.verdict() == Verdict.PINNED && c.reading().plain().equals(plain))
                .anyMatch(c -> c.placement() == placement || c.placement() == written);
    }

    /** A reading where it is taken: what goes on over a still chord at every one of its placements. */
    private Song.Forced forced(int placement, Reading reading) {
        if (!reading.overStill()) {
            return new Song.Forced(Map.of(placement, reading));
        }
        Map<Integer, Reading> over = new HashMap<>();
        for (int at : Reach.still(song.placements(), placement)) {
            judgement(at).flatMap(j -> j.reading(reading.id())).ifPresent(r -> over.put(at, r));
        }
        return new Song.Forced(over);
    }

    /** Whether a form of the chart's own chord is what is played anyway. */
    private boolean changesNothing(Reading reading, int placement, double price) {
        boolean sameChord = !reading.overStill()
                && reading.steps().size() == 1
                && song.placements().get(placement).placement().chord().stream()
                        .anyMatch(c -> c.equals(reading.steps().get(0).chord()));
        return sameChord && Math.abs(price) < NO_DIFFERENCE;
    }

    /** Keys of the song's sections. */
    public HarmonyReader harmony() {
        return song.harmony();
    }

    private int fastestTempo(SolvedPart part) {
        int ofSolo = part.solo().map(Solo::fastestTempo).orElse(Chart.HIGHEST_TEMPO);
        int ofChanges = part.changes().stream()
                .mapToInt(change -> change.fastestTempo(song.tempo()))
                .min()
                .orElse(Chart.HIGHEST_TEMPO);
        return Math.min(ofSolo, ofChanges);
    }
}
