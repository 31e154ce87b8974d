package underhand.server.drills;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface DrillRunRepository extends JpaRepository<DrillRunEntity, Long> {

    List<DrillRunEntity> findByPlayerIdOrderByRunAtDesc(Long playerId, Limit most);

    List<DrillRunEntity> findByPlayerIdIsNullOrderByRunAtDesc(Limit most);
}
