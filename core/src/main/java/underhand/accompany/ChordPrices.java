package underhand.accompany;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import underhand.accompany.SungBar.Heard;
import underhand.harmony.Degree;
import underhand.pitch.Key;

/** What a chord costs under a bar of a tune and after another, and why it may stand there. Common practice put into numbers. */
final class ChordPrices {

    /** A bar none of whose notes belongs to the chord costs so much more than one that holds them all. */
    private static final double STRANGE = 6;

    /** What a note that is only passed through counts of one that stands. */
    private static final double PASSED = 0.35;

    private static final double FIFTH_DOWN = -0.3;
    private static final double SAME_CHORD = 0.1;
    private static final double SAME_OVER_A_LINE = 0.3;

    /** From the dominant back to what leads to it. */
    private static final double BACKWARDS = 0.6;

    /** A chord that leads somewhere and does not go there. */
    private static final double UNRESOLVED = 1.5;

    private static final double BEGINS_AWAY = 0.6;
    private static final double ENDS_AWAY = 2.5;

    /** Bars of a line of a plain tune. */
    private static final int LINE = 4;

    private final Key key;
    private final List<SungBar> bars;

    ChordPrices(Key key, List<SungBar> bars) {
        this.key = key;
        this.bars = bars;
    }

    /** What a chord costs in a bar, whatever stands before and after. */
    double own(int bar, Accompaniment chord) {
        SungBar here = bars.get(bar);
        boolean home = chord.root() == key.tonic().pitchClass();
        double ends = (bar == 0 && !home ? BEGINS_AWAY : 0) + (bar == bars.size() - 1 && !home ? ENDS_AWAY : 0);
        if (here.weight() == 0) {
            return chord.price() + ends;
        }
        double strange = here.notes().stream()
                .filter(n -> !chord.has(n.pitchClass()))
                .mapToDouble(n -> n.weight() * (n.passing() ? PASSED : 1))
                .sum();
        return chord.price() + ends + STRANGE * strange / here.weight();
    }

    /** What it costs that a chord follows another. */
    double change(int bar, Accompaniment from, Accompaniment to) {
        int up = Math.floorMod(to.root() - from.root(), 12);
        boolean same = from.chord().equals(to.chord());
        double leads = from.target().isEmpty() || from.target().getAsInt() == to.root() || up == 0 ? 0 : UNRESOLVED;
        if (up == 0) {
            return same && bar % LINE == 0 ? SAME_OVER_A_LINE : SAME_CHORD;
        }
        int degree = key.degreeOf(from.root());
        boolean backwards = degree == 5 && (key.degreeOf(to.root()) == 4 || key.degreeOf(to.root()) == 2);
        return leads + (up == 5 ? FIFTH_DOWN : 0) + (backwards ? BACKWARDS : 0);
    }

    /** Its degree, what of the bar's tune it holds, where it leads. */
    String reason(int bar, Accompaniment chord, Optional<Accompaniment> next) {
        List<String> facts = new ArrayList<>();
        facts.add(held(bars.get(bar), chord));
        next.filter(n -> Math.floorMod(n.root() - chord.root(), 12) == 5)
                .ifPresent(n -> facts.add("leads to " + n.chord().glyphs()));
        return Degree.of(chord.chord(), key) + ": " + String.join("; ", facts);
    }

    private String held(SungBar bar, Accompaniment chord) {
        if (bar.notes().isEmpty()) {
            return "the tune rests";
        }
        Set<String> held = names(bar, n -> chord.has(n.pitchClass()));
        Set<String> passed = names(bar, n -> !chord.has(n.pitchClass()) && n.passing());
        Set<String> against = names(bar, n -> !chord.has(n.pitchClass()) && !n.passing());
        passed.removeAll(against);
        List<String> facts = new ArrayList<>();
        facts.add(held.isEmpty() ? "holds no note of the bar" : "holds " + listed(held));
        if (!passed.isEmpty()) {
            facts.add(listed(passed) + (passed.size() == 1 ? " passes" : " pass"));
        }
        if (!against.isEmpty()) {
            facts.add(listed(against) + (against.size() == 1 ? " stands" : " stand") + " against it");
        }
        return String.join("; ", facts);
    }

    private Set<String> names(SungBar bar, Predicate<Heard> which) {
        return bar.notes().stream()
                .filter(which)
                .map(n -> key.spell(n.pitchClass()).glyphs())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static String listed(Set<String> names) {
        List<String> all = List.copyOf(names);
        return all.size() == 1
                ? all.get(0)
                : String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.get(all.size() - 1);
    }
}
