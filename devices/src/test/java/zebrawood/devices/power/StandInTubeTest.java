package zebrawood.devices.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.power.Ageing;
import zebrawood.power.Ceiling;
import zebrawood.power.CeilingReadings;
import zebrawood.power.CurveFit;
import zebrawood.power.CurvePoint;
import zebrawood.power.EnergyProbe;
import zebrawood.power.FittedCurve;

/** The tube is gain over loss, which no solver knows of. */
class StandInTubeTest {
  private static StandInTube tube(long number) {
    return new StandInTube(26, 90, 4.2, 0.12, 3000, 1, number);
  }

  private static StandInSupply supply(double dial) {
    return new StandInSupply(tube(1), 0.37, 1.2, 0.8, 1, dial, 2);
  }

  @Test
  void aNewTubeGivesItsRatedWattsAndNothingBelowItsThreshold() {
    StandInTube tube = tube(1);
    assertThat(tube.watts(26)).isCloseTo(90, within(0.5));
    assertThat(tube.watts(4)).isZero();
    double low = tube.watts(10) - tube.watts(9);
    double high = tube.watts(26) - tube.watts(25);
    assertThat(high).as("flatter at the top").isLessThan(0.8 * low);
    tube.rest();
    assertThat(tube.watts(26)).as("cold").isGreaterThan(93);
  }

  @Test
  void itAgesFasterTheMoreCurrentItDraws() {
    StandInTube gentle = tube(1);
    StandInTube driven = tube(1);
    gentle.run(3000, 26);
    driven.run(3000, 30);
    assertThat(gentle.watts(26)).isCloseTo(90 * 0.8, within(1.0));
    assertThat(driven.watts(26)).isLessThan(gentle.watts(26) - 5);
  }

  @Test
  void theDialIsFoundFromANeedle() {
    StandInSupply supply = supply(0);
    List<CeilingReadings.Sample> samples = new ArrayList<>();
    for (double dial = 10; dial <= 75; dial += 5) {
      samples.add(new CeilingReadings.Sample(dial, supply.readMa(dial)));
    }
    var found =
        Ceiling.solve(
            new CeilingReadings(
                30,
                OptionalDouble.of(0.85),
                OptionalDouble.empty(),
                supply.resolutionMa(),
                samples));
    supply.setDial(found.dialPercent().orElseThrow().value());
    assertThat(supply.currentMa(supply.dialPercent())).isCloseTo(25.5, within(0.5));
  }

  @Test
  void theCurveIsFoundByMeterAndByProbe() {
    StandInSupply supply = supply(65);
    var probe = new StandInSupply.Probe(180, 150, 22);
    var cooling = new EnergyProbe.Cooling(22, 35, probe.cooled(35, 60), 60);
    List<CurvePoint> metered = new ArrayList<>();
    List<CurvePoint> probed = new ArrayList<>();
    for (double percent = 30; percent <= 100; percent += 10) {
      metered.add(new CurvePoint(percent, supply.readWatts(percent)));
      double end = supply.heat(probe, 22.5, percent, 30);
      probed.add(new CurvePoint(percent, EnergyProbe.watts(180, 22.5, end, 30, cooling)));
    }
    for (List<CurvePoint> read : List.of(metered, probed)) {
      Optional<FittedCurve> curve = CurveFit.of(read, 0.6, 2);
      for (double percent : new double[] {40, 70, 95}) {
        var at = curve.orElseThrow().at(percent);
        assertThat(Math.abs(at.value() - supply.watts(percent)))
            .isLessThan(4 * at.uncertainty())
            .isLessThan(3.5);
      }
    }
  }

  @Test
  void theEndOfLifeIsInItsIntervalEightTimesInTen() {
    int held = 0;
    for (int i = 0; i < 300; i++) {
      StandInTube tube = new StandInTube(26, 90, 4.2, 0.12, 2500, 0.85 + 0.35 * i / 300, i);
      List<Ageing.Reading> readings = new ArrayList<>();
      for (int month = 0; month < 12; month++) {
        readings.add(new Ageing.Reading(100 * month, tube.wattsNow(26)));
        tube.run(100, 26);
      }
      double end = 1200;
      while (tube.watts(26) > 67.5) {
        tube.run(5, 26);
        end += 5;
      }
      var trend = Ageing.of(readings, 67.5).orElseThrow();
      boolean after = trend.from().isPresent() && end >= trend.from().getAsDouble();
      held += after && end <= trend.until().orElse(Double.MAX_VALUE) ? 1 : 0;
    }
    assertThat(held / 3.0).isBetween(72.0, 92.0);
  }

  @Test
  void aWordBelowTheControllersIsAPartOfTheSource() {
    StandInWordSource source = new StandInWordSource(1000, 255, 30, 1);
    assertThat(source.offPercent()).isCloseTo(74.5, within(1e-9));
    double part = source.mark(100);
    source.setJobTop(1000);
    assertThat(source.mark(100)).isGreaterThan(3 * part);
    assertThat(source.mark(source.readFiringPercent() - 1)).isZero();
    StandInWordSource over = new StandInWordSource(255, 1000, 30, 1);
    assertThat(over.mark(100)).as("the same full power").isEqualTo(over.mark(90));
  }
}
