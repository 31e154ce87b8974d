package underhand.format.score;

import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import underhand.input.FormatException;

/**
 * An element of an XML document that was read whole. Neither a document type nor any outside entity is looked at; a document
 * has at most so many elements, so deep.
 */
final class XmlNode {

    private static final int MOST_ELEMENTS = 1_000_000;
    private static final int DEEPEST = 100;
    private static final int DECLARATION = 200;
    private static final Pattern ENCODING = Pattern.compile("<\\?xml[^>]*encoding\\s*=\\s*[\"']([A-Za-z0-9._-]+)[\"']");

    private final String name;
    private final int line;
    private final Map<String, String> attributes = new HashMap<>();
    private final List<XmlNode> children = new ArrayList<>();
    private final StringBuilder text = new StringBuilder();

    private XmlNode(String name, int line) {
        this.name = name;
        this.line = line;
    }

    /** @throws FormatException with line and column where it is no XML, or past a limit */
    static XmlNode read(byte[] bytes) {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        try {
            return read(factory.createXMLStreamReader(new StringReader(decoded(bytes))));
        } catch (XMLStreamException e) {
            int line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
            int column = e.getLocation() == null ? 0 : e.getLocation().getColumnNumber();
            throw FormatException.inFile(
                    "This is no well-formed XML: line " + line + ", column " + column
                            + ". Save the score again as MusicXML.",
                    line,
                    column);
        } catch (RuntimeException e) {
            if (e instanceof FormatException) {
                throw e;
            }
            throw FormatException.inFile("This is no XML that can be read. Save the score again as MusicXML.", 1, 1);
        }
    }

    /** The text of a file: by its byte order mark, or by the encoding it declares, else UTF-8. */
    private static String decoded(byte[] bytes) {
        boolean marked = bytes.length > 1 && (bytes[0] == (byte) 0xFE || bytes[0] == (byte) 0xFF);
        String start = new String(bytes, 0, Math.min(bytes.length, DECLARATION), StandardCharsets.ISO_8859_1);
        Matcher declared = ENCODING.matcher(start);
        Charset charset = marked ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8;
        if (!marked && declared.find()) {
            try {
                charset = Charset.forName(declared.group(1));
            } catch (IllegalArgumentException e) {
                charset = StandardCharsets.UTF_8;
            }
        }
        return new String(bytes, charset).replace("\uFEFF", "");
    }

    private static XmlNode read(XMLStreamReader reader) throws XMLStreamException {
        Deque<XmlNode> open = new ArrayDeque<>();
        XmlNode root = null;
        int elements = 0;
        while (reader.hasNext()) {
            int event = reader.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                int line = reader.getLocation().getLineNumber();
                if (++elements > MOST_ELEMENTS || open.size() >= DEEPEST) {
                    throw FormatException.inFile(
                            "This score has more than " + MOST_ELEMENTS + " elements, or is nested deeper than "
                                    + DEEPEST + ".",
                            line,
                            1);
                }
                XmlNode node = new XmlNode(reader.getLocalName(), line);
                for (int i = 0; i < reader.getAttributeCount(); i++) {
                    node.attributes.put(reader.getAttributeLocalName(i), reader.getAttributeValue(i));
                }
                if (open.isEmpty()) {
                    root = node;
                } else {
                    open.peek().children.add(node);
                }
                open.push(node);
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                open.pop();
            } else if (event == XMLStreamConstants.CHARACTERS && !open.isEmpty()) {
                open.peek().text.append(reader.getText());
            }
        }
        if (root == null) {
            throw FormatException.inFile("The document is empty.", 1, 1);
        }
        return root;
    }

    String name() {
        return name;
    }

    int line() {
        return line;
    }

    String text() {
        return text.toString().strip();
    }

    Optional<String> attribute(String key) {
        return Optional.ofNullable(attributes.get(key));
    }

    List<XmlNode> children() {
        return children;
    }

    Stream<XmlNode> all(String child) {
        return children.stream().filter(c -> c.name.equals(child));
    }

    Optional<XmlNode> first(String child) {
        return all(child).findFirst();
    }

    boolean has(String child) {
        return first(child).isPresent();
    }

    /** Text of the element at the end of a path; empty where there is none. */
    Optional<String> textAt(String... path) {
        XmlNode at = this;
        for (String step : path) {
            Optional<XmlNode> next = at.first(step);
            if (next.isEmpty()) {
                return Optional.empty();
            }
            at = next.get();
        }
        return Optional.of(at.text());
    }

    /** A whole number at the end of a path; what is no number counts as missing. */
    Optional<Integer> numberAt(String... path) {
        return textAt(path).flatMap(XmlNode::number);
    }

    static Optional<Integer> number(String text) {
        try {
            return Optional.of((int) Math.round(Double.parseDouble(text.strip())));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
