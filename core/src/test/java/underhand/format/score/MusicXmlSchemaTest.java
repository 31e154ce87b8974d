package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.StringReader;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.xml.XMLConstants;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.Schema;
import javax.xml.validation.SchemaFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.w3c.dom.bootstrap.DOMImplementationRegistry;
import org.w3c.dom.ls.DOMImplementationLS;
import org.w3c.dom.ls.LSInput;
import org.xml.sax.SAXException;
import underhand.chart.Metre;
import underhand.picking.Patterns;
import underhand.picking.PickingPattern;

/**
 * What is written holds to the schema of MusicXML 4.0 (W3C Music Notation Community Group, 2021), as ProxyMusic brings it:
 * every element known, in its place, with values of its kind.
 */
class MusicXmlSchemaTest {

    /** The two small schemas it imports: only the attributes it refers to. */
    private static final Map<String, String> IMPORTED = Map.of("xml.xsd", """
            <xs:schema xmlns:xs="http://www.w3.org/2001/XMLSchema" targetNamespace="http://www.w3.org/XML/1998/namespace">
              <xs:attribute name="lang" type="xs:language"/>
              <xs:attribute name="space" type="xs:NCName"/>
            </xs:schema>""", "xlink.xsd", """
            <xs:schema xmlns:xs="http://www.w3.org/2001/XMLSchema" targetNamespace="http://www.w3.org/1999/xlink">
              <xs:attribute name="actuate" type="xs:string"/>
              <xs:attribute name="href" type="xs:anyURI"/>
              <xs:attribute name="role" type="xs:string"/>
              <xs:attribute name="show" type="xs:string"/>
              <xs:attribute name="title" type="xs:string"/>
              <xs:attribute name="type" type="xs:string"/>
            </xs:schema>""");

    private static final Schema SCHEMA = schema();

    private static Schema schema() {
        try {
            SchemaFactory factory = SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI);
            DOMImplementationLS dom = (DOMImplementationLS)
                    DOMImplementationRegistry.newInstance().getDOMImplementation("LS");
            factory.setResourceResolver((type, namespace, publicId, systemId, base) -> {
                LSInput input = dom.createLSInput();
                input.setSystemId(systemId);
                input.setStringData(IMPORTED.get(systemId));
                return input;
            });
            return factory.newSchema(MusicXmlSchemaTest.class.getResource("/META-INF/jaxb/xsd/musicxml.xsd"));
        } catch (ReflectiveOperationException | SAXException e) {
            throw new IllegalStateException("the schema of MusicXML cannot be read", e);
        }
    }

    static void validate(String xml) throws Exception {
        SCHEMA.newValidator().validate(new StreamSource(new StringReader(xml)));
    }

    static Stream<WritersTest.Case> cases() {
        return Stream.concat(
                WritersTest.cases(),
                Patterns.all().stream()
                        .filter(pattern -> pattern.metre().equals(Metre.COMMON))
                        .map(PickingPattern::id)
                        .map(pattern -> new WritersTest.Case(WritersTest.SONG, pattern, 2, 0)));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void write_anySong_holdsToTheSchema(WritersTest.Case song) throws Exception {
        ScoredPart scored = song.scored();
        validate(MusicXmlWriter.write("Salt & <Rope> \u0001", List.of(scored)));
        validate(MusicXmlWriter.write("", List.of(scored, scored)));
    }

    @Test
    void validate_elementOutOfItsPlace_isRefused() {
        String xml = MusicXmlWriter.write(
                "t", List.of(WritersTest.cases().findFirst().orElseThrow().scored()));
        assertThrows(
                SAXException.class,
                () -> validate(xml.replaceFirst("<voice>1</voice>", "")
                        .replaceFirst("<notations>", "<voice>1</voice><notations>")));
        assertThrows(
                SAXException.class, () -> validate(xml.replaceFirst("<type>\\w+</type>", "<type>long one</type>")));
    }
}
