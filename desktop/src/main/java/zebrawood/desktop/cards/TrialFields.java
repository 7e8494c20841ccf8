package zebrawood.desktop.cards;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.cards.CardsTask;
import zebrawood.cards.Stock;
import zebrawood.cards.Trial;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** One burn, in seconds: what it was burnt with, and how it came out. */
final class TrialFields {
  private final WordsField what;
  private final ChoiceField<Trial.Result> result;
  private final ProofField ofBook;
  private final QuantityField speed;
  private final QuantityField power;
  private final QuantityField interval;
  private final QuantityField passes;
  private final QuantityField depth;
  private final ChoiceField<Stock.Residue> residue;
  private final WordsField photo;
  private final WordsField note;

  TrialFields(StationForm form) {
    what = form.plainWords("visit.trialWhat");
    result = form.choice("visit.trialResult", Trial.Result.class, Trial.Result.GOOD);
    ofBook = form.proof("ofBook", Message.of("cards.field.ofBook"));
    speed = form.positive("visit.trialSpeed", Quantity.SPEED, 50_000);
    power = form.positive("visit.trialPower", Quantity.PERCENT, 100);
    interval = form.positive("visit.trialInterval", Quantity.LINE_INTERVAL, 100);
    passes = form.quantity("visit.trialPasses", Quantity.NUMBER, 1, 1000);
    depth = form.quantity("visit.trialDepth", Quantity.LENGTH, 0, 1000);
    residue = form.choice("visit.trialResidue", Stock.Residue.class, Stock.Residue.NOT_LOOKED);
    photo = form.words("visit.trialPhoto");
    note = form.plainWords("visit.trialNote");
  }

  Ways.Ask[] asks() {
    return new Ways.Ask[] {
      Ways.needs(what, speed, power),
      Ways.shows(new Part.LabelledChoices(List.of(result)), Part.rows(ofBook)),
      Ways.takes(interval, passes, depth),
      Ways.shows(new Part.LabelledChoices(List.of(residue))),
      Ways.shows(new Part.FileName(photo, "cards-trial-photo"), Part.rows(note))
    };
  }

  private static Optional<String> words(WordsField field) {
    return field.isEmpty() ? Optional.empty() : Optional.of(field.text().strip());
  }

  Stream<Field> fields() {
    return Stream.of(what, speed, power, interval, passes, depth);
  }

  CardsTask.Tried read() {
    return new CardsTask.Tried(
        new Trial(
            what.text().strip(),
            result.get(),
            ofBook.so().orElse(false),
            speed.number(),
            power.number(),
            interval.value(),
            passes.value(),
            depth.value(),
            residue.get(),
            words(photo),
            words(note)));
  }
}
