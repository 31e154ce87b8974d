package underhand.server.arrangements;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.arrange.CapoCandidate;
import underhand.arrange.KeySweep;
import underhand.arrange.Ladder;
import underhand.arrange.LadderStep;
import underhand.arrange.ShapeTrial;
import underhand.arrange.Sweep;
import underhand.arrange.TuningSweep;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartReading;
import underhand.format.text.ChartTextReader;
import underhand.hand.Rung;
import underhand.harmony.Reach;
import underhand.harmony.RuleCatalogue;
import underhand.input.RangeException;
import underhand.neck.Tuning;
import underhand.server.arrangements.ArrangementController.TrialView;
import underhand.server.arrangements.ArrangementView.AlternativeView;
import underhand.server.arrangements.ArrangementView.FaultView;
import underhand.server.planning.Planning;
import underhand.server.planning.Planning.Size;
import underhand.server.platform.InputException;
import underhand.server.shapes.GripView;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.solve.PlacedGrip;

/**
 * Arranges charts, and keeps the last sweeps: a sweep holds every capo position, so moving the capo of a song on screen
 * costs no search.
 */
@Service
public class ArrangementService {

    /** Each is a sweep over all capo positions with grips of its own. */
    private static final int MOST_TUNINGS = 12;

    /** Placements of all songs together whose sweeps are kept; each is there with every capo. */
    private static final int PLACEMENTS_KEPT = 4000;

    /** A sweep takes memory for at least so many placements. */
    private static final int LEAST_PLACEMENTS = 100;

    private static final int NAMES_SHOWN = 4;

    /** A song with more placements is a large one, and so is one on more strings. */
    private static final int MOST_SMALL_PLACEMENTS = 128;

    private static final int MOST_SMALL_STRINGS = 7;

    private final Arranger arranger;
    private final Planning planning;
    private final TaskReader tasks;
    private final Cache<Key, Sweep> sweeps = Caffeine.newBuilder()
            .maximumWeight(PLACEMENTS_KEPT)
            .<Key, Sweep>weigher((key, sweep) -> Math.max(LEAST_PLACEMENTS, sweep.placements()))
            .build();
    private final Cache<LadderKey, List<RungStepView>> ladders = Caffeine.newBuilder()
            .maximumWeight(PLACEMENTS_KEPT)
            .<LadderKey, List<RungStepView>>weigher((key, steps) -> Math.max(
                    LEAST_PLACEMENTS,
                    steps.stream()
                            .mapToInt(s -> s.arrangement().placements().size())
                            .sum()))
            .build();

    ArrangementService(Arranger arranger, Planning planning, TaskReader tasks) {
        this.arranger = arranger;
        this.planning = planning;
        this.tasks = tasks;
    }

    /** Does some planning for a request when it is its turn, and only as long as somebody waits for it. */
    public <T> T planned(Task task, Supplier<T> work) {
        return planning.answer(size(task), work);
    }

    private static Size size(Task task) {
        boolean isSmall = task.chart().placements().size() <= MOST_SMALL_PLACEMENTS
                && task.settings().tuning().size() <= MOST_SMALL_STRINGS;
        return isSmall ? Size.SMALL : Size.LARGE;
    }

    /** @param settings with the capo left open */
    private record Key(String source, int transpose, ArrangementSettings settings) {}

    private record LadderKey(String source, int transpose, Integer section, ArrangementSettings settings) {}

    /** @param alternatives how many other grips come with each place, the cheapest for the song */
    ArrangementView preview(Task task, int alternatives) {
        return view(task, alternatives > 0 ? sweep(task).priced(task.settings().capo()) : arrange(task), alternatives);
    }

    /** A part with the tune on top needs one. */
    void checkTune(Task task) {
        if (!task.chart().hasTune()) {
            throw InputException.field(
                    "chart.source",
                    "The chart has no tune. Write it under its chords, such as \"tune: E4 G4 | A4 . B4\".");
        }
    }

    /**
     * The same as long as not all frets are compared: with the capo asked for, or where it sits meanwhile if it is left open and
     * the rules of the house allow one there. Where they are compared already the answer is the last.
     */
    ArrangementView meanwhile(Task task, int alternatives, int fret) {
        RangeException.check("meanwhile", fret, 0, ArrangementSettings.HIGHEST_ASKED_CAPO);
        Sweep sweep = sweep(task);
        int capo = task.settings().capo().orElse(Math.min(fret, sweep.highestCapo()));
        Arrangement alone = sweep.alone(capo);
        return view(task, alone.swept() ? sweep.at(task.settings().capo()) : alone, alternatives);
    }

