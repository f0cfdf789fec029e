package nexa.cli.deliver;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import nexa.cli.base.Choice;
import nexa.cli.base.ColourOptions;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.naming.NameTemplate;
import nexa.core.print.SizeTarget;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.Shoot;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.PartLists;
import nexa.shoot.handover.RunControl;
import nexa.shoot.handover.request.Collision;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.handover.request.Part;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
        name = "handover",
        description = "Render formats to files. Files that exist stay, unless --if-taken says replace.")
public final class HandoverCommand extends ShootCommand {
    @Option(names = "--out", required = true, paramLabel = "DIR", description = "The folder to write to.")
    @SuppressWarnings("NullAway.Init")
    private Path out;

    @Option(names = "--format", paramLabel = "NAME", description = "Only this format; may be given several times.")
    private List<String> names = new ArrayList<>();

    @Option(names = "--long-edge", paramLabel = "N", description = "At most N pixels on the long edge.")
    private @Nullable Integer longEdge;

    @Option(names = "--type", paramLabel = "jpeg|png|tiff|webp", description = "File type; else as each format says.")
    private @Nullable String type;

    @Option(
            names = "--quality",
            paramLabel = "Q",
            description = "JPEG or WebP quality, 1 to 100; else as each format says.")
    private @Nullable Integer quality;

    @Mixin
    private final ColourOptions colours = new ColourOptions();

    @Option(
            names = "--names",
            paramLabel = "TEMPLATE",
            defaultValue = "{photo}_{format}",
            description =
                    "How files are called, with {shoot} {photo} {format} {shape} {number} or {number:4} {date} {size}; a "
                            + "slash makes a folder.")
    @SuppressWarnings("NullAway.Init")
    private String template;

    @Option(
            names = "--if-taken",
            paramLabel = "number|skip|replace",
            description =
                    "What to do where a file of that name is there already; number unless --part is given, else skip.")
    private @Nullable String taken;

    @Option(
            names = "--part",
            paramLabel = "K/N",
            description =
                    "Do only a share of the delivery, such as 2/4, while others do the rest; --join makes one list in the end.")
    private @Nullable String part;

    @Option(names = "--join", description = "Check that all parts are there and make one list of theirs.")
    private boolean join;

    @Option(
            names = "--alternates",
            description = "Deliver kept alternates too, such as the pieces of a split scan, as photo-1, photo-2 …")
    private boolean alternates;

