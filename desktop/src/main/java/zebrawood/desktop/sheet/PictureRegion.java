package zebrawood.desktop.sheet;

import java.util.function.Consumer;
import javafx.scene.layout.Region;
import zebrawood.records.picture.Canvas;

/** A picture that is drawn anew when what it shows or its size changes. */
public final class PictureRegion extends Region {
  public static final double LEAST_WIDTH = 190;
  public static final double LEAST_HEIGHT = 130;
  private final SceneCanvas canvas = new SceneCanvas(this, this::getChildren);
  private final Consumer<Canvas> picture;
  private final double leastHeight;

  public PictureRegion(Consumer<Canvas> picture) {
    this(picture, LEAST_WIDTH, LEAST_HEIGHT);
    getStyleClass().add("plan");
  }

  public PictureRegion(Consumer<Canvas> picture, double leastWidth, double leastHeight) {
    this.picture = picture;
    this.leastHeight = leastHeight;
    setMinSize(leastWidth, leastHeight);
    widthProperty().subscribe((before, now) -> draw());
    heightProperty().subscribe((before, now) -> draw());
  }

  /** Draws again; nothing while there is no room yet. */
  public void draw() {
    if (getWidth() >= getMinWidth() && getHeight() >= leastHeight) {
      canvas.begin();
      picture.accept(canvas);
      canvas.end();
    }
  }
}
