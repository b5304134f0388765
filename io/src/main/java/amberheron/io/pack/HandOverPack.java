package amberheron.io.pack;

import amberheron.core.job.Job;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.JobDocument;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** The pack that goes with the vehicle: the sheet as HTML and PDF, and the job as JSON. */
public final class HandOverPack {
    private HandOverPack() {
    }

    /**
     * Writes the pack. Everything is made before anything is written, and each file appears whole or not at all.
     *
     * @return the files written
     * @throws UnusableInput when the folder cannot be written or is full
     */
    public static List<Path> write(JobDocument document, HandOverSheet sheet, Path folder) {
        String stem = stem(document.job());
        String html = html(sheet);
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(stem + "-hand-over.html", html.getBytes(StandardCharsets.UTF_8));
        files.put(stem + "-hand-over.pdf", pdf(html));
        files.put(stem + ".json", document.bytes());
        try {
            Files.createDirectories(folder);
            for (var file : files.entrySet()) {
                TextFiles.replace(folder.resolve(file.getKey()), file.getValue());
            }
        } catch (IOException e) {
            throw new UnusableInput(folder.toString(), "",
                    "the pack cannot be written: %s; expected a folder with room that can be written"
                            .formatted(TextFiles.reason(e)));
        }
        return files.keySet().stream().map(folder::resolve).toList();
    }

    /** The job's number as it can stand in the name of a file or folder. */
    public static String stem(Job job) {
        return job.id().replaceAll("[^\\p{L}\\p{N}._-]", "_");
    }

    static String html(HandOverSheet sheet) {
        ClassLoaderTemplateResolver resolver = new ClassLoaderTemplateResolver(HandOverPack.class.getClassLoader());
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding("UTF-8");
        TemplateEngine engine = new TemplateEngine();
        engine.setTemplateResolver(resolver);
        return engine.process("amberheron/io/pack/sheet.html", new Context(Locale.ROOT, Map.of("s", sheet)));
    }

    private static byte[] pdf(String html) {
        System.setProperty("java.awt.headless", "true");
        XRLog.setLoggingEnabled(false);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            new PdfRendererBuilder().useSVGDrawer(new BatikSVGDrawer())
                    .useFont(() -> font("Regular"), "Source Sans 3", 400, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .useFont(() -> font("SemiBold"), "Source Sans 3", 600, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .withHtmlContent(html, null).toStream(out).run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static InputStream font(String weight) {
        return Objects.requireNonNull(
                HandOverPack.class.getResourceAsStream("/amberheron/io/fonts/SourceSans3-" + weight + ".ttf"));
    }
}
