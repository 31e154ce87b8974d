package underhand.format.score;

import java.util.List;
import java.util.Optional;
import underhand.fill.Technique;
import underhand.part.Notation.Event;
import underhand.part.PlayedNote;
import underhand.picking.Step.Direction;
import underhand.picking.Step.Sound;
import underhand.picking.Step.Weight;

/** Writes what stands on a note in MusicXML: fingers, strings, strokes, and how it is reached. */
final class MusicXmlSigns {

    private final XmlText xml;
    private final int strings;

    MusicXmlSigns(XmlText xml, int strings) {
        this.xml = xml;
        this.strings = strings;
    }

    void articulations(Event event) {
        boolean accent = event.weight() == Weight.ACCENT;
        boolean cut = event.sound() == Sound.CUT;
        if (accent || cut) {
            xml.open("articulations");
            if (accent) {
                xml.empty("accent");
            }
            if (cut) {
                xml.empty("staccato");
            }
            xml.close();
        }
    }

    void technical(List<Event> events, int at, PlayedNote note, int index, boolean tiedFrom) {
        Event event = events.get(at);
        xml.open("technical");
        if (!tiedFrom) {
            if (event.strum().isPresent() && index == 0) {
                xml.empty(event.strum().get() == Direction.DOWN ? "down-bow" : "up-bow");
            }
            if (note.leftFinger() > 0) {
                xml.element("fingering", note.leftFinger() > 4 ? "T" : Integer.toString(note.leftFinger()));
            }
            note.rightFinger().ifPresent(f -> xml.element("pluck", f.letter()));
        }
        xml.element("string", strings - note.string()).element("fret", note.fret());
        legato(events, at, note, tiedFrom);
        xml.close();
    }

    /** Hammer-ons and pull-offs, from the note they leave to the one they reach. */
    private void legato(List<Event> events, int at, PlayedNote note, boolean tiedFrom) {
        if (!tiedFrom && (note.technique() == Technique.HAMMER_ON || note.technique() == Technique.PULL_OFF)) {
            xml.element(note.technique().label(), mark(note.technique()), "type", "stop", "number", 1);
        }
        reached(events, at, note)
                .filter(t -> t == Technique.HAMMER_ON || t == Technique.PULL_OFF)
                .ifPresent(t -> xml.element(t.label(), mark(t), "type", "start", "number", 1));
    }

    void slide(List<Event> events, int at, PlayedNote note, boolean tiedFrom, boolean tiedTo) {
        if (!tiedFrom && note.technique() == Technique.SLIDE) {
            xml.empty("slide", "type", "stop", "number", 1);
        }
        if (!tiedTo
                && reached(events, at, note).filter(t -> t == Technique.SLIDE).isPresent()) {
            xml.empty("slide", "type", "start", "number", 1);
        }
    }

    private static String mark(Technique technique) {
        return technique == Technique.HAMMER_ON ? "H" : "P";
    }

    /** How the next event reaches its note on the same string. */
    private static Optional<Technique> reached(List<Event> events, int at, PlayedNote note) {
        if (at + 1 >= events.size()) {
            return Optional.empty();
        }
        return events.get(at + 1).notes().stream()
                .filter(n -> n.string() == note.string())
                .map(PlayedNote::technique)
                .findFirst();
    }
}
