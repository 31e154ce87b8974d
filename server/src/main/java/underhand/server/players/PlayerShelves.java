package underhand.server.players;

import com.fasterxml.jackson.databind.ObjectMapper;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.documents.DocumentShelves;
import underhand.server.storage.Shelf;

/** What backups keep of players and guitars. */
@Configuration
class PlayerShelves {

    @Bean
    Shelf playerShelf(ObjectMapper json) {
        return DocumentShelves.of("players", "player", "limits", json, PlayerLimits.class, PlayerLimits::check);
    }

    @Bean
    Shelf guitarShelf(ObjectMapper json) {
        return DocumentShelves.of("guitars", "guitar", "build", json, GuitarBuild.class, GuitarBuild::check);
    }
}
