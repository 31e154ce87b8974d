package underhand.server.players;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import underhand.server.documents.Document;

/** A guitar as stored. */
@Entity
@Table(name = "guitar")
class GuitarEntity extends Document<GuitarBuild> {

    @JdbcTypeCode(SqlTypes.JSON)
    private GuitarBuild build;

    @Override
    protected GuitarBuild content() {
        return build;
    }

    @Override
    protected void put(GuitarBuild content) {
        build = content;
    }
}
