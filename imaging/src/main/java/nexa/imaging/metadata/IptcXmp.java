package nexa.imaging.metadata;

import com.adobe.internal.xmp.XMPConst;
import com.adobe.internal.xmp.XMPException;
import com.adobe.internal.xmp.XMPMeta;
import com.adobe.internal.xmp.options.PropertyOptions;
import java.util.List;
import java.util.Map;
import nexa.imaging.metadata.IptcBlock.DataSet;

/** An IPTC record's words as XMP properties (IPTC Photo Metadata Standard, mapping of IIM to XMP). */
final class IptcXmp {
    private static final int TITLE = 5;
    private static final int KEYWORD = 25;

    private record Property(String namespace, String name) {}

    private static final Map<Integer, Property> TEXTS = Map.ofEntries(
            Map.entry(40, new Property(XMPConst.NS_PHOTOSHOP, "Instructions")),
            Map.entry(85, new Property(XMPConst.NS_PHOTOSHOP, "AuthorsPosition")),
            Map.entry(90, new Property(XMPConst.NS_PHOTOSHOP, "City")),
            Map.entry(92, new Property(XMPConst.NS_IPTCCORE, "Location")),
            Map.entry(95, new Property(XMPConst.NS_PHOTOSHOP, "State")),
            Map.entry(100, new Property(XMPConst.NS_IPTCCORE, "CountryCode")),
            Map.entry(101, new Property(XMPConst.NS_PHOTOSHOP, "Country")),
            Map.entry(103, new Property(XMPConst.NS_PHOTOSHOP, "TransmissionReference")),
            Map.entry(105, new Property(XMPConst.NS_PHOTOSHOP, "Headline")),
            Map.entry(110, new Property(XMPConst.NS_PHOTOSHOP, "Credit")),
            Map.entry(115, new Property(XMPConst.NS_PHOTOSHOP, "Source")),
            Map.entry(122, new Property(XMPConst.NS_PHOTOSHOP, "CaptionWriter")));

    private IptcXmp() {}

    /** Adds what the packet does not say itself. */
    static void add(List<DataSet> iptc, XMPMeta meta) throws XMPException {
        boolean subjects = meta.doesPropertyExist(XMPConst.NS_DC, "subject");
        for (DataSet each : iptc) {
            switch (each.number()) {
                case TITLE -> words("title", each, meta);
                case IptcBlock.COPYRIGHT -> words("rights", each, meta);
                case IptcBlock.CAPTION -> words("description", each, meta);
                case IptcBlock.BYLINE -> item("creator", each, meta, new PropertyOptions().setArrayOrdered(true));
                case KEYWORD -> {
                    if (!subjects) {
                        meta.appendArrayItem(
                                XMPConst.NS_DC, "subject", new PropertyOptions().setArray(true), each.text(), null);
                    }
                }
                default -> text(each, meta);
            }
        }
    }

    private static void words(String name, DataSet each, XMPMeta meta) throws XMPException {
        if (!meta.doesPropertyExist(XMPConst.NS_DC, name)) {
            meta.setLocalizedText(XMPConst.NS_DC, name, null, XMPConst.X_DEFAULT, each.text());
        }
    }

    private static void item(String name, DataSet each, XMPMeta meta, PropertyOptions list) throws XMPException {
        if (!meta.doesPropertyExist(XMPConst.NS_DC, name)) {
            meta.appendArrayItem(XMPConst.NS_DC, name, list, each.text(), null);
        }
    }

    private static void text(DataSet each, XMPMeta meta) throws XMPException {
        Property property = TEXTS.get(each.number());
        if (property != null && !meta.doesPropertyExist(property.namespace, property.name)) {
            meta.setProperty(property.namespace, property.name, each.text());
        }
    }
}
