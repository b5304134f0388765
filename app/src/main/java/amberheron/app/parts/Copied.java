package amberheron.app.parts;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Session;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** What is copied for another program: text as it is shown, cells apart by tabs. */
public final class Copied {
    private static final KeyCombination ONE = new KeyCodeCombination(KeyCode.C, KeyCombination.SHORTCUT_DOWN);
    private static final KeyCombination ALL = new KeyCodeCombination(KeyCode.C, KeyCombination.SHORTCUT_DOWN,
            KeyCombination.SHIFT_DOWN);

    private Copied() {
    }

    /** Puts a text on the clipboard and says what was copied. */
    public static void text(Session session, String what, String text) {
        ClipboardContent content = new ClipboardContent();
        content.putString(text);
        Clipboard.getSystemClipboard().setContent(content);
        session.tell(say("Copied: %s", what));
    }

    /**
     * Copies at Ctrl+C within a node, and all of it at Ctrl+Shift+C. What is marked in a field is copied by the field itself.
     *
     * @param one copies what the keys are at
     * @param all copies the whole
     */
    public static void onKeys(Node in, Runnable one, Runnable all) {
        in.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            boolean marked = e.getTarget() instanceof TextInputControl field && !field.getSelectedText().isEmpty();
            if (ALL.match(e)) {
                all.run();
                e.consume();
            } else if (ONE.match(e) && !marked) {
                one.run();
                e.consume();
            }
        });
    }

    /** Copies a text at Ctrl+C within a node. */
    public static void onKeys(Node in, Session session, Supplier<String> text) {
        Runnable copy = () -> {
            String copied = text.get();
            text(session, copied, copied);
        };
        onKeys(in, copy, copy);
    }
}
