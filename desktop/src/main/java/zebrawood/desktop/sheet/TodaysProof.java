package zebrawood.desktop.sheet;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.measure.UnusableReading;
import zebrawood.records.start.StartRecord;
import zebrawood.start.GoCard;
import zebrawood.start.GoLine;
import zebrawood.start.Start;
import zebrawood.start.StartReadings;
import zebrawood.start.StartStation;

/** What of the open machine's go card was proven today, and what was gone on without. */
public final class TodaysProof {
  private TodaysProof() {}

  /** The open machine's go card as it is now. */
  public static GoCard card(WorkshopModel workshop) {
    return GoCard.of(
        workshop.opened().ledger(),
        workshop.stations(),
        workshop.clock().instant(),
        workshop.clock().getZone());
  }

  /** The cards gone through today, oldest first. */
  public static List<StartReadings> today(WorkshopModel workshop) {
    return entries(workshop).stream().flatMap(e -> readings(e).stream()).toList();
  }

  /**
   * What protects and is not proven today. What somebody went on without, and said why, counts as
   * settled for the day: only the lines that were named then, and only while nobody found them not
   * so since.
   */
  public static List<GoLine> missing(WorkshopModel workshop) {
    List<Event> wentOn =
        workshop.opened().ledger().events().stream()
            .filter(e -> e.kind() == EventKind.WENT_ON && isToday(workshop, e.at()))
            .toList();
    return Start.notProven(card(workshop), today(workshop)).stream()
        .filter(line -> wentOn.stream().noneMatch(e -> settles(workshop, e, line)))
        .toList();
  }

  private static boolean settles(WorkshopModel workshop, Event wentOn, GoLine line) {
    return wentOn.note().contains(line.words())
        && entries(workshop).stream()
            .filter(e -> e.at().isAfter(wentOn.at()))
            .flatMap(e -> readings(e).stream())
            .flatMap(r -> r.asked().stream())
            .noneMatch(
                a -> a.line().id().equals(line.id()) && a.answer() == StartReadings.Answer.NO);
  }

  private static List<Entry> entries(WorkshopModel workshop) {
    Ledger ledger = workshop.opened().ledger();
    return ledger.entriesAt(StartStation.STATION).stream()
        .filter(e -> isToday(workshop, e.at()))
        .toList();
  }

  /** Nothing when a damaged or newer file cannot be read: then it is to be proven again. */
  private static Optional<StartReadings> readings(Entry entry) {
    try {
      return Optional.of(StartRecord.of(entry.readings()).readings());
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  private static boolean isToday(WorkshopModel workshop, Instant at) {
    ZoneId zone = workshop.clock().getZone();
    return LocalDate.ofInstant(at, zone)
        .equals(LocalDate.ofInstant(workshop.clock().instant(), zone));
  }
}
