package nexa.imaging.metadata;

import com.adobe.internal.xmp.XMPConst;
import com.adobe.internal.xmp.XMPException;
import com.adobe.internal.xmp.XMPIterator;
import com.adobe.internal.xmp.XMPMeta;
import com.adobe.internal.xmp.XMPMetaFactory;
import com.adobe.internal.xmp.XMPUtils;
import com.adobe.internal.xmp.options.IteratorOptions;
import com.adobe.internal.xmp.options.PropertyOptions;
import com.adobe.internal.xmp.options.SerializeOptions;
import com.adobe.internal.xmp.properties.XMPPropertyInfo;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import nexa.core.told.Told;
import nexa.imaging.metadata.IptcBlock.DataSet;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** XMP (ISO 16684-1) for a delivered file: of the source's what is kept, and the IPTC fields that are added. */
public final class XmpBlock {
    private static final Logger LOG = LoggerFactory.getLogger(XmpBlock.class);
    private static final String IPTC = XMPConst.NS_IPTCCORE;
    private static final String IPTC_EXTENSION = XMPConst.NS_IPTCEXT;

    private record Property(String namespace, String name) {}

    /** Names a second packet in a JPEG's further segments (ISO 16684-3, 1.1.3.1): depths, layers, and steps of work. */
    private static final Property MORE = new Property(XMPConst.NS_XMP_NOTE, "HasExtendedXMP");

    /** What a delivered file has of its own. */
    private static final List<Property> OF_THE_FILE = List.of(
            new Property(XMPConst.NS_TIFF, "Orientation"),
            new Property(XMPConst.NS_TIFF, "ImageWidth"),
            new Property(XMPConst.NS_TIFF, "ImageLength"),
            new Property(XMPConst.NS_TIFF, "XResolution"),
            new Property(XMPConst.NS_TIFF, "YResolution"),
            new Property(XMPConst.NS_EXIF, "PixelXDimension"),
            new Property(XMPConst.NS_EXIF, "PixelYDimension"),
            new Property(XMPConst.NS_XMP, "Thumbnails"),
            MORE);

    /** IPTC Photo Metadata Standard: who made it, whose it is, how to reach them. */
    private static final List<Property> CREDIT = List.of(
            new Property(XMPConst.NS_DC, "creator"),
            new Property(XMPConst.NS_DC, "rights"),
            new Property(XMPConst.NS_PHOTOSHOP, "Credit"),
            new Property(XMPConst.NS_PHOTOSHOP, "Source"),
            new Property(XMPConst.NS_PHOTOSHOP, "AuthorsPosition"),
            new Property(XMPConst.NS_XMP_RIGHTS, "Marked"),
            new Property(XMPConst.NS_XMP_RIGHTS, "WebStatement"),
            new Property(XMPConst.NS_XMP_RIGHTS, "UsageTerms"),
            new Property(IPTC, "CreatorContactInfo"));

    private static final List<Property> PLACE = List.of(
            new Property(XMPConst.NS_PHOTOSHOP, "City"),
            new Property(XMPConst.NS_PHOTOSHOP, "State"),
            new Property(XMPConst.NS_PHOTOSHOP, "Country"),
            new Property(IPTC, "Location"),
            new Property(IPTC, "CountryCode"),
            new Property(IPTC_EXTENSION, "LocationShown"),
            new Property(IPTC_EXTENSION, "LocationCreated"));

    private XmpBlock() {}

    /**
     * The packet to write; null if there is nothing to say.
     *
     * @param source the source's packet; null or damaged ones count as empty
     * @param iptc what is to be said here because the file has no place for an IPTC record
     * @param notes told, what of the source is left out that nobody asked to leave out
     */
    public static byte @Nullable [] forDelivery(
            byte @Nullable [] source, Description said, List<DataSet> iptc, Consumer<Told> notes) {
        try {
            XmpPacket packet = source == null ? null : XmpPacket.read(source);
            XMPMeta before = packet == null ? XMPMetaFactory.create() : packet.meta();
            if (said.keep() == Keep.ALL && before.doesPropertyExist(MORE.namespace, MORE.name)) {
                notes.accept(Told.of("told.note.xmp-more"));
            }
            XMPMeta after = chosen(before, said);
            IptcXmp.add(iptc, after);
            if (packet != null
                    && said.keep() == Keep.ALL
                    && after.dumpObject().equals(before.dumpObject())
                    && packet.bytes().length <= JpegParts.LARGEST_XMP) {
                return packet.bytes();
            }
            byte[] written = written(after);
            if (written == null || written.length <= JpegParts.LARGEST_XMP) {
                return written;
            }
            notes.accept(Told.of("told.note.xmp-cut"));
            return written(chosen(before, said.keeping(Keep.CREDIT, said.dropsPlace())));
        } catch (XMPException damaged) {
            LOG.info("Damaged XMP is left out", damaged);
            notes.accept(Told.of("told.note.xmp-damaged"));
            return source == null ? null : forDelivery(null, said, iptc, notes);
        }
    }

    private static XMPMeta chosen(XMPMeta source, Description said) throws XMPException {
        XMPMeta kept =
                switch (said.keep()) {
                    case ALL -> (XMPMeta) source.clone();
                    case CREDIT -> credit(source);
                    case NONE -> XMPMetaFactory.create();
                };
        OF_THE_FILE.forEach(each -> kept.deleteProperty(each.namespace, each.name));
        if (said.dropsPlace()) {
            dropPlace(kept);
        }
        add(kept, said);
        return kept;
    }

    private static XMPMeta credit(XMPMeta source) throws XMPException {
        XMPMeta kept = XMPMetaFactory.create();
        for (Property each : CREDIT) {
            if (source.doesPropertyExist(each.namespace, each.name)) {
                XMPUtils.duplicateSubtree(source, kept, each.namespace, each.name, each.namespace, each.name, null);
            }
        }
        return kept;
    }

    private static void dropPlace(XMPMeta kept) throws XMPException {
        PLACE.forEach(each -> kept.deleteProperty(each.namespace, each.name));
        List<String> gps = new ArrayList<>();
        XMPIterator children = kept.iterator(XMPConst.NS_EXIF, null, new IteratorOptions().setJustChildren(true));
        while (children.hasNext()) {
            String path = ((XMPPropertyInfo) children.next()).getPath();
            if (path != null && path.startsWith("exif:GPS")) {
                gps.add(path);
            }
        }
        gps.forEach(path -> kept.deleteProperty(XMPConst.NS_EXIF, path));
    }

    private static void add(XMPMeta kept, Description said) throws XMPException {
        if (!said.creator().isEmpty()) {
            kept.deleteProperty(XMPConst.NS_DC, "creator");
            kept.appendArrayItem(
                    XMPConst.NS_DC, "creator", new PropertyOptions().setArrayOrdered(true), said.creator(), null);
        }
        put(kept, "rights", said.copyright());
        put(kept, "description", said.caption());
    }

    private static void put(XMPMeta kept, String name, String text) throws XMPException {
        if (!text.isEmpty()) {
            kept.deleteProperty(XMPConst.NS_DC, name);
            kept.setLocalizedText(XMPConst.NS_DC, name, null, XMPConst.X_DEFAULT, text);
        }
    }

    private static byte @Nullable [] written(XMPMeta meta) throws XMPException {
        if (!meta.iterator().hasNext()) {
            return null;
        }
        SerializeOptions options =
                new SerializeOptions().setUseCompactFormat(true).setOmitPacketWrapper(false);
        options.setPadding(0);
        return XMPMetaFactory.serializeToBuffer(meta, options);
    }
}
