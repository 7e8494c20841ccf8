package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import zebrawood.bed.BedStation;
import zebrawood.fault.Seen;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Standing;
import zebrawood.measure.Verdict;
import zebrawood.quantity.DisplayUnits;

/** A technician's first day, from the empty workshop to the signed sheet, by keyboard alone. */
class FirstLightWindowTest extends WindowTest {
  private void addMachine(String name) {
    keys(KeyCode.CONTROL, KeyCode.N);
    assertThat(focused()).isEqualTo("machine-build");
    keys(KeyCode.ENTER);
    keys(KeyCode.ENTER);
    typeWords(name);
    typePlate();
    keys(KeyCode.ENTER);
    signIfAsked();
    until("the machine is open", () -> isOpen(name));
  }

  /** From the name on; the wavelength stands there, since it follows from the source. */
  private void typePlate() {
    read("", "90", "");
    assertThat(disabled("#machine-add")).as("its size is not known").isTrue();
    assertThat(focused()).as("Enter goes on").isEqualTo("machine-width");
    read("600");
    typeWords("400");
    assertThat(disabled("#machine-add")).isFalse();
  }

  private boolean isOpen(String name) {
    return app.model().opened() != null && app.model().opened().machine().name().equals(name);
  }

  private Standing standing() {
    return onInterface(() -> app.model().opened().standing(BedStation.STATION));
  }

  private List<Entry> entries() {
    return onInterface(() -> app.model().opened().ledger().entriesAt(BedStation.STATION));
  }

  private void read(String... gaps) {
    for (String gap : gaps) {
      typeWords(gap);
      keys(KeyCode.ENTER);
    }
  }

  /** The sixth station of a machine that is cooled by water. */
  private void openBed() {
    keys(KeyCode.CONTROL, KeyCode.DIGIT6);
  }

  @SuppressWarnings("unchecked")
  private void choose(String box, int count) {
    ((javafx.scene.control.ComboBox<Integer>) node(box)).setValue(count);
  }

  private void awaitEntries(int count) {
    until(
        count + " entries",
        () -> app.model().opened().ledger().entriesAt(BedStation.STATION).size() == count);
    settle();
  }

  @Test
  void fromAnEmptyWorkshopToAHandOverSheet() throws IOException {
    until("the first thing has the focus", () -> "first-machine".equals(focusedNow()));
    keys(KeyCode.ENTER);
    assertThat(focused()).as("what decides comes first").isEqualTo("machine-build");
    keys(KeyCode.ENTER);
    keys(KeyCode.ENTER);
    assertThat(focused()).isEqualTo("machine-name");
    assertThat(disabled("#machine-add")).isTrue();
    typeWords("Alder");
    typePlate();
    keys(KeyCode.ENTER);
    assertThat(focused()).as("initials are asked once").isEqualTo("initials");
    typeWords("EH");
    keys(KeyCode.ENTER);
    until("the machine is open", () -> isOpen("Alder"));
    assertThat(standing()).isInstanceOf(Standing.Open.class);
    until("Go has the focus", () -> "go-site".equals(focusedNow()));
    keys(KeyCode.ENTER);
    assertThat(focused()).isEqualTo("site-earth");
    openBed();
    assertThat(focused()).isEqualTo("reading-0-0");

    read("6.0", "6.6", "6.3", "6.9");
    assertThat(focused()).as("after the last reading").isEqualTo("primary");
    assertThat(page()).contains("turn clockwise").contains("High to low\n0.90\nmm");
    keys(KeyCode.ENTER);
    awaitEntries(1);
    assertThat(entries().getFirst().kind()).isEqualTo(EntryKind.AS_FOUND);
    assertThat(Models.said(entries().getFirst().because())).isEqualTo("commissioning");
    assertThat(standing()).isInstanceOf(Standing.Out.class);
    assertThat(focused()).as("ready for the next round").isEqualTo("reading-0-0");

    read("6,4", "6.5", "1/4 in", "6.4");
    assertThat(page()).contains("Leave it: it is level");
    keys(KeyCode.ENTER);
    awaitEntries(2);
    Entry left = entries().getLast();
    assertThat(left.kind()).isEqualTo(EntryKind.AS_LEFT);
    assertThat(left.verdict()).isEqualTo(Verdict.WITHIN);
    assertThat(left.readings()).contains("6,4").contains("1/4 in").contains("6.35");
    assertThat(standing().holds()).isTrue();
    assertThat(status()).startsWith("Bed: recorded as left at");

    clock.advance(Duration.ofDays(2));
    keys(KeyCode.CONTROL, KeyCode.E);
    assertThat(words("#event-doubts"))
        .isEqualTo(
            "In doubt then: Site, Cooling, Start-up, Mirrors, Bed, Focus, Cards, Trial piece.");
    keys(KeyCode.ENTER);
    until("the event is recorded", () -> !app.model().opened().ledger().events().isEmpty());
    assertThat(standing()).isInstanceOf(Standing.Stale.class);

    keys(KeyCode.CONTROL, KeyCode.P);
    assertThat(focused()).isEqualTo("handover-write");
    keys(KeyCode.ENTER);
    until("both files are written", () -> shownWords("#handover-outcome").startsWith("Written"));
    keys(KeyCode.ENTER);
    assertThat(openedOutside).hasSize(1);
    Path pdf = openedOutside.getFirst();
    try (var document = Loader.loadPDF(pdf.toFile())) {
      assertThat(new PDFTextStripper().getText(document))
          .contains("Alder", "as found", "as left", "in doubt · machine moved", "Page 1 of");
    }
    keys(KeyCode.ESCAPE);

    reopen();
    assertThat(entries()).hasSize(2);
    assertThat(standing()).isInstanceOf(Standing.Stale.class);
  }

