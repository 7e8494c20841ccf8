package zebrawood.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.Laser;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.controller.ControllerVisitReadings.HomeAtStart;
import zebrawood.controller.ControllerVisitReadings.Motion;
import zebrawood.controller.ControllerVisitReadings.PanelAnswer;
import zebrawood.controller.ControllerVisitReadings.PanelStep;
import zebrawood.controller.ControllerVisitReadings.TwoMarks;
import zebrawood.controller.Dialect.PrintedRole;
import zebrawood.ledger.Figure;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.machine.PulseRange;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.station.Proof;

class ControllerVisitTest {
  private static final String RIGHT =
      "idle: 255\nsoft: 1\nhard: 1\nseek: 1\ncorner: fl\ntop: 1000\nleast: 0\nfollow: 1\nreach_x: 400\nreach_y: 400\n";
  private static final Machine SEDGE =
      new Machine(
          "id",
          "Sedge",
          Build.GANTRY_WITH_HEAD_MODULE,
          new Source(SourceKind.DIODE, 20, 450),
          400,
          400,
          BedSupport.SHIMS,
          0.3);
  private static final Machine FLINT =
      new Machine(
          "id",
          "Flint",
          Build.GALVO,
          new Source(SourceKind.FIBRE, 50, 1064),
          150,
          150,
          BedSupport.SHIMS,
          0.3);
  private static final List<Proof<Motion>> PROVEN =
      Stream.of(Motion.values()).map(m -> new Proof<>(m, true)).toList();

  private static ControllerVisitReadings numbered(
      String dump,
      Optional<String> before,
      Optional<AxisScale.Readings> across,
      TwoMarks marks,
      List<Proof<Motion>> proofs) {
    return numbered(dump, before, across, marks, proofs, List.of());
  }

  private static ControllerVisitReadings numbered(
      String dump,
      Optional<String> before,
      Optional<AxisScale.Readings> across,
      TwoMarks marks,
      List<Proof<Motion>> proofs,
      List<PanelAnswer> panel) {
    return new ControllerVisitReadings(
        Optional.of(
            new ControllerReadings(
                Dialects.TERSE,
                dump,
                new MachineFacts(List.of(400.0, 400.0), Corner.FRONT_LEFT, true, Laser.DIODE),
                new JobSoftware(1000, "M8", Units.MM, Optional.empty(), Optional.empty()),
                "M8",
                Policy.MATCH_SOFTWARE)),
        Optional.empty(),
        OptionalDouble.empty(),
        Optional.empty(),
        before,
        across,
        Optional.empty(),
        Optional.of(new RunUp.Readings(200, 1000, 100)),
        marks,
        HomeAtStart.NOT_KNOWN,
        "",
        "blue cable, left port",
        proofs,
        panel,
        Optional.empty());
  }

  /** What somebody with the manual in hand said of a page. */
  private static final Dialect PAGE =
      new Dialect(
          "Page",
          NamedFields.LINE,
          NamedFields.LINE,
          Optional.empty(),
          Map.of(
              "field-size-x", PrintedRole.number("Field size"),
              "field-size-y", PrintedRole.number("Field height"),
              "lens-focal-length", PrintedRole.number("Lens"),
              "source-kind",
                  PrintedRole.choice("Laser type", Map.of("co2", "CO2", "fibre", "fiber")),
              "least-pulse-rate", PrintedRole.number("Min frequency (kHz)"),
              "most-pulse-rate", PrintedRole.number("Max frequency")),
          Optional.empty());

  private static ControllerVisitReadings named(String text, Optional<String> before) {
    return named(text, before, OptionalDouble.empty(), Optional.empty());
  }

  private static ControllerVisitReadings named(
      String text, Optional<String> before, OptionalDouble lens, Optional<String> offline) {
    return new ControllerVisitReadings(
        Optional.empty(),
        Optional.of(new ControllerVisitReadings.Page(PAGE, NamedFields.parse(text).text())),
        lens,
        offline.map(page -> NamedFields.parse(page).text()),
        before.map(page -> NamedFields.parse(page).text()),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        TwoMarks.NOT_BURNT,
        HomeAtStart.NOT_KNOWN,
        "",
        "",
        List.of(),
        List.of(),
        Optional.empty());
  }

