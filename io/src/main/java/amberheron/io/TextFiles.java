package amberheron.io;

import static amberheron.core.units.Phrase.say;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Reads text strictly and replaces files whole. */
public final class TextFiles {
    private TextFiles() {
    }

    /**
     * Reads a UTF-8 file; a byte order mark is dropped.
     *
     * @param most bytes that are accepted
     * @throws UnusableInput when it is missing, too large or not UTF-8
     */
    public static String read(Path file, long most) {
        return decode(name(file), bytes(file, most));
    }

    /**
     * Reads a file's bytes.
     *
     * @param most bytes that are accepted
     * @throws UnusableInput when it is missing or too large
     */
    public static byte[] bytes(Path file, long most) {
        String name = name(file);
        try {
            long size = size(file);
            if (size > most) {
                throw new UnusableInput(name, "", say("found %d bytes, expected at most %d", size, most));
            }
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw unreadable(file, e);
        }
    }

    /**
     * The bytes of a file that can be read.
     *
     * @throws UnusableInput when it is missing, or no file
     */
    public static long size(Path file) {
        if (Files.isDirectory(file)) {
            throw new UnusableInput(name(file), "", say("is a folder, expected a file"));
        }
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            throw new UnusableInput(name(file), "", say("is a device or a pipe, expected a file"));
        }
        try {
            return Files.size(file);
        } catch (IOException e) {
            throw unreadable(file, e);
        }
    }

    /** Message for a file that the system does not let us read. */
    public static UnusableInput unreadable(Path file, IOException e) {
        return e instanceof NoSuchFileException
                ? new UnusableInput(name(file), "", say("no such file at %s, expected one that can be read", file))
                : new UnusableInput(name(file), "", say("cannot be read: %s", reason(e)));
    }

    /** Decodes UTF-8 strictly. */
    public static String decode(String name, byte[] bytes) {
        ByteBuffer in = ByteBuffer.wrap(bytes);
        try {
            String text = StandardCharsets.UTF_8.newDecoder().decode(in).toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            int line = 1;
            for (int i = 0; i < in.position(); i++) {
                line += bytes[i] == '\n' ? 1 : 0;
            }
            throw new UnusableInput(name, say("line %s", line),
                    say("found a byte 0x%02X that is not UTF-8, expected text saved as UTF-8",
                            bytes[Math.min(in.position(), bytes.length - 1)] & 0xFF));
        }
    }

    /**
     * Replaces a file as a whole: the old content stays untouched until the new content is safely on the disk.
     *
     * @throws IOException when the disk is full or the folder cannot be written
     */
    public static void replace(Path file, byte[] content) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        if (folder != null) {
            Files.createDirectories(folder);
        }
        replaceIn(file, content, false);
    }

    /**
     * Replaces a file that nobody else on the machine reads; its folder is made where there is none, and closed to others.
     */
    public static void replacePrivate(Path file, byte[] content) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        if (folder != null) {
            PrivateFile.folder(folder);
        }
        replaceIn(file, content, true);
    }

    private static void replaceIn(Path file, byte[] content, boolean ownerOnly) throws IOException {
        Path half = file.resolveSibling(file.getFileName() + ".part");
        try {
            if (ownerOnly) {
                Files.deleteIfExists(half);
                PrivateFile.create(half);
            }
            try (FileChannel out = FileChannel.open(half, StandardOpenOption.CREATE, StandardOpenOption.WRITE,
                    StandardOpenOption.TRUNCATE_EXISTING)) {
                ByteBuffer rest = ByteBuffer.wrap(content);
                while (rest.hasRemaining()) {
                    out.write(rest);
                }
                out.force(true);
            }
            Files.move(half, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(half);
        }
    }

    /**
     * Replaces a text file as a whole; its folder is made where there is none.
     *
     * @throws UnusableInput when it cannot be written
     */
    public static void write(Path file, String text) {
        try {
            replace(file, text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UnusableInput(name(file), "",
                    say("it cannot be written (%s), expected a folder that can be written to", reason(e)));
        }
    }

    /**
     * A path as typed.
     *
     * @throws UnusableInput when it cannot be one
     */
    public static Path path(String typed) {
        try {
            return Path.of(typed.strip());
        } catch (InvalidPathException e) {
            throw new UnusableInput(typed, "", say("is not a path, expected one such as /work/file.csv"));
        }
    }

    /** SHA-256, hexadecimal. */
    public static String digest(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The file's name without folders. */
    public static String name(Path file) {
        Path last = file.getFileName();
        return last == null ? file.toString() : last.toString();
    }

    /** The system's reason in a few words. */
    public static String reason(IOException e) {
        if (e instanceof AccessDeniedException denied) {
            return say("permission denied on %s: allow it there, or take another place", denied.getFile());
        }
        if (e instanceof NoSuchFileException none) {
            return say("%s is not there", none.getFile());
        }
        if (e instanceof FileAlreadyExistsException inTheWay) {
            return say("%s is in the way: it is no folder", inTheWay.getFile());
        }
        if (e instanceof FileSystemException f && f.getReason() != null) {
            return f.getReason();
        }
        return e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
    }
}
