package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.sample.SampleModel;
import zebrawood.desktop.sheet.FormPane;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.words.Phrasebook;

/**
 * What every station does alike; a new one is held to it as soon as it is in the list. One more
 * stands here that needs nothing but its own two files and its bundle.
 */
class StationsWindowTest extends WindowTest {
  private static final List<StationDefinition> ALL =
      Stream.concat(StationList.ALL.stream(), Stream.of(SampleModel.DEFINITION)).toList();

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  /** Letters that the made-up language has not; units are shorter. */
  private static final Pattern ENGLISH = Pattern.compile("[a-zA-Z]{5,}");

  static List<String> stations() {
    return ALL.stream().map(d -> d.station().id()).toList();
  }

  @Override
  protected List<StationDefinition> definitions() {
    return ALL;
  }

  private static StationDefinition definition(String id) {
    return ALL.stream().filter(d -> d.station().id().equals(id)).findFirst().orElseThrow();
  }

  /** A machine of the demo that has the station; Alder is open already. */
  private void openMachineWith(String station) {
    var applies = definition(station).station().applies();
    Machine machine =
        onInterface(() ->
            applies.test(app.model().opened().machine())
                ? app.model().opened().machine()
                : app.model().machinesProperty().get().stream()
                    .filter(applies)
                    .findFirst()
                    .orElseThrow());
    onInterface(() -> {
      app.model().choose(machine);
      return null;
    });
    until("it is open", () -> app.model().opened().machine().id().equals(machine.id()));
    settle();
  }

  private FormPane pane() {
    return (FormPane) app.scene().lookup(".readings");
  }

  @ParameterizedTest
  @MethodSource("stations")
  void itOpensAndEnterReachesEveryPlaceThatIsSeen(String station) {
    openMachineWith(station);
    openStation(station);
    assertThat(page()).contains(Models.said(definition(station).station().question()));
    unfold();
    onInterface(() -> {
      pane().focusStart();
      return null;
    });
    settle();
    List<Control> order = onInterface(() -> pane().order());
    Set<String> reached = new HashSet<>();
    for (int i = 0; i < order.size(); i++) {
      reached.add(focused());
      // In a text of many lines Enter is a letter.
      if (onInterface(() -> app.scene().getFocusOwner() instanceof TextArea)) {
        onInterface(() -> {
          pane().goOn();
          return null;
        });
      } else {
        keys(KeyCode.ENTER);
      }
    }
    List<String> seen =
        onInterface(() ->
            order.stream()
                .filter(c -> c.getScene() != null && !c.isDisabled() && isShown(c))
                .map(Control::getId)
                .toList());
    assertThat(reached).containsAll(seen);
    assertThat(focused()).as("after the last place").isIn("primary", order.getLast().getId());
  }

