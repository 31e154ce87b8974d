package underhand.server.songs;

import java.util.List;
import org.springframework.stereotype.Service;
import underhand.server.platform.InputException;
import underhand.server.storage.Writes;

/** Keeps versions of arrangements beside the one being worked on. */
@Service
class VersionService {

    private static final int LONGEST_NAME = 80;
    private static final int MOST_VERSIONS = 100;

    private final VersionRepository versions;
    private final SongService songs;
    private final Writes writes;

    VersionService(VersionRepository versions, SongService songs, Writes writes) {
        this.versions = versions;
        this.songs = songs;
        this.writes = writes;
    }

    List<VersionView> list(long songId) {
        songs.get(songId);
        return versions.findBySongIdOrderByIdAsc(songId).stream()
                .map(ArrangementVersion::view)
                .toList();
    }

    VersionView keep(long songId, String name, String source, Decisions decisions) {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "A version needs a name of 1 to " + LONGEST_NAME + " characters.");
        }
        SongService.check(source, decisions);
        return writes.in(() -> {
            songs.get(songId);
            if (versions.countBySongId(songId) >= MOST_VERSIONS) {
                throw InputException.field(
                        "name", "A song keeps at most " + MOST_VERSIONS + " versions. Remove one first.");
            }
            return versions.saveAndFlush(new ArrangementVersion(songId, name.strip(), source, decisions))
                    .view();
        });
    }

    void remove(long songId, long id) {
        writes.in(() -> versions.delete(versions.findByIdAndSongId(id, songId)
                .orElseThrow(() -> InputException.notFound(
                        "There is no version " + id + " of song " + songId + "; it may have been removed."))));
    }
}