  private String focusedNow() {
    return app.scene().getFocusOwner() == null ? "" : app.scene().getFocusOwner().getId();
  }

  private String shownWords(String selector) {
    return ((javafx.scene.control.Labeled) app.scene().lookup(selector)).getText();
  }

  @Test
  void whatIsWrongIsSaidAtTheFieldAndNothingIsLost() {
    addMachine("Alder");
    openBed();
    read("6.0", "six", "6.3", "6.9");
    assertThat(words("#bed-message"))
        .startsWith("Front right: six is no number. Accepted is 0 mm to");
    assertThat(disabled("#primary")).isTrue();
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    assertThat(entries()).isEmpty();
    assertThat(words("#reading-1-0")).isEqualTo("six");
    fill("#reading-1-0", "6.6");
    assertThat(disabled("#primary")).isFalse();
    fill("#bed-resolution", "0");
    assertThat(words("#bed-message")).startsWith("Gauge step is 0 mm. Accepted is more than 0 mm");
    assertThat(disabled("#primary")).isTrue();
    fill("#bed-resolution", "0.05");
    assertThat(disabled("#primary")).isFalse();
    fill("#bed-tolerance", "-1");
    assertThat(disabled("#primary")).isTrue();
    assertThat(words("#reading-0-0")).isEqualTo("6.0");
  }

  @Test
  void readingsNotYetRecordedAreThereAfterReopening() {
    addMachine("Alder");
    openBed();
    read("6.0", "6.6");
    typeWords("6,");
    reopen();
    assertThat(page()).contains("typed readings wait there");
    openBed();
    assertThat(words("#reading-0-0")).isEqualTo("6.0");
    assertThat(words("#reading-1-0")).isEqualTo("6.6");
    assertThat(words("#reading-0-1")).isEqualTo("6,");
    assertThat(focused()).isEqualTo("reading-1-1");
  }

  @Test
  void anEntryIsCorrectedAndUndoneByOnesThatReplaceIt() {
    addMachine("Alder");
    openBed();
    read("6.0", "6.1", "6.0", "60");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    awaitEntries(1);
    Entry wrong = entries().getFirst();
    keys(KeyCode.F9);
    keys(KeyCode.DOWN);
    until("an entry is chosen", () -> !node("#correct").isDisabled());
    onInterface(() -> {
      node("#correct").requestFocus();
      return null;
    });
    keys(KeyCode.SPACE);
    assertThat(words("#reading-1-1")).isEqualTo("60");
    fill("#reading-1-1", "6.0");
    reopen();
    openBed();
    assertThat(words("#reading-1-1")).as("typed while correcting").isEqualTo("6.0");
    assertThat(words("#primary")).isEqualTo("Record the correction");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    until(
        "the correction counts",
        () -> !app.model().opened().ledger().entries().getFirst().id().equals(wrong.id()));
    settle();
    Entry right = entries().getFirst();
    assertThat(entries()).hasSize(1);
    assertThat(right.replaces()).contains(wrong.id());
    assertThat(right.at()).isEqualTo(wrong.at());
    assertThat(right.verdict()).isEqualTo(Verdict.WITHIN);

    keys(KeyCode.CONTROL, KeyCode.U);
    until(
        "the correction is withdrawn",
        () -> app.model().opened().ledger().entries().getFirst().id().equals(wrong.id()));
    settle();
    assertThat(status()).startsWith("Taken back: Bed, as found, ");
    assertThat(words("#reading-1-1")).as("what was typed is had back").isEqualTo("6.0");
  }

