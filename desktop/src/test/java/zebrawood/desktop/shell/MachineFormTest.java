package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.measure.LengthUnit;

class MachineFormTest {
  private final MachineForm form = new MachineForm(List.of(), LengthUnit.MILLIMETRE);

  @Test
  void aNameIsAllThatHasToBeTyped() {
    assertThat(form.machine()).isEmpty();
    form.nameProperty().set(" Alder ");
    Machine machine = form.machine().orElseThrow();
    assertThat(machine.name()).isEqualTo("Alder");
    assertThat(machine.source().wavelengthNm()).isEqualTo(10_600);
    assertThat(form.problemProperty().get()).isEmpty();
  }

  @Test
  void theSourceSuggestsItsUsualFigures() {
    form.nameProperty().set("Bryony");
    form.kindProperty().set(SourceKind.UV);
    form.buildProperty().set(Build.GALVO);
    Machine machine = form.machine().orElseThrow();
    assertThat(machine.source().wavelengthNm()).isEqualTo(355);
    assertThat(machine.bedSupport()).isEqualTo(BedSupport.SHIMS);
  }

  @Test
  void saysWhatIsAcceptedForEachFieldInTurn() {
    form.nameProperty().set("x".repeat(61));
    assertThat(form.problemProperty().get()).contains("61 letters", "at most 60");
    form.nameProperty().set("Alder");
    form.wattsProperty().set("ninety");
    assertThat(form.problemProperty().get()).contains("Watts: \"ninety\"", "more than 0");
    form.wattsProperty().set("90,5");
    form.wavelengthNmProperty().set("100");
    assertThat(form.problemProperty().get()).contains("below 180 nm");
    form.wavelengthNmProperty().set("10600");
    form.width().textProperty().set("5");
    assertThat(form.problemProperty().get()).contains("Width: 5 mm is out of range");
    form.width().textProperty().set("");
    assertThat(form.problemProperty().get()).contains("Width is empty");
    form.width().textProperty().set("24 in");
    form.tolerance().textProperty().set("0");
    assertThat(form.problemProperty().get()).contains("Level limit");
    form.tolerance().textProperty().set("10 thou");
    assertThat(form.machine().orElseThrow().areaXMm()).isCloseTo(609.6, within(1e-9));
    assertThat(form.machine().orElseThrow().source().watts()).isEqualTo(90.5);
  }

  @Test
  void twoMachinesDoNotShareAName() {
    form.nameProperty().set("Alder");
    Machine alder = form.machine().orElseThrow();
    MachineForm second = new MachineForm(List.of(alder), LengthUnit.INCH);
    second.nameProperty().set("ALDER");
    assertThat(second.problemProperty().get()).contains("is taken");
    assertThat(second.width().text()).as("shown in inches").startsWith("23.6");
  }

  @Test
  void aFileNameIsMadeOfAnyMachinesName() {
    assertThat(HandOverCard.fileName("Alder & Co. 2")).isEqualTo("alder-co-2");
    assertThat(HandOverCard.fileName("Ørsted/../漢")).isEqualTo("ørsted-漢");
    assertThat(HandOverCard.fileName("***")).isEqualTo("machine");
  }
}
