package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.stage.Window;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.workshop.Size;

/** At every size and scale that is offered, what must be pressed and seen is in the window. */
class SmallWindowsTest extends WindowTest {
  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private void resize(double width, double height, Size size) {
    onInterface(() -> {
      Window window = app.scene().getWindow();
      window.setWidth(width);
      window.setHeight(height);
      app.model().sizeProperty().set(size);
      return null;
    });
    for (int i = 0; i < 4; i++) {
      onInterface(() -> {
        app.scene().getRoot().applyCss();
        app.scene().getRoot().layout();
        return null;
      });
    }
  }

  private List<String> outside(String where, String... selectors) {
    return onInterface(() -> {
      List<String> outside = new ArrayList<>();
      for (String selector : selectors) {
        Node node = node(selector);
        if (node.isVisible() && node.isManaged()) {
          Bounds at = node.localToScene(node.getLayoutBounds());
          boolean in =
              at.getMinX() >= -0.5
                  && at.getMinY() >= -0.5
                  && at.getMaxX() <= app.scene().getWidth() + 0.5
                  && at.getMaxY() <= app.scene().getHeight() + 0.5;
          if (!in) {
            outside.add(
                "%s: %s ends at %.0f, %.0f of %.0f, %.0f"
                    .formatted(
                        where,
                        selector,
                        at.getMaxX(),
                        at.getMaxY(),
                        app.scene().getWidth(),
                        app.scene().getHeight()));
          }
        }
      }
      return outside;
    });
  }

  @ParameterizedTest
  @CsvSource({"1024, 640, P150", "1280, 800, P200"})
  void whatIsPressedIsInTheWindow(double width, double height, Size size) {
    List<String> outside = new ArrayList<>();
    for (String machine : List.of("Alder", "Flint")) {
      open(machine, "");
      resize(width, height, size);
      outside.addAll(
          outside(machine, "#find", "#status-unit", "#status-initials", "#status-theme"));
      outside.addAll(outside(machine, "#today-handover", "#machines"));
      List<String> stations =
          onInterface(() ->
              StationList.stations().stream()
                  .filter(s -> app.model().opened().standings().containsKey(s))
                  .map(s -> s.id())
                  .toList());
      for (String station : stations) {
        openStation(station);
        resize(width, height, size);
        settle();
        outside.addAll(
            outside(
                machine + " " + station, "#primary", "#notebook-open", "#find", "#status-unit"));
      }
    }
    assertThat(outside).isEmpty();
  }

  /** Below 1100 px the marks stand alone; what they are is said on hover and to a screen reader. */
  @org.junit.jupiter.api.Test
  void aMarkAloneStillHasWords() {
    open("Alder", "bed");
    resize(1024, 640, Size.P100);
    List<Button> rows =
        onInterface(() ->
            app.scene().getRoot().lookupAll(".rail-row").stream().map(Button.class::cast).toList());
    assertThat(rows).hasSizeGreaterThan(5);
    onInterface(() -> {
      for (Button row : rows) {
        assertThat(row.getTooltip().getText()).as(row.getId()).contains(": ");
        assertThat(row.getAccessibleText()).isNotBlank();
        Bounds at = row.localToScene(row.getLayoutBounds());
        assertThat(at.getWidth()).as("it can be hovered").isGreaterThan(20);
      }
      return null;
    });
  }
}
