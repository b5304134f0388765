package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Refused;
import amberheron.core.job.Entries;
import amberheron.core.job.Job;
import amberheron.core.parts.Address;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Parsed;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unusable;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.animation.PauseTransition;
import javafx.css.PseudoClass;
import javafx.scene.TraversalDirection;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/**
 * A field for a quantity of the job, typed as people type it. Enter keeps it and moves on. An entry that cannot be used
 * stays as typed, with what was expected under it, and is saved with the job all the same.
 */
public final class EntryField extends VBox implements Refreshed {
    private static final PseudoClass CHANGED = PseudoClass.getPseudoClass("changed");
    private static final PseudoClass SIMULATED = PseudoClass.getPseudoClass("simulated");

    private static final double FAULT_IN_TABLE = 150;

    private final Session session;
    private final QuantityField field;
    private final int decimals;
    private final Supplier<Address> address;
    private final Function<Job, @Nullable Double> read;
    private final BiFunction<Job, @Nullable Double, Job> write;
    private final TextField input;
    private final Label fault = Parts.text("", "fault");
    private String shownLast = "";
    private boolean onClockFace;
    private @Nullable Function<Job, Origin> ownOrigin;
    private BiFunction<Job, Double, Optional<Message>> question = (job, value) -> Optional.empty();
    private final Label name;
    private String seenOf = "";
    private @Nullable Double seen;
    private @Nullable PauseTransition fading;

