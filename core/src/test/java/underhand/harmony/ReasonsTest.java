package underhand.harmony;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;

/**
 * Everything a rule says of notes, degrees and neighbours is worked out again here, from the words of the sentence and the
 * notes of the chart alone, over random charts in all keys. A sentence nobody knows here fails.
 */
class ReasonsTest {

    private static final String[] ROOTS = {"C", "Db", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B"};
    private static final String[] PLAIN = {"", "m", "7"};
    private static final String[] TYPES = {
        "", "m", "7", "maj7", "m7", "dim", "dim7", "m7b5", "6", "9", "5", "sus4", "aug", "m9", "13", "7b9", "m6"
    };

    @ParameterizedTest
    @ValueSource(longs = {1, 2})
    void judge_randomCharts_sayOnlyWhatIsTrue(long seed) {
        Random random = new Random(seed);
        Set<String> wrong = new TreeSet<>();
        Map<String, Integer> met = new TreeMap<>();
        for (int i = 0; i < 250; i++) {
            Chart chart = ChartTextReader.read(chart(random)).chart();
            Preferences plain = Preferences.ofRung(1 + random.nextInt(5));
            Preferences preferences = random.nextBoolean() ? plain : plain.withBass();
            for (Spot spot : HarmonyReader.of(chart).spots()) {
                RuleCatalogue.Judgement judgement = RuleCatalogue.judge(spot, preferences);
                judgement
                        .readings()
                        .forEach(r -> check(new Claims.Said(r.reason(), spot, preferences, r.steps()), wrong, met));
                judgement
                        .refusals()
                        .forEach(r -> check(new Claims.Said(r.why(), spot, preferences, List.of()), wrong, met));
            }
        }
        assertEquals(Set.of(), wrong);
        assertTrue(met.size() > 70, () -> "only " + met.size() + " kinds of sentences met: " + met);
    }

    private static void check(Claims.Said said, Set<String> wrong, Map<String, Integer> met) {
        boolean known = false;
        for (Claims.Claim claim : Claims.ALL) {
            Matcher words = claim.words().matcher(said.sentence());
            if (words.find()) {
                known = true;
                met.merge(claim.words().pattern(), 1, Integer::sum);
                if (!claim.check().holds(words.toMatchResult(), said)) {
                    wrong.add("untrue of " + said.spot().chord() + " in "
                            + said.spot().scale().glyphs() + " before "
                            + said.spot().next() + ": " + said.sentence());
                }
            }
        }
        if (!known) {
            wrong.add("nobody knows: " + said.sentence());
        }
    }

    private static String chart(Random random) {
        StringBuilder text =
                new StringBuilder("key: " + ROOTS[random.nextInt(12)] + (random.nextBoolean() ? "" : "m") + "\n|");
        for (int bar = 0; bar < 4; bar++) {
            for (int chords = 1 + random.nextInt(2); chords > 0; chords--) {
                String[] types = random.nextBoolean() ? PLAIN : TYPES;
                text.append(' ').append(ROOTS[random.nextInt(12)]).append(types[random.nextInt(types.length)]);
                text.append(random.nextInt(8) == 0 ? "/" + ROOTS[random.nextInt(12)] : "");
            }
            text.append(" |");
        }
        // A chord that stands still now and then.
        return random.nextInt(4) == 0 ? text + " C | C | C | C |" : text.toString();
    }
}
