package zebrawood.desktop.sample;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** All the interface that a station of three fields, a picture and a practice needs. */
public final class SampleModel extends StationModel<Widths.Readings, Widths.Found> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(Widths.STATION, (ledger, units) -> new SampleModel(units));

  private static final double PIXELS_PER_MM = 60;

  private final QuantityField left = width("reading.left");
  private final QuantityField middle = width("reading.middle");
  private final QuantityField right = width("reading.right");

  SampleModel(DisplayUnits units) {
    super(new StationForm("sample", units), Widths.VISIT);
    startSolving();
  }

  private QuantityField width(String name) {
    return form().positive(name, Quantity.LENGTH, 5);
  }

  @Override
  protected Stream<QuantityField> needed() {
    return Stream.of(left, middle, right);
  }

  @Override
  protected Widths.Readings readings() {
    return new Widths.Readings(left.number(), middle.number(), right.number());
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        Part.rows(left, middle, right),
        new Part.ReadingStatus(),
        new Part.PracticeEntry());
  }

  @Override
  public void draw(Canvas on) {
    double y = on.height() / 2;
    List<QuantityField> widths = List.of(left, middle, right);
    for (int i = 0; i < widths.size(); i++) {
      double x = on.width() * (i + 1) / 4;
      double high = widths.get(i).value().orElse(0) * PIXELS_PER_MM;
      on.rectangle(x - 20, y - high / 2, 40, high, "plan-bed");
    }
  }

  @Override
  public Optional<Practice<?, ?, Widths.Readings, Widths.Found>> practice() {
    return Optional.of(
        new Practice<SampleModel, Widths.StandIn, Widths.Readings, Widths.Found>(this) {
          @Override
          protected Widths.StandIn make(long number) {
            return new Widths.StandIn(number);
          }

          @Override
          protected void read(Widths.StandIn from) {
            left.set(from.widthMm(-1));
            middle.set(from.widthMm(0));
            right.set(from.widthMm(1));
          }

          @Override
          protected void obey(
              Widths.StandIn on, Outcome.Solved<Widths.Readings, Widths.Found> found) {
            on.leanBack(found.finding().leanMm());
            form().clearReadings();
          }

          @Override
          protected Message stands(Widths.StandIn on) {
            return Message.of(
                "practice.left", Math.round(Math.abs(on.widthMm(1) - on.widthMm(-1))));
          }

          @Override
          protected Message best(Widths.StandIn on) {
            return Message.of("practice.left", 0);
          }

          @Override
          protected List<Deed<Widths.StandIn>> deeds() {
            return List.of();
          }
        });
  }
}
