package zebrawood.desktop.sheet;

import javafx.scene.Node;
import zebrawood.desktop.station.Part;

/** What only one station has, as a node: models name it, and know nothing of nodes. */
@FunctionalInterface
public interface NodeView extends Part.View {
  Node make(FormPane pane);
}
