package underhand.harmony;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.harmony.Preferences.MinorDominant;
import underhand.harmony.Preferences.SeventhDegree;

/** Every rule of the catalogue where it applies and where it refuses, in several keys. */
class RulesTest {

    /** A row of {@code rules.txt}. */
    record Case(String rule, String preferences, String key, String bars, String tune, String expected) {

        Preferences toPreferences() {
            Preferences plain = Preferences.ofRung(preferences.charAt(0) - '0');
            plain = preferences.contains("b") ? plain.withBass() : plain;
            plain = preferences.contains("loose") ? plain.with(SeventhDegree.MINOR) : plain;
            plain = preferences.contains("five") ? plain.with(SeventhDegree.DOMINANT) : plain;
            return preferences.contains("natural") ? plain.with(MinorDominant.NATURAL_NINE) : plain;
        }

        Chart chart() {
            String plain = bars.replace("[", "").replace("]", "");
            String[] before = bars.substring(0, bars.indexOf('[')).split("\\|", -1);
            String rests = "- | ".repeat(before.length - 1);
            String tuneLine = tune.isBlank() ? "" : "\ntune: " + rests + tune;
            return ChartTextReader.read("key: " + key + "\n| " + plain + " |" + tuneLine)
                    .chart();
        }

        int placement() {
            return (int) Stream.of(bars.substring(0, bars.indexOf('[')).split("[\\s|]+"))
                    .filter(chord -> !chord.isBlank())
                    .count();
        }

        @Override
        public String toString() {
            return rule + " " + preferences + " in " + key + ": " + bars + " " + tune + " " + expected;
        }
    }

    static List<Case> cases() {
        try (InputStream table = RulesTest.class.getResourceAsStream("rules.txt")) {
            return new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .map(line -> line.split(";", -1))
                    .map(c -> new Case(
                            c[0].strip(), c[1].strip(), c[2].strip(), c[3].strip(), c[4].strip(), c[5].strip()))
                    .toList();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Outcome judge(Case row, int semitones) {
        Chart chart = row.chart();
        HarmonyReader harmony = HarmonyReader.of(
                chart.transpose(semitones, HarmonyReader.of(chart).key()));
        Spot spot = harmony.spot(row.placement()).orElseThrow();
        return RuleCatalogue.judge(RuleCatalogue.of(row.rule()), spot, row.toPreferences());
    }

    @ParameterizedTest
    @MethodSource("cases")
    void judge_placement_proposesOrRefuses(Case row) {
        Outcome outcome = judge(row, 0);
        String wanted = row.expected().substring(1).strip();
        List<String> chords = outcome.readings().stream().map(Reading::chords).toList();
        if (row.expected().startsWith("+")) {
            assertTrue(chords.contains(wanted), () -> "proposed " + chords + ", refused: " + outcome.refusal());
            outcome.readings()
                    .forEach(r -> assertEquals(
                            row.chart()
                                    .placements()
                                    .get(row.placement())
                                    .placement()
                                    .beats(),
                            r.beats(),
                            1e-9));
        } else {
            assertTrue(
                    outcome.refusal().contains(wanted),
                    () -> "proposed " + chords + ", refused: \"" + outcome.refusal() + "\"");
        }
    }

    /** Transposing the chart transposes every reading, and refusals stay refusals. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11})
    void judge_transposedChart_transposesEveryReading(int semitones) {
        for (Case row : cases()) {
            Outcome here = judge(row, 0);
            Outcome there = judge(row, semitones);
            assertEquals(here.refusal().isEmpty(), there.refusal().isEmpty(), row.toString());
            assertEquals(here.readings().size(), there.readings().size(), row.toString());
            for (int i = 0; i < here.readings().size(); i++) {
                Reading before = here.readings().get(i);
                Reading after = there.readings().get(i);
                assertEquals(before.id(), after.id());
                for (int step = 0; step < before.steps().size(); step++) {
                    int moved = Math.floorMod(
                            after.steps().get(step).chord().root().pitchClass()
                                    - before.steps().get(step).chord().root().pitchClass(),
                            12);
                    assertEquals(semitones, moved, row + ": " + before.chords() + " became " + after.chords());
                    assertEquals(
                            before.steps().get(step).chord().type(),
                            after.steps().get(step).chord().type());
                    assertEquals(
                            before.steps().get(step).beats(),
                            after.steps().get(step).beats(),
                            1e-9);
                }
            }
        }
    }

    @Test
    void table_everyRule_appliesThreeTimesAndRefusesTwiceInDifferentKeys() {
        for (Rule rule : RuleCatalogue.ALL) {
            List<Case> rows =
                    cases().stream().filter(c -> c.rule().equals(rule.id())).toList();
            long applies =
                    rows.stream().filter(c -> c.expected().startsWith("+")).count();
            long refuses =
                    rows.stream().filter(c -> c.expected().startsWith("-")).count();
            long keys = rows.stream().map(Case::key).distinct().count();
            assertTrue(
                    applies >= 3 && refuses >= 2 && keys >= 2, rule.id() + " " + applies + " " + refuses + " " + keys);
        }
        assertEquals(
                RuleCatalogue.ALL.size(),
                RuleCatalogue.ALL.stream().map(Rule::id).distinct().count());
    }

    @Test
    void judge_tuneOverTheChord_refusesWhatClashesByAHalfStep() {
        Chart chart = ChartTextReader.read("key: C\n| C | F |\ntune: C5 | F4").chart();
        Spot tonic = HarmonyReader.of(chart).spots().get(0);
        Outcome swaps = RuleCatalogue.judge(RuleCatalogue.of("tonic-swap"), tonic, Preferences.ofRung(3));
        List<String> chords = swaps.readings().stream().map(Reading::chords).toList();
        assertEquals(List.of("C6", "C6/9"), chords);
        assertEquals("The B of Cmaj9 lies a half step from the tune's C.", swaps.refusal());
    }
}
