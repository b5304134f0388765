package amberheron.app.parts;

import java.util.List;
import javafx.scene.Node;

/** Nodes side by side that share the width evenly; in as many lines as it takes for none to be narrower than its words. */
final class Evenly extends LaidByWidth {
    private static final double ACROSS = 12;
    private static final double DOWN = 8;

    Evenly(Node... nodes) {
        getChildren().addAll(nodes);
    }

    @Override
    protected double computeMinWidth(double height) {
        return getManagedChildren().stream().mapToDouble(n -> n.minWidth(-1)).max().orElse(0);
    }

    @Override
    protected double computePrefWidth(double height) {
        return needed(getManagedChildren());
    }

    private static double needed(List<Node> line) {
        return line.stream().mapToDouble(n -> n.minWidth(-1)).sum() + ACROSS * Math.max(0, line.size() - 1);
    }

    /** How many stand in a line: all, or as many as leave the lines about equally long. */
    private static int each(List<Node> nodes, double width) {
        for (int lines = 1; lines < nodes.size(); lines++) {
            int each = Math.ceilDiv(nodes.size(), lines);
            boolean fits = true;
            for (int i = 0; i < nodes.size(); i += each) {
                fits &= needed(nodes.subList(i, Math.min(i + each, nodes.size()))) <= width + 0.5;
            }
            if (fits) {
                return each;
            }
        }
        return 1;
    }

    @Override
    double lay(double width, boolean place) {
        List<Node> nodes = getManagedChildren();
        int each = each(nodes, width);
        double y = 0;
        for (int i = 0; i < nodes.size(); i += each) {
            double high = line(nodes.subList(i, Math.min(i + each, nodes.size())), width, y, place);
            y += high + DOWN;
        }
        return Math.max(0, y - DOWN);
    }

    /** Lays out a line: a node that needs more than an even share gets it, the others share the rest. */
    private double line(List<Node> line, double width, double y, boolean place) {
        double[] needs = line.stream().mapToDouble(n -> n.minWidth(-1)).sorted().toArray();
        double rest = width - ACROSS * (line.size() - 1);
        int sharing = needs.length;
        while (sharing > 0 && needs[sharing - 1] > rest / sharing) {
            rest -= needs[--sharing];
        }
        double share = sharing == 0 ? 0 : rest / sharing;
        double x = 0;
        double high = 0;
        for (Node node : line) {
            double wide = Math.max(share, node.minWidth(-1));
            double height = node.prefHeight(wide);
            high = Math.max(high, height);
            if (place) {
                double left = snapPositionX(x);
                node.resizeRelocate(left, y, snapPositionX(x + wide) - left, height);
            }
            x += wide + ACROSS;
        }
        return high;
    }
}
