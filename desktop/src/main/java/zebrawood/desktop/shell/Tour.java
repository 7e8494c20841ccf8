package zebrawood.desktop.shell;

import java.util.function.Supplier;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.Duration;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/**
 * Five short steps through the real program on a stand-in, each with something to do; the next one
 * comes when it was done. It can be ended at any time.
 */
final class Tour extends HBox {
  private static final Duration LOOK = Duration.millis(250);

  /** What is to be done, in order. */
  private enum Step {
    OPEN_BED {
      @Override
      boolean done(Where now) {
        return now.station.equals(BED);
      }
    },
    PRACTISE {
      @Override
      boolean done(Where now) {
        return now.rounds >= 0;
      }
    },
    READ {
      @Override
      boolean done(Where now) {
        return now.rounds >= 0 && now.found || now.rounds > 0;
      }
    },
    OBEY {
      @Override
      boolean done(Where now) {
        return now.rounds > 0;
      }
    },
    FIND {
      @Override
      boolean done(Where now) {
        return now.finding;
      }
    };

    abstract boolean done(Where now);
  }

  /** The station that the tour is made on. */
  static final String BED = "bed";

  /**
   * Where the window stands.
   *
   * @param station on show, "" for the machine page
   * @param rounds of mending in its practice, -1 where none runs
   * @param found whether its readings came to something
   * @param finding whether find-or-do is open
   */
  record Where(String station, int rounds, boolean found, boolean finding) {}

  private final Supplier<Where> where;
  private final Label count = new Label();
  private final Label words = new Label();
  private final Timeline looking = new Timeline(new KeyFrame(LOOK, e -> look()));
  private int at;

  Tour(Supplier<Where> where) {
    this.where = where;
    getStyleClass().add("tour");
    setAlignment(Pos.CENTER_LEFT);
    count.getStyleClass().add("strip-title");
    count.setMinWidth(USE_PREF_SIZE);
    words.setId("tour-words");
    words.setWrapText(true);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    var end = Card.button("tour-end", Text.of("tour.end"), this::end);
    end.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(count, words, end);
    looking.setCycleCount(Animation.INDEFINITE);
    showIf(false);
  }

  void start() {
    at = 0;
    showIf(true);
    show();
    looking.play();
  }

  void end() {
    looking.stop();
    showIf(false);
  }

  private void showIf(boolean shown) {
    setVisible(shown);
    setManaged(shown);
  }

  private void look() {
    Step[] steps = Step.values();
    int before = at;
    while (at < steps.length && steps[at].done(where.get())) {
      at++;
    }
    if (at != before) {
      show();
    }
    if (at == steps.length) {
      looking.stop();
    }
  }

  private void show() {
    Step[] steps = Step.values();
    boolean over = at == steps.length;
    count.setText(over ? Text.of("tour.over") : Text.of("tour.count", at + 1, steps.length));
    words.setText(over ? Text.of("tour.over.words") : Text.of(Message.of(steps[at])));
  }
}