  /** Some parts are there only at times. */
  private static boolean isShown(Node node) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (!n.isVisible()) {
        return false;
      }
    }
    return true;
  }

  @ParameterizedTest
  @MethodSource("stations")
  void whatIsTypedWaitsThereAfterReopening(String station) {
    openMachineWith(station);
    openStation(station);
    unfold();
    String first =
        onInterface(() ->
            pane().order().stream()
                .filter(c -> c instanceof zebrawood.desktop.sheet.TypedControl)
                .map(Control::getId)
                .findFirst()
                .orElse(""));
    if (first.isEmpty()) {
      return;
    }
    fill("#" + first, "7");
    settle();
    reopen();
    openStation(station);
    unfold();
    assertThat(words("#" + first)).isEqualTo("7");
  }

  @ParameterizedTest
  @MethodSource("stations")
  void itIsFoundInThePaletteAndPracticeLeavesNoTrace(String station) {
    openMachineWith(station);
    keys(KeyCode.CONTROL, KeyCode.K);
    typeWords("open " + Models.said(definition(station).station().title()));
    keys(KeyCode.ENTER);
    assertThat(page()).contains(Models.said(definition(station).station().question()));
    if (!shows("#practise")) {
      return;
    }
    int entries = entries(station);
    Map<String, String> before = read(station);
    for (String button : List.of("#practise", "#read-all", "#secondary")) {
      onInterface(() -> {
        ((Button) node(button)).fire();
        return null;
      });
      settle();
    }
    assertThat(read(station)).isEqualTo(before);
    assertThat(entries(station)).isEqualTo(entries);
  }

  /** Opens one machine after another, each that is unlike those before it. */
  private void eachKindOfMachine(Consumer<Machine> looked) {
    Set<String> alike = new HashSet<>();
    for (Machine machine : onInterface(() -> app.model().machinesProperty().get())) {
      if (!alike.add(machine.build() + " " + machine.source() + " " + machine.bedSupport())) {
        continue;
      }
      onInterface(() -> {
        app.model().choose(machine);
        return null;
      });
      until("it is open", () -> app.model().opened().machine().equals(machine));
      looked.accept(machine);
    }
  }

  private List<String> stationsOfTheMachine() {
    return onInterface(
        () -> app.model().opened().standings().keySet().stream().map(Station::id).toList());
  }

  /** What stands on a sheet from before is no reading of today, whatever it comes to. */
  @Test
  void nothingIsRecordedBeforeSomethingIsRead() {
    onInterface(() -> {
      app.model().setInitials("EH");
      return null;
    });
    Set<String> looked = new HashSet<>();
    eachKindOfMachine(machine -> {
      for (String station : stationsOfTheMachine()) {
        if (!read(station).isEmpty()) {
          continue;
        }
        int before = entries(station);
        for (String button : List.of("#primary", "#secondary")) {
          openStation(station);
          onInterface(() -> {
            if (app.scene().lookup(button) instanceof Button b && b.isVisible()) {
              b.fire();
            }
            return null;
          });
          settle();
          keys(KeyCode.ESCAPE);
        }
        assertThat(entries(station)).as(machine.name() + ", " + station).isEqualTo(before);
        looked.add(station);
      }
    });
    assertThat(looked).containsExactlyInAnyOrderElementsOf(stations());
  }

  /** What somebody wrote down is in no language but their own. */
  private List<String> notes() {
    return app.model().opened().ledger().events().stream()
        .map(e -> e.note())
        .filter(note -> !note.isBlank())
        .toList();
  }

  private static List<String> english(String words) {
    return ENGLISH.matcher(words).results().map(MatchResult::group).toList();
  }

  private int entries(String station) {
    return onInterface(
        () -> app.model().opened().ledger().entriesAt(definition(station).station()).size());
  }

  /** What of the draft was read. */
  private Map<String, String> read(String station) {
    Map<String, String> draft =
        new HashMap<>(onInterface(() -> app.model().draft(definition(station).station())));
    draft.entrySet().removeIf(e -> !e.getKey().startsWith(Field.READING) || e.getValue().isBlank());
    return draft;
  }

  /** Every sentence is there for every machine and in every language that a bundle is put in. */
  @Test
  void everySentenceComesFromABundle() {
    Phrasebook english = Text.words();
    try {
      onInterface(() -> {
        Text.use(Phrasebook.pseudo());
        return null;
      });
      eachKindOfMachine(machine -> {
        for (String station : stationsOfTheMachine()) {
          openStation(station);
          assertThat(page())
              .contains(Phrasebook.pseudo().say(definition(station).station().title()));
          String plain =
              onInterface(() ->
                  pane().lookupAll(".label").stream()
                      .map(n -> ((Labeled) n).getText())
                      .filter(words -> words != null && ENGLISH.matcher(words).find())
                      .filter(words -> notes().stream().noneMatch(words::contains))
                      .filter(words -> !Models.standInWords().containsAll(english(words)))
                      .collect(Collectors.joining("\n")));
          assertThat(plain)
              .as("words of %s at %s that no bundle gave", machine.name(), station)
              .isEmpty();
        }
      });
    } finally {
      onInterface(() -> {
        Text.use(english);
        return null;
      });
    }
  }
}
