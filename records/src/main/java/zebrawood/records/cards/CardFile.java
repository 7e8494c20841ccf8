package zebrawood.records.cards;

import java.io.IOException;
import java.io.Writer;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanFinding;
import zebrawood.cards.CardPlanFinding.Run;
import zebrawood.cards.CardPlanFinding.Square;
import zebrawood.cards.CardPlanReadings;
import zebrawood.quantity.Numbers;
import zebrawood.records.field.Decimals;
import zebrawood.records.file.TableFiles;
import zebrawood.records.file.WholeFile;
import zebrawood.records.paper.Paper;
import zebrawood.records.picture.SvgWriter;
import zebrawood.records.shapes.Shape;
import zebrawood.records.shapes.ShapeFiles;
import zebrawood.words.Phrasebook;

/** A card to burn, as whatever a machine takes. */
public final class CardFile {
  private static final double LABEL_MM = 1.6;
  private static final String TEMPLATE = "/zebrawood/records/cards/legend.html";

  private final CardPlanReadings readings;
  private final CardPlanFinding plan;

  public CardFile(CardPlanReadings readings) {
    this.readings = readings;
    plan = CardPlan.solve(readings);
  }

  /** Squares, each setting its own layer, then crosses, then labels: gentle, and last. */
  private List<Shape> shapes() {
    List<Shape> shapes = new ArrayList<>();
    Map<List<Double>, Integer> settings = settings();
    for (Square s : plan.squares()) {
      List<Double> setting = List.of(s.percent(), s.speedMmS());
      shapes.add(
          new Shape(
              List.of(
                  new double[] {s.xMm(), s.yMm()},
                  new double[] {s.xMm() + s.wMm(), s.yMm()},
                  new double[] {s.xMm() + s.wMm(), s.yMm() + s.hMm()},
                  new double[] {s.xMm(), s.yMm() + s.hMm()}),
              layer(s),
              settings.get(setting),
              true));
    }
    double arm = readings.crossMm().orElse(CardPlanReadings.USUAL_CROSS_MM) / 2;
    for (List<Double> c : plan.crossesMm()) {
      double x = c.get(0);
      double y = c.get(1);
      shapes.add(line("crosses", x - arm, y, x + arm, y));
      shapes.add(line("crosses", x, y - arm, x, y + arm));
    }
    plan.squares().stream().filter(s -> s.row() == 0).forEach(s -> label(shapes, s, true));
    plan.squares().stream().filter(s -> s.column() == 0).forEach(s -> label(shapes, s, false));
    return shapes;
  }

  private static Shape line(String layer, double fromX, double fromY, double toX, double toY) {
    return new Shape(
        List.of(new double[] {fromX, fromY}, new double[] {toX, toY}), layer, 0, false);
  }

  /** Below the first row the powers, beside the first column the speeds. */
  private void label(List<Shape> into, Square s, boolean percent) {
    double height = Math.min(LABEL_MM, 0.7 * Math.max(readings.gapMm(), 0.5));
    String words = Numbers.plain(percent ? s.percent() : s.speedMmS());
    double x = percent ? s.xMm() : s.xMm() - readings.gapMm() - Strokes.widthMm(words, height);
    double y = percent ? s.yMm() - readings.gapMm() - height : s.yMm() + (s.hMm() - height) / 2;
    Strokes.of(words, x, y, height)
        .forEach(stroke -> into.add(new Shape(stroke.corners(), "labels", 0, false)));
  }

  private Map<List<Double>, Integer> settings() {
    Map<List<Double>, Integer> settings = new LinkedHashMap<>();
    for (Square s : plan.squares()) {
      settings.putIfAbsent(List.of(s.percent(), s.speedMmS()), settings.size() + 1);
    }
    return settings;
  }

  private static String layer(Square s) {
    return "p" + Numbers.plain(s.percent()) + "-v" + Numbers.plain(s.speedMmS());
  }

  public String svg() {
    return ShapeFiles.svg(shapes());
  }

  public String dxf() {
    return ShapeFiles.dxf(shapes());
  }

