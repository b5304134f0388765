package amberheron.app.parts;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/**
 * A column of nodes that remembers its height at a width until something inside asks for layout: wrapped text is costly to
 * measure, and every layout asks for its height several times.
 */
class Stack extends VBox {
    private double width = Double.NaN;
    private double height;

    Stack(double spacing, Node... content) {
        super(spacing, content);
    }

    @Override
    public void requestLayout() {
        width = Double.NaN;
        super.requestLayout();
    }

    @Override
    protected double computePrefHeight(double forWidth) {
        if (width != forWidth) {
            height = super.computePrefHeight(forWidth);
            width = forWidth;
        }
        return height;
    }
}
