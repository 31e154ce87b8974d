package underhand.solve;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.harmony.Degree;
import underhand.harmony.HarmonyReader;
import underhand.harmony.Preferences;
import underhand.harmony.Reading;
import underhand.harmony.ReadingId;
import underhand.harmony.RuleCatalogue;
import underhand.harmony.Spot;
import underhand.pitch.Key;
import underhand.settings.ArrangementSettings;
import underhand.settings.ReadingChoice;
import underhand.settings.ReadingChoice.Verdict;

/** What the solver needs of a chart: its placements in order, the readings allowed for each, its key, its tempo. */
public final class Song {

    private final List<Chart.Slot> placements;
    private final HarmonyReader harmony;
    private final Preferences preferences;
    private final int tempo;
    private final Map<Integer, List<Reading>> readings = new HashMap<>();
    private final Map<ChordSymbol, Integer> occurrences = new HashMap<>();
    private final TreeSet<Integer> unkeptReadings = new TreeSet<>();

    /** Readings that are taken at placements and their repeats, whatever else is decided. */
    public record Forced(Map<Integer, Reading> readings) {

        public Forced {
            readings = Map.copyOf(readings);
        }

        public boolean isAt(int placement) {
            return readings.containsKey(placement);
        }
    }

    /** @param harmony of the chart */
    public Song(Chart chart, HarmonyReader harmony, ArrangementSettings settings) {
        this.placements = chart.placements();
        this.harmony = harmony;
        preferences = settings.preferences();
        tempo = settings.tempo().orElse(chart.tempo().orElse(Chart.DEFAULT_TEMPO));
        Map<Integer, List<ReadingChoice>> choices =
                settings.readings().stream().collect(Collectors.groupingBy(ReadingChoice::placement));
        for (Chart.Slot slot : placements) {
            List<ReadingChoice> own = choices.getOrDefault(slot.index(), List.of());
            List<ReadingChoice> chosen =
                    own.isEmpty() && settings.repeatsAlike() ? choices.getOrDefault(slot.written(), List.of()) : own;
            List<Reading> allowed = slot.placement().chord().isEmpty() ? List.of() : allowed(slot, chosen);
            readings.put(slot.index(), allowed);
        }
        count();
    }

    private Song(Song song, Map<Integer, List<Reading>> others) {
        placements = song.placements;
        harmony = song.harmony;
        preferences = song.preferences;
        tempo = song.tempo;
        unkeptReadings.addAll(song.unkeptReadings);
        readings.putAll(song.readings);
        readings.putAll(others);
        count();
    }

    private void count() {
        readings.values()
                .forEach(allowed ->
                        allowed.forEach(r -> r.steps().forEach(s -> occurrences.merge(s.chord(), 1, Integer::sum))));
    }

    /** The same song with readings taken at placements and their repeats, whatever else was decided there. */
    public Song with(Forced forced) {
        Map<Integer, List<Reading>> taken = new HashMap<>();
        for (Chart.Slot slot : placements) {
            Reading own = forced.readings().get(slot.index());
            Reading reading = own == null ? forced.readings().get(slot.written()) : own;
            if (reading != null) {
                taken.put(slot.index(), List.of(reading));
            }
        }
        return new Song(this, taken);
    }

    /** The placements a reading goes over: where it stands, and wherever it goes on from there. */
    Set<Integer> reach(int placement, ReadingId id) {
        Set<Integer> reach = new TreeSet<>();
        for (int step : new int[] {1, -1}) {
            for (int at = placement; reading(at, id).isPresent(); at += step) {
                reach.add(at);
                if (!reading(at, id).orElseThrow().overStill()) {
                    break;
                }
            }
        }
        return reach;
    }

    /** The same song without the reading a placement has, there and wherever it goes on from there. */
    Song without(int placement, ReadingId id) {
        Map<Integer, List<Reading>> left = new HashMap<>();
        for (int at : reach(placement, id)) {
            List<Reading> others =
                    readings.get(at).stream().filter(r -> !r.id().equals(id)).toList();
            left.put(at, others.isEmpty() ? List.of(original(placements.get(at))) : others);
        }
        Song song = new Song(this, left);
        song.unkeptReadings.addAll(left.keySet());
        return song;
    }

    private List<Reading> allowed(Chart.Slot slot, List<ReadingChoice> choices) {
        List<Reading> allowed = new ArrayList<>();
        allowed.add(original(slot));
        if (choices.stream().allMatch(c -> c.verdict() == Verdict.REFUSED)) {
            return allowed;
        }
        Spot spot = harmony.spot(slot.index()).orElseThrow();
        RuleCatalogue.Judgement judgement = RuleCatalogue.judge(spot, preferences);
        for (ReadingChoice choice : choices) {
            Optional<Reading> reading = choice.verdict() == Verdict.PINNED
                    ? judgement.insisted(choice.reading())
                    : judgement.reading(choice.reading());
            if (reading.isEmpty() && choice.verdict() != Verdict.REFUSED) {
                unkeptReadings.add(slot.index());
            } else if (choice.verdict() == Verdict.PINNED) {
                return List.of(reading.get());
            } else if (choice.verdict() == Verdict.ACCEPTED) {
                allowed.add(reading.get());
            }
        }
        return allowed;
    }

    private static Reading original(Chart.Slot slot) {
        return Reading.original(
                slot.placement().chord().orElseThrow(), slot.placement().beats());
    }

    public List<Chart.Slot> placements() {
        return placements;
    }

    public HarmonyReader harmony() {
        return harmony;
    }

    public Preferences preferences() {
        return preferences;
    }

    public Key key() {
        return harmony.key();
    }

    /** Key of a placement: of its section, else of the song. */
    public Key key(Chart.Slot at) {
        return harmony.spot(at.index()).map(Spot::key).orElse(harmony.key());
    }

    /** A chord as its shape is called above a capo. */
    public ChordSymbol played(Chart.Slot at, ChordSymbol chord, int capo) {
        return capo == 0 ? chord : chord.transpose(-capo, key(at).transpose(-capo));
    }

    /** Roman numeral of a chord in the key of its placement. */
    public String degree(Chart.Slot at, ChordSymbol chord) {
        return Degree.of(chord, key(at));
    }

    public int tempo() {
        return tempo;
    }

    /** How often the song may have a chord. */
    int occurrences(ChordSymbol chord) {
        return occurrences.getOrDefault(chord, 1);
    }

    /** The ways a placement may be played: none where nothing is. */
    public List<Reading> readings(Chart.Slot slot) {
        return readings.get(slot.index());
    }

    /** The reading of a placement with an id, among those allowed. */
    public Optional<Reading> reading(int placement, ReadingId id) {
        return readings.getOrDefault(placement, List.of()).stream()
                .filter(r -> r.id().equals(id))
                .findFirst();
    }

    /** Placements whose chosen reading no rule proposes any more. */
    public List<Integer> unkeptReadings() {
        return List.copyOf(unkeptReadings);
    }
}
