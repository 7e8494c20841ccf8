package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.machine.Machine;
import zebrawood.site.Eyewear;

/** The beam, its pulses and the filters on the shelf, as typed. */
final class EyewearFields {
  private static final int FILTERS = 2;

  /** The standard's diameter holds 63 % of the power, a data sheet's 86 %. */
  private static final double DATA_SHEET_OVER_STANDARD = Math.sqrt(2);

  private static final double MILLI = 1e-3;
  private static final double NANO = 1e-9;
  private static final double KILO = 1e3;

  private final Machine machine;
  private final NumberEntry beam;
  private final NumberEntry exposure;
  private final NumberEntry divergence;
  private final List<NumberEntry> pulse;
  private final List<List<NumberEntry>> filters = new ArrayList<>();

  EyewearFields(AnsweredModel<?> sheet, Machine machine) {
    this.machine = machine;
    beam = sheet.keep("beam", new NumberEntry("Beam, 1/e²", "mm", 0.001, 10_000));
    exposure = sheet.keep("exposure", new NumberEntry("Looked into for", "s", 1e-9, 30_000));
    divergence = sheet.keep("divergence", new NumberEntry("Divergence, full", "mrad", 0.001, 3000));
    pulse =
        List.of(
            sheet.keep("pulse.energy", new NumberEntry("Pulse energy", "mJ", 1e-9, 10_000_000)),
            sheet.keep("pulse.duration", new NumberEntry("Pulse length", "ns", 0.0001, 1e10)),
            sheet.keep("pulse.repetition", new NumberEntry("Pulses a second", "kHz", 1e-6, 1e7)));
    for (int i = 1; i <= FILTERS; i++) {
      filters.add(
          List.of(
              sheet.keep(
                  "from." + i, new NumberEntry("Filter " + i + " from", "nm", 100, 1_000_000)),
              sheet.keep("to." + i, new NumberEntry("Filter " + i + " to", "nm", 100, 1_000_000)),
              sheet.keep("density." + i, new NumberEntry("Filter " + i + " density", "", 0, 20))));
    }
    exposure.set(10);
  }

  List<NumberEntry> look() {
    return List.of(beam, exposure, divergence);
  }

  List<NumberEntry> pulse() {
    return pulse;
  }

  List<List<NumberEntry>> filters() {
    return filters;
  }

  private boolean looksIn() {
    return !beam.isEmpty()
        || !divergence.isEmpty()
        || NumberEntry.begun(pulse)
        || filters.stream().anyMatch(NumberEntry::begun);
  }

  Stream<NumberEntry> needed() {
    if (!looksIn()) {
      return Stream.empty();
    }
    return Stream.of(
            List.of(beam, exposure),
            NumberEntry.begun(pulse) ? pulse : List.<NumberEntry>of(),
            filters.stream().filter(NumberEntry::begun).flatMap(List::stream).toList())
        .flatMap(List::stream);
  }

  /** Only where a beam is given to spread. */
  OptionalDouble divergenceMrad() {
    return divergence.value();
  }

  Optional<Eyewear.Readings> readings() {
    if (!looksIn()) {
      return Optional.empty();
    }
    List<Eyewear.Filter> shelf =
        filters.stream()
            .filter(NumberEntry::begun)
            .map(row ->
                new Eyewear.Filter(row.get(0).number(), row.get(1).number(), row.get(2).number()))
            .toList();
    return Optional.of(
        new Eyewear.Readings(
            machine.source().wavelengthNm(),
            machine.source().watts(),
            beam.number() / DATA_SHEET_OVER_STANDARD,
            exposure.number(),
            shelf,
            NumberEntry.begun(pulse)
                ? Optional.of(
                    new Eyewear.Pulse(
                        pulse.get(0).number() * MILLI,
                        pulse.get(1).number() * NANO,
                        pulse.get(2).number() * KILO))
                : Optional.empty()));
  }
}
