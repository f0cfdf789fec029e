package nexa.shoot.lens;

import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.core.lens.Lens;
import nexa.core.lens.LensTerms;
import nexa.core.lens.LensUse;
import nexa.core.lens.Taken;
import nexa.core.lens.data.Camera;
import nexa.core.lens.data.LensBook;
import nexa.core.lens.data.LensMatch;
import nexa.core.lens.data.LensMatch.Why;
import nexa.core.lens.data.LensProfile;
import nexa.core.plumb.Plumb;
import nexa.core.space.Correction;
import nexa.core.space.Pose;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.lens.LensData;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import org.jspecify.annotations.Nullable;

/** The measured lenses, and which of them photos were taken with. The data is read when first asked for. Thread-safe. */
public final class Lenses {
    private static final String CHOICE = "lens.of.";

    /** Any; where the aperture is not known what depends on it is left out. */
    private static final double SOME_APERTURE = 8;

    private final Path own;
    private final Preferences preferences;
    private final Map<Camera, LensMatch> matches = new ConcurrentHashMap<>();
    private @Nullable LensData data;

    public Lenses(Locations locations, Preferences preferences) {
        own = folder(locations);
        this.preferences = preferences;
    }

    /** Where a user's own files of lens data lie. */
    public static Path folder(Locations locations) {
        return locations.data().resolve("lenses");
    }

    /**
     * All lens data. Reads it the first time, so not for the interface's thread.
     *
     * @throws IOException if it can't be read
     */
    public synchronized LensData data() throws IOException {
        LensData known = data;
        if (known == null) {
            known = LensData.read(own);
            data = known;
        }
        return known;
    }

    public LensBook book() throws IOException {
        return data().book();
    }

    /** Whether the data is there, so that nothing is read for an answer. */
    public synchronized boolean isRead() {
        return data != null;
    }

    /** The lens that a photo's file tells of, or that was chosen before for the same camera and lens. */
    public LensOffer found(PhotoFacts facts) throws IOException {
        Camera camera = facts.camera();
        LensBook book = book();
        Optional<LensProfile> chosen =
                preferences.get(CHOICE + key(camera)).flatMap(name -> book.named(name, book.crop(camera)));
        if (chosen.isPresent() && !camera.corrected()) {
            return offer(facts, chosen.get(), Why.CHOSEN);
        }
        return switch (matched(book, camera)) {
            case LensMatch.One(LensProfile lens, double crop, Why why) -> offer(facts, lens, why);
            case LensMatch other -> new LensOffer(other, Optional.empty(), Set.of());
        };
    }

    /** Photos of one camera and lens differ in their settings, which play no part in the match. */
    private LensMatch matched(LensBook book, Camera camera) {
        Camera alike = new Camera(
                camera.maker(),
                camera.model(),
                camera.lens(),
                camera.focal() > 0 ? 1 : 0,
                camera.crop(),
                0,
                0,
                camera.corrected());
        return matches.computeIfAbsent(alike, book::find);
    }

    /**
     * The lens of a name, as {@link LensProfile#name} says it.
     *
     * @return empty if there is no such lens
     */
    public Optional<LensOffer> named(PhotoFacts facts, String name) throws IOException {
        Optional<LensProfile> lens = book().named(name, crop(facts.camera()));
        return lens.isEmpty() ? Optional.empty() : Optional.of(offer(facts, lens.get(), Why.CHOSEN));
    }

    /** Remembers the lens for all photos of this camera that name the same lens. */
    public void remember(Camera camera, LensProfile lens) {
        preferences.put(CHOICE + key(camera), lens.name());
    }

    private static String key(Camera camera) {
        return (camera.maker() + "|" + camera.model() + "|" + camera.lens()).toLowerCase(Locale.ROOT);
    }

    private double crop(Camera camera) throws IOException {
        return book().crop(camera);
    }

    private LensOffer offer(PhotoFacts facts, LensProfile lens, Why why) throws IOException {
        Camera camera = facts.camera();
        EnumSet<Assumed> assumed = EnumSet.noneOf(Assumed.class);
        double crop = known(crop(camera), lens.crop(), Assumed.NO_SENSOR, assumed);
        double distance = known(camera.distance(), Taken.FAR, Assumed.NO_DISTANCE, assumed);
        double aperture = known(camera.aperture(), SOME_APERTURE, Assumed.NO_APERTURE, assumed);
        double only =
                lens.focals().stream().distinct().count() == 1 ? lens.focals().getFirst() : 0;
        double focal = known(camera.focal(), only, Assumed.NO_FOCAL, assumed);
        if (focal == 0) {
            return new LensOffer(new LensMatch.Nothing(Why.NO_FOCAL), Optional.empty(), assumed);
        }
        LensTerms terms = book().terms(lens, facts.asShot(), crop, new Taken(focal, aperture, distance))
                .turned(Turn.ofExif(facts.exifOrientation()));
        boolean lit = !assumed.contains(Assumed.NO_APERTURE);
        return new LensOffer(
                new LensMatch.One(lens, crop, why), Optional.of(lit ? terms : terms.withoutLight()), assumed);
    }

    private static double known(double value, double otherwise, Assumed what, Set<Assumed> assumed) {
        if (value > 0) {
            return value;
        }
        assumed.add(what);
        return otherwise;
    }

    /**
     * What one photo's correction comes to on another: the same setting and amounts by the other's own lens data, and the
     * same angles with the other's own focal length. A lens that nothing is known of is not corrected.
     *
     * @param from how the photo carried from is held
     * @param to what is known of the one carried to
     * @param target how that one is held, or will be
     */
    public Correction carried(Pose from, PhotoFacts to, Pose target) throws IOException {
        Plumb seen = from.plumb().after(from.turn());
        boolean turned = seen.pitch() != 0 || seen.yaw() != 0;
        Plumb plumb = (turned ? seen.withFocal(focal(to)) : seen).before(target.turn());
        return new Correction(carriedLens(from.lens(), to), plumb);
    }

    private Lens carriedLens(Lens from, PhotoFacts to) throws IOException {
        if (!from.isMeasured()) {
            return from;
        }
        Optional<LensOffer> offer = from.use() == LensUse.FOUND ? Optional.of(found(to)) : named(to, from.name());
        return offer.flatMap(each -> each.match() instanceof LensMatch.One one
                        ? each.terms()
                                .map(terms ->
                                        from.measured(from.use(), one.lens().name(), terms))
                        : Optional.empty())
                .orElseGet(from::off);
    }

    /** A photo's focal length in its long edges; 0 if it is not known. */
    public double focal(PhotoFacts facts) throws IOException {
        Camera camera = facts.camera();
        PixelSize size = facts.asShot();
        double aspect = (double) size.longEdge() / Math.min(size.width(), size.height());
        return camera.inLongEdges(camera.focal35() > 0 ? 0 : crop(camera), aspect);
    }
}
