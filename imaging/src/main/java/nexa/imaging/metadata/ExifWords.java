package nexa.imaging.metadata;

import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_GPS;
import static org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants.DIRECTORY_TYPE_ROOT;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import nexa.core.files.Description;
import nexa.core.files.Description.Keep;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfo;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/** What EXIF says in words: chosen, and added to. */
final class ExifWords {
    private static final Set<Integer> CREDIT =
            Set.of(TiffTagConstants.TIFF_TAG_ARTIST.tag, TiffTagConstants.TIFF_TAG_COPYRIGHT.tag);

    private ExifWords() {}

    static void choose(TiffOutputSet set, Description said) throws IOException {
        if (said.keep() == Keep.CREDIT) {
            keepCredit(set);
        }
        if (said.dropsPlace()) {
            dropPlace(set);
        }
        TiffOutputDirectory root = set.getOrCreateRootDirectory();
        put(root, TiffTagConstants.TIFF_TAG_ARTIST, said.creator());
        put(root, TiffTagConstants.TIFF_TAG_COPYRIGHT, said.copyright());
        put(root, TiffTagConstants.TIFF_TAG_IMAGE_DESCRIPTION, said.caption());
    }

    private static void keepCredit(TiffOutputSet set) throws IOException {
        for (TiffOutputDirectory directory : List.copyOf(set.getDirectories())) {
            for (TiffOutputField field : List.copyOf(directory.getFields())) {
                if (directory.getType() != DIRECTORY_TYPE_ROOT || !CREDIT.contains(field.tag)) {
                    directory.removeField(field.tag);
                }
            }
        }
    }

    /** The maker's notes go too, as nobody can tell what they hold. */
    private static void dropPlace(TiffOutputSet set) {
        for (TiffOutputDirectory directory : set) {
            if (directory.getType() == DIRECTORY_TYPE_GPS) {
                List.copyOf(directory.getFields()).forEach(field -> directory.removeField(field.tag));
            }
            directory.removeField(ExifTagConstants.EXIF_TAG_MAKER_NOTE.tag);
        }
    }

    /** UTF-8, as today's readers take it; plain ASCII where there is nothing else. */
    private static void put(TiffOutputDirectory directory, TagInfo tag, String text) {
        if (!text.isEmpty()) {
            byte[] bytes = (text + '\0').getBytes(StandardCharsets.UTF_8);
            directory.removeField(tag);
            directory.add(new TiffOutputField(tag, AbstractFieldType.ASCII, bytes.length, bytes));
        }
    }
}
