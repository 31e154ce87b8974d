package underhand.server.songs;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Lob;
import jakarta.persistence.MapKeyColumn;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;

/** A song in the book. Never leaves this feature: {@link SongView} does. */
@Entity
class Song {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String title;

    @Lob
    private String source;

    private int rung;
    private String setting;

    /** Fret of the capo; null for the one with the least effort. */
    private Integer capo;

    /** Beats a minute; null for the chart's own. */
    private Integer tempo;

    /** Null for an adult hand. */
    private Long playerId;

    /** Null for a steel-string acoustic. */
    private Long guitarId;

    private double ring;
    private double motion;

    private Instant createdAt;
    private Instant changedAt;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "song_lock", joinColumns = @JoinColumn(name = "song_id"))
    @MapKeyColumn(name = "placement")
    @Column(name = "frets")
    private Map<Integer, String> locks = new TreeMap<>();

    protected Song() {}

    Song(String title, String source, Decisions decisions) {
        this.createdAt = Instant.now();
        change(title, source, decisions);
    }

    void change(String newTitle, String newSource, Decisions decisions) {
        this.title = newTitle;
        this.source = newSource;
        this.rung = decisions.rung();
        this.setting = decisions.setting();
        this.capo = decisions.capo();
        this.tempo = decisions.tempo();
        this.playerId = decisions.playerId();
        this.guitarId = decisions.guitarId();
        this.ring = decisions.ring();
        this.motion = decisions.motion();
        this.locks.clear();
        decisions.locks().forEach(lock -> locks.put(lock.placement(), lock.frets()));
        this.changedAt = Instant.now();
    }

    Long id() {
        return id;
    }

    long version() {
        return version;
    }

    String title() {
        return title;
    }

    String source() {
        return source;
    }

    Instant changedAt() {
        return changedAt;
    }

    Decisions decisions() {
        return new Decisions(
                rung,
                setting,
                capo,
                tempo,
                locks.entrySet().stream()
                        .map(e -> new Decisions.SongLock(e.getKey(), e.getValue()))
                        .toList(),
                playerId,
                guitarId,
                ring,
                motion);
    }
}
