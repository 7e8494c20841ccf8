package zebrawood.desktop.controller;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerReadings.AirCode;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerVisit.HomeAtStart;
import zebrawood.controller.ControllerVisit.TwoMarks;
import zebrawood.controller.Corner;
import zebrawood.desktop.sheet.Proven;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.records.controller.ControllerRecord;

class ControllerModelTest {
  private static final String RIGHT =
      "$1=255\n$13=0\n$20=1\n$21=1\n$22=1\n$23=3\n$30=1000\n$31=0\n$32=1\n$100=80\n$120=1500\n$130=400\n$131=400";

  private static Machine machine(Build build, Source source) {
    return new Machine("id", "Sedge", build, source, 400, 400, BedSupport.SHIMS, 0.4);
  }

  private final ControllerModel model =
      new ControllerModel(
          machine(Build.GANTRY_WITH_HEAD_MODULE, new Source(SourceKind.DIODE, 20, 450)));

  private void type(String... pairs) {
    Map<String, String> typed = new HashMap<>(model.typed());
    for (int i = 0; i < pairs.length; i += 2) {
      typed.put(pairs[i], pairs[i + 1]);
    }
    model.type(typed);
  }

  private ControllerOutcome.Found found() {
    assertThat(model.outcomeProperty().get()).isInstanceOf(ControllerOutcome.Found.class);
    return (ControllerOutcome.Found) model.outcomeProperty().get();
  }

  @Test
  void aDumpAndTheMotionAreEnough() {
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new ControllerOutcome.Waiting("the settings, by link or pasted"));
    type("reading.dump", RIGHT);
    assertThat(found().finding().verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    model.proofs().values().forEach(p -> p.set(Proven.YES));
    assertThat(found().finding().verdict()).isEqualTo(Verdict.WITHIN);
    type("reading.dump", "no settings at all");
    assertThat(model.outcomeProperty().get())
        .isInstanceOfSatisfying(
            ControllerOutcome.Refused.class,
            r -> assertThat(r.because()).contains("lines like $30=1000"));
    assertThat(model.settings()).isEmpty();
  }

  @Test
  void softwareAndMachineAreCompared() {
    type("reading.dump", RIGHT, "topWord", "255", "areaX", "400");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new ControllerOutcome.Waiting("Its area, depth"));
    type("areaY", "390");
    model.originProperty().set(Origin.REAR_LEFT);
    model.sentProperty().set(AirCode.M7);
    model.policyProperty().set(Policy.MATCH_CONTROLLER);
    assertThat(found().finding().advice())
        .anyMatch(a -> a.startsWith("Set the top power word in the job software to 1000"))
        .anyMatch(a -> a.startsWith("Let the job software send M8 for air"))
        .anyMatch(a -> a.startsWith("Set the work area in the job software to 400 × 400 mm"))
        .anyMatch(a -> a.startsWith("Set the origin in the job software to the front left"));
    assertThat(found().finding().audit().orElseThrow().writes()).isEmpty();
    model.homeProperty().set(Corner.REAR_LEFT);
    assertThat(found().finding().audit().orElseThrow().writes()).containsExactly("$23=1");
  }

  @Test
  void withoutSwitchesNothingHomesAndNoSwitchIsProven() {
    type("reading.dump", RIGHT);
    model.switchesProperty().set(YesNo.NO);
    model.homeAtStartProperty().set(HomeAtStart.YES);
    assertThat(found().finding().audit().orElseThrow().writes())
        .containsExactly("$20=0", "$21=0", "$22=0");
    assertThat(found().finding().advice())
        .anyMatch(a -> a.startsWith("Switch homing at the start off"))
        .noneMatch(a -> a.contains("limit switch, pressed by hand"));
  }

  @Test
  void measuredTravelsAndTheSpeedWorthUsing() {
    type("reading.dump", RIGHT, "reading.commandedX", "300");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new ControllerOutcome.Waiting("Measured to the right"));
    type("reading.measuredX", "300.2", "speed", "200");
    assertThat(model.outcomeProperty().get())
        .isEqualTo(new ControllerOutcome.Waiting("Width of the work"));
    type("width", "100");
    assertThat(found().finding().across().orElseThrow().within()).isTrue();
    assertThat(found().finding().runUp().orElseThrow().runUpMm())
        .as("the acceleration is the dump's")
        .isEqualTo(200.0 * 200 / (2 * 1500));
    type("acceleration", "3000");
    assertThat(found().finding().runUp().orElseThrow().runUpMm()).isEqualTo(200.0 * 200 / 6000);
  }

  @Test
  void theLastLeftTextTellsAReset() {
    type("reading.dump", RIGHT);
    assertThat(found().finding().sinceLeft()).isEmpty();
    model.setLeftBefore(
        Optional.of(
            RIGHT.replace("$1=255", "$1=25").replace("$23=3", "$23=0").replace("$20=1", "$20=0")));
    assertThat(found().finding().reset()).isTrue();
    assertThat(model.leftBefore()).isPresent();
  }

  @Test
  void aGalvoHasAPageOfNamesAndNoMotionToProve() {
    ControllerModel flint =
        new ControllerModel(machine(Build.GALVO, new Source(SourceKind.FIBRE, 50, 1064)));
    assertThat(flint.proofs()).isEmpty();
    flint.type(Map.of("reading.dump", "field size = 400\nlaser type = fibre"));
    assertThat(flint.outcomeProperty().get())
        .isInstanceOfSatisfying(
            ControllerOutcome.Found.class,
            f -> assertThat(f.finding().verdict()).isEqualTo(Verdict.WITHIN));
    assertThat(flint.settings()).isEmpty();
  }

  @Test
  void whatIsTypedIsKeptAndFilledAgain() {
    type("reading.dump", RIGHT, "connection", "blue cable", "configuration", "laser");
    model.marksProperty().set(TwoMarks.LOWER_IS_FAINTER);
    model.leastMark().textProperty().set("2 %");
    ControllerRecord kept =
        ControllerRecord.of(ControllerRecord.readings(model.typed(), found().visit()));
    assertThat(kept.readings()).isEqualTo(found().visit());
    assertThat(kept.readings().configuration()).isEqualTo("laser");
    assertThat(ControllerRecord.finding(found().finding())).contains("\"wrong\":0");
    ControllerModel other =
        new ControllerModel(
            machine(Build.GANTRY_WITH_HEAD_MODULE, new Source(SourceKind.DIODE, 20, 450)));
    other.type(kept.typed());
    assertThat(other.typed()).isEqualTo(model.typed());
    other.clearReadings();
    assertThat(other.dump().text()).isEmpty();
    assertThat(other.connection().text()).isEqualTo("blue cable");
  }

  @Test
  void speedsOfADumpArePerMinute() {
    type("reading.dump", "$30=1000\n$110=30000");
    assertThat(model.mostSpeedMmS()).hasValue(500);
    type("reading.dump", "$30=1000");
    assertThat(model.mostSpeedMmS()).isEmpty();
  }
}
