package nexa.shoot.handover;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.ToDoubleFunction;
import nexa.core.files.DeliveredColour;
import nexa.core.files.Description;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Finish;
import nexa.core.fill.Blank;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.lineup.ResultLight;
import nexa.core.print.OutputSize;
import nexa.core.space.ColourMaps;
import nexa.core.space.PhotoSpace;
import nexa.core.told.Told;
import nexa.imaging.codec.OpenedPhoto;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoded;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.deliver.FinishSteps;
import nexa.imaging.deliver.UntouchedJpeg;
import nexa.imaging.detect.Detail;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.fill.Filler;
import nexa.imaging.neutral.LightMeter;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.render.SinglePass;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** A delivery's pixels, and its file. */
public final class Rendering {
    private static final int PLAIN_QUALITY = 92;

    private Rendering() {}

    /** What is beyond the photo is filled. */
    static Picture pixels(Delivery delivery, Source source) {
        return filled(delivery, source, delivery.frame());
    }

    /** @param frame without the bleed: only if it leaves the photo there is a blank to be filled */
    private static Picture filled(Delivery delivery, Source source, Frame frame) {
        PhotoSpace space = space(delivery);
        return space.outline().holds(frame)
                ? unbounded(delivery, source)
                : filled(delivery, source, filling(delivery, source, space));
    }

    private static Picture filled(Delivery delivery, Source source, Filler filling) {
        return filling.fill(unbounded(delivery, source), source.profile());
    }

    private static Filler filling(Delivery delivery, Source source, PhotoSpace space) {
        return new Filler(
                delivery.fill(),
                size -> space.toOutput(delivery.frame(), size),
                size -> lookedAt(delivery.sized(size), source));
    }

    /** What surroundings are looked for in. */
    private static Picture lookedAt(Delivery small, Source source) {
        try (Picture photo = Filler.lookedAt(source.picture(), longSide(small.frame()))) {
            return unbounded(small, new Source(photo, source.metadata()));
        }
    }

    /** What is beyond the photo is as its edge. */
    private static Picture unbounded(Delivery delivery, Source source) {
        PhotoSpace space = space(delivery);
        Affine reduced = reduced(delivery, source);
        return SinglePass.render(
                source.picture(),
                new PictureLight(source.profile(), facts(delivery).camera().receptors()),
                delivery.steps(),
                space.asShotToStored(facts(delivery).decodedToAsShot()).then(reduced),
                toSource(delivery, space).then(reduced),
                delivery.size());
    }

    /** @param notes told what of the photo's metadata is left out that nobody asked to leave out */
    static Encoded file(Delivery delivery, OpenedPhoto photo, Consumer<Told> notes) throws IOException {
        if (delivery.untouched().isPresent()) {
            return Encoded.of(untouched(delivery, delivery.untouched().get(), photo.metadata(), notes));
        }
        Source source = photo.source();
        try (Picture rendered = pixels(delivery, source)) {
            return Encoder.file(rendered, source, delivery.format().files(), delivery.ppi(), notes);
        }
    }

    /**
     * The place of a delivered picture that has most detail, at its own pixels in sRGB, finished in several ways to compare them.
     *
     * @param side of the square in pixels, cut to the picture
     * @return a picture for each finish
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static List<Picture> samples(PhotoCodecs codecs, Delivery delivery, int side, List<Finish> finishes)
            throws UnreadablePhotoException {
        PixelSize whole = delivery.size();
        PixelSize cut = new PixelSize(Math.min(side, whole.width()), Math.min(side, whole.height()));
        try (Source source = codecs.open(delivery.source(), facts(delivery));
                Picture all = pixels(delivery, source);
                Picture part = Detail.cut(all, cut);
                Picture shown = onScreen(part, source)) {
            return finishes.stream()
                    .map(finish -> FinishSteps.apply(shown, finish.steps()))
                    .toList();
        }
    }

    /**
     * A delivery as it will look, in sRGB, and where its fill will show.
     *
     * @param longEdge of the picture at most, in pixels
     * @param draft whether the photo is decoded no larger than needed: then surroundings may come out otherwise
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static FillLook look(PhotoCodecs codecs, Delivery delivery, int longEdge, boolean draft)
            throws UnreadablePhotoException {
        Reduction reduction = draft ? leaving(delivery, longSide(delivery.frame()), longEdge) : Reduction.NONE;
        Delivery small = atMost(delivery, longEdge);
        PhotoSpace space = space(small);
        try (Source source = codecs.open(delivery.source(), facts(delivery), reduction)) {
            Filler exact = filling(small, source, space);
            try (Picture rendered = filled(small, source, draft ? exact.drafting() : exact);
                    Picture shown = onScreen(rendered, source)) {
                return new FillLook(
                        shown.toRaster(), exact.seam(rendered), Blank.share(space.outline(), small.frame()));
            }
        }
    }

    /**
     * The light of a delivery; blank is left as the photo's edge.
     *
     * @param longEdge of the picture that is measured, in pixels
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static ResultLight light(PhotoCodecs codecs, Delivery delivery, int longEdge)
            throws UnreadablePhotoException {
        Reduction reduction = leaving(delivery, longSide(delivery.frame()), longEdge);
        Delivery small = atMost(delivery, longEdge);
        try (Source source = codecs.open(delivery.source(), facts(delivery), reduction);
                Picture rendered = unbounded(small, source)) {
            return LightMeter.of(rendered, source.profile());
        }
    }

    /**
     * One photo's deliveries as small JPEGs in sRGB without metadata, decoded no larger than needed.
     *
     * @param longEdge of each at most, in pixels
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static List<byte[]> small(PhotoCodecs codecs, List<Delivery> ofOnePhoto, int longEdge) throws IOException {
        Delivery first = ofOnePhoto.getFirst();
        double part = ofOnePhoto.stream()
                .mapToDouble(each -> longSide(each.frame()))
                .min()
                .orElseThrow();
        Reduction reduction = leaving(first, part, longEdge);
        List<byte[]> pictures = new ArrayList<>();
        try (Source source = codecs.open(first.source(), facts(first), reduction)) {
            for (Delivery delivery : ofOnePhoto) {
                Delivery small = atMost(delivery, longEdge);
                try (Picture rendered = pixels(small, source)) {
                    pictures.add(plain(rendered, source, Finish.DEFAULT));
                }
            }
        }
        return pictures;
    }

    /** The smallest decoding of a photo of which a part of the long edge still has so many pixels. */
    private static Reduction leaving(Delivery delivery, double part, int longEdge) {
        int needed = (int) Math.ceil(longEdge / part);
        return Reduction.leaving(needed, facts(delivery).asShot().longEdge());
    }

