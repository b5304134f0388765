package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Parts;
import amberheron.core.drivelog.ColumnFacts;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.units.UnitChoice;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polyline;
import org.jspecify.annotations.Nullable;

/** A column of a log: its name, what its numbers run over, how they go, and what it is taken for. */
final class ColumnRow {
    private static final double TRACE = 84;
    private static final double HIGH = 20;
    /** Points of the small trace. */
    private static final int POINTS = 60;

    /** What a column may be taken for; nothing by itself. */
    record Use(@Nullable LogChannel channel) {
        static final List<Use> ALL = Stream
                .concat(Stream.of(new Use(null)), Arrays.stream(LogChannel.values()).map(Use::new)).toList();

        String words() {
            return channel == null ? say("not used") : channel.words();
        }
    }

    private final Choice<Use> choice;
    private final Label because = Parts.line("", "soft");
    private final Node node;

    /**
     * A row.
     *
     * @param taken what the column is taken for now
     * @param pick takes another use of it
     */
    ColumnRow(ColumnFacts facts, Function<ColumnFacts, Use> taken, BiConsumer<ColumnFacts, LogChannel> pick) {
        choice = Choice.list(facts.name(), "prove.column." + facts.index(), Use.ALL, Use::words,
                () -> taken.apply(facts), use -> {
                    if (use.channel() != null) {
                        pick.accept(facts, Objects.requireNonNull(use.channel()));
                    }
                }).inTable();
        Label name = Parts.line(facts.name() + (facts.unit().isEmpty() ? "" : ", " + facts.unit()), "strong");
        name.setMinWidth(Region.USE_PREF_SIZE);
        Label range = Parts.line(range(facts), "figure", "soft");
        range.setMinWidth(96);
        range.setAlignment(Pos.CENTER_RIGHT);
        choice.setMinWidth(150);
        HBox.setHgrow(choice, Priority.ALWAYS);
        HBox line = new HBox(10, trace(facts), range, choice);
        line.setAlignment(Pos.CENTER_LEFT);
        HBox head = new HBox(8, name, because);
        head.setAlignment(Pos.BASELINE_LEFT);
        node = new VBox(head, line);
    }

    private static String range(ColumnFacts facts) {
        if (facts.values().length == 0) {
            return facts.clock() ? say("times of day") : say("no numbers");
        }
        return say("%s to %s", figure(Arrays.stream(facts.values()).min().orElseThrow()),
                figure(Arrays.stream(facts.values()).max().orElseThrow()));
    }

    private static String figure(double value) {
        return UnitChoice.digits(value, Math.abs(value) < 100 ? 2 : 0);
    }

    private static Polyline trace(ColumnFacts facts) {
        double[] all = facts.values();
        double least = Arrays.stream(all).min().orElse(0);
        double span = Arrays.stream(all).max().orElse(0) - least;
        int points = Math.min(POINTS, all.length);
        Polyline line = new Polyline();
        for (int i = 0; i < points; i++) {
            double value = all[(int) ((long) i * all.length / points)];
            line.getPoints().addAll(TRACE * i / Math.max(1, points - 1),
                    span == 0 ? HIGH / 2 : HIGH - HIGH * (value - least) / span);
        }
        line.getStyleClass().add("small-trace");
        return line;
    }

    Node node() {
        return node;
    }

    /** Shows what it is taken for now, and why. */
    void refresh(String reason) {
        choice.refresh();
        Parts.show(because, reason);
    }
}
