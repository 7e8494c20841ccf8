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
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import zebrawood.cards.CardFill;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanFinding;
import zebrawood.cards.CardPlanFinding.Run;
import zebrawood.cards.CardPlanFinding.Square;
import zebrawood.cards.CardPlanReadings;
import zebrawood.cards.CardSetting;
import zebrawood.cards.CardSteps;
import zebrawood.quantity.Numbers;
import zebrawood.records.field.Decimals;
import zebrawood.records.file.TableFiles;
import zebrawood.records.file.WholeFile;
import zebrawood.records.paper.Paper;
import zebrawood.records.picture.SvgWriter;
import zebrawood.records.shapes.Shape;
import zebrawood.records.shapes.ShapeFiles;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** A card to burn, as whatever a machine takes. */
public final class CardFile {
  private static final double LABEL_MM = 1.6;

  /** A program's last line. */
  private static final String END = "M5\n";

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
    Map<CardSetting, Integer> settings = settings();
    boolean filled = readings.fill().map(f -> f.lines() != CardFill.Lines.NONE).orElse(true);
    for (Square s : plan.squares()) {
      shapes.add(
          new Shape(
              List.of(
                  new double[] {s.xMm(), s.yMm()},
                  new double[] {s.xMm() + s.wMm(), s.yMm()},
                  new double[] {s.xMm() + s.wMm(), s.yMm() + s.hMm()},
                  new double[] {s.xMm(), s.yMm() + s.hMm()}),
              layer(s),
              settings.get(setting(s)),
              filled));
    }
    double arm = readings.crossMm().orElse(CardPlanReadings.USUAL_CROSS_MM) / 2;
    for (List<Double> c : plan.crossesMm()) {
      double x = c.get(0);
      double y = c.get(1);
      shapes.add(line("crosses", x - arm, y, x + arm, y));
      shapes.add(line("crosses", x, y - arm, x, y + arm));
    }
    labels(shapes);
    return shapes;
  }

  /** What each column and each row was burnt with. */
  private void labels(List<Shape> into) {
    plan.squares().stream().filter(s -> s.row() == 0).forEach(s -> label(into, s, true));
    plan.squares().stream().filter(s -> s.column() == 0).forEach(s -> label(into, s, false));
  }

  private CardSetting setting(Square s) {
    return readings.setting(s.column(), s.row());
  }

  private static double of(Optional<CardSteps> steps, int place, double plain) {
    return steps.map(s -> s.values().get(place)).orElse(plain);
  }

  private static Shape line(String layer, double fromX, double fromY, double toX, double toY) {
    return new Shape(
        List.of(new double[] {fromX, fromY}, new double[] {toX, toY}), layer, 0, false);
  }

  private String across(Square s) {
    return Numbers.plain(of(readings.across(), s.column(), s.percent()));
  }

  private String up(Square s) {
    return Numbers.plain(of(readings.up(), s.row(), s.speedMmS()));
  }

  /**
   * Below the first row the powers, or what changes instead, beside the first column the speeds.
   */
  private void label(List<Shape> into, Square s, boolean below) {
    double height = Math.min(LABEL_MM, 0.7 * Math.max(readings.gapMm(), 0.5));
    String words = below ? across(s) : up(s);
    double x = below ? s.xMm() : s.xMm() - readings.gapMm() - Strokes.widthMm(words, height);
    double y = below ? s.yMm() - readings.gapMm() - height : s.yMm() + (s.hMm() - height) / 2;
    Strokes.of(words, x, y, height)
        .forEach(stroke -> into.add(new Shape(stroke.corners(), "labels", 0, false)));
  }

  private Map<CardSetting, Integer> settings() {
    Map<CardSetting, Integer> settings = new LinkedHashMap<>();
    for (Square s : plan.squares()) {
      settings.putIfAbsent(setting(s), settings.size() + 1);
    }
    return settings;
  }

  private String layer(Square s) {
    CardSetting its = setting(s);
    StringBuilder name =
        new StringBuilder(
            "p" + Numbers.plain(its.percent()) + "-v" + Numbers.plain(its.speedMmS()));
    Stream.concat(readings.across().stream(), readings.up().stream())
        .forEach(steps ->
            name.append("-")
                .append(LETTERS.get(steps.figure()))
                .append(Numbers.plain(its.get(steps.figure()).orElseThrow())));
    return name.toString();
  }

  /** What stands before a figure in a layer's name. */
  private static final Map<CardSteps.Step, String> LETTERS =
      Map.of(
          CardSteps.Step.INTERVAL,
          "i",
          CardSteps.Step.PASSES,
          "n",
          CardSteps.Step.FREQUENCY,
          "k",
          CardSteps.Step.PULSE_LENGTH,
          "ns",
          CardSteps.Step.WOBBLE,
          "w");

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
        "run",
        "colour",
        "layer",
        "column",
        "row",
        "percent",
        "speedMmS",
        "intervalMm",
        "passes",
        "khz",
        "pulseNs",
        "wobbleMm");
    Map<CardSetting, Integer> settings = settings();
    List<Run> runs =
        plan.runs()
            .orElseGet(() ->
                List.of(
                    new Run(
                        plan.squares().stream().map(s -> List.of(s.column(), s.row())).toList())));
    int across = readings.columns();
    for (int run = 0; run < runs.size(); run++) {
      for (List<Integer> place : runs.get(run).squares()) {
        Square s = plan.squares().get(place.get(1) * across + place.get(0));
        printer.printRecord(
            run + 1,
            ShapeFiles.colour(settings.get(setting(s))),
            layer(s),
            s.column() + 1,
            s.row() + 1,
            Decimals.of(s.percent()),
            Decimals.of(s.speedMmS()),
            said(setting(s).intervalMm()),
            said(setting(s).passes()),
            said(setting(s).khz()),
            said(setting(s).pulseNs()),
            said(setting(s).wobbleMm()));
      }
    }
    printer.flush();
  }

  private static String said(OptionalDouble value) {
    return value.isPresent() ? Decimals.of(value.getAsDouble()) : "";
  }

  /**
   * The program with the labels behind all else, as gentle as the crosses. They stand outside of
   * what was found to fit: what of them would leave the bed is not burnt.
   */
  private String program(String burnt) {
    List<Shape> labels = new ArrayList<>();
    labels(labels);
    double word =
        Math.round(readings.crossAt().percent() / 100 * readings.topPowerWord().orElseThrow());
    StringBuilder out = new StringBuilder(burnt.substring(0, burnt.length() - END.length()));
    labels.removeIf(l -> !l.corners().stream().allMatch(this::onBed));
    labels.forEach(
        l -> Burnt.add(out, l, readings.intervalMm(), readings.crossAt().speedMmS(), word));
    return out.append(END).toString();
  }

  private boolean onBed(double[] corner) {
    return corner[0] >= 0
        && corner[1] >= 0
        && corner[0] <= readings.travelMm().get(0)
        && corner[1] <= readings.travelMm().get(1);
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
        text(
            svg,
            s.xMm() + s.wMm() / 2,
            front + 3,
            across(s) + (readings.across().isEmpty() ? " %" : ""));
      }
      if (s.column() == 0) {
        text(
            svg,
            left + 7,
            s.yMm() + s.hMm() / 2 - 1,
            up(s) + (readings.up().isEmpty() ? " mm/s" : ""));
      }
    }
    Message line =
        Message.of(
            "cards.legend",
            values(readings.across(), "cards.legend.power", readings.percents()),
            values(readings.up(), "cards.legend.speed", readings.speedsMmS()),
            Message.of("cards.legend.lines", Message.number(readings.intervalMm())));
    return Paper.fill(TEMPLATE, Map.of("line", words.line(line), "sheet", svg.svg()), words);
  }

  private static Message values(Optional<CardSteps> steps, String plain, List<Double> values) {
    Message all =
        Message.list(
            steps.map(CardSteps::values).orElse(values).stream().map(Message::number).toList());
    return steps
        .map(s -> Message.of("cards.legend.steps", Message.of(s.figure()), all))
        .orElseGet(() -> Message.of(plain, all));
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
        WholeFile.write(path, out -> out.write(program(program)));
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
