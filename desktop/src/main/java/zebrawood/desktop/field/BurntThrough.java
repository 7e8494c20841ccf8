package zebrawood.desktop.field;

/** Which table was in the controller as a grid was burnt, as it is asked. */
public enum BurntThrough {
  NOT_SAID,
  NOTHING,
  RECORDED,
  FILE
}
