package zebrawood.desktop.station;

import java.util.Optional;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Figure;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/**
 * One figure that matters, large.
 *
 * @param value empty where it is not known
 * @param verdict whether it is within, or what would tell it; empty where there is no limit
 * @param within empty where nothing is judged
 */
public record FigureTile(
    Message name,
    Optional<Amount> value,
    Optional<Amount> uncertainty,
    Message verdict,
    Optional<Boolean> within) {

  /** A figure that has no limit. */
  public static FigureTile of(Message name, Amount value) {
    return new FigureTile(
        name, Optional.of(value), Optional.empty(), Message.NONE, Optional.empty());
  }

  public FigureTile uncertain(Amount standardDeviation) {
    return new FigureTile(name, value, Optional.of(standardDeviation), verdict, within);
  }

  /** With words below it that judge nothing. */
  public FigureTile with(Message words) {
    return new FigureTile(name, value, uncertainty, words, Optional.empty());
  }

  /** Judged, with the words for it. */
  public FigureTile judged(boolean isWithin, Message words) {
    return new FigureTile(name, value, uncertainty, words, Optional.of(isWithin));
  }

  /** Against its largest value. */
  public FigureTile limited(Amount most) {
    boolean is = value.filter(v -> v.value() <= most.value()).isPresent();
    return judged(is, Message.of(is ? "tile.within" : "tile.limit", Message.bare(most)));
  }

  /** As it stands in the notebook. */
  static FigureTile of(String stationId, Figure figure) {
    FigureTile tile = of(name(stationId, figure), figure.amount());
    if (figure.uncertainty().isPresent()) {
      tile = tile.uncertain(figure.amount(figure.uncertainty().getAsDouble()));
    }
    return figure.limit().isPresent()
        ? tile.limited(figure.amount(figure.limit().getAsDouble()))
        : tile;
  }

  /** A figure that is not known yet, and what would tell it. */
  static FigureTile unknown(String stationId, Figure figure, Message wouldTell) {
    return unknown(name(stationId, figure), wouldTell);
  }

  /** A figure that is not known yet, and what would tell it. */
  public static FigureTile unknown(Message name, Message wouldTell) {
    return new FigureTile(name, Optional.empty(), Optional.empty(), wouldTell, Optional.empty());
  }

  /** Where its name has no room in a tile, the bundle has a short one. */
  private static Message name(String stationId, Figure figure) {
    if (figure.label().isPresent()) {
      return Message.quoted(figure.label().get());
    }
    String key = stationId + ".figure." + figure.id();
    return Message.of(Text.words().has(key + ".short") ? key + ".short" : key);
  }
}
