package underhand.part;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import underhand.chord.ChordSymbol;
import underhand.fill.Technique;
import underhand.hand.Grip;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;
import underhand.repertoire.RatedGrip;
import underhand.solve.PlacedGrip;

/**
 * The bars of a part as they are written: every stroke as long as the time to the next. Where a tune is on top, it is a voice of
 * its own on the staff, with its notes as long as they are held. Lengths are counted in {@link NoteValue#PER_QUARTER}ths of a
 * quarter.
 */
public final class Notation {

    private Notation() {}

    /**
     * What stands at one moment of a bar.
     *
     * @param from where it begins in its bar
     * @param values written lengths, tied together
     * @param notes lowest string first; none for a rest
     * @param begins whether a chord of the song begins with it
     * @param fingered strings whose left finger is written here: where it is first heard in its chord, a barre once
     * @param fromBefore whether it goes on from the bar before
     * @param intoNext whether it goes on in the bar after
     */
    public record Event(
            int from,
            List<NoteValue> values,
            List<PlayedNote> notes,
            Optional<Direction> strum,
            Weight weight,
            Sound sound,
            boolean fill,
            int place,
            boolean begins,
            Set<Integer> fingered,
            boolean fromBefore,
            boolean intoNext) {

        /** Whether it can be written as a slash in the rhythm of the strum, the chord's name saying what sounds (common practice). */
        public boolean isStrum() {
            return strum.isPresent() && !fill && !notes.isEmpty();
        }

        /** Written length in all. */
        public int length() {
            return values.stream().mapToInt(NoteValue::length).sum();
        }
    }

    /** A note as the left hand has it, however long it rings. */
    private record Stopped(int string, int fret, int leftFinger, Technique technique) {

        static List<Stopped> of(Event event) {
            return event.notes().stream()
                    .map(n -> new Stopped(n.string(), n.fret(), n.leftFinger(), n.technique()))
                    .toList();
        }
    }

    /** Events of a bar that stand together, from the first index to the last. */
    public record Run(int first, int last) {}

    /**
     * @param events its strokes, for tab and hand
     * @param voices what stands on the staff, the highest voice first: the strokes themselves, or a tune and what is under it
     * @param again whether it has what the bar before has, and may be written as a sign; its words may be others
     * @param words sung to it, by the moments their chords begin at
     */
    public record WrittenBar(
            PartBar bar,
            int length,
            List<Event> events,
            List<List<Event>> voices,
            boolean again,
            SortedMap<Integer, String> words) {

        private WrittenBar after(WrittenBar before, Part part) {
            return new WrittenBar(bar, length, events, voices, isAgain(this, before, part), words);
        }

        WrittenBar withVoices(List<List<Event>> other) {
            return new WrittenBar(bar, length, events, other, again, words);
        }

        /**
         * Its words by what they stand under: of things that begin at these moments, the one that sounds when their chord
         * begins.
         *
         * @param from in the order of time
         * @return by index
         */
        public SortedMap<Integer, String> wordsUnder(List<Integer> from) {
            SortedMap<Integer, String> under = new TreeMap<>();
            words.forEach((moment, sung) -> {
                int at = 0;
                while (at + 1 < from.size() && from.get(at + 1) <= moment) {
                    at++;
                }
                under.merge(at, sung, Notation::joined);
            });
            return under;
        }

        /** Whether the strokes are all there is, so that strums may be written as slashes. */
        public boolean isOneVoice() {
            return voices.equals(List.of(events));
        }

        /** Whether all a strum sounds stands in the bar already, under the same chord; what is damped stands as crosses. */
        public boolean isHeard(Event event) {
            Set<Stopped> heard = new HashSet<>();
            for (Event before : events) {
                if (before.from() >= event.from()) {
                    break;
                }
                if (before.place() == event.place() && before.weight() != Weight.GHOST) {
                    heard.addAll(Stopped.of(before));
                }
            }
            return event.isStrum() && event.weight() != Weight.GHOST && heard.containsAll(Stopped.of(event));
        }

        /** Where the palm lies on the strings; a rest ends a run. */
        public List<Run> palmMuted() {
            List<Run> runs = new ArrayList<>();
            for (int i = 0; i < events.size(); i++) {
                int first = i;
                while (i < events.size() && events.get(i).sound() == Sound.PALM_MUTE) {
                    i++;
                }
                if (i > first) {
                    runs.add(new Run(first, i - 1));
                }
            }
            return runs;
        }
    }

    /** The bars of a part, each filled by its events. */
    public static List<WrittenBar> of(Part part) {
        List<WrittenBar> written = new ArrayList<>();
        Heard heard = new Heard(part);
        Map<Integer, List<PlacedGrip>> byBar = part.arrangement().placements().stream()
                .collect(Collectors.groupingBy(placed -> placed.slot().bar()));
        int next = 0;
        for (PartBar bar : part.bars()) {
            List<Strike> strikes = new ArrayList<>();
            double end = bar.from() + bar.beats();
            while (next < part.strikes().size() && part.strikes().get(next).from() < end - 1e-6) {
                strikes.add(part.strikes().get(next++));
            }
            written.add(bar(bar, strikes, heard, words(bar, byBar.getOrDefault(bar.number(), List.of()))));
        }
        List<WrittenBar> voiced = new NotatedVoices().of(written);
        return IntStream.range(0, voiced.size())
                .mapToObj(i -> i == 0 ? voiced.get(i) : voiced.get(i).after(voiced.get(i - 1), part))
                .toList();
    }

