package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.site.Circuit;
import zebrawood.site.Feed;

/** Earth, circuit, plug and fuse, as typed. */
final class FeedFields {
  private static final int LOADS = 5;

  private final NumberEntry earth;
  private final NumberEntry earthLimit;
  private final NumberEntry volts;
  private final NumberEntry breaker;
  private final NumberEntry share;
  private final NumberEntry plug;
  private final NumberEntry startUp;
  private final NumberEntry fusePlate;
  private final NumberEntry fuseFitted;
  private final List<NumberEntry> loads = new ArrayList<>();

  FeedFields(AnsweredModel<?> sheet) {
    earth = sheet.keep(EntryDesk.READING + "earth", new NumberEntry("Earth", "Ω", 0, 10_000_000));
    earthLimit = sheet.keep("earthLimit", new NumberEntry("Earth at most", "Ω", 0.01, 10));
    volts = sheet.keep("volts", new NumberEntry("Supply", "V", 12, 1000));
    breaker = sheet.keep("breaker", new NumberEntry("Breaker", "A", 0.1, 1000));
    share = sheet.keep("share", new NumberEntry("Of it for hours", "%", 1, 100));
    plug = sheet.keep("plug", new NumberEntry("Plug and cable", "A", 0.1, 1000));
    startUp = sheet.keep("startUp", new NumberEntry("Rush at start", "A", 0.1, 10_000));
    fusePlate = sheet.keep("fusePlate", new NumberEntry("Fuse on the plate", "A", 0.01, 1000));
    fuseFitted =
        sheet.keep(
            EntryDesk.READING + "fuseFitted", new NumberEntry("Fuse found in it", "A", 0.01, 1000));
    for (int i = 1; i <= LOADS; i++) {
      loads.add(sheet.keep("load." + i, new NumberEntry("Load " + i, "W", 0, 1_000_000)));
    }
    earthLimit.set(0.5);
    volts.set(230);
    breaker.set(16);
    share.set(80);
  }

  NumberEntry earth() {
    return earth;
  }

  NumberEntry earthLimit() {
    return earthLimit;
  }

  List<NumberEntry> supply() {
    return List.of(volts, breaker, share, plug, startUp);
  }

  List<NumberEntry> loads() {
    return loads;
  }

  List<NumberEntry> fuse() {
    return List.of(fusePlate, fuseFitted);
  }

  Stream<NumberEntry> needed() {
    return NumberEntry.begun(loads)
        ? Stream.of(earthLimit, volts, breaker, share)
        : Stream.of(earthLimit);
  }

  Feed readings() {
    return new Feed(
        earth.value(),
        earthLimit.number(),
        circuit(),
        plug.value(),
        startUp.value(),
        fusePlate.value(),
        fuseFitted.value());
  }

  private Optional<Circuit.Readings> circuit() {
    if (!NumberEntry.begun(loads)) {
      return Optional.empty();
    }
    List<Circuit.Load> drawn =
        loads.stream()
            .filter(e -> !e.isEmpty())
            .map(e -> new Circuit.Load(e.name(), e.number()))
            .toList();
    return Optional.of(
        new Circuit.Readings(volts.number(), breaker.number(), share.number() / 100, drawn));
  }
}
