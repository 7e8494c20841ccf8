package zebrawood.desktop.sheet;

import javafx.scene.layout.Region;
import zebrawood.ledger.Entry;

/** A station's sheet as the shell shows it. */
public interface StationSheet {
  Region view();

  /** Puts the focus where the next thing is to be typed. */
  void focusFirst();

  /** Does what the big button does. */
  void primary();

  /** The machine's record or the display unit changed. */
  void refresh();

  /** An entry of this station was withdrawn: what was typed for it can be had back. */
  void undone(Entry entry);

  /** Lets go of everything that outlives the sheet. */
  void dispose();
}
