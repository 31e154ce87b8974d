package underhand.server.songs;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface SongRepository extends JpaRepository<Song, Long> {

    List<Song> findAllByOrderByTitleAscIdAsc();
}
