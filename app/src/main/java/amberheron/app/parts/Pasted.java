package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Session;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import org.jspecify.annotations.Nullable;

/** A field whose paste knows cells: of itself a field drops tabs and line ends, and two numbers become one. */
public final class Pasted extends TextField {
    private final Session session;
    private @Nullable Consumer<List<List<String>>> several;

    /** An empty field; cells go to the table that it stands in. */
    public Pasted(Session session) {
        this.session = session;
    }

    /** Returns the field with what is done with rows of cells. */
    public Pasted onCells(Consumer<List<List<String>>> taken) {
        several = taken;
        return this;
    }

    @Override
    public void paste() {
        String text = Optional.ofNullable(Clipboard.getSystemClipboard().getString()).orElse("").strip();
        if (text.chars().noneMatch(c -> c == '\t' || c == '\n' || c == '\r')) {
            super.paste();
            return;
        }
        Optional<EditTable> table = table();
        if (several != null) {
            several.accept(cells(text));
        } else if (table.isPresent()) {
            table.get().paste(this, cells(text));
        } else {
            session.tell(
                    say("Several cells were pasted, and this is one field: found “%s”. Paste one, or all into a table.",
                            text.replaceAll("[\t\r\n]+", " | ")));
        }
    }

    private Optional<EditTable> table() {
        for (Node n = this; n != null; n = n.getParent()) {
            if (n instanceof EditTable table) {
                return Optional.of(table);
            }
        }
        return Optional.empty();
    }

    /** Rows of cells. */
    static List<List<String>> cells(String text) {
        return text.lines().map(row -> Arrays.stream(row.split("\t", -1)).map(String::strip).toList()).toList();
    }
}
