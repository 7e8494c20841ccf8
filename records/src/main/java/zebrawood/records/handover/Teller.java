package zebrawood.records.handover;

import java.util.List;
import zebrawood.ledger.Entry;

/** What a station's own module tells for paper: of itself, and of one of its entries. */
public interface Teller {
  /** What can hurt someone there; empty where nothing can. */
  String caution();

  Told of(Entry entry);

  /**
   * What is told of an entry beside its figures.
   *
   * @param picture SVG of its readings, or empty
   * @param proven what was proven by hand and eye, in the order it stands on the sheet
   * @param settings what a device was left with
   */
  record Told(String picture, List<Proven> proven, List<Setting> settings) {
    public static final Told NOTHING = new Told("", List.of(), List.of());
  }

  /** One thing to prove, answered. */
  record Proven(String what, boolean so) {}

  /** A setting as it was left. */
  record Setting(String name, String value) {}
}
