package zebrawood.mirrors;

import zebrawood.words.Message;

/** The share of the beam that is lost at an opening or at a mirror's rim. */
public record Lost(Message where, double share) {
  /** Whether so much falls beside that a rim is burnt. */
  public boolean scorches() {
    return share > Rims.SCORCHES;
  }
}
