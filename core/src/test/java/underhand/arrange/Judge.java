package underhand.arrange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import underhand.arrange.RedPen.Where;
import underhand.chord.ChordSymbol;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.hand.Rung;
import underhand.neck.Fretboard;
import underhand.neck.Shape;
import underhand.picking.PlayedPatterns;
import underhand.settings.Lock;
import underhand.settings.Setting;
import underhand.solve.PlacedGrip;
import underhand.solve.TimedChange;

/**
 * Reads the planner's parts as a teacher would: which of the struck grips, fingers and capos it still chooses, and the faults
 * anybody can count. {@code ./underhand judge} runs it; {@code docs/judgement.md} has its figures. Arguments such as
 * {@code sound.clash=5} try other numbers; {@code brief} looks only at the charts that may be fitted to.
 */
final class Judge {

    /** Below this pitch (E3) close intervals are mud. */
    private static final int MUD_BELOW = 52;

    private final Arranger arranger;
    private final Map<String, Arrangement> known = new ConcurrentHashMap<>();
    private final Map<RedPen.Strike, Boolean> within = new HashMap<>();

    Judge(Parameters parameters) {
        this.arranger = new Arranger(parameters);
    }

    public static void main(String[] arguments) {
        Parameters parameters = Parameters.STANDARD;
        boolean brief = false;
        for (String argument : arguments) {
            String[] changed = argument.split("=");
            brief |= changed.length < 2;
            parameters = changed.length < 2 ? parameters : parameters.with(changed[0], Double.parseDouble(changed[1]));
        }
        Judge judge = new Judge(parameters);
        System.out.print(judge.teacher(parameters));
        if (brief) {
            System.out.print(judge.strikes(w -> !w.isForJudging(), "charts fitted to"));
            System.out.print(judge.stillStruck());
            return;
        }
        System.out.print(judge.strikes(w -> true, "all given charts"));
        System.out.print(judge.strikes(w -> !w.isForJudging(), "charts fitted to"));
        System.out.print(judge.strikes(Where::isForJudging, "charts judged"));
        System.out.print(judge.fingers());
        System.out.print(judge.capos());
        System.out.print(judge.faults());
        System.out.print(judge.time());
        System.out.print(SungParts.report(judge.arranger));
    }

    private String teacher(Parameters parameters) {
        int alike = TeacherParts.ALL.stream()
                .mapToInt(p -> TeacherParts.agreeing(p, parameters))
                .sum();
        int chords = TeacherParts.ALL.stream().mapToInt(p -> p.chords().size()).sum();
        return "teacher's parts: " + alike + " of " + chords + " chords alike\n";
    }

    /** What came of struck things. */
    static final class Tally {
        int all;
        int still;
        int withAccepted;
        int accepted;
    }

    private Arrangement at(Where where, int capo) {
        return known.computeIfAbsent(
                where + " " + capo,
                key -> arranger.sweep(
                                RedPen.chart(where.chart()), where.settings().withCapo(capo))
                        .alone(capo));
    }

    private Arrangement free(Where where) {
        return known.computeIfAbsent(
                where + " free", key -> arranger.arrange(RedPen.chart(where.chart()), where.settings()));
    }

    private static PlacedGrip placed(Arrangement part, int placement) {
        return part.placements().stream()
                .filter(p -> p.slot().index() == placement)
                .findFirst()
                .orElseThrow();
    }

    /** What is now played where a grip was struck. */
    PlacedGrip now(RedPen.Strike strike) {
        return placed(at(strike.where(), strike.capo()), strike.placement());
    }

    Map<String, Tally> tallies(Predicate<Where> which) {
        Map<String, Tally> tallies = new TreeMap<>();
        for (RedPen.Strike strike : RedPen.strikes()) {
            if (!which.test(strike.where())) {
                continue;
            }
            Shape now = now(strike).grip().map(g -> g.grip().shape()).orElse(null);
            for (String cause : List.of(strike.cause(), "all")) {
                Tally tally = tallies.computeIfAbsent(cause, c -> new Tally());
                tally.all++;
                tally.still += strike.struck().equals(now) ? 1 : 0;
                tally.withAccepted += hasWithinRung(strike) ? 1 : 0;
                tally.accepted += hasWithinRung(strike) && strike.accepted().contains(now) ? 1 : 0;
            }
        }
        return tallies;
    }

    /** Whether a hand of the rung has one of the accepted shapes: not those with a silent string inside under a low rung's strum. */
    private boolean hasWithinRung(RedPen.Strike strike) {
        return within.computeIfAbsent(strike, s -> s.accepted().stream().anyMatch(shape -> isWithinRung(s, shape)));
    }

    private boolean isWithinRung(RedPen.Strike strike, Shape shape) {
        Arrangement part = at(strike.where(), strike.capo());
        PlacedGrip placed = placed(part, strike.placement());
        boolean isStrummed = part.settings().patterns().pattern(placed.slot()).isStrummed();
        if (strike.where().rung() <= 2 && isStrummed && innerSilent(shape) > 0) {
            return false;
        }
        Lock.OneShape wanted = new Lock.OneShape(shape, Optional.empty());
        return ShapeTrial.of(arranger, RedPen.chart(strike.where().chart()), part, placed.index(), wanted)
                .grip()
                .filter(g -> g.rung() <= strike.where().rung())
                .isPresent();
    }

