package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.Numbers;
import zebrawood.measure.Verdict;

/** Is the room within the machine's window, and is there room around the machine? */
public final class Room {
  private Room() {}

  /**
   * What was read, and the window from the data sheet. Empty humidity limit: only "not too damp" is
   * asked, which the cooling judges by the dew point.
   *
   * @param clearanceMm the narrowest gap to a wall or shelf, for air and for service
   */
  public record Readings(
      double temperatureC,
      double humidityPercent,
      double leastC,
      double mostC,
      OptionalDouble mostHumidityPercent,
      OptionalDouble clearanceMm,
      double clearanceNeededMm) {
    public Readings {
      var accepts =
          new Accepts()
              .between("temperatureC", temperatureC, -40, 60)
              .between("humidityPercent", humidityPercent, 0, 100)
              .between("leastC", leastC, -40, 60)
              .between("mostC", mostC, -40, 60)
              .between("clearanceNeededMm", clearanceNeededMm, 0, 10_000);
      if (leastC >= mostC) {
        accepts.complain("mostC", mostC, "more than leastC");
      }
      mostHumidityPercent.ifPresent(p -> accepts.between("mostHumidityPercent", p, 0, 100));
      clearanceMm.ifPresent(mm -> accepts.between("clearanceMm", mm, 0, 100_000));
      accepts.orThrow();
    }
  }

  static List<Part> judge(Readings r) {
    List<Part> parts = new ArrayList<>();
    if (r.temperatureC < r.leastC || r.temperatureC > r.mostC) {
      parts.add(
          Part.adjust(
              "%s the room: %s °C, window %s to %s °C."
                  .formatted(
                      r.temperatureC < r.leastC ? "Warm" : "Cool",
                      Numbers.plain(r.temperatureC),
                      Numbers.plain(r.leastC),
                      Numbers.plain(r.mostC))));
    }
    if (r.mostHumidityPercent.isPresent()
        && r.humidityPercent > r.mostHumidityPercent.getAsDouble()) {
      parts.add(
          Part.adjust(
              "Dry the room: %s %% humidity, limit %s %%."
                  .formatted(
                      Numbers.plain(r.humidityPercent),
                      Numbers.plain(r.mostHumidityPercent.getAsDouble()))));
    }
    if (r.clearanceNeededMm > 0 && r.clearanceMm.isEmpty()) {
      parts.add(
          new Part(
              Verdict.MEASURE_AGAIN,
              List.of("Read the narrowest gap to a wall: air and hands need it."),
              List.of()));
    }
    if (r.clearanceMm.isPresent() && r.clearanceMm.getAsDouble() < r.clearanceNeededMm) {
      parts.add(
          Part.adjust(
              "Move it %s mm further from the wall: %s mm are free, %s mm needed."
                  .formatted(
                      Numbers.fixed(r.clearanceNeededMm - r.clearanceMm.getAsDouble(), 0),
                      Numbers.plain(r.clearanceMm.getAsDouble()),
                      Numbers.plain(r.clearanceNeededMm))));
    }
    return parts;
  }
}
