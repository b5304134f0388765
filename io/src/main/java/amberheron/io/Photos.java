package amberheron.io;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Photo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Photos kept with a job: copied beside the book, known by their digest. */
public final class Photos {
    private static final long MOST_BYTES = 40L << 20;

    private Photos() {
    }

    /**
     * Copies a JPEG or PNG file into a folder. One of the same name and another content gets a number.
     *
     * @throws UnusableInput when it is no such file, or the folder cannot be written
     */
    public static Photo keep(String typed, Path folder) {
        Path file = TextFiles.path(typed);
        byte[] bytes = TextFiles.bytes(file, MOST_BYTES);
        boolean jpeg = bytes.length > 3 && (bytes[0] & 0xFF) == 0xFF && (bytes[1] & 0xFF) == 0xD8;
        boolean png = bytes.length > 8 && (bytes[0] & 0xFF) == 0x89 && bytes[1] == 'P' && bytes[2] == 'N'
                && bytes[3] == 'G';
        if (!jpeg && !png) {
            throw new UnusableInput(TextFiles.name(file), "", "is no picture, expected a JPEG or PNG file");
        }
        String digest = TextFiles.digest(bytes);
        try {
            String name = TextFiles.name(file);
            Path target = folder.resolve(name);
            for (int n = 2; Files.exists(target) && !digest.equals(TextFiles.digest(Files.readAllBytes(target))); n++) {
                int dot = name.lastIndexOf('.');
                target = folder
                        .resolve(dot < 0 ? name + "-" + n : name.substring(0, dot) + "-" + n + name.substring(dot));
            }
            TextFiles.replace(target, bytes);
            return new Photo(TextFiles.name(target), digest, "");
        } catch (IOException e) {
            throw new UnusableInput(folder.toString(), "",
                    say("the photo cannot be kept: %s; expected a folder with room", TextFiles.reason(e)));
        }
    }
}
