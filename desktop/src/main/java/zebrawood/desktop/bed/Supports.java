package zebrawood.desktop.bed;

import java.util.List;
import java.util.stream.Stream;
import zebrawood.bed.Clockwise;
import zebrawood.bed.Foot;
import zebrawood.bed.Frame;
import zebrawood.bed.Screw;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.Thicknesses;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.text.Text;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What the bed stands on, screws or feet; or the feet of a fixed head's column, of which nobody
 * knows where they stand before it is typed.
 */
final class Supports {
  /** A foot has a name and a place; a screw its pitch and its sense beside. */
  private static final int FOOT_COLUMNS = 3;

  private static final int SCREW_COLUMNS = 5;
  private static final double USUAL_PITCH_MM = 0.7;
  private static final String USUAL_SHIMS = "0.1, 0.2, 0.5, 1.0";
  private static final int MOST = 30;

  private final StationForm form;
  private final Machine machine;
  final Group<Support> rows;
  private final WordsField atHand;
  private final ChoiceField<Frame> frame;

  Supports(StationForm form, Machine machine) {
    this.form = form;
    this.machine = machine;
    atHand = form.lengths("atHand", Supports::thicknesses);
    frame = form.choice("frame", Frame.class, Frame.NOT_KNOWN);
    rows = form.group("support", "supports", 0, 4, 3, MOST, this::support);
    atHand.set(USUAL_SHIMS);
  }

  /** What a trial turn told, where nobody knew: all corners moved. */
  void foundStiff() {
    frame.set(Frame.STIFF);
  }

  boolean frameIsKnown() {
    return frame.get() != Frame.NOT_KNOWN;
  }

  private static List<Double> thicknesses(String words) {
    return Thicknesses.read("bed.field.at-hand", words);
  }

  /** Whether shims level it: a bed without screws, or a fixed head. */
  boolean onShims() {
    return machine.bedSupport() == BedSupport.SHIMS || underHead();
  }

  /** Whether the shims go under the column of a fixed head. */
  boolean underHead() {
    return machine.build() == Build.GALVO;
  }

  private Support support(int i) {
    String at = "support." + i + ".";
    double inset = onShims() ? 0 : BedModel.INSET_SHARE;
    boolean corner = i < 4;
    boolean right = i % 2 == 1;
    boolean rear = i / 2 == 1;
    WordsField id = form.plainWords(at + "id", Message.of("bed.support.name"));
    id.set(
        Text.of(corner ? BedPlace.corner(right, rear) : Message.of("bed.support.number", i + 1)));
    QuantityField x = place(at + "x", "bed.field.support-x", i);
    QuantityField y = place(at + "y", "bed.field.support-y", i);
    QuantityField pitch =
        form.quantity(
            at + "pitch", Message.of("bed.field.pitch", i + 1), Quantity.LENGTH, 0.001, 20);
    if (!underHead()) {
      x.set(machine.areaXMm() * (corner ? right ? 1 - inset : inset : 0.5));
      y.set(machine.areaYMm() * (corner ? rear ? 1 - inset : inset : 0));
    }
    pitch.set(USUAL_PITCH_MM);
    return new Support(
        id,
        x,
        y,
        pitch,
        form.choice(
            at + "clockwise",
            Message.of("bed.field.clockwise"),
            List.of(Clockwise.values()),
            Clockwise.RAISES));
  }

  private QuantityField place(String name, String key, int i) {
    return form.quantity(
        name, Message.of(key, i + 1), Quantity.LENGTH, -BedModel.FARTHEST_MM, BedModel.FARTHEST_MM);
  }

  Stream<Field> needed() {
    Stream<Field> each =
        rows.rows().stream()
            .flatMap(s ->
                onShims()
                    ? Stream.of(s.id(), s.x(), s.y())
                    : Stream.of(s.id(), s.x(), s.y(), s.pitch()));
    return onShims() ? Stream.concat(each, Stream.of(atHand)) : each;
  }

  List<Foot> feet() {
    return rows.rows().stream()
        .map(s -> new Foot(s.name(), s.x().number(), s.y().number()))
        .toList();
  }

  List<Double> atHandMm() {
    return thicknesses(atHand.inMillimetres());
  }

  List<Screw> screws() {
    return rows.rows().stream()
        .map(s ->
            new Screw(
                s.name(), s.x().number(), s.y().number(), s.pitch().number(), s.clockwise().get()))
        .toList();
  }

  ChoiceField<Frame> frame() {
    return frame;
  }

  Part part() {
    return Part.fold(
        onShims() ? underHead() ? "bed.feet.column" : "bed.feet" : "bed.screws",
        underHead() ? Part.hint("bed.feet.column.hint") : new Part.Together(List.of()),
        new Part.GrowingRows(
            rows,
            Stream.of(
                    "bed.support.heading",
                    "bed.support.x",
                    "bed.support.y",
                    "bed.support.pitch",
                    "bed.field.clockwise")
                .limit(onShims() ? FOOT_COLUMNS : SCREW_COLUMNS)
                .map(key -> Message.of(key))
                .toList(),
            Message.of(onShims() ? "bed.foot.another" : "bed.screw.another")),
        onShims()
            ? Part.rows(atHand)
            : new Part.Together(
                List.of(
                    new Part.LabelledChoices(List.of(frame)),
                    Part.hintOf(frame, ".hint"),
                    Part.hint("bed.screws.hint"))));
  }
}
