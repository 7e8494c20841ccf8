package zebrawood.desktop.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static zebrawood.desktop.Models.advice;
import static zebrawood.desktop.Models.answerAll;
import static zebrawood.desktop.Models.finding;
import static zebrawood.desktop.Models.found;
import static zebrawood.desktop.Models.refusal;
import static zebrawood.desktop.Models.waitsFor;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerVisitFinding;
import zebrawood.controller.ControllerVisitReadings;
import zebrawood.controller.Dialect;
import zebrawood.controller.Write;
import zebrawood.desktop.Models;
import zebrawood.desktop.form.ProofField.Answer;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.text.Text;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.json.RecordJson;
import zebrawood.records.picture.SvgCanvas;

class ControllerModelTest {
  private static final String RIGHT =
      "par rest after = 999\npar speak in = mm\npar stay inside = yes\npar end switches = yes\npar corner search = yes\npar corner = near left\npar beam top = 1000\npar beam least = 0\npar beam follows = yes\npar steps across = 80\npar push across = 1500\npar reach across = 400\npar reach deep = 400";

  private static ControllerModel work(Build build, Source source) {
    return new ControllerModel(
        new Machine("id", "Sedge", build, source, 400, 400, BedSupport.SHIMS, 0.4),
        DisplayUnits.METRIC);
  }

  private final ControllerModel work =
      work(Build.GANTRY_WITH_HEAD_MODULE, new Source(SourceKind.DIODE, 20, 450));

  private void type(String... pairs) {
    Models.type(work, pairs);
  }

  /** It talks as the stand-in does; its switches and their corner were looked at. */
  private static void known(ControllerModel of) {
    of.dialect.take(StandIn.dialect());
    Models.type(
        of,
        "home",
        "FRONT_LEFT",
        "switches",
        "YES",
        "topWord",
        "1000",
        "units",
        "MM",
        "policy",
        "MATCH_SOFTWARE");
  }

  @BeforeEach
  void known() {
    known(work);
  }

  /** As somebody practises: read, do as advised, read again. */
  @Test
  void theStandInIsPutRightInOneRoundAndLeavesNothing() {
    Map<String, String> before = work.form().typed();
    var practice = work.practice().orElseThrow();
    practice.start(1);
    practice.readAll();
    assertThat(finding(work).audit().orElseThrow().writes()).isNotEmpty();
    obey(practice);
    practice.readAll();
    assertThat(finding(work).audit().orElseThrow().writes()).isEmpty();
    assertThat(work.outcome().within()).isTrue();
    assertThat(Text.of(practice.score().orElseThrow())).contains("faults left: 0");
    practice.end();
    assertThat(work.form().typed()).isEqualTo(before);
  }

  private <S> void obey(Practice<?, S, ControllerVisitReadings, ControllerVisitFinding> practice) {
    practice.obey(work.solved().orElseThrow());
  }

  /** A stand-in that takes no new top power word: what is advised cannot be done. */
  @Test
  void aFaultyStandInStaysWrong() {
    ControllerPractice practice = new ControllerPractice(work);
    practice.fault.set(StandInFault.REJECTING);
    practice.start(1);
    practice.readAll();
    obey(practice);
    practice.readAll();
    assertThat(finding(work).audit().orElseThrow().writes()).isNotEmpty();
    assertThat(Text.of(practice.score().orElseThrow())).doesNotContain("faults left: 0");
  }

  @Test
  void nothingIsAssumedThatNobodySaid() {
    ControllerModel bare =
        work(Build.GANTRY_WITH_HEAD_MODULE, new Source(SourceKind.DIODE, 20, 450));
    Models.type(bare, "reading.dump", RIGHT);
    assertThat(waitsFor(bare)).contains("how it prints its settings");
    bare.dialect.take(StandIn.dialect());
    assertThat(waitsFor(bare)).isEqualTo("Software's top power word");
    Models.type(bare, "topWord", "1000");
    assertThat(waitsFor(bare)).isEqualTo("Limit switches");
    Models.type(bare, "switches", "YES");
    assertThat(waitsFor(bare)).isEqualTo("Corner where the home switches are");
    Models.type(bare, "home", "FRONT_LEFT");
    assertThat(waitsFor(bare)).isEqualTo("Software's unit");
    Models.type(bare, "units", "MM");
    assertThat(waitsFor(bare)).isEqualTo("Where power words differ");
    Models.type(bare, "policy", "MATCH_SOFTWARE");
    assertThat(finding(bare).audit().orElseThrow().writes()).isEmpty();
    Models.type(bare, "dialect.writeLine", "");
    assertThat(waitsFor(bare)).isEqualTo("A line that sets");
    Models.type(bare, "dialect.writeLine", "put it");
    assertThat(refusal(bare)).contains("{key} {value}");
  }

  @Test
  void aDialectGoesIntoTheFieldsAndComesOutAsItWas() {
    assertThat(work.dialect.dialect()).isEqualTo(StandIn.dialect());
    ControllerModel other =
        work(Build.GANTRY_WITH_HEAD_MODULE, new Source(SourceKind.DIODE, 20, 450));
    other.form().type(work.form().typed());
    assertThat(other.dialect()).contains(StandIn.dialect());
    String file = RecordJson.write(StandIn.dialect());
    assertThat(RecordJson.read(file, Dialect.class)).isEqualTo(StandIn.dialect());
  }

