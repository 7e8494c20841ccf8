package zebrawood.desktop.shell;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.desktop.help.HowTo;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.sheet.PictureRegion;
import zebrawood.desktop.sheet.SheetFrame;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.Text;

/** All that is written about one topic, with a drawing, and ways to what is near it. */
public final class HelpPage extends VBox {
  private static final double WORDS_WIDTH = 470;
  private static final double BODY_HEIGHT = 380;
  private static final double LEAST_BODY_HEIGHT = 120;
  private final Button close = new Button(Text.of("about.close"));

  /**
   * @param caution what can hurt there; empty where nothing can
   * @param near other topics that can be gone to
   */
  public HelpPage(
      Topic topic, String caution, List<Topic> near, Consumer<Topic> go, Runnable onClose) {
    setSpacing(12);
    setId("about");
    Label title = new Label(topic.name());
    title.getStyleClass().add("card-title");
    VBox words = new VBox(10);
    words.setPrefWidth(WORDS_WIDTH);
    add(words, "about.what", topic.what());
    add(words, "about.how", topic.how());
    add(words, "about.why", topic.why());
    add(words, "about.wrong", topic.wrong());
    if (!caution.isEmpty()) {
      words.getChildren().add(new WrappedLabel(caution, "caution"));
    }
    words.getChildren().add(new WrappedLabel(topic.source(), "soft"));
    PictureRegion drawing = new PictureRegion(topic.drawing()::draw, HowTo.WIDTH, HowTo.HEIGHT);
    drawing.setPrefSize(HowTo.WIDTH, HowTo.HEIGHT);
    drawing.setMaxHeight(HowTo.HEIGHT);
    drawing.setAccessibleText(topic.how());
    HBox body = new HBox(18, drawing, words);
    HBox.setHgrow(words, Priority.ALWAYS);
    ScrollPane scroll = SheetFrame.scrolling(body);
    scroll.setPrefViewportHeight(BODY_HEIGHT);
    scroll.setMinHeight(LEAST_BODY_HEIGHT);
    VBox.setVgrow(scroll, Priority.SOMETIMES);
    FlowPane others = new FlowPane(8, 6);
    others.setPrefWrapLength(HowTo.WIDTH + WORDS_WIDTH);
    near.stream()
        .filter(t -> !t.equals(topic))
        .forEach(t -> {
          Button other = new Button(t.name());
          other.setMinWidth(Region.USE_PREF_SIZE);
          other.setOnAction(e -> go.accept(t));
          others.getChildren().add(other);
        });
    close.setId("about-close");
    close.setMinWidth(Region.USE_PREF_SIZE);
    close.getStyleClass().add("primary");
    close.setDefaultButton(true);
    close.setOnAction(e -> onClose.run());
    HBox foot = new HBox(12, others, close);
    HBox.setHgrow(others, Priority.ALWAYS);
    foot.setAlignment(Pos.BOTTOM_RIGHT);
    getChildren().addAll(title, scroll, foot);
  }

  private static void add(VBox words, String headingKey, String text) {
    Label heading = new Label(Text.of(headingKey));
    heading.getStyleClass().add("column-title-words");
    words.getChildren().add(new VBox(1, heading, new WrappedLabel(text)));
  }

  /** Has the focus first. */
  public Button close() {
    return close;
  }
}
