package zebrawood.desktop.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.Thicknesses;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.field.HeadTilt;
import zebrawood.field.Keystone;
import zebrawood.ledger.EventKind;
import zebrawood.measure.ShimStacks;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What wrong height does to the size, and what shims a trapezoid asks for. */
final class TiltSection extends Section<Void, Void> {
  private static final double LARGEST_MM = 5000;

  /** A stack of shims may be off by so much. */
  private static final double STACK_WITHIN_MM = 0.05;

  private final QuantityField distance;
  private final QuantityField columnBase;
  private final QuantityField bracketBase;
  private final WordsField atHand;
  private final QuantityField field;
  private final Supplier<Optional<Keystone>> grown;
  private boolean practising;

  /**
   * @param field its size, as typed elsewhere on the sheet
   * @param grown what a grid says of a lean
   */
  TiltSection(StationForm form, QuantityField field, Supplier<Optional<Keystone>> grown) {
    super(Message.of("field.tilt.needs"));
    distance = form.positive("distance", Quantity.LENGTH, LARGEST_MM);
    columnBase = form.positive("columnBase", Quantity.LENGTH, LARGEST_MM);
    bracketBase = form.positive("bracketBase", Quantity.LENGTH, LARGEST_MM);
    atHand = form.lengths("atHand", TiltSection::thicknesses);
    this.field = field;
    this.grown = grown;
  }

  private static List<Double> thicknesses(String words) {
    return Thicknesses.read("field.field.atHand", words);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(distance, columnBase, bracketBase, atHand);
  }

  @Override
  public Part part() {
    return Part.fold(
        "field.height",
        Part.rows(distance, columnBase, bracketBase, atHand),
        said(),
        new Part.Press("field-shimmed", Message.of("field.tilt.shimmed"), this::shimmed));
  }

  @Override
  protected Message words() {
    if (distance.value().isEmpty() || field.value().isEmpty()) {
      return Message.of("field.tilt.needs");
    }
    List<Message> said = new ArrayList<>();
    said.add(HeadTilt.heightSaid(field.number(), distance.number()));
    grown
        .get()
        .ifPresentOrElse(
            p ->
                said.addAll(
                    HeadTilt.of(p, field.number(), distance.number())
                        .said(columnBase.value(), bracketBase.value(), stacks())),
            () -> said.add(Message.of("field.tilt.grid")));
    return Message.sentences(said);
  }

  private Optional<ShimStacks> stacks() {
    return atHand.isEmpty() || atHand.problem().isPresent()
        ? Optional.empty()
        : Optional.of(new ShimStacks(thicknesses(atHand.inMillimetres()), STACK_WITHIN_MM));
  }

  /** On a stand-in nothing is shimmed that the record would have to know. */
  void practising(boolean now) {
    practising = now;
  }

  private void shimmed() {
    if (practising) {
      say(Message.of("field.tilt.practice"));
    } else {
      sheet().ifPresent(s -> s.host().askEvent(EventKind.HEAD_SHIMMED));
    }
  }
}
