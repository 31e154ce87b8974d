package underhand.server.songs;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface VersionRepository extends JpaRepository<ArrangementVersion, Long> {

    List<ArrangementVersion> findBySongIdAndRemovedAtIsNullOrderByIdAsc(long songId);

    Optional<ArrangementVersion> findByIdAndSongIdAndRemovedAtIsNull(long id, long songId);

    Optional<ArrangementVersion> findByIdAndSongIdAndRemovedAtIsNotNull(long id, long songId);

    long countBySongIdAndRemovedAtIsNull(long songId);
}
