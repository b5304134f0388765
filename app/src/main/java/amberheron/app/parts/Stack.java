package amberheron.app.parts;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/**
 * Nodes under one another that remember how high they are at a width until something inside asks to be laid out again:
 * text that wraps is costly to measure, and every layout asks for its height several times.
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
