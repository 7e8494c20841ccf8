package zebrawood.desktop.cooling;

/** Whether the room's humidity can be read. */
public enum Hygrometer {
  AT_HAND,
  NONE
}
