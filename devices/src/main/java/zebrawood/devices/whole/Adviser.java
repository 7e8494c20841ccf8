package zebrawood.devices.whole;

import java.util.Locale;
import java.util.Optional;
import zebrawood.measure.Estimate;
import zebrawood.words.Message;

/**
 * What to do next, of what was seen alone: guards first, then what counts in the order in which one
 * thing rests on another; read, put right, read again, and hand over when all of it was proven.
 */
public final class Adviser {
  private static final double SURE = 2;

  /**
   * A step.
   *
   * @param amount of a deed that has one, else 0
   */
  public record Step(Deed deed, double amount, Message why) {}

  private Adviser() {}

  public static Step next(CaseRun run) {
    return tube(run)
        .or(() -> guard(run))
        .or(() -> trait(run))
        .orElseGet(() -> step(Deed.HAND_OVER, 0));
  }

  /** A tube is replaced with the mains off and its supply discharged. */
  private static Optional<Step> tube(CaseRun run) {
    if (run.known(Trait.TUBE_WEAK).filter(e -> !isFine(Trait.TUBE_WEAK, e)).isEmpty()) {
      return Optional.empty();
    }
    Deed last = run.lines().isEmpty() ? Deed.ASK : run.lines().getLast().deed();
    return switch (last) {
      case POWER_OFF -> Optional.of(step(Deed.WAIT_DISCHARGED, 0));
      case WAIT_DISCHARGED -> Optional.of(step(Deed.REPLACE_TUBE, 0));
      default -> Optional.empty();
    };
  }

  private static Step step(Deed deed, double amount) {
    Trait trait = deed.changes().orElse(Trait.FOCUS);
    return new Step(
        deed,
        amount,
        deed.hasAmount()
            ? Message.of("whole.do-by", Message.of(deed), CaseRun.amount(trait, amount))
            : Message.of(deed));
  }

  private static Optional<Step> guard(CaseRun run) {
    WholeKind kind = run.start().kind();
    for (Guard guard : Guard.values()) {
      if (!guard.isOf(kind)) {
        continue;
      }
      Optional<Boolean> so = run.known(guard);
      if (so.isEmpty()) {
        return Optional.of(step(Deed.LOOK_AT_GUARDS, 0));
      }
      if (!so.get()) {
        return Optional.of(step(Deed.guarding(guard), 0));
      }
    }
    return Optional.empty();
  }

  private static Optional<Step> trait(CaseRun run) {
    for (Trait trait : Trait.values()) {
      if (!run.start().counts().contains(trait)) {
        continue;
      }
      Optional<Estimate> known = run.known(trait);
      if (known.isEmpty()) {
        return Optional.of(step(Deed.reading(trait), 0));
      }
      if (!isFine(trait, known.get())) {
        return Optional.of(mend(run, trait, known.get().value()));
      }
    }
    return Optional.empty();
  }

  private static boolean isFine(Trait trait, Estimate known) {
    return Math.abs(known.value()) + SURE * known.uncertainty() <= trait.limit();
  }

  private static Step mend(CaseRun run, Trait trait, double off) {
    if (run.start().asLeft() && CaseRun.isSetting(trait) && !run.restored()) {
      return step(Deed.RESTORE_SETTINGS, 0);
    }
    if (trait == Trait.TUBE_WEAK) {
      return step(Deed.POWER_OFF, 0);
    }
    Deed deed = Deed.mending(trait);
    double amount = Math.clamp(-off, -trait.most(), trait.most());
    return step(deed, deed.hasAmount() ? Double.parseDouble(rounded(amount)) : 0);
  }

  private static String rounded(double amount) {
    return String.format(Locale.ROOT, "%.2f", amount);
  }
}
