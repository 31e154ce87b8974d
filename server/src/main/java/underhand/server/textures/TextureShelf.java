package underhand.server.textures;

import com.fasterxml.jackson.databind.ObjectMapper;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.documents.DocumentShelves;
import underhand.server.storage.Shelf;

/** What backups keep of players' own textures. */
@Configuration
class TextureShelf {

    @Bean
    Shelf ownTextureShelf(ObjectMapper json) {
        return DocumentShelves.of(
                "textures", "own_texture", "texture", json, OwnTextureBody.class, OwnTextureBody::toId);
    }
}
