package zebrawood.desktop.cards;

/** How a visit to the cards is made. */
public enum CardsWay {
  SCAN,
  FIGURES,
  EYE,
  DEPTH,
  TRIAL;

  boolean pictured() {
    return this == SCAN;
  }
}
