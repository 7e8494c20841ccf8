package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.TitledPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerReadings.Head;
import zebrawood.controller.ControllerStation;
import zebrawood.controller.Corner;
import zebrawood.controller.Dialect;
import zebrawood.controller.Difference;
import zebrawood.controller.Role;
import zebrawood.controller.Settings;
import zebrawood.desktop.controller.CornerIfKnown;
import zebrawood.desktop.controller.IfKnown;
import zebrawood.desktop.controller.Shows;
import zebrawood.desktop.controller.StandInFault;
import zebrawood.desktop.station.StationModel;
import zebrawood.devices.controller.Faults;
import zebrawood.devices.controller.ServedController;
import zebrawood.devices.controller.SimulatedController;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Standing;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.records.json.RecordJson;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.start.StartStation;

/** The controller of the demo's machines, against a simulated one behind a socket. */
class ControllerWindowTest extends WindowTest {
  private static final Dialect STAND_IN = standIn();
  private static final int HURRY = 6;

  private static Dialect standIn() {
    try (var in =
        ControllerWindowTest.class.getResourceAsStream(
            "/zebrawood/desktop/controller/stand-in.json")) {
      return RecordJson.read(
          new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8), Dialect.class);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private ServedController served;
  private SimulatedController controller;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
    try (Workshop workshop = ((Opening.Opened) Workshop.open(workshopFile)).workshop()) {
      // Small, so that its head is soon at every corner.
      workshop.record(
          new Machine(
              "moss",
              "Moss",
              Build.GANTRY_WITH_HEAD_MODULE,
              new Source(SourceKind.DIODE, 10, 450),
              60,
              40,
              BedSupport.SHIMS,
              0.3),
          "EH",
          clock.instant());
    }
  }

  @AfterEach
  void unplug() throws IOException {
    if (served != null) {
      served.close();
    }
  }

  private void openTansy() {
    open("Tansy");
  }

  private void open(String machine) {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("machine: " + machine);
    keys(KeyCode.ENTER);
    until("it is open", () -> app.model().opened().machine().name().equals(machine));
    settle();
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
  }

  /** A controller as shipped, but with a top word four times too large. */
  private void plugIn(Faults faults) throws IOException {
    plugIn("Tansy", faults);
  }

  private void plugIn(String machine, Faults faults) throws IOException {
    controller =
        new SimulatedController(
            new SimulatedController.Frame(400, 400, true, Corner.FRONT_LEFT),
            STAND_IN,
            Map.of(
                Role.TOP_POWER_WORD, "4000",
                Role.LASER_FOLLOWS_MOTION, Role.ON,
                Role.HOMING, Role.ON,
                Role.HOME_CORNER, "front-left",
                Role.TRAVEL_X, "400.000",
                Role.TRAVEL_Y, "400.000"),
            faults);
    // Where nothing is to go wrong at a time of its own, nobody waits for its motion.
    served = ServedController.onSocket(controller, faults.equals(Faults.NONE) ? HURRY : 1);
    open(machine);
    known();
    onInterface(() -> {
      ComboBox<?> port = (ComboBox<?>) node("#controller-port");
      port.getEditor().setText("127.0.0.1:" + served.port());
      return null;
    });
  }

