package nexa.imaging.probe;

import com.drew.lang.Rational;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.TagDescriptor;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.makernotes.CanonMakernoteDirectory;
import com.drew.metadata.exif.makernotes.NikonType2MakernoteDescriptor;
import com.drew.metadata.exif.makernotes.NikonType2MakernoteDirectory;
import com.drew.metadata.exif.makernotes.OlympusEquipmentMakernoteDirectory;
import com.drew.metadata.exif.makernotes.OlympusImageProcessingMakernoteDirectory;
import com.drew.metadata.exif.makernotes.SonyType1MakernoteDirectory;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import nexa.core.lens.Taken;
import nexa.core.lens.data.Camera;

/** What headers say of the camera and its settings. */
public final class CameraHeaders {
    /** DNG 1.3: corrections that whoever develops the raw data has to make. */
    private static final int OPCODES = 0xC74E;

    private static final int NIKON_DISTORTION = 0x002B;

    /** In it: 0 = off, 1 = on. */
    private static final int NIKON_DISTORTION_SWITCH = 4;

    /** So far away that a camera writes no number. */
    private static final long INFINITE = 0xFFFFFFFFL;

    private CameraHeaders() {}

    public static Camera read(Metadata metadata) {
        return new Camera(
                text(Headers.firstDirectories(metadata), ExifDirectoryBase.TAG_MAKE),
                text(Headers.firstDirectories(metadata), ExifDirectoryBase.TAG_MODEL),
                lens(metadata),
                number(metadata, ExifDirectoryBase.TAG_FOCAL_LENGTH),
                number(metadata, ExifDirectoryBase.TAG_35MM_FILM_EQUIV_FOCAL_LENGTH),
                number(metadata, ExifDirectoryBase.TAG_FNUMBER),
                distance(metadata),
                isCorrected(metadata));
    }

    private static <D extends Directory> String text(Metadata metadata, Class<D> type, int tag) {
        return text(metadata.getDirectoriesOfType(type).stream(), tag);
    }

    private static String text(Stream<? extends Directory> directories, int tag) {
        return directories
                .map(directory -> directory.getString(tag))
                .filter(text -> text != null && !text.isBlank())
                .findFirst()
                .orElse("");
    }

    /** As EXIF has it, else as makers' notes do. */
    private static String lens(Metadata metadata) {
        return Stream.<Supplier<String>>of(
                        () -> text(metadata, ExifSubIFDDirectory.class, ExifDirectoryBase.TAG_LENS_MODEL),
                        () -> text(metadata, CanonMakernoteDirectory.class, CanonMakernoteDirectory.TAG_LENS_MODEL),
                        () -> text(
                                metadata,
                                OlympusEquipmentMakernoteDirectory.class,
                                OlympusEquipmentMakernoteDirectory.TAG_LENS_MODEL),
                        () -> nikonLens(metadata))
                .map(Supplier::get)
                .filter(text -> !text.isBlank())
                .findFirst()
                .orElse("");
    }

    /** Four numbers: from, to, f-number at either. */
    private static String nikonLens(Metadata metadata) {
        NikonType2MakernoteDirectory notes = metadata.getFirstDirectoryOfType(NikonType2MakernoteDirectory.class);
        if (notes == null) {
            return "";
        }
        TagDescriptor<NikonType2MakernoteDirectory> words = new NikonType2MakernoteDescriptor(notes);
        return Optional.ofNullable(words.getDescription(NikonType2MakernoteDirectory.TAG_LENS))
                .orElse("");
    }

    private static double number(Metadata metadata, int tag) {
        for (ExifSubIFDDirectory directory : metadata.getDirectoriesOfType(ExifSubIFDDirectory.class)) {
            Double number = directory.getDoubleObject(tag);
            if (number != null && Double.isFinite(number) && number > 0) {
                return number;
            }
        }
        return 0;
    }

    private static double distance(Metadata metadata) {
        for (ExifSubIFDDirectory directory : metadata.getDirectoriesOfType(ExifSubIFDDirectory.class)) {
            Rational distance = directory.getRational(ExifDirectoryBase.TAG_SUBJECT_DISTANCE);
            if (distance != null && distance.getNumerator() == INFINITE) {
                return Taken.FAR;
            }
        }
        return number(metadata, ExifDirectoryBase.TAG_SUBJECT_DISTANCE);
    }

    /** Whether the picture is corrected for its lens already, or carries its own corrections. */
    private static boolean isCorrected(Metadata metadata) {
        return isSet(metadata, SonyType1MakernoteDirectory.class, SonyType1MakernoteDirectory.TAG_DISTORTION_CORRECTION)
                || isSet(
                        metadata,
                        OlympusImageProcessingMakernoteDirectory.class,
                        OlympusImageProcessingMakernoteDirectory.TagDistortionCorrection2)
                || metadata.getDirectoriesOfType(ExifDirectoryBase.class).stream()
                        .anyMatch(directory -> directory.containsTag(OPCODES))
                || isNikonCorrected(metadata);
    }

    private static <D extends Directory> boolean isSet(Metadata metadata, Class<D> type, int tag) {
        return metadata.getDirectoriesOfType(type).stream()
                .map(directory -> directory.getInteger(tag))
                .anyMatch(value -> value != null && value > 0);
    }

    private static boolean isNikonCorrected(Metadata metadata) {
        return metadata.getDirectoriesOfType(NikonType2MakernoteDirectory.class).stream()
                .map(notes -> notes.getByteArray(NIKON_DISTORTION))
                .anyMatch(bytes ->
                        bytes != null && bytes.length > NIKON_DISTORTION_SWITCH && bytes[NIKON_DISTORTION_SWITCH] == 1);
    }
}