    private static ArrangementView view(Task task, Arrangement arrangement, int alternatives) {
        return ArrangementMapper.view(task.chart(), faults(task.reading()), arrangement, alternatives);
    }

    /** A song arranged, with what it was arranged from. */
    public record Arranged(Chart chart, Arrangement arrangement) {

        /** As the API gives it, without the prices of other grips. */
        public ArrangementView view() {
            return ArrangementMapper.view(chart, List.of(), arrangement, 0);
        }
    }

    public Arranged arranged(Task task) {
        return new Arranged(task.chart(), arrange(task));
    }

    /** The same with one capo position alone where it is left open: the best under one stroke a bar, which is found in half the time. */
    public Arranged roughly(Task task) {
        Sweep sweep = sweep(task);
        int capo = task.settings().capo().orElseGet(() -> sweep.best().capo());
        return new Arranged(task.chart(), sweep.alone(capo));
    }

    /** The same with the prices of other grips. */
    public Arranged priced(Task task) {
        return new Arranged(task.chart(), sweep(task).priced(task.settings().capo()));
    }

    /** A second guitar's part beside the first one's. */
    public Arranged arrangedBeside(Task task) {
        return new Arranged(task.chart(), beside(task));
    }

    private Arrangement beside(Task task) {
        return arranger.second(task.chart(), arrange(task), task.besideSettings())
                .arrangement();
    }

    /** Every other shape of one place in a part, cheapest for the song first. */
    List<AlternativeView> alternatives(Task task, int index) {
        return ArrangementMapper.others(priced(task, index), index, PlacedGrip::alternatives);
    }

    /** Other fingers for the shape of one place in a part, cheapest for the song first. */
    List<AlternativeView> fingerings(Task task, int index) {
        return ArrangementMapper.others(priced(task, index), index, PlacedGrip::fingerings);
    }

    /** A shape of the player's own at a place. */
    TrialView trial(Task task, int index, Lock.OneShape shape) {
        Arrangement arrangement = arrange(task);
        checkPlace(arrangement, index);
        ShapeTrial trial = ShapeTrial.of(arranger, task.chart(), arrangement, index, shape);
        ChordSymbol chord =
                arrangement.placements().get(index).segment().chord().orElseThrow();
        int rung = task.settings().rung().level();
        String word = trial.grip()
                .map(g -> g.rung() > rung ? "It belongs on rung " + g.rung() + "; you may take it all the same." : "")
                .orElse("No hand of this player holds it with these fingers: it is too wide, or too many are needed.");
        return new TrialView(
                trial.names().stream()
                        .limit(NAMES_SHOWN)
                        .map(n -> n.symbol().glyphs())
                        .toList(),
                trial.grip()
                        .map(g -> GripView.of(g, chord, arrangement.board()))
                        .orElse(null),
                GripView.round(trial.price()),
                word);
    }

    private Arrangement priced(Task task, int index) {
        Arrangement arrangement = sweep(task).priced(task.settings().capo());
        checkPlace(arrangement, index);
        return arrangement;
    }

    private static void checkPlace(Arrangement arrangement, int index) {
        int places = arrangement.placements().size();
        if (index < 0 || index >= places) {
            throw InputException.field("index", "index must be 0 to " + (places - 1) + ", was " + index + ".");
        }
    }

    /** What may stand in the place of a chord of the chart, and why the other rules propose nothing. */
    ReadingsView readings(Task task, int placement) {
        Sweep sweep = sweep(task);
        RuleCatalogue.Judgement judgement = sweep.judgement(placement)
                .orElseThrow(() -> InputException.field(
                        "placement", "There is no chord at placement " + placement + " of this chart."));
        return new ReadingsView(
                sweep.harmony()
                        .function(placement)
                        .map(function -> function.words())
                        .orElse(""),
                ReadingsView.ReachView.of(Reach.of(task.chart(), placement)),
                sweep.readings(task.settings().capo(), placement).stream()
                        .map(ReadingsView.OfferView::of)
                        .toList(),
                judgement.refusals().stream().map(ReadingsView.RefusalView::of).toList());
    }

    /** A section on all five rungs; the whole song when no section is named. */
    List<RungStepView> rungs(Task task, Integer section) {
        Chart whole = task.chart();
        int sections = whole.sections().size();
        if (section != null && (section < 0 || section >= sections)) {
            throw InputException.field("section", "section must be 0 to " + (sections - 1) + ", was " + section + ".");
        }
        Chart chart = section == null ? whole : whole.only(section);
        int offset = section == null ? 0 : whole.firstPlacement(section);
        return ladders.get(
                new LadderKey(task.source(), task.transpose(), section, task.settings()),
                key -> Ladder.of(arranger, chart, task.settings()).stream()
                        .map(step -> step(chart, step, offset))
                        .toList());
    }

