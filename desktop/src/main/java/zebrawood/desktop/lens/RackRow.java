package zebrawood.desktop.lens;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.lens.LensShape;
import zebrawood.lens.RackLens;
import zebrawood.machine.Lens;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Another lens of the machine's rack. */
record RackRow(
    WordsField name, QuantityField focal, QuantityField field, ChoiceField<LensShape> shape) {
  static RackRow make(StationForm form, int number, List<LensShape> shapes) {
    String at = "rack." + number + ".";
    return new RackRow(
        form.plainWords(at + "name", Message.of("lens.rack.name", number)),
        form.positive(at + "focal", Message.of("lens.rack.focal", number), Quantity.LENGTH, 5000),
        form.positive(at + "field", Message.of("lens.rack.field", number), Quantity.LENGTH, 5000),
        form.choice(
            at + "shape", Message.of("lens.rack.shape", number), shapes, shapes.getFirst()));
  }

  static Part part(Group<RackRow> rack) {
    return new Part.GrowingRows(
        rack,
        Stream.of("name", "focal", "field", "shape")
            .map(column -> Message.of("lens.rack.heading-" + column))
            .toList(),
        Message.of("lens.rack.another"));
  }

  void set(Lens lens) {
    name.set(lens.called());
    if (!lens.knownByField()) {
      focal.set(lens.focalLengthMm());
    }
    lens.fieldMm().ifPresent(field::set);
  }

  boolean told() {
    return !name.isEmpty() && (focal.value().isPresent() || field.value().isPresent());
  }

  List<Field> fields() {
    return List.of(name, focal, field);
  }

  RackLens lens() {
    return new RackLens(
        name.text().strip(),
        focal.value().orElseGet(() -> Lens.focalForField(field.number())),
        shape.get(),
        field.value(),
        focal.value().isEmpty() ? Optional.of(true) : Optional.empty());
  }
}
