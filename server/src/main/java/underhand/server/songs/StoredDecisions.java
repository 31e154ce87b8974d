package underhand.server.songs;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.IntNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import underhand.server.arrangements.FillChoiceRequest;
import underhand.server.arrangements.LockRequest;
import underhand.server.arrangements.PatternChoiceRequest;
import underhand.server.arrangements.RangeRequest;
import underhand.server.arrangements.ReadingChoiceRequest;
import underhand.server.arrangements.SecondGuitar;
import underhand.server.arrangements.SoloRequest;
import underhand.server.arrangements.TextureRequest;
import underhand.server.players.HouseRulesRequest;
import underhand.server.shapes.WishesRequest;
import underhand.settings.SoloAsk;

/**
 * The decisions of a song as they lie in the book and in backups. What requests look like may change; what was written once
 * has to be read for ever: a change of these records raises {@link #SCHEMA}, and the old form is read beside the new one.
 *
 * @param schema form of what is written; missing in books from before forms were counted, which is the first
 * @param frets of a lock as they were sent, text or list
 */
record StoredDecisions(
        @Schema(nullable = true) Integer schema,
        int rung,
        String setting,
        @Schema(nullable = true) Integer capo,
        @Schema(nullable = true) Integer tempo,
        int transpose,
        List<Lock> locks,
        List<Reading> readings,
        List<Pattern> patterns,
        List<Fill> fills,
        @Schema(nullable = true) Long playerId,
        @Schema(nullable = true) Long guitarId,
        @JsonSetter(contentNulls = Nulls.SET) Map<String, Object> houseRules,
        @Schema(nullable = true) Range voice,
        @Schema(nullable = true) String texture,
        @Schema(nullable = true) List<Texture> textures,
        @Schema(nullable = true) Wishes wishes,
        @Schema(nullable = true) Solo solo,
        @Schema(nullable = true) Second second) {

    /** The form that is written today. */
    static final int SCHEMA = 1;

    record Lock(
            Integer placement,
            @Schema(nullable = true) Integer part,
            @Schema(nullable = true) JsonNode frets,
            @Schema(nullable = true) JsonNode fingers,
            @Schema(nullable = true) Integer lowestFret,
            @Schema(nullable = true) Integer highestFret,
            @Schema(nullable = true) Integer capo,
            @Schema(nullable = true) Integer transpose) {}

    record Reading(
            Integer placement,
            String reading,
            String stand,
            @Schema(nullable = true) Integer rung) {}

    record Pattern(
            @Schema(nullable = true) String section,
            @Schema(nullable = true) String pattern,
            @Schema(nullable = true) Own own,
            @Schema(nullable = true) Boolean vary) {}

    /** A pattern written down. */
    record Own(
            String name,
            String metre,
            String steps,
            @Schema(nullable = true) Boolean swing) {}

    record Fill(Integer placement, @Schema(nullable = true) Integer part, String fill) {}

    /** Lowest and highest note of a voice. */
    record Range(String lowest, String highest) {}

    /** A texture of a section, or of one placement. */
    record Texture(
            @Schema(nullable = true) Integer section,
            @Schema(nullable = true) Integer placement,
            String texture) {}

    record Wishes(
            @Schema(nullable = true) String strings,
            @Schema(nullable = true) Integer fromFret,
            @Schema(nullable = true) Integer toFret,
            @Schema(nullable = true) Boolean noDoubling,
            @Schema(nullable = true) String top) {

        static Wishes of(WishesRequest said) {
            return said == null
                    ? null
                    : new Wishes(said.strings(), said.fromFret(), said.toFret(), said.noDoubling(), said.top());
        }

        WishesRequest toRequest() {
            return new WishesRequest(strings, fromFret, toFret, noDoubling, top);
        }
    }

    /** The tune on top: what is under it, null for the chords, its octave, null for the best, and notes kept on a string. */
    record Solo(
            @Schema(nullable = true) String under,
            @Schema(nullable = true) Integer octave,
            @Schema(nullable = true) List<TuneString> strings) {

        static Solo of(SoloRequest said) {
            if (said == null) {
                return null;
            }
            SoloAsk ask = said.toAsk();
            return new Solo(
                    ask.under() == SoloAsk.Under.CHORDS ? null : ask.under().id(),
                    ask.octave().isPresent() ? ask.octave().getAsInt() : null,
                    each(ask.strings(), s -> new TuneString(s.bar(), s.beat(), s.number())));
        }

        static SoloRequest request(Solo stored) {
            return stored == null
                    ? null
                    : new SoloRequest(
                            stored.under(),
                            stored.octave() == null ? null : IntNode.valueOf(stored.octave()),
                            each(
                                    stored.strings(),
                                    s -> new SoloRequest.TuneStringRequest(s.bar(), s.beat(), s.string())));
        }
    }

    record TuneString(int bar, double beat, int string) {}

    record Second(
            int rung,
            @Schema(nullable = true) Integer capo,
            @Schema(nullable = true) Long playerId,
            @Schema(nullable = true) Long guitarId,
            @Schema(nullable = true) List<Pattern> patterns,
            @Schema(nullable = true) String texture,
            @Schema(nullable = true) Solo solo) {}

    static StoredDecisions of(Decisions said) {
        return new StoredDecisions(
                SCHEMA,
                said.rung(),
                said.setting(),
                said.capo(),
                said.tempo(),
                said.transpose(),
                each(
                        said.locks(),
                        l -> new Lock(
                                l.placement(),
                                l.part(),
                                l.frets(),
                                l.fingers(),
                                l.lowestFret(),
                                l.highestFret(),
                                l.capo(),
                                l.transpose())),
                each(said.readings(), r -> new Reading(r.placement(), r.reading(), r.stand(), r.rung())),
                each(said.patterns(), StoredDecisions::pattern),
                each(said.fills(), f -> new Fill(f.placement(), f.part(), f.fill())),
                said.playerId(),
                said.guitarId(),
                said.houseRules().answers(),
                said.voice() == null
                        ? null
                        : new Range(said.voice().lowest(), said.voice().highest()),
                said.texture(),
                each(said.textures(), t -> new Texture(t.section(), t.placement(), t.texture())),
                Wishes.of(said.wishes()),
                Solo.of(said.solo()),
                said.second() == null
                        ? null
                        : new Second(
                                said.second().rung(),
                                said.second().capo(),
                                said.second().playerId(),
                                said.second().guitarId(),
                                each(said.second().patterns(), StoredDecisions::pattern),
                                said.second().texture(),
                                Solo.of(said.second().solo())));
    }

    Decisions toDecisions() {
        return new Decisions(
                rung,
                setting,
                capo,
                tempo,
                transpose,
                each(
                        locks,
                        l -> new LockRequest(
                                l.placement(),
                                l.part(),
                                l.frets(),
                                l.fingers(),
                                l.lowestFret(),
                                l.highestFret(),
                                l.capo(),
                                l.transpose())),
                each(readings, r -> new ReadingChoiceRequest(r.placement(), r.reading(), r.stand(), r.rung())),
                each(patterns, StoredDecisions::choice),
                each(fills, f -> new FillChoiceRequest(f.placement(), f.part(), f.fill())),
                playerId,
                guitarId,
                houseRules == null ? HouseRulesRequest.NONE : HouseRulesRequest.said(houseRules),
                voice == null ? null : new RangeRequest(voice.lowest(), voice.highest()),
                texture,
                each(textures, t -> new TextureRequest(t.section(), t.placement(), t.texture())),
                wishes == null ? null : wishes.toRequest(),
                Solo.request(solo),
                second == null
                        ? null
                        : new SecondGuitar(
                                second.rung(),
                                second.capo(),
                                second.playerId(),
                                second.guitarId(),
                                each(second.patterns(), StoredDecisions::choice),
                                second.texture(),
                                Solo.request(second.solo())));
    }

    private static Pattern pattern(PatternChoiceRequest choice) {
        Own own = Optional.ofNullable(choice.own())
                .map(o -> new Own(o.name(), o.metre(), o.steps(), o.swing()))
                .orElse(null);
        return new Pattern(choice.section(), choice.pattern(), own, choice.vary());
    }

    private static PatternChoiceRequest choice(Pattern pattern) {
        PatternChoiceRequest.OwnPattern own = Optional.ofNullable(pattern.own())
                .map(o -> new PatternChoiceRequest.OwnPattern(o.name(), o.metre(), o.steps(), o.swing()))
                .orElse(null);
        return new PatternChoiceRequest(pattern.section(), pattern.pattern(), own, pattern.vary());
    }

    private static <A, B> List<B> each(List<A> all, Function<A, B> change) {
        return all == null ? null : all.stream().map(change).toList();
    }
}