  @Test
  void aDumpAndTheMotionAreEnough() {
    assertThat(waitsFor(work)).isEqualTo("the settings, by link or pasted");
    type("reading.dump", RIGHT);
    assertThat(finding(work).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    answerAll(work, Answer.YES);
    assertThat(finding(work).verdict()).isEqualTo(Verdict.WITHIN);
    type("reading.dump", "no settings at all");
    assertThat(refusal(work)).contains("lines like: par {key} = {value}");
    assertThat(work.settings()).isEmpty();
  }

  @Test
  void softwareAndMachineAreCompared() {
    type("reading.dump", RIGHT, "topWord", "255", "areaX", "400");
    assertThat(waitsFor(work)).isEqualTo("Its area, depth");
    type(
        "areaY",
        "410",
        "origin",
        "REAR_LEFT",
        "sentAir",
        "M7",
        "wiredAir",
        "M8",
        "policy",
        "MATCH_CONTROLLER");
    assertThat(advice(work))
        .anyMatch(a -> a.startsWith("Set the top power word in the job software to 1000"))
        .anyMatch(a -> a.startsWith("Let the job software send M8 for air"))
        .anyMatch(a -> a.startsWith("Set the work area in the job software to 400 × 400 mm"))
        .anyMatch(a -> a.startsWith("Set the origin in the job software to the front left"));
    assertThat(finding(work).audit().orElseThrow().writes()).isEmpty();
    type("home", "REAR_LEFT");
    assertThat(finding(work).audit().orElseThrow().writes())
        .extracting(Write::line)
        .containsExactly("put corner := far left");
  }

  @Test
  void withoutSwitchesNothingHomesAndNoSwitchIsProven() {
    type("reading.dump", RIGHT, "switches", "NO", "homeAtStart", "YES");
    assertThat(finding(work).audit().orElseThrow().writes())
        .extracting(Write::line)
        .containsExactly(
            "put stay inside := no", "put end switches := no", "put corner search := no");
    assertThat(advice(work))
        .anyMatch(a -> a.startsWith("Switch homing at the start off"))
        .noneMatch(a -> a.contains("limit switch, pressed by hand"));
  }

  @Test
  void measuredTravelsAndTheSpeedWorthUsing() {
    type("reading.dump", RIGHT, "reading.commandedX", "300");
    assertThat(waitsFor(work)).isEqualTo("Measured to the right");
    type("reading.measuredX", "300.2", "speed", "200");
    assertThat(waitsFor(work)).isEqualTo("Width of the work");
    type("width", "100");
    assertThat(finding(work).across().orElseThrow().within()).isTrue();
    assertThat(finding(work).runUp().orElseThrow().runUpMm())
        .as("the acceleration is the dump's")
        .isEqualTo(200.0 * 200 / (2 * 1500));
    type("acceleration", "3000");
    assertThat(finding(work).runUp().orElseThrow().runUpMm()).isEqualTo(200.0 * 200 / 6000);
  }

  @Test
  void theLastLeftTextTellsAReset() {
    type("reading.dump", RIGHT);
    assertThat(finding(work).sinceLeft()).isEmpty();
    work.setLeftBefore(
        Optional.of(
            RIGHT
                .replace("rest after = 999", "rest after = 25")
                .replace("near left", "far right")
                .replace("stay inside = yes", "stay inside = no")));
    assertThat(finding(work).reset()).isTrue();
  }

  @Test
  void aGalvoHasAPageOfNamesAndNoMotionToProve() {
    ControllerModel flint = work(Build.GALVO, new Source(SourceKind.FIBRE, 50, 1064));
    assertThat(flint.form().proofs()).as("the panel's button alone").hasSize(4);
    Models.type(
        flint,
        "reading.dump",
        "[mark]\nfield size = 400\nlaser type = fibre\nglow = 3",
        "dialect.settingLine",
        "{key} = {value}");
    assertThat(finding(flint).verdict()).as("nothing is named").isEqualTo(Verdict.MEASURE_AGAIN);
    Models.type(
        flint,
        "role.field-size-x",
        "mark / field size",
        "role.source-kind",
        "mark / laser type",
        "role.source-kind.fibre",
        "fibre");
    assertThat(finding(flint).verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(flint.auditRows().orElseThrow())
        .extracting(l -> Models.said(l.name()))
        .containsExactly(
            "field size to the right", "kind of source", "1 more that no role was said of");
    String json = "{\"mark\": {\"field size\": 110, \"laser type\": \"fibre\", \"glow\": 3}}";
    Models.type(flint, "reading.dump", json);
    assertThat(finding(flint).verdict()).as("the same, as another file").isEqualTo(Verdict.ADJUST);
    assertThat(advice(flint)).anyMatch(a -> a.startsWith("Set \"mark / field size\" to 400"));
    assertThat(flint.form().typed()).as("the file itself").containsEntry("reading.dump", json);
  }

  @Test
  void whatIsTypedIsFilledAgainAndDrawn() {
    type("reading.dump", RIGHT.replace("= 1000", "= 4000"), "connection", "blue cable");
    type("configuration", "laser", "reading.marks", "LOWER_IS_FAINTER", "leastMark", "2 %");
    SvgCanvas drawn = new SvgCanvas(382, 400);
    work.draw(drawn);
    assertThat(drawn.svg()).contains("25 %", "front: homes right");
    ControllerModel other =
        work(Build.GANTRY_WITH_HEAD_MODULE, new Source(SourceKind.DIODE, 20, 450));
    Map<String, String> typed = work.form().typed();
    other.form().type(typed);
    assertThat(other.form().typed()).isEqualTo(typed);
    assertThat(found(other).readings()).isEqualTo(found(work).readings());
    other.form().clearReadings();
    assertThat(other.dump.text()).isEmpty();
    assertThat(other.form().typed()).containsEntry("connection", "blue cable");
  }
}
