package app.yellowtab.convert.page;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/** Reads XML out of files that nobody vouches for, and finds its way in it by local names. */
public final class Xml {
    /** Far beyond the nesting of any document that a person wrote; deeper ones would exhaust the stack. */
    private static final int DEEPEST = 400;

    private Xml() {}

    /** {@return the root of a document; document types are refused, so that no entity is ever resolved or multiplied} */
    public static Element read(byte[] bytes) throws IOException {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newDefaultInstance();
            factory.setNamespaceAware(true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setAttribute(XMLConstants.ACCESS_EXTERNAL_DTD, "");
            factory.setAttribute(XMLConstants.ACCESS_EXTERNAL_SCHEMA, "");
            factory.setAttribute("jdk.xml.maxElementDepth", DEEPEST);
            DocumentBuilder builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder.parse(new ByteArrayInputStream(bytes)).getDocumentElement();
        } catch (SAXException | ParserConfigurationException e) {
            throw new IOException("not well-formed", e);
        }
    }

    /** {@return the elements directly in another, in order} */
    public static List<Element> children(Element parent) {
        List<Element> found = new ArrayList<>();
        for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Element element) found.add(element);
        }
        return found;
    }

    public static List<Element> children(Element parent, String name) {
        return children(parent).stream().filter(child -> is(child, name)).toList();
    }

    /** {@return the first element of a name directly in another, or down a path of names} */
    public static Optional<Element> child(Element parent, String... path) {
        Optional<Element> at = Optional.of(parent);
        for (String name : path)
            at = at.flatMap(element -> children(element).stream().filter(child -> is(child, name)).findFirst());
        return at;
    }

    /** {@return every element of a name at any depth, in order} */
    public static List<Element> all(Element parent, String name) {
        List<Element> found = new ArrayList<>();
        collect(parent, name, found);
        return found;
    }

    private static void collect(Element parent, String name, List<Element> found) {
        for (Element child : children(parent)) {
            if (is(child, name)) found.add(child);
            collect(child, name, found);
        }
    }

    public static boolean is(Element element, String name) {
        return name.equals(element.getLocalName());
    }

    /** {@return an attribute by its local name, whatever its namespace; empty where it is missing} */
    public static String attribute(Element element, String name) {
        var attributes = element.getAttributes();
        for (int i = 0; i < attributes.getLength(); i++) {
            Node attribute = attributes.item(i);
            if (name.equals(attribute.getLocalName())) return attribute.getNodeValue();
        }
        return "";
    }

    /** {@return an attribute that names a relationship (ECMA-376 part 1, 22.8); empty where it is missing} */
    public static String relationship(Element element, String name) {
        var attributes = element.getAttributes();
        for (int i = 0; i < attributes.getLength(); i++) {
            Node attribute = attributes.item(i);
            String space = attribute.getNamespaceURI();
            if (name.equals(attribute.getLocalName()) && space != null && space.endsWith("/relationships"))
                return attribute.getNodeValue();
        }
        return "";
    }
}
