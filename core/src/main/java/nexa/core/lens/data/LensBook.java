package nexa.core.lens.data;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import nexa.core.geometry.PixelSize;
import nexa.core.lens.LensTerms;
import nexa.core.lens.Taken;
import nexa.core.lens.data.LensMatch.Why;

/**
 * The measured lenses, the cameras they fit, and which mounts take which others' lenses. Those given first win over later
 * ones of the same name. Immutable.
 */
public final class LensBook {
    public static final LensBook EMPTY = new LensBook(List.of(), List.of(), Map.of(), lens -> Calibration.NONE);

    /** The same words. */
    private static final double SAME = 0.999;

    /** A name less alike is another lens's. */
    private static final double ALIKE = 0.6;

    /** Names that are nearly as alike as the best are as likely. */
    private static final double AS_LIKELY = 0.05;

    /** A lens measured on a sensor that is smaller by no more than this serves. */
    private static final double CROP_TOLERANCE = 0.96;

    /** A camera that nobody measured must name its lens this well. */
    private static final double ALIKE_WITHOUT_MOUNT = 0.8;

    private final List<LensProfile> lenses;

    /** Taken apart when first compared; any thread may. */
    private final Map<LensProfile, List<LensName>> names = Collections.synchronizedMap(new IdentityHashMap<>());

    private final Function<LensProfile, Calibration> measures;
    private final Map<String, CameraProfile> cameras = new HashMap<>();
    private final Map<String, Set<String>> compatible;
    private final Set<String> makers = new HashSet<>();

    /**
     * @param lenses those of which there are measures
     * @param compatible by mount, the others whose lenses it takes
     * @param measures of one of the lenses; asked when they are needed
     */
    public LensBook(
            List<CameraProfile> cameras,
            List<LensProfile> lenses,
            Map<String, Set<String>> compatible,
            Function<LensProfile, Calibration> measures) {
        this.lenses = List.copyOf(lenses);
        this.compatible = Map.copyOf(compatible);
        this.measures = measures;
        for (CameraProfile camera : cameras) {
            camera.models().forEach(model -> this.cameras.putIfAbsent(key(camera.maker(), model), camera));
        }
        Stream.concat(
                        cameras.stream().map(CameraProfile::maker),
                        lenses.stream().map(LensProfile::maker))
                .distinct()
                .forEach(maker -> makers.addAll(LensName.words(maker)));
    }

    private List<LensName> names(LensProfile lens) {
        return lens.models().stream().map(model -> LensName.of(model, makers)).toList();
    }

    /**
     * What a lens does to a photo.
     *
     * @param asShot the photo's size
     * @param crop of the camera: how many times longer the diagonal of 36 × 24 mm is than its sensor's
     */
    public LensTerms terms(LensProfile lens, PixelSize asShot, double crop, Taken taken) {
        return lens.terms(measures.apply(lens), asShot, crop, taken);
    }

    private static String key(String maker, String model) {
        return (maker.strip() + "|" + model.strip()).toLowerCase(Locale.ROOT);
    }

    public List<LensProfile> lenses() {
        return lenses;
    }

    /** Makers change their names; a camera's own name is enough where only one has it. */
    public Optional<CameraProfile> camera(String maker, String model) {
        return Optional.ofNullable(cameras.get(key(maker, model))).or(() -> {
            List<CameraProfile> named = cameras.values().stream()
                    .filter(camera -> camera.models().stream().anyMatch(model.strip()::equalsIgnoreCase))
                    .distinct()
                    .toList();
            return named.size() == 1 ? Optional.of(named.getFirst()) : Optional.empty();
        });
    }

    /** How many times longer the diagonal of 36 × 24 mm is than the sensor's; 0 if nobody knows. */
    public double crop(Camera camera) {
        return camera(camera.maker(), camera.model()).map(CameraProfile::crop).orElse(camera.crop());
    }

    /** The lens that a photo was taken with. */
    public LensMatch find(Camera camera) {
        if (camera.corrected()) {
            return new LensMatch.Nothing(Why.CORRECTED_IN_CAMERA);
        }
        if (!camera.isKnown()) {
            return new LensMatch.Nothing(Why.NO_CAMERA);
        }
        double crop = crop(camera);
        if (crop == 0) {
            return new LensMatch.Nothing(Why.NO_SENSOR);
        }
        if (camera.focal() == 0) {
            return new LensMatch.Nothing(Why.NO_FOCAL);
        }
        Optional<CameraProfile> known = camera(camera.maker(), camera.model());
        return known.filter(CameraProfile::hasFixedLens).isPresent()
                ? builtIn(camera, known.orElseThrow())
                : exchangeable(camera, known, crop);
    }

    private LensMatch builtIn(Camera camera, CameraProfile known) {
        List<LensProfile> fitting =
                distinct(fitting(known.mount(), known.crop()), known.crop()).toList();
        if (fitting.size() <= 1) {
            return fitting.isEmpty()
                    ? new LensMatch.Nothing(Why.NOT_MEASURED)
                    : new LensMatch.One(fitting.getFirst(), known.crop(), Why.BUILT_IN);
        }
        return camera.lens().isEmpty()
                ? new LensMatch.One(plainest(fitting), known.crop(), Why.BUILT_IN)
                : best(camera.lens(), fitting, known.crop(), 0.2);
    }

