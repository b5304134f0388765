package amberheron.io;

import static amberheron.core.units.Phrase.say;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;

/** Files and folders that nobody else on the machine reads, where the system can see to it. */
public final class PrivateFile {
    private static final Set<PosixFilePermission> OWNER = PosixFilePermissions.fromString("rwx------");

    private PrivateFile() {
    }

    /** Makes an empty file, unless it is there. */
    public static void create(Path file) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        if (folder != null && !Files.exists(file) && knows(folder)) {
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
    }

    /** Makes a folder and those above it that are not there; one that others can look into is closed to them. */
    public static Path folder(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            Path above = folder.toAbsolutePath().getParent();
            if (above != null) {
                Files.createDirectories(above);
            }
            try {
                if (above != null && knows(above)) {
                    Files.createDirectory(folder, PosixFilePermissions.asFileAttribute(OWNER));
                } else {
                    Files.createDirectories(folder);
                }
            } catch (FileAlreadyExistsException e) {
                if (!Files.isDirectory(folder)) {
                    throw e;
                }
            }
        }
        if (knows(folder) && !OWNER.containsAll(Files.getPosixFilePermissions(folder))) {
            Files.setPosixFilePermissions(folder, OWNER);
        }
        return folder;
    }

    /**
     * Refuses a file that others can read.
     *
     * @param holds what must not be read in it
     * @throws UnusableInput when they can
     */
    public static void require(Path file, String holds) {
        try {
            if (Files.exists(file) && knows(file) && !OWNER.containsAll(Files.getPosixFilePermissions(file))) {
                throw new UnusableInput(file.toString(), "",
                        say("holds %s and can be read by others, expected by its owner only (chmod 600)", holds));
            }
        } catch (IOException e) {
            throw new UnusableInput(file.toString(), "", say("cannot be looked at: %s", e.getMessage()));
        }
    }

    private static boolean knows(Path place) throws IOException {
        return Files.getFileStore(place).supportsFileAttributeView(PosixFileAttributeView.class);
    }
}
