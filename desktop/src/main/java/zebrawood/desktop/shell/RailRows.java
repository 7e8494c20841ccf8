package zebrawood.desktop.shell;

import java.time.ZoneId;
import java.util.List;
import zebrawood.desktop.text.DayWords;
import zebrawood.desktop.text.SubjectWords;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.rotary.RotaryIn;
import zebrawood.rotary.RotaryStation;

/** What the rail says of the stations of the open machine. */
final class RailRows {
  private final WorkshopModel workshop;

  RailRows(WorkshopModel workshop) {
    this.workshop = workshop;
  }

  /** How many of them hold. */
  String holding() {
    List<Standing> standings =
        workshop.opened().standings().values().stream()
            .filter(s -> !(s instanceof Standing.Idle))
            .toList();
    long holding = standings.stream().filter(Standing::holds).count();
    return Text.of(
        workshop.opened().machine().simulated() ? "rail.all.simulated" : "rail.all",
        holding,
        standings.size());
  }

  /** What is in the machine and changes how it works; nothing where it is as usual. */
  String fixture() {
    return RotaryIn.since(workshop.opened().ledger())
        .map(e -> Text.of("bar.rotary-in", DayWords.day(e.time(), workshop.clock().getZone())))
        .orElse("");
  }

  List<BeamRail.Row> all() {
    return workshop.opened().standings().entrySet().stream()
        .map(e -> row(e.getKey(), e.getValue()))
        .toList();
  }

  private boolean rotaryIn(Station station) {
    return station.equals(RotaryStation.STATION)
        && RotaryIn.since(workshop.opened().ledger()).isPresent();
  }

  private BeamRail.Row row(Station station, Standing standing) {
    ZoneId zone = workshop.clock().getZone();
    String words = Text.of(StandingWords.of(standing, zone));
    int onFile = workshop.onFile(station).size();
    return new BeamRail.Row(
        station.id(),
        Text.of(station.phase()),
        SubjectWords.title(workshop.opened().ledger(), station),
        rotaryIn(station)
            ? Text.of("rail.rotary-in")
            : Text.of(StandingWords.brief(standing, zone)),
        onFile == 0 ? words : Text.of("subject.on-file", words, onFile),
        standing);
  }
}
