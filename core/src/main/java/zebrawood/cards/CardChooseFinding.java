package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.PlainValue;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * The settings that give a wanted darkness.
 *
 * @param settings slow to fast; empty where no square of the card says so
 * @param steadiest the one that changes least where power and speed are a little off
 */
public record CardChooseFinding(
    List<Setting> settings,
    MaybeSetting fastest,
    MaybeSetting steadiest,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public CardChooseFinding {
    settings = List.copyOf(settings);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }

  /** One setting, and how dark it comes out. */
  public record Setting(double speedMmS, double percent, Estimate darkness) {}

  /** A setting, which stands in an answer as null where there is none. */
  public record MaybeSetting(Optional<Setting> setting) implements PlainValue {
    @Override
    public Object plainValue() {
      return setting.orElse(null);
    }
  }
}
