package underhand.settings;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.hand.Player;
import underhand.harmony.ReadingId;
import underhand.input.RangeException;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.picking.PatternPlan;
import underhand.picking.Patterns;

/** House rules, tuning and thumb: who says nothing inherits, from the house over guitar and player to the song. */
class InheritanceTest {

    private static final Guitar ELECTRIC = new Guitar(Guitar.Kind.ELECTRIC, 628, 35, 51, 22);

    private static Object anyAnswer(HouseRule<?> rule, Random random) {
        if (rule.usual() instanceof Boolean) {
            return random.nextBoolean();
        }
        return rule.usual() instanceof Number
                ? random.nextInt(-10, 11) / 10.0
                : rule.sides().get(random.nextInt(rule.sides().size()));
    }

    private static Map<String, Object> anySaid(Random random) {
        Map<String, Object> said = new HashMap<>();
        HouseRule.all().stream()
                .filter(rule -> random.nextBoolean())
                .forEach(rule -> said.put(rule.id(), anyAnswer(rule, random)));
        return said;
    }

    @RepeatedTest(50)
    void over_anyTwo_theUpperSpeaksFirst(RepetitionInfo at) {
        Random random = new Random(at.getCurrentRepetition());
        Map<String, Object> song = anySaid(random);
        Map<String, Object> player = anySaid(random);
        Map<String, Object> holding =
                HouseRules.read(song).over(HouseRules.read(player)).holding();
        for (HouseRule<?> rule : HouseRule.all()) {
            Object usual = HouseRules.NONE.holding().get(rule.id());
            assertEquals(
                    song.getOrDefault(rule.id(), player.getOrDefault(rule.id(), usual)),
                    holding.get(rule.id()),
                    rule.id());
        }
        assertEquals(holding, HouseRules.read(holding).settled().holding(), "what usually holds need not be said");
        assertEquals(song, HouseRules.read(song).written(), "what is written is read again");
    }

    @ParameterizedTest
    @CsvSource({"ring,2", "ring,yes", "capo,1", "majorBarre,BARRE", "filling,''", "mood,true"})
    void read_whatARuleDoesNotTake_namesIt(String rule, String answer) {
        Object typed = answer.matches("[0-9]+") ? Double.valueOf(answer) : answer;
        RangeException e = assertThrows(RangeException.class, () -> HouseRules.read(Map.of(rule, typed)));
        assertEquals("houseRules." + rule, e.field());
    }

    @Test
    void capo_electricGuitar_isLeftInItsCaseUntilSomebodySaysOtherwise() {
        HouseRules allowed = HouseRules.NONE.with(HouseRule.CAPO, true);
        Performer electric = new Performer(Player.ADULT, HouseRules.NONE, ELECTRIC, Optional.empty());
        Performer fond = new Performer(Player.ADULT, allowed, ELECTRIC, Optional.empty());
        assertFalse(capo(electric, HouseRules.NONE));
        assertTrue(capo(electric, allowed));
        assertTrue(capo(fond, HouseRules.NONE));
        assertFalse(capo(fond, HouseRules.NONE.with(HouseRule.CAPO, false)));
        assertTrue(capo(Performer.ADULT, HouseRules.NONE));
    }

    private static boolean capo(Performer performer, HouseRules song) {
        return ArrangementSettings.of(performer, Optional.empty(), song)
                .houseRules()
                .get(HouseRule.CAPO);
    }

    @Test
    void thumb_ofHandOrOfRule_helps() {
        HouseRules thumb = HouseRules.NONE.with(HouseRule.THUMB, true);
        Performer player = new Performer(Player.ADULT.withThumb(), HouseRules.NONE, Guitar.ACOUSTIC, Optional.empty());
        assertFalse(thumb(Performer.ADULT, HouseRules.NONE));
        assertTrue(thumb(Performer.ADULT, thumb));
        assertTrue(thumb(player, HouseRules.NONE));
    }

    private static boolean thumb(Performer performer, HouseRules song) {
        return ArrangementSettings.of(performer, Optional.empty(), song)
                .player()
                .thumb();
    }

    /** A guitar in standard tuning is tuned as the chart asks; one that is tuned otherwise stays so. */
    @ParameterizedTest
    @CsvSource({
        "'','',E2 A2 D3 G3 B3 E4",
        "'',D2 A2 D3 G3 B3 E4,D2 A2 D3 G3 B3 E4",
        "E2 A2 D3 G3 B3 E4,D2 A2 D3 G3 B3 E4,D2 A2 D3 G3 B3 E4",
        "D2 G2 D3 G3 B3 D4,D2 A2 D3 G3 B3 E4,D2 G2 D3 G3 B3 D4"
    })
    void tuning_ofGuitarAndChart(String guitar, String chart, String played) {
        Performer performer = new Performer(Player.ADULT, HouseRules.NONE, Guitar.ACOUSTIC, tuning(guitar));
        assertEquals(
                Tuning.parse(played),
                ArrangementSettings.of(performer, tuning(chart), HouseRules.NONE)
                        .tuning());
    }

    private static Optional<Tuning> tuning(String text) {
        return Optional.of(text).filter(t -> !t.isEmpty()).map(Tuning::parse);
    }

    @Test
    void beside_aFirstGuitar_keepsTheSongAndNotItsHand() {
        PatternPlan plan = PatternPlan.of(Patterns.all().get(3));
        ArrangementSettings first = ArrangementSettings.ofRung(4)
                .withTempo(77)
                .withCapo(5)
                .withPatterns(plan)
                .withHouseRules(HouseRules.NONE.with(HouseRule.RING, 1.0))
                .withLocks(List.of(Lock.onRegion(0, 1, 4)))
                .withReadings(List.of(new ReadingChoice(0, ReadingId.parse("power"), ReadingChoice.Verdict.PINNED)));
        Performer other = new Performer(Player.ADULT, HouseRules.NONE, ELECTRIC, Optional.empty());
        ArrangementSettings second = first.beside(other, Optional.empty(), 2);
        assertEquals(first.tempo(), second.tempo());
        assertEquals(first.readings(), second.readings());
        assertEquals(plan, second.patterns());
        assertEquals(List.of(), second.locks());
        assertEquals(2, second.rung().level());
        assertEquals(Setting.SECOND, second.setting());
        assertTrue(second.capo().isEmpty());
        assertEquals(0.0, second.houseRules().get(HouseRule.RING));
        assertFalse(second.houseRules().get(HouseRule.CAPO), "it is an electric guitar");
    }
}
