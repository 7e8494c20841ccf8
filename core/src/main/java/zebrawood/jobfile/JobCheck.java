package zebrawood.jobfile;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.jobfile.JobFinding.TimeBy;
import zebrawood.jobfile.JobProblem.Kind;
import zebrawood.jobfile.JobReadings.Origin;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Holds what a job file does against what the machine can do. What is not known of either is not
 * judged, and said.
 */
public final class JobCheck {
  /** A head stops a little early or late: this much beyond its travel is none. */
  private static final double ROUNDING_MM = 0.05;

  /** Of the controller's largest word: no job software means less by 100 %. */
  private static final double FAR_BELOW = 0.3;

  /** So many different words are a picture with greys, whose largest may be small. */
  private static final int FEW_WORDS = 1;

  private static final double ENOUGH_RUN_UP = 0.5;

  private final JobReadings r;
  private final JobLook look;
  private final List<JobProblem> problems = new ArrayList<>();
  private final List<Message> notJudged = new ArrayList<>();
  private final List<Message> warnings = new ArrayList<>();
  private final OptionalDouble mm;

  private JobCheck(JobReadings r) {
    this.r = r;
    look = r.look();
    mm = r.mm();
  }

  public static JobFinding solve(JobReadings readings) {
    return new JobCheck(readings).solve();
  }

  private JobFinding solve() {
    look.unit()
        .warning()
        .filter(w -> mm.isEmpty() || look.unit() == FileUnit.BOTH)
        .ifPresent(warnings::add);
    travel();
    words();
    beam();
    OptionalDouble runUp = runUp();
    round();
    backwards();
    if (!look.unknown().isEmpty()) {
      warnings.add(
          Message.of(
              "jobfile.unknown",
              Message.list(
                  look.unknown().stream()
                      .map(u ->
                          Message.of("jobfile.unknown-word", Message.quoted(u.word()), u.count()))
                      .toList())));
    }
    if (look.passes() > 1) {
      warnings.add(Message.of("jobfile.passes", look.passes()));
    }
    if (look.powerWords() == 1) {
      warnings.add(Message.of("jobfile.on-off"));
    }
    problems.sort(Comparator.comparing(JobProblem::kind));
    List<Advice> advice = new ArrayList<>(problems.stream().map(JobProblem::advice).toList());
    boolean decides = r.topWord().isPresent() && r.travelXMm().isPresent() && mm.isPresent();
    if (!decides) {
      advice.add(
          Advice.read("jobfile.read-more")
              .because("jobfile.read-more.why", Message.list(List.copyOf(notJudged))));
    } else if (problems.isEmpty()) {
      advice.add(Advice.leave("jobfile.leave"));
    }
    OptionalDouble seconds = seconds();
    return new JobFinding(
        problems,
        notJudged,
        mm.isPresent() ? look.burnt().map(e -> e.times(mm.getAsDouble())) : Optional.empty(),
        runUp,
        seconds,
        timeBy(),
        verdict(decides),
        advice,
        warnings);
  }

  private Verdict verdict(boolean decides) {
    boolean hurts =
        problems.stream()
            .anyMatch(p -> p.kind() == Kind.BEAM_ON_TRAVEL || p.kind() == Kind.LEFT_ON);
    if (hurts) {
      return Verdict.STOP;
    }
    if (!problems.isEmpty()) {
      return Verdict.ADJUST;
    }
    return decides ? Verdict.WITHIN : Verdict.MEASURE_AGAIN;
  }

  private void problem(Kind kind, Optional<Place> place, Advice advice) {
    problems.add(new JobProblem(kind, place, advice));
  }

  private static Message mmWords(double v) {
    return Message.of("jobfile.amount", Amount.mm(v, 1));
  }