  /** The chosen entry of this notebook, and nothing at once that is of another day. */
  @Test
  @SuppressWarnings("unchecked") // its items are entries
  void whatIsTakenBackIsNamedAndAskedForWhereItIsOld() {
    addMachine("Alder");
    openBed();
    read("6.0", "6.6", "6.3", "6.9");
    keys(KeyCode.ENTER);
    awaitEntries(1);
    read("6.4", "6.5", "6.4", "6.4");
    keys(KeyCode.ENTER);
    awaitEntries(2);
    Entry first = entries().getFirst();
    Entry last = entries().getLast();

    keys(KeyCode.F9);
    onInterface(() -> {
      ((TableView<Entry>) node("#notebook")).getSelectionModel().select(first);
      return null;
    });
    press("#take-back");
    awaitEntries(1);
    assertThat(entries()).as("the chosen one, not the last").containsExactly(last);
    assertThat(status()).startsWith("Taken back: Bed, as found, ").contains("0.90 mm");

    clock.advance(Duration.ofDays(3));
    keys(KeyCode.CONTROL, KeyCode.U);
    assertThat(page()).contains("Take this entry back?");
    assertThat(onInterface(() -> ((ListView<String>) node("#confirm-lines")).getItems().toString()))
        .contains("Bed, as left, ", "recorded by EH");
    press("#confirm-cancel");
    assertThat(entries()).containsExactly(last);
    keys(KeyCode.CONTROL, KeyCode.U);
    press("#confirm-go");
    awaitEntries(0);
  }

  @Test
  void theQuickCheckByFeelIsRecordedAsACheck() {
    addMachine("Alder");
    openBed();
    onInterface(() -> {
      node("#bed-way").requestFocus();
      return null;
    });
    keys(KeyCode.DOWN);
    keys(KeyCode.DOWN);
    keys(KeyCode.DOWN);
    fill("#reading-0-0", "s");
    keys(KeyCode.ENTER);
    read("slides", "t", "x");
    assertThat(words("#bed-message")).contains("\"x\" is not a feel");
    fill("#reading-1-1", "g");
    assertThat(page()).contains("Lower the bed at rear left");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    awaitEntries(1);
    assertThat(entries().getFirst().kind()).isEqualTo(EntryKind.CHECK);
    assertThat(entries().getFirst().figures()).isEmpty();
    assertThat(standing()).isInstanceOf(Standing.Out.class);
  }

  @Test
  void theStandInIsLevelledByTheAdviceAndLeavesNoTrace() {
    addMachine("Alder");
    openBed();
    read("6.0", "6.1");
    onInterface(() -> {
      ((javafx.scene.control.Button) node("#practise")).fire();
      return null;
    });
    settle();
    boolean done = false;
    for (int round = 0; round < 6 && !done; round++) {
      onInterface(() -> {
        ((javafx.scene.control.Button) node("#read-all")).fire();
        return null;
      });
      settle();
      String page = page();
      done = page.contains("In order. Rounds") || page.contains("Pack, flatten or replace");
      if (!done) {
        keys(KeyCode.ENTER);
      }
    }
    assertThat(done).as(page()).isTrue();
    onInterface(() -> {
      ((javafx.scene.control.Button) node("#secondary")).fire();
      return null;
    });
    settle();
    assertThat(entries()).isEmpty();
    assertThat(words("#reading-0-0")).as("the machine's own readings are back").isEqualTo("6.0");
  }

  @Test
  void aScrewThatIsPressedStaysAndTheOthersComeToIt() {
    addMachine("Alder");
    openBed();
    read("6.0", "6.6", "6.3", "6.9");
    assertThat(page()).doesNotContain("kept");
    onInterface(() -> {
      ((javafx.scene.control.Button) app.scene().lookup(".plan-screw")).fire();
      return null;
    });
    settle();
    assertThat(page()).contains("Screw rear right");
    assertThat(
            onInterface(() ->
                app.scene().getRoot().lookupAll(".plan-screw").stream()
                    .map(n -> ((javafx.scene.control.Button) n).getText())
                    .toList()))
        .contains("kept");
  }

