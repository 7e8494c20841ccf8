package zebrawood.desktop.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.machine.Machine;
import zebrawood.quantity.Quantity;
import zebrawood.site.Eyewear;
import zebrawood.words.Message;

/** The beam, its pulses and the filters on the shelf, as typed. */
final class EyewearFields {
  private static final int MOST_FILTERS = 30;

  /** The standard's diameter holds 63 % of the power, a data sheet's 86 %. */
  private static final double DATA_SHEET_OVER_STANDARD = Math.sqrt(2);

  private static final double MILLI = 1e-3;
  private static final double NANO = 1e-9;
  private static final double KILO = 1e3;

  /** Of one that nobody measured: all of it goes through the eye's aperture, which is the worst. */
  private static final double THINNEST_BEAM_MM = 0.001;

  private record Filter(QuantityField from, QuantityField to, QuantityField density) {}

  private final Machine machine;
  private final QuantityField beam;
  private final QuantityField exposure;
  private final QuantityField divergence;
  private final List<QuantityField> pulse;
  private final Group<Filter> filters;

  EyewearFields(StationForm form, Machine machine) {
    this.machine = machine;
    beam = form.quantity("beam", Quantity.LENGTH, 0.001, 10_000);
    exposure = form.quantity("exposure", Quantity.TIME, 1e-9, 30_000);
    divergence = form.quantity("divergence", Quantity.ANGLE, 0.001, 3000);
    pulse =
        List.of(
            form.quantity("pulse.energy", Quantity.PULSE_ENERGY, 1e-9, 10_000_000),
            form.quantity("pulse.duration", Quantity.PULSE_LENGTH, 0.0001, 1e10),
            form.quantity("pulse.repetition", Quantity.PULSE_RATE, 1e-6, 1e7));
    filters = form.group("from", "count.filter", 1, 2, 1, MOST_FILTERS, i -> filter(form, i));
    exposure.set(10);
  }

  private static Filter filter(StationForm form, int i) {
    return new Filter(
        form.quantity(
            "from." + i, Message.of("site.field.from", i), Quantity.WAVELENGTH, 100, 1_000_000),
        form.quantity(
            "to." + i, Message.of("site.field.to", i), Quantity.WAVELENGTH, 100, 1_000_000),
        form.quantity(
            "density." + i, Message.of("site.field.density", i), Quantity.OPTICAL_DENSITY, 0, 20));
  }

  Part part() {
    return Part.fold(
        "site.eyewear",
        Part.rows(beam, exposure, divergence),
        Part.hint("site.beam.hint"),
        Part.hint("site.shelf"),
        new Part.GrowingRows(
            filters,
            List.of(Message.of("site.from"), Message.of("site.to"), Message.of("site.density")),
            Message.of("site.filter.another")),
        Part.hint("site.pulse"),
        new Part.Rows(pulse));
  }

  private boolean looksIn() {
    return !beam.isEmpty()
        || !divergence.isEmpty()
        || QuantityField.begun(pulse)
        || !filters.begun().isEmpty();
  }

  Stream<Field> needed() {
    if (!looksIn()) {
      return Stream.empty();
    }
    return Stream.of(
            Stream.of(exposure),
            QuantityField.begun(pulse) ? pulse.stream() : Stream.<QuantityField>empty(),
            filters.fieldsBegun().stream())
        .flatMap(s -> s);
  }

  /** Only where a beam is given to spread. */
  OptionalDouble divergenceMrad() {
    return divergence.value();
  }

  Optional<Eyewear.Readings> readings() {
    if (!looksIn()) {
      return Optional.empty();
    }
    return Optional.of(
        new Eyewear.Readings(
            machine.source().wavelengthNm(),
            machine.source().watts(),
            beam.value().orElse(THINNEST_BEAM_MM) / DATA_SHEET_OVER_STANDARD,
            exposure.number(),
            filters.begun().stream()
                .map(f -> new Eyewear.Filter(f.from.number(), f.to.number(), f.density.number()))
                .toList(),
            QuantityField.begun(pulse)
                ? Optional.of(
                    new Eyewear.Pulse(
                        pulse.get(0).number() * MILLI,
                        pulse.get(1).number() * NANO,
                        pulse.get(2).number() * KILO))
                : Optional.empty()));
  }
}
