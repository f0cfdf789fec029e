package nexa.imaging.metadata;

import com.adobe.internal.xmp.XMPConst;
import com.adobe.internal.xmp.XMPException;
import com.adobe.internal.xmp.XMPMeta;
import com.adobe.internal.xmp.XMPMetaFactory;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;
import org.xml.sax.helpers.DefaultHandler;

/**
 * XMP that was read, also with properties that are there twice: some programs write all that EXIF says into it, of the photo and of its
 * small picture, and the library would refuse the rest too.
 *
 * @param bytes that say the same as {@code meta}; not to be changed
 */
record XmpPacket(byte[] bytes, XMPMeta meta) {
    private static final Logger LOG = LoggerFactory.getLogger(XmpPacket.class);
    private static final String NO_DOCTYPE = "http://apache.org/xml/features/disallow-doctype-decl";

    /** Of a property that is there twice the first. @throws XMPException if it is damaged */
    static XmpPacket read(byte[] packet) throws XMPException {
        try {
            return new XmpPacket(packet, XMPMetaFactory.parseFromBuffer(packet));
        } catch (XMPException refused) {
            Optional<byte[]> once = withEachOnce(packet);
            if (once.isEmpty()) {
                throw refused;
            }
            LOG.debug("Properties that were there twice are left out", refused);
            return new XmpPacket(once.get(), XMPMetaFactory.parseFromBuffer(once.get()));
        }
    }

    /** Empty if that changes nothing, or it is no XML. */
    private static Optional<byte[]> withEachOnce(byte[] packet) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature(NO_DOCTYPE, true);
            DocumentBuilder builder = factory.newDocumentBuilder();
            builder.setErrorHandler(new DefaultHandler()); // the usual one writes to the terminal, this one only throws
            Document document = builder.parse(new ByteArrayInputStream(packet));
            List<Element> repeated = repeated(document);
            repeated.forEach(each -> each.getParentNode().removeChild(each));
            return repeated.isEmpty() ? Optional.empty() : Optional.of(bytes(document));
        } catch (IOException | SAXException | ParserConfigurationException | TransformerException damaged) {
            LOG.debug("No XML either", damaged);
            return Optional.empty();
        }
    }

    private static List<Element> repeated(Document document) {
        List<Element> repeated = new ArrayList<>();
        Set<List<String>> met = new HashSet<>();
        NodeList descriptions = document.getElementsByTagNameNS(XMPConst.NS_RDF, "Description");
        for (int i = 0; i < descriptions.getLength(); i++) {
            Element description = (Element) descriptions.item(i);
            if ("RDF".equals(description.getParentNode().getLocalName())) {
                for (Node child = description.getFirstChild(); child != null; child = child.getNextSibling()) {
                    if (child instanceof Element property
                            && !met.add(List.of(
                                    Objects.requireNonNullElse(property.getNamespaceURI(), ""),
                                    property.getLocalName()))) {
                        repeated.add(property);
                    }
                }
            }
        }
        return repeated;
    }

    private static byte[] bytes(Document document) throws TransformerException {
        TransformerFactory factory = TransformerFactory.newInstance();
        factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        factory.newTransformer().transform(new DOMSource(document), new StreamResult(out));
        return out.toByteArray();
    }
}
