package amberheron.app.shell;

import javafx.scene.input.KeyCombination;
import org.jspecify.annotations.Nullable;

/** Something that can be done: the same for key, button and palette. */
public record Command(String kind, String text, @Nullable KeyCombination keys, Runnable run) {
    /** How the key is written. */
    public String hint() {
        return keys == null ? "" : keys.getDisplayText();
    }
}
