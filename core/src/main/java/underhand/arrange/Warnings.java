package underhand.arrange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import underhand.arrange.Warning.Kind;
import underhand.hand.EffortTerm;
import underhand.hand.Rung;
import underhand.pitch.Pitch;
import underhand.settings.ArrangementSettings;
import underhand.solve.PlacedGrip;
import underhand.solve.Solo;
import underhand.solve.SolvedPart;
import underhand.solve.TimedChange;
import underhand.texture.Texture;

/** Finds what a player should be told about a part. */
final class Warnings {

    private static final String WORDS_OF_BOUND = " The best part of all could have %.1f less effort at most.";

    /** This many barre grips in a row are a long barre passage. */
    private static final int LONG_BARRE_PASSAGE = 6;

    /** A spread that costs more than pressing one finger more would is a wide one. */
    private static final double WIDE_SPREAD = 1;

    private static final int NOTES_NAMED = 4;

    private static final String CARE = " Warm up, press lightly, play short runs with rests. Stop at pain, tingling or"
            + " numbness and see a qualified health professional or your teacher.";

    private Warnings() {}

    static List<Warning> of(SolvedPart part, ArrangementSettings settings, int fastestTempo) {
        List<Warning> warnings = new ArrayList<>();
        Rung rung = settings.rung();
        textures(part, settings, warnings);
        chords(part, rung, warnings);
        if (!part.unkeptLocks().isEmpty()) {
            warnings.add(new Warning(
                    Kind.LOCK,
                    "A locked shape cannot be played here with the capo where it is. It is kept, and comes back where it"
                            + " can be.",
                    part.unkeptLocks()));
        }
        if (!part.unkeptReadings().isEmpty()) {
            warnings.add(new Warning(
                    Kind.READING,
                    "A reading that was chosen here is not proposed any more, or no hand can play it as it is called, so the"
                            + " chart's own chord is played.",
                    part.unkeptReadings()));
        }
        part.solo().ifPresent(solo -> tune(solo, warnings));
        late(part, fastestTempo, warnings);
        cautions(part, warnings);
        part.budget()
                .ifPresent(budget -> warnings.add(new Warning(
                        Kind.CUT,
                        String.join(" ", budget.cut()) + String.format(Locale.ROOT, WORDS_OF_BOUND, budget.bound()),
                        List.of())));
        return warnings;
    }

    private static void textures(SolvedPart part, ArrangementSettings settings, List<Warning> warnings) {
        Map<Texture, List<Integer>> above = new LinkedHashMap<>();
        List<Integer> otherTop = new ArrayList<>();
        for (PlacedGrip placed : part.placements()) {
            Texture texture = settings.textures().at(placed.slot().index()).texture();
            if (texture.lowestRung() > settings.rung().level()) {
                above.computeIfAbsent(texture, t -> new ArrayList<>()).add(placed.index());
            }
        }
        above.forEach((texture, places) -> warnings.add(new Warning(
                Kind.BEYOND_RUNG,
                "The texture " + texture.id() + " is a technique of rung " + texture.lowestRung()
                        + ". It is tried with that rung's hand.",
                places)));
        for (TimedChange change : part.changes()) {
            if (change.wishedTop() > 0) {
                otherTop.add(change.to());
            }
        }
        if (!otherTop.isEmpty()) {
            warnings.add(new Warning(
                    Kind.WISH,
                    otherTop.size() == 1
                            ? "The highest voice cannot go as you wish at one change."
                            : "The highest voice cannot go as you wish at " + otherTop.size() + " changes.",
                    otherTop));
        }
    }

    private static void tune(Solo solo, List<Warning> warnings) {
        if (!solo.leftOut().isEmpty()) {
            warnings.add(new Warning(
                    Kind.TUNE,
                    notes(solo.leftOut())
                            + " of the tune cannot be played here: off the neck in this octave, or with no"
                            + " string free. Another octave, key or capo may have room.",
                    places(solo.leftOut())));
        }
        if (solo.narrowed()) {
            warnings.add(new Warning(
                    Kind.CUT,
                    "The tune is so long that only the easiest grips under each of its notes were compared.",
                    List.of()));
        }
        if (!solo.cut().isEmpty()) {
            double beats =
                    solo.cut().stream().mapToDouble(Solo.Lost::beats).max().orElseThrow();
            warnings.add(new Warning(
                    Kind.TUNE,
                    notes(solo.cut())
                            + String.format(
                                    Locale.ROOT,
                                    " of the tune is held shorter than written, by %.1f beats at most: the next grip needs"
                                            + " the hand.",
                                    beats),
                    places(solo.cut())));
        }
    }

