package underhand.server.patterns;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;

/** A player's own pattern as stored. */
@Entity
@Table(name = "own_pattern")
class OwnPatternEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    @JdbcTypeCode(SqlTypes.JSON)
    private OwnPattern pattern;

    private Instant changedAt;

    protected OwnPatternEntity() {}

    OwnPatternEntity(OwnPattern pattern) {
        change(pattern);
    }

    final void change(OwnPattern other) {
        pattern = other;
        changedAt = Instant.now();
    }

    OwnPatternView view() {
        return new OwnPatternView(id, version, pattern);
    }
}
