package underhand.server.patterns;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import underhand.server.arrangements.PatternChoiceRequest.OwnPattern;
import underhand.server.documents.Document;

/** A player's own pattern as stored. */
@Entity
@Table(name = "own_pattern")
class OwnPatternEntity extends Document<OwnPattern> {

    @JdbcTypeCode(SqlTypes.JSON)
    private OwnPattern pattern;

    @Override
    protected OwnPattern content() {
        return pattern;
    }

    @Override
    protected void put(OwnPattern content) {
        pattern = content;
    }
}