    private static String notes(List<Solo.Lost> lost) {
        String names = lost.stream()
                .map(l -> Pitch.ofMidi(l.midi()).toString())
                .distinct()
                .limit(NOTES_NAMED)
                .collect(Collectors.joining(", "));
        return lost.size() == 1 ? "The note " + names : lost.size() + " notes (" + names + ")";
    }

    private static List<Integer> places(List<Solo.Lost> lost) {
        return lost.stream().map(Solo.Lost::place).distinct().toList();
    }

    private static void chords(SolvedPart part, Rung rung, List<Warning> warnings) {
        Map<String, List<Integer>> unplayable = new LinkedHashMap<>();
        Map<String, List<Integer>> beyond = new LinkedHashMap<>();
        Map<String, Integer> needed = new LinkedHashMap<>();
        for (PlacedGrip placed : part.placements()) {
            placed.segment().chord().ifPresent(chord -> {
                int index = placed.index();
                if (placed.grip().isEmpty()) {
                    unplayable
                            .computeIfAbsent(chord.glyphs(), c -> new ArrayList<>())
                            .add(index);
                } else if (placed.grip().get().effort().of(EffortTerm.BEYOND) > 0) {
                    String name = placed.played().orElse(chord).glyphs();
                    beyond.computeIfAbsent(name, c -> new ArrayList<>()).add(index);
                    needed.put(name, placed.grip().get().rung());
                }
            });
        }
        unplayable.forEach((chord, at) -> warnings.add(new Warning(
                Kind.UNPLAYABLE,
                chord + " has no grip in this tuning: all its needed notes cannot be held at once.",
                at)));
        beyond.forEach((chord, at) -> warnings.add(new Warning(
                Kind.BEYOND_RUNG,
                "The shape " + chord + " has no grip within rung " + rung.level() + "; shown is the easiest of rung "
                        + needed.get(chord) + ". Another capo may avoid it.",
                at)));
    }

    private static void late(SolvedPart part, int fastestTempo, List<Warning> warnings) {
        List<Integer> late = part.changes().stream()
                .filter(c -> c.slackSeconds() < 0)
                .map(TimedChange::to)
                .toList();
        if (!late.isEmpty()) {
            warnings.add(new Warning(
                    Kind.LATE,
                    (late.size() == 1
                                    ? "One change needs more time than this tempo gives."
                                    : late.size() + " changes need more time than this tempo gives.")
                            + " All of them fit up to " + fastestTempo + " beats a minute.",
                    late));
        }
    }

    private static void cautions(SolvedPart part, List<Warning> warnings) {
        List<Integer> wide = new ArrayList<>();
        List<Integer> barres = new ArrayList<>();
        List<Integer> run = new ArrayList<>();
        for (PlacedGrip placed : part.placements()) {
            boolean barre = placed.grip().isPresent()
                    && !placed.grip().get().grip().barres().isEmpty();
            boolean stretched =
                    placed.grip().isPresent() && placed.grip().get().effort().of(EffortTerm.SPREAD) > WIDE_SPREAD;
            if (stretched) {
                wide.add(placed.index());
            }
            if (barre) {
                run.add(placed.index());
            } else {
                keepLongest(barres, run);
            }
        }
        keepLongest(barres, run);
        if (!wide.isEmpty()) {
            warnings.add(new Warning(Kind.CAUTION, "Some grips stretch the hand wide." + CARE, wide));
        }
        if (barres.size() >= LONG_BARRE_PASSAGE) {
            warnings.add(new Warning(
                    Kind.CAUTION, barres.size() + " barre grips follow one another without a rest." + CARE, barres));
        }
    }

    private static void keepLongest(List<Integer> longest, List<Integer> run) {
        if (run.size() > longest.size()) {
            longest.clear();
            longest.addAll(run);
        }
        run.clear();
    }
}
