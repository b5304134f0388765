package amberheron.app.parts;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Parts of a list as rows that are edited where they stand. Keys act on the row with the focus: Ctrl+Enter adds one after
 * it, Alt+Up and Alt+Down move it, Ctrl+Delete removes it.
 */
public final class EditTable extends VBox {
    /** One value of a part. */
    public record Cell(Node node, Runnable refresh) {
    }

    /**
     * A column.
     *
     * @param weight of the width it takes
     * @param make a cell of the part with an id
     */
    public record Column(String name, double weight, Function<String, Cell> make) {
    }

    private record Row(Label number, List<Cell> cells) {
    }

    /** Part of the width that the columns share, in hundredths; the rest is for the number of the row. */
    private static final double SHARED = 94;

    private final GridPane grid = new GridPane();
    private final List<Column> columns;
    private final PartList<?> list;
    private final Map<String, Row> rows = new HashMap<>();
    private List<String> shown = List.of();
    private int at;

    /**
     * A table without rows.
     *
     * @param id of its buttons
     * @param more what the button that adds says
     * @param list what the rows show, and keys and buttons change
     */
    public EditTable(String id, String more, PartList<?> list, List<Column> columns) {
        this.columns = List.copyOf(columns);
        this.list = list;
        setSpacing(6);
        grid.setHgap(4);
        grid.setVgap(2);
        ColumnConstraints number = new ColumnConstraints(20);
        grid.getColumnConstraints().add(number);
        double whole = columns.stream().mapToDouble(Column::weight).sum();
        for (Column c : columns) {
            ColumnConstraints width = new ColumnConstraints();
            width.setPercentWidth(SHARED * c.weight() / whole);
            width.setHgrow(Priority.ALWAYS);
            grid.getColumnConstraints().add(width);
        }
        FlowPane buttons = new FlowPane(6, 6,
                Parts.button(more, id + ".add", this::add, "quiet"),
                Parts.button("Earlier", id + ".earlier", () -> moveTo(-1), "quiet"),
                Parts.button("Later", id + ".later", () -> moveTo(1), "quiet"),
                Parts.button("Remove", id + ".remove", this::remove, "quiet"),
                Parts.line("Ctrl+Enter adds · Alt+↑ ↓ moves · Ctrl+Del removes", "note"));
        getChildren().addAll(grid, buttons);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    }

    private void key(KeyEvent e) {
        boolean taken = true;
        if (e.isShortcutDown() && e.getCode() == KeyCode.ENTER) {
            add();
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.DELETE) {
            remove();
        } else if (e.isAltDown() && e.getCode() == KeyCode.UP) {
            moveTo(-1);
        } else if (e.isAltDown() && e.getCode() == KeyCode.DOWN) {
            moveTo(1);
        } else {
            taken = false;
        }
        if (taken) {
            e.consume();
        }
    }

    private void add() {
        list.addAfter(Math.min(at, shown.size() - 1));
    }

    private void moveTo(int by) {
        int to = at + by;
        if (at < shown.size() && to >= 0 && to < shown.size()) {
            int from = at;
            at = to;
            list.move(from, by);
        }
    }

    private void remove() {
        if (at < shown.size()) {
            int gone = at;
            at = Math.max(0, at - 1);
            list.remove(gone);
        }
    }

    /** Makes keys and buttons act on the row of a part. */
    private void at(String part) {
        int place = shown.indexOf(part);
        if (place >= 0) {
            at = place;
            mark();
        }
    }

    /** Shows the list as it is now. */
    public void refresh() {
        List<String> ids = list.ids();
        if (!ids.equals(shown)) {
            shown = ids;
            rows.keySet().retainAll(ids);
            lay();
        }
        at = Math.clamp(at, 0, Math.max(0, ids.size() - 1));
        rows.values().forEach(r -> r.cells.forEach(c -> c.refresh().run()));
        mark();
    }

    private void lay() {
        List<Node> nodes = new ArrayList<>();
        IntStream.range(0, columns.size()).forEach(i -> nodes.add(placed(
                Parts.line(columns.get(i).name(), "column-head"), i + 1, 0)));
        for (int i = 0; i < shown.size(); i++) {
            Row row = rows.computeIfAbsent(shown.get(i), this::row);
            row.number.setText(String.valueOf(i + 1));
            nodes.add(placed(row.number, 0, i + 1));
            for (int c = 0; c < columns.size(); c++) {
                nodes.add(placed(row.cells.get(c).node(), c + 1, i + 1));
            }
        }
        // A row that was moved keeps the focus.
        Node focused = grid.isFocusWithin() ? getScene().getFocusOwner() : null;
        grid.getChildren().setAll(nodes);
        if (focused != null) {
            focused.requestFocus();
        }
    }

    private static Node placed(Node node, int column, int row) {
        GridPane.setConstraints(node, column, row);
        return node;
    }

    private Row row(String id) {
        List<Cell> cells = columns.stream().map(c -> c.make().apply(id)).toList();
        cells.forEach(c -> c.node().addEventFilter(javafx.scene.input.MouseEvent.MOUSE_PRESSED, e -> at(id)));
        cells.forEach(c -> {
            if (c.node() instanceof Region region) {
                region.setMaxWidth(Double.MAX_VALUE);
            }
            c.node().focusWithinProperty().addListener((o, was, now) -> {
                if (now) {
                    at(id);
                }
            });
        });
        Label number = Parts.line("", "note");
        return new Row(number, cells);
    }

    private void mark() {
        for (int i = 0; i < shown.size(); i++) {
            Row row = rows.get(shown.get(i));
            if (row != null) {
                Parts.style(row.number, "row-here", i == at);
            }
        }
    }
}
