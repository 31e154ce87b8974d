package underhand.server.players;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;

/** A guitar as stored. */
@Entity
@Table(name = "guitar")
class GuitarEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    private String name;
    private String kind;
    private double scaleLengthMm;
    private double nutSpreadMm;
    private double bridgeSpreadMm;
    private int frets;
    private String tuning;

    protected GuitarEntity() {}

    GuitarEntity(GuitarBuild build) {
        change(build);
    }

    final void change(GuitarBuild build) {
        name = build.name();
        kind = build.kind();
        scaleLengthMm = build.scaleLengthMm();
        nutSpreadMm = build.nutSpreadMm();
        bridgeSpreadMm = build.bridgeSpreadMm();
        frets = build.frets();
        tuning = build.tuning();
    }

    long version() {
        return version;
    }

    GuitarView view() {
        return new GuitarView(
                id, version, new GuitarBuild(name, kind, scaleLengthMm, nutSpreadMm, bridgeSpreadMm, frets, tuning));
    }
}