  private void travel() {
    if (r.travelXMm().isEmpty() || r.travelYMm().isEmpty()) {
      notJudged.add(Message.of("jobfile.no-travel"));
      return;
    }
    if (mm.isEmpty() || look.moved().isEmpty()) {
      notJudged.add(Message.of("jobfile.no-size"));
      return;
    }
    Extent moved = look.moved().get().times(mm.getAsDouble());
    double overX = moved.width() - r.travelXMm().getAsDouble();
    double overY = moved.depth() - r.travelYMm().getAsDouble();
    if (overX > ROUNDING_MM || overY > ROUNDING_MM) {
      problem(
          Kind.BEYOND_TRAVEL,
          corner(moved),
          Advice.act("jobfile.smaller")
              .because(
                  "jobfile.smaller.why",
                  mmWords(moved.width()),
                  mmWords(moved.depth()),
                  mmWords(r.travelXMm().getAsDouble()),
                  mmWords(r.travelYMm().getAsDouble())));
      return;
    }
    if (r.origin() == Origin.NOT_SAID || !look.placeKnown()) {
      notJudged.add(Message.of(look.placeKnown() ? "jobfile.no-origin" : "jobfile.moving-origin"));
      return;
    }
    double outX = outside(moved.minX(), moved.maxX(), r.travelXMm().getAsDouble());
    double outY = outside(moved.minY(), moved.maxY(), r.travelYMm().getAsDouble());
    if (Math.max(outX, outY) > ROUNDING_MM) {
      problem(
          Kind.BEYOND_TRAVEL,
          corner(moved),
          Advice.act("jobfile.shift").because("jobfile.shift.why", mmWords(outX), mmWords(outY)));
    }
  }

  private static Optional<Place> corner(Extent moved) {
    return Optional.of(new Place(0, moved.maxX(), moved.maxY()));
  }

  /** How far it is outside of the travel along one axis. */
  private double outside(double min, double max, double travel) {
    if (r.origin() == Origin.CENTRE) {
      return Math.max(-travel / 2 - min, max - travel / 2);
    }
    double up = Math.max(-min, max - travel);
    double down = Math.max(-travel - min, max);
    return Math.min(up, down);
  }

  private void words() {
    if (look.topWord().isEmpty()) {
      problem(
          Kind.NEVER_ON,
          Optional.empty(),
          Advice.act("jobfile.never-on").because("jobfile.never-on.why"));
      return;
    }
    if (r.topWord().isEmpty()) {
      notJudged.add(Message.of("jobfile.no-top"));
      return;
    }
    double top = r.topWord().getAsDouble();
    double used = look.topWord().getAsDouble();
    if (used > top) {
      problem(
          Kind.WORD_ABOVE_TOP,
          look.topWordAt(),
          Advice.act("jobfile.top-word", Amount.of(top, Quantity.NUMBER, 0))
              .because("jobfile.top-word.why", number(used), number(top)));
    } else if (used < FAR_BELOW * top && look.powerWords() > FEW_WORDS) {
      problem(
          Kind.WORD_FAR_BELOW,
          look.topWordAt(),
          Advice.act("jobfile.top-word", number(top))
              .because("jobfile.far-below.why", number(used), number(top)));
    }
  }

  private static Amount number(double v) {
    return Amount.of(v, Quantity.NUMBER, 0);
  }

  private void beam() {
    if (look.onRapid() > 0) {
      problem(
          Kind.BEAM_ON_TRAVEL,
          look.firstOnRapid(),
          Advice.act("jobfile.on-travel")
              .because(
                  "jobfile.on-travel.why",
                  look.onRapid(),
                  look.firstOnRapid().map(Place::line).orElse(0)));
    }
    if (look.leftOn()) {
      problem(
          Kind.LEFT_ON,
          Optional.empty(),
          Advice.act("jobfile.left-on").because("jobfile.left-on.why"));
    }
    if (look.airOn() > 0 && look.burntWithoutAir()) {
      problem(
          Kind.LATE_AIR,
          Optional.empty(),
          Advice.act("jobfile.late-air").because("jobfile.late-air.why"));
    }
  }

