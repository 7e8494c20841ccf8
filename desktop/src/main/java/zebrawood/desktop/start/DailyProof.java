package zebrawood.desktop.start;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import zebrawood.desktop.station.Guard;
import zebrawood.desktop.station.GuardLine;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.records.kept.KeptReadings;
import zebrawood.start.GoCard;
import zebrawood.start.GoLine;
import zebrawood.start.Start;
import zebrawood.start.StartReadings;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartStation;

/** What of the open machine's go card was proven today, and what was gone on without. */
final class DailyProof implements Guard {
  /** The open machine's go card as it is now. */
  static GoCard card(WorkshopModel workshop) {
    Clock clock = workshop.clock();
    return GoCard.of(
        workshop.opened().ledger(), workshop.stations(), clock.instant(), clock.getZone());
  }

  /** A card to begin with, before the sheet knows what day it is. */
  static GoCard cardOf(Ledger ledger) {
    return GoCard.of(ledger, List.of(), java.time.Instant.EPOCH, java.time.ZoneOffset.UTC);
  }

  /** Ids of the lines whose last answer today is that they are so. */
  static Set<String> proven(WorkshopModel workshop, GoCard card) {
    List<StartReadings> today = readings(entries(workshop));
    return card.lines().stream()
        .filter(line -> Start.proven(line, today))
        .map(GoLine::id)
        .collect(Collectors.toSet());
  }

  /**
   * What protects and is not proven today. What somebody went on without, and said why, counts as
   * settled for the day: only the lines that were named then, and only while nobody found them not
   * so since.
   */
  @Override
  public List<GuardLine> notProven(WorkshopModel workshop) {
    GoCard card = card(workshop);
    Set<String> proven = proven(workshop, card);
    List<Event> wentOn =
        workshop.opened().ledger().events().stream()
            .filter(e -> e.kind() == EventKind.WENT_ON && isToday(workshop, e))
            .toList();
    return card.protections().stream()
        .filter(line -> !proven.contains(line.id()))
        .filter(line -> wentOn.stream().noneMatch(e -> settles(workshop, e, line)))
        .map(line ->
            new GuardLine(
                line.id(),
                line.kind() == GoLine.Kind.STOP_FIRST
                    ? GuardLine.Kind.STOP_FIRST
                    : GuardLine.Kind.INTERLOCK,
                line.said()))
        .toList();
  }

  private static boolean settles(WorkshopModel workshop, Event wentOn, GoLine line) {
    return wentOn.settles().contains(line.id())
        && readings(
                entries(workshop).stream()
                    .filter(e -> workshop.opened().ledger().isAfter(e, wentOn))
                    .toList())
            .stream()
            .flatMap(r -> r.asked().stream())
            .noneMatch(a -> a.line().id().equals(line.id()) && a.answer() == Answer.NO);
  }

  @Override
  public String stationId() {
    return StartStation.STATION.id();
  }

  private static List<Entry> entries(WorkshopModel workshop) {
    return workshop.opened().ledger().entriesAt(StartStation.STATION).stream()
        .filter(e -> isToday(workshop, e))
        .toList();
  }

  /** What cannot be read is to be proven again. */
  private static List<StartReadings> readings(List<Entry> entries) {
    return entries.stream()
        .flatMap(e -> KeptReadings.read(e, StartReadings.class).stream())
        .toList();
  }

  private static boolean isToday(WorkshopModel workshop, Recorded line) {
    ZoneId zone = workshop.clock().getZone();
    return LocalDate.ofInstant(line.time(), zone)
        .equals(LocalDate.ofInstant(workshop.clock().instant(), zone));
  }
}
