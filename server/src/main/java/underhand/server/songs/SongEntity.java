package underhand.server.songs;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A song in the book. Never leaves this feature: {@link SongView} does. */
@Entity
@Table(name = "song")
class SongEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private UUID uid;

    @Version
    private long version;

    private String title;

    @Lob
    private String source;

    @JdbcTypeCode(SqlTypes.JSON)
    private StoredDecisions decisions;

    private Instant createdAt;
    private Instant changedAt;
    private Instant practisedAt;
    private Instant removedAt;

    /** Day on which it is to be played; null where none is set. */
    private LocalDate playedOn;

    /** What the list says of the chart, and the planner's version that read it. */
    @JdbcTypeCode(SqlTypes.JSON)
    private SongFacts summary;

    private String summaryBy;

    /** What it asks of a hand; null until it is worked out, and when the chart has changed. */
    @JdbcTypeCode(SqlTypes.JSON)
    private SongEfforts efforts;

    private String effortsBy;

    /** The part that was last looked at; null until somebody does. */
    @JdbcTypeCode(SqlTypes.JSON)
    private SeenPart seen;

    private String seenBy;

    protected SongEntity() {}

    SongEntity(String title, String source, Decisions decisions, SongFacts facts, String factsBy) {
        this.uid = UUID.randomUUID();
        this.createdAt = Instant.now();
        change(title, source, decisions, facts, factsBy);
    }

    void change(String newTitle, String newSource, Decisions newDecisions, SongFacts facts, String factsBy) {
        if (!newSource.equals(source)) {
            efforts = null;
            effortsBy = null;
        }
        this.title = newTitle;
        this.source = newSource;
        this.decisions = StoredDecisions.of(newDecisions);
        this.summary = facts;
        this.summaryBy = factsBy;
        this.changedAt = Instant.now();
    }

    void remove() {
        removedAt = Instant.now();
        changedAt = removedAt;
    }

    void putBack() {
        removedAt = null;
        changedAt = Instant.now();
    }

    Long id() {
        return id;
    }

    UUID uid() {
        return uid;
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

    Optional<Instant> removedAt() {
        return Optional.ofNullable(removedAt);
    }

    Optional<LocalDate> playedOn() {
        return Optional.ofNullable(playedOn);
    }

    Decisions decisions() {
        return decisions.toDecisions();
    }

    /** What it asks of a hand, as a planner worked it out; empty when another one did, or none. */
    Optional<SongEfforts> efforts(String planner) {
        return planner.equals(effortsBy) ? Optional.ofNullable(efforts) : Optional.empty();
    }

    /** The part that was last looked at, if another planner planned it. */
    Optional<SeenPart> seenOfAnother(String planner) {
        return planner.equals(seenBy) ? Optional.empty() : Optional.ofNullable(seen);
    }

    boolean hasSeen(SeenPart part, String planner) {
        return part.equals(seen) && planner.equals(seenBy);
    }
}
