package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.VPos;
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
    /**
     * A cell of a part's row.
     *
     * @param text its value as it is shown
     */
    public record Cell(Node node, Runnable refresh, Supplier<String> text) {
    }

    /**
     * A column, as wide as its cells need.
     *
     * @param grows whether it takes the room that is left, which without any such column all share
     * @param make a cell of the part with an id
     * @param taken what is typed or pasted as a part's value
     */
    public record Column(String name, boolean grows, Function<String, Cell> make, Taken taken) {
    }

    /** Takes a text as a value of the part with an id. */
    @FunctionalInterface
    public interface Taken {
        /**
         * Returns the job with it.
         *
         * @throws Unusable where it cannot be used
         */
        Job into(Job job, String part, String text);
    }

    private record Row(Label number, List<Cell> cells) {
    }

    private static final double NUMBER = 16;

    private final GridPane grid = new GridPane();
    private final List<Label> heads = new ArrayList<>();
    /** Number of lines in which a part is written: as many as it takes for nothing to be cut. */
    private int lines = 1;
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
        grid.setHgap(3);
        grid.setVgap(2);
        grid.getColumnConstraints().add(new ColumnConstraints(NUMBER));
        for (Column c : columns) {
            Label head = Parts.line(c.name(), "column-head");
            head.setMinWidth(USE_PREF_SIZE);
            GridPane.setValignment(head, VPos.BOTTOM);
            heads.add(head);
        }
        // What is too narrow for one shape has another.
        setMinWidth(0);
        grid.setMinWidth(0);
        widthProperty().addListener((o, was, now) -> fit());
        FlowPane buttons = new FlowPane(6, 6,
                Parts.button(more, id + ".add", this::add, "quiet"),
                Parts.button(say("Earlier"), id + ".earlier", () -> moveTo(-1), "quiet"),
                Parts.button(say("Later"), id + ".later", () -> moveTo(1), "quiet"),
                Parts.button(say("Remove"), id + ".remove", this::remove, "quiet"),
                Parts.line(say("Ctrl+Enter adds · Alt+↑ ↓ moves · Ctrl+Del removes"), "note"));
        getChildren().addAll(grid, buttons);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        Copied.onKeys(this, () -> list.copy(shown.size() > at ? text(at) : ""), () -> list.copy(text()));
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
            fit();
        }
        at = Math.clamp(at, 0, Math.max(0, ids.size() - 1));
        rows.values().forEach(r -> r.cells.forEach(c -> c.refresh().run()));
        mark();
    }

    private void lay() {
        List<Node> nodes = new ArrayList<>(heads);
        for (int i = 0; i < shown.size(); i++) {
            Row row = rows.computeIfAbsent(shown.get(i), this::row);
            row.number.setText(String.valueOf(i + 1));
            nodes.add(row.number);
            row.cells.forEach(cell -> nodes.add(cell.node()));
        }
        // A row that was moved keeps the focus.
        Node focused = grid.isFocusWithin() ? getScene().getFocusOwner() : null;
        grid.getChildren().setAll(nodes);
        if (focused != null) {
            focused.requestFocus();
        }
        place();
    }

    /** The first of the shapes in which nothing is narrower than it must be. */
    private void fit() {
        if (getScene() == null || getWidth() <= 0) {
            return;
        }
        grid.applyCss();
        int before = lines;
        lines = 1;
        name(false);
        if (needed() > getWidth()) {
            name(true);
            while (needed() > getWidth() && lines < columns.size()) {
                lines++;
            }
        }
        if (lines != before) {
            place();
        }
    }

    private int inALine() {
        return Math.ceilDiv(columns.size(), lines);
    }

    private double needed() {
        double[] widths = new double[inALine()];
        for (int c = 0; c < columns.size(); c++) {
            widths[c % widths.length] = Math.max(widths[c % widths.length],
                    Math.max(heads.get(c).minWidth(-1), cells(c)));
        }
        return NUMBER + Arrays.stream(widths).sum() + grid.getHgap() * widths.length;
    }

    private double cells(int column) {
        return rows.values().stream().mapToDouble(row -> row.cells.get(column).node().minWidth(-1)).max().orElse(0);
    }

    /** Writes the heads; those that are wider than their cells in two lines, where that is wanted. */
    private void name(boolean broken) {
        for (int c = 0; c < columns.size(); c++) {
            Label head = heads.get(c);
            String name = columns.get(c).name();
            head.setText(name);
            if (broken && head.minWidth(-1) > cells(c)) {
                head.setText(inTwoLines(name));
            }
        }
    }

    /** Where the name has a space that is nearest to its middle. */
    private static String inTwoLines(String name) {
        int before = name.lastIndexOf(' ', name.length() / 2);
        int after = name.indexOf(' ', name.length() / 2);
        int at = before < 0 || (after >= 0 && after < name.length() - before) ? after : before;
        return at < 0 ? name : name.substring(0, at) + "\n" + name.substring(at + 1);
    }

    private void place() {
        int each = inALine();
        for (int c = 0; c < columns.size(); c++) {
            GridPane.setConstraints(heads.get(c), 1 + c % each, c / each);
        }
        for (int i = 0; i < shown.size(); i++) {
            Row row = Objects.requireNonNull(rows.get(shown.get(i)));
            int from = lines * (i + 1);
            GridPane.setConstraints(row.number, 0, from);
            for (int c = 0; c < columns.size(); c++) {
                GridPane.setConstraints(row.cells.get(c).node(), 1 + c % each, from + c / each);
            }
        }
        grid.getColumnConstraints().remove(1, grid.getColumnConstraints().size());
        boolean all = columns.stream().noneMatch(Column::grows);
        for (int i = 0; i < each; i++) {
            ColumnConstraints width = new ColumnConstraints();
            width.setHgrow(all || lines > 1 || columns.get(i).grows() ? Priority.ALWAYS : Priority.NEVER);
            grid.getColumnConstraints().add(width);
        }
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

    /**
     * Fills cells to the right of a field and below it, and adds the rows that are lacking, as one step. Where one of them
     * does not fit nothing is taken, and it is said which.
     */
    void paste(Node field, List<List<String>> cells) {
        for (int row = 0; row < shown.size(); row++) {
            List<Cell> here = Objects.requireNonNull(rows.get(shown.get(row))).cells();
            for (int column = 0; column < here.size(); column++) {
                if (Parts.within(field, here.get(column).node())) {
                    list.paste(columns, row, column, cells);
                    return;
                }
            }
        }
    }

    private String text(int row) {
        return Objects.requireNonNull(rows.get(shown.get(row))).cells().stream().map(c -> c.text().get())
                .collect(Collectors.joining("\t"));
    }

    /** The whole table under the names of its columns. */
    private String text() {
        return Stream.concat(Stream.of(columns.stream().map(Column::name).collect(Collectors.joining("\t"))),
                IntStream.range(0, shown.size()).mapToObj(this::text)).collect(Collectors.joining("\n"));
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
