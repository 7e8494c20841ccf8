package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import zebrawood.cards.BookLine;
import zebrawood.cards.CardGrid;
import zebrawood.cards.CardsStation;
import zebrawood.cards.StockKind;
import zebrawood.cards.Trial;
import zebrawood.desktop.cards.CardsWay;
import zebrawood.desktop.cards.StepOf;
import zebrawood.devices.cards.SimulatedJob;
import zebrawood.devices.cards.StandInStock;
import zebrawood.records.cards.BookFile;

/**
 * Alder's cards in the real window, burnt by the file that is written, on a stock of the stand-in.
 */
class CardsWindowTest extends WindowTest {
  private static final double TOP_WORD = 1000;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private void says(String words) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains(words)) {
      assertThat(System.nanoTime()).as(words + " in " + page()).isLessThan(end);
    }
  }

  private void plan() {
    String[] typed = {
      "power-least",
      "10",
      "power-most",
      "60",
      "columns",
      "6",
      "speed-least",
      "60",
      "speed-most",
      "400",
      "rows",
      "5",
      "interval",
      "0.1",
      "square-w",
      "6",
      "square-h",
      "6",
      "gap",
      "2",
      "at-x",
      "60",
      "at-y",
      "60",
      "cross-power",
      "60",
      "cross-speed",
      "60",
      "acceleration",
      "3000",
      "top-word",
      "1000",
      "travel-speed",
      "300"
    };
    for (int i = 0; i < typed.length; i += 2) {
      fill("#cards-" + typed[i], typed[i + 1]);
    }
  }

  /** Where the crosses lie in the scan of a card of so many squares. */
  private double[][] burn(
      StandInStock stock, Path program, Path scanned, int columns, int rows, double pxPerMm)
      throws IOException {
    double right = 60 + columns * 8 - 2 + 4;
    double rear = 60 + rows * 8 - 2 + 4;
    StandInStock.Scan scan =
        stock.scan(
            new SimulatedJob(TOP_WORD, true, 300).run(Files.readString(program)),
            56,
            56,
            right - 56,
            rear - 56,
            pxPerMm);
    ImageIO.write(scan.image(), "png", scanned.toFile());
    return new double[][] {
      scan.px(56, 56), scan.px(right, 56), scan.px(right, rear), scan.px(56, rear)
    };
  }

  /**
   * How far squares of such lines go up and down between them, by a Gaussian spot of 0.16 mm (first
   * harmonic) and the stock's own law.
   */
  private static double bands(StandInStock stock, double percent, double speed, double apart) {
    double share = 2 * Math.exp(-2 * Math.pow(Math.PI * 0.04 / apart, 2));
    return (stock.darkness(percent * (1 + share), speed, apart)
            - stock.darkness(percent * (1 - share), speed, apart))
        / 2;
  }

  @Test
  void theWidestLinesWithoutBandsAreFoundOnACardOfIntervals() throws IOException {
    openStation("cards");
    goOnWithoutProof();
    choose("#cards-way", CardsWay.SCAN);
    unfold();
    plan();
    choose("#cards-across", StepOf.INTERVAL);
    fill("#cards-interval-least", "0.09");
    fill("#cards-interval-most", "0.36");
    fill("#cards-columns", "4");
    fill("#cards-rows", "2");
    fill("#cards-power-least", "40");
    says("8 squares");
    Path program = file.resolveSibling("lines.gcode");
    fill("#cards-card-file", program.toString());
    press("#cards-write");
    until("the card is written", () -> Files.exists(program));

    StandInStock stock = new StandInStock(4);
    Path scanned = file.resolveSibling("lines.png");
    double[][] crosses = burn(stock, program, scanned, 4, 2, 47);
    fill("#cards-wanted", "");
    fill("#cards-photo", scanned.toString());
    pressCrosses(crosses);
    says("fastest square without bands");
    fill("#cards-book-work", "large areas");
    press("#cards-to-book");
    says("stands in the book now");
    double apart = Double.parseDouble(words("#cards-book-3-interval"));
    double speed = Double.parseDouble(words("#cards-book-3-speed"));
    List<Double> tried = CardGrid.steps(0.09, 0.36, 4);
    assertThat(tried).contains(apart);
    assertThat(bands(stock, 40, speed, apart)).isLessThan(0.04);
    double wider = tried.get(tried.indexOf(apart) + 1);
    assertThat(bands(stock, 40, speed, wider)).isGreaterThan(0.02);
    recorded();
  }

  private void pressCrosses(double[][] crosses) {
    for (int i = 0; i < crosses.length; i++) {
      fill("#cards-mark-" + i + "-x", String.valueOf(Math.round(crosses[i][0] + 5)));
      fill("#cards-mark-" + i + "-y", String.valueOf(Math.round(crosses[i][1] - 5)));
    }
  }

  @Test
  void aCardIsPlannedBurntReadChosenFromKeptAndBurntAgain() throws IOException {
    openStation("cards");
    goOnWithoutProof();
    choose("#cards-way", CardsWay.SCAN);
    unfold();
    plan();
    says("30 squares");
    Path program = file.resolveSibling("card.gcode");
    fill("#cards-card-file", program.toString());
    press("#cards-write");
    until("the card is written", () -> Files.exists(program));

    StandInStock stock = new StandInStock(4);
    Path scanned = file.resolveSibling("card.png");
    double[][] crosses = burn(stock, program, scanned, 6, 5, StandInStock.PX_PER_MM);
    fill("#cards-photo", scanned.toString());
    fill("#cards-wanted", "");
    pressCrosses(crosses);
    says("Press on a square that looks as it shall");
    pressSquare(3, 1);
    says("the fastest of those that come out so");
    double dark = stock.darkness(40, CardGrid.steps(60, 400, 5).get(1), 0.1);
    assertThat(Double.parseDouble(words("#cards-wanted"))).isCloseTo(dark, within(0.06));
    fill("#cards-wanted", "0.5");
    says("the fastest of those that come out so");
    fill("#cards-book-work", "large areas");
    press("#cards-to-book");
    says("stands in the book now");
    double speed = Double.parseDouble(words("#cards-book-3-speed"));
    double power = Double.parseDouble(words("#cards-book-3-power"));
    // The setting burnt on the stock comes out as wanted.
    assertThat(stock.darkness(power, speed, 0.1)).isCloseTo(0.5, within(0.05));
    recorded();
    again(stock, program, scanned, crosses);
  }

  private void again(StandInStock stock, Path program, Path before, double[][] crosses)
      throws IOException {
    stock.weaken(0.8);
    Path scanned = file.resolveSibling("again.png");
    double[][] now = burn(stock, program, scanned, 6, 5, StandInStock.PX_PER_MM);
    assertThat(before).exists();
    onInterface(() -> {
      ((ComboBox<?>) node("#cards-purpose")).getSelectionModel().select(1);
      return null;
    });
    unfold();
    fill("#cards-photo", scanned.toString());
    pressCrosses(now);
    says("burns weaker");
    assertThat(page()).containsPattern("0\\.(7[6-9]|8[0-4]) ± 0\\.0");
    assertThat(crosses).hasDimensions(4, 2);
  }

  private void pressSquare(int column, int row) {
    Region picture = (Region) node("#cards-picture");
    onInterface(() -> {
      double[] at = squareAt(picture, column, row);
      mouse(picture, MouseEvent.MOUSE_PRESSED, at[0], at[1]);
      mouse(picture, MouseEvent.MOUSE_RELEASED, at[0], at[1]);
      mouse(picture, MouseEvent.MOUSE_CLICKED, at[0], at[1]);
      return null;
    });
    settle();
  }

  /** The middle of a drawn square. */
  private static double[] squareAt(Region picture, int column, int row) {
    List<Rectangle> squares =
        picture.lookupAll(".card-bare").stream()
            .map(Rectangle.class::cast)
            .sorted(
                Comparator.<Rectangle>comparingDouble(s -> -s.getY())
                    .thenComparingDouble(s -> s.getX()))
            .toList();
    Rectangle square = squares.get(row * 6 + column);
    return new double[] {
      square.getX() + square.getWidth() / 2, square.getY() + square.getHeight() / 2
    };
  }

  @Test
  void byEyeAndOneBurnAndWhatMustNotBeBurnt() throws IOException {
    openStation("cards");
    goOnWithoutProof();
    choose("#cards-way", CardsWay.EYE);
    unfold();
    plan();
    String[] rows = {"lggsss", "llggss", "lllggs", "llllgg", "lllllg"};
    for (int i = 0; i < rows.length; i++) {
      fill("#cards-grade-" + (i + 1), rows[i]);
    }
    says("Set 60 % at 400 mm/s");
    fill("#cards-grade-5", "lllxlg");
    says("l for too light");
    fill("#cards-grade-5", "lllllg");
    Path book = file.resolveSibling("book");
    fill("#cards-book-file", book.toString());
    press("#cards-write-book");
    until("the book is written", () -> Files.exists(file.resolveSibling("book.json")));
    assertThat(BookFile.read(file.resolveSibling("book.json").toString()))
        .hasSize(2)
        .allSatisfy(l -> assertThat(l.from()).isEqualTo(BookLine.Origin.COPIED));

    choose("#cards-stock-kind", StockKind.CHLORINATED_PLASTIC);
    says("Do not burn this stock");
    Path never = file.resolveSibling("never.gcode");
    fill("#cards-card-file", never.toString());
    press("#cards-write");
    says("Chlorinated plastics give off hydrogen chloride");
    assertThat(never).doesNotExist();
    // A copy stands beside what was burnt here, and does not take its place.
    fill("#cards-book-file", file.resolveSibling("book.json").toString());
    press("#cards-read-book");
    says("They count as copied");
    assertThat(words("#cards-book-1-speed")).isEqualTo("152");
    assertThat(words("#cards-book-3-work")).isEqualTo(words("#cards-book-1-work"));
    choose("#cards-stock-kind", StockKind.LAMINATE);
    choose("#cards-way", CardsWay.TRIAL);
    unfold();
    fill("#cards-trial-what", "herb plates");
    fill("#cards-trial-speed", "152");
    fill("#cards-trial-power", "34");
    choose("#cards-trial-result", Trial.Result.SPOILT);
    says("what spoilt a piece is worth as much");
    recorded();
  }

  private void recorded() {
    int before = onInterface(this::entries);
    until("it can be kept", () -> !node("#primary").isDisabled());
    press("#primary");
    signIfAsked();
    until("it is kept", () -> entries() == before + 1);
  }

  private int entries() {
    return app.model().opened().ledger().entriesAt(CardsStation.STATION).size();
  }
}
