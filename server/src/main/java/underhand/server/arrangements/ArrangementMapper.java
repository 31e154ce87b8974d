package underhand.server.arrangements;

import static underhand.server.shapes.GripView.round;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import underhand.arrange.Arrangement;
import underhand.arrange.CapoCandidate;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartReading;
import underhand.harmony.HarmonyReader;
import underhand.repertoire.RatedGrip;
import underhand.server.arrangements.ArrangementView.ActView;
import underhand.server.arrangements.ArrangementView.AlternativeView;
import underhand.server.arrangements.ArrangementView.BudgetView;
import underhand.server.arrangements.ArrangementView.CandidateView;
import underhand.server.arrangements.ArrangementView.CapoView;
import underhand.server.arrangements.ArrangementView.ChangeView;
import underhand.server.arrangements.ArrangementView.FallbackView;
import underhand.server.arrangements.ArrangementView.FaultView;
import underhand.server.arrangements.ArrangementView.FunctionView;
import underhand.server.arrangements.ArrangementView.MendView;
import underhand.server.arrangements.ArrangementView.PlacementView;
import underhand.server.arrangements.ArrangementView.RankedTextureView;
import underhand.server.arrangements.ArrangementView.ReadingView;
import underhand.server.arrangements.ArrangementView.RepeatedBarView;
import underhand.server.arrangements.ArrangementView.RightHandView;
import underhand.server.arrangements.ArrangementView.SectionHandView;
import underhand.server.arrangements.ArrangementView.SectionKeyView;
import underhand.server.arrangements.ArrangementView.TextureView;
import underhand.server.arrangements.ArrangementView.VoiceView;
import underhand.server.arrangements.ArrangementView.WarningView;
import underhand.server.arrangements.ArrangementView.WordsView;
import underhand.server.arrangements.ArrangementView.WorstChangeView;
import underhand.server.players.HouseRulesRequest;
import underhand.server.shapes.GripView;
import underhand.server.shapes.GripView.EffortView;
import underhand.server.shapes.GripView.TermView;
import underhand.settings.ArrangementSettings;
import underhand.settings.TexturePlan;
import underhand.solve.PlacedGrip;
import underhand.solve.TimedChange;

/** Writes an arrangement as the API gives it. */
final class ArrangementMapper {

    private final Arrangement arrangement;
    private final int alternatives;
    private final Map<Integer, String> keptGrips;
    private final Map<Integer, String> besideVoice;
    private final Map<Integer, String> fallbacks;
    private final SoloMapper solo;

    /** A song has few different grips. */
    private final Map<RatedGrip, Map<ChordSymbol, GripView>> grips = new IdentityHashMap<>();

    /** No placement: what holds where no placement has a texture of its own. */
    private static final int ELSEWHERE = -1;

    private ArrangementMapper(Arrangement arrangement, int alternatives) {
        this.arrangement = arrangement;
        this.alternatives = alternatives;
        this.keptGrips = arrangement.keptGrips();
        this.besideVoice = arrangement.besideVoice();
        this.fallbacks = arrangement.fallbacks();
        this.solo = new SoloMapper(arrangement);
    }

    /** @param alternatives how many other grips come with each place; the rest is fetched for one looked at */
    static ArrangementView view(Chart chart, List<FaultView> faults, Arrangement arrangement, int alternatives) {
        ArrangementSettings settings = arrangement.settings();
        ArrangementMapper mapper = new ArrangementMapper(arrangement, alternatives);
        SoloMapper solo = mapper.solo;
        return new ArrangementView(
                chart.title(),
                arrangement.key().glyphs(),
                arrangement.key().transpose(-arrangement.capo()).glyphs(),
                chart.metre().toString(),
                arrangement.tempo(),
                settings.rung().level(),
                settings.setting().id(),
                settings.tuning().toString(),
                new HouseRulesRequest(settings.houseRules().holding()),
                mapper.capo(),
                mapper.rightHand(),
                mapper.texture(),
                arrangement.sections().stream().map(ArrangementMapper::section).toList(),
                arrangement.placements().stream().map(mapper::placement).toList(),
                arrangement.changes().stream().map(mapper::change).toList(),
                chart.hasTune(),
                arrangement.solo().map(s -> s.octave()).orElse(null),
                solo.moments(),
                solo.notes(),
                arrangement.newShapes(),
                ArrangementView.NeckView.of(settings.guitar()),
                round(arrangement.total()),
                arrangement.fastestTempo(),
                arrangement.warnings().stream()
                        .map(w -> new WarningView(w.kind().name().toLowerCase(Locale.ROOT), w.text(), w.placements()))
                        .toList(),
                chart.words().stream()
                        .map(w -> new WordsView(w.bar(), w.heading().orElse(""), w.lines()))
                        .toList(),
                arrangement.folded((a, b) -> chart.words().stream().noneMatch(w -> w.bar() == b - 1)).stream()
                        .filter(bar -> !bar.isPlain())
                        .map(RepeatedBarView::of)
                        .toList(),
                faults,
                arrangement
                        .budget()
                        .map(b -> new BudgetView(b.cut(), round(b.bound())))
                        .orElse(null));
    }

    private static SectionKeyView section(HarmonyReader.SectionKey section) {
        return new SectionKeyView(
                section.section(),
                section.firstBar(),
                section.key().glyphs(),
                round(section.score()),
                section.runnerUp().key().glyphs(),
                round(section.runnerUp().score()));
    }

    static List<FaultView> faults(ChartReading reading) {
        return reading.faults().stream()
                .map(f -> new FaultView(
                        f.kind().name().toLowerCase(Locale.ROOT),
                        f.line(),
                        f.column(),
                        f.input(),
                        f.message(),
                        f.suggestion().orElse(null),
                        f.mends().stream()
                                .map(m -> new MendView(
                                        m.label(), m.fromLine(), m.fromColumn(), m.toLine(), m.toColumn(), m.text()))
                                .toList()))
                .toList();
    }

