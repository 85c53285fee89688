import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Draws the first page of a PDF as a PNG: {@code java -cp 'demo/target/run/lib/*' journeys/PdfPage.java IN OUT}. */
public final class PdfPage {
  private static final float DPI = 96;

  private PdfPage() {}

  public static void main(String[] args) throws Exception {
    try (var document = Loader.loadPDF(Path.of(args[0]).toFile())) {
      ImageIO.write(
          new PDFRenderer(document).renderImageWithDPI(0, DPI), "png", Path.of(args[1]).toFile());
    }
  }
}
