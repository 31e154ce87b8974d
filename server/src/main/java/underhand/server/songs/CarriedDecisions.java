package underhand.server.songs;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import com.github.difflib.patch.Chunk;
import com.github.difflib.patch.DeltaType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartTextReader;
import underhand.server.arrangements.FillChoiceRequest;
import underhand.server.arrangements.LockRequest;
import underhand.server.arrangements.ReadingChoiceRequest;
import underhand.server.arrangements.TextureRequest;

/**
 * Decisions of a song whose chart was edited: those about a chord that is still there go with it, found by a diff over section,
 * chord and length, and where a section was renamed over chord and length alone.
 *
 * @param decisions for the edited chart
 * @param fallen what was decided about chords that are gone, in words
 */
record CarriedDecisions(Decisions decisions, List<String> fallen) {

    /** What makes a chord the same one in an edited chart. */
    private record Sign(String section, String chord, double beats) {

        static Sign of(Chart.Slot slot) {
            return new Sign(
                    slot.section(),
                    slot.placement().chord().map(ChordSymbol::toString).orElse(""),
                    slot.placement().beats());
        }

        Sign withoutSection() {
            return new Sign("", chord, beats);
        }
    }

    static CarriedDecisions of(String before, String after, Decisions decisions) {
        Carrier carrier = new Carrier(
                ChartTextReader.read(before).chart().placements(),
                ChartTextReader.read(after).chart().placements());
        Decisions carried = decisions.with(
                carrier.carried(
                        decisions.locks(),
                        LockRequest::placement,
                        LockRequest::at,
                        lock -> lock.lowestFret() == null ? "the grip kept" : "the region kept"),
                carrier.carried(
                        decisions.readings(),
                        ReadingChoiceRequest::placement,
                        ReadingChoiceRequest::at,
                        reading -> "the reading"),
                carrier.carried(
                        decisions.fills(), FillChoiceRequest::placement, FillChoiceRequest::at, fill -> "the fill"),
                Stream.concat(
                                decisions.textures().stream().filter(t -> t.placement() == null),
                                carrier
                                        .carried(
                                                decisions.textures().stream()
                                                        .filter(t -> t.placement() != null)
                                                        .toList(),
                                                TextureRequest::placement,
                                                TextureRequest::at,
                                                texture -> "the texture")
                                        .stream())
                        .toList());
        return new CarriedDecisions(carried, List.copyOf(carrier.fallen));
    }

    /** Takes decisions from the chords of one chart to those of another. */
    private static final class Carrier {

        private final List<Chart.Slot> old;
        private final Map<Integer, Integer> stays;
        private final List<String> fallen = new ArrayList<>();

        Carrier(List<Chart.Slot> old, List<Chart.Slot> edited) {
            this.old = old;
            this.stays = stays(
                    old.stream().map(Sign::of).toList(),
                    edited.stream().map(Sign::of).toList());
        }

        <T> List<T> carried(
                List<T> all, ToIntFunction<T> placement, BiFunction<T, Integer, T> moved, Function<T, String> words) {
            List<T> kept = new ArrayList<>();
            for (T one : all) {
                int at = placement.applyAsInt(one);
                if (stays.containsKey(at)) {
                    kept.add(moved.apply(one, stays.get(at)));
                } else if (at < old.size()) {
                    Chart.Slot slot = old.get(at);
                    String chord =
                            slot.placement().chord().map(ChordSymbol::glyphs).orElse("a rest");
                    fallen.add(words.apply(one) + " at " + chord + " in bar " + slot.bar());
                }
            }
            return kept;
        }
    }

    /** Where each placement that is still there has gone. */
    private static Map<Integer, Integer> stays(List<Sign> old, List<Sign> edited) {
        Map<Integer, Integer> stays = new HashMap<>();
        for (AbstractDelta<Sign> delta : DiffUtils.diff(old, edited, true).getDeltas()) {
            Chunk<Sign> from = delta.getSource();
            Chunk<Sign> to = delta.getTarget();
            if (delta.getType() == DeltaType.EQUAL) {
                for (int i = 0; i < from.size(); i++) {
                    stays.put(from.getPosition() + i, to.getPosition() + i);
                }
            } else if (delta.getType() == DeltaType.CHANGE && hasSections(from)) {
                stays(plain(from), plain(to))
                        .forEach((at, then) -> stays.put(from.getPosition() + at, to.getPosition() + then));
            }
        }
        return stays;
    }

    private static boolean hasSections(Chunk<Sign> chunk) {
        return chunk.getLines().stream().anyMatch(sign -> !sign.section().isEmpty());
    }

    private static List<Sign> plain(Chunk<Sign> chunk) {
        return chunk.getLines().stream().map(Sign::withoutSection).toList();
    }
}
