package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.Models;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.PulseRange;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Phrasebook;

class MachineFormTest {
  private final MachineForm form = new MachineForm(List.of(), Phrasebook.ENGLISH, Optional.empty());

  private static void type(MachineForm form, String name, String words) {
    form.form().type(Map.of(name, words));
  }

  private static String problem(MachineForm form) {
    return form.problemProperty().get().map(Phrasebook.ENGLISH::sentence).orElse("");
  }

  /** What stands on its plate: nobody but who types it knows it. */
  private static void typePlate(MachineForm form) {
    type(form, "watts", "90");
    type(form, "width", "600");
    type(form, "depth", "400");
  }

  @Test
  void nameAndPlateAreAllThatHasToBeTyped() {
    assertThat(form.machine()).isEmpty();
    type(form, "name", " Alder ");
    assertThat(problem(form)).startsWith("Rated power is empty");
    typePlate(form);
    Machine machine = form.machine().orElseThrow();
    assertThat(machine.name()).isEqualTo("Alder");
    assertThat(machine.source().wavelengthNm()).isEqualTo(10_600);
    assertThat(problem(form)).isEmpty();
  }

  @Test
  void whatTellsItFromOthersMayBeToldLater() {
    typePlate(form);
    type(form, "name", "Alder");
    assertThat(form.machine().orElseThrow().identity()).isEmpty();
    type(form, "serialNumber", " 12-B ");
    type(form, "customer", "the garden club");
    Machine machine = form.machine().orElseThrow();
    assertThat(Models.said(machine.identity().orElseThrow().said()))
        .isEqualTo("serial number 12-B · for the garden club");
    MachineForm again = new MachineForm(List.of(), Phrasebook.ENGLISH, Optional.of(machine));
    assertThat(again.machine()).contains(machine);
    type(form, "place", "x".repeat(61));
    assertThat(problem(form)).contains("Stands at is too long", "60 letters");
  }

  @Test
  void theSourceSuggestsItsUsualFigures() {
    typePlate(form);
    type(form, "name", "Bryony");
    type(form, "source", "UV");
    type(form, "build", "GALVO");
    assertThat(problem(form)).as("some have air, some water").contains("Cooled by");
    type(form, "cooling", "AIR");
    Machine machine = form.machine().orElseThrow();
    assertThat(machine.cooledByWater()).isFalse();
    assertThat(new MachineForm(List.of(), Phrasebook.ENGLISH, Optional.of(machine)).machine())
        .contains(machine);
    assertThat(machine.source().wavelengthNm()).isEqualTo(355);
    assertThat(machine.bedSupport()).isEqualTo(BedSupport.SHIMS);
  }

  @Test
  void saysWhatIsAcceptedForEachFieldInTurn() {
    typePlate(form);
    type(form, "name", "x".repeat(61));
    assertThat(problem(form)).contains("61 letters", "at most 60");
    type(form, "name", "Alder");
    type(form, "watts", "ninety");
    assertThat(problem(form)).contains("Rated power: ninety", "more than 0");
    type(form, "watts", "90,5");
    type(form, "wavelength", "100");
    assertThat(problem(form)).contains("Wavelength is 100 nm", "180 nm");
    type(form, "wavelength", "10600");
    type(form, "width", "5");
    assertThat(problem(form)).contains("Width of work area or field is 5 mm");
    type(form, "width", "");
    assertThat(problem(form)).contains("Width of work area or field is empty");
    type(form, "width", "24 in");
    type(form, "tolerance", "0");
    assertThat(problem(form)).contains("Level limit");
    type(form, "tolerance", "10 thou");
    assertThat(form.machine().orElseThrow().areaXMm()).isCloseTo(609.6, within(1e-9));
    assertThat(form.machine().orElseThrow().source().watts()).isEqualTo(90.5);
  }

  @Test
  void twoMachinesDoNotShareAName() {
    typePlate(form);
    type(form, "name", "Alder");
    Machine alder = form.machine().orElseThrow();
    MachineForm second =
        new MachineForm(
            List.of(alder),
            Phrasebook.ENGLISH.with(DisplayUnits.METRIC.with(DisplayUnits.Length.INCH)),
            Optional.empty());
    typePlate(second);
    type(second, "name", "ALDER");
    assertThat(problem(second)).contains("named ALDER already");
    assertThat(second.form().typed().get("width")).as("kept as typed").isEqualTo("600");
  }

