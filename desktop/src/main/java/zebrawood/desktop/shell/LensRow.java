package zebrawood.desktop.shell;

import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.machine.Lens;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** One lens of a machine as it is typed: its name, what is engraved on it, and the beam into it. */
record LensRow(WordsField name, QuantityField focal, QuantityField field, QuantityField beam) {
  static LensRow make(StationForm form, int number) {
    String at = "lens." + number + ".";
    return new LensRow(
        form.plainWords(at + "name", Message.of("machine.lens-row.name", number)),
        length(form, at + "focal", Message.of("machine.lens-row.focal", number)),
        length(form, at + "field", Message.of("machine.lens-row.field", number)),
        form.quantity(
            at + "beam",
            Message.of("machine.lens-row.beam", number),
            Quantity.LENGTH,
            Lens.THINNEST_BEAM_MM,
            Lens.WIDEST_BEAM_MM));
  }

  private static QuantityField length(StationForm form, String name, Message label) {
    return form.quantity(name, label, Quantity.LENGTH, Lens.SHORTEST_MM, Lens.LONGEST_MM);
  }

  static Part part(Group<LensRow> lenses) {
    return new Part.GrowingRows(
        lenses,
        Stream.of("name", "focal", "field", "beam")
            .map(column -> Message.of("machine.lens-row.heading-" + column))
            .toList(),
        Message.of("machine.lens-row.another"));
  }

  void set(Lens lens) {
    lens.name().ifPresent(name::set);
    if (!lens.knownByField()) {
      focal.set(lens.focalLengthMm());
    }
    lens.fieldMm().ifPresent(field::set);
    lens.beamMm().ifPresent(beam::set);
  }

  /** What must be typed of it: what is engraved on it, focal length or field. */
  QuantityField engraved() {
    return field.isEmpty() ? focal : field;
  }

  Lens lens() {
    Optional<String> its = name.isEmpty() ? Optional.empty() : Optional.of(name.text().strip());
    if (focal.isEmpty()) {
      return Lens.byField(its, field.number(), beam.value());
    }
    return new Lens(its, focal.number(), field.value(), beam.value());
  }
}
