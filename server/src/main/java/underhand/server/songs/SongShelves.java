package underhand.server.songs;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/** What backups keep of songs and their versions. */
@Configuration
class SongShelves {

    private static final Map<String, String> WHO_PLAYS = Map.of(
            "decisions.playerId", "players",
            "decisions.guitarId", "guitars",
            "decisions.second.playerId", "players",
            "decisions.second.guitarId", "guitars");

    @Bean
    Shelf songShelf(ObjectMapper json) {
        return new Shelf(
                "songs",
                20,
                "song",
                List.of(
                        new Column("title", "title", Form.TEXT),
                        new Column("source", "source", Form.FILE),
                        new Column("decisions", "decisions", Form.JSON),
                        new Column("created_at", "createdAt", Form.TIME),
                        new Column("changed_at", Shelf.CHANGED, Form.TIME),
                        new Column("removed_at", Shelf.REMOVED, Form.TIME),
                        new Column("practised_at", "practisedAt", Form.LOGGED),
                        new Column("played_on", "playedOn", Form.DAY)),
                true,
                WHO_PLAYS,
                "title",
                content -> {
                    check(json, content);
                    if (content.hasNonNull("playedOn")) {
                        LocalDate.parse(content.path("playedOn").asText());
                    }
                });
    }

    @Bean
    Shelf versionShelf(ObjectMapper json) {
        return new Shelf(
                "versions",
                30,
                "arrangement_version",
                List.of(
                        new Column("song_id", "song", Form.NUMBER),
                        new Column("name", "name", Form.TEXT),
                        new Column("source", "source", Form.FILE),
                        new Column("decisions", "decisions", Form.JSON),
                        new Column("planned", "planned", Form.JSON),
                        new Column("planner", "planner", Form.TEXT),
                        new Column("created_at", "createdAt", Form.TIME),
                        new Column("removed_at", Shelf.REMOVED, Form.TIME)),
                false,
                ofASong(),
                "name",
                content -> {
                    check(json, content);
                    if (content.hasNonNull("planned")) {
                        Shelf.<PlannedPart>holding(json, "planned", PlannedPart.class, planned -> {})
                                .accept(content);
                    }
                    if (content.path("song").isNull()) {
                        throw new IllegalArgumentException("the song it is a version of is not there.");
                    }
                });
    }

    private static Map<String, String> ofASong() {
        Map<String, String> references = new HashMap<>(WHO_PLAYS);
        references.put("song", "songs");
        return references;
    }

    private static void check(ObjectMapper json, JsonNode content) {
        Shelf.holding(
                        json,
                        "decisions",
                        StoredDecisions.class,
                        decisions -> SongService.check(content.path("source").asText(), decisions.toDecisions()))
                .accept(content);
    }
}
