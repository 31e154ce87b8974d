package underhand.server.players;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlayerRepository extends JpaRepository<PlayerEntity, Long> {

    List<PlayerEntity> findAllByOrderByIdAsc();
}
