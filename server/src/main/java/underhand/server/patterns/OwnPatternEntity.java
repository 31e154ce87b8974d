package underhand.server.patterns;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
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

    protected OwnPatternEntity() {}

    OwnPatternEntity(OwnPattern pattern) {
        this.pattern = pattern;
    }

    void change(OwnPattern other) {
        pattern = other;
    }

    OwnPatternView view() {
        return new OwnPatternView(id, version, pattern);
    }
}
