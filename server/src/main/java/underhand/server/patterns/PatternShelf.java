package underhand.server.patterns;

import com.fasterxml.jackson.databind.ObjectMapper;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.documents.DocumentShelves;
import underhand.server.storage.Shelf;

/** What backups keep of players' own patterns. */
@Configuration
class PatternShelf {

    @Bean
    Shelf ownPatternShelf(ObjectMapper json) {
        return DocumentShelves.of("patterns", "own_pattern", "pattern", json, OwnPattern.class, OwnPattern::toPattern);
    }
}