    private static Delivery atMost(Delivery delivery, int longEdge) {
        return delivery.sized(
                OutputSize.atMost(delivery.frame(), facts(delivery).asShot(), longEdge));
    }

    private static double longSide(Frame frame) {
        return Math.min(1, Math.max(frame.width(), frame.height()));
    }

    /**
     * One photo's deliveries with picture beyond the frame, as JPEGs in sRGB without metadata, sharpened as their
     * formats say. Beyond the photo its edge goes on, or it is filled if the frame itself goes there.
     *
     * @param bleed how many delivered pixels beyond the frame on each side
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static List<byte[]> bleeding(PhotoCodecs codecs, List<Delivery> ofOnePhoto, ToDoubleFunction<Delivery> bleed)
            throws IOException {
        Delivery first = ofOnePhoto.getFirst();
        List<byte[]> pictures = new ArrayList<>();
        try (Source source = codecs.open(first.source(), facts(first))) {
            for (Delivery delivery : ofOnePhoto) {
                Delivery wider = delivery.bleeding(bleed.applyAsDouble(delivery));
                try (Picture rendered = filled(wider, source, delivery.frame())) {
                    pictures.add(
                            plain(rendered, source, delivery.format().files().finish()));
                }
            }
        }
        return pictures;
    }

    private static byte[] plain(Picture picture, Source source, Finish finish) throws IOException {
        FileSettings plain = new FileSettings(FileType.JPEG, PLAIN_QUALITY, DeliveredColour.SRGB)
                .finished(finish)
                .described(Description.DEFAULT.keeping(Description.Keep.NONE, true));
        return Encoder.encode(picture, source, plain);
    }

    /** From the photo's own pixels to those of a source that was decoded smaller. */
    private static Affine reduced(Delivery delivery, Source source) {
        double scale = 1 / reduction(facts(delivery).asShot(), source.picture().size());
        return Affine.scale(scale, scale);
    }

    /** Pixels of the whole photo to a decoded one: a whole number, even where the last decoded ones stand for fewer. */
    private static double reduction(PixelSize whole, PixelSize decoded) {
        double ratio = (double) whole.longEdge() / decoded.longEdge();
        int factor = Math.max(1, (int) Math.rint(ratio));
        return Math.ceilDiv(whole.longEdge(), factor) == decoded.longEdge() ? factor : ratio;
    }

    private static Picture onScreen(Picture part, Source source) {
        return source.profile()
                .map(profile -> ColourTransform.between(profile, Profile.SRGB).apply(part))
                .orElseGet(part::shared);
    }

    static PhotoFacts facts(Delivery delivery) {
        return delivery.photo().facts().orElseThrow();
    }

    private static byte[] untouched(Delivery delivery, Untouched cut, SourceMetadata metadata, Consumer<Told> notes)
            throws IOException {
        return UntouchedJpeg.of(
                Files.readAllBytes(delivery.source()),
                cut.part(),
                metadata,
                delivery.format().files().description(),
                facts(delivery).exifOrientation(),
                delivery.ppi(),
                notes);
    }

    static PhotoSpace space(Delivery delivery) {
        return new PhotoSpace(facts(delivery).asShot(), delivery.framing().pose());
    }

    static ColourMaps toSource(Delivery delivery, PhotoSpace space) {
        return space.outputToStoredColours(facts(delivery).decodedToAsShot(), delivery.frame(), delivery.size());
    }
}
