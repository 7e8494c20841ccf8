package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.desktop.practise.CaseModel;
import zebrawood.devices.whole.Adviser;
import zebrawood.devices.whole.CaseKind;
import zebrawood.devices.whole.CaseRun;
import zebrawood.devices.whole.CaseStart;
import zebrawood.devices.whole.Deed;
import zebrawood.devices.whole.Trait;

/** A whole machine is practised on in the real window, by keys alone, with no machine recorded. */
class CaseWindowTest extends WindowTest {
  private void begin() {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("practise a whole");
    keys(KeyCode.ENTER);
    settleLooks();
    assertThat(page()).contains("nothing of it is recorded");
  }

  /** A field takes letters from its first frame on; nobody types faster than that. */
  private void settleLooks() {
    onInterface(() -> {
      app.scene().getRoot().applyCss();
      app.scene().getRoot().layout();
      return null;
    });
  }

  private void begun() {
    until("it is read", () -> app.shell().playing().isPresent());
    settle();
  }

  /** What can be done by these words, in find or do. */
  private List<String> found(String words) {
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords(words);
    settle();
    List<String> titles =
        onInterface(() ->
            app.scene().getRoot().lookupAll(".list-cell .label").stream()
                .map(n -> ((javafx.scene.control.Label) n).getText())
                .filter(said -> said.contains("Deutsch"))
                .toList());
    keys(KeyCode.ESCAPE);
    return titles;
  }

  private String problem() {
    return ((javafx.scene.control.Label) node("#practise-problem")).getText();
  }

  /** What the page does is done beside it too, which tells the next step. */
  private void does(CaseRun beside, Deed deed, double amount) {
    settleLooks();
    assertThat(focused()).isEqualTo("practise-search");
    typeWords(CaseModel.words(deed));
    assertThat(words("#practise-search")).isEqualTo(CaseModel.words(deed));
    keys(KeyCode.ENTER);
    if (deed.hasAmount()) {
      assertThat(focused()).isEqualTo("practise-amount");
      typeWords(String.format(Locale.ROOT, "%.2f", amount));
      keys(KeyCode.ENTER);
    }
    beside.act(deed, amount);
    settleLooks();
    if (!beside.isOver()) {
      assertThat(words("#practise-so-far"))
          .startsWith(beside.minutes() + " minutes, " + beside.burns() + " ");
    }
  }

  @ParameterizedTest
  @EnumSource(names = {"TUBE_REPLACED", "PALE_AT_THE_REAR", "FIRMWARE_RESET"})
  void aCaseIsPlayedToTheHandOver(CaseKind kind) throws IOException {
    begin();
    assertThat(focused()).isEqualTo("practise-case");
    while (onInterface(() -> ((ComboBox<?>) node("#practise-case")).getValue()) != kind) {
      keys(
          ((ComboBox<?>) node("#practise-case")).getItems().indexOf(kind)
                  < CaseKind.WORKED_ON_TUESDAY.ordinal()
              ? KeyCode.UP
              : KeyCode.DOWN);
    }
    keys(KeyCode.TAB);
    settleLooks();
    assertThat(focused()).isEqualTo("practise-number");
    keys(KeyCode.CONTROL, KeyCode.A);
    typeWords("12");
    keys(KeyCode.ENTER);
    CaseRun beside = new CaseRun(CaseStart.of(kind, 12));
    for (int i = 0; i < 80 && !beside.isOver(); i++) {
      Adviser.Step step = Adviser.next(beside);
      does(beside, step.deed(), step.amount());
    }
    assertThat(beside.handedOver()).isTrue();
    assertThat(page()).contains("Nobody was in danger").contains("within their limits");
    assertThat(page()).contains(beside.minutes() + " minutes; who knew all");
    assertThat(focused()).isEqualTo("practise-print");
    keys(KeyCode.ENTER);
    settleLooks();
    Path folder = file.resolveSibling("paper");
    fill("#handover-folder", folder.toString());
    press("#handover-write");
    Path page = folder.resolve("practice-2026-05-04.html");
    until("it is written", () -> Files.exists(page));
    assertThat(page).content().contains("number 12").contains("nothing of it is recorded");
    assertThat(onInterface(() -> app.model().machinesProperty().get())).isEmpty();
  }

