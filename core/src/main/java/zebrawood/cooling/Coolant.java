package zebrawood.cooling;

/** What is in the loop: the schools, each with what it costs. */
public enum Coolant {
  DISTILLED,
  SURFACTANT,
  ALGAECIDE,
  ANTIFREEZE
}
