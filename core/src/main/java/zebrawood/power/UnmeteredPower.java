package zebrawood.power;

import java.util.ArrayList;
import java.util.List;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.power.PowerTask.ByCard;
import zebrawood.power.PowerTask.ByWords;
import zebrawood.power.PowerTask.Card;
import zebrawood.power.PowerTask.Item;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Proven;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * The power of a source without a meter: by the words of its controller, by the percentage of its
 * driver, and by cards that are held against one another. A card tells more or less than before,
 * and never how much.
 */
public final class UnmeteredPower {
  /** Two words of a power scale are the same within this. */
  private static final double SAME_WORD = 0.001;

  private UnmeteredPower() {}

  /** A tube that nobody can wire a meter into. */
  static PartFinding ofCard(ByCard task) {
    return card(task.card()).warning(Message.of("power.card.relative"));
  }

  private static PartFinding card(Card card) {
    return switch (card) {
      case NOT_BURNT ->
          PartFinding.again(Advice.read("power.card.burn").because("power.card.burn.why"));
      case KEPT ->
          PartFinding.within(Advice.leave("power.card.keep").because("power.card.keep.why"));
      case ALIKE -> PartFinding.within(Advice.leave("power.leave").because("power.card.alike.why"));
      case LIGHTER ->
          PartFinding.adjust(Advice.act("power.card.clean").because("power.card.lighter.why"));
      case DARKER ->
          PartFinding.adjust(Advice.act("power.card.less").because("power.card.darker.why"));
    };
  }

  static PartFinding ofWords(ByWords task) {
    List<PartFinding> parts = new ArrayList<>();
    parts.add(PartFinding.within());
    if (task.behindDriver().isPresent()) {
      parts.add(card(task.behindDriver().get()));
    } else if (task.jobTop().isEmpty() || task.controllerTop().isEmpty()) {
      parts.add(PartFinding.again(Advice.read("power.words.read").because("power.words.why")));
    } else {
      words(task.jobTop().getAsDouble(), task.controllerTop().getAsDouble(), parts);
    }
    if (task.firingPercent().isEmpty()) {
      parts.add(PartFinding.again(Advice.read("power.firing").because("power.firing.why")));
    }
    parts.addAll(Proven.of(List.of(Item.values()), task.proofs()).parts(Verdict.ADJUST));
    if (task.pulsed()) {
      parts.add(pulse(task));
    }
    return new PartFinding(
        PartFinding.worst(parts),
        parts.stream().allMatch(p -> p.verdict() == Verdict.WITHIN)
            ? List.of(Advice.leave("power.words.leave"))
            : PartFinding.toDo(parts),
        parts.stream().flatMap(p -> p.warnings().stream()).toList());
  }

  private static void words(double job, double controller, List<PartFinding> parts) {
    if (sameWord(job / controller)) {
      return;
    }
    // Saved percentages were made for the words as they are.
    parts.add(
        PartFinding.adjust(
            Advice.act("power.words.list", Amount.of(job / controller, Quantity.NUMBER, 3))
                .because(
                    job < controller ? "power.words.list.harder" : "power.words.list.weaker")));
    parts.add(
        PartFinding.adjust(
            Advice.act("power.words.same", Message.number(controller))
                .because(
                    job < controller ? "power.words.part" : "power.words.full",
                    Amount.of(
                        100 * Math.min(job, controller) / Math.max(job, controller),
                        Quantity.PERCENT,
                        0))));
  }

  /**
   * Whether two power words are the same, as far as a job shows.
   *
   * @param share one over the other
   */
  public static boolean sameWord(double share) {
    return Math.abs(share - 1) <= SAME_WORD;
  }

  private static PartFinding pulse(ByWords task) {
    if (task.pulse().lengthNs().isEmpty() || task.pulse().rateKhz().isEmpty()) {
      return PartFinding.again(Advice.read("power.pulse").because("power.pulse.why"));
    }
    double rate = task.pulse().rateKhz().getAsDouble();
    if (task.range().isEmpty()) {
      return PartFinding.within().warning(Message.of("power.pulse.range-unknown"));
    }
    boolean in = rate >= task.range().get().leastKhz() && rate <= task.range().get().mostKhz();
    return in
        ? PartFinding.within()
        : PartFinding.adjust(
            Advice.act("power.pulse.into", task.range().get().said())
                .because("power.pulse.into.why", Amount.plain(rate, Quantity.PULSE_RATE)));
  }
}
