package nexa.desktop.paint;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;

/** As many nodes as are needed each time something is shown; those there are serve again. */
final class NodePool<N extends Node> {
    private final List<Node> children;
    private final Supplier<N> maker;
    private final List<N> nodes = new ArrayList<>();
    private int used;

    /** @param children of the parent, to which new ones are added */
    NodePool(List<Node> children, Supplier<N> maker) {
        this.children = children;
        this.maker = maker;
    }

    void begin() {
        used = 0;
    }

    N next() {
        if (used == nodes.size()) {
            N made = maker.get();
            nodes.add(made);
            children.add(made);
        }
        N node = nodes.get(used++);
        node.setVisible(true);
        return node;
    }

    /** Hides those that were not asked for since the beginning. */
    void end() {
        nodes.subList(used, nodes.size()).forEach(node -> node.setVisible(false));
    }
}
