package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.session.Tasks;
import amberheron.io.TextFiles;
import amberheron.io.book.BookAddress;
import amberheron.io.book.BookUnreachable;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Transfer;
import amberheron.io.catalogue.CatalogueUpdate;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
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
        other.setPromptText("a file, or postgresql://USER@HOST/DATABASE");
        other.setAccessibleText("Another book, or a file for a backup");
        move = Parts.button(NO_JOB, "book.move", this::move, "quiet");
        FlowPane ways = new FlowPane(6, 6, Parts.button("Back up into it", "book.backup", this::backUp, "quiet"),
                Parts.button("Restore from it", "book.restore", this::restore, "quiet"), move,
                Parts.button("Open it from the next start on", "book.use", this::use, "quiet"));
        stick.setId("book.catalogue");
        stick.setPromptText("a folder with fuels.json, laws.json, readers.json or others");
        stick.setAccessibleText("Folder with catalogue files");
        HBox.setHgrow(stick, Priority.ALWAYS);
        node = Parts.stacked(Parts.card("The book", where, other, ways, Parts.text(
                "A book on a PostgreSQL server (15 or newer) is shared by all bays. What this bay has seen of it is copied "
                        + "here, and goes on when the server does not answer. A backup is a book in a file.",
                "soft")),
                Parts.card("The catalogue",
                        new HBox(8, stick, Parts.button("Take it up", "book.take", this::takeUp, "quiet")),
                        Parts.text(
                                "Fuels, laws, readers, wires, controllers and streams from a stick or a share; an entry takes "
                                        + "the place of yours with the same id. Jobs keep what they were made with.",
                                "soft")));
    }

    private void takeUp() {
        if (stick.getText().isBlank()) {
            session.tell("Say which folder: its place goes into the field.");
            stick.requestFocus();
            return;
        }
        Path from = TextFiles.path(stick.getText());
        session.inBackground("Taking up the catalogue",
                () -> CatalogueUpdate.take(from, session.home().resolve("catalogue")).said()
                        + " They are offered from the next start on.");
    }

    VBox node() {
        return node;
    }

    void refresh() {
        String name = session.book().name();
        String home = session.home() + File.separator;
        where.setText((session.away() ? "▲ out of reach: " : "")
                + (name.startsWith(home) ? name.substring(home.length()) + " on this machine" : name));
        move.setText(session.isOpen() ? say("Move %s there", session.job().id()) : NO_JOB);
        move.setDisable(!session.isOpen());
    }

    private void backUp() {
        carry("Backing up", progress -> Transfer.backup(session.book(), TextFiles.path(other.getText()), progress::at));
    }

    private void restore() {
        carry("Restoring", progress -> Transfer.restore(TextFiles.path(other.getText()), session.book(), id -> false,
                progress::at));
    }

    private void move() {
        String job = session.job().id();
        if (nowhere()) {
            return;
        }
        if (!session.putAway()) {
            session.tell(say("%s is not all in the book yet; move it once it is saved.", job));
            return;
        }
        carry("Moving " + job, progress -> {
            try (OpenBook to = OpenBook.at(BookAddress.parse(other.getText().strip()), session.home())) {
                return Transfer.move(session.book(), to, List.of(job), progress::at);
            }
        });
    }

    /** Opened first: what cannot be reached is not chosen. */
    private void use() {
        String address = other.getText().strip();
        session.inBackground("Looking at the other book", () -> {
            BookAddress there = BookAddress.parse(address);
            try (OpenBook book = OpenBook.at(there, session.home())) {
                int jobs = book.jobs().size();
                if (!book.inReach()) {
                    throw new BookUnreachable(book.name());
                }
                BookAddress.choose(session.home(), address);
                return say("%s has %d jobs. It is opened from the next start on; the jobs of this one stay in it.",
                        there.shown(), jobs);
            }
        }, said -> {
            // It may hold a password.
            other.clear();
            return said;
        });
    }

    private boolean nowhere() {
        if (other.getText().isBlank()) {
            session.tell("Say which file or book: its place goes into the field.");
            other.requestFocus();
            return true;
        }
        return false;
    }

    private void carry(String what, Function<Tasks.Progress, Transfer> how) {
        if (!nowhere()) {
            session.inBackground(what, how, this::said);
        }
    }

    private String said(Transfer done) {
        session.listJobs();
        return done.said();
    }
}