  @Test
  void aGridOfAnotherSizeIsCorrectedAsItWasRead() {
    addMachine("Alder");
    openBed();
    onInterface(() -> {
      choose("#bed-across", 5);
      choose("#bed-deep", 4);
      node("#reading-0-0").requestFocus();
      return null;
    });
    for (int i = 0; i < 20; i++) {
      read("6." + i % 3);
    }
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    awaitEntries(1);
    onInterface(() -> {
      choose("#bed-across", 2);
      choose("#bed-deep", 2);
      return null;
    });
    fill("#reading-0-0", "7.0");
    keys(KeyCode.F9);
    onInterface(() -> {
      ((javafx.scene.control.Button) node("#correct")).fire();
      return null;
    });
    settle();
    until(
        "it stands there as it was read",
        () -> ((TextInputControl) node("#reading-4-3")).getText().equals("6.1"));
    onInterface(() -> {
      ((javafx.scene.control.Button) node("#secondary")).fire();
      return null;
    });
    settle();
    assertThat(words("#reading-0-0")).as("the draft from before the correction").isEqualTo("7.0");
    assertThat(shows("#reading-4-3")).isFalse();
  }

  @Test
  void thePaletteFindsAndDoesByAFewLetters() {
    addMachine("Alder");
    addMachine("Sedge");
    keys(KeyCode.CONTROL, KeyCode.SPACE);
    typeWords("mach ald");
    keys(KeyCode.ENTER);
    until("Alder is open", () -> isOpen("Alder"));
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("zzz");
    assertThat(onInterface(() -> ((ListView<?>) node("#palette-list")).getItems().size())).isZero();
    keys(KeyCode.ENTER);
    assertThat(shows("#palette-field")).as("nothing found, nothing done").isTrue();
    keys(KeyCode.ESCAPE);
    assertThat(shows("#palette-field")).isFalse();
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("dark");
    keys(KeyCode.ENTER);
    assertThat(onInterface(() -> app.model().darkProperty().get())).isTrue();
  }

  /** People look for what goes wrong. */
  @Test
  void thePaletteFindsAStationByWhatGoesWrong() {
    addMachine("Alder");
    Map.of(
            "black back", "Can it be switched on here",
            "flashback", "Can it be switched on here",
            "pops", "Is the coolant cool enough")
        .forEach((sought, question) -> {
          keys(KeyCode.CONTROL, KeyCode.K);
          typeWords(sought);
          keys(KeyCode.ENTER);
          settle();
          assertThat(page()).as(sought).contains(question);
        });
  }

  /** A field by its name, in a closed fold too, and why what is seen is so. */
  @Test
  void thePaletteGoesToAFieldAndFromASignToItsCause() {
    addMachine("Alder");
    openBed();
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("field pitch");
    assertThat(onInterface(() -> ((ListView<?>) node("#palette-list")).getItems().toString()))
        .contains("pitch");
    keys(KeyCode.ENTER);
    assertThat(focused()).contains("pitch");
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("why slanted");
    keys(KeyCode.ENTER);
    until("the finder is open", () -> app.shell().shownSheet().isPresent());
    settle();
    assertThat(
            onInterface(
                () -> ((ComboBox<?>) node("#fault-seen")).getSelectionModel().getSelectedIndex()))
        .isEqualTo(Seen.SLANTED.ordinal());
  }

  /** What stands on the sheet, and what people call things. */
  @Test
  void thePaletteFindsTheSheetsButtonsFoldsAndOtherWords() {
    addMachine("Alder");
    openBed();
    for (String sought : List.of("practise", "screws", "fahrenheit", "zoom", "quit", "theme")) {
      keys(KeyCode.CONTROL, KeyCode.K);
      typeWords(sought);
      assertThat(onInterface(() -> ((ListView<?>) node("#palette-list")).getItems().size()))
          .as(sought)
          .isPositive();
      keys(KeyCode.ESCAPE);
    }
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("practise");
    keys(KeyCode.ENTER);
    settle();
    assertThat(shows("#read-all")).as("it does what the button does").isTrue();
  }

  @Test
  void lengthsAreShownInInchesAndStayWhatTheyAre() {
    addMachine("Alder");
    openBed();
    read("6.35", "6.6", "6.3", "6.9");
    keys(KeyCode.CONTROL, KeyCode.I);
    assertThat(words("#reading-0-0")).isEqualTo("0.25");
    assertThat(page()).contains("0.0236\nin");
    reopen();
    assertThat(onInterface(() -> app.model().units().length())).isEqualTo(DisplayUnits.Length.INCH);
    openBed();
    assertThat(words("#reading-0-0")).isEqualTo("0.25");
    keys(KeyCode.CONTROL, KeyCode.I);
    assertThat(words("#reading-0-0")).isEqualTo("6.35");
  }

