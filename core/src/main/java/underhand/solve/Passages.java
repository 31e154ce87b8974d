package underhand.solve;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import underhand.repertoire.WantedChord;
import underhand.solve.Layer.Block;

/**
 * Counts the changes a pass over a song may have to look at: of each passage from some chords to others once, however often
 * it comes; what searching the grips and laying them out takes is counted in changes too. It tells of the song alone, not of what was found before.
 */
final class Passages {

    /** Fingering a grip takes about as long as looking at so many changes. */
    private static final long GRIP = 30;

    /** Laying a grip out in a layer and passing over it takes about as long as so many. */
    private static final long LAYING_OUT = 3;

    private Passages() {}

    static long of(List<Layer> layers) {
        return of(layers, Set.of(), 1);
    }

    /** The same when some chords have so many times as many grips as in the layers. */
    static long of(List<Layer> layers, Set<WantedChord> wider, int times) {
        Set<List<Object>> seen = new HashSet<>();
        long changes = 0;
        for (int layer = 0; layer < layers.size(); layer++) {
            List<WantedChord> here = chords(layers.get(layer));
            long nodes = nodes(layers.get(layer), wider, times);
            changes += LAYING_OUT * nodes + (seen.add(List.of(here)) ? GRIP * nodes : 0);
            if (layer > 0) {
                Layer before = layers.get(layer - 1);
                boolean isNew = seen.add(List.of(chords(before), here));
                changes += isNew ? nodes(before, wider, times) * nodes : 0;
            }
        }
        return changes;
    }

    private static List<WantedChord> chords(Layer layer) {
        return layer.blocks().stream().map(Block::wanted).toList();
    }

    private static long nodes(Layer layer, Set<WantedChord> wider, int times) {
        return layer.blocks().stream()
                .mapToLong(b -> (long) b.nodes() * (wider.contains(b.wanted()) ? times : 1))
                .sum();
    }
}
