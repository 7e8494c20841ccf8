package zebrawood.records.handover;

import zebrawood.ledger.Entry;
import zebrawood.ledger.Station;
import zebrawood.records.kept.StationPaper;
import zebrawood.words.Message;

/** What paper shows of a machine's stations and entries beside their figures. */
public interface PaperContent {
  /** Where nothing is known but the figures. */
  PaperContent FIGURES_ONLY =
      new PaperContent() {
        @Override
        public Message caution(Station station) {
          return Message.NONE;
        }

        @Override
        public Printed of(Entry entry) {
          return Printed.NOTHING;
        }
      };

  /** What can hurt at a station, whatever was read there; empty where nothing can. */
  Message caution(Station station);

  /** What was kept with an entry when it was recorded. */
  Printed of(Entry entry);

  /**
   * What is printed of an entry.
   *
   * @param workedOutAnew whether it was not kept with the entry, but made of its readings by this
   *     version
   */
  record Printed(StationPaper paper, boolean workedOutAnew) {
    public static final Printed NOTHING = new Printed(StationPaper.NOTHING, false);
  }
}
