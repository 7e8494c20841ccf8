package zebrawood.cards;

/** What a stock is made of, as far as it decides whether and how it is burnt. */
public enum StockKind {
  NOT_SAID(Hazard.UNKNOWN),
  WOOD(Hazard.FLAMES),
  PAPER_OR_CARD(Hazard.FLAMES),
  LEATHER(Hazard.FUMES),
  CLOTH(Hazard.FLAMES),
  ACRYLIC(Hazard.FLAMES),
  LAMINATE(Hazard.FUMES),
  RUBBER(Hazard.FUMES),
  CORK(Hazard.FLAMES),
  GLASS(Hazard.NONE),
  STONE(Hazard.NONE),
  ANODISED_METAL(Hazard.NONE),
  BARE_METAL(Hazard.METAL),
  COATED_METAL(Hazard.FUMES),
  POLYCARBONATE(Hazard.BURNS_BADLY),
  ABS(Hazard.CYANIDE),
  FLUORINATED_PLASTIC(Hazard.FLUORINE),
  CHLORINATED_PLASTIC(Hazard.CHLORINE),
  UNKNOWN_PLASTIC(Hazard.UNKNOWN_PLASTIC);

  /** What burning it can do. */
  public enum Hazard {
    NONE(false),
    FLAMES(false),
    FUMES(false),
    METAL(false),
    BURNS_BADLY(false),
    UNKNOWN(false),
    CYANIDE(true),
    FLUORINE(true),
    CHLORINE(true),
    UNKNOWN_PLASTIC(true);

    private final boolean never;

    Hazard(boolean never) {
      this.never = never;
    }

    /** Whether it is not burnt at all. */
    public boolean never() {
      return never;
    }
  }

  private final Hazard hazard;

  StockKind(Hazard hazard) {
    this.hazard = hazard;
  }

  public Hazard hazard() {
    return hazard;
  }
}
