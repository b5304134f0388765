package amberheron.app;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.util.Locale;

/** Whether a window can be opened here, asked before the toolkit starts, since it ends the program when it cannot. */
@SuppressWarnings("restricted") // native calls are the only way to ask before the toolkit asks
enum Display {
    READY(""),
    NO_DISPLAY("no display: there is no screen to open a window on"),
    NO_GTK("a display is there, but GTK 3 is missing: install it (on Debian and its kin: apt-get install libgtk-3-0 libgl1 libxtst6 libxxf86vm1)");

    private final String words;

    Display(String words) {
        this.words = words;
    }

    /** What is missing and what mends it. */
    String words() {
        return words;
    }

    static Display probe() {
        if (!System.getProperty("os.name").toLowerCase(Locale.ROOT).contains("linux")) {
            return READY;
        }
        if ("Headless".equals(System.getProperty("glass.platform"))) {
            return READY;
        }
        String name = System.getenv("DISPLAY");
        if (name == null || name.isBlank() || !opens(name)) {
            return NO_DISPLAY;
        }
        return loads("libgtk-3.so.0") ? READY : NO_GTK;
    }

    private static boolean loads(String library) {
        try (Arena arena = Arena.ofConfined()) {
            return SymbolLookup.libraryLookup(library, arena) != null;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static boolean opens(String name) {
        try (Arena arena = Arena.ofConfined()) {
            SymbolLookup x11 = SymbolLookup.libraryLookup("libX11.so.6", Arena.global());
            Linker linker = Linker.nativeLinker();
            MethodHandle open = linker.downcallHandle(x11.findOrThrow("XOpenDisplay"),
                    FunctionDescriptor.of(ValueLayout.ADDRESS, ValueLayout.ADDRESS));
            MemorySegment display = (MemorySegment) open.invoke(arena.allocateFrom(name));
            if (display.address() == 0) {
                return false;
            }
            MethodHandle close = linker.downcallHandle(x11.findOrThrow("XCloseDisplay"),
                    FunctionDescriptor.of(ValueLayout.JAVA_INT, ValueLayout.ADDRESS));
            int ignored = (int) close.invoke(display);
            return true;
        } catch (IllegalArgumentException e) {
            // No X library at all: GTK's message is the more helpful one.
            return true;
        } catch (Throwable e) {
            return false;
        }
    }
}
