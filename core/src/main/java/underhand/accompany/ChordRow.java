package underhand.accompany;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import underhand.accompany.TuneChords.Offer;
import underhand.accompany.TuneChords.Proposal;
import underhand.chord.ChordSymbol;
import underhand.pitch.Key;

/** The cheapest rows of chords under a tune: forward and back through its bars, so that each chord of each bar has its true price. */
final class ChordRow {

    private final List<SungBar> bars;
    private final Map<Integer, ChordSymbol> chosen;
    private final ChordPrices prices;
    private final List<List<Accompaniment>> layers;

    /** Price of the best row up to a chord of a bar, and from it on, its own price in the first only. */
    private final double[][] before;

    private final double[][] after;

    ChordRow(List<SungBar> bars, Key key, Map<Integer, ChordSymbol> chosen) {
        this.bars =
                bars.stream().filter(b -> b.isFree() || !b.chords().isEmpty()).toList();
        this.chosen = Map.copyOf(chosen);
        this.prices = new ChordPrices(key, this.bars);
        List<Accompaniment> all = Accompaniment.of(key);
        layers = this.bars.stream().map(bar -> layer(bar, all)).toList();
        before = new double[layers.size()][];
        after = new double[layers.size()][];
        for (int bar = 0; bar < layers.size(); bar++) {
            before[bar] = new double[layers.get(bar).size()];
            for (int chord = 0; chord < before[bar].length; chord++) {
                before[bar][chord] = prices.own(bar, at(bar, chord)) + cheapestBefore(bar, chord);
            }
        }
        for (int bar = layers.size() - 1; bar >= 0; bar--) {
            after[bar] = new double[layers.get(bar).size()];
            for (int chord = 0; chord < after[bar].length; chord++) {
                Optional<Integer> next = bestAfter(bar, chord);
                after[bar][chord] = next.isEmpty() ? 0 : fromHere(bar, chord, next.get());
            }
        }
    }

    /** What may stand in a bar; one that has chords is met and left by its last. */
    private List<Accompaniment> layer(SungBar bar, List<Accompaniment> all) {
        if (!bar.isFree()) {
            return List.of(Accompaniment.chosen(bar.chords().get(bar.chords().size() - 1)));
        }
        List<Accompaniment> layer = new ArrayList<>(all);
        Optional.ofNullable(chosen.get(bar.number()))
                .filter(wish -> all.stream().noneMatch(a -> a.chord().equals(wish)))
                .ifPresent(wish -> layer.add(Accompaniment.chosen(wish)));
        return layer;
    }

    private Accompaniment at(int bar, int chord) {
        return layers.get(bar).get(chord);
    }

    /** Chords a row may take in a bar: the one that was chosen, else all. */
    private IntStream open(int bar) {
        ChordSymbol wish = chosen.get(bars.get(bar).number());
        return IntStream.range(0, layers.get(bar).size())
                .filter(c -> wish == null || at(bar, c).chord().equals(wish));
    }

    private double cheapestBefore(int bar, int chord) {
        return bar == 0
                ? 0
                : open(bar - 1)
                        .mapToDouble(c -> before[bar - 1][c] + prices.change(bar, at(bar - 1, c), at(bar, chord)))
                        .min()
                        .orElseThrow();
    }

    /** The next bar's chord on the best row from here on; empty in the last bar. */
    private Optional<Integer> bestAfter(int bar, int chord) {
        return bar == layers.size() - 1
                ? Optional.empty()
                : open(bar + 1).boxed().min(Comparator.comparingDouble(next -> fromHere(bar, chord, next)));
    }

    private double fromHere(int bar, int chord, int next) {
        Accompaniment to = at(bar + 1, next);
        return prices.change(bar + 1, at(bar, chord), to) + prices.own(bar + 1, to) + after[bar + 1][next];
    }

    /** @param most chords offered for a bar */
    List<Offer> offers(int most) {
        List<Offer> offers = new ArrayList<>();
        for (int i = 0; i < layers.size(); i++) {
            int bar = i;
            if (bars.get(bar).isFree()) {
                double[] through = IntStream.range(0, before[bar].length)
                        .mapToDouble(c -> before[bar][c] + after[bar][c])
                        .toArray();
                double least = IntStream.range(0, through.length)
                        .mapToDouble(c -> through[c])
                        .min()
                        .orElseThrow();
                List<Proposal> proposals = IntStream.range(0, through.length)
                        .boxed()
                        .sorted(Comparator.comparingDouble(c -> through[c]))
                        .limit(most)
                        .map(c -> new Proposal(
                                at(bar, c).chord(),
                                prices.reason(bar, at(bar, c), bestAfter(bar, c).map(next -> at(bar + 1, next))),
                                through[c] - least))
                        .toList();
                SungBar here = bars.get(bar);
                offers.add(new Offer(
                        here.number(), here.section(), Optional.ofNullable(chosen.get(here.number())), proposals));
            }
        }
        return offers;
    }
}
