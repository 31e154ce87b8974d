package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import underhand.hand.EffortTerm;
import underhand.repertoire.RatedGrip;
import underhand.solve.Solo;
import underhand.solve.SolvedPart;
import underhand.solve.TimedChange;

/** Puts into words what a capo position means for a part. */
final class CapoReasons {

    private CapoReasons() {}

    static CapoCandidate candidate(SolvedPart part) {
        int barres = (int)
                grips(part).stream().filter(g -> !g.grip().barres().isEmpty()).count();
        int beyond = (int) part.placements().stream()
                .filter(p -> p.segment().chord().isPresent())
                .filter(p -> p.grip().isEmpty() || p.grip().get().effort().of(EffortTerm.BEYOND) > 0)
                .count();
        Optional<TimedChange> worst = part.changes().stream()
                .min(Comparator.comparingDouble(TimedChange::slackSeconds)
                        .thenComparing(c -> -c.change().widestMm()));
        return new CapoCandidate(
                part.capo(), part.total(), barres, beyond, worst, reasons(part, barres, beyond, worst));
    }

    private static List<RatedGrip> grips(SolvedPart part) {
        return part.placements().stream().flatMap(p -> p.grip().stream()).toList();
    }

    private static List<String> reasons(SolvedPart part, int barres, int beyond, Optional<TimedChange> worst) {
        List<String> reasons = new ArrayList<>();
        if (beyond > 0) {
            reasons.add(count(beyond, "grip") + " beyond your rung");
        }
        part.solo().ifPresent(solo -> ofSolo(part, solo, reasons));
        reasons.add(barres == 0 ? "no barres" : count(barres, "barre"));
        double widest = part.changes().stream()
                .mapToDouble(c -> c.change().widestMm())
                .max()
                .orElse(0);
        if (widest > 0) {
            reasons.add(String.format(Locale.ROOT, "widest change %.0f mm", widest));
        }
        worst.filter(w -> w.slackSeconds() < 0)
                .ifPresent(w -> reasons.add(String.format(Locale.ROOT, "late by %.2f s", -w.slackSeconds())));
        long open = grips(part).stream()
                .filter(g -> g.grip().shape().openStrings() > 0)
                .count();
        if (open > 0) {
            reasons.add(count((int) open, "grip") + " with open strings");
        }
        long fresh = grips(part).stream()
                .filter(RatedGrip::isNew)
                .map(g -> g.grip().shape())
                .distinct()
                .count();
        if (fresh > 0) {
            reasons.add(count((int) fresh, "new shape"));
        }
        return reasons;
    }

    /** How far up the neck the tune goes, and how many of its chords have all they need. */
    private static void ofSolo(SolvedPart part, Solo solo, List<String> reasons) {
        int highest = solo.notes().stream().mapToInt(Solo.Note::fret).max().orElse(0);
        long open = solo.notes().stream().filter(n -> n.fret() == 0).count();
        reasons.add("fret " + highest + " at most");
        reasons.add(count((int) open, "open note"));
        if (!solo.leftOut().isEmpty()) {
            reasons.add(count(solo.leftOut().size(), "note") + " of the tune left out");
        }
        int chords = (int) part.placements().stream()
                .filter(p -> p.segment().chord().isPresent())
                .count();
        reasons.add(solo.whole() + " of " + count(chords, "chord") + " whole");
    }

    private static String count(int number, String noun) {
        return number + " " + noun + (number == 1 ? "" : "s");
    }
}
