package amberheron.app.parts;

import javafx.scene.Node;

/** Cards in two columns, or under one another where there is no room for two or for what must not be cut in them. */
public final class Columns extends LaidByWidth {
    private static final double GAP = 12;
    /** Part of the width that the left column takes; checks stand there and need the room for their figures. */
    private static final double LEFT_PART = 0.56;
    private final double narrowest;
    private final double part;

    /** Two columns of cards, each at least so wide, filled in turn: left, right, left… */
    public Columns(double narrowest, Node... cards) {
        this(narrowest, LEFT_PART, cards);
    }

    /** Two columns of one width. */
    public static Columns even(double narrowest, Node... cards) {
        return new Columns(narrowest, 0.5, cards);
    }

    /** Two columns, the left one twice as wide. */
    public static Columns wideLeft(double narrowest, Node... cards) {
        return new Columns(narrowest, 0.66, cards);
    }

    private Columns(double narrowest, double part, Node... cards) {
        this.narrowest = narrowest;
        this.part = part;
        getChildren().addAll(cards);
    }

    /** Least height that the cards of a column need. */
    private double needed(int column) {
        double needed = 0;
        int turn = 0;
        for (Node card : getManagedChildren()) {
            if (turn++ % 2 == column) {
                needed = Math.max(needed, card.minWidth(-1));
            }
        }
        return needed;
    }

    @Override
    protected double computeMinWidth(double height) {
        return 100;
    }

    @Override
    protected double computePrefWidth(double height) {
        return 2 * narrowest + GAP;
    }

    @Override
    double lay(double width, boolean place) {
        double leftNeeds = needed(0);
        double most = width - GAP - needed(1);
        boolean two = width >= 2 * narrowest + GAP && leftNeeds <= most;
        // Its part of the width, but for what one of the two must not be without.
        double left = two ? Math.floor(Math.clamp((width - GAP) * part, leftNeeds, most)) : width;
        double right = width - GAP - left;
        double[] y = {0, 0};
        int turn = 0;
        for (Node card : getManagedChildren()) {
            int column = two ? turn % 2 : 0;
            double each = column == 0 ? left : right;
            double height = Math.ceil(card.prefHeight(each));
            if (place) {
                card.resizeRelocate(column == 0 ? 0 : left + GAP, y[column], each, height);
            }
            y[column] += height + GAP;
            turn++;
        }
        return Math.max(0, Math.max(y[0], y[1]) - GAP);
    }
}
