package zebrawood.desktop.mirrors;

/** The full set of marks, or only a look whether they still hold. */
public enum MirrorsWay {
  FULL,
  QUICK
}
