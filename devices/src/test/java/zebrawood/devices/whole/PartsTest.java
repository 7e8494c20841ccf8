package zebrawood.devices.whole;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.bed.Clockwise;
import zebrawood.bed.Screw;
import zebrawood.devices.bed.StandInBed;
import zebrawood.devices.mirrors.StandInTrain;

/** The stand-ins of the sheets, made as parts of one machine, stand as it does. */
class PartsTest {
  @Test
  void aMirrorLeansAsFarAndToTheSameSide() {
    for (double mrad : new double[] {-12, -1, 0, 3, 9}) {
      StandInTrain train = StandInTrain.leaning(mrad, -mrad / 2, 1);
      assertThat(train.trueErrorMrad(1)[0]).isEqualTo(mrad, within(0.01));
      assertThat(train.trueErrorMrad(2)[0]).isEqualTo(-mrad / 2, within(0.01));
    }
  }

  @Test
  void aBedFallsAsFar() {
    List<Screw> screws =
        List.of(
            new Screw("a", 0, 0, 0.7, Clockwise.RAISES),
            new Screw("b", 600, 0, 0.7, Clockwise.RAISES),
            new Screw("c", 300, 400, 0.7, Clockwise.RAISES));
    StandInBed bed = StandInBed.falling(600, 400, screws, 0.1, 1.5, -2, 1);
    assertThat(bed.trueGapMm(600, 200) - bed.trueGapMm(0, 200)).isEqualTo(1.5, within(1e-9));
    assertThat(bed.trueGapMm(300, 400) - bed.trueGapMm(300, 0)).isEqualTo(-2, within(1e-9));
  }
}
