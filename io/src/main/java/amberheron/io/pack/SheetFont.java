package amberheron.io.pack;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TTFSubsetter;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * The font that the sheets are printed in, as it ships but for its table of ligatures: looking them up for every word took
 * longer than all else about a sheet.
 */
final class SheetFont {
    /** Names a table by four letters; whoever reads a font passes over one that it does not know. */
    private static final byte[] LIGATURES = "GSUB".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] PASSED_OVER = "gsub".getBytes(StandardCharsets.US_ASCII);
    /** Tables that a browser asks for. */
    private static final List<String> NEEDED = List.of("OS/2", "name", "head", "hhea", "maxp", "cmap", "hmtx", "post",
            "glyf", "loca", "cvt ", "fpgm", "prep");
    private static final int COUNT_AT = 4;
    private static final int TABLES_AT = 12;
    private static final int TABLE = 16;

    static final SheetFont REGULAR = new SheetFont("Regular");
    static final SheetFont SEMI_BOLD = new SheetFont("SemiBold");

    private final byte[] bytes;
    private final CmapLookup letters;

    private SheetFont(String weight) {
        bytes = withoutLigatures(weight);
        try (TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(bytes))) {
            letters = Objects.requireNonNull(font.getUnicodeCmapLookup());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] withoutLigatures(String weight) {
        try (InputStream in = Objects.requireNonNull(
                SheetFont.class.getResourceAsStream("/amberheron/io/fonts/SourceSans3-" + weight + ".ttf"))) {
            ByteBuffer font = ByteBuffer.wrap(in.readAllBytes());
            byte[] name = new byte[LIGATURES.length];
            for (int i = 0; i < font.getShort(COUNT_AT); i++) {
                int at = TABLES_AT + i * TABLE;
                font.get(at, name);
                if (Arrays.equals(name, LIGATURES)) {
                    font.put(at, PASSED_OVER);
                }
            }
            return font.array();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The font's file. */
    InputStream file() {
        return new ByteArrayInputStream(bytes);
    }

    /** Whether the font has a letter. */
    boolean has(int codePoint) {
        return letters.getGlyphId(codePoint) != 0;
    }

    /** The font's file with the letters of a text only, for a page that carries it along. */
    byte[] only(String text) {
        try (TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(bytes))) {
            TTFSubsetter part = new TTFSubsetter(font, NEEDED);
            text.codePoints().filter(c -> !Character.isISOControl(c)).distinct().forEach(part::add);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            part.writeToStream(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
