package zebrawood.machine;

/** What the bed, or a fixed head, is levelled with. */
public enum BedSupport {
  SCREWS,
  SHIMS
}
