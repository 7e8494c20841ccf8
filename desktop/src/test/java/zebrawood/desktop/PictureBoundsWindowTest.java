package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.StationModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.records.kept.KeptReadings;

/**
 * The words of every picture as the window really lays them out, over the demo's readings, the
 * largest and smallest that are accepted and long names; what is read, the largest and the longest
 * in three window sizes, and what is read in both themes.
 */
class PictureBoundsWindowTest extends WindowTest {
  private static final double[][] SIZES = {{1024, 640}, {1280, 800}, {1920, 1080}};
  private static final String LONG = "the screw behind the left rear leg of the honeycomb's table";

  /** Bounds of a text have room above and below the letters. */
  private static final double SLACK = 3;

  private final List<String> wrong = new ArrayList<>();
  private int pictures;
  private int words;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private record Placed(String words, Bounds at) {}

  private static void collect(Node node, List<Placed> into) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof Text text) {
      if (!text.getText().isBlank()) {
        into.add(new Placed(text.getText(), text.localToScene(letters(text))));
      }
    } else if (node instanceof Labeled button) {
      into.add(new Placed(button.getText(), button.localToScene(button.getLayoutBounds())));
    } else if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(n -> collect(n, into));
    }
  }

  /** What is wrapped is as wide as it may be, whatever stands in its middle. */
  private static Bounds letters(Text text) {
    Bounds all = text.getLayoutBounds();
    Text unwrapped = new Text(text.getText());
    unwrapped.setFont(text.getFont());
    double wide = Math.min(all.getWidth(), unwrapped.getLayoutBounds().getWidth());
    return new BoundingBox(all.getCenterX() - wide / 2, all.getMinY(), wide, all.getHeight());
  }

  private static boolean meet(Bounds a, Bounds b) {
    return a.getMinX() + SLACK < b.getMaxX()
        && b.getMinX() + SLACK < a.getMaxX()
        && a.getMinY() + SLACK < b.getMaxY()
        && b.getMinY() + SLACK < a.getMaxY();
  }

  /** At the middle size. */
  private void look(Station station, String where) {
    look(station, where, List.of(SIZES[1]), false);
  }

  /** Dressing a window anew takes longer than all else: in the dark it is looked at once. */
  private void look(Station station, String where, List<double[]> sizes, boolean inTheDarkToo) {
    Parent root = app.scene().getRoot();
    for (double[] size : sizes) {
      for (boolean dark :
          size == SIZES[1] && inTheDarkToo ? new boolean[] {false, true} : new boolean[] {false}) {
        app.model().darkProperty().set(dark);
        root.resize(size[0], size[1]);
        root.applyCss();
        root.layout();
        root.resize(size[0], size[1]);
        root.layout();
        Node picture = node("#" + station.id() + "-picture");
        Bounds frame = picture.localToScene(picture.getLayoutBounds());
        List<Placed> all = new ArrayList<>();
        ((Parent) picture).getChildrenUnmodifiable().forEach(n -> collect(n, all));
        String of = where + ", " + size[0] + " x " + size[1] + (dark ? ", dark: " : ": ");
        pictures++;
        words += all.size();
        for (int i = 0; i < all.size(); i++) {
          Placed one = all.get(i);
          if (one.at.getMinX() < frame.getMinX() - SLACK
              || one.at.getMaxX() > frame.getMaxX() + SLACK
              || one.at.getMinY() < frame.getMinY() - SLACK
              || one.at.getMaxY() > frame.getMaxY() + SLACK) {
            wrong.add(of + one.words + " leaves the picture");
          }
          for (Placed other : all.subList(i + 1, all.size())) {
            if (meet(one.at, other.at)) {
              wrong.add(of + one.words + " lies on " + other.words);
            }
          }
        }
      }
    }
  }

  /** Readings only: places and limits stay, so that there is something to draw. */
  private static void extreme(StationForm form, java.util.function.IntToDoubleFunction share) {
    form.allAtOnce(() -> {
      int at = 0;
      for (var field : form.fields().toList()) {
        if (field instanceof QuantityField q && !q.isEmpty() && q.name().startsWith("reading.")) {
          q.set(q.least() + share.applyAsDouble(at) * (q.most() - q.least()));
          at++;
        }
      }
    });
  }

  private static void name(StationForm form) {
    form.allAtOnce(() ->
        form.fields()
            .toList()
            .forEach(f -> {
              if (f instanceof WordsField w && w.name().startsWith("support.")) {
                w.set(LONG.substring(0, 56) + w.name().replaceAll("\\D", ""));
              }
            }));
  }

  @Test
  void noWordsLieOnOneAnotherOrLeaveAPicture() {
    Set<String> alike = new HashSet<>();
    for (Machine machine : onInterface(() -> app.model().machinesProperty().get())) {
      onInterface(() -> {
        app.model().choose(machine);
        return null;
      });
      until("it is open", () -> app.model().opened().machine().equals(machine));
      for (Station station :
          onInterface(() -> List.copyOf(app.model().opened().standings().keySet()))) {
        boolean read =
            onInterface(() -> !app.model().opened().ledger().entriesAt(station).isEmpty());
        boolean first =
            alike.add(station.id() + machine.build() + machine.source() + machine.bedSupport());
        if (!read && !first) {
          continue;
        }
        onInterface(() -> {
          app.shell().show(station.id());
          return null;
        });
        settle();
        onInterface(() -> {
          StationModel<?, ?> work = app.shell().shownSheet().orElseThrow().model();
          String where = machine.name() + ", " + station.id();
          look(station, where);
          List<Entry> entries = app.model().opened().ledger().entriesAt(station);
          Map<String, String> typed =
              entries.isEmpty() ? Map.of() : KeptReadings.typed(entries.getLast()).orElse(Map.of());
          work.form().type(typed);
          look(station, where + " as read", List.of(SIZES), true);
          extreme(work.form(), i -> 1);
          look(station, where + " largest", List.of(SIZES), false);
          extreme(work.form(), i -> 0);
          look(station, where + " smallest");
          extreme(work.form(), i -> i % 2);
          look(station, where + " by turns");
          extreme(work.form(), i -> 0.2 + 0.6 * ((i * 7919) % 13) / 13);
          look(station, where + " wild");
          work.form().type(new TreeMap<>(typed));
          name(work.form());
          look(station, where + " long names", List.of(SIZES), false);
          return null;
        });
      }
    }
    assertThat(pictures).isGreaterThan(400);
    assertThat(words).isGreaterThan(1500);
    assertThat(wrong).isEmpty();
  }
}
