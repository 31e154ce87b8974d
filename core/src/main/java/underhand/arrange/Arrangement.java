package underhand.arrange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import underhand.chart.Chart;
import underhand.chart.FoldedBar;
import underhand.chart.Folding;
import underhand.chord.ChordSymbol;
import underhand.hand.Parameters;
import underhand.harmony.HarmonyReader;
import underhand.harmony.SongStyle;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.pitch.Key;
import underhand.repertoire.RatedGrip;
import underhand.settings.ArrangementSettings;
import underhand.solve.Budget;
import underhand.solve.PlacedGrip;
import underhand.solve.Singer;
import underhand.solve.Solo;
import underhand.solve.TimedChange;
import underhand.solve.UsualGrips;
import underhand.texture.TextureAsk;

/**
 * A chart with the decisions taken on it and the part that follows from them.
 *
 * @param settings what was asked, its patterns as they are played; the capo may be open in them
 * @param board the neck above the capo
 * @param parameters the numbers it was worked out with
 * @param key sounding key
 * @param sections the chart's sections in order, each with its sounding key
 * @param style what kind of music the chart is
 * @param rightHand what the right hand plays in each section
 * @param textures the kinds of part it may be played in, the one that fits best first
 * @param capo fret the capo sits at
 * @param leastEffortCapo the lowest fret whose effort is as good as the least, whatever was chosen; of those tried
 * @param candidates every capo position tried, by fret
 * @param swept whether all capo positions were tried, not the one asked for alone
 * @param total effort of the part: grips, changes and capo
 * @param fastestTempo beats a minute up to which every change is in time
 * @param budget what was left out of the search for this part; empty when no part has less effort
 * @param solo the tune, where it is played on top of the chords
 */
public record Arrangement(
        ArrangementSettings settings,
        Fretboard board,
        Parameters parameters,
        Key key,
        List<HarmonyReader.SectionKey> sections,
        int tempo,
        SongStyle style,
        List<PatternChoice> rightHand,
        List<TextureChoice> textures,
        int capo,
        int leastEffortCapo,
        List<CapoCandidate> candidates,
        boolean swept,
        List<PlacedGrip> placements,
        List<TimedChange> changes,
        double total,
        int fastestTempo,
        List<Warning> warnings,
        Optional<Budget> budget,
        Optional<Solo> solo) {

    public Arrangement {
        sections = List.copyOf(sections);
        rightHand = List.copyOf(rightHand);
        textures = List.copyOf(textures);
        candidates = List.copyOf(candidates);
        placements = List.copyOf(placements);
        changes = List.copyOf(changes);
        warnings = List.copyOf(warnings);
    }

    /** How each grip stands to what is sung over it, in words, by its index; none where nobody sings or nothing is known of it. */
    public Map<Integer, String> besideVoice() {
        Map<Integer, String> words = new HashMap<>();
        List<Chart.Slot> slots = placements.stream().map(PlacedGrip::slot).toList();
        Singer.of(slots, settings, board, parameters).ifPresent(singer -> {
            for (PlacedGrip placed : placements) {
                placed.grip()
                        .flatMap(g -> singer.words(placed.slot().index(), g.grip()))
                        .ifPresent(said -> words.put(placed.index(), said));
            }
        });
        return words;
    }

    /**
     * How each grip keeps to the one its chord has elsewhere, in words, by its index; none on rungs that keep none, nor under a
     * tune.
     */
    public Map<Integer, String> keptGrips() {
        if (solo.isPresent()) {
            return Map.of();
        }
        Map<Integer, String> words = new HashMap<>();
        UsualGrips.of(placements, settings.rung(), parameters)
                .ifPresent(usual ->
                        placements.forEach(p -> usual.words(p).ifPresent(said -> words.put(p.index(), said))));
        return words;
    }

    /** Why a chord was taken from outside its texture, in words, by its index. */
    public Map<Integer, String> fallbacks() {
        Map<Integer, String> words = new HashMap<>();
        Set<Integer> sung = solo.map(Solo::places).orElse(Set.of());
        for (PlacedGrip placed : placements) {
            TextureAsk ask = settings.textures().at(placed.slot().index());
            boolean isChosen = placed.grip().isPresent() && !placed.locked() && !sung.contains(placed.index());
            if (isChosen && !placed.form().kind().isOfItsOwn()) {
                ChordSymbol chord = placed.segment().chord().orElseThrow();
                boolean bassElsewhere = settings.voicing().lowestElsewhere(chord);
                Shape shape = placed.grip().get().grip().shape();
                if (!ask.holds(shape, chord, board, bassElsewhere)) {
                    words.put(placed.index(), placed.isOfALine() ? ask.missingTogether() : ask.missing(chord.glyphs()));
                }
            }
        }
        return words;
    }

    /** Places at which a shape is played for the first time. */
    public List<Integer> newShapes() {
        Set<Shape> seen = new HashSet<>();
        return placements.stream()
                .filter(p ->
                        p.grip().isPresent() && seen.add(p.grip().get().grip().shape()))
                .map(PlacedGrip::index)
                .toList();
    }

    /**
     * The bars of its sheet: what the chart writes as a repeat stands once, where its grips are the same each time.
     *
     * @param alike whether two bars, counted from 1, look the same in whatever else stands on the sheet
     */
    public List<FoldedBar> folded(BiPredicate<Integer, Integer> alike) {
        SortedMap<Integer, List<PlacedGrip>> bars = placements.stream()
                .collect(Collectors.groupingBy(p -> p.slot().bar(), TreeMap::new, Collectors.toList()));
        List<List<Integer>> backs = new ArrayList<>();
        bars.values().forEach(bar -> {
            Chart.Slot slot = bar.get(0).slot();
            if (slot.barInSection() == 1) {
                backs.add(new ArrayList<>());
            }
            backs.get(backs.size() - 1).add(slot.back());
        });
        return Folding.of(
                backs,
                (a, b) -> grips(bars.get(a)).equals(grips(bars.get(b)))
                        && bars.get(b).stream()
                                .allMatch(placed -> placed.words().isBlank())
                        && alike.test(a, b));
    }

    private static List<List<Object>> grips(List<PlacedGrip> bar) {
        return bar.stream()
                .map(placed -> List.<Object>of(placed.played(), placed.grip().map(RatedGrip::grip)))
                .toList();
    }
}