  @Test
  void whatWouldHurtEndsItAndTheCaseStaysWhileOneLooksElsewhere() throws IOException {
    Path own =
        Files.writeString(
            file.resolveSibling("own.json"),
            """
            {"zebrawoodCase": 1, "name": "My case", "machine": "glass-tube-gantry",
             "says": "It is pale.", "counts": ["lens-dirt", "focus"],
             "hidden": [{"trait": "lens-dirt", "off": 30}],
             "inOrder": ["eyewear-on", "lid-shut", "lid-switch-works", "mains-on"],
             "asLeft": false, "seed": 3}
            """);
    begin();
    fill("#practise-file", file.resolveSibling("gone.json").toString());
    keys(KeyCode.ENTER);
    until("it is told", () -> problem().contains("there is no file"));
    fill("#practise-file", own.toString());
    keys(KeyCode.ENTER);
    begun();
    settleLooks();
    assertThat(page()).contains("My case").contains("It is pale.").contains("not read");
    typeWords("look at lens");
    keys(KeyCode.ENTER);
    settleLooks();
    assertThat(page()).contains("Lens takes");
    keys(KeyCode.CONTROL, KeyCode.HOME);
    begin();
    assertThat(page()).contains("My case").contains("Lens takes");
    settleLooks();
    typeWords("ramp");
    keys(KeyCode.ENTER);
    settleLooks();
    assertThat(page()).contains("fired without coolant").contains("Somebody would have been hurt");
    onInterface(() -> {
      node("#practise-another").requestFocus();
      return null;
    });
    keys(KeyCode.SPACE);
    assertThat(focused()).isEqualTo("practise-case");
    Files.writeString(own, Files.readString(own).replace("\"focus\"", "\"field-scale\""));
    fill("#practise-file", own.toString());
    keys(KeyCode.ENTER);
    until("it is told", () -> problem().contains("counts[1]"));
    assertThat(page()).contains("what a gantry with mirrors");
  }

  @Test
  void theSheetsReadAndMoveTheSameMachine() throws IOException {
    Path own =
        Files.writeString(
            file.resolveSibling("own.json"),
            """
            {"zebrawoodCase": 1, "name": "My case", "machine": "glass-tube-gantry",
             "says": "Pale at the rear.", "counts": ["bed-y", "focus"],
             "hidden": [{"trait": "bed-y", "off": 4}, {"trait": "focus", "off": 2}],
             "inOrder": ["eyewear-on", "lid-shut", "lid-switch-works", "mains-on", "air-on",
             "exhaust-on"], "asLeft": false, "seed": 3}
            """);
    app.close();
    DemoCopy.write(file, clock.instant());
    reopen();
    open("Alder", "bed");
    int entries = onInterface(() -> app.model().opened().ledger().entries().size());
    begin();
    fill("#practise-file", own.toString());
    keys(KeyCode.ENTER);
    begun();
    CaseRun run = onInterface(() -> app.shell().playing().orElseThrow());
    openStation("bed");
    press("#practise");
    for (int round = 0; round < 6 && !run.machine().isWithin(Trait.BED_Y); round++) {
      press("#read-all");
      press("#primary");
    }
    assertThat(run.machine().truth(Trait.BED_Y)).isEqualTo(0, within(0.3));
    assertThat(run.lines().stream().map(CaseRun.Line::deed)).contains(Deed.READ_BED, Deed.LEVEL_Y);
    assertThat(run.minutes()).isGreaterThanOrEqualTo(14);
    assertThat(run.known(Trait.BED_Y)).as("it was moved since").isEmpty();
    // Moved on the case's own page meanwhile, it is that bed which the sheet reads and moves on.
    double before = run.machine().truth(Trait.BED_Y);
    run.act(Deed.LEVEL_Y, 3);
    double moved = run.machine().truth(Trait.BED_Y);
    assertThat(moved - before).isEqualTo(3, within(0.6));
    press("#read-all");
    press("#primary");
    assertThat(run.machine().truth(Trait.BED_Y)).isLessThan(moved - 1.5);
    openStation("cooling");
    press("#practise");
    assertThat(page()).contains("no part of the case that is played");
    openStation("focus");
    press("#practise");
    press("#read-all");
    assertThat(run.stopped()).as("no coolant flows").isPresent();
    assertThat(page()).contains("fired without coolant");
    assertThat(onInterface(() -> app.model().opened().ledger().entries().size()))
        .as("nothing of it is recorded")
        .isEqualTo(entries);
  }

  @Test
  void aFieldsScaleIsPutRightOnItsSheet() throws IOException {
    Path own =
        Files.writeString(
            file.resolveSibling("own.json"),
            """
            {"zebrawoodCase": 1, "name": "My case", "machine": "galvo", "says": "Too large.",
             "counts": ["field-scale"], "hidden": [{"trait": "field-scale", "off": 4}],
             "inOrder": ["eyewear-on", "mains-on", "exhaust-on"], "asLeft": false, "seed": 3}
            """);
    app.close();
    DemoCopy.write(file, clock.instant());
    reopen();
    open("Bryony", "field");
    assertThat(found("deutsch")).isNotEmpty();
    begin();
    fill("#practise-file", own.toString());
    keys(KeyCode.ENTER);
    begun();
    CaseRun run = onInterface(() -> app.shell().playing().orElseThrow());
    assertThat(found("deutsch")).as("another language would end the case").isEmpty();
    openStation("field");
    press("#practise");
    for (int round = 0; round < 6 && !run.machine().isWithin(Trait.FIELD_SCALE); round++) {
      press("#read-all");
      press("#primary");
    }
    assertThat(run.machine().truth(Trait.FIELD_SCALE)).isEqualTo(0, within(0.2));
    assertThat(run.burns()).isPositive();
    assertThat(run.lines().stream().map(CaseRun.Line::deed)).contains(Deed.SET_FIELD_SCALE);
  }
}