  /** What is typed for each run, square by square. */
  private void table(Writer out) throws IOException {
    CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180);
    printer.printRecord(
        "run", "colour", "layer", "column", "row", "percent", "speedMmS", "intervalMm");
    Map<List<Double>, Integer> settings = settings();
    List<Run> runs =
        plan.runs()
            .orElseGet(() ->
                List.of(
                    new Run(
                        plan.squares().stream().map(s -> List.of(s.column(), s.row())).toList())));
    int across = readings.percents().size();
    for (int run = 0; run < runs.size(); run++) {
      for (List<Integer> place : runs.get(run).squares()) {
        Square s = plan.squares().get(place.get(1) * across + place.get(0));
        printer.printRecord(
            run + 1,
            ShapeFiles.colour(settings.get(List.of(s.percent(), s.speedMmS()))),
            layer(s),
            s.column() + 1,
            s.row() + 1,
            Decimals.of(s.percent()),
            Decimals.of(s.speedMmS()),
            Decimals.of(readings.intervalMm()));
      }
    }
    printer.flush();
  }

  /** The card as it will lie, to keep beside it. */
  private String legend(Phrasebook words) throws IOException {
    double left = plan.crossesMm().get(0).get(0) - 14;
    double right = plan.crossesMm().get(2).get(0) + 4;
    double front = plan.crossesMm().get(0).get(1) - 8;
    double rear = plan.crossesMm().get(2).get(1) + 4;
    SvgWriter svg = ShapeFiles.page(left, front, right, rear);
    for (Square s : plan.squares()) {
      svg.element(
          "rect",
          "x",
          Decimals.of(s.xMm()),
          "y",
          Decimals.of(-s.yMm() - s.hMm()),
          "width",
          Decimals.of(s.wMm()),
          "height",
          Decimals.of(s.hMm()),
          "fill",
          "none",
          "stroke",
          "#000000",
          "stroke-width",
          "0.2");
      if (s.row() == 0) {
        text(svg, s.xMm() + s.wMm() / 2, front + 3, Numbers.plain(s.percent()) + " %");
      }
      if (s.column() == 0) {
        text(svg, left + 7, s.yMm() + s.hMm() / 2 - 1, Numbers.plain(s.speedMmS()) + " mm/s");
      }
    }
    String line =
        words.say(
            "cards.legend",
            list(readings.percents()),
            list(readings.speedsMmS()),
            Numbers.plain(readings.intervalMm()));
    return Paper.fill(TEMPLATE, Map.of("line", line, "sheet", svg.svg()), words);
  }

  private static String list(List<Double> values) {
    return values.stream().map(Numbers::plain).collect(Collectors.joining(", "));
  }

  private static void text(SvgWriter svg, double x, double y, String words) {
    svg.text(
        words,
        "x",
        Decimals.of(x),
        "y",
        Decimals.of(-y),
        "font-size",
        "2.6",
        "text-anchor",
        "middle",
        "font-family",
        "Inter");
  }

  /**
   * Writes what the name's ending says, never over a file that is there.
   *
   * @throws zebrawood.measure.UnusableReading when it cannot be written
   */
  public void write(String name, Phrasebook words) {
    String plain = name.strip();
    try {
      Path path = Path.of(plain);
      if (plain.endsWith(".svg")) {
        WholeFile.write(path, out -> out.write(svg()));
      } else if (plain.endsWith(".dxf")) {
        WholeFile.write(path, out -> out.write(dxf()));
      } else if (plain.endsWith(".csv")) {
        WholeFile.write(path, this::table);
      } else if (plain.endsWith(".pdf")) {
        WholeFile.writeBytes(path, out -> Paper.pdf(legend(words), out));
      } else if (plain.endsWith(".gcode") || plain.endsWith(".nc")) {
        String program =
            plan.gcode()
                .text()
                .orElseThrow(() ->
                    TableFiles.refused(
                        plan.fits() ? "cards.file.no-program" : "cards.file.off-bed", plain));
        WholeFile.write(path, out -> out.write(program));
      } else {
        throw TableFiles.refused("cards.file.ending", plain);
      }
    } catch (FileAlreadyExistsException e) {
      throw TableFiles.refused("field.file.there", plain);
    } catch (IOException | InvalidPathException e) {
      throw TableFiles.refused("field.file.not-written", plain);
    }
  }
}
