package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.machine.PulseRange;
import zebrawood.machine.SourceKind;
import zebrawood.measure.LengthUnit;

class MachineFormTest {
  private final MachineForm form =
      new MachineForm(List.of(), LengthUnit.MILLIMETRE, Optional.empty());

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
    MachineForm second = new MachineForm(List.of(alder), LengthUnit.INCH, Optional.empty());
    second.nameProperty().set("ALDER");
    assertThat(second.problemProperty().get()).contains("is taken");
    assertThat(second.width().text()).as("shown in inches").startsWith("23.6");
  }

  @Test
  void aFileNameIsMadeOfAnyMachinesName() {
    assertThat(PaperCard.fileName("Alder & Co. 2")).isEqualTo("alder-co-2");
    assertThat(PaperCard.fileName("Ørsted/../漢")).isEqualTo("ørsted-漢");
    assertThat(PaperCard.fileName("***")).isEqualTo("machine");
  }

  @Test
  void fittingsFollowTheBuildUntilSomebodyChooses() {
    MachineForm fresh = new MachineForm(List.of(), LengthUnit.MILLIMETRE, Optional.empty());
    fresh.nameProperty().set("Alder");
    assertThat(fresh.fitted().get(Fitting.LID_SWITCH).get()).isTrue();
    fresh.buildProperty().set(Build.GALVO);
    assertThat(fresh.fitted().get(Fitting.LID_SWITCH).get()).isFalse();
    assertThat(fresh.machine().orElseThrow().fittings()).isEmpty();
    fresh.fitted().get(Fitting.CAMERA).set(true);
    fresh.buildProperty().set(Build.GANTRY_WITH_MIRRORS);
    assertThat(fresh.fitted().get(Fitting.LID_SWITCH).get()).as("chosen by hand now").isFalse();
    fresh.startUpProperty().set("chiller; machine, ,computer");
    Machine made = fresh.machine().orElseThrow();
    assertThat(made.has(Fitting.CAMERA)).isTrue();
    assertThat(made.startUpOrder()).containsExactly("chiller", "machine", "computer");
    fresh.startUpProperty().set("x".repeat(61));
    assertThat(fresh.problemProperty().get()).startsWith("Switch on");

    MachineForm again = new MachineForm(List.of(made), LengthUnit.MILLIMETRE, Optional.of(made));
    assertThat(again.problemProperty().get()).as("its own name is not taken").isEmpty();
    assertThat(again.machine()).contains(made);
  }

  @Test
  void lensesPulsesAndMirrorsAreTypedInALineEach() {
    form.nameProperty().set("Flint");
    form.lensesProperty().set("160/110; 254/175,5  100");
    form.mirrorsProperty().set("45, 30, 45°");
    form.pulsesProperty().set("20 to 60");
    Machine gantry = form.machine().orElseThrow();
    assertThat(gantry.lenses().orElseThrow())
        .extracting(Lens::words)
        .containsExactly("160 mm lens, field 110 mm", "254 mm lens, field 175.5 mm", "100 mm lens");
    assertThat(gantry.mirrorTrain().incidenceDeg()).containsExactly(45.0, 30.0, 45.0);
    assertThat(gantry.source().pulses()).as("a tube is not pulsed").isEmpty();
    form.buildProperty().set(Build.GALVO);
    form.kindProperty().set(SourceKind.FIBRE);
    Machine galvo = form.machine().orElseThrow();
    assertThat(galvo.source().pulses()).contains(new PulseRange(20, 60));
    assertThat(galvo.train()).as("a galvo head has no such mirrors").isEmpty();
    assertThat(new MachineForm(List.of(), LengthUnit.MILLIMETRE, Optional.of(galvo)).machine())
        .contains(galvo);
    form.lensesProperty().set("F-theta");
    assertThat(form.problemProperty().get()).contains("Lenses is \"F-theta\"", "160/110");
    form.lensesProperty().set("");
    form.mirrorsProperty().set("45, 45, 45, 45");
    assertThat(form.problemProperty().get()).contains("4 mirrors", "1 to 3");
    form.mirrorsProperty().set("");
    form.pulsesProperty().set("60-20");
    assertThat(form.problemProperty().get()).contains("at most mostKhz");
  }
}
