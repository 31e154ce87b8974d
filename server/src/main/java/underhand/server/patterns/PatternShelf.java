package underhand.server.patterns;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/** What backups keep of players' own patterns. */
@Configuration
class PatternShelf {

    @Bean
    Shelf ownPatternShelf(ObjectMapper json) {
        return new Shelf(
                "patterns",
                10,
                "own_pattern",
                List.of(
                        new Column("pattern", "pattern", Form.JSON),
                        new Column("changed_at", Shelf.CHANGED, Form.TIME)),
                true,
                Map.of(),
                "pattern.name",
                Shelf.holding(json, "pattern", OwnPattern.class, OwnPattern::toPattern));
    }
}
