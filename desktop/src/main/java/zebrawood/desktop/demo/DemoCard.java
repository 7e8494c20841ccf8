package zebrawood.desktop.demo;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import javax.imageio.ImageIO;
import zebrawood.cards.CardGrid;
import zebrawood.cards.CardPlan;
import zebrawood.cards.CardPlanFinding;
import zebrawood.cards.CardPlanReadings;
import zebrawood.devices.cards.SimulatedJob;
import zebrawood.devices.cards.StandInStock;

/** A card of the demo's oak, burnt by its program on a stand-in and scanned. */
public final class DemoCard {
  private static final double TOP_WORD = 1000;
  private static final double TRAVEL_MM_S = 300;
  private static final long STOCK = 12;

  private DemoCard() {}

  /**
   * Writes the scan.
   *
   * @return where it shows the four crosses: lower left, lower right, upper right, upper left
   */
  public static List<double[]> scan(Path file) throws IOException {
    CardPlanFinding plan =
        CardPlan.solve(
            new CardPlanReadings(
                CardGrid.evenly(10, 58, 7),
                CardGrid.steps(60, 450, 6),
                List.of(6.0, 6.0),
                2,
                List.of(60.0, 60.0),
                0.1,
                OptionalDouble.of(3000),
                List.of(700.0, 500.0),
                OptionalDouble.of(TOP_WORD),
                OptionalDouble.of(TRAVEL_MM_S),
                OptionalDouble.empty(),
                new CardPlanReadings.CrossAt(58, 60),
                OptionalInt.empty()));
    List<List<Double>> crosses = plan.crossesMm();
    StandInStock.Scan scan =
        new StandInStock(STOCK)
            .scan(
                new SimulatedJob(TOP_WORD, true, TRAVEL_MM_S)
                    .run(plan.gcode().text().orElseThrow()),
                crosses.get(0).get(0),
                crosses.get(0).get(1),
                crosses.get(2).get(0) - crosses.get(0).get(0),
                crosses.get(2).get(1) - crosses.get(0).get(1));
    ImageIO.write(scan.image(), "png", file.toFile());
    return crosses.stream().map(c -> scan.px(c.get(0), c.get(1))).toList();
  }
}
