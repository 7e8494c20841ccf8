package zebrawood.desktop.sheet;

import javafx.beans.property.ReadOnlyIntegerProperty;

/** A practice on a stand-in, as its sheet sees it. */
public interface Practice {
  /** Where it stands, in words; empty when there is none. */
  String words();

  /** Rounds of mending so far; -1 when there is no practice. */
  ReadOnlyIntegerProperty roundsProperty();

  void end();
}
