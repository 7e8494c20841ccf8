package zebrawood.desktop.sheet;

import javafx.scene.layout.Region;

/** A picture that is drawn anew when what it shows or its size changes, with its nodes kept. */
public abstract class LivePicture extends Region {
  protected static final double LEAST_WIDTH = 190;
  protected static final double LEAST_HEIGHT = 220;

  private final Drawing drawing = new Drawing();

  @SuppressWarnings("this-escape") // a size comes only once it stands in a scene
  protected LivePicture() {
    getStyleClass().add("plan");
    setMinSize(LEAST_WIDTH, LEAST_HEIGHT);
    widthProperty().subscribe((before, now) -> draw());
    heightProperty().subscribe((before, now) -> draw());
  }

  /** Draws what is to be seen now, within the width and height. */
  protected abstract void draw(Drawing on);

  /** Draws again; nothing while there is no room yet. */
  protected final void draw() {
    if (getWidth() >= LEAST_WIDTH && getHeight() >= LEAST_HEIGHT) {
      drawing.begin();
      draw(drawing);
      drawing.end(getChildren());
    }
  }
}
