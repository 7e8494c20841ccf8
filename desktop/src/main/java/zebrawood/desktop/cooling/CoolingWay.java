package zebrawood.desktop.cooling;

/** How the machine is cooled. */
public enum CoolingWay {
  CHILLER,
  BUCKET
}
