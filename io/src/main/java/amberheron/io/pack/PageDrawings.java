package amberheron.io.pack;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.parser.resources.ResourcePolicy;
import com.github.weisj.jsvg.view.ViewBox;
import com.openhtmltopdf.css.sheet.FontFaceRule;
import com.openhtmltopdf.css.style.CssContext;
import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.extend.OutputDevice;
import com.openhtmltopdf.extend.SVGDrawer;
import com.openhtmltopdf.layout.SharedContext;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.render.Box;
import com.openhtmltopdf.render.RenderingContext;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.transform.OutputKeys;
import javax.xml.transform.Transformer;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Element;

/** Draws the SVG of a page onto its PDF, line by line; a millimetre in it is a millimetre on paper. Knows no scripts. */
final class PageDrawings implements SVGDrawer {
    private static final Pattern MILLIMETRES = Pattern.compile("([\\d.]+)mm");
    /** CSS pixels in a millimetre, by definition. */
    private static final double PIXELS = 96 / 25.4;

    static {
        for (SheetFont font : List.of(SheetFont.REGULAR, SheetFont.SEMI_BOLD)) {
            try (InputStream in = font.file()) {
                GraphicsEnvironment.getLocalGraphicsEnvironment()
                        .registerFont(Font.createFont(Font.TRUETYPE_FONT, Objects.requireNonNull(in)));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (FontFormatException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    @Override
    public void importFontFaceRules(List<FontFaceRule> fontFaces, SharedContext shared) {
        // Drawings use the fonts that ship.
    }

    @Override
    public void addFontFile(File file, String family, @Nullable Integer weight, FontStyle style) {
        // As above.
    }

    @Override
    public void addFontStream(FSSupplier<InputStream> supplier, String family, @Nullable Integer weight,
            FontStyle style) {
        // As above.
    }

    @Override
    public SVGImage buildSVGImage(Element svg, Box box, CssContext css, double cssWidth, double cssHeight,
            double dotsPerPixel) {
        double width = pixels(svg, "width");
        double height = pixels(svg, "height");
        SVGDocument drawing = read(svg);
        return new SVGImage() {
            @Override
            public int getIntrinsicWidth() {
                return (int) Math.ceil(width * dotsPerPixel);
            }

            @Override
            public int getIntrinsicHeight() {
                return (int) Math.ceil(height * dotsPerPixel);
            }

            @Override
            public void drawSVG(OutputDevice device, RenderingContext context, double x, double y) {
                // Its room is of whole pixels, the drawing in it is not.
                device.drawWithGraphics((float) x, (float) y, (float) Math.ceil(width), (float) Math.ceil(height),
                        graphics -> drawing.render(null, graphics, new ViewBox((float) width, (float) height)));
            }
        };
    }

    private static double pixels(Element svg, String side) {
        String said = svg.getAttribute(side);
        Matcher length = MILLIMETRES.matcher(said);
        if (!length.matches()) {
            throw new IllegalStateException(side + " of a drawing is “" + said + "”, expected millimetres");
        }
        return Double.parseDouble(length.group(1)) * PIXELS;
    }

    private static SVGDocument read(Element svg) {
        try {
            Transformer copy = TransformerFactory.newInstance().newTransformer();
            copy.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, "yes");
            ByteArrayOutputStream text = new ByteArrayOutputStream();
            copy.transform(new DOMSource(svg), new StreamResult(text));
            return Objects.requireNonNull(new SVGLoader().load(new ByteArrayInputStream(text.toByteArray()), null,
                    LoaderContext.builder().externalResourcePolicy(ResourcePolicy.DENY_ALL).build()), "no drawing");
        } catch (TransformerException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        // Nothing is open.
    }
}
