package zebrawood.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.climate.Air;
import zebrawood.climate.Bucket;
import zebrawood.climate.Coldest;
import zebrawood.measure.Accepts;
import zebrawood.measure.Finding;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** Any of the site's questions together; the verdict is that of the worst. */
public final class SiteSurvey {
  /** From nothing to do to what can hurt. */
  static final List<Verdict> WORSE =
      List.of(Verdict.WITHIN, Verdict.MEASURE_AGAIN, Verdict.ADJUST, Verdict.STOP);

  private SiteSurvey() {}

  /** At least one part. */
  public record Readings(
      Optional<Air.Readings> air,
      Optional<Circuit.Readings> circuit,
      Optional<Bucket.Readings> bucket,
      Optional<Duct.Readings> duct,
      Optional<Coldest.Readings> coldest,
      Optional<Eyewear.Readings> eyewear) {
    public Readings {
      if (air.isEmpty()
          && circuit.isEmpty()
          && bucket.isEmpty()
          && duct.isEmpty()
          && coldest.isEmpty()
          && eyewear.isEmpty()) {
        new Accepts()
            .complain(
                "site",
                Message.of("site.site-survey.without-any-part"),
                Message.of("site.site-survey.air-circuit-bucket"))
            .orThrow();
      }
    }
  }

  /** For the parts given. */
  public record Result(
      Optional<Air.Finding> air,
      Optional<Circuit.Finding> circuit,
      Optional<Bucket.Finding> bucket,
      Optional<Duct.Finding> duct,
      Optional<Coldest.Finding> coldest,
      Optional<Eyewear.Finding> eyewear,
      Verdict verdict,
      List<Advice> advice,
      List<Message> warnings)
      implements Finding {}

  public static Result solve(Readings r) {
    Optional<Air.Finding> air = r.air.map(Air::solve);
    Optional<Circuit.Finding> circuit = r.circuit.map(Circuit::solve);
    Optional<Bucket.Finding> bucket = r.bucket.map(Bucket::solve);
    Optional<Duct.Finding> duct = r.duct.map(Duct::solve);
    Optional<Coldest.Finding> coldest = r.coldest.map(Coldest::solve);
    Optional<Eyewear.Finding> eyewear = r.eyewear.map(Eyewear::solve);
    List<PartFinding> parts = new ArrayList<>();
    eyewear.ifPresent(f -> parts.add(Eyewear.judge(r.eyewear.get(), f)));
    circuit.ifPresent(f -> parts.add(Circuit.judge(r.circuit.get(), f)));
    air.ifPresent(f -> parts.add(Air.judge(f)));
    duct.ifPresent(f -> parts.add(Duct.judge(r.duct.get(), f)));
    coldest.ifPresent(f -> parts.add(Coldest.judge(f)));
    bucket.ifPresent(f -> parts.add(Bucket.judge(r.bucket.get(), f)));
    // What can hurt is said first; within one verdict the order of the work stays.
    parts.sort(Comparator.comparingInt((PartFinding p) -> -WORSE.indexOf(p.verdict())));
    return new Result(
        air,
        circuit,
        bucket,
        duct,
        coldest,
        eyewear,
        parts.getFirst().verdict(),
        parts.stream().flatMap(p -> p.advice().stream()).toList(),
        parts.stream().flatMap(p -> p.warnings().stream()).toList());
  }
}
