package amberheron.app.home;

import java.nio.file.Path;

/** Where the book, the shop's catalogue and the packs are kept. */
public final class Home {
    private Home() {
    }

    /** {@code HERON_HOME}, else a folder of the user's own. */
    public static Path folder() {
        String own = System.getenv("HERON_HOME");
        return own != null && !own.isBlank() ? Path.of(own) : Path.of(System.getProperty("user.home"), ".amber-heron");
    }
}
