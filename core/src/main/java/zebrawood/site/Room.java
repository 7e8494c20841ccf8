package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;
import zebrawood.measure.PartFinding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

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
      double clearanceNeededMm,
      OptionalDouble leastHumidityPercent) {
    public Readings {
      var accepts =
          new Accepts()
              .between("temperatureC", temperatureC, -40, 60)
              .between("humidityPercent", humidityPercent, 0, 100)
              .between("leastC", leastC, -40, 60)
              .between("mostC", mostC, -40, 60)
              .between("clearanceNeededMm", clearanceNeededMm, 0, 10_000);
      if (leastC >= mostC) {
        accepts.complain("mostC", mostC, Message.of("site.room.more-than-leastc"));
      }
      leastHumidityPercent.ifPresent(p -> {
        accepts.between("leastHumidityPercent", p, 0, 100);
        if (p >= mostHumidityPercent.orElse(101)) {
          accepts.complain("leastHumidityPercent", p, Message.of("site.room.less-than-most"));
        }
      });
      mostHumidityPercent.ifPresent(p -> accepts.between("mostHumidityPercent", p, 0, 100));
      clearanceMm.ifPresent(mm -> accepts.between("clearanceMm", mm, 0, 100_000));
      accepts.orThrow();
    }
  }

  static List<PartFinding> judge(Readings r) {
    List<PartFinding> parts = new ArrayList<>();
    if (r.temperatureC < r.leastC || r.temperatureC > r.mostC) {
      parts.add(
          PartFinding.adjust(
              Advice.act(r.temperatureC < r.leastC ? "site.room.warm" : "site.room.cool")
                  .because(
                      "site.room.window",
                      Amount.plain(r.temperatureC, Quantity.TEMPERATURE),
                      Amount.plain(r.leastC, Quantity.NUMBER),
                      Amount.plain(r.mostC, Quantity.TEMPERATURE))));
    }
    if (r.mostHumidityPercent.isPresent()
        && r.humidityPercent > r.mostHumidityPercent.getAsDouble()) {
      parts.add(
          PartFinding.adjust(
              Advice.act("site.room.dry-room")
                  .because(
                      "site.room.humidity-limit",
                      Amount.plain(r.humidityPercent, Quantity.PERCENT),
                      Amount.plain(r.mostHumidityPercent.getAsDouble(), Quantity.PERCENT))));
    }
    if (r.leastHumidityPercent.isPresent()
        && r.humidityPercent < r.leastHumidityPercent.getAsDouble()) {
      parts.add(
          PartFinding.adjust(
              Advice.act("site.room.damp-room")
                  .because(
                      "site.room.humidity-least",
                      Amount.plain(r.humidityPercent, Quantity.PERCENT),
                      Amount.plain(r.leastHumidityPercent.getAsDouble(), Quantity.PERCENT))));
    }
    if (r.clearanceNeededMm > 0 && r.clearanceMm.isEmpty()) {
      parts.add(
          new PartFinding(
              Verdict.MEASURE_AGAIN,
              List.of(
                  Advice.read("site.room.read-narrowest-gap").because("site.room.air-hands-need")),
              List.of()));
    }
    if (r.clearanceMm.isPresent() && r.clearanceMm.getAsDouble() < r.clearanceNeededMm) {
      parts.add(
          PartFinding.adjust(
              Advice.act(
                      "site.room.move-further-from",
                      Amount.of(
                          r.clearanceNeededMm - r.clearanceMm.getAsDouble(), Quantity.LENGTH, 0))
                  .because(
                      "site.room.are-free-needed",
                      Amount.plain(r.clearanceMm.getAsDouble(), Quantity.LENGTH),
                      Amount.plain(r.clearanceNeededMm, Quantity.LENGTH))));
    }
    return parts;
  }
}
