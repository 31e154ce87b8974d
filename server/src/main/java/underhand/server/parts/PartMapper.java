package underhand.server.parts;

import static underhand.server.shapes.GripView.round;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import underhand.format.staff.ChordMark;
import underhand.hand.Grip;
import underhand.part.HeardNote;
import underhand.part.Notation;
import underhand.part.Notation.Event;
import underhand.part.Part;
import underhand.part.PlayedNote;
import underhand.part.Spelling;
import underhand.server.parts.PartView.BarView;
import underhand.server.parts.PartView.EventView;
import underhand.server.parts.PartView.HeardView;
import underhand.server.parts.PartView.NoteView;
import underhand.server.parts.PartView.RunView;
import underhand.server.parts.PartView.ValueView;
import underhand.settings.ArrangementSettings;

/** Writes a part as the API gives it. */
final class PartMapper {

    private final Part part;
    private final Spelling spelling;

    private PartMapper(Part part) {
        this.part = part;
        this.spelling = Spelling.fingered(part);
    }

    static PartView view(Part part) {
        ArrangementSettings settings = part.arrangement().settings();
        PartMapper mapper = new PartMapper(part);
        return new PartView(
                part.arrangement().tempo(),
                settings.rung().level(),
                round(part.beats()),
                part.arrangement().capo(),
                settings.tuning().strings().stream().map(Object::toString).toList(),
                mapper.spelling.key().fifths(),
                Notation.of(part).stream().map(mapper::bar).toList(),
                part.heard().stream().map(PartMapper::heard).toList(),
                part.notices());
    }

    private BarView bar(Notation.WrittenBar written) {
        var bar = written.bar();
        Map<Integer, String> words =
                written.wordsUnder(written.events().stream().map(Event::from).toList());
        return new BarView(
                bar.number(),
                bar.section().orElse(null),
                bar.metre().toString(),
                bar.from(),
                bar.beats(),
                bar.quartersABeat(),
                bar.swing(),
                bar.pattern(),
                IntStream.range(0, written.events().size())
                        .mapToObj(i -> event(written, written.events().get(i), words.getOrDefault(i, "")))
                        .toList(),
                written.isOneVoice()
                        ? List.of()
                        : written.voices().stream()
                                .map(voice -> voice.stream()
                                        .map(e -> event(written, e, ""))
                                        .toList())
                                .toList(),
                written.palmMuted().stream()
                        .map(run -> new RunView(run.first(), run.last()))
                        .toList(),
                written.again());
    }

    private EventView event(Notation.WrittenBar written, Event event, String words) {
        return new EventView(
                event.place(),
                written.bar().soundsAt(event.from()),
                event.values().stream()
                        .map(v -> new ValueView(v.type(), v.dotted(), v.triplet()))
                        .toList(),
                event.notes().stream().map(n -> note(n, event)).toList(),
                event.strum().map(s -> s.name().toLowerCase(Locale.ROOT)).orElse(null),
                event.weight().name().toLowerCase(Locale.ROOT),
                event.sound().name().toLowerCase(Locale.ROOT),
                event.fill(),
                event.fromBefore(),
                written.isOneVoice() && event.isStrum(),
                written.isHeard(event),
                event.begins() ? ChordMark.of(part.arrangement().placements().get(event.place())) : null,
                words);
    }

    private NoteView note(PlayedNote note, Event event) {
        return new NoteView(
                note.string(),
                note.fret(),
                note.midi(),
                spelling.of(note, event.place()).toString(),
                note.leftFinger() == 0
                        ? null
                        : note.leftFinger() == Grip.THUMB ? "T" : Integer.toString(note.leftFinger()),
                event.fingered().contains(note.string()),
                note.rightFinger().map(f -> f.letter()).orElse(null),
                note.technique().label());
    }

    private static HeardView heard(HeardNote note) {
        return new HeardView(
                note.place(),
                round(note.beat()),
                note.seconds(),
                round(note.beats()),
                note.string(),
                note.midi(),
                note.from().isPresent() ? note.from().getAsInt() : null,
                round(note.loudness()),
                note.manner().name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }
}
