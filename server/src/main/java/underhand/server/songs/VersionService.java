package underhand.server.songs;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import underhand.server.platform.InputException;

/** Keeps versions of arrangements beside the one being worked on. */
@Service
@Transactional
class VersionService {

    private static final int LONGEST_NAME = 80;
    private static final int MOST_VERSIONS = 100;

    private final VersionRepository versions;
    private final SongService songs;

    VersionService(VersionRepository versions, SongService songs) {
        this.versions = versions;
        this.songs = songs;
    }

    List<VersionView> list(long songId) {
        songs.get(songId);
        return versions.findBySongIdOrderByIdAsc(songId).stream()
                .map(ArrangementVersion::view)
                .toList();
    }

    VersionView keep(long songId, String name, String source, Decisions decisions) {
        songs.get(songId);
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw InputException.field("name", "A version needs a name of 1 to " + LONGEST_NAME + " characters.");
        }
        if (versions.countBySongId(songId) >= MOST_VERSIONS) {
            throw InputException.field(
                    "name", "A song keeps at most " + MOST_VERSIONS + " versions. Remove one first.");
        }
        SongService.check(source, decisions);
        return versions.saveAndFlush(new ArrangementVersion(songId, name.strip(), source, decisions))
                .view();
    }

    void remove(long songId, long id) {
        versions.delete(versions.findByIdAndSongId(id, songId)
                .orElseThrow(() -> InputException.notFound(
                        "There is no version " + id + " of song " + songId + "; it may have been removed.")));
    }
}
