package nexa.desktop.find;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.widget.CommandItem;
import org.jspecify.annotations.Nullable;

/** Common commands by a right click on what they are for. */
public final class CommandMenu {
    /** For a photo on the Bench, and its frame. */
    public static final List<List<Command>> BENCH = List.of(
            List.of(Command.LEVEL_LINE, Command.AUTO_LEVEL, Command.PLUMB, Command.QUARTER, Command.MIRROR),
            List.of(Command.DRAW, Command.SWAP, Command.NUMBERS, Command.FILL, Command.MARK, Command.CLEAR),
            List.of(Command.SIDE_BY_SIDE, Command.ALTERNATES, Command.CARRY, Command.SET_ASIDE));

    /** For photos on the Wall. */
    public static final List<List<Command>> WALL = List.of(
            List.of(Command.BENCH, Command.SIDE_BY_SIDE, Command.AUTO_LEVEL, Command.QUARTER, Command.QUARTER_BACK),
            List.of(Command.CARRY, Command.CARRY_AGAIN, Command.CHECK_ALL, Command.CLEAR, Command.SET_ASIDE),
            List.of(Command.SELECT_ALIKE, Command.SELECT_ALL));

    private final Keys keys;
    private final Findables.Commands commands;
    private @Nullable ContextMenu menu;

    public CommandMenu(Keys keys, Findables.Commands commands) {
        this.keys = keys;
        this.commands = commands;
    }

    /** Opens groups of commands by a right click on a node, with the keys that they have by then. */
    public void on(Node node, List<List<Command>> groups) {
        node.setOnContextMenuRequested(event -> {
            ContextMenu menu = shown();
            menu.getItems().setAll(items(groups));
            menu.show(node, event.getScreenX(), event.getScreenY());
            event.consume();
        });
    }

    /** The one for all nodes, which is a window of its own. */
    private ContextMenu shown() {
        if (menu == null) {
            menu = new ContextMenu();
            menu.setAutoHide(true);
        }
        return menu;
    }

    private List<MenuItem> items(List<List<Command>> groups) {
        List<MenuItem> items = new ArrayList<>();
        for (List<Command> group : groups) {
            List<Command> possible = group.stream().filter(commands::can).toList();
            if (!items.isEmpty() && !possible.isEmpty()) {
                items.add(new SeparatorMenuItem());
            }
            possible.forEach(command -> items.add(item(command)));
        }
        return items;
    }

    private MenuItem item(Command command) {
        MenuItem item = new CommandItem(command, keys, () -> commands.run(command));
        item.setId("menu-" + command);
        return item;
    }
}