    private String strikes(Predicate<Where> which, String title) {
        StringBuilder text = new StringBuilder("struck grips, " + title + "\n");
        tallies(which)
                .forEach((cause, t) -> text.append(String.format(
                        Locale.ROOT,
                        "  %-10s %3d struck, %3d still chosen (%.0f%%), %3d of %3d now accepted (%.0f%%)%n",
                        cause,
                        t.all,
                        t.still,
                        percent(t.still, t.all),
                        t.accepted,
                        t.withAccepted,
                        percent(t.accepted, t.withAccepted))));
        return text.toString();
    }

    /** Each strike of the charts fitted to that is not mended, once for all places alike. */
    private String stillStruck() {
        Map<String, Integer> rows = new TreeMap<>();
        for (RedPen.Strike strike : RedPen.strikes()) {
            if (strike.where().isForJudging()) {
                continue;
            }
            PlacedGrip now = now(strike);
            Shape shape = now.grip().orElseThrow().grip().shape();
            if (strike.struck().equals(shape)
                    || !strike.accepted().isEmpty() && !strike.accepted().contains(shape)) {
                rows.merge(
                        strike.cause() + " rung " + strike.where().rung() + " "
                                + strike.where().setting().id() + " "
                                + now.played().orElseThrow() + " " + shape
                                + (strike.struck().equals(shape) ? " as before" : " anew") + ", better "
                                + strike.accepted(),
                        1,
                        Integer::sum);
            }
        }
        StringBuilder text = new StringBuilder();
        rows.forEach((row, count) ->
                text.append("    ").append(count).append(" x ").append(row).append("\n"));
        return text.toString();
    }

    private static double percent(int part, int whole) {
        return whole == 0 ? 0 : 100.0 * part / whole;
    }

    /** The fingers of a grip, a sign a string. */
    private static String fingersOf(Grip grip) {
        StringBuilder fingers = new StringBuilder();
        for (int string = 0; string < grip.shape().strings(); string++) {
            int finger = grip.fingerOn(string);
            fingers.append(finger == 0 ? "-" : finger == Grip.THUMB ? "T" : Integer.toString(finger));
        }
        return fingers.toString();
    }

    /** Struck fingers that are still chosen, on all given charts. */
    long stillFingers() {
        return RedPen.fingers().stream()
                .filter(strike -> {
                    Grip now = placed(at(strike.where(), strike.capo()), strike.placement())
                            .grip()
                            .orElseThrow()
                            .grip();
                    return now.shape().equals(strike.shape()) && fingersOf(now).equals(strike.struck());
                })
                .count();
    }

    private String fingers() {
        int all = 0;
        int still = 0;
        int accepted = 0;
        for (RedPen.FingerStrike strike : RedPen.fingers()) {
            Grip now = placed(at(strike.where(), strike.capo()), strike.placement())
                    .grip()
                    .orElseThrow()
                    .grip();
            all++;
            if (now.shape().equals(strike.shape())) {
                still += fingersOf(now).equals(strike.struck()) ? 1 : 0;
                accepted += strike.accepted().contains(fingersOf(now)) ? 1 : 0;
            }
        }
        return String.format(
                Locale.ROOT,
                "struck fingers: %d of %d still chosen (%.0f%%), %d accepted, %d of another shape%n",
                still,
                all,
                percent(still, all),
                accepted,
                all - still - accepted);
    }

    private String capos() {
        int small = 0;
        int stillSmall = 0;
        int still = 0;
        for (RedPen.CapoStrike strike : RedPen.capos()) {
            boolean isStill = free(strike.where()).capo() == strike.struck();
            boolean isSmall = strike.gain() <= 0.05;
            small += isSmall ? 1 : 0;
            still += isStill ? 1 : 0;
            stillSmall += isStill && isSmall ? 1 : 0;
        }
        return String.format(
                Locale.ROOT,
                "struck capos: %d of %d still chosen; of those with a gain up to 5%%: %d of %d (%.0f%%)%n",
                still,
                RedPen.capos().size(),
                stillSmall,
                small,
                percent(stillSmall, small));
    }

