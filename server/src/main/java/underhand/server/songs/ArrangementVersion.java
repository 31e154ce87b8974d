package underhand.server.songs;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A song's chart and decisions as they stood when the player kept them. Never changed. */
@Entity
class ArrangementVersion {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long songId;
    private String name;

    @Lob
    private String source;

    @JdbcTypeCode(SqlTypes.JSON)
    private Decisions decisions;

    private Instant createdAt;

    protected ArrangementVersion() {}

    ArrangementVersion(long songId, String name, String source, Decisions decisions) {
        this.songId = songId;
        this.name = name;
        this.source = source;
        this.decisions = decisions;
        this.createdAt = Instant.now();
    }

    VersionView view() {
        return new VersionView(id, name, source, decisions, createdAt);
    }
}
