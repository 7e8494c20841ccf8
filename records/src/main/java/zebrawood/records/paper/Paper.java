package zebrawood.records.paper;

import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import com.samskivert.mustache.Escapers;
import com.samskivert.mustache.Mustache;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.fontbox.util.autodetect.FontFileFinder;
import zebrawood.records.file.WholeFile;
import zebrawood.words.Phrasebook;

/** Writes a well-formed HTML page as it is and as a PDF, in the bundled typeface. */
public final class Paper {
  private static final String FONTS = "/zebrawood/fonts/";

  /** The bundled typeface's files, as resources of this class: regular, semi-bold and bold. */
  public static final List<String> TYPEFACE =
      List.of(FONTS + "Inter-Regular.ttf", FONTS + "Inter-SemiBold.ttf", FONTS + "Inter-Bold.ttf");

  /** What is common beside Latin, Greek and Cyrillic: Arabic, Hebrew, signs. */
  private static final List<String> SECOND =
      List.of(
          "/net/sf/jasperreports/fonts/dejavu/DejaVuSans.ttf",
          "/net/sf/jasperreports/fonts/dejavu/DejaVuSans-Bold.ttf");

  private static final String SECOND_NAME = "DejaVu";

  /** Names of installed typefaces that a page needs, as the templates have them. */
  private static final String FURTHER = "Further";

  private Paper() {}

  /** The files of one page. */
  public record Written(Path html, Path pdf) {}

  /** Nobody writes the same page more often on one day. */
  private static final int MOST_OF_A_NAME = 1000;

  /** The name, with a number behind it where files of an earlier writing have it. */
  private static String free(Path folder, String name) throws IOException {
    for (int i = 1; i <= MOST_OF_A_NAME; i++) {
      String free = i == 1 ? name : name + "-" + i;
      if (!Files.exists(folder.resolve(free + ".html"))
          && !Files.exists(folder.resolve(free + ".pdf"))) {
        return free;
      }
    }
    throw new FileAlreadyExistsException(folder.resolve(name).toString());
  }

  /**
   * Writes both files into the folder, which is made where there is none. Each appears whole or not
   * at all, and nothing that was written before is replaced.
   *
   * @param wanted the files' name without ending; a number comes behind it where it is taken
   */
  public static Written write(String html, Path folder, String wanted) throws IOException {
    Files.createDirectories(folder);
    String name = free(folder, wanted);
    Path htmlFile = folder.resolve(name + ".html");
    Path pdfFile = folder.resolve(name + ".pdf");
    WholeFile.write(htmlFile, out -> out.write(Letters.forScreen(html)));
    WholeFile.writeBytes(pdfFile, out -> pdf(html, out));
    return new Written(htmlFile, pdfFile);
  }

  /**
   * A template filled in. Between {@code {{#say}}} and {@code {{/say}}} stands a key of the
   * bundles, with its arguments behind it, each after a bar.
   */
  public static String fill(String template, Map<String, Object> values, Phrasebook words)
      throws IOException {
    Map<String, Object> all = new HashMap<>(values);
    all.put("say", (Mustache.Lambda) (part, out) -> out.write(said(part.execute(), words)));
    try (Reader reader = new InputStreamReader(resource(template), StandardCharsets.UTF_8)) {
      return Mustache.compiler().withEscaper(Paper::escaped).compile(reader).execute(all);
    }
  }

  /** A bar in somebody's words is none between arguments; what no page may hold is a box. */
  private static String escaped(String words) {
    return Escapers.HTML.escape(UNPRINTABLE.matcher(words).replaceAll("▯")).replace("|", "&#124;");
  }

  /** The arguments come escaped out of the template; the words of the bundles are escaped here. */
  private static String said(String keyAndArguments, Phrasebook words) {
    String[] parts = keyAndArguments.strip().split("\\|");
    Object[] arguments = Arrays.copyOfRange(parts, 1, parts.length, Object[].class);
    String said = words.say(parts[0], arguments);
    return arguments.length > 0 ? said : Escapers.HTML.escape(said);
  }

  private static final Pattern UNPRINTABLE =
      Pattern.compile("[\\p{Cc}&&[^\\t\\n\\r]]|[\\x{FFFE}\\x{FFFF}]|\\p{Cs}");

  /** Files of typefaces that this computer has, as far as it tells. */
  private static List<Path> installed() {
    return new FontFileFinder().find().stream().map(Path::of).sorted().toList();
  }

  private static void pdf(String page, OutputStream out) throws IOException {
    Letters.Printable printable =
        Letters.forPaper(
            page,
            List.of(() -> resource(TYPEFACE.getFirst()), () -> resource(SECOND.getFirst())),
            Paper::installed);
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
    for (int i = 0; i < SECOND.size(); i++) {
      String file = SECOND.get(i);
      builder.useFont(
          () -> resource(file),
          SECOND_NAME,
          weights.get(2 * i),
          FontStyle.NORMAL,
          true,
          EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
    }
    for (int i = 0; i < printable.further().size(); i++) {
      builder.useFont(printable.further().get(i).toFile(), FURTHER + (i + 1));
    }
    builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
    builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
    builder.defaultTextDirection(BaseRendererBuilder.TextDirection.LTR);
    builder.useSVGDrawer(new BatikSVGDrawer());
    builder.withHtmlContent(printable.html(), null);
    builder.toStream(out);
    builder.run();
  }

  private static InputStream resource(String path) {
    InputStream stream = Paper.class.getResourceAsStream(path);
    if (stream == null) {
      throw new IllegalStateException(path + " is missing from the program's own files");
    }
    return stream;
  }
}
