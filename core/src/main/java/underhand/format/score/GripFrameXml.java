package underhand.format.score;

import underhand.hand.FretWindow;
import underhand.hand.Grip;
import underhand.hand.Hold;
import underhand.neck.Shape;

/** Writes a grip as the frame of a MusicXML chord symbol: its strings, frets, fingers and barres. */
final class GripFrameXml {

    private GripFrameXml() {}

    static void write(XmlText xml, Grip grip) {
        Shape shape = grip.shape();
        FretWindow window = FretWindow.of(grip);
        xml.open("frame").element("frame-strings", shape.strings()).element("frame-frets", window.frets());
        if (!window.atNut()) {
            xml.element("first-fret", window.first());
        }
        for (int string = 0; string < shape.strings(); string++) {
            if (!shape.isSilent(string)) {
                note(xml, grip, string);
            }
        }
        xml.close();
    }

    private static void note(XmlText xml, Grip grip, int string) {
        xml.open("frame-note")
                .element("string", grip.shape().strings() - string)
                .element("fret", grip.shape().fret(string));
        if (grip.shape().isFretted(string)) {
            Hold hold = grip.held(grip.fingerOn(string));
            xml.element("fingering", hold.label());
            if (hold.isBarre() && string == hold.lowString()) {
                xml.empty("barre", "type", "start");
            } else if (hold.isBarre() && string == hold.highString()) {
                xml.empty("barre", "type", "stop");
            }
        }
        xml.close();
    }
}
