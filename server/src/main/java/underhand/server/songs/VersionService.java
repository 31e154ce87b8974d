package underhand.server.songs;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import underhand.server.arrangements.PlannerVersion;
import underhand.server.parts.PartService;
import underhand.server.platform.InputException;
import underhand.server.players.PlayerService;
import underhand.server.storage.Writes;

/** Keeps versions of arrangements beside the one being worked on. */
@Service
class VersionService {

    private static final int LONGEST_NAME = 80;
    private static final int MOST_VERSIONS = 100;

    private final VersionRepository versions;
    private final SongService songs;
    private final PartService parts;
    private final PlayerService players;
    private final Writes writes;
    private final String planner;

    VersionService(
            VersionRepository versions,
            SongService songs,
            PartService parts,
            PlayerService players,
            Writes writes,
            PlannerVersion planner) {
        this.versions = versions;
        this.songs = songs;
        this.parts = parts;
        this.players = players;
        this.writes = writes;
        this.planner = planner.toString();
    }

    List<VersionView> list(long songId) {
        songs.get(songId);
        return versions.findBySongIdAndRemovedAtIsNullOrderByIdAsc(songId).stream()
                .map(ArrangementVersion::view)
                .toList();
    }

    VersionView keep(long songId, String name, String source, Decisions decisions) {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "A version needs a name of 1 to " + LONGEST_NAME + " characters.");
        }
        SongService.check(source, decisions);
        PlannedPart planned = planned(source, decisions);
        return writes.in(() -> {
            songs.get(songId);
            if (versions.countBySongIdAndRemovedAtIsNull(songId) >= MOST_VERSIONS) {
                throw InputException.field(
                        "name", "A song keeps at most " + MOST_VERSIONS + " versions. Remove one first.");
            }
            return versions.saveAndFlush(
                            new ArrangementVersion(songId, name.strip(), source, decisions, planned, planner))
                    .view();
        });
    }

    /** The part as it is planned today: who was removed since plays no more. */
    private PlannedPart planned(String source, Decisions decisions) {
        PartService.Written written = parts.part(decisions.asked(source, players));
        return PlannedPart.of(written.arranged().view(), written.view());
    }

    @Transactional(readOnly = true)
    PlannedView planned(long songId, long id) {
        ArrangementVersion version = version(songId, id);
        return new PlannedView(version.planned().orElse(null), version.isPlannedBy(planner));
    }

    void remove(long songId, long id) {
        writes.in(() -> {
            ArrangementVersion version = version(songId, id);
            version.remove();
            versions.saveAndFlush(version);
        });
    }

    VersionView putBack(long songId, long id) {
        return writes.in(() -> {
            ArrangementVersion version = versions.findByIdAndSongIdAndRemovedAtIsNotNull(id, songId)
                    .orElseThrow(() -> InputException.notFound(
                            "There is no removed version " + id + " of song " + songId + " to put back."));
            version.putBack();
            return versions.saveAndFlush(version).view();
        });
    }

    private ArrangementVersion version(long songId, long id) {
        return versions.findByIdAndSongIdAndRemovedAtIsNull(id, songId)
                .orElseThrow(() -> InputException.notFound(
                        "There is no version " + id + " of song " + songId + "; it may have been removed."));
    }
}
