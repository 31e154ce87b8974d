package underhand.server.songs;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface VersionRepository extends JpaRepository<ArrangementVersion, Long> {

    List<ArrangementVersion> findBySongIdOrderByIdAsc(long songId);

    Optional<ArrangementVersion> findByIdAndSongId(long id, long songId);

    long countBySongId(long songId);
}
