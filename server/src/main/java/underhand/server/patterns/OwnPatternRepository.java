package underhand.server.patterns;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnPatternRepository extends JpaRepository<OwnPatternEntity, Long> {

    List<OwnPatternEntity> findAllByOrderByIdAsc();
}
