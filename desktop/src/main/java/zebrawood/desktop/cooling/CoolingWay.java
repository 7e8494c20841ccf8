package zebrawood.desktop.cooling;

/** How the machine is cooled. */
public enum CoolingWay {
  CHILLER,
  BUCKET;

  String key() {
    return "cooling.way." + name().toLowerCase(java.util.Locale.ROOT);
  }
}
