package underhand.solo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.hand.Parameters;
import underhand.harmony.HarmonyReader;
import underhand.picking.PlayedPatterns;
import underhand.repertoire.KnownGrips;
import underhand.route.RouteSolver;
import underhand.settings.ArrangementSettings;
import underhand.settings.FrettingHand;
import underhand.settings.SoloAsk;
import underhand.solve.Song;

/** The way through the moments of a phrase is the cheapest of all there are. */
class SoloRouteTest {

    private static final Parameters P = Parameters.STANDARD;
    private static final int PHRASES = 300;

    /** Grips of a moment that are tried in every combination. */
    private static final int GRIPS = 9;

    private static final List<String> CHORDS = List.of("C", "G7", "Am", "F", "Dm7", "E7", "Bb", "D9", "G/B");
    private static final List<String> NOTES = List.of("E4", "F#4", "G4", "A4", "B4", "C5", "D5", "E5", ".", "-");

    /** Two bars with a chord each and a tune of up to three notes a bar. */
    private static Chart phrase(Random random) {
        String bars = IntStream.range(0, 2)
                .mapToObj(i -> CHORDS.get(random.nextInt(CHORDS.size())))
                .collect(Collectors.joining(" | ", "| ", " |\n"));
        String tune = IntStream.range(0, 2)
                .mapToObj(i ->
                        "A4 " + NOTES.get(random.nextInt(NOTES.size())) + " " + NOTES.get(random.nextInt(NOTES.size())))
                .collect(Collectors.joining(" | ", "tune: ", " |\n"));
        return ChartTextReader.read("metre: 3/4\n" + bars + tune).chart();
    }

    private record Laid(List<Moment> moments, SoloLattice lattice) {}

    /** The lattice of a phrase with a random few of the grips of each moment. */
    private static Laid laid(Chart chart, int rung, Random random) {
        ArrangementSettings settings = ArrangementSettings.ofRung(rung).withSolo(SoloAsk.OPEN);
        Song song = new Song(chart, HarmonyReader.of(chart), settings);
        FrettingHand hand = FrettingHand.of(settings, 0);
        KnownGrips known = new KnownGrips(hand, P);
        Manner manner = Manner.of(settings.rung(), SoloAsk.Under.CHORDS);
        List<Moment> moments = Moments.of(song, 0, true).moments();
        SoloGrip[][] layers = new SoloLayers(
                        new SoloGrips(hand, manner, song.harmony().key(), 0, P), hand.board(), settings, m -> List.of())
                .of(moments);
        for (int i = 0; i < layers.length; i++) {
            List<SoloGrip> some = Arrays.asList(layers[i]);
            Collections.shuffle(some, random);
            layers[i] = some.subList(0, Math.min(GRIPS, some.size())).toArray(SoloGrip[]::new);
        }
        PlayedPatterns patterns = new PlayedPatterns(settings.patterns(), settings.rung(), song.tempo());
        SoloTiming timing = new SoloTiming(manner, patterns, hand.board(), song.tempo());
        return new Laid(moments, new SoloLattice(moments, layers, known.changes(), hand.board(), timing, manner, P));
    }

    private static double cheapest(SoloLattice lattice, int layer, int node) {
        double own = lattice.nodeCost(layer, node);
        if (layer + 1 == lattice.layers()) {
            return own;
        }
        double best = Double.POSITIVE_INFINITY;
        for (int next = 0; next < lattice.nodes(layer + 1); next++) {
            double edge = lattice.edgeCost(layer, node, next);
            if (Double.isFinite(edge)) {
                best = Math.min(best, edge + cheapest(lattice, layer + 1, next));
            }
        }
        return own + best;
    }

    @Test
    void noWayThroughARandomPhraseIsCheaper() {
        Random random = new Random(19);
        int tried = 0;
        for (int phrase = 0; phrase < PHRASES; phrase++) {
            Laid laid = laid(phrase(random), 2 + random.nextInt(4), random);
            double least = Double.POSITIVE_INFINITY;
            for (int node = 0; node < laid.lattice().nodes(0); node++) {
                least = Math.min(least, cheapest(laid.lattice(), 0, node));
            }
            double found = RouteSolver.solve(laid.lattice()).total();
            assertEquals(least, found, 1e-9);
            assertEquals(found, RouteSolver.sketch(laid.lattice()).total(), 0);
            tried += Double.isFinite(least) ? 1 : 0;
        }
        assertTrue(tried > PHRASES / 2, "most phrases have a way: " + tried);
    }

    @ParameterizedTest
    @ValueSource(strings = {"ode-to-joy", "old-hundredth", "londonderry-air"})
    void theOctaveIsTheCheapestOfAll(String name) {
        Chart chart = Tunes.chart(name);
        for (int capo : new int[] {0, 3}) {
            double least = IntStream.rangeClosed(-1, 1)
                    .mapToDouble(octave -> total(chart, capo, OptionalInt.of(octave)))
                    .min()
                    .orElseThrow();
            assertEquals(least, total(chart, capo, OptionalInt.empty()), 1e-9);
        }
    }

    private static double total(Chart chart, int capo, OptionalInt octave) {
        return new Arranger()
                .arrange(
                        chart,
                        ArrangementSettings.ofRung(3)
                                .withCapo(capo)
                                .withSolo(new SoloAsk(SoloAsk.Under.CHORDS, octave, List.of())))
                .total();
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 4})
    void theCapoIsAmongTheCheapest(int rung) {
        Chart chart = Tunes.chart("old-hundredth");
        ArrangementSettings settings = ArrangementSettings.ofRung(rung).withSolo(SoloAsk.OPEN);
        Arrangement chosen = new Arranger().arrange(chart, settings);
        double least = IntStream.rangeClosed(0, ArrangementSettings.HIGHEST_CAPO)
                .mapToDouble(capo ->
                        new Arranger().arrange(chart, settings.withCapo(capo)).total())
                .min()
                .orElseThrow();
        assertTrue(chosen.total() <= least * (1 + P.get("capo.gain")) + 1e-9);
    }

    @Test
    void theSameSongGivesTheSamePart() {
        Chart chart = Tunes.chart("silent-night");
        ArrangementSettings settings = ArrangementSettings.ofRung(4).withSolo(SoloAsk.OPEN);
        Arranger arranger = new Arranger();
        assertEquals(
                arranger.arrange(chart, settings).solo(),
                new Arranger().arrange(chart, settings).solo());
        assertEquals(
                arranger.arrange(chart, settings).total(),
                arranger.priced(chart, settings).total(),
                1e-9);
    }
}
