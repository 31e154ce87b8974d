package underhand.server.players;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A guitar as stored. */
@Entity
@Table(name = "guitar")
class GuitarEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    @JdbcTypeCode(SqlTypes.JSON)
    private GuitarBuild build;

    private Instant changedAt;

    protected GuitarEntity() {}

    GuitarEntity(GuitarBuild build) {
        change(build);
    }

    final void change(GuitarBuild newBuild) {
        build = newBuild;
        changedAt = Instant.now();
    }

    long version() {
        return version;
    }

    GuitarView view() {
        return new GuitarView(id, version, build);
    }
}
