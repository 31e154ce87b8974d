package underhand.format.score;

import java.io.StringWriter;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes elements of XML with less ado; every text is escaped, and characters XML has no place for are left out. */
final class XmlText {

    private final StringWriter text = new StringWriter();
    private final XMLStreamWriter out;

    XmlText() {
        try {
            out = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            out.writeStartDocument("UTF-8", "1.0");
        } catch (XMLStreamException e) {
            throw new IllegalStateException("no XML can be written", e);
        }
    }

    /** Opens an element; attributes are names and values in turn. */
    XmlText open(String name, Object... attributes) {
        try {
            out.writeStartElement(name);
            attributes(attributes);
            return this;
        } catch (XMLStreamException e) {
            throw new IllegalStateException("element " + name, e);
        }
    }

    XmlText close() {
        try {
            out.writeEndElement();
            return this;
        } catch (XMLStreamException e) {
            throw new IllegalStateException("no element is open", e);
        }
    }

    /** An element without content. */
    XmlText empty(String name, Object... attributes) {
        try {
            out.writeEmptyElement(name);
            attributes(attributes);
            return this;
        } catch (XMLStreamException e) {
            throw new IllegalStateException("element " + name, e);
        }
    }

    /** An element with a text in it. */
    XmlText element(String name, Object content, Object... attributes) {
        open(name, attributes);
        try {
            out.writeCharacters(legal(String.valueOf(content)));
        } catch (XMLStreamException e) {
            throw new IllegalStateException("element " + name, e);
        }
        return close();
    }

    private void attributes(Object... attributes) throws XMLStreamException {
        for (int i = 0; i < attributes.length; i += 2) {
            out.writeAttribute((String) attributes[i], legal(String.valueOf(attributes[i + 1])));
        }
    }

    private static String legal(String content) {
        return content.codePoints()
                .filter(c -> c == '\t'
                        || c == '\n'
                        || c >= 0x20 && c <= 0xD7FF
                        || c >= 0xE000 && c <= 0xFFFD
                        || c >= 0x10000)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    @Override
    public String toString() {
        try {
            out.writeEndDocument();
            out.flush();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("the document cannot be closed", e);
        }
        return text.toString();
    }
}