  @Test
  void anEventIsDatedAndCanBeTakenBack() {
    addMachine("Alder");
    keys(KeyCode.CONTROL, KeyCode.E);
    keys(KeyCode.DOWN);
    fill("#event-at", "2030-01-01 10:00");
    assertThat(disabled("#event-confirm")).isTrue();
    assertThat(page()).contains("not later than now");
    fill("#event-at", "2026-05-01 10:00");
    fill("#event-note", "a curled sheet");
    keys(KeyCode.ENTER);
    until("the event is recorded", () -> app.model().opened().ledger().events().size() == 1);
    assertThat(onInterface(() -> app.model().opened().ledger().events().getFirst()))
        .satisfies(e -> {
          assertThat(e.kind()).isEqualTo(EventKind.CRASH);
          assertThat(e.note()).isEqualTo("a curled sheet");
          assertThat(e.at()).isEqualTo("2026-05-01T10:00:00Z");
        });
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("take back crash");
    keys(KeyCode.ENTER);
    until("the event is taken back", () -> app.model().opened().ledger().events().isEmpty());
  }

  @Test
  void aReadingIsDatedBackAndTheDayItWasEnteredIsKept() {
    addMachine("Alder");
    openBed();
    read("6.0", "6.1", "6.0", "6.1");
    press("#read-on");
    fill("#read-on-at", "9:30");
    assertThat(disabled("#read-on-set")).as("later than now").isTrue();
    fill("#read-on-at", "1 May 7:45");
    press("#read-on-set");
    assertThat(words("#read-on")).contains("01 May 2026 07:45");
    reopen();
    openBed();
    assertThat(words("#read-on")).as("kept with what is typed").contains("01 May 2026 07:45");
    press("#primary");
    signIfAsked();
    awaitEntries(1);
    assertThat(onInterface(() -> app.model().opened().ledger().entries().getFirst()))
        .satisfies(e -> {
          assertThat(e.at()).isEqualTo("2026-05-01T07:45:00Z");
          assertThat(e.recordedAt()).isAfter("2026-05-04T08:00:00Z");
        });
    keys(KeyCode.F9);
    until(
        "the day it was entered stands there",
        () -> node("#notebook").lookupAll(".table-cell").toString().contains("entered 04 May"));
    read("6.0", "6.1", "6.0", "6.1");
    assertThat(words("#read-on")).as("only that one").doesNotContain("2026");
  }

  @Test
  void everyPartIsReachedByTheKeyboardAndTheFocusIsSeen() {
    addMachine("Alder");
    openBed();
    read("6.0", "6.6", "6.3", "6.9");
    java.util.Set<String> reached = new java.util.HashSet<>();
    for (int i = 0; i < 60; i++) {
      keys(KeyCode.TAB);
      reached.add(
          onInterface(() -> {
            var owner = app.scene().getFocusOwner();
            return owner.getId() != null ? owner.getId() : owner.getStyleClass().toString();
          }));
    }
    assertThat(reached)
        .contains("machines", "find", "rail-bed", "bed-way", "bed-resolution", "bed-tolerance")
        .contains("reading-0-0", "reading-1-1", "practise", "primary", "secondary", "notebook-open")
        .contains("status-initials", "status-unit", "status-theme")
        .anyMatch(s -> s.contains("plan-screw"));
    openBed();
    keys(KeyCode.F6);
    assertThat(focused()).isEqualTo("rail-bed");
    keys(KeyCode.UP);
    assertThat(focused()).isEqualTo("rail-mirrors");
    keys(KeyCode.UP);
    assertThat(focused()).isEqualTo("rail-controller");
    keys(KeyCode.UP);
    assertThat(focused()).isEqualTo("rail-start");
    keys(KeyCode.UP);
    assertThat(focused()).isEqualTo("rail-cooling");
    keys(KeyCode.UP);
    assertThat(focused()).isEqualTo("rail-site");
    keys(KeyCode.UP);
    assertThat(focused()).isEqualTo("rail-today");
    keys(KeyCode.ENTER);
    assertThat(page()).contains("Alder today");
  }

  @Test
  void aFolderThatCannotBeWrittenIsSaidInTheCard() throws IOException {
    addMachine("Alder");
    Path blocked = Files.writeString(file.resolveSibling("blocked"), "x");
    keys(KeyCode.CONTROL, KeyCode.P);
    fill("#handover-folder", blocked.resolve("in").toString());
    keys(KeyCode.ENTER);
    until("it says so", () -> shownWords("#handover-outcome").startsWith("Not written"));
    assertThat(words("#handover-outcome")).contains("Accepted is a folder that can be written to");
  }
}
