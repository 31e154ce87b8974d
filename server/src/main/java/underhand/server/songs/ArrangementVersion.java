package underhand.server.songs;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A song's chart and decisions as they stood when the player kept them. Never changed, but it may be removed. */
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
    private StoredDecisions decisions;

    /** The part as it was planned; null for a version from before parts were kept. */
    @JdbcTypeCode(SqlTypes.JSON)
    private PlannedPart planned;

    /** Version of the planner that planned it; blank where none did. */
    private String planner;

    private Instant createdAt;

    /** When it was removed; null while it is kept. */
    private Instant removedAt;

    protected ArrangementVersion() {}

    ArrangementVersion(
            long songId, String name, String source, Decisions decisions, PlannedPart planned, String planner) {
        this.songId = songId;
        this.name = name;
        this.source = source;
        this.decisions = StoredDecisions.of(decisions);
        this.planned = planned;
        this.planner = planner;
        this.createdAt = Instant.now();
    }

    /** The part as it was planned, and by which planner; empty for a version from before parts were kept. */
    Optional<PlannedPart> planned() {
        return Optional.ofNullable(planned);
    }

    boolean isPlannedBy(String other) {
        return other.equals(planner);
    }

    void remove() {
        removedAt = Instant.now();
    }

    void putBack() {
        removedAt = null;
    }

    VersionView view() {
        return new VersionView(id, name, source, decisions.toDecisions(), createdAt);
    }
}
