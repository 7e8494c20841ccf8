package zebrawood.desktop.rotary;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.rotary.Seating;
import zebrawood.rotary.Seating.Axis;
import zebrawood.rotary.Seating.Gaps;
import zebrawood.rotary.Seating.Gauge;
import zebrawood.rotary.Seating.Height;
import zebrawood.words.Message;

/** How the work lies: its axis by the spot at both ends, its middle by gaps or a gauge. */
final class SeatSection extends Section<Seating, Void> {
  private static final double MOST = 10_000;
  private static final int FIRST_HEIGHTS = 3;
  private static final int MOST_HEIGHTS = 30;
  private static final double USUAL_SPOT = 0.2;
  private static final double USUAL_GAUGE = 0.1;

  private final QuantityField apart;
  private final QuantityField off;
  private final QuantityField spotTo;
  private final QuantityField aside;
  private final QuantityField front;
  private final QuantityField rear;
  private final QuantityField gaugeTo;
  private final Group<Row> heights;
  private final Supplier<OptionalDouble> crownRise;

  private record Row(QuantityField at, QuantityField height) {
    Height read() {
      return new Height(at.number(), height.number());
    }
  }

  /**
   * @param crownRise by how much the crown is higher than that of the work before; empty where it
   *     is not known
   */
  SeatSection(StationForm form, Supplier<OptionalDouble> crownRise) {
    super(Message.NONE);
    this.crownRise = crownRise;
    apart = form.positive("reading.apart", Quantity.LENGTH, MOST);
    off = form.quantity("reading.off", Quantity.LENGTH, -MOST, MOST);
    spotTo = form.quantity("spotTo", Quantity.LENGTH, 0, MOST);
    aside = form.positive("reading.aside", Quantity.LENGTH, MOST);
    front = form.quantity("reading.front", Quantity.LENGTH, 0, MOST);
    rear = form.quantity("reading.rear", Quantity.LENGTH, 0, MOST);
    gaugeTo = form.quantity("gaugeTo", Quantity.LENGTH, 0, MOST);
    heights = form.group("reading.height", FIRST_HEIGHTS, MOST_HEIGHTS, i -> row(form, i));
    spotTo.set(USUAL_SPOT);
    gaugeTo.set(USUAL_GAUGE);
  }

  private static Row row(StationForm form, int i) {
    String at = "reading.height." + i + ".";
    return new Row(
        form.quantity(
            at + "at", Message.of("rotary.field.heightAt", i), Quantity.LENGTH, -MOST, MOST),
        form.quantity(
            at + "height", Message.of("rotary.field.height", i), Quantity.LENGTH, -MOST, MOST));
  }

  private boolean isBegun(QuantityField... fields) {
    return Stream.of(fields).anyMatch(f -> !f.isEmpty());
  }

  @Override
  public Stream<? extends Field> fields() {
    return Stream.concat(
        Stream.of(apart, off, spotTo, aside, front, rear, gaugeTo),
        heights.begun().stream().flatMap(r -> Stream.of(r.at, r.height)));
  }

  @Override
  public Stream<? extends Field> needed() {
    Stream<Field> axis = isBegun(apart, off) ? Stream.of(apart, off, spotTo) : Stream.empty();
    Stream<Field> gaps =
        isBegun(aside, front, rear) ? Stream.of(aside, front, rear, gaugeTo) : Stream.empty();
    return Stream.of(axis, gaps, heights.fieldsBegun().stream()).flatMap(f -> f);
  }

  @Override
  public Part part() {
    return Part.fold(
        "rotary.seat",
        said(),
        Part.heading("rotary.seat.axis", "rotary.seat.axis.why"),
        Part.rows(apart, off, spotTo),
        Part.heading("rotary.seat.middle", "rotary.seat.middle.why"),
        Part.rows(aside, front, rear, gaugeTo),
        new Part.GrowingRows(
            heights,
            List.of(Message.of("rotary.heading.at"), Message.of("rotary.heading.height")),
            Message.of("rotary.another-height")));
  }

  @Override
  protected Optional<Seating> understood() {
    boolean axis = isBegun(apart, off);
    boolean gaps = isBegun(aside, front, rear);
    List<Row> read = heights.begun();
    if (!axis && !gaps && read.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Seating(
            axis
                ? Optional.of(new Axis(apart.number(), off.number(), spotTo.number()))
                : Optional.empty(),
            gaps
                ? Optional.of(
                    new Gaps(aside.number(), front.number(), rear.number(), gaugeTo.number()))
                : Optional.empty(),
            read.isEmpty()
                ? Optional.empty()
                : Optional.of(new Gauge(read.stream().map(Row::read).toList(), gaugeTo.number()))));
  }

  /** What the work before says of the focus. */
  @Override
  protected Message words() {
    OptionalDouble rise = crownRise.get();
    if (rise.isEmpty()) {
      return Message.of("rotary.crown-not-known");
    }
    double mm = rise.getAsDouble();
    if (Math.abs(mm) < USUAL_GAUGE) {
      return Message.of("rotary.crown-as-before");
    }
    return Message.of(
        mm > 0 ? "rotary.crown-higher" : "rotary.crown-lower", Amount.mm(Math.abs(mm), 1));
  }

  void read(Axis axis, Gaps gaps) {
    apart.set(axis.apartMm());
    off.set(axis.offMm());
    spotTo.set(axis.readMm());
    aside.set(gaps.asideMm());
    front.set(gaps.frontMm());
    rear.set(gaps.rearMm());
    gaugeTo.set(gaps.readMm());
  }
}
