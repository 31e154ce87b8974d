package underhand.server.players;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import underhand.hand.Player;
import underhand.neck.Tuning;
import underhand.server.platform.InputException;
import underhand.server.platform.StaleWriteException;
import underhand.server.storage.Writes;
import underhand.settings.Performer;

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

    /**
     * Who plays on what, by the ids of stored ones or by values; the usual hand and guitar where nothing is sent.
     *
     * @throws InputException when there is no such player or guitar, or when both an id and values are sent
     */
    public Seat seat(Long playerId, PlayerRequest player, Long guitarId, GuitarRequest guitar) {
        Optional<PlayerLimits> limits = one(
                        "player",
                        Optional.ofNullable(playerId)
                                .map(id -> player(id).view().limits()),
                        player)
                .or(() -> Optional.ofNullable(player).map(PlayerRequest::toLimits));
        Optional<GuitarBuild> build = one(
                        "guitar",
                        Optional.ofNullable(guitarId)
                                .map(id -> guitar(id).view().build()),
                        guitar)
                .or(() -> Optional.ofNullable(guitar).map(GuitarRequest::toBuild));
        Performer usual = Performer.ADULT;
        return new Seat(
                new Performer(
                        limits.map(PlayerLimits::toPlayer).orElse(usual.player()),
                        limits.map(l -> l.houseRules().toRules()).orElse(usual.rules()),
                        build.map(GuitarBuild::toGuitar).orElse(usual.guitar()),
                        build.map(b -> Tuning.parse(b.tuning()))),
                limits.map(PlayerLimits::leftHanded).orElse(false));
    }

    private static <T> Optional<T> one(String field, Optional<T> stored, Object values) {
        if (stored.isPresent() && values != null) {
            throw InputException.field(field, "Send " + field + "Id, or " + field + " with values, not both.");
        }
        return stored;
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
