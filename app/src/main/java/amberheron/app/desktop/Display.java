package amberheron.app.desktop;

import static amberheron.core.units.Phrase.word;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.util.Locale;
import java.util.Objects;

/**
 * Whether a window can be opened here. The demo asks before the toolkit starts, since it works without a screen when there is
 * none and a toolkit that failed cannot be started again; otherwise the toolkit itself says it.
 */
@SuppressWarnings("restricted") // native calls are the only way to ask before the toolkit asks
public enum Display {
    READY(""),
    NO_DISPLAY("no display: there is no screen to open a window on"),
    NO_GTK("a display is there, but GTK 3 is missing: install it (on Debian and its kin: apt-get install libgtk-3-0 libgl1 libxtst6 libxxf86vm1)");

    private final String words;

    Display(String words) {
        this.words = words;
    }

    /** What is missing, and the cure. */
    public String words() {
        return word(words);
    }

    /** Asks the system whether a window can be opened. */
    public static Display probe() {
        if (!System.getProperty("os.name").toLowerCase(Locale.ROOT).contains("linux")) {
            return READY;
        }
        String name = Objects.requireNonNullElse(System.getenv("DISPLAY"), "");
        return name.isBlank() || !opens(name) ? NO_DISPLAY : loads("libgtk-3.so.0") ? READY : NO_GTK;
    }

    /** Returns the library or display that the toolkit missed when it could not start. */
    public static Display without(UnsupportedOperationException missed) {
        return String.valueOf(missed.getMessage()).contains("DISPLAY") ? NO_DISPLAY : NO_GTK;
    }

    private static boolean loads(String library) {
        try {
            // Kept: the toolkit needs it in a moment.
            return SymbolLookup.libraryLookup(library, Arena.global()) != null;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static boolean opens(String name) {
        try (Arena arena = Arena.ofConfined()) {
            SymbolLookup x11 = SymbolLookup.libraryLookup("libX11.so.6", Arena.global());
            Linker linker = Linker.nativeLinker();
            // What closing gives is not looked at, so that both calls are of one kind: making a kind takes long.
            FunctionDescriptor call = FunctionDescriptor.of(ValueLayout.ADDRESS, ValueLayout.ADDRESS);
            MethodHandle open = linker.downcallHandle(x11.findOrThrow("XOpenDisplay"), call);
            MethodHandle close = linker.downcallHandle(x11.findOrThrow("XCloseDisplay"), call);
            MemorySegment display = (MemorySegment) open.invokeExact(arena.allocateFrom(name));
            if (display.address() == 0) {
                return false;
            }
            MemorySegment ignored = (MemorySegment) close.invokeExact(display);
            return true;
        } catch (IllegalArgumentException e) {
            // No X library at all: GTK's message is the more helpful one.
            return true;
        } catch (Throwable e) {
            return false;
        }
    }
}
