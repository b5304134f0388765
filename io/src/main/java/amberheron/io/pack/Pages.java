package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.job.Job;
import amberheron.io.JobNumber;
import amberheron.io.Printable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import com.samskivert.mustache.Escapers;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Printing of all sheets: a page filled in, the same page as PDF, and files that appear whole or not at all. */
final class Pages {
    /** Where the fonts go that a page carries along. */
    private static final String FONTS = "/*fonts*/";

    private Pages() {
    }

    /** The job's number as it can stand in the name of a file or folder. */
    static String stem(Job job) {
        return JobNumber.stem(job.id());
    }

    /** Fills in a page: what stands in it between double braces are names of what it shows. */
    static String html(String page, Object sheet) {
        return html(page, sheet, Map.of());
    }

    /** The same, with more that it may show. */
    static String html(String page, Object sheet, Map<String, Object> more) {
        Template template = Templates.ALL.computeIfAbsent(page, Templates::read);
        StringWriter out = new StringWriter();
        template.execute(sheet, Stream.concat(Templates.NOTHING_MORE.entrySet().stream(), more.entrySet().stream())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (none, one) -> one)), out);
        return Printable.marked(out.toString());
    }

    /** A page for a screen, which carries its font along. */
    static String forScreen(String page, Object sheet, Map<String, Object> more) {
        String html = html(page, sheet, more);
        return html.replace(FONTS, face(SheetFont.REGULAR, 400, html) + face(SheetFont.SEMI_BOLD, 600, html));
    }

    private static String face(SheetFont font, int weight, String letters) {
        return fixed(
                "@font-face { font-family: \"Source Sans 3\"; font-weight: %d; src: url(data:font/ttf;base64,%s); }%n",
                weight, Base64.getEncoder().encodeToString(font.only(letters))).replace("\r", "");
    }

    /** Read when first asked for; they hold names only, nothing that is worked out or run. */
    private static final class Templates {
        static final Map<String, Template> ALL = new ConcurrentHashMap<>();
        /** Words of a page are put into the language at hand: {@code {{#say}}Have ready{{/say}}}. */
        private static final Mustache.Lambda SAY = (words, out) -> out.write(word(words.decompile()));
        static final Map<String, Object> NOTHING_MORE = Map.of("files", List.of(), "paper", false, "say", SAY);
        private static final Mustache.Compiler COMPILER = Mustache.compiler().emptyStringIsFalse(true)
                .strictSections(true).withEscaper(Escapers.simple(new String[][]{{"&", "&amp;"}, {"<", "&lt;"},
                        {">", "&gt;"}, {"\"", "&quot;"}, {"'", "&#39;"}}));

        static Template read(String page) {
            try (InputStream in = Objects
                    .requireNonNull(Pages.class.getResourceAsStream("/amberheron/io/pack/" + page))) {
                return COMPILER.compile(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /**
     * Loggers of the libraries that draw pages; held, since a logger that nobody holds
     * forgets its level.
     */
    static final List<Logger> DRAWING = Stream.of("org.apache.pdfbox", "org.apache.fontbox", "com.openhtmltopdf",
            "com.github.weisj").map(Logger::getLogger).toList();

    static {
        DRAWING.forEach(logger -> logger.setLevel(Level.OFF));
    }

    /** A page as PDF; a millimetre in it is a millimetre on paper. */
    static byte[] pdf(String html) {
        System.setProperty("java.awt.headless", "true");
        XRLog.setLoggingEnabled(false);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            new PdfRendererBuilder().useSVGDrawer(new PageDrawings())
                    .useFont(SheetFont.REGULAR::file, "Source Sans 3", 400, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .useFont(SheetFont.SEMI_BOLD::file, "Source Sans 3", 600, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .withHtmlContent(OtherScripts.drawn(html), null).toStream(out).run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /**
     * Writes files, all made before the first is written. Until all are, they stand in a folder that says that it is
     * unfinished; what cannot be written leaves nothing.
     *
     * @throws UnusableInput when the folder cannot be written or is full
     */
    static List<Path> write(Path folder, Map<String, byte[]> files) {
        Path unfinished = folder.resolve("unfinished-" + ProcessHandle.current().pid());
        try {
            boolean made = !Files.exists(folder);
            Files.createDirectories(folder);
            try {
                for (var file : files.entrySet()) {
                    TextFiles.replace(unfinished.resolve(file.getKey()), file.getValue());
                }
                for (String name : files.keySet()) {
                    Files.move(unfinished.resolve(name), folder.resolve(name), StandardCopyOption.REPLACE_EXISTING,
                            StandardCopyOption.ATOMIC_MOVE);
                }
                Files.delete(unfinished);
            } catch (IOException e) {
                for (String name : files.keySet()) {
                    Files.deleteIfExists(unfinished.resolve(name));
                }
                Files.deleteIfExists(unfinished);
                if (made) {
                    Files.deleteIfExists(folder);
                }
                throw e;
            }
        } catch (IOException e) {
            throw new UnusableInput(folder.toString(), "",
                    say("the pack cannot be written: %s; expected a folder with room that can be written",
                            TextFiles.reason(e)));
        }
        return files.keySet().stream().map(folder::resolve).toList();
    }
}
