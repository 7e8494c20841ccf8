package zebrawood.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zebrawood.words.Phrasebook.ENGLISH;

import org.junit.jupiter.api.Test;
import zebrawood.measure.UnusableReading;

class MachineTest {
  private static Machine machine(Build build, Source source, String name) {
    return new Machine("id", name, build, source, 700, 500, BedSupport.SCREWS, 0.3);
  }

  private static final Source TUBE = new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600);

  @Test
  void saysWhatItIsInOneLine() {
    assertThat(ENGLISH.say(machine(Build.GANTRY_WITH_MIRRORS, TUBE, "Alder").inOneLine()))
        .isEqualTo("CO₂ glass tube 90 W · gantry with mirrors · 700 × 500 mm · 10 600 nm");
  }

  @Test
  void cautionsForItsOwnWavelengthAndBuild() {
    assertThat(ENGLISH.say(machine(Build.GANTRY_WITH_MIRRORS, TUBE, "Alder").standingCaution()))
        .contains("10 600 nm", "lid shut");
    assertThat(
            ENGLISH.say(
                machine(Build.GALVO, new Source(SourceKind.UV, 5, 355), "Bryony")
                    .standingCaution()))
        .contains("355 nm", "door shut");
  }

  @Test
  void refusesWhatNoMachineIs() {
    assertThatThrownBy(() -> machine(Build.GALVO, TUBE, "x".repeat(61)))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("61 letters");
    assertThatThrownBy(() -> new Source(SourceKind.UV, 0, 355)).hasMessageContaining("watts");
    assertThatThrownBy(() -> new Source(SourceKind.UV, 5, Double.NaN))
        .hasMessageContaining("wavelengthNm");
    assertThatThrownBy(() ->
            new Machine("id", "Alder", Build.GALVO, TUBE, 5, Double.NaN, BedSupport.SHIMS, -1))
        .hasMessageContaining("areaXMm")
        .hasMessageContaining("areaYMm")
        .hasMessageContaining("levelToleranceMm");
  }
}
