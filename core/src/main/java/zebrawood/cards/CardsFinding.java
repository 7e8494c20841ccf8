package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the cards came to.
 *
 * @param darkness of each square that was scanned
 * @param choice what gives the wanted darkness
 * @param drift how much power is left; where a control square was burnt, without the batch
 * @param batch how this batch of stock takes the beam: like so many times the power on the batch of
 *     the kept card; empty where no control square was burnt
 * @param fastest the setting to use, by card or by eye
 * @param steadiest the one that changes least
 */
public record CardsFinding(
    Optional<CardScanFinding> darkness,
    Optional<CardChooseFinding> choice,
    Optional<CardDriftFinding> drift,
    Optional<Estimate> batch,
    Optional<Chosen> fastest,
    Optional<Chosen> steadiest,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public CardsFinding {
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /**
   * A setting to use.
   *
   * @param all of it, on a card whose squares differ in more than power and speed
   */
  public record Chosen(double speedMmS, double percent, Optional<CardSetting> all) {
    public Chosen(double speedMmS, double percent) {
      this(speedMmS, percent, Optional.empty());
    }
  }

  /** The squares of a scan with what they were burnt with. */
  public static List<CardSample> samples(CardScanFinding scan, CardGrid grid) {
    return scan.squares().stream()
        .map(s -> {
          CardSetting its = grid.setting(s.column(), s.row());
          return new CardSample(
              its.speedMmS(),
              its.percent(),
              Math.clamp(s.darkness().value(), CardChooseReadings.LIGHTEST, 1));
        })
        .toList();
  }
}
