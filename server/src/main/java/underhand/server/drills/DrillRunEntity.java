package underhand.server.drills;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import underhand.practice.Run;

/** A run as stored; never changed. */
@Entity
@Table(name = "drill_run")
class DrillRunEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private UUID uid;

    /** Null for the adult hand that plays where no player is chosen. */
    private Long playerId;

    @JdbcTypeCode(SqlTypes.JSON)
    private StoredRun run;

    private Instant runAt;

    protected DrillRunEntity() {}

    DrillRunEntity(Long playerId, Run run) {
        this.uid = UUID.randomUUID();
        this.playerId = playerId;
        this.run = StoredRun.of(run);
        this.runAt = run.at();
    }

    Run toRun() {
        return run.toRun(runAt);
    }
}
