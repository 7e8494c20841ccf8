package zebrawood.machine;

import java.util.Locale;

/** What goes up and down to set the gap between the head and the work. */
public enum Moves {
  TABLE,
  HEAD,
  /** The laser module in its clamp on the head. */
  MODULE,
  /** A head on a column. */
  COLUMN,
  /** Nothing: the work is packed up. */
  NOTHING;

  /** The key of what is done with it, of which there are four: smaller, larger, room, nearer. */
  public String key(String what) {
    return "machine.moves." + name().toLowerCase(Locale.ROOT) + "." + what;
  }
}
