package underhand.server.players;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface GuitarRepository extends JpaRepository<GuitarEntity, Long> {

    List<GuitarEntity> findAllByOrderByIdAsc();
}
