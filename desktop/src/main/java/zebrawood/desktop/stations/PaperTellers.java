package zebrawood.desktop.stations;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.sheet.EntryRecorder;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.handover.Teller;
import zebrawood.records.picture.SvgCanvas;

/** What the stations tell for paper: the sheet's own picture, proofs and settings of an entry. */
public final class PaperTellers {
  private static final double WIDTH = 620;
  private static final double HEIGHT = 400;

  private PaperTellers() {}

  /** By station id. */
  public static Map<String, Teller> of(Ledger ledger, DisplayUnits units) {
    Map<String, Teller> tellers = new HashMap<>();
    for (StationDefinition definition : StationList.ALL) {
      if (definition.station().applies().test(ledger.machine())) {
        tellers.put(definition.station().id(), teller(definition, ledger, units));
      }
    }
    return tellers;
  }

  private static Teller teller(StationDefinition definition, Ledger ledger, DisplayUnits units) {
    return new Teller() {
      @Override
      public String caution() {
        String always = definition.station().id() + ".caution";
        String now = Text.of(definition.work().apply(ledger, units).caution());
        return now.isEmpty() && Text.words().has(always) ? Text.of(always) : now;
      }

      @Override
      public Told of(Entry entry) {
        Optional<Map<String, String>> typed = EntryRecorder.typedOf(entry);
        if (typed.isEmpty()) {
          return Told.NOTHING;
        }
        StationWork<?, ?> work = definition.work().apply(ledger, units);
        work.form().type(typed.get());
        return new Told(picture(work), proven(work), work.settingsLeft());
      }
    };
  }

  private static String picture(StationWork<?, ?> work) {
    if (!work.hasPaperPicture()) {
      return "";
    }
    SvgCanvas on = new SvgCanvas(WIDTH, HEIGHT);
    work.draw(on);
    return on.svg();
  }

  private static List<Teller.Proven> proven(StationWork<?, ?> work) {
    return work.form()
        .proofs()
        .filter(p -> !p.isEmpty())
        .map(p -> new Teller.Proven(Text.of(p.label()), p.get() == ProofField.Answer.YES))
        .toList();
  }
}
