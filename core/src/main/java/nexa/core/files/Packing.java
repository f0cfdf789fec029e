package nexa.core.files;

import nexa.core.told.InvalidException;

/**
 * How a file's pixels are packed. What a file's type has no use for is ignored.
 *
 * @param mostKilobytes a JPEG or WebP has at most so many thousand bytes, with its quality lowered for it; 0 = any
 * @param chroma of a JPEG
 * @param progressive whether a JPEG shows coarse first while it loads
 * @param depth of a TIFF or PNG
 * @param compression of a TIFF; none loses anything
 * @param untouched whether a JPEG is cut from the photo's on its own grid of blocks where that can be, with the frame moved to
 *     the grid, in place of being compressed again
 */
public record Packing(
        int mostKilobytes,
        Chroma chroma,
        boolean progressive,
        Depth depth,
        Compression compression,
        boolean untouched) {
    public static final Packing DEFAULT =
            new Packing(0, Chroma.BY_QUALITY, false, Depth.PHOTO, Compression.DEFLATE, false);

    /** At how many places a JPEG keeps colour. */
    public enum Chroma {
        /** In full from quality 90, else halved both ways. */
        BY_QUALITY,
        /** 4:4:4. */
        FULL,
        /** 4:2:2, halved across. */
        HALF,
        /** 4:2:0, halved both ways. */
        QUARTER
    }

    /** Bits a channel. */
    public enum Depth {
        /** As many as the photo has. */
        PHOTO,
        EIGHT,
        SIXTEEN
    }

    /** TIFF 6.0 and its Technical Note 2. */
    public enum Compression {
        DEFLATE,
        LZW,
        NONE
    }

    public Packing {
        if (mostKilobytes < 0 || mostKilobytes > 1_000_000) {
            throw new InvalidException("told.files.file-most-kb-not", mostKilobytes);
        }
    }

    public Packing atMost(int kilobytes) {
        return new Packing(kilobytes, chroma, progressive, depth, compression, untouched);
    }

    public Packing with(Chroma other) {
        return new Packing(mostKilobytes, other, progressive, depth, compression, untouched);
    }

    public Packing progressive(boolean other) {
        return new Packing(mostKilobytes, chroma, other, depth, compression, untouched);
    }

    public Packing with(Depth other) {
        return new Packing(mostKilobytes, chroma, progressive, other, compression, untouched);
    }

    public Packing with(Compression other) {
        return new Packing(mostKilobytes, chroma, progressive, depth, other, untouched);
    }

    public Packing untouched(boolean other) {
        return new Packing(mostKilobytes, chroma, progressive, depth, compression, other);
    }
}
