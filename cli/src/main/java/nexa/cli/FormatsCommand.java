package nexa.cli;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.shape.Shape;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(name = "formats", description = "Show or change a shoot's brief.")
final class FormatsCommand extends ShootCommand {
    @Option(
            names = "--add",
            paramLabel = "NAME=SHAPE",
            description = "Add a format, such as Print=4:5, Web=1.91:1, Any=free or Whole=\"as photo\".")
    private List<String> added = new ArrayList<>();

    @Option(names = "--remove", paramLabel = "NAME", description = "Remove a format; its crops are kept.")
    private List<String> removed = new ArrayList<>();

    @Override
    boolean run(Shoot shoot, Rows rows) throws IOException {
        Brief before = shoot.brief();
        Brief after = before;
        for (String name : removed) {
            after = after.without(format(shoot, name));
        }
        for (String addition : added) {
            after = with(after, addition);
        }
        if (!after.equals(before)) {
            requireEditing(shoot);
            shoot.apply(Edit.brief("edit.brief", before, after));
        }
        for (Format format : after.formats()) {
            rows.add()
                    .with("name", format.name())
                    .with("shape", format.shape().text())
                    .with(
                            "orientation",
                            format.rule().name().toLowerCase(Locale.ROOT).replace('_', ' '));
        }
        return true;
    }

    private Brief with(Brief brief, String addition) {
        int equals = addition.lastIndexOf('=');
        if (equals < 0) {
            throw wrong("Write a format to add as NAME=SHAPE, such as Print=4:5, not “" + addition + "”");
        }
        try {
            return brief.with(addition.substring(0, equals), Shape.parse(addition.substring(equals + 1)));
        } catch (IllegalArgumentException refused) {
            throw wrong(String.valueOf(refused.getMessage()));
        }
    }
}
