package nexa.shoot.handover;

import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.brief.Alternate;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.naming.NameTemplate;
import nexa.core.naming.OutputName;
import nexa.core.print.SetSense;
import nexa.shoot.Shoot;
import nexa.shoot.Snapshot;
import nexa.shoot.handover.request.Collision;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.handover.request.Part;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.Sha256;

/**
 * All files a handover writes, decided before anything is written from one moment of the shoot, and what it leaves out.
 *
 * @param deliveries grouped by photo, in the shoot's order; photos set aside are left out
 * @param there files that exist already and stay: of the same name where names are not to be taken twice, or delivered
 *     by a run that this one goes on with
 * @param digest of all files of all parts, by which parts of the same plan know each other; empty if there are no parts
 */
public record HandoverPlan(
        HandoverRequest request,
        List<Delivery> deliveries,
        List<Photo> unreadable,
        List<Delivery> there,
        String digest) {

    /** A new run. */
    public static HandoverPlan of(Shoot shoot, HandoverRequest request) {
        return new Planning(shoot, request, Map.of()).plan();
    }

    /** Goes on with a run that was cancelled or ended by a crash or a full disk: what it delivered is not done again. */
    public static HandoverPlan resumed(Shoot shoot, HandoverRequest request) {
        return new Planning(shoot, request, Journal.files(request.folder(), request.part())).plan();
    }

    /** What a file would be called, to show what a template makes. */
    public static String example(Shoot shoot, HandoverRequest request, Photo photo, Format format) {
        Planning planning = new Planning(shoot, request, Map.of());
        String extension = format.files().type().extension();
        return request.names().name(planning.values(sample(shoot, photo, format), photo.name())) + "." + extension;
    }

    /** One photo's delivery in a format, to show what comes of it; its output is no file. */
    public static Delivery sample(Shoot shoot, Photo photo, Format format) {
        return sample(shoot, shoot.snapshot(), photo, format);
    }

    private static Delivery sample(Shoot shoot, Snapshot moment, Photo photo, Format format) {
        return sample(shoot, moment, photo, moment.framing(photo), format);
    }

    private static Delivery sample(Shoot shoot, Snapshot moment, Photo photo, Framing framing, Format format) {
        PixelSize asShot = photo.facts().orElseThrow().asShot();
        Frame frame = moment.frame(photo, framing, format).orElseThrow();
        return new Delivery(
                photo,
                shoot.fileOf(photo),
                framing,
                format,
                frame,
                Planning.size(format, frame, asShot),
                shoot.folder());
    }

    /** By a format's id, whether its photos have the pixels that it asks for. */
    public Map<Integer, SetSense> senses() {
        Map<Integer, SetSense> senses = new HashMap<>();
        for (Format format : request.formats()) {
            List<SetSense.Cut> cuts = Stream.concat(deliveries.stream(), there.stream())
                    .filter(delivery -> delivery.format().id() == format.id())
                    .map(delivery -> new SetSense.Cut(
                            delivery.frame(),
                            delivery.photo().facts().orElseThrow().asShot()))
                    .toList();
            double most = format.files().finish().enlarge() / 100.0;
            SetSense.of(format.target(), most, cuts).ifPresent(sense -> senses.put(format.id(), sense));
        }
        return senses;
    }

    /**
     * Of a format whose files are cut with their pixels as they are.
     *
     * @param files that are
     * @param of all its files
     * @param farthest pixels by which a frame moves to its photo's grid
     */
    public record OnGrid(long files, long of, double farthest) {}

    /** By a format's id, for those that want it. */
    public Map<Integer, OnGrid> onGrid() {
        Map<Integer, OnGrid> byFormat = new HashMap<>();
        for (Format format : request.formats()) {
            if (format.files().packing().untouched()) {
                List<Delivery> all = deliveries.stream()
                        .filter(delivery -> delivery.format().id() == format.id())
                        .toList();
                List<Untouched> cut = all.stream()
                        .flatMap(delivery -> delivery.untouched().stream())
                        .toList();
                double farthest =
                        cut.stream().mapToDouble(Untouched::pixels).max().orElse(0);
                byFormat.put(format.id(), new OnGrid(cut.size(), all.size(), farthest));
            }
        }
        return byFormat;
    }

    /** How many files that are there will be replaced. */
    public long replaced() {
        return deliveries.stream()
                .filter(delivery -> isThere(delivery.output()))
                .count();
    }

    /** How many files show a crop that nobody checked. */
    public long unchecked() {
        return deliveries.stream()
                .filter(delivery -> delivery.framing().state(delivery.format()) != FrameState.CHECKED)
                .count();
    }

    /** Of how many photos there are files. */
    public long photos() {
        return Stream.concat(deliveries.stream(), there.stream())
                .map(Delivery::photo)
                .distinct()
                .count();
    }

    /** Whether a run into this folder did not come to its end. */
    public static boolean isUnfinished(Path folder) {
        return Journal.isIn(folder, Optional.empty());
    }

    /** Also a link that leads nowhere. */
    private static boolean isThere(Path output) {
        return Files.exists(output, LinkOption.NOFOLLOW_LINKS);
    }

    private static final class Planning {
        private final Shoot shoot;
        private final Snapshot moment;
        private final HandoverRequest request;
        private final Map<String, Path> before;
        private final OutputName names = new OutputName();
        private final Map<Integer, Integer> numbers = new HashMap<>();
        private final Set<Path> photos = new HashSet<>();
        private final List<Delivery> deliveries = new ArrayList<>();
        private final List<Delivery> there = new ArrayList<>();

        Planning(Shoot shoot, HandoverRequest request, Map<String, Path> before) {
            this.shoot = shoot;
            this.moment = shoot.snapshot();
            this.request = request;
            this.before = before;
            moment.photos().forEach(photo -> photos.add(shoot.fileOf(photo).normalize()));
        }

        HandoverPlan plan() {
            List<Photo> unreadable = new ArrayList<>();
            for (Photo photo : moment.photos()) {
                if (!moment.framing(photo).setAside() && request.scope().takes(photo)) {
                    if (photo.isReadable()) {
                        request.formats().forEach(format -> add(photo, format));
                    } else {
                        unreadable.add(photo);
                    }
                }
            }
            String digest = request.part().isPresent() ? digest() : "";
            request.part().ifPresent(part -> keep(part, unreadable));
            return new HandoverPlan(
                    request, List.copyOf(deliveries), List.copyOf(unreadable), List.copyOf(there), digest);
        }

        private String digest() {
            return Sha256.of(Stream.concat(deliveries.stream(), there.stream())
                    .map(delivery ->
                            Journal.key(delivery) + " " + request.folder().relativize(delivery.output()))
                    .sorted()
                    .collect(Collectors.joining("\n")));
        }

        /** All is planned first, so that names and numbers are the same whoever does which part. */
        private void keep(Part part, List<Photo> unreadable) {
            List<Photo> all = moment.photos();
            Set<Photo> own = IntStream.range(0, all.size())
                    .filter(part::has)
                    .mapToObj(all::get)
                    .collect(Collectors.toSet());
            deliveries.removeIf(delivery -> !own.contains(delivery.photo()));
            there.removeIf(delivery -> !own.contains(delivery.photo()));
            unreadable.removeIf(photo -> !own.contains(photo));
        }

        /** The frame, unless it is one of the alternates that are delivered too. */
        private void add(Photo photo, Format format) {
            Framing framing = moment.framing(photo);
            if (!request.scope().takes(framing, format)) {
                return;
            }
            List<Alternate> alternates = request.alternates() ? framing.alternates(format) : List.of();
            if (alternates.stream().noneMatch(each -> isPlaced(framing, format, each))) {
                add(sample(shoot, moment, photo, format), photo.name());
            }
            for (Alternate each : alternates) {
                Framing as = framing.withCrop(format, each.crop());
                add(sample(shoot, moment, photo, as, format), photo.stem() + "-" + each.name() + ending(photo));
            }
        }

        private static boolean isPlaced(Framing framing, Format format, Alternate alternate) {
            return framing.crop(format)
                    .filter(crop -> crop.asChecked().equals(alternate.crop().asChecked()))
                    .isPresent();
        }

        private static String ending(Photo photo) {
            return photo.name().substring(photo.stem().length());
        }

        private void add(Delivery asked, String photo) {
            Format format = asked.format();
            String wanted = request.names().name(values(asked, photo));
            Delivery first = asked.onGrid(shoot.codecs());
            Optional<Path> delivered = Optional.ofNullable(before.get(Journal.key(first)));
            if (delivered.isPresent()) {
                there.add(first.to(delivered.get()));
                return;
            }
            place(first, wanted, format.files().type().extension());
        }

        private void place(Delivery delivery, String wanted, String extension) {
            Path output;
            do {
                output = below(names.next(wanted, extension));
            } while (isTaken(output));
            boolean stays = request.collision() == Collision.SKIP && isThere(output);
            (stays ? there : deliveries).add(delivery.to(output));
        }

        /** A photo's own file is never written to, whatever the name; others as the request says. */
        private boolean isTaken(Path output) {
            return photos.contains(output) || request.collision() == Collision.NUMBER && isThere(output);
        }

        private Path below(String name) {
            Path output = request.folder().resolve(name).normalize();
            if (!output.startsWith(request.folder().normalize())) { // templates can't, so this is a bug
                throw new IllegalStateException(name + " would leave the folder");
            }
            return output;
        }

        private static PixelSize size(Format format, Frame frame, PixelSize asShot) {
            return format.target().output(frame, asShot, format.files().finish().enlarge() / 100.0);
        }

        private NameTemplate.Values values(Delivery delivery, String photo) {
            Format format = delivery.format();
            int number = numbers.merge(format.id(), 1, Integer::sum);
            return new NameTemplate.Values(
                    shoot.name(),
                    photo,
                    format.name(),
                    delivery.framing()
                            .crop(format)
                            .map(crop -> crop.held(format))
                            .orElse(format)
                            .shape()
                            .text(),
                    number,
                    Optional.ofNullable(Rendering.facts(delivery).taken())
                            .map(taken -> taken.toLocalDate().toString()),
                    delivery.size());
        }
    }
}
