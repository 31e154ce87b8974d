package underhand.settings;

import underhand.input.RangeException;

/** With whom the guitar plays. */
public enum Setting {
    ALONE("alone", "alone", false),
    SINGER("singer", "with a singer", false),
    BASS("bass", "with a bass player", true),
    SECOND("second", "second guitar", false);

    private final String id;
    private final String label;
    private final boolean bassElsewhere;

    Setting(String id, String label, boolean bassElsewhere) {
        this.id = id;
        this.label = label;
        this.bassElsewhere = bassElsewhere;
    }

    public static Setting parse(String id) {
        for (Setting setting : values()) {
            if (setting.id.equals(id)) {
                return setting;
            }
        }
        throw RangeException.outside("setting", id, "alone, singer, bass or second");
    }

    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Whether somebody else plays the bass, so that root and slash bass may be left to them. */
    public boolean bassElsewhere() {
        return bassElsewhere;
    }
}
