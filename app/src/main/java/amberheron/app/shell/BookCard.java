package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.session.Tasks;
import amberheron.io.TextFiles;
import amberheron.io.book.BookAddress;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Photos;
import amberheron.io.book.Transfer;
import amberheron.io.catalogue.CatalogueUpdate;
import java.io.File;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Where the shop's book is, and how jobs get from it into another and back. */
final class BookCard {
    private static final String NO_JOB = "Move the open job there";
    private static final String BOOK = "file or book";
    private static final String NOT_IN = "Not all that was entered is in this book yet; it would be left behind.";

    private final Session session;
    private final Label where = Parts.text("");
    private final TextField other = new TextField();
    private final TextField stick = new TextField();
    private final Button move;
    private final VBox node;

    BookCard(Session session) {
        this.session = session;
        where.setId("book.where");
        other.setId("book.other");
        other.setPromptText(say("a file, or postgresql://USER@HOST/DATABASE"));
        other.setAccessibleText(say("Another book, or a file for a backup"));
        move = Parts.button(word(NO_JOB), "book.move", this::move, "quiet");
        FlowPane ways = new FlowPane(6, 6, Parts.button(say("Back up into it"), "book.backup", this::backUp, "quiet"),
                Parts.button(say("Restore from it"), "book.restore", this::restore, "quiet"), move,
                Parts.button(say("Open it here"), "book.use", this::use, "quiet"));
        stick.setId("book.catalogue");
        stick.setPromptText(say("a folder with fuels.json, laws.json, readers.json or others"));
        stick.setAccessibleText(say("Folder with catalogue files"));
        HBox.setHgrow(stick, Priority.ALWAYS);
        node = Parts.stacked(Parts.card(say("The book"), where, other, ways, Parts.text(
                say("A book on a PostgreSQL server (15 or newer) is shared by all bays. What this bay "
                        + "has seen of it is copied here, and goes on when the server does not answer. A "
                        + "backup is a book in a file."),
                "soft")),
                Parts.card(say("The catalogue"),
                        new HBox(8, stick, Parts.button(say("Take it up"), "book.take", this::takeUp, "quiet")),
                        Parts.text(
                                say("Fuels, laws, readers, wires, controllers and streams from a stick or a share; an "
                                        + "entry takes the place of yours with the same id. Jobs keep what they were made with."),
                                "soft")));
    }

    private void takeUp() {
        if (isSaid(stick, "folder")) {
            String from = stick.getText();
            session.background().run(say("Taking up the catalogue"),
                    () -> CatalogueUpdate.take(TextFiles.path(from), session.home().resolve("catalogue")).said(),
                    said -> {
                        if (!session.isIn()) {
                            return say("%s They are offered from the next start on.", said);
                        }
                        Platform.runLater(session::openAnew);
                        return said;
                    });
        }
    }

    VBox node() {
        return node;
    }

    void refresh() {
        String name = session.book().name();
        String home = session.home() + File.separator;
        where.setText((session.away() ? say("▲ out of reach: ") : "")
                + (name.startsWith(home) ? say("%s on this machine", name.substring(home.length())) : name));
        move.setText(session.isOpen() ? say("Move %s there", session.job().id()) : word(NO_JOB));
        move.setDisable(!session.isOpen());
    }

    private void backUp() {
        if (isSaid(other, BOOK)) {
            String file = other.getText();
            carry(say("Backing up"), progress -> Transfer.backup(session.book(), TextFiles.path(file),
                    (job, photo) -> Photos.beside(session.home(), job, photo), progress::at));
        }
    }

    private void restore() {
        if (isSaid(other, BOOK)) {
            String file = other.getText();
            carry(say("Restoring"), progress -> Transfer.restore(TextFiles.path(file), session.book(), id -> false,
                    progress::at));
        }
    }

    private void move() {
        String job = session.job().id();
        if (!isSaid(other, BOOK)) {
            return;
        }
        if (!session.putAway()) {
            session.tell(say("%s is not all in the book yet; move it once it is saved.", job));
            return;
        }
        String there = other.getText().strip();
        carry(say("Moving %s", job), progress -> {
            try (OpenBook to = OpenBook.at(BookAddress.parse(there), session.home())) {
                return Transfer.move(session.book(), to, List.of(job), progress::at);
            }
        });
    }

    /** Looked at first: what cannot be reached is not chosen. What is not in this book yet would be left behind. */
    private void use() {
        if (!isSaid(other, BOOK)) {
            return;
        }
        if (session.preferences().shop().demo() || !session.isIn()) {
            session.tell(session.preferences().shop().demo() ? say("The demo has a book of its own.") : word(NOT_IN));
            return;
        }
        String address = other.getText().strip();
        session.background().run(say("Looking at the other book"),
                () -> OpenBook.choose(address, Optional.ofNullable(System.getenv(BookAddress.PASSWORD)), session.home(),
                        session.book().preferences()),
                said -> {
                    // It may hold a password.
                    other.clear();
                    if (!session.isIn()) {
                        return say("%s. It is opened at the next start: %s", said, word(NOT_IN));
                    }
                    Platform.runLater(session::openAnew);
                    return say("%s. The jobs of this book stay in it.", said);
                });
    }

    /** Whether a field says where; else it is asked for. */
    private boolean isSaid(TextField field, String what) {
        if (field.getText().isBlank()) {
            session.tell(say("Say which %s: its place goes into the field.", what));
            field.requestFocus();
            return false;
        }
        return true;
    }

    private void carry(String what, Function<Tasks.Progress, Transfer> how) {
        session.background().run(what, how, this::said);
    }

    private String said(Transfer done) {
        session.listJobs();
        return done.said();
    }
}
