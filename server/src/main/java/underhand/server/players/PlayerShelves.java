package underhand.server.players;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/** What backups keep of players and guitars. */
@Configuration
class PlayerShelves {

    @Bean
    Shelf playerShelf(ObjectMapper json) {
        return shelf("players", "player", "limits", json, PlayerLimits.class, PlayerLimits::check);
    }

    @Bean
    Shelf guitarShelf(ObjectMapper json) {
        return shelf("guitars", "guitar", "build", json, GuitarBuild.class, GuitarBuild::check);
    }

    private static <T> Shelf shelf(
            String kind, String table, String document, ObjectMapper json, Class<T> type, Consumer<T> check) {
        return new Shelf(
                kind,
                10,
                table,
                List.of(new Column(document, document, Form.JSON), new Column("changed_at", Shelf.CHANGED, Form.TIME)),
                true,
                Map.of(),
                document + ".name",
                Shelf.holding(json, document, type, check));
    }
}
