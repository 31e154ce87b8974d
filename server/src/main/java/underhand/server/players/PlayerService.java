package underhand.server.players;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import underhand.hand.Player;
import underhand.server.platform.InputException;
import underhand.server.platform.StaleWriteException;

/** Keeps players and guitars; a write over a newer version is refused with both. */
@Service
@Transactional
public class PlayerService {

    private final PlayerRepository players;
    private final GuitarRepository guitars;

    PlayerService(PlayerRepository players, GuitarRepository guitars) {
        this.players = players;
        this.guitars = guitars;
    }

    List<PlayerView> players() {
        return players.findAllByOrderByIdAsc().stream().map(PlayerEntity::view).toList();
    }

    public PlayerView add(PlayerLimits limits) {
        limits.check();
        return players.saveAndFlush(new PlayerEntity(limits)).view();
    }

    PlayerView change(long id, long version, PlayerLimits limits) {
        limits.check();
        PlayerEntity player = player(id);
        if (player.version() != version) {
            throw new StaleWriteException("The player", new PlayerView(id, version, limits), player.view());
        }
        player.change(limits);
        return players.saveAndFlush(player).view();
    }

    void removePlayer(long id) {
        players.delete(player(id));
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
        return guitars.saveAndFlush(new GuitarEntity(build)).view();
    }

    GuitarView change(long id, long version, GuitarBuild build) {
        build.check();
        GuitarEntity guitar = guitar(id);
        if (guitar.version() != version) {
            throw new StaleWriteException("The guitar", new GuitarView(id, version, build), guitar.view());
        }
        guitar.change(build);
        return guitars.saveAndFlush(guitar).view();
    }

    void removeGuitar(long id) {
        guitars.delete(guitar(id));
    }

    private GuitarEntity guitar(long id) {
        return guitars.findById(id)
                .orElseThrow(() -> InputException.notFound("There is no guitar " + id + "; it may have been removed."));
    }
}
