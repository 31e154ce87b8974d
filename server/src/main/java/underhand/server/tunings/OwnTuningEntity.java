package underhand.server.tunings;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import underhand.server.documents.Document;

/** A player's own tuning as stored. */
@Entity
@Table(name = "own_tuning")
class OwnTuningEntity extends Document<OwnTuning> {

    @JdbcTypeCode(SqlTypes.JSON)
    private OwnTuning tuning;

    @Override
    protected OwnTuning content() {
        return tuning;
    }

    @Override
    protected void put(OwnTuning content) {
        tuning = content;
    }
}
