package zebrawood.records.tape;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.WholeFile;
import zebrawood.records.paper.Paper;
import zebrawood.records.picture.SvgWriter;
import zebrawood.tape.TapeCard;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * A sheet of paper, 210 mm by 297 mm, with targets to stick over an opening and burn on: five rows
 * of four, numbered 1 to 8 again and again, and two bars of 100 mm that show whether the printer
 * keeps the size.
 */
public final class TargetSheet {
  private static final int COLUMNS = 4;
  private static final int ROWS = 5;
  private static final double PITCH_MM = 44;
  private static final double FIRST_X_MM = 39;
  private static final double FIRST_Y_MM = 44;
  private static final double BAR_MM = 100;

  /** Three quarters of the paper's light, by the sRGB curve. */
  private static final String GREY = "#e0e0e0";

  private static final String TEMPLATE = "/zebrawood/records/tape/targets.html";
  private static final String BLACK = "#000000";

  private TargetSheet() {}

  /** The sheet as SVG in millimetres. */
  public static String svg(Phrasebook words) {
    SvgWriter svg = new SvgWriter("width", "210mm", "height", "297mm", "viewBox", "0 0 210 297");
    svg.element("rect", "width", "210", "height", "297", "fill", "#ffffff");
    text(svg, 19, 12, 4.2, BLACK, "start", words.say("tape.sheet.title"));
    text(svg, 19, 17.5, 3, BLACK, "start", words.say("tape.sheet.print"));
    for (int i = 0; i < ROWS * COLUMNS; i++) {
      double x = FIRST_X_MM + i % COLUMNS * PITCH_MM;
      double y = FIRST_Y_MM + i / COLUMNS * PITCH_MM;
      target(svg, x, y, 1 + i % TapeCard.NUMBERS);
    }
    double low = FIRST_Y_MM + (ROWS - 1) * PITCH_MM + 30;
    bar(svg, 19, low, BAR_MM, 0);
    text(svg, 122, low + 1, 3, BLACK, "start", words.say("tape.sheet.across"));
    bar(svg, 11, 24, 0, BAR_MM);
    svg.begin("g", "transform", "translate(8 74) rotate(-90)");
    text(svg, 0, 0, 3, BLACK, "middle", words.say("tape.sheet.up"));
    svg.end();
    List<String> notes = List.of("tape.sheet.bars", "tape.sheet.number", "tape.sheet.stick");
    for (int i = 0; i < notes.size(); i++) {
      text(svg, 19, low + 9 + 5 * i, 3, BLACK, "start", words.say(notes.get(i)));
    }
    return svg.svg();
  }

  /** One target; y of a card is up, y of the sheet is down. */
  private static void target(SvgWriter svg, double x, double y, int number) {
    String half = mm(-TapeCard.SPAN_MM / 2 - 4);
    svg.begin("g", "transform", "translate(" + mm(x) + " " + mm(y) + ")");
    svg.element(
        "rect",
        "x",
        half,
        "y",
        half,
        "width",
        "40",
        "height",
        "40",
        "fill",
        "none",
        "stroke",
        GREY,
        "stroke-width",
        "0.2");
    svg.element(
        "path",
        "d",
        "M-12 0H12M0 12V-12M-1.2 -10.4L0 -12L1.2 -10.4",
        "fill",
        "none",
        "stroke",
        GREY,
        "stroke-width",
        "0.3");
    double at = TapeCard.CORNER_MM;
    svg.element(
        "circle",
        "cx",
        mm(-at),
        "cy",
        mm(-at),
        "r",
        "1.65",
        "fill",
        "none",
        "stroke",
        BLACK,
        "stroke-width",
        "1.1");
    disc(svg, at, at, TapeCard.DISC_MM);
    disc(svg, at, -at, TapeCard.DISC_MM);
    disc(svg, -at, -at, TapeCard.DISC_MM);
    List<double[]> small = TapeCard.small();
    for (int i = 0; i < small.size(); i++) {
      double radius = i + 1 == number ? TapeCard.NUMBER_MM : TapeCard.SMALL_MM;
      disc(svg, small.get(i)[0], small.get(i)[1], radius);
    }
    text(svg, -12.2, -11.3, 2.6, GREY, "middle", String.valueOf(number));
    svg.end();
  }

  private static void disc(SvgWriter svg, double x, double up, double radius) {
    svg.element("circle", "cx", mm(x), "cy", mm(-up), "r", mm(radius), "fill", BLACK);
  }

  private static void bar(SvgWriter svg, double x, double y, double right, double down) {
    String across = right > 0 ? "V" : "H";
    double from = right > 0 ? y : x;
    String end = "m0 0" + across + mm(from - 2) + across + mm(from + 2);
    svg.element(
        "path",
        "d",
        "M"
            + mm(x)
            + " "
            + mm(y)
            + "l"
            + mm(right)
            + " "
            + mm(down)
            + end
            + "M"
            + mm(x)
            + " "
            + mm(y)
            + across
            + mm(from - 2)
            + across
            + mm(from + 2),
        "fill",
        "none",
        "stroke",
        BLACK,
        "stroke-width",
        "0.2");
  }

  private static void text(
      SvgWriter svg, double x, double y, double size, String fill, String anchor, String words) {
    svg.text(
        words,
        "x",
        mm(x),
        "y",
        mm(y),
        "font-size",
        mm(size),
        "font-family",
        "Inter",
        "fill",
        fill,
        "text-anchor",
        anchor);
  }

  private static String mm(double value) {
    return String.format(Locale.ROOT, "%.4f", value).replaceAll("0+$", "").replaceAll("\\.$", "");
  }

  /**
   * Writes what the name's ending says, never over a file that is there.
   *
   * @throws UnusableReading when it cannot be written
   */
  public static void write(String name, Phrasebook words) {
    String plain = name.strip();
    try {
      if (plain.endsWith(".svg")) {
        WholeFile.write(Path.of(plain), out -> out.write(svg(words)));
      } else if (plain.endsWith(".pdf")) {
        WholeFile.writeBytes(Path.of(plain), out -> Paper.pdf(page(words), out));
      } else {
        throw refused("field.file.ending", plain);
      }
    } catch (FileAlreadyExistsException e) {
      throw refused("field.file.there", plain);
    } catch (IOException | InvalidPathException e) {
      throw refused("field.file.not-written", plain);
    }
  }

  private static String page(Phrasebook words) throws IOException {
    return Paper.fill(TEMPLATE, Map.of("sheet", svg(words)), words);
  }

  private static UnusableReading refused(String why, String path) {
    return UnusableReading.of(
        "file", Message.of(why, Message.quoted(path)), Message.of("tape.sheet.accepted"));
  }
}
