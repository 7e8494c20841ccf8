package zebrawood.devices.whole;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.devices.whole.CaseFile.Hidden;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Phrasebook;

class CaseFileTest {
  private static CaseFile file(
      int version, String says, List<Trait> counts, List<Hidden> hidden, List<Guard> inOrder) {
    return new CaseFile(
        version, "A case", WholeKind.GALVO, says, counts, hidden, inOrder, false, 4);
  }

  private static CaseFile usual() {
    return file(
        1,
        "The rings are too large.",
        List.of(Trait.FIELD_SCALE, Trait.FOCUS),
        List.of(new Hidden(Trait.FIELD_SCALE, 3.5)),
        List.of(Guard.MAINS_ON, Guard.EYEWEAR_ON));
  }

  @Test
  void itBeginsAsItIsWritten() {
    CaseStart start = usual().start();
    assertThat(Phrasebook.ENGLISH.say(start.says())).isEqualTo("The rings are too large.");
    assertThat(start.counts()).containsExactlyInAnyOrder(Trait.FIELD_SCALE, Trait.FOCUS);
    CaseRun run = new CaseRun(start);
    assertThat(run.machine().truth(Trait.FIELD_SCALE)).isEqualTo(3.5);
    assertThat(run.machine().truth(Trait.FOCUS)).isZero();
    assertThat(run.machine().has(Guard.EYEWEAR_ON)).isTrue();
    assertThat(run.machine().has(Guard.EXHAUST_ON)).isFalse();
    // What such a machine has not is in nobody's way.
    assertThat(run.machine().has(Guard.WATER_ON)).isTrue();
  }

  @Test
  void whatIsWrongIsNamed() {
    List<Trait> counts = List.of(Trait.FOCUS);
    List<Hidden> none = List.of();
    List<Guard> noGuard = List.of();
    refused(() -> file(2, "It", counts, none, noGuard), "zebrawoodCase");
    refused(() -> file(1, " ", counts, none, noGuard), "says");
    refused(() -> file(1, "x".repeat(501), counts, none, noGuard), "501 letters");
    refused(() -> file(1, "It", List.of(), none, noGuard), "counts");
    refused(() -> file(1, "It", List.of(Trait.BED_X), none, noGuard), "counts[0]");
    refused(
        () -> file(1, "It", counts, List.of(new Hidden(Trait.FOCUS, 21)), noGuard),
        "hidden[0].off");
    refused(
        () -> file(1, "It", counts, List.of(new Hidden(Trait.FOCUS, Double.NaN)), noGuard),
        "hidden[0].off");
    refused(
        () ->
            file(
                1,
                "It",
                counts,
                List.of(new Hidden(Trait.FOCUS, 1), new Hidden(Trait.FOCUS, 2)),
                noGuard),
        "each once");
    refused(
        () -> file(1, "It", counts, List.of(new Hidden(Trait.GAS, 1)), noGuard), "hidden[0].trait");
    refused(() -> file(1, "It", counts, none, List.of(Guard.WATER_ON)), "inOrder[0]");
  }

  private static void refused(Runnable made, String named) {
    assertThatThrownBy(made::run).isInstanceOf(UnusableReading.class).hasMessageContaining(named);
  }
}
