package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.sample.SampleModel;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Standing;

/** A station whose figures belong to a lens stands for each lens by itself. */
class SubjectsWindowTest extends WindowTest {
  @Override
  protected List<StationDefinition> definitions() {
    return Stream.concat(StationList.ALL.stream(), Stream.of(SampleModel.DEFINITION)).toList();
  }

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  /** A machine of which nobody said which lens is on it. */
  private void openTansy() {
    onInterface(() -> {
      app.model()
          .choose(
              app.model().machinesProperty().get().stream()
                  .filter(m -> m.name().equals("Tansy"))
                  .findFirst()
                  .orElseThrow());
      return null;
    });
    until("Tansy is open", () -> app.model().opened().machine().name().equals("Tansy"));
  }

  private void open() {
    onInterface(() -> {
      app.shell().show("sample");
      return null;
    });
    settle();
  }

  private void withInitials() {
    signIfAsked();
  }

  private int entries() {
    return app.model().opened().ledger().entriesAt(SampleModel.DEFINITION.station()).size();
  }

  private Standing standing() {
    return onInterface(() -> app.model().opened().standing(SampleModel.DEFINITION.station()));
  }

  private void read(String left, String middle, String right) {
    fill("#sample-left", left);
    fill("#sample-middle", middle);
    fill("#sample-right", right);
    int before = onInterface(this::entries);
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    withInitials();
    until("it is recorded", () -> entries() == before + 1);
    settle();
  }

  /** The lens is told with what happened. */
  private void change(EventKind kind, String lens) {
    keys(KeyCode.CONTROL, KeyCode.E);
    onInterface(() -> {
      var kinds = (ListView<?>) node("#event-kinds");
      kinds.getSelectionModel().select(kinds.getItems().indexOf(kind));
      return null;
    });
    fill("#event-subject", lens);
    keys(KeyCode.ENTER);
    withInitials();
    until("the card is closed", () -> app.scene().lookup("#event-kinds") == null);
    settle();
  }

  private String rail() {
    return onInterface(() -> ((Button) node("#rail-sample")).getAccessibleText());
  }

  @Test
  void eachLensStandsByItself() {
    openTansy();
    open();
    fill("#sample-left", "0.4");
    fill("#sample-middle", "0.4");
    fill("#sample-right", "0.4");
    assertThat(page()).contains("Say which lens is on it");
    assertThat(words("#primary")).isEqualTo("Name the lens…");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    assertThat(focused()).isEqualTo("event-subject");
    assertThat(disabled("#event-confirm")).as("it must have a name").isTrue();
    typeWords("2 inch");
    keys(KeyCode.ENTER);
    withInitials();
    until("it is named", () -> app.scene().lookup("#event-kinds") == null);
    settle();
    assertThat(page()).contains("with this lens: 2 inch").doesNotContain("Say which lens");
    assertThat(words("#sample-left")).as("what was typed stays").isEqualTo("0.4");
    read("0.4", "0.41", "0.42");
    assertThat(standing().holds()).isTrue();
    assertThat(rail()).startsWith("Sample, 2 inch");

    change(EventKind.LENS_NEW, "4 inch");
    assertThat(standing()).isInstanceOf(Standing.Open.class);
    assertThat(rail()).startsWith("Sample, 4 inch").endsWith("1 on file");
    open();
    assertThat(page()).contains("with this lens: 4 inch · on file: 2 inch (holds");
    read("0.4", "0.5", "0.6");
    assertThat(standing()).isInstanceOf(Standing.Out.class);
    keys(KeyCode.CONTROL, KeyCode.HOME);
    assertThat(page()).contains("Sample, 4 inch: put it right");

    change(EventKind.LENS_KNOWN, "2INCH");
    assertThat(standing().holds()).as("a lens on file puts nothing in doubt").isTrue();
    assertThat(rail()).startsWith("Sample, 2 inch").endsWith("1 on file");
  }

  @Test
  void practiceNeedsNoLens() {
    open();
    for (String button : List.of("#practise", "#read-all")) {
      onInterface(() -> {
        ((Button) node(button)).fire();
        return null;
      });
      settle();
    }
    assertThat(page()).contains("Lean the head back by").doesNotContain("Say which lens");
    keys(KeyCode.CONTROL, KeyCode.ENTER);
    onInterface(() -> {
      ((Button) node("#read-all")).fire();
      return null;
    });
    settle();
    assertThat(page()).contains("Leave the head");
  }
}