    /**
     * A field.
     *
     * @param address of the value; of another part's when another is looked at
     * @param decimals shown, in the field's unit
     */
    public EntryField(Session session, QuantityField field, int decimals, Supplier<Address> address,
            Function<Job, @Nullable Double> read, BiFunction<Job, @Nullable Double, Job> write) {
        this.session = session;
        this.field = field;
        this.decimals = decimals;
        this.address = address;
        this.read = read;
        this.write = write;
        input = new Pasted(session);
        name = Parts.name(field.name());
        name.setLabelFor(input);
        input.setId(address.get().key());
        input.setAccessibleText(field.name());
        input.setPromptText(prompt(field));
        input.setMinWidth(40);
        input.setOnAction(e -> {
            if (commit(true)) {
                input.requestFocusTraversal(TraversalDirection.NEXT);
            }
        });
        input.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                commit(false);
            }
        });
        Parts.undoFrom(input, session, this::unchanged);
        Parts.onEscape(input, this::putBack);
        // Made when it is looked for: there are hundreds of fields.
        input.setOnMouseEntered(e -> input.setTooltip(origin().map(Tooltip::new).orElse(null)));
        Parts.show(fault, false);
        getChildren().addAll(name, input, fault);
        getStyleClass().add("entry");
    }

    /** Returns the field without its name, for the cell of a table whose column is named. */
    public EntryField inTable() {
        getChildren().removeFirst();
        input.setPromptText("");
        // As wide as what is usual there, with its unit.
        getStyleClass().addAll("in-table", field.dimension() == Dimension.ANGLE
                ? "narrow-in-table"
                : field.unit().symbol().length() > 2 ? "long-in-table" : "figure-in-table");
        input.setPrefWidth(30);
        // What is wrong goes over several lines, so that the other columns keep their room.
        fault.setPrefWidth(FAULT_IN_TABLE);
        return this;
    }

    /** Takes the origin of the value from the reading itself. */
    public EntryField ownOrigin(Function<Job, Origin> from) {
        ownOrigin = from;
        return this;
    }

    /**
     * Asks before a value is kept that hardly can be: it stays as typed, with the question under it, until Enter is pressed on
     * it once more.
     */
    public EntryField asking(BiFunction<Job, Double, Optional<Message>> about) {
        question = about;
        return this;
    }

    /** Shows the angle as a position on the pipe's clock face. */
    public EntryField onClockFace() {
        onClockFace = true;
        input.setPromptText(say("such as 1:52"));
        return this;
    }

    /** The unit that is meant; a value would read like one that is expected here. */
    private static String prompt(QuantityField field) {
        return field.unit().symbol().isEmpty() ? "" : say("in %s", field.unit().symbol());
    }

    @Override
    public void refresh() {
        mark();
        Optional<String> draft = session.job().entries().draft(address.get());
        input.setId(address.get().key());
        if (draft.isPresent()) {
            if (!input.isFocused()) {
                input.setText(draft.get());
            }
            Parsed parsed = judged(draft.get()).parsed();
            showFault(parsed instanceof Parsed.Value value ? unkept(value.si()) : parsed);
            return;
        }
        showFault(new Parsed.Value(0));
        String now = shown();
        // The same words written again would take back what is marked in them.
        if ((!input.isFocused() || unchanged()) && !input.getText().equals(now)) {
            input.setText(now);
        }
        shownLast = now;
    }

    /** The text in it. */
    String text() {
        return input.getText();
    }

    private Optional<String> origin() {
        Origin origin = origin(session.job());
        return Optional.ofNullable(origin.taken()).map(t -> origin.words() + " " + Figures.moment(t));
    }

    private Origin origin(Job job) {
        return ownOrigin == null ? job.entries().origin(address.get()) : ownOrigin.apply(job);
    }

    /** A value that was changed elsewhere, or taken back, is marked for a moment. */
    private void mark() {
        Job job = session.job();
        Double value = read.apply(job);
        String of = job.id() + " " + address.get().key();
        if (of.equals(seenOf) && !Objects.equals(value, seen)) {
            input.pseudoClassStateChanged(CHANGED, true);
            PauseTransition fade = fading == null ? new PauseTransition(Duration.seconds(1.6)) : fading;
            fade.setOnFinished(e -> input.pseudoClassStateChanged(CHANGED, false));
            fade.playFromStart();
            fading = fade;
        }
        seenOf = of;
        seen = value;
        boolean real = value == null || origin(job).real();
        input.pseudoClassStateChanged(SIMULATED, !real);
        name.setText(real ? field.name() : say("sim · %s", field.name()));
    }

    private boolean unchanged() {
        return input.getText().equals(shownLast);
    }

    private String shown() {
        Double value = read.apply(session.job());
        if (value == null) {
            return "";
        }
        return onClockFace
                ? Figures.clock(value)
                : Figures.entry(field, decimals, value, session.preferences().units(), session.job().stoich());
    }

    /** Puts back what is kept in place of what is typed; whether there was anything to put back. */
    private boolean putBack() {
        boolean drafted = session.job().entries().draft(address.get()).isPresent();
        if (!drafted && input.getText().equals(shown())) {
            return false;
        }
        if (drafted) {
            session.edit(say("%s as it was", field.name()),
                    j -> j.withEntries(j.entries().withoutDraft(address.get())));
        }
        shownLast = shown();
        input.setText(shownLast);
        input.selectAll();
        showFault(new Parsed.Value(0));
        return true;
    }

    private Parsed parse(String typed) {
        return Figures.parse(session, field, typed);
    }

    /** Text as typed, and the job as it would then be. */
    private record Judged(Parsed parsed, Job then) {
    }

    /**
     * Judges an entry, and refuses it also where the whole job would be impossible: a wall thicker than its pipe, a place
     * off the run.
     */
    private Judged judged(String typed) {
        Parsed parsed = parse(typed);
        Job now = session.job();
        try {
            return new Judged(parsed, parsed instanceof Parsed.Value v ? write.apply(now, v.si()) : now);
        } catch (Refused e) {
            return new Judged(new Parsed.Bad(Figures.text(session, e.why())), now);
        } catch (Unusable e) {
            return new Judged(new Parsed.Bad(String.valueOf(e.getMessage())), now);
        }
    }

    /** The value, or the question about it. */
    private Parsed asked(double value) {
        return question.apply(session.job(), value)
                .<Parsed>map(q -> new Parsed.Bad(
                        say("%s Enter once more keeps it.", Figures.text(session, q))))
                .orElse(new Parsed.Value(value));
    }

    /** Why an entry that could be used is not kept. */
    private Parsed unkept(double value) {
        return asked(value) instanceof Parsed.Bad bad
                ? bad
                : new Parsed.Bad(say("Not kept yet: press Enter on it."));
    }

    /** Keeps what is typed; false when it cannot be used, or is asked about and was not confirmed. */
    private boolean commit(boolean entered) {
        String typed = input.getText().strip();
        Optional<String> draft = session.job().entries().draft(address.get());
        boolean drafted = draft.isPresent();
        if (!drafted && typed.equals(shown())) {
            return true;
        }
        if (typed.isEmpty()) {
            shownLast = "";
            seen = null;
            session.edit(say("%s cleared", field.name()),
                    j -> write.apply(j, null).withEntries(j.entries().cleared(address.get())));
            return true;
        }
        Judged judged = judged(typed);
        boolean confirmed = entered && draft.filter(typed::equals).isPresent();
        Parsed parsed = judged.parsed() instanceof Parsed.Value v && !confirmed ? asked(v.si()) : judged.parsed();
        showFault(parsed);
        if (parsed instanceof Parsed.Value value) {
            // As entered is as shown from now on, also while the cursor is still in it.
            shownLast = typed;
            seen = value.si();
            if (!drafted && Objects.equals(read.apply(session.job()), value.si())) {
                return true;
            }
            session.edit(
                    field.name() + " "
                            + session.preferences().units().text(measure(value.si()), session.job().stoich()),
                    j -> judged.then().withEntries(entered(j.entries())));
            return true;
        }
        session.edit(say("%s as typed", field.name()), j -> j.withEntries(j.entries().drafted(address.get(), typed)));
        return false;
    }

    private Entries entered(Entries before) {
        return ownOrigin != null ? before.cleared(address.get()) : before.entered(address.get(), session.typed());
    }

    private Measure measure(double si) {
        return new Measure(si, field.dimension(), decimals);
    }

    private void showFault(Parsed parsed) {
        String message = parsed instanceof Parsed.Bad bad ? bad.message() : "";
        fault.setText(message);
        Parts.show(fault, !message.isEmpty());
        input.pseudoClassStateChanged(PseudoClass.getPseudoClass("bad"), !message.isEmpty());
    }
}
