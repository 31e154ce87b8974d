package underhand.server.songs;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A song in the book. Never leaves this feature: {@link SongView} does. */
@Entity
class Song {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String title;

    @Lob
    private String source;

    @JdbcTypeCode(SqlTypes.JSON)
    private Decisions decisions;

    private Instant createdAt;
    private Instant changedAt;
    private Instant practisedAt;

    protected Song() {}

    Song(String title, String source, Decisions decisions) {
        this.createdAt = Instant.now();
        change(title, source, decisions);
    }

    void change(String newTitle, String newSource, Decisions newDecisions) {
        this.title = newTitle;
        this.source = newSource;
        this.decisions = newDecisions;
        this.changedAt = Instant.now();
    }

    Long id() {
        return id;
    }

    long version() {
        return version;
    }

    String title() {
        return title;
    }

    String source() {
        return source;
    }

    Instant changedAt() {
        return changedAt;
    }

    Optional<Instant> practisedAt() {
        return Optional.ofNullable(practisedAt);
    }

    Decisions decisions() {
        return decisions;
    }
}