  /** A controller behind a print driver: what is measured, proven and known is recorded. */
  private static ControllerVisitReadings silent(
      Optional<ControllerVisitReadings.Page> known,
      Optional<AxisScale.Readings> across,
      Optional<Boolean> switches,
      List<Proof<Motion>> proofs) {
    return new ControllerVisitReadings(
        Optional.empty(),
        known,
        OptionalDouble.empty(),
        Optional.empty(),
        Optional.empty(),
        across,
        Optional.empty(),
        Optional.empty(),
        TwoMarks.NOT_BURNT,
        HomeAtStart.NOT_KNOWN,
        "",
        "",
        proofs,
        List.of(),
        Optional.of(new ControllerVisitReadings.Silent(switches)));
  }

  @Test
  void aControllerThatShowsNothingIsRecordedByWhatIsMeasuredAndProven() {
    List<Proof<Motion>> corners =
        PROVEN.stream()
            .filter(p -> p.item() == Motion.CORNERS || p.item() == Motion.CABLES)
            .toList();
    ControllerVisitFinding left =
        silent(Optional.empty(), Optional.empty(), Optional.empty(), corners).solve(SEDGE);
    assertThat(left.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(left.advice(ENGLISH).getFirst()).contains("cannot be read").contains("is proven");
    assertThat(left.wrong()).isZero();
    ControllerVisitReadings withSwitches =
        silent(Optional.empty(), Optional.empty(), Optional.of(true), corners);
    assertThat(withSwitches.solve(SEDGE).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(withSwitches.figures(withSwitches.solve(SEDGE)))
        .extracting(Figure::id)
        .containsExactly("known");
    ControllerVisitFinding scaled =
        silent(
                Optional.empty(),
                Optional.of(new AxisScale.Readings(380, 376, 0.5, 2, OptionalDouble.empty())),
                Optional.of(false),
                corners)
            .solve(SEDGE);
    assertThat(scaled.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(scaled.advice(ENGLISH).getFirst()).contains("Multiply the steps per mm by 1.01064");
  }

  @Test
  void ofASilentControllerNothingIsAssertedThatNobodySaid() {
    Machine galvo =
        new Machine(
            "g",
            "Galvo",
            Build.GALVO,
            new Source(SourceKind.FIBRE, 30, 1064),
            110,
            110,
            BedSupport.SHIMS,
            0.3);
    ControllerVisitFinding f =
        silent(Optional.empty(), Optional.empty(), Optional.empty(), List.of()).solve(galvo);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Type what is known of it");
    ControllerVisitReadings.Page page =
        new ControllerVisitReadings.Page(NamedFields.BARE, "Top speed = 500\nPower limit = 70 %\n");
    ControllerVisitFinding known =
        silent(Optional.of(page), Optional.empty(), Optional.empty(), List.of()).solve(galvo);
    assertThat(known.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(known.notJudged()).isEqualTo(2);
    assertThat(known.warnings(ENGLISH)).singleElement().asString().contains("nobody judged them");
    ControllerVisitReadings later =
        silent(Optional.empty(), Optional.empty(), Optional.of(false), PROVEN);
    ControllerVisitFinding without =
        new ControllerVisitReadings(
                later.numbered(),
                later.named(),
                later.lensFocalLengthMm(),
                later.offline(),
                Optional.of(page.text()),
                later.across(),
                later.along(),
                later.runUp(),
                later.twoMarks(),
                later.homeAtStart(),
                later.configuration(),
                later.connection(),
                later.proofs(),
                later.panel(),
                later.silent())
            .solve(SEDGE);
    assertThat(without.sinceLeft()).as("what was not typed again did not change").isEmpty();
    assertThat(without.verdict()).isEqualTo(Verdict.WITHIN);
    assertThatThrownBy(() ->
            new ControllerVisitReadings(
                numbered(RIGHT, Optional.empty(), Optional.empty(), TwoMarks.NOT_BURNT, List.of())
                    .numbered(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                TwoMarks.NOT_BURNT,
                HomeAtStart.NOT_KNOWN,
                "",
                "",
                List.of(),
                List.of(),
                Optional.of(new ControllerVisitReadings.Silent(Optional.empty()))))
        .isInstanceOf(UnusableReading.class);
  }

  /** Without switches nothing homes it: no corner is asked, and none is called wrong. */
  @Test
  void withoutSwitchesNoCornerIsAskedInTheWindowAndOneIsAskedByTheContract() {
    ControllerReadings r =
        new ControllerReadings(
            Dialects.TERSE,
            RIGHT,
            new MachineFacts(List.of(400.0, 400.0), Optional.empty(), false, Laser.DIODE),
            new JobSoftware(1000, "", Units.MM, Optional.empty(), Optional.of(Corner.REAR_LEFT)),
            "",
            Policy.MATCH_SOFTWARE);
    ControllerFinding f = Audit.solve(r, Settings.parse(RIGHT, Dialects.TERSE));
    assertThat(f.item("origin").orElseThrow().severity())
        .isEqualTo(ControllerFinding.Severity.NOTE);
    assertThat(f.item("home-corner").orElseThrow().severity())
        .isEqualTo(ControllerFinding.Severity.NOTE);
    assertThatThrownBy(() -> Audit.solve(r)).hasMessageContaining("machine.homeCorner");
  }

  /** The job software asks for homing at start, the controller's is off. */
  @Test
  void homingAtStartThatTheControllerHasOffIsSaid() {
    String off = RIGHT.replace("seek: 1", "seek: 0").replace("soft: 1", "soft: 0");
    ControllerVisitReadings v =
        numbered(off, Optional.of(off), Optional.empty(), TwoMarks.LOWER_IS_FAINTER, PROVEN);
    ControllerVisitReadings asks =
        new ControllerVisitReadings(
            v.numbered(),
            v.named(),
            v.lensFocalLengthMm(),
            v.offline(),
            v.leftBefore(),
            v.across(),
            v.along(),
            v.runUp(),
            v.twoMarks(),
            HomeAtStart.YES,
            v.configuration(),
            v.connection(),
            v.proofs(),
            v.panel(),
            Optional.empty());
    assertThat(asks.solve(SEDGE).advice(ENGLISH))
        .anyMatch(a -> a.contains("or homing at start off in the job software"));
    assertThat(v.solve(SEDGE).advice(ENGLISH))
        .noneMatch(a -> a.contains("or homing at start off in the job software"));
  }

  @Test
  void settingsThatFitAndAProvenMotionAreLeft() {
    ControllerVisitReadings visit =
        numbered(RIGHT, Optional.of(RIGHT), Optional.empty(), TwoMarks.LOWER_IS_FAINTER, PROVEN);
    ControllerVisitFinding f = visit.solve(SEDGE);
    assertThat(f.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(f.warnings(ENGLISH)).isEmpty();
    assertThat(f.runUp().orElseThrow().runUpMm()).isEqualTo(20);
    assertThat(visit.figures(f)).extracting(Figure::id).containsExactly("wrong", "fullPower");
    ControllerVisitReadings unproven =
        numbered(RIGHT, Optional.empty(), Optional.empty(), TwoMarks.NOT_BURNT, List.of());
    assertThat(unproven.solve(SEDGE).verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(unproven.solve(SEDGE).advice(ENGLISH))
        .hasSize(4)
        .allMatch(a -> a.startsWith("Prove it"));
  }

  @Test
  void aResetIsNamedAsWhatItIsAndASingleChangeIsWarnedOf() {
    String reset =
        "idle: 25\nsoft: 0\nhard: 0\nseek: 0\ncorner: rr\ntop: 1000\nleast: 0\nfollow: 0\nreach_x: 400\nreach_y: 400\n";
    ControllerVisitFinding f =
        numbered(reset, Optional.of(RIGHT), Optional.empty(), TwoMarks.NOT_BURNT, PROVEN)
            .solve(SEDGE);
    assertThat(f.reset()).isTrue();
    assertThat(f.advice(ENGLISH).getFirst()).contains("as after a reset");
    assertThat(f.verdict()).isEqualTo(Verdict.STOP);
    ControllerVisitFinding one =
        numbered(
                RIGHT.replace("idle: 255", "idle: 25"),
                Optional.of(RIGHT),
                Optional.empty(),
                TwoMarks.NOT_BURNT,
                PROVEN)
            .solve(SEDGE);
    assertThat(one.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(one.warnings(ENGLISH))
        .hasSize(2)
        .contains("Not as it was left: idle: 25, was 255.")
        .anyMatch(w -> w.startsWith("Its motors let go after a move (25)"));
  }

  @Test
  void aBackwardsScaleComesFirstAndAShortTravelCannotDecide() {
    AxisScale.Readings thumb = new AxisScale.Readings(20, 19.9, 0.5, 2, OptionalDouble.of(80));
    ControllerVisitFinding f =
        numbered(RIGHT, Optional.empty(), Optional.of(thumb), TwoMarks.LOWER_IS_DARKER, PROVEN)
            .solve(SEDGE);
    assertThat(f.advice(ENGLISH).getFirst()).startsWith("Turn the power signal round");
    assertThat(f.advice(ENGLISH)).anyMatch(a -> a.contains("205 mm would decide"));
    AxisScale.Readings good = new AxisScale.Readings(300, 298.6, 0.2, 2, OptionalDouble.of(80));
    assertThat(
            numbered(RIGHT, Optional.empty(), Optional.of(good), TwoMarks.NOT_BURNT, PROVEN)
                .solve(SEDGE)
                .advice(ENGLISH))
        .containsExactly(
            "Set the steps per mm to 80.375 to the right: it goes wrong by 4.7 per mille (± 0.3).");
  }

  @Test
  void aBackwardsScaleIsTurnedByWhatTheDialectKnows() {
    ControllerVisitFinding f =
        numbered(
                RIGHT + "sense: up\n",
                Optional.empty(),
                Optional.empty(),
                TwoMarks.LOWER_IS_DARKER,
                PROVEN)
            .solve(SEDGE);
    assertThat(f.advice(ENGLISH).getFirst())
        .startsWith("Set sense to a lower signal for more power before anything else");
    assertThat(f.writes().getFirst().line()).isEqualTo("set sense down");
    ControllerVisitFinding strange =
        numbered(
                RIGHT + "sense: 7\n",
                Optional.empty(),
                Optional.empty(),
                TwoMarks.LOWER_IS_DARKER,
                PROVEN)
            .solve(SEDGE);
    assertThat(strange.advice(ENGLISH).getFirst()).startsWith("Turn sense round").contains("has 7");
    assertThat(strange.writes()).isEmpty();
  }

  private static ControllerVisitFinding panel(PanelAnswer... answers) {
    return numbered(
            RIGHT, Optional.empty(), Optional.empty(), TwoMarks.NOT_BURNT, PROVEN, List.of(answers))
        .solve(SEDGE);
  }

  @Test
  void aPanelShotIsAskedOneStepAfterTheOther() {
    assertThat(panel().verdict()).as("nobody began one").isEqualTo(Verdict.WITHIN);
    PanelAnswer ready = new PanelAnswer(PanelStep.READY, true);
    PanelAnswer least = new PanelAnswer(PanelStep.LEAST, true);
    assertThat(panel(ready).advice(ENGLISH))
        .hasSize(1)
        .first()
        .asString()
        .contains("least current");
    ControllerVisitFinding on = panel(ready, least, new PanelAnswer(PanelStep.ENDED, false));
    assertThat(on.verdict()).isEqualTo(Verdict.STOP);
    assertThat(on.advice(ENGLISH).getFirst()).startsWith("Press the emergency stop");
    PanelAnswer ended = new PanelAnswer(PanelStep.ENDED, true);
    assertThat(panel(ready, least, ended, new PanelAnswer(PanelStep.MARKED, false)).advice(ENGLISH))
        .anyMatch(a -> a.startsWith("Raise the panel's current a little"));
    assertThat(panel(ready, least, ended, new PanelAnswer(PanelStep.MARKED, true)).verdict())
        .isEqualTo(Verdict.WITHIN);
  }

  @Test
  void whatIsAdvisedForStepsAndIdleDelayCanBeWrittenButNoUnit() {
    AxisScale.Readings off = new AxisScale.Readings(300, 298.6, 0.2, 2, OptionalDouble.of(80));
    String lazy = RIGHT.replace("idle: 255", "idle: 25");
    assertThat(
            numbered(lazy, Optional.empty(), Optional.of(off), TwoMarks.NOT_BURNT, PROVEN)
                .solve(SEDGE)
                .writes())
        .extracting(Write::line)
        .containsExactly("set steps_x 80.375", "set idle 255");
    AxisScale.Readings inches = new AxisScale.Readings(300, 11.811, 0.01, 2, OptionalDouble.of(80));
    ControllerVisitFinding f =
        numbered(RIGHT, Optional.empty(), Optional.of(inches), TwoMarks.NOT_BURNT, PROVEN)
            .solve(SEDGE);
    assertThat(f.writes()).isEmpty();
    assertThat(f.advice(ENGLISH)).anyMatch(w -> w.contains("inches where millimetres"));
  }

  @Test
  void aPageOfNamedFieldsIsReadTheSameWay() {
    String page = "Field size = 110\nLaser type: CO2\n\"Offset X\" : \"0.2\",\n";
    ControllerVisitFinding f = named(page, Optional.empty()).solve(FLINT);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.advice(ENGLISH))
        .hasSize(2)
        .anyMatch(a -> a.startsWith("Set \"Field size\" to 150"))
        .anyMatch(a -> a.contains("for a fibre source"));
    assertThat(f.warnings(ENGLISH)).anyMatch(w -> w.startsWith("1 setting plays no role"));
    String right = page.replace("110", "150").replace("CO2", "fiber");
    ControllerVisitFinding other = named(right, Optional.of(page)).solve(FLINT);
    assertThat(other.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(other.sinceLeft()).hasSize(2);
    assertThat(other.advice(ENGLISH))
        .as("the offset was not understood, and no motion was proven")
        .containsExactly("Leave it: what is understood fits.");
    assertThatThrownBy(() -> NamedFields.parse("nothing here"))
        .hasMessageContaining("field size = 110");
  }

  @Test
  void whatNobodyNamedFitsNothing() {
    ControllerVisitFinding f =
        named("glow = 3\nshine = 4\nMax frequency = 80", Optional.empty()).solve(FLINT);
    assertThat(f.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
    assertThat(f.notJudged()).as("a rate without a unit is none").isEqualTo(3);
    assertThat(f.advice(ENGLISH)).noneMatch(a -> a.startsWith("Leave it"));
    assertThat(named("glow = 3", Optional.of("glow = 2")).solve(FLINT).warnings(ENGLISH))
        .anyMatch(w -> w.contains("compared with the list as it was left"));
  }

  @Test
  void aFieldInInchesIsNamedAsThat() {
    assertThat(advice(FLINT, "Field size = 5.906", OptionalDouble.empty()))
        .hasSize(1)
        .first()
        .asString()
        .contains("inches where millimetres belong");
    assertThat(advice(FLINT, "Field size = 5.906 in", OptionalDouble.empty()))
        .containsExactly("Leave it: the settings fit.");
  }

  @Test
  void aFieldIsComparedWithTheLensThatIsOnIt() {
    Machine two =
        FLINT.withLenses(
            List.of(new Lens(160, OptionalDouble.of(110)), new Lens(254, OptionalDouble.of(175))));
    String page = "Field size = 110\nLens = F160\n";
    assertThat(advice(two, page, OptionalDouble.of(160)))
        .containsExactly("Leave it: the settings fit.");
    assertThat(advice(two, page, OptionalDouble.of(254)))
        .containsExactly(
            "Set \"Field size\" to 175 for the 254 mm lens, field 175 mm: it has 110, and everything is burnt in the wrong size.",
            "Load the configuration of the 254 mm lens, field 175 mm: \"Lens\" is F160, a lens that is not on it.");
    assertThat(advice(two, "Lens = 100", OptionalDouble.empty()))
        .anyMatch(a -> a.contains("\"Lens\" is 100"));
    assertThat(advice(two, "Lens = 100", OptionalDouble.of(100)))
        .as("a lens that nobody told the machine of is believed")
        .containsExactly("Leave it: the settings fit.");
    Machine one = FLINT.withLenses(List.of(new Lens(160, OptionalDouble.of(110))));
    assertThat(advice(one, "Field size = 175", OptionalDouble.empty()))
        .as("the only one is on it")
        .anyMatch(a -> a.startsWith("Set \"Field size\" to 110"));
  }

  @Test
  void pulsesOutsideTheSourcesRangeAreNamedInItsOwnUnit() {
    Machine pulsed =
        new Machine(
            "id",
            "Flint",
            Build.GALVO,
            new Source(SourceKind.FIBRE, 50, 1064, Optional.of(new PulseRange(20, 60))),
            110,
            110,
            BedSupport.SHIMS,
            0.3);
    assertThat(
            advice(
                pulsed,
                "Min frequency (kHz) = 10\nMax frequency = 80000 Hz\n",
                OptionalDouble.empty()))
        .containsExactlyInAnyOrder(
            "Set \"Max frequency\" to 60 kHz: it has 80000 Hz, and the source gives its power from 20 to 60 kHz only.",
            "Set \"Min frequency (kHz)\" to 20 kHz: it has 10, and the source gives its power from 20 to 60 kHz only.");
    ControllerVisitFinding f = named("Max frequency = 80000 Hz", Optional.empty()).solve(pulsed);
    assertThat(f.fields())
        .as("in the unit that it is printed in")
        .anyMatch(i -> i.advised().equals(new ControllerFinding.Value.Number(60_000)));
    assertThatThrownBy(() -> new PulseRange(60, 20)).hasMessageContaining("at most mostKhz");
  }

  @Test
  void whatItUsesWithoutTheComputerIsToBeTheSame() {
    ControllerVisitFinding f =
        named(
                "Field size = 150\nOffset X = 0.2",
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.of("Field size = 150.0\nOffset X = 0"))
            .solve(FLINT);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.wrong()).isEqualTo(1);
    assertThat(f.advice(ENGLISH))
        .containsExactly(
            "Make both configurations alike: \"Offset X\" is 0.2 with the computer and 0 without it.");
  }

  private static List<String> advice(Machine machine, String page, OptionalDouble lens) {
    return named(page, Optional.empty(), lens, Optional.empty()).solve(machine).advice(ENGLISH);
  }

  @Test
  void aSpindleOnTheSameMachineWantsTheModeOff() {
    ControllerReadings laser =
        numbered(RIGHT, Optional.empty(), Optional.empty(), TwoMarks.NOT_BURNT, PROVEN)
            .numbered()
            .orElseThrow();
    ControllerReadings spindle =
        new ControllerReadings(
            laser.dialect(),
            laser.settings(),
            laser.machine(),
            new JobSoftware(24_000, "M8", Units.MM, Optional.empty(), Optional.empty()),
            laser.wiredAirAssistCode(),
            laser.policy(),
            Optional.of(ControllerReadings.Head.SPINDLE));
    ControllerFinding f = Audit.solve(spindle);
    assertThat(f.verdict()).isEqualTo(Verdict.ADJUST);
    assertThat(f.writes()).extracting(Write::line).containsExactly("set top 24000", "set follow 0");
    assertThat(f.advice(ENGLISH)).anyMatch(a -> a.startsWith("Let power not follow the motion"));
    assertThat(Audit.solve(laser).verdict()).isEqualTo(Verdict.WITHIN);
  }
}
