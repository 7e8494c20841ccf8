package zebrawood.desktop.site;

/** What earths the machine. */
enum EarthBy {
  PIN,
  /** A double insulated adapter has no pin for it. */
  ADAPTER
}
