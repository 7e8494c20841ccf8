package zebrawood.desktop.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.cards.GlassHole;
import zebrawood.cards.GlassMark;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** Glass under a galvo head: a mark inside of it, and a hole as a ring. */
final class GlassSection extends Section<Void, Void> {
  /** What a sheet bows, or a hand misreads. */
  private static final double FACE_OFF_MM = 0.1;

  private final QuantityField index;
  private final QuantityField inside;
  private final QuantityField hole;
  private final QuantityField ring;
  private final QuantityField layer;
  private final QuantityField thickness;
  private final Supplier<Optional<PulsesSection.Line>> line;

  /**
   * @param line hatch and speed, as they are set for the pulses
   */
  GlassSection(StationForm form, Supplier<Optional<PulsesSection.Line>> line) {
    super(Message.of("cards.glass.hint"));
    this.line = line;
    index = form.quantity("glassIndex", Quantity.NUMBER, 1, 2.5);
    inside = form.positive("insideDepth", Quantity.LENGTH, 500);
    hole = form.positive("holeDiameter", Quantity.LENGTH, 1000);
    ring = form.positive("ringWidth", Quantity.LENGTH, 500);
    layer = form.positive("layerDepth", Quantity.LENGTH, 100);
    thickness = form.positive("glassThickness", Quantity.LENGTH, 1000);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(index, inside, hole, ring, layer, thickness);
  }

  @Override
  public Part part() {
    return Part.fold("cards.glass", said(), Part.rows(index, inside, hole, ring, layer, thickness));
  }

  @Override
  protected Message words() {
    List<Message> said = new ArrayList<>();
    if (index.value().isPresent() && inside.value().isPresent()) {
      GlassMark mark = new GlassMark(index.number(), inside.number());
      said.add(
          Message.of(
              "cards.glass.inside",
              Amount.mm(mark.depthMm(), 2),
              Amount.mm(mark.headMm(), 2),
              Amount.mm(mark.offMm(FACE_OFF_MM), 2)));
    }
    hole()
        .ifPresent(h ->
            said.add(
                Message.of(
                    "cards.glass.hole",
                    h.layers(),
                    Amount.mm(h.layerMm(), 3),
                    Amount.of(h.lineMm() / 1000, Quantity.DISTANCE, 1),
                    Amount.of(h.seconds() / 60, Quantity.MINUTES, 1),
                    Amount.mm(h.layerMm(), 3))));
    return said.isEmpty() ? Message.of("cards.glass.hint") : Message.sentences(said);
  }

  private Optional<GlassHole> hole() {
    boolean told =
        Stream.of(hole, ring, layer, thickness).allMatch(f -> f.value().isPresent())
            && 2 * ring.number() <= hole.number();
    return told
        ? line.get()
            .map(l ->
                new GlassHole(
                    hole.number(),
                    ring.number(),
                    layer.number(),
                    thickness.number(),
                    l.hatchMm(),
                    l.speedMmS()))
        : Optional.empty();
  }
}