  @Test
  void aFileNameIsMadeOfAnyMachinesName() {
    assertThat(PaperCard.fileName("Alder & Co. 2")).isEqualTo("alder-co-2");
    assertThat(PaperCard.fileName("Ørsted/../漢")).isEqualTo("ørsted-漢");
    assertThat(PaperCard.fileName("***")).isEqualTo("machine");
    Machine one = Models.ALDER;
    Machine other =
        new Machine(
            "7f3a-99",
            "alder",
            one.build(),
            one.source(),
            one.areaXMm(),
            one.areaYMm(),
            one.bedSupport(),
            0.3);
    assertThat(PaperCard.fileName(other, List.of(one, other)))
        .as("one never overwrites the other's")
        .isEqualTo("alder-7f3a99");
    assertThat(PaperCard.fileName(one, List.of(one))).isEqualTo("alder");
  }

  @Test
  void fittingsFollowTheBuildUntilSomebodyChooses() {
    MachineForm fresh = new MachineForm(List.of(), Phrasebook.ENGLISH, Optional.empty());
    typePlate(fresh);
    type(fresh, "name", "Alder");
    assertThat(fresh.fitted().get(Fitting.LID_SWITCH).get()).isTrue();
    type(fresh, "build", "GALVO");
    assertThat(fresh.fitted().get(Fitting.LID_SWITCH).get()).isFalse();
    assertThat(fresh.machine().orElseThrow().fittings()).isEmpty();
    fresh.fitted().get(Fitting.CAMERA).set(true);
    type(fresh, "build", "GANTRY_WITH_MIRRORS");
    assertThat(fresh.fitted().get(Fitting.LID_SWITCH).get()).as("chosen by hand now").isFalse();
    type(fresh, "startUp", "chiller; machine, ,computer");
    Machine made = fresh.machine().orElseThrow();
    assertThat(made.has(Fitting.CAMERA)).isTrue();
    assertThat(made.startUpOrder())
        .extracting(Phrasebook.ENGLISH::say)
        .containsExactly("chiller", "machine", "computer");
    type(fresh, "startUp", "x".repeat(61));
    assertThat(problem(fresh)).startsWith("The order has");

    MachineForm again = new MachineForm(List.of(made), Phrasebook.ENGLISH, Optional.of(made));
    assertThat(problem(again)).as("its own name is not taken").isEmpty();
    assertThat(again.machine()).contains(made);
  }

  @Test
  void lensesAreRowsPulsesAndMirrorsALineEach() {
    typePlate(form);
    type(form, "name", "Flint");
    form.lenses().resize(4);
    type(form, "lens.1.focal", "160");
    type(form, "lens.1.field", "110");
    type(form, "lens.2.focal", "10 in");
    type(form, "lens.2.field", "175,5");
    type(form, "lens.2.name", "the long one");
    type(form, "lens.3.beam", "7");
    assertThat(problem(form)).contains("Focal length of lens 3");
    type(form, "lens.3.focal", "100");
    type(form, "mirrors", "45, 30, 45°");
    type(form, "pulses", "20 to 60");
    Machine gantry = form.machine().orElseThrow();
    assertThat(gantry.lenses().orElseThrow())
        .extracting(lens -> Phrasebook.ENGLISH.say(lens.said()))
        .containsExactly(
            "160 mm lens, field 110 mm",
            "the long one, 254 mm lens, field 175.5 mm",
            "100 mm lens");
    assertThat(gantry.lenses().get().getLast().beamMm()).hasValue(7);
    assertThat(gantry.mirrorTrain().incidenceDeg()).containsExactly(45.0, 30.0, 45.0);
    assertThat(gantry.source().pulses()).as("a tube is not pulsed").isEmpty();
    type(form, "build", "GALVO");
    type(form, "source", "FIBRE");
    Machine galvo = form.machine().orElseThrow();
    assertThat(galvo.source().pulses()).contains(new PulseRange(20, 60));
    assertThat(galvo.train()).as("a galvo head has no such mirrors").isEmpty();
    assertThat(new MachineForm(List.of(), Phrasebook.ENGLISH, Optional.of(galvo)).machine())
        .contains(galvo);
    type(form, "lens.1.focal", "F-theta");
    assertThat(problem(form)).contains("F-theta is no number");
    type(form, "lens.1.focal", "3");
    assertThat(problem(form)).contains("Accepted is 5 mm to 2000 mm");
    type(form, "lens.1.focal", "160");
    type(form, "mirrors", "45, 45, 45, 45");
    assertThat(problem(form)).contains("4 mirrors", "1 to 3");
    type(form, "mirrors", "");
    type(form, "pulses", "60-20");
    assertThat(problem(form)).contains("at most mostKhz");
  }
}
