package zebrawood.records.handover;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SequencedMap;
import java.util.function.Function;
import zebrawood.ledger.Aftermath;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.ledger.StandingWords;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.measure.Numbers;

/** What stands on a hand-over sheet, ready for the template: texts and pictures only. */
public record HandOverSheet(
    String machine,
    String description,
    String written,
    String by,
    String caution,
    List<StationPart> stations,
    List<Happening> events) {

  /**
   * One station.
   *
   * @param mark the standing's sign as SVG, told apart by shape
   * @param picture SVG of the last readings, or empty
   * @param trend SVG of the telling figure, or empty
   */
  public record StationPart(
      String title,
      String question,
      String mark,
      String standing,
      List<FigureRow> figures,
      List<String> checks,
      String picture,
      String trend,
      String trendOf) {}

  /** A figure as found and as left, with its limit. */
  public record FigureRow(String label, String found, String left, String limit, String unit) {}

  /** An event, what it put in doubt, and whether that was proven again. */
  public record Happening(String at, String what, String doubted, String proved, String by) {}

  /**
   * @param pictures draws the plan of an entry of a station, by the station's id
   */
  public static HandOverSheet of(
      Ledger ledger,
      List<Station> stations,
      Map<String, Function<Entry, String>> pictures,
      Instant now,
      ZoneId zone,
      String by) {
    Machine machine = ledger.machine();
    DateTimeFormatter day =
        DateTimeFormatter.ofPattern("dd MMM yyyy", Locale.ENGLISH).withZone(zone);
    SequencedMap<Station, Standing> standings = ledger.standings(stations, now);
    List<StationPart> parts = new ArrayList<>();
    standings.forEach((station, standing) ->
        parts.add(part(ledger, station, standing, pictures.get(station.id()), day)));
    List<Happening> happenings = new ArrayList<>();
    for (Aftermath after : ledger.aftermaths(stations)) {
      Event event = after.event();
      String names =
          String.join(", ", after.doubted().keySet().stream().map(Station::title).toList());
      String proved =
          after.doubted().isEmpty()
              ? "–"
              : after
                  .provedAt()
                  .map(at -> "yes, " + day.format(at))
                  .orElse(after.proved().size() + " of " + after.doubted().size());
      happenings.add(
          new Happening(
              day.format(event.at()),
              event.inWords(),
              names.isEmpty() ? "nothing" : names,
              proved,
              event.by()));
    }
    return new HandOverSheet(
        machine.name(),
        machine.inOneLine(),
        day.format(now),
        by,
        machine.standingCaution(),
        parts,
        happenings);
  }

  private static StationPart part(
      Ledger ledger,
      Station station,
      Standing standing,
      Function<Entry, String> picture,
      DateTimeFormatter day) {
    List<Entry> entries = ledger.entriesAt(station);
    Optional<Entry> left = last(entries, EntryKind.AS_LEFT);
    Optional<Entry> found = foundBefore(entries, left);
    List<String> checks =
        entries.stream()
            .filter(e -> e.tellingFigure().isEmpty())
            .map(e -> "%s: %s, by %s".formatted(day.format(e.at()), StandingWords.of(e), e.by()))
            .toList();
    List<Entry> measured = entries.stream().filter(e -> e.tellingFigure().isPresent()).toList();
    List<Double> values = measured.stream().map(e -> e.tellingFigure().get().value()).toList();
    OptionalDouble limit =
        measured.isEmpty()
            ? OptionalDouble.empty()
            : measured.getLast().tellingFigure().get().limit();
    boolean pictured = picture != null && !measured.isEmpty();
    return new StationPart(
        station.title(),
        station.question(),
        StandingSvg.of(standing),
        StandingWords.of(standing, day),
        rows(found, left, day),
        checks,
        pictured ? picture.apply(measured.getLast()) : "",
        values.size() > 1 ? TrendSvg.of(values, limit) : "",
        measured.isEmpty() ? "" : measured.getLast().tellingFigure().get().label());
  }

  private static Optional<Entry> last(List<Entry> entries, EntryKind kind) {
    return entries.reversed().stream()
        .filter(e -> e.kind() == kind && e.tellingFigure().isPresent())
        .findFirst();
  }

  /** The as-found entry of the visit that ended in this as-left one, else the last as found. */
  private static Optional<Entry> foundBefore(List<Entry> entries, Optional<Entry> left) {
    return last(
        entries.stream().filter(e -> left.isEmpty() || !e.at().isAfter(left.get().at())).toList(),
        EntryKind.AS_FOUND);
  }

  private static List<FigureRow> rows(
      Optional<Entry> found, Optional<Entry> left, DateTimeFormatter day) {
    List<FigureRow> rows = new ArrayList<>();
    Entry pattern = left.or(() -> found).orElse(null);
    if (pattern == null) {
      return rows;
    }
    rows.add(new FigureRow("Read on", at(found, day), at(left, day), "", ""));
    for (Figure figure : pattern.figures()) {
      rows.add(
          new FigureRow(
              figure.label(),
              shown(found, figure.id()),
              shown(left, figure.id()),
              figure.limit().isPresent() ? Numbers.plain(figure.limit().getAsDouble()) : "–",
              figure.unit()));
    }
    return rows;
  }

  private static String at(Optional<Entry> entry, DateTimeFormatter day) {
    return entry.map(e -> day.format(e.at()) + ", " + e.by()).orElse("–");
  }

  private static String shown(Optional<Entry> entry, String figureId) {
    return entry
        .flatMap(e -> e.figures().stream().filter(f -> f.id().equals(figureId)).findFirst())
        .map(f ->
            Numbers.fixed(f.value(), f.decimals())
                + (f.uncertainty().isPresent()
                    ? " ± " + Numbers.fixed(f.uncertainty().getAsDouble(), f.decimals())
                    : ""))
        .orElse("–");
  }
}
