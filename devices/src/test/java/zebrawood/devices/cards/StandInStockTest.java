package zebrawood.devices.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.devices.cards.SimulatedJob.Burn;
import zebrawood.measure.UnusableReading;

class StandInStockTest {
  private static final String SQUARE =
      "G21\nG90\nM3 S0\nG0 X8 Y10 S0\nG1 X10 F6000 S0\nG1 X16 F6000 S500\nG1 X18 F6000 S0\nM5\n";

  @Test
  void aControllerBurnsWhereTheProgramSaysWithItsOwnTopWord() {
    List<Burn> burns = new SimulatedJob(1000, true, 300).run(SQUARE);
    assertThat(burns).containsExactly(new Burn(10, 10, 16, 10, 0.5, 100));
    assertThat(new SimulatedJob(255, true, 300).run(SQUARE).getFirst().share()).isEqualTo(1);
  }

  @Test
  void aLaserThatDoesNotFollowTheMotionBurnsOnTheWayToo() {
    String program = "G90\nM3 S200\nG0 X5 Y0\nG1 X9 F600 S200\nM5\nG0 X0 Y0\n";
    assertThat(new SimulatedJob(1000, true, 300).run(program)).hasSize(1);
    assertThat(new SimulatedJob(1000, false, 300).run(program)).hasSize(2);
    assertThatThrownBy(() -> new SimulatedJob(1000, true, 300).run("G1 Xten\n"))
        .isInstanceOf(UnusableReading.class);
  }

  @Test
  void aFilledAreaIsAsDarkAsToldAndWideLinesShowAsBands() {
    StandInStock stock = new StandInStock(3);
    StringBuilder program = new StringBuilder("M3 S0\n");
    double interval = 0.1;
    for (int i = 0; i < 60; i++) {
      program.append("G0 X10 Y").append(10 + i * interval).append(" S0\n");
      program.append("G1 X16 F6000 S400\n");
    }
    StandInStock.Scan scan =
        stock.scan(new SimulatedJob(1000, true, 300).run(program.toString()), 8, 8, 12, 12);
    double bare = linear(scan, 17.5, 19, 19, 20);
    double dark = linear(scan, 11, 11, 15, 15);
    assertThat(1 - dark / bare).isCloseTo(stock.darkness(40, 100, interval), within(0.07));
    assertThat(stock.darkness(40, 100, interval)).isGreaterThan(stock.darkness(20, 100, interval));
    double before = stock.darkness(40, 100, interval);
    stock.weaken(0.7);
    assertThat(stock.darkness(40, 100, interval)).isLessThan(before);
  }

  private static double linear(
      StandInStock.Scan scan, double fromX, double fromY, double toX, double toY) {
    BufferedImage image = scan.image();
    double sum = 0;
    int n = 0;
    for (double x = fromX; x < toX; x += 0.1) {
      for (double y = fromY; y < toY; y += 0.1) {
        double[] px = scan.px(x, y);
        double c = (image.getRGB((int) px[0], (int) px[1]) & 0xff) / 255.0;
        sum += c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
        n++;
      }
    }
    return sum / n;
  }
}
