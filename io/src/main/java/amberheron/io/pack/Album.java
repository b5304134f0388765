package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Photo;
import amberheron.io.TextFiles;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Base64;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jspecify.annotations.Nullable;

/**
 * The photos of one job as they stand on a sheet: small enough to be mailed, and only those that are still what was
 * attached.
 *
 * @param folder where they were copied to; null for none
 */
record Album(@Nullable Path folder) {
    /** Sharp enough at half a page's width, pixels. */
    private static final int MOST = 1000;
    private static final long MOST_BYTES = 40L << 20;
    /** A picture that claims to be larger is not opened. */
    private static final long MOST_PIXELS = 120_000_000;

    /**
     * A photo on a sheet.
     *
     * @param image {@code data:image/jpeg;base64,…}; empty where it cannot be shown
     * @param words what stands below it
     * @param missing why it cannot be shown; empty where it can
     */
    record Shown(String image, String words, String missing) {
    }

    /** A photo, or why it cannot be shown. */
    Shown show(Photo photo) {
        String words = photo.caption().isBlank() ? photo.file() : photo.caption() + " (" + photo.file() + ")";
        try {
            Path file = folder == null ? null : folder.resolve(photo.file());
            if (file == null || !TextFiles.name(file).equals(photo.file()) || !Files.isRegularFile(file)
                    || Files.size(file) > MOST_BYTES) {
                return new Shown("", words, say("is not with the job"));
            }
            byte[] bytes = Files.readAllBytes(file);
            if (!TextFiles.digest(bytes).equals(photo.digest())) {
                return new Shown("", words, say("is not the picture that was attached"));
            }
            BufferedImage picture = decoded(bytes);
            return picture == null
                    ? new Shown("", words, say("is no picture that can be shown"))
                    : new Shown("data:image/jpeg;base64," + Base64.getEncoder().encodeToString(jpeg(picture)), words,
                            "");
        } catch (IOException | InvalidPathException e) {
            return new Shown("", words, say("cannot be read"));
        }
    }

    /** Read at a fraction where it is large, so that a camera's picture takes no more memory than is needed. */
    private static @Nullable BufferedImage decoded(byte[] bytes) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            var readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return null;
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                if (pixels > MOST_PIXELS) {
                    return null;
                }
                var how = reader.getDefaultReadParam();
                int step = Math.max(1, Math.max(reader.getWidth(0), reader.getHeight(0)) / (2 * MOST));
                how.setSourceSubsampling(step, step, 0, 0);
                return reader.read(0, how);
            } finally {
                reader.dispose();
            }
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            // What decoders throw for a damaged picture.
            return null;
        }
    }

    private static byte[] jpeg(BufferedImage picture) throws IOException {
        double by = Math.min(1, (double) MOST / Math.max(picture.getWidth(), picture.getHeight()));
        int width = Math.max(1, (int) Math.round(picture.getWidth() * by));
        int height = Math.max(1, (int) Math.round(picture.getHeight() * by));
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = small.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, width, height);
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        pen.drawImage(picture, 0, 0, width, height, null);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(small, "jpeg", out);
        return out.toByteArray();
    }
}
