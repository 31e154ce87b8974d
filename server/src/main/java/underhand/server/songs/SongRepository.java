package underhand.server.songs;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface SongRepository extends JpaRepository<SongEntity, Long> {

    /** A line of the list without the chart: reading three hundred charts to list them takes too long. */
    record Line(
            long id,
            String title,
            Instant practisedAt,
            LocalDate playedOn,
            SongFacts summary,
            String summaryBy,
            SongEfforts efforts,
            String effortsBy) {}

    @Query(
            "select new underhand.server.songs.SongRepository$Line(s.id, s.title, s.practisedAt, s.playedOn, s.summary, s.summaryBy,"
                    + " s.efforts, s.effortsBy) from SongEntity s where s.removedAt is null order by s.title, s.id")
    List<Line> lines();

    Optional<SongEntity> findByIdAndRemovedAtIsNull(long id);

    List<SongEntity> findByRemovedAtIsNotNullOrderByRemovedAtDesc();

    /** Not a change that somebody else's could be in the way of: the version stays. */
    @Modifying
    @Query("update SongEntity s set s.practisedAt = :at where s.id = :id and s.removedAt is null")
    int practised(long id, Instant at);

    /** Not a change of the song itself either. */
    @Modifying
    @Query("update SongEntity s set s.playedOn = :day where s.id = :id and s.removedAt is null")
    int playedOn(long id, LocalDate day);

    @Modifying
    @Query("update SongEntity s set s.summary = :facts, s.summaryBy = :planner where s.id = :id")
    void summarised(long id, SongFacts facts, String planner);

    /** Only if the song is still the one that was looked at. */
    @Modifying
    @Query(
            "update SongEntity s set s.efforts = :efforts, s.effortsBy = :planner where s.id = :id and s.version = :version")
    void measured(long id, long version, SongEfforts efforts, String planner);

    /** Only if the song is still the one that was looked at. */
    @Modifying
    @Query("update SongEntity s set s.seen = :seen, s.seenBy = :planner where s.id = :id and s.version = :version")
    void seen(long id, long version, SeenPart seen, String planner);
}
