package underhand.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.fill.Fill;
import underhand.fill.Fills;
import underhand.format.text.ChartTextReader;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.input.RangeException;
import underhand.move.ChangeModel;
import underhand.neck.Shape;
import underhand.practice.Drill.Strain;
import underhand.practice.DrillPlan.Candidate;
import underhand.practice.DrillPlan.Day;
import underhand.practice.DrillPlan.Planned;
import underhand.practice.Run.Result;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;
import underhand.settings.SoloAsk;

/** What a plan keeps: the minutes, the caps, what hurt, what is due. */
class DrillPlanTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);
    private static final List<Candidate> CANDIDATES = candidates();

    /** A song whose player has chosen a grip that opens the hand wide. */
    private static List<Candidate> wide() {
        var arrangement = new Arranger()
                .arrange(
                        ChartTextReader.read("| C | F | G | F |").chart(),
                        ArrangementSettings.ofRung(5)
                                .withCapo(0)
                                .withLocks(List.of(Lock.onShape(0, Shape.parse("x3x557")))));
        List<Candidate> all = new ArrayList<>(CANDIDATES);
        DrillFinder.of(arrangement).forEach(drill -> all.add(new Candidate(drill, 6, "Song 6")));
        return all;
    }

    private static List<Candidate> candidates() {
        List<Candidate> all = new ArrayList<>();
        String[] songs = {
            "| G | D | Em | C |",
            "| F | Bb | C7 | F |",
            "| Am | F | C | E7 |",
            "| Bm | G | D | A |",
            "| C | Am | F | G |"
        };
        for (int i = 0; i < songs.length; i++) {
            var arrangement = new Arranger()
                    .arrange(
                            ChartTextReader.read(songs[i]).chart(),
                            ArrangementSettings.ofRung(3).withCapo(0));
            for (Drill drill : DrillFinder.of(arrangement)) {
                all.add(new Candidate(drill, i + 1, "Song " + (i + 1)));
            }
        }
        return all;
    }

    private static Day capped(Strain strain, int minutes) {
        return new Day(TODAY, 120, Map.of(strain, minutes), Set.of(), Set.of(), Set.of(), Map.of());
    }

    private static Day said(int minutes, Set<String> swapped, Set<String> skipped, Set<String> shortened) {
        return new Day(TODAY, minutes, Map.of(), swapped, skipped, shortened, Map.of());
    }

    private static List<String> ids(DrillPlan plan) {
        return plan.drills().stream().map(d -> d.drill().id()).toList();
    }

    private static Run run(String drill, Result result, LocalDate day) {
        return new Run(
                drill, result, 60, OptionalDouble.empty(), day.atTime(18, 0).toInstant(ZoneOffset.UTC));
    }

    private static DrillLog log(List<Run> runs) {
        return new DrillLog(runs, ZoneOffset.UTC);
    }

    /** A log of random runs over six weeks. */
    private static List<Run> random(Random random) {
        List<Run> runs = new ArrayList<>();
        for (int i = random.nextInt(80); i > 0; i--) {
            String drill =
                    CANDIDATES.get(random.nextInt(CANDIDATES.size())).drill().id();
            Result result = Result.values()[random.nextInt(Result.values().length)];
            runs.add(run(drill, result, TODAY.minusDays(random.nextInt(42))));
        }
        return runs;
    }

    @ParameterizedTest
    @ValueSource(ints = {5, 10, 20, 45, 120})
    void minutesAndCapsAreKept(int minutes) {
        Random random = new Random(minutes);
        for (int round = 0; round < 60; round++) {
            List<Run> runs = random(random);
            DrillLog log = log(runs);
            DrillPlan plan = DrillPlan.of(CANDIDATES, log, Day.of(TODAY, minutes));
            double all = plan.drills().stream()
                    .mapToDouble(d -> d.drill().kind().minutes())
                    .sum();
            assertEquals(all, plan.minutes(), 1e-9);
            assertTrue(all <= minutes);
            for (Strain strain : Strain.values()) {
                assertTrue(minutesOf(plan, strain) <= 0.4 * minutes + 1e-9);
            }
            assertTrue(plan.drills().stream().filter(Planned::isNew).count() <= 3);
            Set<String> ids = new HashSet<>();
            plan.drills().forEach(d -> assertTrue(ids.add(d.drill().id()), "twice"));
            for (Run run : runs) {
                boolean today = run.at().atZone(ZoneOffset.UTC).toLocalDate().equals(TODAY);
                if (today && run.result() == Result.DISCOMFORT) {
                    assertFalse(ids.contains(run.drill()), "what hurt today is out");
                }
            }
        }
    }

    @Test
    void whatIsDueComesBeforeWhatIsNew_andWhatWasRunTodayIsDone() {
        String first = CANDIDATES.get(0).drill().id();
        String second = CANDIDATES.get(1).drill().id();
        DrillPlan plan = DrillPlan.of(
                CANDIDATES,
                log(List.of(run(first, Result.MISSED, TODAY.minusDays(3)), run(second, Result.CLEAN, TODAY))),
                Day.of(TODAY, 5));
        List<String> ids = plan.drills().stream().map(d -> d.drill().id()).toList();
        assertTrue(ids.contains(first));
        assertFalse(ids.contains(second));
        assertTrue(plan.drills().stream()
                .filter(d -> d.drill().id().equals(first))
                .allMatch(d -> d.why().startsWith("Due for 2 days")));
    }

    private static double minutesOf(DrillPlan plan, Strain strain) {
        return plan.drills().stream()
                .map(Planned::drill)
                .filter(d -> d.strains().contains(strain))
                .mapToDouble(d -> d.kind().minutes())
                .sum();
    }

    /** The player's own cap binds for the day, whatever was run of it already; without one it is a part of the minutes. */
    @ParameterizedTest
    @CsvSource({"BARRE,0", "BARRE,2", "BARRE,4", "BARRE,9", "STRETCH,0", "STRETCH,2", "STRETCH,4", "STRETCH,9"})
    void strainsKeepToThePlayersOwnCaps(Strain strain, int cap) {
        List<Candidate> candidates = wide();
        List<Drill> straining = candidates.stream()
                .map(Candidate::drill)
                .filter(d -> d.strains().contains(strain))
                .toList();
        assertTrue(straining.size() > 2, "there are some to be left out");
        Run done = run(straining.get(0).id(), Result.CLEAN, TODAY);
        for (List<Run> runs : List.of(List.<Run>of(), List.of(done))) {
            double before = runs.isEmpty() ? 0 : straining.get(0).kind().minutes();
            double planned = minutesOf(DrillPlan.of(candidates, log(runs), capped(strain, cap)), strain);
            assertTrue(planned <= Math.max(0, cap - before), planned + " minutes after " + before);
        }
    }

    @Test
    void theSameDrillOfTwoSongsIsOne() {
        Planned shared = DrillPlan.of(CANDIDATES, log(List.of()), Day.of(TODAY, 120)).drills().stream()
                .filter(d -> d.songs() > 1)
                .findFirst()
                .orElseThrow();
        assertTrue(shared.why().contains("in " + shared.songs() + " songs"));
    }

    @Test
    void tempoGoesUpAfterCleanRuns_andDownAfterMisses_neverPastTheSong() {
        Drill drill = CANDIDATES.get(0).drill();
        List<Run> runs = new ArrayList<>();
        int tempo = log(runs).tempo(drill);
        for (int i = 0; i < 60; i++) {
            runs.add(new Run(drill.id(), Result.CLEAN, tempo, OptionalDouble.empty(), Instant.ofEpochSecond(i)));
            int next = log(runs).tempo(drill);
            assertTrue(next >= tempo && next <= drill.tempo());
            tempo = next;
        }
        assertEquals(drill.tempo(), tempo);
        runs.add(new Run(drill.id(), Result.MISSED, tempo, OptionalDouble.empty(), Instant.ofEpochSecond(99)));
        assertTrue(log(runs).tempo(drill) < tempo);
    }

    /** An evening in Auckland is the morning of the same day in Berlin, and another day. */
    @Test
    void aDayIsThePlayersOwn() {
        Instant late = Instant.parse("2026-11-19T12:30:00Z");
        Run run = new Run(CANDIDATES.get(0).drill().id(), Result.CLEAN, 60, OptionalDouble.empty(), late);
        ZoneId auckland = ZoneId.of("Pacific/Auckland");
        ZoneId berlin = ZoneId.of("Europe/Berlin");
        assertEquals(
                TODAY.plusDays(1),
                new DrillLog(List.of(run), auckland)
                        .spacing(run.drill())
                        .orElseThrow()
                        .due());
        assertEquals(
                TODAY,
                new DrillLog(List.of(run), berlin)
                        .spacing(run.drill())
                        .orElseThrow()
                        .due());
        assertEquals(1, new DrillLog(List.of(run), auckland).streak(TODAY));
        assertEquals(1, new DrillLog(List.of(run), berlin).streak(TODAY));
        assertEquals(0, new DrillLog(List.of(run), berlin).streak(TODAY.plusDays(2)));
    }

    @Test
    void everyDrillIsReadBack() {
        for (Candidate one : CANDIDATES) {
            assertEquals(one.drill().id(), DrillId.parse(one.drill().id()).toString());
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "anchor",
                "juggle:x",
                "anchor:x32010>x02210@0 E2",
                "loop:x/1>y/2@0 E2 A2 D3 G3 B3 E4",
                "loop:x32010/-32-1->x02210@0 E2 A2 D3 G3 B3 E4",
                "half:x32010/-32-1-@0 E2 A2 D3 G3 B3 E4"
            })
    void whatIsNoDrillIsRefused(String id) {
        assertThrows(RuntimeException.class, () -> DrillId.parse(id));
    }

    @Test
    void tooFewMinutesAreRefused() {
        assertThrows(RangeException.class, () -> Day.of(TODAY, 4));
    }

    @Test
    void barresAndStretchesHaveTheirCaution() {
        assertTrue(CANDIDATES.stream()
                .map(Candidate::drill)
                .filter(d -> d.strains().contains(Strain.BARRE))
                .allMatch(d -> d.caution().orElse("").contains("Stop at pain")));
        assertTrue(CANDIDATES.stream().anyMatch(c -> c.drill().kind() == DrillKind.BARRE));
        assertTrue(CANDIDATES.stream().anyMatch(c -> c.drill().kind() == DrillKind.ANCHOR));
    }

    @Test
    void somethingElseStandsForWhatIsSwapped() {
        DrillPlan before = DrillPlan.of(CANDIDATES, log(List.of()), Day.of(TODAY, 10));
        for (String id : ids(before)) {
            DrillPlan after = DrillPlan.of(CANDIDATES, log(List.of()), said(10, Set.of(id), Set.of(), Set.of()));
            assertFalse(ids(after).contains(id));
            assertEquals(before.drills().size(), after.drills().size(), "another one comes");
        }
    }

    @Test
    void whatIsSkippedTakesItsMinutesAlong() {
        DrillPlan before = DrillPlan.of(CANDIDATES, log(List.of()), Day.of(TODAY, 10));
        for (Planned skipped : before.drills()) {
            String id = skipped.drill().id();
            DrillPlan after = DrillPlan.of(CANDIDATES, log(List.of()), said(10, Set.of(), Set.of(id), Set.of()));
            assertFalse(ids(after).contains(id));
            assertTrue(after.minutes() <= 10 - skipped.minutes());
        }
    }

    @Test
    void whatIsShortenedTakesHalfItsTime() {
        DrillPlan before = DrillPlan.of(CANDIDATES, log(List.of()), Day.of(TODAY, 10));
        String id = ids(before).get(0);
        DrillPlan after = DrillPlan.of(CANDIDATES, log(List.of()), said(10, Set.of(), Set.of(), Set.of(id)));
        Planned shorter = after.drills().stream()
                .filter(d -> d.drill().id().equals(id))
                .findFirst()
                .orElseThrow();
        assertEquals(Math.max(1, shorter.drill().kind().minutes() / 2), shorter.minutes());
        assertTrue(after.minutes() <= 10);
    }

    /** What a song still lacks that is played soon comes before what is new elsewhere; a song played later, or before, changes nothing. */
    @Test
    void songsPlayedSoonComeBeforeWhatIsNew() {
        for (long song = 1; song <= 5; song++) {
            for (int days : new int[] {-1, 0, 3, 21, 22}) {
                Day day =
                        new Day(TODAY, 10, Map.of(), Set.of(), Set.of(), Set.of(), Map.of(song, TODAY.plusDays(days)));
                DrillPlan plan = DrillPlan.of(CANDIDATES, log(List.of()), day);
                boolean isSoon = days >= 0 && days <= 21;
                long ofIt = plan.drills().stream()
                        .filter(d -> d.why().startsWith("Played "))
                        .count();
                assertEquals(isSoon, ofIt > 0, song + " in " + days + " days: " + plan);
                if (!isSoon) {
                    assertEquals(DrillPlan.of(CANDIDATES, log(List.of()), Day.of(TODAY, 10)), plan);
                }
            }
        }
    }

    @Test
    void aHandIsTimedByChangesFromTheEasiestToTheHardest() {
        List<Drill> timed = DrillPlan.timed(CANDIDATES);
        assertEquals(6, timed.size());
        assertEquals(6, timed.stream().map(Drill::id).distinct().count());
        for (int i = 1; i < timed.size(); i++) {
            assertTrue(timed.get(i).hardness() >= timed.get(i - 1).hardness());
        }
        timed.forEach(
                drill -> assertEquals(drill.id(), DrillId.parse(drill.id()).toString()));
        assertTrue(DrillPlan.timed(List.of()).isEmpty());
        assertEquals(
                1,
                DrillPlan.timed(List.of(CANDIDATES.stream()
                                .filter(c -> c.drill().kind() == DrillKind.LOOP)
                                .findFirst()
                                .orElseThrow()))
                        .size());
    }

    /** Four times each is as many as a calibration asks for; a hand slower by half is found slower from the test alone. */
    @Test
    void theTimedTestGivesAFirstFactor() {
        List<Run> runs = new ArrayList<>();
        for (Drill drill : DrillPlan.timed(CANDIDATES)) {
            for (int i = 0; i < 4; i++) {
                DrillId id = DrillId.parse(drill.id());
                ChangeModel model = new ChangeModel(id.board(), Rung.of(3), Player.ADULT, Parameters.STANDARD);
                double seconds = 1.5
                        * model.neededSeconds(
                                id.left().orElseThrow(), id.reached().orElseThrow());
                runs.add(new Run(
                        drill.id(), Result.ROUGH, 0, OptionalDouble.of(seconds), Instant.ofEpochSecond(runs.size())));
            }
        }
        Calibration found = Calibration.of(runs, Rung.of(3));
        assertTrue(found.used());
        assertEquals(1.5, found.factor(), 0.1);
    }

    /** Each further kind stands where it belongs: what is offered needs what it is about. */
    @Test
    void kindsOfDrillsStandWhereTheyBelong() {
        Arrangement rock = new Arranger()
                .arrange(
                        ChartTextReader.read("| F | Bbm | Gm | Cm | F | G | A | B |")
                                .chart(),
                        ArrangementSettings.ofRung(3).withCapo(0));
        List<Drill> drills = DrillFinder.of(rock);
        for (Drill drill : drills) {
            assertEquals(drill.id(), DrillId.parse(drill.id()).toString());
            DrillId id = DrillId.parse(drill.id());
            switch (drill.kind()) {
                case MOVED ->
                    assertTrue(
                            id.left().orElseThrow().shape().openStrings() == 0
                                    && id.reached().orElseThrow().shape().openStrings() == 0,
                            drill.id());
                case SLID -> {
                    assertEquals(0, id.left().orElseThrow().shape().openStrings());
                    assertTrue(drill.grips().orElseThrow().from().isEmpty());
                }
                default -> assertTrue(drill.notes().isEmpty());
            }
        }
        Set<DrillKind> kinds = drills.stream().map(Drill::kind).collect(Collectors.toSet());
        assertTrue(
                kinds.containsAll(
                        Set.of(DrillKind.MOVED, DrillKind.SLID, DrillKind.LOOP, DrillKind.INBAR, DrillKind.BARRE)),
                kinds.toString());
    }

    @Test
    void aTuneAndAFillAreDrillsOfTheirOwn() {
        Arrangement solo = new Arranger()
                .arrange(
                        ChartTextReader.read(
                                        "key: C\n| C | F | G7 | C |\ntune: E4 F4 G4 . | A4 . . . | B4 . D5 . | C5 . . . |")
                                .chart(),
                        ArrangementSettings.ofRung(4).withCapo(0).withSolo(SoloAsk.OPEN));
        Drill tune = DrillFinder.of(solo).stream()
                .filter(d -> d.kind() == DrillKind.TUNE)
                .findFirst()
                .orElseThrow();
        assertFalse(tune.notes().isEmpty());
        assertEquals(tune.id(), DrillId.parse(tune.id()).toString());
        Arrangement plain = new Arranger()
                .arrange(
                        ChartTextReader.read("key: C\n| C | C | F | F | G | G | C | C |")
                                .chart(),
                        ArrangementSettings.ofRung(4).withCapo(0));
        Fills fills = new Fills(plain);
        Fill fill = plain.placements().stream()
                .flatMap(p -> fills.at(p.index()).fills().stream())
                .findFirst()
                .orElseThrow();
        Drill drill = DrillFinder.of(plain, List.of(fill)).stream()
                .filter(d -> d.kind() == DrillKind.FILL)
                .findFirst()
                .orElseThrow();
        assertEquals(fill.notes().size(), drill.notes().size());
        assertEquals(drill.id(), DrillId.parse(drill.id()).toString());
        assertTrue(DrillFinder.of(plain).stream().noneMatch(d -> d.kind() == DrillKind.FILL));
    }
}
