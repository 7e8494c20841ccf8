package zebrawood.devices.whole;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class WholeMachineTest {
  private static final double[] AT = {0.1, 0.5, 0.9};

  private static double darkest(WholeMachine machine) {
    double most = 0;
    for (double x : AT) {
      for (double y : AT) {
        most = Math.max(most, machine.darkness(x, y));
      }
    }
    return most;
  }

  @ParameterizedTest
  @EnumSource
  void aMachineWithoutFaultsIsAsItShouldBe(WholeKind kind) {
    WholeMachine machine = new WholeMachine(kind);
    for (double x : AT) {
      for (double y : AT) {
        assertThat(machine.darkness(x, y)).isEqualTo(1, within(1e-5));
        assertThat(machine.lineWidth(x, y)).isEqualTo(1, within(1e-9));
      }
    }
    assertThat(Trait.of(kind)).allMatch(machine::isWithin);
  }

  /** However much of it there is, a fault makes nothing darker, and what a machine has not is 0. */
  @ParameterizedTest
  @EnumSource
  void noFaultMakesTheWorkDarker(Trait trait) {
    if (trait == Trait.TOP_WORD) {
      return; // a larger word is more power: that is its fault
    }
    for (WholeKind kind : WholeKind.values()) {
      WholeMachine machine = new WholeMachine(kind);
      double before = darkest(machine);
      Random random = new Random(trait.ordinal());
      for (int i = 0; i < 50; i++) {
        double much = trait.most() * random.nextDouble();
        boolean oneSided = trait.name().endsWith("DIRT") || trait.name().startsWith("COOLANT");
        machine.set(trait, oneSided || random.nextBoolean() ? much : -much);
        if (trait != Trait.TUBE_WEAK || machine.truth(trait) >= 0) {
          assertThat(darkest(machine)).isLessThanOrEqualTo(before + 1e-9);
        }
        assertThat(machine.isSound()).isTrue();
        if (!trait.isOf(kind)) {
          assertThat(machine.truth(trait)).isZero();
        }
      }
    }
  }

  /** A Gaussian beam that walks off a round opening, cut off by counting over a fine grid. */
  @Test
  void aBeamThatWalksOffLosesAsMuchAsARoundOpeningCutsOff() {
    WholeMachine machine = new WholeMachine(WholeKind.GLASS_TUBE_GANTRY);
    for (double walk = 0; walk <= 10; walk += 0.5) {
      machine.set(Trait.HEAD, walk);
      double through = through(walk, 3.5, 8);
      assertThat(machine.power(0.5, 0.5))
          .as("%s mm off: %s of it goes through", walk, through)
          .isCloseTo(through, within(0.06));
    }
  }

  private static double through(double walkMm, double radiusMm, double openingMm) {
    double all = 0;
    double passes = 0;
    for (double x = -12; x <= 12; x += 0.1) {
      for (double y = -12; y <= 12; y += 0.1) {
        double part = Math.exp(-2 * (x * x + y * y) / (radiusMm * radiusMm));
        all += part;
        passes += Math.hypot(x + walkMm, y) < openingMm ? part : 0;
      }
    }
    return passes / all;
  }

  @Test
  void amountsStayWithinWhatAMachineCanBeOff() {
    WholeMachine machine = new WholeMachine(WholeKind.DIODE_GANTRY);
    for (int i = 0; i < 100; i++) {
      machine.add(Trait.FOCUS, 3);
      machine.add(Trait.TOP_WORD, -30);
    }
    assertThat(machine.truth(Trait.FOCUS)).isEqualTo(Trait.FOCUS.most());
    assertThat(machine.truth(Trait.TOP_WORD)).isGreaterThan(-100);
  }
}