  /** It talks as the stand-in does; its switches and their corner were looked at. */
  @SuppressWarnings("unchecked") // its items are what was asked
  private void known() {
    onInterface(() -> {
      ((TitledPane) node("#controller-dialect-fold")).setExpanded(true);
      return null;
    });
    settle();
    onInterface(() -> {
      StandInDialect.take(app.scene().getRoot());
      ((ComboBox<IfKnown>) node("#controller-switches")).setValue(IfKnown.YES);
      ((ComboBox<CornerIfKnown>) node("#controller-home")).setValue(CornerIfKnown.FRONT_LEFT);
      ((TitledPane) node("#controller-dialect-fold")).setExpanded(false);
      return null;
    });
    settle();
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(ControllerStation.STATION));
  }

  private int count() {
    return app.model().opened().ledger().entriesAt(ControllerStation.STATION).size();
  }

  private String dump() {
    return ((TextInputControl) node("#controller-dump")).getText();
  }

  /** As {@link #status}, on the interface's thread. */
  private String said() {
    return ((javafx.scene.control.Labeled) node("#status")).getText();
  }

  private String lines() {
    return onInterface(
        () -> ((javafx.scene.control.ListView<?>) node("#confirm-lines")).getItems().toString());
  }

  private Settings inLedger() {
    return Settings.parse(
        KeptReadings.typed(entries().getLast()).orElseThrow().get("reading.dump"), STAND_IN);
  }

  private Standing standing() {
    return onInterface(() -> app.model().opened().standing(ControllerStation.STATION));
  }

  private void read() {
    read("beam top = 4000");
  }

  private void read(String line) {
    onInterface(() -> {
      ((TextInputControl) node("#controller-dump")).clear();
      return null;
    });
    press("#controller-read");
    until("the settings are read", () -> dump().contains(line));
    settle();
  }

  @Test
  void aPastedDumpIsAsGoodAsALinkAndRefusalsStandThere() {
    openTansy();
    known();
    onInterface(() -> {
      node("#controller-dump").requestFocus();
      return null;
    });
    typeWords("nonsense");
    assertThat(words("#controller-message")).contains("par {key} = {value}");
    assertThat(disabled("#primary")).isTrue();
    onInterface(() -> {
      ((TextInputControl) node("#controller-dump"))
          .setText(
              "par beam top = 250\npar beam least = 0\npar beam follows = no\npar speak in = mm\npar corner search = yes\npar corner = near left\npar stay inside = yes\npar end switches = yes\npar reach across = 400\npar reach deep = 400");
      return null;
    });
    settle();
    assertThat(page())
        .contains(
            "Write 2 settings",
            "every stop leaves a burn",
            "in the software is the same full power");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until("it is recorded", () -> count() == 2);
    assertThat(standing()).isInstanceOf(Standing.Out.class);
  }

  /** Behind a print driver: proven, known by rows, recorded; Power then asks for no words. */
  @Test
  void aControllerThatShowsNothingIsRecordedAndPowerAsksNoWords() {
    open("Moss");
    choose("#controller-shows", Shows.NOTHING);
    assertThat(isSeen("#controller-port")).isFalse();
    assertThat(isSeen("#controller-top-word")).isFalse();
    assertThat(page()).contains("nothing was said, measured or proven yet");
    fill("#controller-dump", "Top speed = 500\nPower limit = 70 %");
    for (String proof : List.of("#proof-corners", "#proof-cables")) {
      onInterface(() -> {
        node(proof).requestFocus();
        return null;
      });
      keys(KeyCode.Y);
    }
    assertThat(page()).contains("what is known is kept as it was said, and the motion is proven");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until("it is recorded", () -> count() == 1);
    assertThat(standing().holds()).isTrue();
    openStation("power");
    assertThat(isSeen("#power-job-top")).isFalse();
    assertThat(isSeen("#power-card")).isTrue();
    assertThat(page()).doesNotContain("Read the top power word");
  }

  @Test
  void readWrittenReadBackAndLeft() throws IOException {
    plugIn(Faults.NONE);
    read();
    assertThat(page())
        .contains("Read over 127.0.0.1", "100 % in the software reaches only 25.0 % of the laser")
        .doesNotContain("par beam top");
    assertThat(words("#primary")).isEqualTo("See what is sent…");
    press("#primary");
    assertThat(page()).contains("Nothing may run while it is written");
    int before = entries().size();
    press("#confirm-go");
    signIfAsked();
    until("it is written", () -> said().contains("Written and read back"));
    until(
        "what was begun is replaced by the result",
        () ->
            app.model()
                .opened()
                .ledger()
                .entriesAt(ControllerStation.STATION)
                .getLast()
                .tellingFigure()
                .isPresent());
    settle();
    assertThat(entries()).as("snapshot and result").hasSize(before + 2);
    assertThat(Difference.between(inLedger(), controller.settings())).isEmpty();
    assertThat(controller.settings().printed(Role.TOP_POWER_WORD)).contains("1000");
    assertThat(controller.settings().is(Role.SOFT_LIMITS, Role.ON)).isTrue();
    press("#controller-homing");
    press("#confirm-go");
    until("it stands at home", () -> said().contains("It says that it stands"));
    for (int i = 0; i < 4; i++) {
      if (i == 0) {
        onInterface(() -> {
          node("#proof-homes").requestFocus();
          return null;
        });
      }
      keys(KeyCode.Y);
    }
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    until("it is left", () -> count() == before + 3);
    assertThat(entries().getLast().kind()).isEqualTo(EntryKind.AS_LEFT);
    assertThat(standing().holds()).isTrue();
  }

  @Test
  void theCablePulledInAWriteLeavesTheStationOut() throws IOException {
    plugIn(Faults.NONE.unpluggedAfterIn(57));
    read();
    press("#controller-write");
    int before = entries().size();
    press("#confirm-go");
    signIfAsked();
    until("it says so", () -> said().contains("Nobody knows what is in it"));
    until("it is kept", () -> count() >= before + 2);
    settle();
    assertThat(standing()).isInstanceOf(Standing.Out.class);
    assertThat(entries().getLast().tellingFigure()).isEmpty();
    assertThat(onInterface(this::dump)).as("what is not known does not stand there").isEmpty();
  }

  private void goThroughTheCard() {
    keys(KeyCode.CONTROL, KeyCode.G);
    int lines = onInterface(() -> app.scene().getRoot().lookupAll(".proof-answer").size());
    for (int i = 0; i < lines; i++) {
      keys(KeyCode.Y);
    }
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until(
        "the card is recorded",
        () -> !app.model().opened().ledger().entriesAt(StartStation.STATION).isEmpty());
    settle();
    keys(KeyCode.CONTROL, KeyCode.DIGIT3);
  }

  @Test
  void aTestShotNeedsTodaysProofAndEndsWithTheModeOn() throws IOException {
    plugIn(Faults.NONE);
    read();
    press("#controller-shot");
    assertThat(page()).contains("Only after today's proof");
    press("#confirm-cancel");
    goThroughTheCard();
    Standing before = standing();
    press("#controller-shot");
    assertThat(page()).contains("emergency stop in reach");
    assertThat(lines()).contains("1 % of the top power word for 100 ms");
    press("#confirm-go");
    until("it fired", () -> said().contains("Fired at word 40"));
    settle();
    until("the begun shot is replaced", () -> count() == 2);
    assertThat(controller.longestBeamNanos()).isGreaterThan(90_000_000L);
    assertThat(controller.beamOn()).isFalse();
    assertThat(controller.settings().is(Role.LASER_FOLLOWS_MOTION, Role.ON)).isTrue();
    assertThat(standing().getClass()).isEqualTo(before.getClass());
  }

  @Test
  void aShotByThePanelsButtonIsAskedStepByStepAfterTodaysProof() {
    openTansy();
    known();
    String right =
        "par stay inside = yes\npar end switches = yes\npar corner search = yes\npar corner = near left\npar beam top = 1000\npar beam least = 0\npar beam follows = yes\npar reach across = 400\npar reach deep = 400\n";
    onInterface(() -> {
      ((TextInputControl) node("#controller-dump")).setText(right);
      ((TitledPane) node("#controller-shot-order-fold")).setExpanded(true);
      return null;
    });
    settle();
    assertThat(page()).contains("Only after today's proof: ");
    assertThat(onInterface(() -> node("#proof-ready").isVisible() && seen("#proof-ready")))
        .isFalse();
    goThroughTheCard();
    onInterface(() -> {
      ((TitledPane) node("#controller-shot-order-fold")).setExpanded(true);
      return null;
    });
    settle();
    assertThat(onInterface(() -> seen("#proof-ready"))).isTrue();
    for (String step : List.of("ready", "least", "ended")) {
      press("#proof-" + step);
    }
    assertThat(page()).contains("it left a mark");
    press("#proof-marked");
    int before = entries().size();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until("it is recorded", () -> count() == before + 1);
    assertThat(entries().getLast().readings()).contains("\"step\":\"marked\"");
  }

  private boolean seen(String selector) {
    for (javafx.scene.Node n = node(selector); n != null; n = n.getParent()) {
      if (!n.isVisible()) {
        return false;
      }
    }
    return true;
  }

  @Test
  @SuppressWarnings("unchecked") // its items are faults
  void whatIsPractisedStaysOutOfTheRecord() {
    openTansy();
    List<Entry> before = entries();
    Map<String, String> typed = typed();
    onInterface(() -> {
      ((ComboBox<?>) node("#controller-port")).getEditor().setText("192.168.1.7:23");
      return null;
    });
    choose("#controller-fault", StandInFault.REJECTING);
    press("#practise");
    assertThat(ports()).containsExactly("stand-in, to practise");
    press("#controller-read");
    until("it is read", () -> dump().contains("beam top"));
    settle();
    press("#controller-write");
    press("#confirm-go");
    until("it says what it would not", () -> said().contains("Stopped at"));
    settle();
    assertThat(status()).contains("it does not know this line");
    press("#confirm-cancel");
    press("#secondary");

    choose("#controller-fault", StandInFault.NONE);
    press("#practise");
    press("#read-all");
    assertThat(words("#primary")).isEqualTo("Done, read again");
    press("#primary");
    press("#read-all");
    assertThat(onInterface(() -> model().outcome().within()))
        .as("all is put right, %s", onInterface(this::said))
        .isTrue();
    press("#secondary");
    assertThat(entries()).isEqualTo(before);
    assertThat(typed()).as("nothing that was practised stays on the sheet").isEqualTo(typed);
    assertThat(ports()).doesNotContain("stand-in, to practise");
    assertThat(onInterface(() -> ((ComboBox<?>) node("#controller-port")).getEditor().getText()))
        .as("the port that was typed")
        .isEqualTo("192.168.1.7:23");
  }

  @Test
  void aRealMachineIsNotReadOverTheStandIn() {
    openTansy();
    known();
    int before = entries().size();
    onInterface(() -> {
      ((ComboBox<?>) node("#controller-port")).getEditor().setText("stand-in, to practise");
      return null;
    });
    press("#controller-read");
    until("it says so", () -> linkWords().contains("has no stand-in"));
    assertThat(dump()).isEmpty();
    assertThat(entries()).hasSize(before);
  }

  private String linkWords() {
    return ((javafx.scene.control.Labeled) node("#controller-link-words")).getText();
  }

  private StationModel<?, ?> model() {
    return app.shell().shownSheet().orElseThrow().model();
  }

  private Map<String, String> typed() {
    return onInterface(() -> model().form().typed());
  }

  @SuppressWarnings("unchecked") // its items are names
  private List<String> ports() {
    return onInterface(() -> List.copyOf(((ComboBox<String>) node("#controller-port")).getItems()));
  }

  @Test
  void theCablePulledInAShotLeavesTheStationOut() throws IOException {
    // State and two readings to look; state, state and two readings before the shot.
    plugIn(Faults.NONE.unpluggedAfterIn(62));
    goThroughTheCard();
    read();
    press("#controller-shot");
    press("#confirm-go");
    until("it says so", () -> said().contains("Nobody knows whether the laser follows"));
    settle();
    assertThat(standing()).isInstanceOf(Standing.Out.class);
    assertThat(entries().getLast().tellingFigure()).isEmpty();
  }

  @Test
  void theWindowAnswersWhileAControllerSendsOneByteASecond() throws IOException {
    plugIn(Faults.NONE.slow(1_000_000_000L));
    press("#controller-read");
    long worst = 0;
    for (int i = 0; i < 30; i++) {
      long begun = System.nanoTime();
      onInterface(() -> null);
      worst = Math.max(worst, System.nanoTime() - begun);
    }
    assertThat(worst).as("nanoseconds to an answer").isLessThan(1_000_000_000L);
    assertThat(shows("#controller-cancel")).isTrue();
    press("#controller-cancel");
    until("the wait is over", () -> !node("#controller-cancel").isVisible());
    assertThat(words("#controller-link-words")).contains("Cancelled");
  }

  @Test
  void axisRunUpAndTwoMarks() {
    openTansy();
    known();
    onInterface(() -> {
      ((TextInputControl) node("#controller-dump"))
          .setText(
              "par beam top = 1000\npar beam follows = yes\npar steps across = 80\npar push across = 1500");
      ((TitledPane) node("#controller-scale-fold")).setExpanded(true);
      ((TitledPane) node("#controller-run-up-fold")).setExpanded(true);
      return null;
    });
    settle();
    fill("#controller-commanded-x", "300");
    fill("#controller-measured-x", "298.6");
    assertThat(page()).contains("Set the steps per mm to 80.375 to the right");
    fill("#controller-speed", "200");
    fill("#controller-width", "100");
    assertThat(page()).contains("Beside work\n13.3\nmm", "Worth using\n274\nmm/s");
  }

  @Test
  void aResetIsNamedAndAnySnapshotIsRestored() throws IOException {
    controller =
        new SimulatedController(
            new SimulatedController.Frame(700, 500, true, Corner.FRONT_LEFT),
            STAND_IN,
            Map.of(),
            Faults.NONE);
    served = ServedController.onSocket(controller);
    keys(KeyCode.CONTROL, KeyCode.DIGIT4);
    onInterface(() -> {
      ((ComboBox<?>) node("#controller-port")).getEditor().setText("127.0.0.1:" + served.port());
      return null;
    });
    read("beam top = 600");
    assertThat(page()).contains("as after a reset");
    assertThat(words("#snapshot-differences")).contains("stay inside: no, was yes");
    press("#controller-restore");
    assertThat(lines()).contains("put beam follows := yes").contains("put reach across := 700");
    press("#confirm-go");
    signIfAsked();
    until("it is restored", () -> said().contains("Written and read back"));
    settle();
    assertThat(controller.settings().is(Role.HOME_CORNER, "front-left")).isTrue();
    assertThat(page()).doesNotContain("as after a reset");
  }

  private void sayYesToAllThatIsProposed() {
    for (int i = 0; i < 40 && shows("#dialect-proposals .button"); i++) {
      press("#dialect-proposals .button");
    }
    assertThat(shows("#dialect-proposals .button")).isFalse();
  }

  @Test
  void aConfigurationFileIsTaken() throws IOException {
    open("Moss");
    Path page =
        java.nio.file.Files.writeString(file.resolveSibling("mark.cfg"), "Field size = 110");
    fill("#controller-file-name", page.toString());
    keys(KeyCode.ENTER);
    assertThat(page()).contains("how it prints its settings");
    press("#dialect-teach");
    assertThat(page()).contains("proposed Field size", "Is it so");
    sayYesToAllThatIsProposed();
    assertThat(page())
        .contains("From the file mark.cfg: 1 setting", "Field size to the right")
        .contains("Set \"Field size\" to 60");
    onInterface(() -> {
      TitledPane fold = (TitledPane) node("#controller-pasted-fold");
      assertThat(fold.isExpanded()).as("its lines need not be seen any more").isFalse();
      fold.setExpanded(true);
      return null;
    });
    settle();
    fill("#controller-file-name", page + "-none");
    keys(KeyCode.ENTER);
    assertThat(status()).contains("cannot be read");
  }

  @Test
  void aWindowClosedInTheMiddleOfAChangeLeavesTheStationOut() throws IOException {
    plugIn(Faults.NONE.slow(4_000_000L));
    read();
    press("#controller-write");
    int before = entries().size();
    press("#confirm-go");
    signIfAsked();
    until("the change is begun", () -> count() == before + 2);
    reopen();
    assertThat(onInterface(() -> app.model().opened().machine().name())).isEqualTo("Tansy");
    assertThat(standing()).isInstanceOf(Standing.Out.class);
    assertThat(entries().getLast().tellingFigure())
        .as("what was begun, not what it was before")
        .isEmpty();
  }

  @Test
  void itGoesToAllFourCornersAfterTheLinesWereSeen() throws IOException {
    plugIn("Moss", Faults.NONE);
    read();
    press("#controller-corners");
    assertThat(lines())
        .contains("search", "go 5.000 5.000 at 3000.000", "go 55.000 35.000 at 3000.000");
    assertThat(page()).contains("Hands out, nothing on the bed");
    press("#confirm-go");
    until("it has been there", () -> said().contains("all four corners"));
    assertThat(controller.placeMm()).containsExactly(5.0, 5.0);
    assertThat(controller.furthestMm()).containsExactly(55.0, 35.0);
  }

  @SuppressWarnings("unchecked") // its items are heads
  private void leaveAs(String configuration, Head head, String dump) {
    onInterface(() -> {
      ((ComboBox<Head>) node("#controller-head")).setValue(head);
      ((TitledPane) node("#controller-configuration-fold")).setExpanded(true);
      ((TextInputControl) node("#controller-dump")).setText(dump);
      return null;
    });
    settle();
    fill("#controller-configuration", configuration);
    onInterface(() -> {
      node("#proof-homes").requestFocus();
      return null;
    });
    for (int i = 0; i < 4; i++) {
      keys(KeyCode.Y);
    }
    int before = entries().size();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    signIfAsked();
    until("it is left", () -> count() == before + 1);
    settle();
  }

  @Test
  void headsAreSwappedBothWaysWithTravelAndPower() throws IOException {
    String laser =
        "par rest after = 999\npar stay inside = yes\npar end switches = yes\npar corner search = yes\npar corner = near left\npar beam top = 1000\npar beam least = 0\npar beam follows = yes\npar reach across = 400\npar reach deep = 400\n";
    String router =
        "par rest after = 999\npar stay inside = yes\npar end switches = yes\npar corner search = yes\npar corner = near left\npar beam top = 24000\npar beam least = 0\npar beam follows = no\npar reach across = 380\npar reach deep = 350\n";
    plugIn(Faults.NONE);
    leaveAs("laser", Head.LASER, laser);
    fill("#controller-top-word", "24000");
    fill("#controller-travel-x", "380");
    fill("#controller-travel-y", "350");
    leaveAs("router", Head.SPINDLE, router);
    assertThat(standing().holds()).isTrue();
    press("#controller-shot");
    assertThat(said()).contains("No laser is on it");
    for (String head : List.of("laser", "router")) {
      boolean toLaser = head.equals("laser");
      read("beam top = ");
      fill("#controller-configuration", head);
      onInterface(() -> {
        ((TitledPane) node("#controller-snapshots-fold")).setExpanded(true);
        return null;
      });
      settle();
      assertThat(words("#snapshot-differences")).isNotBlank();
      press("#controller-restore");
      assertThat(lines()).contains(toLaser ? "put rest after := 999" : "put reach across := 380");
      int before = entries().size();
      press("#confirm-go");
      signIfAsked();
      until("it is swapped", () -> said().contains("Written and read back"));
      until("it is kept", () -> count() >= before + 2);
      settle();
      assertThat(page()).doesNotContain("in an order that is safe");
      Settings now = controller.settings();
      assertThat(now.number(Role.TOP_POWER_WORD, 0, 1e6)).hasValue(toLaser ? 1000 : 24000);
      assertThat(now.is(Role.LASER_FOLLOWS_MOTION, toLaser ? Role.ON : Role.OFF)).isTrue();
      assertThat(now.number(Role.TRAVEL_Y, 0, 1e6)).hasValue(toLaser ? 400 : 350);
    }
  }

  @Test
  void theLensOnItAndWhatItUsesWithoutTheComputerAreCompared() {
    open("Moss");
    onInterface(() -> {
      ((TextInputControl) node("#controller-dump")).setText("Field size = 60\nLens = 160");
      ((TitledPane) node("#controller-named-fold")).setExpanded(true);
      ((TextInputControl) node("#controller-offline")).setText("Field size = 110\nLens = 160");
      return null;
    });
    settle();
    press("#dialect-teach");
    assertThat(page()).as("only proposed").doesNotContain("60 with the computer");
    sayYesToAllThatIsProposed();
    assertThat(page()).contains("\"Field size\" is 60 with the computer and 110 without it");
    fill("#controller-lens", "254");
    assertThat(page()).contains("Load the configuration of the 254 mm lens");
  }
}
