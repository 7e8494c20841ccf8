package zebrawood.desktop.shell;

import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Shows its content larger or smaller; the content is laid out in what room that leaves it. */
public final class Magnified extends Region {
  private final Region content;
  private final Scale scale = new Scale(1, 1, 0, 0);

  public Magnified(Region content) {
    this.content = content;
    content.getTransforms().add(scale);
    getChildren().add(content);
  }

  public void show(int percent) {
    scale.setX(percent / 100.0);
    scale.setY(percent / 100.0);
    requestLayout();
  }

  @Override
  protected void layoutChildren() {
    content.resizeRelocate(0, 0, getWidth() / scale.getX(), getHeight() / scale.getY());
  }
}