    private static RungStepView step(Chart chart, LadderStep step, int offset) {
        return new RungStepView(
                step.rung(),
                Rung.of(step.rung()).name(),
                step.adds(),
                GripView.round(step.effort()),
                step.readings().stream()
                        .map(c -> new ReadingChoiceRequest(
                                c.placement() + offset,
                                c.reading().toString(),
                                c.verdict().name().toLowerCase(Locale.ROOT),
                                step.rung()))
                        .toList(),
                ArrangementMapper.view(chart, List.of(), step.arrangement(), 0));
    }

    /** A second guitar beside a first; both play the first one's chart. */
    SecondView second(Task task) {
        var part = arranger.second(task.chart(), arrange(task), task.besideSettings());
        return new SecondView(
                ArrangementMapper.view(task.chart(), List.of(), part.arrangement(), 0),
                GripView.round(part.overlap().sharedPlaces()),
                GripView.round(part.overlap().sharedPitches()),
                GripView.round(part.overlap().registerSemitones()));
    }

    /** The song in every key the singer can sing it in, least effort first. */
    List<KeySweep.Option> keys(Task task, Optional<KeySweep.Singing> singing) {
        List<KeySweep.Option> options =
                KeySweep.of(arranger, task.reading().chart(), task.settings().withCapoOpen(), singing);
        if (options.isEmpty()) {
            KeySweep.Singing sung = singing.orElseThrow();
            throw InputException.field(
                    "voice",
                    "The tune spans " + sung.tune().semitones() + " semitones, the voice only "
                            + sung.voice().semitones() + ". No key brings it in reach.");
        }
        return options;
    }

    /** The tunings to be compared: those that are named, and the song's own. */
    List<Tuning> tunings(Task task, List<String> names) {
        Tuning now = task.settings().tuning();
        List<String> said = names == null ? List.of() : names;
        if (said.isEmpty() || said.size() > MOST_TUNINGS) {
            throw InputException.field("tunings", "tunings must be 1 to " + MOST_TUNINGS + " tunings.");
        }
        List<Tuning> tunings = Stream.concat(Stream.of(now), said.stream().map(Tuning::parse))
                .distinct()
                .toList();
        for (Tuning tuning : tunings) {
            if (tuning.size() != now.size()) {
                throw InputException.field(
                        "tunings",
                        "\"" + tuning + "\" has " + tuning.size() + " strings; this guitar has " + now.size() + ".");
            }
        }
        return tunings;
    }

    /** The song in some tunings, least effort first. */
    List<TuningSweep.Option> inTunings(Task task, List<Tuning> tunings) {
        return TuningSweep.of(arranger, task.chart(), task.settings(), tunings);
    }

    /** @throws RuntimeException naming what of it cannot be used */
    public Task task(PreviewRequest request) {
        return tasks.read(request);
    }

    private Arrangement arrange(Task task) {
        return sweep(task).at(task.settings().capo());
    }

    /** The sweep that holds the capo asked for: one for all of them, unless it lies beyond what is tried by itself. */
    private Sweep sweep(Task task) {
        ArrangementSettings open = task.settings().withCapoOpen();
        Sweep all =
                sweeps.get(new Key(task.source(), task.transpose(), open), key -> arranger.sweep(task.chart(), open));
        boolean beyond = task.settings().capo().orElse(0) > all.highestCapo();
        return beyond ? arranger.sweep(task.chart(), task.settings()) : all;
    }

    /**
     * What a chart asks of an adult hand on every rung.
     *
     * @param capo fret with the least effort
     * @param effort effort of the best part there, a bar, under one stroke a bar
     * @param beyond placements that no grip of the rung can play
     */
    public record RungEffort(int rung, int capo, double effort, int beyond) {}

    /** The least effort of a chart on each rung, from the first to the fifth. */
    public List<RungEffort> efforts(String source) {
        ChartReading reading = ChartTextReader.read(source);
        return planning.answer(Size.LARGE, () -> efforts(source, reading));
    }

    private List<RungEffort> efforts(String source, ChartReading reading) {
        return Rung.all().stream()
                .map(rung -> {
                    CapoCandidate best =
                            sweep(Task.of(source, reading, rung.level())).best();
                    double aBar = best.total() / Math.max(1, reading.chart().bars());
                    return new RungEffort(rung.level(), best.capo(), GripView.round(aBar), best.beyond());
                })
                .toList();
    }

    /** What could not be read of a chart, as the API gives it. */
    public static List<FaultView> faults(ChartReading reading) {
        return ArrangementMapper.faults(reading);
    }
}
