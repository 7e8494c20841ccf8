package zebrawood.records.handover;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import com.samskivert.mustache.Mustache;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;

/** Writes the hand-over sheet of one machine. */
public final class HandOver {
  private static final String FONTS = "/zebrawood/fonts/";

  /** The bundled typeface's files, as resources of this class: regular, semi-bold and bold. */
  public static final List<String> TYPEFACE =
      List.of(FONTS + "Inter-Regular.ttf", FONTS + "Inter-SemiBold.ttf", FONTS + "Inter-Bold.ttf");

  private HandOver() {}

  /** The files of one sheet. */
  public record Written(Path html, Path pdf) {}

  /**
   * Writes both files into the folder, which is made where there is none. Each appears whole or not
   * at all.
   *
   * @param name the files' name without ending
   */
  public static Written write(HandOverSheet sheet, Path folder, String name) throws IOException {
    Files.createDirectories(folder);
    String html = html(sheet);
    Path htmlFile = folder.resolve(name + ".html");
    Path pdfFile = folder.resolve(name + ".pdf");
    Path part = folder.resolve(name + ".part");
    try {
      Files.writeString(part, html);
      Files.move(part, htmlFile, StandardCopyOption.REPLACE_EXISTING);
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
        pdf(html, out);
      }
      Files.move(part, pdfFile, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(part);
    }
    return new Written(htmlFile, pdfFile);
  }

  /** The sheet as one well-formed HTML page; its pictures are inside it. */
  public static String html(HandOverSheet sheet) throws IOException {
    try (Reader template =
        new InputStreamReader(
            resource("/zebrawood/records/handover/sheet.html"), StandardCharsets.UTF_8)) {
      return Mustache.compiler().compile(template).execute(Map.of("sheet", sheet));
    }
  }

  private static void pdf(String html, OutputStream out) throws IOException {
    XRLog.setLoggingEnabled(false);
    if (System.getProperty("pdfbox.fontcache") == null) {
      System.setProperty("pdfbox.fontcache", System.getProperty("java.io.tmpdir"));
    }
    PdfRendererBuilder builder = new PdfRendererBuilder();
    List<Integer> weights = List.of(400, 600, 700);
    for (int i = 0; i < weights.size(); i++) {
      String file = TYPEFACE.get(i);
      builder.useFont(
          () -> resource(file),
          "Inter",
          weights.get(i),
          FontStyle.NORMAL,
          true,
          EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
    }
    builder.useSVGDrawer(new BatikSVGDrawer());
    builder.withHtmlContent(html, null);
    builder.toStream(out);
    builder.run();
  }

  private static InputStream resource(String path) {
    InputStream stream = HandOver.class.getResourceAsStream(path);
    if (stream == null) {
      throw new IllegalStateException(path + " is missing from the program's own files");
    }
    return stream;
  }
}
