package zebrawood.devices.controller;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import zebrawood.controller.WireSyntax;
import zebrawood.words.Message;

/**
 * Homes, and drives to places one after the other, following each motion until it stands where it
 * was sent. Cancelling stops the machine: the motion is held and then cancelled. An alarm on any
 * leg is told; a wait that ran out is not "there".
 */
public final class Motion {
  /** A homed machine stands this close to where it was sent. */
  private static final double SAME_PLACE_MM = 0.5;

  private static final Duration LONGEST_MOTION = Duration.ofMinutes(3);

  private Motion() {}

  /** How it ended. */
  public sealed interface Outcome {
    /** It stands where it was sent. */
    record There() implements Outcome {}

    /** Somebody cancelled, and it stands. */
    record Stopped() implements Outcome {}

    /** It refused, stands in alarm, or elsewhere. */
    record NotThere(Message because) implements Outcome {}

    /** Nobody knows whether it stands. */
    record NobodyKnows(Message because) implements Outcome {}
  }

  /** A place in millimetres from where it counts. */
  public record Place(double xMm, double yMm) {}

  /** Homes, and nothing else. */
  public static Outcome home(ControllerLink link) {
    return guarded(
        link,
        talk -> {
          link.send(List.of(talk.sent(talk.home().orElseThrow(), Map.of())), LONGEST_MOTION);
          return follow(link);
        });
  }

  /**
   * Drives to each place, once it was homed.
   *
   * @param speedMmMin millimetres a minute
   */
  public static Outcome drive(ControllerLink link, List<Place> places, double speedMmMin) {
    return guarded(
        link,
        talk -> {
          for (Place place : places) {
            if (link.cancelled()) {
              return new Outcome.Stopped();
            }
            link.send(
                List.of(talk.sent(talk.jog().orElseThrow(), words(place, speedMmMin))), ANSWER);
            Outcome stands = follow(link);
            if (!(stands instanceof Outcome.There)) {
              return stands;
            }
            Status status = link.status();
            if (Math.hypot(status.xMm() - place.xMm, status.yMm() - place.yMm) > SAME_PLACE_MM) {
              return new Outcome.NotThere(Message.of("controller.motion.elsewhere"));
            }
          }
          return new Outcome.There();
        });
  }

  private static final Duration ANSWER = Duration.ofSeconds(5);

  private static Map<String, String> words(Place place, double speedMmMin) {
    return Map.of("x", three(place.xMm), "y", three(place.yMm), "speed", three(speedMmMin));
  }

  private static String three(double value) {
    return String.format(Locale.ROOT, "%.3f", value);
  }

  /** The lines that {@link #drive} would send. */
  public static List<String> lines(WireSyntax talk, List<Place> places, double speedMmMin) {
    return places.stream()
        .map(p -> talk.sent(talk.jog().orElseThrow(), words(p, speedMmMin)).strip())
        .toList();
  }

  @FunctionalInterface
  private interface Work {
    Outcome on(WireSyntax talk) throws LinkTrouble;
  }

  private static Outcome guarded(ControllerLink link, Work work) {
    WireSyntax talk = link.dialect().talk().orElseThrow();
    if (!talk.canMove()) {
      return new Outcome.NotThere(Message.of("controller.motion.not-known"));
    }
    try {
      return work.on(talk);
    } catch (LinkTrouble e) {
      return switch (e.kind()) {
        case REJECTED, ALARM, BUSY -> new Outcome.NotThere(e.said());
        case CANCELLED -> stopped(link);
        case LOST -> new Outcome.NobodyKnows(e.said());
        case SILENT, GARBLED ->
            stopped(link) instanceof Outcome.Stopped
                ? new Outcome.NotThere(e.said())
                : new Outcome.NobodyKnows(e.said());
      };
    }
  }

  private static Outcome stopped(ControllerLink link) {
    try {
      Status status = link.stopMotion();
      return status.alarm()
          ? new Outcome.NotThere(Message.of("controller.link.alarm"))
          : new Outcome.Stopped();
    } catch (LinkTrouble e) {
      return new Outcome.NobodyKnows(e.said());
    }
  }

  private static Outcome follow(ControllerLink link) throws LinkTrouble {
    return link.untilItStands(LONGEST_MOTION).alarm()
        ? new Outcome.NotThere(Message.of("controller.link.alarm"))
        : new Outcome.There();
  }
}
