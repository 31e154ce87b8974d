package underhand.server.songs;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface SongRepository extends JpaRepository<Song, Long> {

    List<Song> findAllByOrderByTitleAscIdAsc();

    /** Not a change that somebody else's could be in the way of: the version stays. */
    @Modifying
    @Query("update Song s set s.practisedAt = :at where s.id = :id")
    int practised(long id, Instant at);
}
