package zebrawood.desktop.shell;

import javafx.scene.layout.Region;

/** What stands in the middle of the window and is no station's sheet. */
interface ShellPage {
  Region view();

  /** The record grew. */
  void refresh();

  /** Puts the cursor where one begins. */
  void focusFirst();
}
