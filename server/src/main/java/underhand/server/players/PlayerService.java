package underhand.server.players;

import java.util.List;
import org.springframework.stereotype.Service;
import underhand.hand.Player;
import underhand.server.platform.InputException;
import underhand.server.platform.StaleWriteException;
import underhand.server.storage.Writes;

/** Keeps players and guitars; a write over a newer version is refused with both. */
@Service
public class PlayerService {

    private final PlayerRepository players;
    private final GuitarRepository guitars;
    private final Writes writes;

    PlayerService(PlayerRepository players, GuitarRepository guitars, Writes writes) {
        this.players = players;
        this.guitars = guitars;
        this.writes = writes;
    }

    /** Whether there is neither a player nor a guitar. */
    public boolean isUntouched() {
        return players.count() == 0 && guitars.count() == 0;
    }

    List<PlayerView> players() {
        return players.findAllByOrderByIdAsc().stream().map(PlayerEntity::view).toList();
    }

    public PlayerView add(PlayerLimits limits) {
        limits.check();
        return writes.in(() -> players.saveAndFlush(new PlayerEntity(limits)).view());
    }

    PlayerView change(long id, long version, PlayerLimits limits) {
        limits.check();
        return writes.in(() -> {
            PlayerEntity player = player(id);
            if (player.version() != version) {
                throw new StaleWriteException("The player", new PlayerView(id, version, limits), player.view());
            }
            player.change(limits);
            return players.saveAndFlush(player).view();
        });
    }

    void removePlayer(long id) {
        writes.in(() -> players.delete(player(id)));
    }

    /** The hand of a stored player. */
    public Player hand(long id) {
        return player(id).view().limits().toPlayer();
    }

    private PlayerEntity player(long id) {
        return players.findById(id)
                .orElseThrow(
                        () -> InputException.notFound("There is no player " + id + "; they may have been removed."));
    }

    List<GuitarView> guitars() {
        return guitars.findAllByOrderByIdAsc().stream().map(GuitarEntity::view).toList();
    }

    public GuitarView add(GuitarBuild build) {
        build.check();
        return writes.in(() -> guitars.saveAndFlush(new GuitarEntity(build)).view());
    }

    GuitarView change(long id, long version, GuitarBuild build) {
        build.check();
        return writes.in(() -> {
            GuitarEntity guitar = guitar(id);
            if (guitar.version() != version) {
                throw new StaleWriteException("The guitar", new GuitarView(id, version, build), guitar.view());
            }
            guitar.change(build);
            return guitars.saveAndFlush(guitar).view();
        });
    }

    void removeGuitar(long id) {
        writes.in(() -> guitars.delete(guitar(id)));
    }

    private GuitarEntity guitar(long id) {
        return guitars.findById(id)
                .orElseThrow(() -> InputException.notFound("There is no guitar " + id + "; it may have been removed."));
    }
}
