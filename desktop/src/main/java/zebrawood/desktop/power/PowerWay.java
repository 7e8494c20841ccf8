package zebrawood.desktop.power;

/** How the current of a tube is agreed on, or checked. */
public enum PowerWay {
  SHARE,
  RATED,
  FACTORY,
  NEEDLE,
  CARD,
  CHECK;

  /** Whether the dial is read at several settings. */
  boolean readsDial() {
    return this == SHARE || this == RATED;
  }
}