    private RightHandView rightHand() {
        List<SectionHandView> sections = arrangement.rightHand().stream()
                .map(hand -> new SectionHandView(
                        hand.section(),
                        hand.pattern().id(),
                        hand.pattern().name(),
                        hand.pattern().toSteps(),
                        hand.own(),
                        hand.reason()))
                .toList();
        Map<String, Long> places = arrangement.placements().stream()
                .collect(Collectors.groupingBy(p -> p.slot().section(), Collectors.counting()));
        SectionHandView most = sections.stream()
                .max(Comparator.comparingLong(hand -> places.getOrDefault(hand.section(), 0L)))
                .orElse(new SectionHandView("", "beat", "", "", false, ""));
        return new RightHandView(most.pattern(), most.name(), most.reason(), sections);
    }

    private TextureView texture() {
        TexturePlan plan = arrangement.settings().textures();
        return new TextureView(
                plan.at(ELSEWHERE).texture().id(),
                arrangement.textures().stream()
                        .map(c -> new RankedTextureView(
                                c.texture().id(),
                                c.texture().words(),
                                c.texture().lowestRung(),
                                c.reason()))
                        .toList());
    }

    private CapoView capo() {
        return new CapoView(
                arrangement.capo(),
                arrangement.leastEffortCapo(),
                arrangement.swept(),
                arrangement.candidates().stream()
                        .map(ArrangementMapper::candidate)
                        .toList());
    }

    static CandidateView candidate(CapoCandidate candidate) {
        return new CandidateView(
                candidate.capo(),
                round(candidate.total()),
                candidate.barres(),
                candidate.beyond(),
                candidate.worstChange().map(ArrangementMapper::worst).orElse(null),
                candidate.reasons());
    }

    private static WorstChangeView worst(TimedChange change) {
        return new WorstChangeView(
                change.from(),
                change.to(),
                round(change.change().neededSeconds()),
                round(change.availableSeconds()),
                round(change.change().widestMm()));
    }

    private PlacementView placement(PlacedGrip placed) {
        Optional<ChordSymbol> chord = placed.segment().chord();
        String name = chord.map(ChordSymbol::glyphs).orElse(null);
        return new PlacementView(
                placed.index(),
                placed.slot().index(),
                placed.segment().part(),
                placed.slot().bar(),
                round(placed.segment().beat()),
                round(placed.segment().beats()),
                placed.segment().part() == 0 && placed.slot().newLine(),
                placed.slot().section(),
                placed.words(),
                name,
                placed.played().map(ChordSymbol::glyphs).orElse(null),
                placed.degree().orElse(null),
                new ReadingView(
                        placed.segment().reading().toString(),
                        name == null ? "" : name,
                        placed.slot()
                                .placement()
                                .chord()
                                .map(ChordSymbol::glyphs)
                                .orElse(""),
                        placed.reading().map(reading -> reading.reason()).orElse(""),
                        placed.isBound()),
                placed.function()
                        .map(f -> new FunctionView(f.kind().name().toLowerCase(Locale.ROOT), f.numeral(), f.words()))
                        .orElse(null),
                placed.grip().map(g -> grip(g, chord.orElseThrow())).orElse(null),
                solo.top(placed.index()),
                keptGrips.get(placed.index()),
                besideVoice.get(placed.index()),
                placed.locked(),
                arrangement
                        .settings()
                        .textures()
                        .at(placed.slot().index())
                        .texture()
                        .id(),
                fallbacks.containsKey(placed.index()) ? new FallbackView(fallbacks.get(placed.index())) : null,
                others(placed, placed.fingerings()),
                others(placed, placed.alternatives()));
    }

    private GripView grip(RatedGrip grip, ChordSymbol chord) {
        return grips.computeIfAbsent(grip, g -> new HashMap<>())
                .computeIfAbsent(chord, c -> GripView.of(grip, c, arrangement.board()));
    }

    private List<AlternativeView> others(PlacedGrip placed, List<PlacedGrip.Alternative> others) {
        return others.stream()
                .limit(alternatives)
                .map(a -> new AlternativeView(
                        grip(a.grip(), placed.segment().chord().orElseThrow()), round(a.price())))
                .toList();
    }

    /** All others of one kind at one place of an arrangement. */
    static List<AlternativeView> others(
            Arrangement arrangement, int index, Function<PlacedGrip, List<PlacedGrip.Alternative>> which) {
        PlacedGrip placed = arrangement.placements().get(index);
        return new ArrangementMapper(arrangement, Integer.MAX_VALUE).others(placed, which.apply(placed));
    }

    private ChangeView change(TimedChange timed) {
        var key = arrangement.key();
        List<TermView> terms = new ArrayList<>();
        timed.change().terms().forEach((term, value) -> terms.add(new TermView(term.label(), round(value))));
        timed.more().forEach((term, value) -> terms.add(new TermView(term.label(), round(value))));
        return new ChangeView(
                timed.from(),
                timed.to(),
                timed.change().acts().stream()
                        .map(a -> ActView.of(a.finger(), a.act().label(), a.distanceMm()))
                        .toList(),
                new EffortView(round(timed.effort()), terms),
                round(timed.change().neededSeconds()),
                round(timed.availableSeconds()),
                timed.fastestTempo(arrangement.tempo()),
                timed.voices().stream()
                        .map(v -> new VoiceView(v.string(), v.fromName(key), v.toName(key), v.to() - v.from()))
                        .toList());
    }
}
