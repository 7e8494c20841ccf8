package zebrawood.records.bed;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.bed.BedFinding;
import zebrawood.bed.BedReadings;
import zebrawood.bed.BedTask;
import zebrawood.bed.FeelCheck.FeelFinding;
import zebrawood.bed.FeelCheck.FeelReadings;
import zebrawood.bed.ShimFinding;
import zebrawood.bed.ShimReadings;
import zebrawood.measure.Finding;
import zebrawood.records.json.RecordJson;

/**
 * The readings of a bed entry as kept: every field as typed, and what was understood, of which
 * exactly one of the three is there.
 */
public record BedRecord(
    Map<String, String> typed,
    Optional<BedReadings> screws,
    Optional<Shims> shims,
    Optional<FeelReadings> feel) {

  /** What {@link BedTask.OnShims} holds. */
  public record Shims(ShimReadings readings, boolean underHead, List<Double> atHandMm) {}

  private record Found(
      Optional<BedFinding> screws, Optional<ShimFinding> shims, Optional<FeelFinding> feel) {}

  public static String readings(Map<String, String> typed, BedTask task) {
    return RecordJson.write(
        switch (task) {
          case BedTask.OnScrews(BedReadings readings) ->
              new BedRecord(typed, Optional.of(readings), Optional.empty(), Optional.empty());
          case BedTask.OnShims(ShimReadings readings, boolean underHead, List<Double> atHandMm) ->
              new BedRecord(
                  typed,
                  Optional.empty(),
                  Optional.of(new Shims(readings, underHead, atHandMm)),
                  Optional.empty());
          case BedTask.ByFeel(FeelReadings readings) ->
              new BedRecord(typed, Optional.empty(), Optional.empty(), Optional.of(readings));
        });
  }

  public static String finding(Finding finding) {
    return RecordJson.write(
        switch (finding) {
          case BedFinding f -> new Found(Optional.of(f), Optional.empty(), Optional.empty());
          case ShimFinding f -> new Found(Optional.empty(), Optional.of(f), Optional.empty());
          case FeelFinding f -> new Found(Optional.empty(), Optional.empty(), Optional.of(f));
          default -> throw new IllegalArgumentException("not of the bed: " + finding.getClass());
        });
  }

  public static BedRecord of(String readings) {
    return RecordJson.read(readings, BedRecord.class);
  }

  public BedTask task() {
    return screws
        .<BedTask>map(BedTask.OnScrews::new)
        .or(() -> shims.map(s -> new BedTask.OnShims(s.readings(), s.underHead(), s.atHandMm())))
        .or(() -> feel.map(BedTask.ByFeel::new))
        .orElseThrow();
  }
}