  /** {@code v^2 / (2 a)} before a row, and behind it (uniform acceleration). */
  private OptionalDouble runUp() {
    if (!look.inRows() || look.burnt().isEmpty() || mm.isEmpty()) {
      return OptionalDouble.empty();
    }
    if (r.motion().accelerationXMmS2().isEmpty()) {
      notJudged.add(Message.of("jobfile.no-acceleration"));
      return OptionalDouble.empty();
    }
    double v = look.fastestBurnMmS() * mm.getAsDouble();
    double needed = v * v / (2 * r.motion().accelerationXMmS2().getAsDouble());
    Extent burnt = look.burnt().get();
    Extent moved = look.moved().orElseThrow();
    double there =
        mm.getAsDouble() * Math.min(burnt.minX() - moved.minX(), moved.maxX() - burnt.maxX());
    if (there < ENOUGH_RUN_UP * needed) {
      problem(
          Kind.NO_RUN_UP,
          Optional.of(new Place(0, burnt.minX() * mm.getAsDouble(), burnt.minY())),
          Advice.act("jobfile.run-up", mmWords(needed))
              .because("jobfile.run-up.why", mmWords(Math.max(0, there))));
    }
    return OptionalDouble.of(needed);
  }

  private void round() {
    if (mm.isEmpty() || look.burnt().isEmpty()) {
      return;
    }
    double along = look.burnt().get().depth() * mm.getAsDouble();
    r.roundMm()
        .ifPresent(round -> {
          if (along > round + ROUNDING_MM) {
            problem(
                Kind.MORE_THAN_ROUND,
                Optional.empty(),
                Advice.act("jobfile.round", mmWords(round))
                    .because("jobfile.round.why", mmWords(along)));
          }
        });
    r.sectionMm()
        .ifPresent(section -> {
          if (along > section + ROUNDING_MM) {
            problem(
                Kind.LONGER_THAN_SECTION,
                Optional.empty(),
                Advice.act("jobfile.section", mmWords(section))
                    .because("jobfile.section.why", mmWords(along)));
          }
        });
  }

  private void backwards() {
    r.other()
        .ifPresent(o -> {
          double here = look.topWord().orElse(0);
          boolean more = o.percent() > o.otherPercent();
          if (more ? here < o.otherTopWord() : here > o.otherTopWord()) {
            problem(
                Kind.RUNS_BACKWARDS,
                Optional.empty(),
                Advice.act("jobfile.backwards")
                    .because(
                        "jobfile.backwards.why",
                        percent(Math.min(o.percent(), o.otherPercent())),
                        number(more ? o.otherTopWord() : here),
                        percent(Math.max(o.percent(), o.otherPercent())),
                        number(more ? here : o.otherTopWord())));
          } else if (here == o.otherTopWord()) {
            warnings.add(Message.of("jobfile.same-word"));
          }
        });
  }

  private static Amount percent(double v) {
    return Amount.of(v, Quantity.PERCENT, 0);
  }

  private OptionalDouble seconds() {
    return switch (timeBy()) {
      case ACCELERATION -> look.seconds();
      case TIMED_RUN ->
          OptionalDouble.of(look.secondsAtSpeed().getAsDouble() * r.timed().orElseThrow().factor());
      case SPEED_ALONE -> look.secondsAtSpeed();
      case NOT_KNOWN -> OptionalDouble.empty();
    };
  }

  private TimeBy timeBy() {
    if (look.secondsAtSpeed().isEmpty() || look.unit() == FileUnit.NOT_SAID) {
      return TimeBy.NOT_KNOWN;
    }
    if (r.timed().isPresent()) {
      return TimeBy.TIMED_RUN;
    }
    return look.seconds().isPresent() ? TimeBy.ACCELERATION : TimeBy.SPEED_ALONE;
  }
}