    @Option(names = "--resume", description = "Go on with a run that did not come to its end.")
    private boolean resume;

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (join) {
            rows.add().with("output", out.toString()).with("files", PartLists.join(shoot, out));
            return true;
        }
        HandoverRequest request = request(shoot);
        HandoverPlan plan = resume ? HandoverPlan.resumed(shoot, request) : HandoverPlan.of(shoot, request);
        letOthersEdit(shoot);
        Map<Delivery, Outcome> outcomes = new HashMap<>();
        Handover handover = new Handover(plan, told -> {}, new RunControl());
        for (Outcome outcome : handover.run(shoot)) {
            outcomes.put(outcome.delivery(), outcome);
        }
        handover.listTrouble().ifPresent(told -> say(Words.of(told)));
        plan.deliveries().forEach(delivery -> add(rows, delivery, outcomes.get(delivery)));
        plan.there().forEach(delivery -> addThere(rows, delivery));
        for (Photo photo : plan.unreadable()) {
            plan.request().formats().forEach(format -> addUnreadable(rows, photo, format));
        }
        boolean allWritten = outcomes.values().stream()
                .allMatch(outcome -> outcome instanceof Outcome.Written written && !written.damaged());
        return sayUnreadable(plan.unreadable()) && allWritten;
    }

    /** The plan holds all that the run needs. */
    private static void letOthersEdit(Shoot shoot) throws IOException {
        try {
            shoot.letOthersEdit();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ToldException(Told.of("told.cli.stopped"), stopped);
        }
    }

    private HandoverRequest request(Shoot shoot) throws IOException {
        List<Format> formats = formats(shoot, names);
        if (formats.isEmpty()) {
            throw wrong(Words.of("cli.brief-empty-so-nothing-hand"));
        }
        if (longEdge != null && longEdge < 1) {
            throw wrong(Words.of("cli.long-edge-least-pixel-not", longEdge));
        }
        requireQuality();
        List<Format> asked = formats.stream().map(this::asked).toList();
        colours.requireProfile();
        HandoverRequest all =
                new HandoverRequest(out, asked).named(names(), taken()).withAlternates(alternates);
        try {
            return part == null ? all : all.of(Part.parse(part));
        } catch (IllegalArgumentException refused) {
            throw wrong(Words.of(refused), refused);
        }
    }

    /** As the format says, but for what the command line says of all. */
    private Format asked(Format format) {
        FileSettings files = format.files()
                .typed(type(format), quality == null ? format.files().quality() : quality);
        Format sized = longEdge != null && format.target().equals(SizeTarget.NONE)
                ? format.sized(new SizeTarget.LongEdge(longEdge))
                : format;
        try {
            return sized.filed(files.coloured(colours.over(files.colour())));
        } catch (IllegalArgumentException refused) {
            throw wrong(Words.of(refused), refused);
        }
    }

    private NameTemplate names() {
        try {
            return new NameTemplate(template);
        } catch (IllegalArgumentException refused) {
            throw wrong(Words.of(refused));
        }
    }

    private Collision taken() {
        String asked = taken;
        if (asked == null) {
            return part == null ? Collision.NUMBER : Collision.SKIP;
        }
        return Stream.of(Collision.values())
                .filter(choice -> choice.name().equalsIgnoreCase(asked))
                .findFirst()
                .orElseThrow(() -> wrong(Words.of("cli.if-taken-number-skip-or", asked)));
    }

    private FileType type(Format format) {
        return type == null
                ? format.files().type()
                : FileType.named(type)
                        .orElseThrow(() -> wrong(Words.of("cli.type-jpeg-png-tiff-or", String.valueOf(type))));
    }

    private void requireQuality() {
        if (quality != null && (quality < 1 || quality > 100)) {
            throw wrong(Words.of("cli.quality-from-not", quality));
        }
    }

    private static void add(Rows rows, Delivery delivery, @Nullable Outcome outcome) {
        String reason =
                switch (outcome) {
                    case null -> Words.of("cli.handover.not-begun");
                    case Outcome.Written written -> written.remarks().isEmpty() ? null : Words.of(written.remarks());
                    case Outcome.Failed failed -> Words.of(failed.reason());
                };
        String state =
                switch (outcome) {
                    case Outcome.Written written -> written.damaged() ? "damaged" : "ok";
                    case null, default -> "failed";
                };
        rows.add()
                .with("photo", delivery.photo().file())
                .with("format", delivery.format().name())
                .with(
                        "output",
                        state.equals("failed") ? null : delivery.output().toString())
                .with("width", delivery.size().width())
                .with("height", delivery.size().height())
                .with("state", Choice.of(state))
                .with("reason", reason);
    }

    private static void addThere(Rows rows, Delivery delivery) {
        rows.add()
                .with("photo", delivery.photo().file())
                .with("format", delivery.format().name())
                .with("output", delivery.output().toString())
                .with("width", delivery.size().width())
                .with("height", delivery.size().height())
                .with("state", Choice.of("there already"))
                .with("reason", null);
    }

    private static void addUnreadable(Rows rows, Photo photo, Format format) {
        rows.add()
                .with("photo", photo.file())
                .with("format", format.name())
                .with("output", null)
                .with("width", null)
                .with("height", null)
                .with("state", Choice.of("failed"))
                .with("reason", Words.of(photo.trouble().orElseThrow()));
    }
}
