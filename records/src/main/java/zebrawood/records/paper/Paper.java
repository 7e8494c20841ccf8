package zebrawood.records.paper;

import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PDFontSupplier;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import com.samskivert.mustache.Escapers;
import com.samskivert.mustache.Mustache;
import java.io.ByteArrayOutputStream;
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
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.fontbox.util.autodetect.FontFileFinder;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.slf4j.LoggerFactory;
import zebrawood.records.file.WholeFile;
import zebrawood.records.picture.SvgCanvas;
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
    return write(html, folder, wanted, () -> false);
  }

  /**
   * The same, as long as somebody waits for it.
   *
   * @param cancelled asked before the first file is written
   * @throws CancellationException where nobody waits any more; then nothing was written
   */
  public static Written write(String html, Path folder, String wanted, BooleanSupplier cancelled)
      throws IOException {
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    pdf(html, pdf);
    if (cancelled.getAsBoolean()) {
      throw new CancellationException();
    }
    Files.createDirectories(folder);
    String name = free(folder, wanted);
    Path htmlFile = folder.resolve(name + ".html");
    Path pdfFile = folder.resolve(name + ".pdf");
    WholeFile.write(htmlFile, out -> out.write(Letters.forScreen(html)));
    WholeFile.writeBytes(pdfFile, pdf::writeTo);
    return new Written(htmlFile, pdfFile);
  }

  /** Letters of a page that no typeface here has, each once; where one stands a box is printed. */
  public static List<String> unprintable(String html) throws IOException {
    return Letters.forPaper(html, bundled(), Paper::installed).missing();
  }

  /** Loads what the first page needs; meant for another thread while somebody still chooses. */
  public static void prepare() {
    try {
      SvgCanvas picture = new SvgCanvas(20, 20);
      picture.words("a", 10, 10, "plan-now");
      pdf(
          "<html><head><style>body { font: 9pt Inter, DejaVu; }</style></head><body><table><tr>"
              + "<td>a</td></tr></table><b>b</b>"
              + picture.svg()
              + "</body></html>",
          OutputStream.nullOutputStream());
    } catch (IOException e) {
      // Whoever writes a page is told why it cannot be.
      LoggerFactory.getLogger(Paper.class).warn("paper was not made ready", e);
    }
  }

  /**
   * A template filled in. Between {@code {{#say}}} and {@code {{/say}}} stands a key of the
   * bundles, with its arguments behind it, each after a bar.
   */
  public static String fill(String template, Map<String, Object> values, Phrasebook words)
      throws IOException {
    Map<String, Object> all = new HashMap<>(values);
    all.put("language", words.language().tag());
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

  private static List<Supplier<InputStream>> bundled() {
    return List.of(() -> resource(TYPEFACE.getFirst()), () -> resource(SECOND.getFirst()));
  }

  /** A page that says so is made smaller until it is one. */
  private static final Pattern ONE_PAGE =
      Pattern.compile("<html lang=\"[A-Za-z-]+\" class=\"one-page\">");

  private static final double[] SIZES = {1, 0.94, 0.88, 0.82, 0.76, 0.7, 0.64, 0.58, 0.52};
  private static final Pattern STYLE = Pattern.compile("(?s)<style>.*?</style>");
  private static final Pattern POINTS = Pattern.compile("(\\d+(?:\\.\\d+)?|\\.\\d+)pt");

  /** The page alone, as a PDF. */
  public static void pdf(String page, OutputStream out) throws IOException {
    Letters.Printable printable = Letters.forPaper(page, bundled(), Paper::installed);
    boolean onePage = ONE_PAGE.matcher(printable.html()).lookingAt();
    for (double size : onePage ? SIZES : new double[] {1}) {
      try (PDDocument document = new PDDocument();
          PdfBoxRenderer renderer =
              builder(document, printable, scaled(printable.html(), size), out)
                  .buildPdfRenderer()) {
        renderer.layout();
        boolean fits = renderer.getRootBox().getLayer().getPages().size() <= 1;
        if (!onePage || fits || size == SIZES[SIZES.length - 1]) {
          renderer.createPDF();
          return;
        }
      }
    }
  }

  /** Without its ligatures, which take most of the time of a page and tell nothing. */
  private static void use(
      PdfRendererBuilder builder, PDDocument document, String file, String family, int weight)
      throws IOException {
    TrueTypeFont face = new TTFParser().parse(new RandomAccessReadBuffer(resource(file)));
    face.setEnableGsub(false);
    builder.useFont(
        new PDFontSupplier(PDType0Font.load(document, face, true)),
        family,
        weight,
        FontStyle.NORMAL,
        true);
    builder.useFont(
        () -> resource(file),
        family,
        weight,
        FontStyle.NORMAL,
        true,
        EnumSet.of(FSFontUseCase.SVG));
  }

  /** Every length in points of a page's style, times the size. */
  private static String scaled(String html, double size) {
    return size == 1
        ? html
        : STYLE
            .matcher(html)
            .replaceFirst(style ->
                Matcher.quoteReplacement(
                    POINTS
                        .matcher(style.group())
                        .replaceAll(points ->
                            Math.round(Double.parseDouble(points.group(1)) * size * 100) / 100.0
                                + "pt")));
  }

  private static PdfRendererBuilder builder(
      PDDocument document, Letters.Printable printable, String html, OutputStream out)
      throws IOException {
    XRLog.setLoggingEnabled(false);
    if (System.getProperty("pdfbox.fontcache") == null) {
      System.setProperty("pdfbox.fontcache", System.getProperty("java.io.tmpdir"));
    }
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.usePDDocument(document);
    List<Integer> weights = List.of(400, 600, 700);
    for (int i = 0; i < weights.size(); i++) {
      use(builder, document, TYPEFACE.get(i), "Inter", weights.get(i));
    }
    for (int i = 0; i < SECOND.size(); i++) {
      use(builder, document, SECOND.get(i), SECOND_NAME, weights.get(2 * i));
    }
    for (int i = 0; i < printable.further().size(); i++) {
      builder.useFont(printable.further().get(i).toFile(), FURTHER + (i + 1));
    }
    builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
    builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
    builder.defaultTextDirection(BaseRendererBuilder.TextDirection.LTR);
    builder.useSVGDrawer(new BatikSVGDrawer());
    builder.withHtmlContent(html, null);
    builder.toStream(out);
    return builder;
  }

  private static InputStream resource(String path) {
    InputStream stream = Paper.class.getResourceAsStream(path);
    if (stream == null) {
      throw new IllegalStateException(path + " is missing from the program's own files");
    }
    return stream;
  }
}
