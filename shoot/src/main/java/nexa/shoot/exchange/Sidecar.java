package nexa.shoot.exchange;

import com.adobe.internal.xmp.XMPConst;
import com.adobe.internal.xmp.XMPException;
import com.adobe.internal.xmp.XMPMeta;
import com.adobe.internal.xmp.XMPMetaFactory;
import com.adobe.internal.xmp.XMPUtils;
import com.adobe.internal.xmp.options.PropertyOptions;
import com.adobe.internal.xmp.options.SerializeOptions;
import com.adobe.internal.xmp.properties.XMPProperty;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import org.jspecify.annotations.Nullable;

/**
 * What Nexa knows of one photo in an XMP packet (ISO 16684-1), in a namespace of its own; docs/formats.md describes it.
 * What others wrote into the packet stays.
 *
 * @param fingerprint of the photo's content, to find a photo that was renamed
 */
record Sidecar(String fingerprint, FramingTexts texts) {
    /** Reserved by RFC 2606 never to be anybody's. */
    static final String NAMESPACE = "http://ns.nexa.invalid/sidecar/1.0/";

    private static final String PREFIX = "nexa";
    private static final String VERSION = "1";
    private static final String CROPS = "crops";

    static {
        try {
            XMPMetaFactory.getSchemaRegistry().registerNamespace(NAMESPACE, PREFIX);
        } catch (XMPException impossible) { // both are well formed
            throw new IllegalStateException(impossible);
        }
    }

    /** Beside the photo, its whole name and {@code .xmp}, as a raw file and its JPEG differ only in their endings. */
    static Path of(Path photo) {
        return photo.resolveSibling(photo.getFileName() + ".xmp");
    }

    /**
     * The packet to write.
     *
     * @param before the packet that is there; null if there is none
     * @throws IOException if what is there is not XMP, and so not to be written over
     */
    byte[] written(byte @Nullable [] before) throws IOException {
        try {
            XMPMeta meta = before == null ? XMPMetaFactory.create() : XMPMetaFactory.parseFromBuffer(before);
            XMPUtils.removeProperties(meta, NAMESPACE, null, true, false);
            put(meta);
            return XMPMetaFactory.serializeToBuffer(
                    meta, new SerializeOptions().setUseCanonicalFormat(true).setPadding(0));
        } catch (XMPException foreign) {
            throw new ToldException(Told.of("told.exchange.holds-something-not-xmp"), foreign);
        }
    }

    private void put(XMPMeta meta) throws XMPException {
        meta.setProperty(NAMESPACE, "version", VERSION);
        meta.setProperty(NAMESPACE, "fingerprint", fingerprint);
        for (Map.Entry<String, String> text : texts.photo().entrySet()) {
            if (!text.getValue().isEmpty()) {
                meta.setProperty(NAMESPACE, text.getKey(), asXmp(text.getValue()));
            }
        }
        PropertyOptions list = new PropertyOptions().setArrayOrdered(true);
        PropertyOptions struct = new PropertyOptions().setStruct(true);
        for (int i = 1; i <= texts.crops().size(); i++) {
            meta.appendArrayItem(NAMESPACE, CROPS, list, null, struct);
            for (Map.Entry<String, String> text : texts.crops().get(i - 1).entrySet()) {
                if (!text.getValue().isEmpty()) {
                    meta.setStructField(
                            NAMESPACE, CROPS + "[" + i + "]", NAMESPACE, text.getKey(), asXmp(text.getValue()));
                }
            }
        }
    }

    /** XMP's own words for truth (ISO 16684-1, 8.2.1.1). */
    private static String asXmp(String text) {
        return switch (text) {
            case "true" -> XMPConst.TRUESTR;
            case "false" -> XMPConst.FALSESTR;
            default -> text;
        };
    }

    /**
     * What a packet says; empty if it says nothing in Nexa's namespace.
     *
     * @throws IOException with words for the user if it is not XMP or was written by a newer version
     */
    static Optional<Sidecar> read(byte[] packet) throws IOException {
        try {
            XMPMeta meta = XMPMetaFactory.parseFromBuffer(packet);
            String version = meta.getPropertyString(NAMESPACE, "version");
            if (version == null) {
                return Optional.empty();
            }
            if (!version.equals(VERSION)) {
                throw new ToldException("told.exchange.was-written-by-newer-version");
            }
            Map<String, String> photo = new LinkedHashMap<>();
            for (String name : FramingTexts.PHOTO) {
                text(meta.getProperty(NAMESPACE, name)).ifPresent(text -> photo.put(name, text));
            }
            String fingerprint =
                    text(meta.getProperty(NAMESPACE, "fingerprint")).orElse("");
            return Optional.of(new Sidecar(fingerprint, new FramingTexts(photo, crops(meta))));
        } catch (XMPException broken) {
            throw new ToldException(Told.of("told.exchange.not-xmp"), broken);
        }
    }

    private static List<Map<String, String>> crops(XMPMeta meta) throws XMPException {
        List<Map<String, String>> crops = new ArrayList<>();
        for (int i = 1; meta.doesArrayItemExist(NAMESPACE, CROPS, i); i++) {
            Map<String, String> crop = new LinkedHashMap<>();
            for (String name : FramingTexts.CROP) {
                text(meta.getStructField(NAMESPACE, CROPS + "[" + i + "]", NAMESPACE, name))
                        .ifPresent(text -> crop.put(name, text));
            }
            crops.add(crop);
        }
        return crops;
    }

    private static Optional<String> text(@Nullable XMPProperty property) {
        return Optional.ofNullable(property).map(XMPProperty::getValue);
    }
}
