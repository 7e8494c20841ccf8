package zebrawood.upkeep;

/** How something was found when its turn came. */
public enum Found {
  CLEAN,
  FAIR,
  DIRTY
}
