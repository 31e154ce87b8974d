package underhand.server.drills;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import underhand.server.storage.Shelf;
import underhand.server.storage.Shelf.Column;
import underhand.server.storage.Shelf.Form;

/** What backups keep of the log. */
@Configuration
class DrillShelf {

    private static final int AFTER_PLAYERS = 40;

    @Bean
    Shelf drillRunShelf(ObjectMapper json) {
        return new Shelf(
                "drills",
                AFTER_PLAYERS,
                "drill_run",
                List.of(
                        new Column("player_id", "player", Form.NUMBER),
                        new Column("run", "run", Form.JSON),
                        new Column("run_at", "at", Form.TIME)),
                false,
                Map.of("player", "players"),
                "run.drill",
                Shelf.holding(json, "run", StoredRun.class, run -> run.toRun(Instant.EPOCH)));
    }
}
