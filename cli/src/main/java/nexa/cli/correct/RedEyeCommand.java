package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.PhotoWork;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Framing;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEyes;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.eye.EyeLooker;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "redeye",
        description = "Find red eyes, and take the glow out of them.",
        footer = "Nothing changes without --apply or --clear. Says how many eyes each photo has or would get.")
public final class RedEyeCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(names = "--apply", description = "Mend what is found; eyes that are mended already stay as they are.")
    private boolean apply;

    @Option(names = "--clear", description = "All eyes as they were shot again.")
    private boolean clear;

    @Override
    protected boolean edits() {
        return apply || clear;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (apply && clear) {
            throw wrong(Words.of("cli.apply-clear"));
        }
        List<Photo> chosen = chosen(shoot, globs);
        if (edits()) {
            requireEditing(shoot);
        }
        List<FramingChange> changes = new ArrayList<>();
        boolean allRead = sayUnreadable(chosen);
        List<Photo> photos = chosen.stream().filter(Photo::isReadable).toList();
        try (PhotoWork<List<GlowingEye>> looked =
                PhotoWork.begin(clear ? List.of() : photos, photo -> EyeLooker.find(shoot, photo))) {
            for (Photo photo : photos) {
                Framing before = shoot.framing(photo);
                Optional<List<GlowingEye>> found = clear ? Optional.of(List.of()) : read(photo, () -> looked.of(photo));
                allRead &= found.isPresent();
                if (found.isEmpty()) {
                    continue;
                }
                GlowingEyes eyes =
                        clear ? GlowingEyes.NONE : before.pose().eyes().and(found.get());
                rows.add().with("photo", photo.file()).with("eyes", eyes.all().size());
                changes.add(new FramingChange(
                        photo.id(), before, before.withPose(before.pose().withEyes(eyes))));
            }
        }
        if (edits()) {
            shoot.apply(new Edit("edit.eyes.found", changes, null));
        }
        return allRead;
    }
}