    /** Faults anybody can count, over all charts, rungs and settings at the capo the planner chooses. */
    private String faults() {
        Map<String, Integer> found = new LinkedHashMap<>();
        int grips = 0;
        int chords = 0;
        int twoWays = 0;
        int strummedLow = 0;
        for (String chart : RedPen.CHARTS) {
            for (Rung rung : Rung.all()) {
                for (Setting setting : Setting.values()) {
                    Arrangement part = free(new Where(chart, rung.level(), setting));
                    Map<ChordSymbol, List<Shape>> ways = new HashMap<>();
                    for (PlacedGrip placed : part.placements()) {
                        if (placed.grip().isEmpty()) {
                            continue;
                        }
                        grips++;
                        ChordSymbol chord = placed.segment().chord().orElseThrow();
                        Shape shape = placed.grip().get().grip().shape();
                        ways.computeIfAbsent(chord, c -> new ArrayList<>()).add(shape);
                        for (String fault : faultsOf(chord, shape, part.board(), setting)) {
                            found.merge(fault, 1, Integer::sum);
                        }
                        boolean isStrummed = part.settings()
                                .patterns()
                                .pattern(placed.slot())
                                .isStrummed();
                        strummedLow += rung.level() <= 2 && isStrummed && innerSilent(shape) > 0 ? 1 : 0;
                    }
                    if (rung.level() == Rung.LOWEST) {
                        chords += ways.size();
                        twoWays += ways.values().stream()
                                .filter(shapes -> shapes.stream().distinct().count() > 1)
                                .count();
                    }
                }
            }
        }
        StringBuilder text = new StringBuilder("faults in " + grips + " grips\n");
        for (String fault : List.of("clash", "mud", "lowest")) {
            int count = found.getOrDefault(fault, 0);
            text.append(String.format(Locale.ROOT, "  %-8s %4d (%.2f%%)%n", fault, count, percent(count, grips)));
        }
        text.append("  inner silent strings, strummed, rungs 1 and 2: " + strummedLow + "\n");
        text.append(String.format(
                Locale.ROOT,
                "  chords played two ways on rung 1: %d of %d (%.0f%%)%n",
                twoWays,
                chords,
                percent(twoWays, chords)));
        return text.toString();
    }

    /** Whether the first rung has time: changes one stroke a bar would hold, and strokes that are left in bars of one chord. */
    private String time() {
        int holdable = 0;
        int late = 0;
        int bars = 0;
        int struckTwice = 0;
        for (String chart : RedPen.CHARTS) {
            for (Setting setting : Setting.values()) {
                Arrangement part = free(new Where(chart, Rung.LOWEST, setting));
                PlayedPatterns played = new PlayedPatterns(
                        part.settings().patterns(), part.settings().rung(), part.tempo());
                for (TimedChange change : part.changes()) {
                    PlacedGrip left = part.placements().get(change.from());
                    double whole = left.segment().beats() * 60 / part.tempo();
                    double bar = Math.min(whole, left.slot().metre().beats() * 60.0 / part.tempo());
                    boolean isHoldable = change.change().neededSeconds() <= bar;
                    holdable += isHoldable ? 1 : 0;
                    late += isHoldable && change.slackSeconds() < 0 ? 1 : 0;
                }
                for (PlacedGrip placed : part.placements()) {
                    boolean isBar = placed.grip().isPresent()
                            && placed.segment().beats() == placed.slot().metre().beats();
                    int strokes = played.strokes(
                                    placed.slot(),
                                    placed.segment().beat(),
                                    placed.segment().beats())
                            .size();
                    bars += isBar ? 1 : 0;
                    struckTwice += isBar && strokes >= 2 ? 1 : 0;
                }
            }
        }
        return String.format(
                Locale.ROOT,
                "changes on rung 1 that one stroke a bar would hold: %d, late %d (%.0f%%)%n"
                        + "bars of one chord on rung 1: %d, with two strokes or more %d (%.0f%%)%n",
                holdable,
                late,
                percent(late, holdable),
                bars,
                struckTwice,
                percent(struckTwice, bars));
    }

    private static int innerSilent(Shape shape) {
        return shape.highestSounding() - shape.lowestSounding().orElse(0) + 1 - shape.sounding();
    }

    static List<String> faultsOf(ChordSymbol chord, Shape shape, Fretboard board, Setting setting) {
        List<String> faults = new ArrayList<>();
        List<Integer> voices =
                shape.pitches(board).stream().map(p -> p.midi()).sorted().toList();
        if (clashes(chord, voices)) {
            faults.add("clash");
        }
        for (int i = 1; i < voices.size(); i++) {
            int apart = voices.get(i) - voices.get(i - 1);
            if (apart > 0 && apart <= 2 && voices.get(i - 1) < MUD_BELOW) {
                faults.add("mud");
                break;
            }
        }
        int root = chord.lowest().pitchClass();
        if (!setting.bassElsewhere() && voices.get(0) % 12 != root) {
            faults.add("lowest");
        }
        return faults;
    }

    /** A half step or a minor ninth between two voices, but for those every player lets stand. */
    private static boolean clashes(ChordSymbol chord, List<Integer> voices) {
        int root = chord.root().pitchClass();
        boolean isMinor = chord.type().has(3)
                && chord.tones().stream()
                        .anyMatch(t -> Math.floorMod(t.note().pitchClass() - root, 12) == 3
                                && t.interval().number() == 3);
        for (int low : voices) {
            for (int high : voices) {
                int apart = high - low;
                int above = Math.floorMod(low - root, 12);
                boolean free = apart == 1 && above == 11
                        || apart == 1 && above == 2 && isMinor
                        || above == 0 && (apart == 1 || apart == 13);
                if ((apart == 1 || apart == 13) && !free) {
                    return true;
                }
            }
        }
        return false;
    }
}
