package zebrawood.fault;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.fault.FaultReadings.Scored;
import zebrawood.measure.Accepts;
import zebrawood.station.Proof;
import zebrawood.words.Message;

/**
 * A case, as far as it has come.
 *
 * @param priors what the record says of each cause that the machine can have
 * @param mended what was mended; empty while nothing was
 * @param burntAgain whether the same piece, burnt again, is good; empty while it was not burnt
 * @param asked what is looked at on this machine where it is dead, in order
 * @param looked at, where it is dead
 */
public record FaultVisitReadings(
    Seen seen,
    Optional<String> note,
    Optional<List<Scored>> places,
    List<Double> bedMm,
    Optional<BeamEnters> beamEnters,
    List<Answer> answers,
    List<Prior> priors,
    List<Fitted> fitted,
    Optional<Cause> mended,
    Optional<Boolean> burntAgain,
    List<DeadCheck> asked,
    List<Proof<DeadCheck>> looked) {
  public FaultVisitReadings {
    places = places.map(List::copyOf);
    bedMm = List.copyOf(bedMm);
    answers = List.copyOf(answers);
    priors = List.copyOf(priors);
    fitted = List.copyOf(fitted);
    asked = List.copyOf(asked);
    looked = List.copyOf(looked);
    var accepts = new Accepts();
    if (burntAgain.isPresent() && mended.isEmpty() && seen != Seen.DEAD) {
      accepts.complain(
          "burntAgain", Message.of("fault.accepts.said"), Message.of("fault.accepts.mended-first"));
    }
    Proof.eachOnce("looked", looked, accepts);
    accepts.orThrow();
  }

  /** The same as evidence, weighed by what the record says. */
  FaultReadings evidence() {
    Map<Cause, Double> weights = new EnumMap<>(Cause.class);
    priors.forEach(p -> weights.put(p.cause(), p.weight()));
    // It was mended, and the piece is as bad as before.
    mended
        .filter(c -> burntAgain.filter(good -> !good).isPresent())
        .ifPresent(c -> weights.computeIfPresent(c, (k, w) -> w * (1 - FaultTable.OWN)));
    return new FaultReadings(
        places,
        bedMm,
        beamEnters,
        OptionalDouble.empty(),
        Optional.of(answers),
        Optional.of(weights),
        fitted);
  }
}
