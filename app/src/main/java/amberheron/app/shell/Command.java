package amberheron.app.shell;

import javafx.scene.input.KeyCombination;
import org.jspecify.annotations.Nullable;

/**
 * Something that can be done: the same for key, button and palette.
 *
 * @param words other words that people look for it by
 */
public record Command(String kind, String text, String words, @Nullable KeyCombination keys, Runnable run) {
    /** Without other words. */
    public Command(String kind, String text, @Nullable KeyCombination keys, Runnable run) {
        this(kind, text, "", keys, run);
    }

    /** Returns the command with other words that people look for it by. */
    Command also(String other) {
        return new Command(kind, text, other, keys, run);
    }

    /** How the key is written. */
    public String hint() {
        return keys == null ? "" : keys.getDisplayText();
    }
}
