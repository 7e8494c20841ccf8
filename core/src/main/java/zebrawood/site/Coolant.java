package zebrawood.site;

/** What is in the loop: the schools, each with what it costs. */
public enum Coolant {
  DISTILLED(
      "distilled water only",
      "Conducts least; grows algae in light and warmth: change it every few months, or when it reads above 20 µS/cm."),
  SURFACTANT(
      "distilled, a drop of surfactant",
      "Bubbles leave the tube sooner; too much foams, and each drop makes it conduct more: read the conductivity."),
  ALGAECIDE(
      "distilled, a drop of algaecide",
      "Stays clear for a year; salts in it conduct and can creep along the high voltage: only a kind without copper or chlorine."),
  ANTIFREEZE(
      "distilled and glycol",
      "Does not burst in the frost; carries less heat, conducts more, and hoses age sooner: mix no more than the coldest night asks for.");

  private final String words;
  private final String costs;

  Coolant(String words, String costs) {
    this.words = words;
    this.costs = costs;
  }

  public String words() {
    return words;
  }

  public String costs() {
    return costs;
  }
}
