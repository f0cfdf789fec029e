package nexa.desktop.handover;

import java.io.File;
import java.util.ArrayList;
import java.util.List;
import nexa.core.files.DeliveredColour;
import nexa.core.files.Description;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Finish.Sharpening;
import nexa.core.files.Packing;
import nexa.words.Words;

/** How a format becomes files, in one short line. */
final class FilesWords {
    private FilesWords() {}

    static String of(FileSettings files) {
        List<String> words = new ArrayList<>();
        FileType type = files.type();
        words.add(type.hasQuality() ? type.label() + " " + files.quality() : type.label() + bits(files.packing()));
        if (files.packing().mostKilobytes() > 0 && type.hasQuality()) {
            words.add(Words.of("files.most.short", files.packing().mostKilobytes()));
        }
        if (!files.colour().equals(DeliveredColour.KEEP)) {
            words.add(colour(files.colour()));
        }
        if (files.finish().sharpening() != Sharpening.OFF) {
            words.add(Words.of(
                    "files.sharpened", Words.of("sharpening", files.finish().sharpening())));
        }
        if (files.finish().ppi() > 0) {
            words.add(Words.of("files.ppi.short", files.finish().ppi()));
        }
        said(files.description(), words);
        return String.join(" · ", words);
    }

    private static String bits(Packing packing) {
        return packing.depth() == Packing.Depth.PHOTO ? "" : " " + Words.of("depth", packing.depth());
    }

    private static String colour(DeliveredColour colour) {
        return colour.kind() == DeliveredColour.Kind.PROFILE
                ? new File(colour.file()).getName()
                : Words.of("colour", colour.kind());
    }

    private static void said(Description said, List<String> words) {
        if (said.keep() != Description.Keep.ALL) {
            words.add(Words.of("keep", said.keep()));
        }
        if (said.dropsPlace()) {
            words.add(Words.of("files.place.short"));
        }
        if (said.isAdded()) {
            words.add(Words.of("files.added.short"));
        }
    }
}
