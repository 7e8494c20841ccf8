package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import zebrawood.machine.Machine;

/** Whatever can have the focus has a name for those who do not see it, in every view. */
class NamesWindowTest extends WindowTest {
  private final Set<String> nameless = new LinkedHashSet<>();
  private int named;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private static Stream<Node> all(Node node) {
    if (!node.isVisible()) {
      return Stream.empty();
    }
    Stream<Node> below =
        // What stands inside of a control is its own.
        node instanceof Parent parent && (!(node instanceof Control) || holdsOthers(node))
            ? parent.getChildrenUnmodifiable().stream().flatMap(NamesWindowTest::all)
            : Stream.empty();
    return Stream.concat(Stream.of(node), below);
  }

  private static boolean holdsOthers(Node node) {
    return node instanceof ScrollPane || node instanceof javafx.scene.control.TitledPane;
  }

  private void look(String where) {
    settle();
    unfold();
    onInterface(() -> {
      Set<Node> labelled =
          new LinkedHashSet<>(
              all(app.scene().getRoot())
                  .filter(Label.class::isInstance)
                  .map(n -> ((Label) n).getLabelFor())
                  .filter(n -> n != null)
                  .toList());
      all(app.scene().getRoot())
          .filter(n -> n.isFocusTraversable() && !n.isDisabled())
          .forEach(n -> {
            boolean spoken =
                n.getAccessibleText() != null && !n.getAccessibleText().isBlank()
                    || n instanceof Labeled l && l.getText() != null && !l.getText().isBlank()
                    || labelled.contains(n);
            named++;
            if (!spoken) {
              nameless.add(where + ": " + n.getClass().getSimpleName() + " " + n.getId());
            }
          });
      return null;
    });
  }

  @Test
  void everyPlaceHasAName() {
    for (Machine machine : onInterface(() -> app.model().machinesProperty().get())) {
      onInterface(() -> {
        app.model().choose(machine);
        return null;
      });
      until("it is open", () -> app.model().opened().machine().equals(machine));
      look(machine.name());
      for (var station : onInterface(() -> app.model().opened().standings().sequencedKeySet())) {
        onInterface(() -> {
          app.shell().show(station.id());
          return null;
        });
        look(machine.name() + ", " + station.id());
      }
    }
    keys(KeyCode.CONTROL, KeyCode.DIGIT0);
    until("all machines are shown", () -> app.scene().lookup("#workshop-rows") != null);
    look("all machines");
    keys(KeyCode.F1);
    look("what F1 tells");
    keys(KeyCode.ESCAPE);
    for (KeyCode card : new KeyCode[] {KeyCode.K, KeyCode.E, KeyCode.N, KeyCode.P}) {
      keys(KeyCode.CONTROL, card);
      look("the card of Ctrl " + card);
      keys(KeyCode.ESCAPE);
    }
    assertThat(named).isGreaterThan(500);
    assertThat(nameless).isEmpty();
  }
}
