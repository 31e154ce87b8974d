package underhand.server.tunings;

import com.fasterxml.jackson.databind.ObjectMapper;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.documents.DocumentShelves;
import underhand.server.storage.Shelf;

/** What backups keep of players' own tunings. */
@Configuration
class TuningShelf {

    @Bean
    Shelf ownTuningShelf(ObjectMapper json) {
        return DocumentShelves.of("tunings", "own_tuning", "tuning", json, OwnTuning.class, OwnTuning::toTuning);
    }
}
