package underhand.arrange;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import org.jgrapht.Graph;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;
import org.junit.jupiter.api.Test;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.move.ChangeModel;
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.picking.PatternPlan;
import underhand.repertoire.GripFinder;
import underhand.repertoire.RatedGrip;
import underhand.repertoire.VoiceLeading;
import underhand.settings.ArrangementSettings;
import underhand.settings.HouseRules;
import underhand.settings.Setting;
import underhand.solve.PartSolver;

/** The part of random small songs against every row of grips there is, priced here anew; and against JGraphT. */
class ExhaustiveSongTest {

    private static final Parameters P = Parameters.STANDARD;
    private static final List<String> CHORDS =
            List.of("C", "G", "D", "A", "E", "Am", "Em", "Dm", "G7", "A7", "E7", "D7");

    private final ChangeModel[] changes = new ChangeModel[10];
    private final VoiceLeading[] voices = new VoiceLeading[10];

    /** Layers of grips of a song at a capo, as the search gives them. */
    private static List<List<RatedGrip>> layers(List<ChordSymbol> song, int capo, int rung, int widest) {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, capo);
        GripFinder finder =
                new GripFinder(board, Rung.of(rung), Player.ADULT, Setting.ALONE, GripFinder.HIGHEST_FRET, P);
        List<List<RatedGrip>> layers = new ArrayList<>();
        for (ChordSymbol chord : song) {
            int often = (int) song.stream().filter(chord::equals).count();
            layers.add(finder.find(chord, often).stream().limit(widest).toList());
        }
        return layers;
    }

    /** Price of a change at 92 beats a minute with one stroke a beat, from its documented parts. */
    private double edge(int capo, int rung, Grip from, Grip to) {
        if (changes[capo] == null) {
            Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, capo);
            changes[capo] = new ChangeModel(board, Rung.of(rung), Player.ADULT, P);
            voices[capo] = new VoiceLeading(board, Setting.ALONE, HouseRules.NONE, P);
        }
        var change = changes[capo].between(from, to);
        double late = Math.max(0, change.neededSeconds() - 60.0 / 92);
        return P.get("route.change") * change.effort()
                + P.get("late") * late
                + voices[capo].effort(voices[capo].voices(from), voices[capo].voices(to));
    }

    private static double capoPrice(int capo, List<ChordSymbol> song) {
        double share = (double) song.stream().filter(c -> c.type().has(7)).count() / song.size();
        double rich = share >= 0.5 ? share : 0;
        return song.size()
                * ((capo > 0 ? P.get("capo.on") + P.get("capo.rich") * rich : 0)
                        + P.get("capo.fret") * capo
                        + P.get("capo.high") * Math.max(0, capo - 5));
    }

    private double cheapest(List<List<RatedGrip>> layers, int capo, int layer, Grip before) {
        if (layer == layers.size()) {
            return 0;
        }
        double best = Double.POSITIVE_INFINITY;
        for (RatedGrip grip : layers.get(layer)) {
            double cost = grip.effort().total() + (before == null ? 0 : edge(capo, 1, before, grip.grip()));
            if (cost < best) {
                best = Math.min(best, cost + cheapest(layers, capo, layer + 1, grip.grip()));
            }
        }
        return best;
    }

    @Test
    void arrange_randomSmallSongs_equalsTryingEveryRowOfGrips() {
        Random random = new Random(1989);
        for (int i = 0; i < 12; i++) {
            List<ChordSymbol> song = random.ints(3, 0, CHORDS.size())
                    .mapToObj(c -> ChordSymbol.parse(CHORDS.get(c)))
                    .toList();
            int capo = 0;
            double best = cheapest(layers(song, capo, 1, PartSolver.PRICED_GRIPS), capo, 0, null);
            // What keeps chords to one grip is checked by UsualGripsTest.
            double total = new Arranger(Parameters.STANDARD.with("habit.other.1", 0))
                    .solve(
                            TeacherParts.chart(song),
                            ArrangementSettings.ofRung(1).withCapo(capo),
                            capo)
                    .total();
            assertEquals(best + capoPrice(capo, song), total, 1e-3, "seed 1989, case " + i + " " + song);
        }
    }

    @Test
    void arrange_fullLattice_agreesWithJGraphT() {
        List<ChordSymbol> song = List.of("Dm7 G7 Cmaj7 A7 Dm7 Fm6 C E7".split(" ")).stream()
                .map(ChordSymbol::parse)
                .toList();
        List<List<RatedGrip>> layers = layers(song, 0, 3, PartSolver.PRICED_GRIPS);
        Graph<String, DefaultWeightedEdge> graph = new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
        graph.addVertex("start");
        graph.addVertex("end");
        for (int layer = 0; layer < layers.size(); layer++) {
            for (int n = 0; n < layers.get(layer).size(); n++) {
                RatedGrip grip = layers.get(layer).get(n);
                graph.addVertex(layer + ":" + n);
                if (layer == 0) {
                    graph.setEdgeWeight(
                            graph.addEdge("start", "0:" + n), grip.effort().total());
                }
                for (int f = 0; layer > 0 && f < layers.get(layer - 1).size(); f++) {
                    double change = edge(0, 3, layers.get(layer - 1).get(f).grip(), grip.grip());
                    graph.setEdgeWeight(
                            graph.addEdge(layer - 1 + ":" + f, layer + ":" + n),
                            change + grip.effort().total());
                }
                if (layer == layers.size() - 1) {
                    graph.setEdgeWeight(graph.addEdge(layer + ":" + n, "end"), 0);
                }
            }
        }
        double total = new Arranger()
                .solve(TeacherParts.chart(song), ArrangementSettings.ofRung(3).withCapo(0), 0)
                .total();
        assertEquals(new DijkstraShortestPath<>(graph).getPathWeight("start", "end"), total, 1e-3);
    }

    /** A sketch looks at few grips and proves that the others do not matter; the full solution looks at all. */
    @Test
    void sweep_randomSongsOnEveryRung_costsWhatTheFullSolutionCosts() {
        Random random = new Random(1967);
        Arranger arranger = new Arranger();
        for (int i = 0; i < 40; i++) {
            List<ChordSymbol> song = random.ints(4 + random.nextInt(9), 0, CHORDS.size())
                    .mapToObj(c -> ChordSymbol.parse(CHORDS.get(c)))
                    .toList();
            int rung = 1 + i % 5;
            ArrangementSettings settings = ArrangementSettings.ofRung(rung).withPatterns(PatternPlan.BEAT);
            Sweep sweep = arranger.sweep(TeacherParts.chart(song), settings);
            for (int capo = 0; capo <= sweep.highestCapo(); capo++) {
                double sketched = sweep.at(OptionalInt.of(capo)).total();
                double solved =
                        arranger.solve(TeacherParts.chart(song), settings, capo).total();
                assertEquals(solved, sketched, 1e-6, "seed 1967, rung " + rung + ", capo " + capo + ", " + song);
            }
        }
    }
}
