package zebrawood.bed;

/** How a bed goes where its screws put it. */
public enum Frame {
  /** The screws carry a rigid plate. */
  STIFF,
  /** Each corner goes where its own screw puts it. */
  FOLLOWS,
  /** Nobody tried: it counts as stiff, but no twist is told to be beyond cure. */
  NOT_KNOWN
}