    private static boolean isAgain(WrittenBar bar, WrittenBar before, Part part) {
        return bar.bar().section().isEmpty()
                && bar.isOneVoice()
                && before.isOneVoice()
                && bar.events().stream().anyMatch(e -> !e.notes().isEmpty())
                && isLike(bar, before, part);
    }

    /** Whether two bars of a part look the same but for their words. */
    public static boolean isLike(WrittenBar bar, WrittenBar other, Part part) {
        return bar.bar().metre().equals(other.bar().metre())
                && bar.length() == other.length()
                && areLike(bar.events(), other.events(), part)
                && bar.voices().size() == other.voices().size()
                && IntStream.range(0, bar.voices().size())
                        .allMatch(
                                i -> areLike(bar.voices().get(i), other.voices().get(i), part));
    }

    private static boolean areLike(List<Event> events, List<Event> others, Part part) {
        return events.size() == others.size()
                && IntStream.range(0, events.size()).allMatch(i -> isLike(events.get(i), others.get(i), part));
    }

    /** Whether two events look the same but for a chord that begins with one and goes on in the other. */
    private static boolean isLike(Event event, Event before, Part part) {
        return event.from() == before.from()
                && event.values().equals(before.values())
                && Stopped.of(event).equals(Stopped.of(before))
                && event.strum().equals(before.strum())
                && event.weight() == before.weight()
                && event.sound() == before.sound()
                && event.fill() == before.fill()
                && chord(event, part).equals(chord(before, part));
    }

    private static Optional<String> chord(Event event, Part part) {
        return event.place() < 0
                ? Optional.empty()
                : part.arrangement().placements().get(event.place()).played().map(ChordSymbol::glyphs);
    }

    private static SortedMap<Integer, String> words(PartBar bar, List<PlacedGrip> placed) {
        SortedMap<Integer, String> words = new TreeMap<>();
        for (PlacedGrip one : placed) {
            if (!one.words().isBlank()) {
                double beats = one.segment().beat() - placed.get(0).segment().beat();
                words.merge(ticks(bar, beats), one.words(), Notation::joined);
            }
        }
        return words;
    }

    private static String joined(String words, String more) {
        return words + " " + more;
    }

    private static WrittenBar bar(PartBar bar, List<Strike> strikes, Heard heard, SortedMap<Integer, String> words) {
        int length = ticks(bar, bar.beats());
        List<Event> events = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < strikes.size(); i++) {
            Strike strike = strikes.get(i);
            int from = ticks(bar, strike.from() - bar.from());
            if (from > at) {
                events.add(rest(at, from - at));
            }
            int until = i + 1 < strikes.size() ? ticks(bar, strikes.get(i + 1).from() - bar.from()) : length;
            boolean begins = heard.begins(strike.place());
            List<PlayedNote> notes = strike.notes().stream()
                    .sorted(Comparator.comparingInt(PlayedNote::string))
                    .toList();
            events.add(new Event(
                    from,
                    NoteValue.of(from, until - from),
                    notes,
                    strike.strum(),
                    strike.weight(),
                    strike.sound(),
                    strike.fill(),
                    strike.place(),
                    begins,
                    heard.newFingers(notes),
                    false,
                    false));
            at = until;
        }
        if (at < length) {
            events.add(rest(at, length - at));
        }
        return new WrittenBar(bar, length, events, List.of(events), false, words);
    }

    static Event rest(int from, int length) {
        return new Event(
                from,
                NoteValue.of(from, length),
                List.of(),
                Optional.empty(),
                Weight.NORMAL,
                Sound.RING,
                false,
                -1,
                false,
                Set.of(),
                false,
                false);
    }

    /** What was heard of the chord that lasts. */
    private static final class Heard {

        private final Part part;
        private final Map<Integer, PlayedNote> onString = new HashMap<>();
        private int place = -1;
        private Optional<Grip> grip = Optional.empty();

        Heard(Part part) {
            this.part = part;
        }

        boolean begins(int next) {
            if (next == place) {
                return false;
            }
            place = next;
            grip = part.arrangement().placements().get(place).grip().map(RatedGrip::grip);
            onString.clear();
            return grip.isPresent();
        }

        Set<Integer> newFingers(List<PlayedNote> notes) {
            Set<Integer> strings = new TreeSet<>();
            for (PlayedNote note : notes) {
                boolean lies = isHeld(note)
                        ? onString.values().stream().anyMatch(n -> isHeld(n) && n.leftFinger() == note.leftFinger())
                        : isSame(note, onString.get(note.string()));
                if (note.leftFinger() > 0 && !lies) {
                    strings.add(note.string());
                }
                onString.put(note.string(), note);
            }
            return strings;
        }

        private boolean isHeld(PlayedNote note) {
            return grip.filter(g -> g.shape().fret(note.string()) == note.fret())
                    .filter(g -> g.fingerOn(note.string()) == note.leftFinger())
                    .isPresent();
        }

        private static boolean isSame(PlayedNote note, PlayedNote before) {
            return before != null && before.fret() == note.fret() && before.leftFinger() == note.leftFinger();
        }
    }

    /** Beats of a bar in written lengths. */
    static int ticks(PartBar bar, double beats) {
        return (int) Math.round(beats * bar.quartersABeat() * NoteValue.PER_QUARTER);
    }
}
