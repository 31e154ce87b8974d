package underhand.server.players;

import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Service;
import underhand.hand.Player;
import underhand.neck.Tuning;
import underhand.server.documents.Keeper;
import underhand.server.documents.Keeper.Kind;
import underhand.server.platform.InputException;
import underhand.server.storage.Writes;
import underhand.settings.Performer;

/** Keeps players and guitars, and says who plays on what. */
@Service
public class PlayerService {

    private static final int MOST = 200;

    private final Keeper<PlayerLimits, PlayerView> players;
    private final Keeper<GuitarBuild, GuitarView> guitars;

    private final MeasuredHands measured;

    PlayerService(PlayerRepository players, GuitarRepository guitars, Writes writes, MeasuredHands measured) {
        this.measured = measured;
        this.players = new Keeper<>(
                new Kind<>("player", "limits", MOST, PlayerLimits::check, PlayerView::new),
                players,
                PlayerEntity::new,
                writes);
        this.guitars = new Keeper<>(
                new Kind<>("guitar", "build", MOST, GuitarBuild::check, GuitarView::new),
                guitars,
                GuitarEntity::new,
                writes);
    }

    /** Whether there is neither a player nor a guitar. */
    public boolean isUntouched() {
        return players.isEmpty() && guitars.isEmpty();
    }

    public Keeper<PlayerLimits, PlayerView> players() {
        return players;
    }

    public Keeper<GuitarBuild, GuitarView> guitars() {
        return guitars;
    }

    /** The id of a stored player, if there still is one; else null. */
    public Long there(Long id) {
        return id != null && players.find(id).isPresent() ? id : null;
    }

    /** The id of a stored guitar, if there still is one; else null. */
    public Long guitarThere(Long id) {
        return id != null && guitars.find(id).isPresent() ? id : null;
    }

    /** The hand of a stored player, as fast as it was measured, with the shapes it has mastered. */
    public Player hand(long id) {
        return hand(id, players.content(id));
    }

    private Player hand(long id, PlayerLimits limits) {
        return limits.toPlayer()
                .times(measured.factor(id, limits.rung(), limits.practice().from()))
                .knowing(measured.mastered(id));
    }

    /** How a stored player practises. */
    public PracticeLimits practice(long id) {
        return players.content(id).practice();
    }

    /** From when on a stored player's runs tell the player's speed; empty where all do. */
    public Optional<Instant> measuredFrom(long id) {
        return practice(id).from();
    }

    /** The rung of a stored player. */
    public int rung(long id) {
        return players.content(id).rung();
    }

    /**
     * Who plays on what, by the ids of stored ones or by values; the usual hand and guitar where nothing is sent.
     *
     * @throws InputException when there is no such player or guitar, or when both an id and values are sent
     */
    public Seat seat(Long playerId, PlayerRequest player, Long guitarId, GuitarRequest guitar) {
        Optional<PlayerLimits> limits = one(
                        "player", Optional.ofNullable(playerId).map(players::content), player)
                .or(() -> Optional.ofNullable(player).map(PlayerRequest::toLimits));
        Optional<GuitarBuild> build = one(
                        "guitar", Optional.ofNullable(guitarId).map(guitars::content), guitar)
                .or(() -> Optional.ofNullable(guitar).map(GuitarRequest::toBuild));
        Performer usual = Performer.ADULT;
        return new Seat(
                new Performer(
                        limits.map(l -> playerId == null ? l.toPlayer() : hand(playerId, l))
                                .orElse(usual.player()),
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
}