    /** The lens as it is built in, without what can be screwed on: names of the others say more. */
    private static LensProfile plainest(List<LensProfile> lenses) {
        return lenses.stream()
                .min(Comparator.comparingInt(lens -> lens.model().length()))
                .orElseThrow();
    }

    private LensMatch exchangeable(Camera camera, Optional<CameraProfile> known, double crop) {
        if (camera.lens().isEmpty()) {
            return new LensMatch.Nothing(Why.NO_LENS);
        }
        Stream<LensProfile> fitting =
                known.map(each -> fitting(each.mount(), crop)).orElseGet(() -> measuredOnLarger(crop));
        return best(
                camera.lens(), distinct(fitting, crop).toList(), crop, known.isPresent() ? ALIKE : ALIKE_WITHOUT_MOUNT);
    }

    private LensMatch best(String name, List<LensProfile> among, double crop, double enough) {
        LensName asked = LensName.of(name, makers);
        List<Likely> alike = among.stream()
                .map(lens -> new Likely(lens, likeness(lens, asked)))
                .filter(each -> each.likeness >= enough)
                .sorted(Comparator.comparingDouble(Likely::likeness).reversed())
                .toList();
        double best = alike.isEmpty() ? 0 : alike.getFirst().likeness;
        List<LensProfile> likely = alike.stream()
                .filter(each -> each.likeness >= (best > SAME ? SAME : best - AS_LIKELY))
                .map(Likely::lens)
                .toList();
        return switch (likely.size()) {
            case 0 -> new LensMatch.Nothing(Why.NOT_MEASURED);
            case 1 -> new LensMatch.One(likely.getFirst(), crop, best > SAME ? Why.NAMED : Why.ALIKE);
            default -> new LensMatch.Several(likely, crop);
        };
    }

    private record Likely(LensProfile lens, double likeness) {}

    private double likeness(LensProfile lens, LensName asked) {
        return names.computeIfAbsent(lens, this::names).stream()
                .mapToDouble(name -> asked.likeness(name))
                .max()
                .orElse(0);
    }

    /** Lenses that a mount takes, measured on a sensor that is as large or larger. */
    private Stream<LensProfile> fitting(String mount, double crop) {
        Set<String> taken = compatible.getOrDefault(mount, Set.of());
        return measuredOnLarger(crop)
                .filter(lens -> lens.mounts().stream().anyMatch(each -> each.equals(mount) || taken.contains(each)));
    }

    private Stream<LensProfile> measuredOnLarger(double crop) {
        return lenses.stream().filter(lens -> crop >= lens.crop() * CROP_TOLERANCE);
    }

    /** Of lenses of one name, the one measured on the sensor most alike; of equally alike ones the first. */
    private static Stream<LensProfile> distinct(Stream<LensProfile> lenses, double crop) {
        Map<String, LensProfile> byName = new LinkedHashMap<>();
        Comparator<LensProfile> unlike = Comparator.comparingDouble(lens -> Math.abs(Math.log(lens.crop() / crop)));
        lenses.forEach(lens -> byName.merge(
                key(lens.maker(), lens.model()), lens, (one, other) -> unlike.compare(other, one) < 0 ? other : one));
        return byName.values().stream();
    }

    /** Lenses for a camera that a photographer's words fit, those that fit it first. */
    public List<LensProfile> search(String text, Camera camera) {
        double crop = crop(camera);
        List<String> words = List.of(text.toLowerCase(Locale.ROOT).strip().split("\\s+"));
        Optional<CameraProfile> known = camera(camera.maker(), camera.model());
        List<LensProfile> found = new ArrayList<>();
        known.ifPresent(each -> found.addAll(named(words, fitting(each.mount(), crop), crop)));
        named(words, lenses.stream(), crop).stream()
                .filter(lens -> found.stream().noneMatch(each -> each.name().equals(lens.name())))
                .forEach(found::add);
        return found;
    }

    private static List<LensProfile> named(List<String> words, Stream<LensProfile> among, double crop) {
        return distinct(
                        among.filter(lens -> words.stream().allMatch(lens.name().toLowerCase(Locale.ROOT)::contains)),
                        crop == 0 ? 1 : crop)
                .sorted(Comparator.comparing(LensProfile::name, String.CASE_INSENSITIVE_ORDER))
                .toList();
    }

    /** The lens of a name as {@link LensProfile#name} says it, or as maker and model; as it was measured on the sensor most alike. */
    public Optional<LensProfile> named(String name, double crop) {
        String asked = name.strip();
        return distinct(
                        lenses.stream()
                                .filter(lens -> lens.name().equalsIgnoreCase(asked)
                                        || (lens.maker() + " " + lens.model()).equalsIgnoreCase(asked)),
                        crop == 0 ? 1 : crop)
                .findFirst();
    }
}
