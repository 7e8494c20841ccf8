package zebrawood.ledger;

import java.time.ZoneId;
import zebrawood.words.Dates;
import zebrawood.words.Phrasebook;

/** Figures of entries as they are shown, in the units on display. */
public final class FigureWords {
  private FigureWords() {}

  /** Its name: from the station's bundle, else what an earlier version kept with it. */
  public static String label(String stationId, Figure figure, Phrasebook words) {
    String key = stationId + ".figure." + figure.id();
    return words.has(key) ? words.say(key) : figure.label().orElse(figure.id());
  }

  /** A value of its kind without the unit: the figure's own, or its limit. */
  public static String number(Figure figure, double value, Phrasebook words) {
    return words.number(figure.amount(value));
  }

  public static String number(Figure figure, Phrasebook words) {
    return number(figure, figure.value(), words);
  }

  public static String unit(Figure figure, Phrasebook words) {
    return figure.quantity().map(words::unit).orElse(figure.unit());
  }

  public static String withUnit(Figure figure, Phrasebook words) {
    return (number(figure, words) + " " + unit(figure, words)).strip();
  }

  /** With the day it was read where that was on an earlier visit than its entry is of. */
  public static String dated(Figure figure, ZoneId zone, Phrasebook words) {
    return figure
        .keptFrom()
        .map(at ->
            words.say(
                "ledger.figure.kept-from", full(figure, words), words.say(Dates.day(at, zone))))
        .orElseGet(() -> full(figure, words));
  }

  /** With its uncertainty where it has one, without the unit. */
  public static String full(Figure figure, Phrasebook words) {
    return figure.uncertainty().isPresent()
        ? number(figure, words) + " ± " + number(figure, figure.uncertainty().getAsDouble(), words)
        : number(figure, words);
  }
}
