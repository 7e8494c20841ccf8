package zebrawood.devices.rotary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.rotary.Rotary;
import zebrawood.rotary.RotaryFinding;
import zebrawood.rotary.RotaryReadings;
import zebrawood.rotary.RotaryReadings.Kind;
import zebrawood.rotary.RotaryReadings.Length;
import zebrawood.rotary.RotaryReadings.Turn;

class StandInRotaryTest {
  @Test
  void whatIsAdvisedMakesItTrue() {
    for (long number = 0; number < 60; number++) {
      StandInRotary on = new StandInRotary(number);
      double before = on.offMm();
      double diameter = on.readDiameterMm();
      double once = Math.PI * diameter;
      RotaryFinding found =
          Rotary.solve(
              new RotaryReadings(
                  on.kind(),
                  on.plateSteps(),
                  on.kind() == Kind.ROLLERS
                      ? OptionalDouble.of(on.rollerMm())
                      : OptionalDouble.empty(),
                  diameter,
                  0.05,
                  OptionalDouble.of(on.setStepsPerMm()),
                  List.of(100.0, 50.0),
                  2,
                  0.5,
                  Optional.of(new Turn(once, on.closesByMm(once), 0.5)),
                  Optional.of(new Length(100, on.measuredMm(100), 0.5)),
                  Optional.empty(),
                  Optional.empty(),
                  Optional.empty()));
      on.set(found.stepsPerMm().value());
      assertThat(on.offMm()).as("%s was off by %s", number, before).isLessThan(0.6);
    }
  }
}
