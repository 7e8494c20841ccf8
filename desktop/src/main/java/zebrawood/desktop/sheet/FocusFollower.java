package zebrawood.desktop.sheet;

import java.util.function.Consumer;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Scene;

/** Tells which node has the focus while a view stands in a scene. */
public final class FocusFollower {
  private final Node view;
  private final ChangeListener<Node> onFocus;
  private final ChangeListener<Scene> onScene;

  public FocusFollower(Node view, Consumer<Node> use) {
    this.view = view;
    onFocus = (o, before, now) -> use.accept(now);
    onScene =
        (o, before, now) -> {
          if (before != null) {
            before.focusOwnerProperty().removeListener(onFocus);
          }
          if (now != null) {
            now.focusOwnerProperty().addListener(onFocus);
          }
        };
    view.sceneProperty().addListener(onScene);
  }

  /** Lets go of the scene. */
  public void dispose() {
    view.sceneProperty().removeListener(onScene);
    if (view.getScene() != null) {
      view.getScene().focusOwnerProperty().removeListener(onFocus);
    }
  }
}
