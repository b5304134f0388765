package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Mark;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Navigation;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.job.JobReview;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.trust.Contributor;
import amberheron.core.trust.Trust;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;

/** The stations strung on one line; solid where a link is proven, broken where it is not. */
final class SignalPath extends Pane {
    private static final double LINE_X = 31;
    private static final double FOOT = 56;

    /** A station's name and two lines of its figure, in sizes of the figure's font. */
    private static final double LINES = 4.6;

    private final Session session;
    private final Function<Station, StationModel> models;
    private final Map<Station, Button> buttons = new EnumMap<>(Station.class);
    private final Map<Station, StackPane> marks = new EnumMap<>(Station.class);
    private final Map<Station, Label> figures = new EnumMap<>(Station.class);
    private final Map<Station, Line> lines = new EnumMap<>(Station.class);
    private final Label figure = Parts.line("", "path-trust");
    private final Label most = Parts.line("", "path-figure");
    private final Button foot = new Button();
    private final Tooltip why = new Tooltip();

    SignalPath(Session session, Function<Station, StationModel> models) {
        this.session = session;
        this.models = models;
        getStyleClass().add("path");
        for (Station station : Station.values()) {
            Line line = new Line();
            line.getStyleClass().add("path-line");
            lines.put(station, line);
            getChildren().add(line);
        }
        for (Station station : Station.values()) {
            StackPane mark = new StackPane();
            mark.getStyleClass().add("path-mark");
            mark.setMinSize(26, 26);
            mark.setMaxSize(26, 26);
            Label title = Parts.line(station.title(), "path-title");
            Label key = Parts.line(say("Alt %s", station.number()), "path-key");
            key.setMinWidth(Region.USE_PREF_SIZE);
            Label figure = Parts.text("", "path-figure");
            HBox head = new HBox(title, Parts.spring(), key);
            head.setAlignment(Pos.BASELINE_LEFT);
            VBox words = new VBox(head, figure);
            words.setAlignment(Pos.CENTER_LEFT);
            HBox.setHgrow(words, Priority.ALWAYS);
            HBox row = new HBox(12, mark, words);
            row.setAlignment(Pos.CENTER_LEFT);
            Button button = new Button();
            button.setGraphic(row);
            button.setId("path." + station);
            button.getStyleClass().setAll("path-station");
            button.setOnAction(e -> session.at().go(station));
            button.setAlignment(Pos.CENTER_LEFT);
            row.prefWidthProperty().bind(button.widthProperty().subtract(24));
            buttons.put(station, button);
            marks.put(station, mark);
            figures.put(station, figure);
            getChildren().add(button);
        }
        foot.setGraphic(new VBox(figure, most));
        foot.setId("path.trust");
        foot.getStyleClass().setAll("path-station", "path-foot");
        foot.setAlignment(Pos.CENTER_LEFT);
        foot.setTooltip(why);
        getChildren().add(foot);
    }

    /** Shows λ ± u and the greatest part of it; pressed, it leads there. */
    private void refreshTrust() {
        Optional<Trust> trust = session.isOpen() ? session.review().trust() : Optional.empty();
        Optional<Contributor> by = trust.flatMap(Trust::largest).map(Trust.Share::by);
        figure.setText(trust.map(t -> "± " + Figures.text(session, new Measure(t.worst().u(), Dimension.MIXTURE, 3)))
                .orElse("λ ± ?"));
        most.setText(by.map(b -> say("mostly %s", b.words()))
                .orElse(session.review().state(Station.SCALE) == LinkState.OUT_OF_TOLERANCE
                        ? say("it lies: mend it first")
                        : say("not known yet")));
        why.setText(trust.map(t -> say("%s\n95 of 100 lie within", String.join("\n", t.at().stream()
                .map(a -> Figures.text(session, new Measure(a.lambda(), Dimension.MIXTURE, 2)) + " ± "
                        + Figures.text(session, new Measure(a.u(), Dimension.MIXTURE, 3)))
                .toList())))
                .orElse(say("Needs law, reader, and grounds or check points")));
        foot.setAccessibleText(say("Trust figure: %s, %s", figure.getText(), most.getText()));
        foot.setOnAction(e -> session.at().go(by.map(JobReview::stationOf).orElse(Station.SCALE)));
        foot.setDisable(!session.isOpen());
    }

    void refresh() {
        refreshTrust();
        for (Station station : Station.values()) {
            LinkState state = session.review().state(station);
            String figure = switch (state) {
                case STALE -> Figures.stale(session, station);
                case NOT_NEEDED -> "";
                case RESERVED -> Figures.reserved(session, station);
                default -> models.apply(station).figure(session);
            };
            Parts.fill(get(marks, station), state, () -> List.of(Mark.of(state)));
            Label label = get(figures, station);
            label.setText(figure.isEmpty() ? state.words() : figure);
            Parts.style(label, "wrong", state == LinkState.OUT_OF_TOLERANCE);
            Button button = get(buttons, station);
            button.setDisable(!session.isOpen());
            button.setAccessibleText(station.title() + ", " + state.words() + ". " + figure);
            boolean here = session.at().view() == Navigation.View.STATION && session.at().station() == station;
            Parts.style(button, "here", here);
            Parts.style(get(lines, station), "path-solid", state.done());
            Parts.style(get(lines, station), "path-broken", !state.done());
        }
    }

    private static <V> V get(Map<Station, V> map, Station station) {
        return java.util.Objects.requireNonNull(map.get(station));
    }

    @Override
    protected void layoutChildren() {
        double each = Math.min(78, (getHeight() - 12 - FOOT) / Station.values().length);
        double size = most.getFont().getSize();
        figures.values().forEach(figure -> figure.setWrapText(each - 8 > LINES * size));
        foot.resizeRelocate(8, getHeight() - FOOT, getWidth() - 14, FOOT - 8);
        for (Station station : Station.values()) {
            double y = 8 + each * (station.number() - 1);
            get(buttons, station).resizeRelocate(8, y, getWidth() - 14, each - 8);
            Line line = get(lines, station);
            line.setStartX(LINE_X);
            line.setEndX(LINE_X);
            line.setStartY(y + (each - 8) / 2 + 14);
            line.setEndY(y + each + (each - 8) / 2 - 14);
            line.setVisible(station != Station.HAND_OVER);
        }
    }

    @Override
    protected double computeMinHeight(double width) {
        return 7 * 52 + 12 + FOOT;
    }
}
