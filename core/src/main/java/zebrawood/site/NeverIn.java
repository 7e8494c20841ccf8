package zebrawood.site;

/** What must never go into a laser machine, and why. */
public enum NeverIn {
  CHLORINATED(
      "PVC, vinyl, artificial leather, anything with chlorine",
      "gives hydrogen chloride, which burns lungs and eats rails, optics and electronics"),
  FLUORINATED("PTFE and other fluoroplastics", "give hydrogen fluoride and other poisons"),
  POLYCARBONATE("polycarbonate, thicker than a film", "chars, flames, and smells of phenol"),
  ABS_STYRENE(
      "ABS and polystyrene foam", "melt, burn with dripping flames, and give styrene and cyanide"),
  EPOXY_GLASS("printed boards, glass and carbon fibre in resin", "poisonous smoke and fibre dust"),
  CHROME_LEATHER("leather tanned with chromium", "leaves poisonous chromium in ash and smoke"),
  BERYLLIUM("beryllium and its alloys", "their dust is deadly in traces"),
  SEALED("sealed vessels, batteries, pressurised cans", "burst"),
  OILED("galvanised, painted or oily surfaces of unknown coating", "smoke of zinc or of the paint"),
  UNKNOWN("anything that nobody can name", "ask for its safety data sheet first");

  private final String what;
  private final String why;

  NeverIn(String what, String why) {
    this.what = what;
    this.why = why;
  }

  public String what() {
    return what;
  }

  public String why() {
    return why;
  }
}
