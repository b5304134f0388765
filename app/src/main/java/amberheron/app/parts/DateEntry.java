package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.Job;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A day, typed or picked. What is no day stays as it was. */
public final class DateEntry extends VBox implements Refreshed {
    private final Function<Job, @Nullable LocalDate> read;
    private final Session session;
    private final DatePicker picker = new DatePicker();
    private boolean refreshing;

    /** A field for a day of the job. */
    public DateEntry(Session session, String name, String key, Function<Job, @Nullable LocalDate> read,
            BiFunction<Job, @Nullable LocalDate, Job> write) {
        this.session = session;
        this.read = read;
        Label label = Parts.line(name, "field-name");
        label.setLabelFor(picker);
        picker.setId(key);
        picker.setPromptText(say("day, “today” or −3"));
        picker.setAccessibleText(name);
        picker.setMaxWidth(Double.MAX_VALUE);
        picker.setConverter(new javafx.util.StringConverter<>() {
            @Override
            public String toString(LocalDate value) {
                return value == null ? "" : Figures.day(value);
            }

            @Override
            public @Nullable LocalDate fromString(String text) {
                String typed = text == null ? "" : text.strip();
                if (typed.isEmpty()) {
                    return null;
                }
                Optional<LocalDate> day = Figures.days().read(typed, session.today());
                if (day.isEmpty()) {
                    session.tell(say("%s: found “%s”, expected a day such as %s, today or −3", name, typed,
                            Figures.days().example()));
                }
                return day.orElseGet(() -> read.apply(session.job()));
            }
        });
        picker.valueProperty().addListener((o, was, now) -> {
            if (!refreshing) {
                session.edit(name + (now == null ? say(" cleared") : " " + Figures.day(now)), j -> write.apply(j, now));
            }
        });
        getChildren().addAll(label, picker);
        getStyleClass().add("entry");
    }

    @Override
    public void refresh() {
        refreshing = true;
        picker.setValue(read.apply(session.job()));
        refreshing = false;
    }
}
