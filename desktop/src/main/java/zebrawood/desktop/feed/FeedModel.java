package zebrawood.desktop.feed;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.feed.FeedFinding;
import zebrawood.feed.FeedFit;
import zebrawood.feed.FeedReadings;
import zebrawood.feed.FeedReadings.Feed;
import zebrawood.feed.FeedStation;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** A long piece that is passed through one machine. */
public final class FeedModel extends StationModel<FeedReadings, FeedFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(FeedStation.STATION, (ledger, units) -> new FeedModel(units))
          .with(Solver.of("feed", FeedReadings.class, FeedFit::solve));

  private static final Quantity MM = Quantity.LENGTH;
  private static final double MOST = 1_000_000;
  private static final int FIRST = 3;
  private static final int MOST_FEEDS = 30;

  private final Group<Row> feeds;
  private final QuantityField readTo = form().quantity("readTo", MM, 0, MOST);
  private final QuantityField piece = form().positive("reading.piece", MM, MOST);
  private final QuantityField window = form().positive("window", MM, MOST);
  private final QuantityField overlap = form().quantity("overlap", MM, 0, MOST);
  private final QuantityField tolerance = form().positive("tolerance", MM, MOST);
  private final JointsSection joints;
  private final FeedPractice practice = new FeedPractice(this);

  private record Row(QuantityField commanded, QuantityField measured, QuantityField side) {
    boolean begun() {
      return !commanded.isEmpty() || !measured.isEmpty();
    }

    Feed feed() {
      return new Feed(commanded.number(), measured.number(), side.value().orElse(0));
    }
  }

  public FeedModel(DisplayUnits units) {
    super(new StationForm("feed", units), FeedStation.VISIT);
    feeds = form().group("reading.feed", FIRST, MOST_FEEDS, this::row);
    joints =
        new JointsSection(
            form(),
            piece,
            () -> solved().map(s -> s.finding()),
            () -> window.number() - overlap.number());
    readTo.set(0.5);
    overlap.set(0);
    tolerance.set(0.5);
    startSolving();
  }

  private Row row(int i) {
    String at = "reading.feed." + i + ".";
    return new Row(
        form().positive(at + "commanded", Message.of("feed.field.commanded", i), MM, MOST),
        form().positive(at + "measured", Message.of("feed.field.measured", i), MM, MOST),
        form().quantity(at + "side", Message.of("feed.field.side", i), MM, -MOST, MOST));
  }

  private List<Row> begun() {
    return feeds.rows().stream().filter(Row::begun).toList();
  }

  @Override
  protected Stream<Field> used() {
    return Stream.concat(needed(), feeds.rows().stream().map(Row::side));
  }

  @Override
  protected Stream<Field> needed() {
    List<Row> read = begun().isEmpty() ? List.of(feeds.rows().getFirst()) : begun();
    return Stream.concat(
        read.stream().flatMap(r -> Stream.of(r.commanded, r.measured)),
        Stream.of(piece, window, overlap, readTo, tolerance));
  }

  @Override
  protected FeedReadings readings() {
    return new FeedReadings(
        begun().stream().map(Row::feed).toList(),
        readTo.number(),
        piece.number(),
        window.number(),
        overlap.number(),
        tolerance.number(),
        joints.read());
  }

  @Override
  protected List<Section<?, ?>> sections() {
    return List.of(joints);
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        new Part.GrowingRows(
            feeds,
            List.of(
                Message.of("feed.heading.commanded"),
                Message.of("feed.heading.measured"),
                Message.of("feed.heading.side")),
            Message.of("feed.another")),
        Part.rows(piece, window, overlap, tolerance, readTo),
        joints.part(),
        new Part.ReadingStatus(),
        new Part.PracticeEntry());
  }

  @Override
  public void draw(Canvas on) {
    new SectionsPicture(on).draw(solved());
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<FeedReadings, FeedFinding> solved) {
    FeedFinding f = solved.finding();
    return List.of(
        FigureTile.of(Message.of("feed.figure.command"), Amount.mm(f.feedMm(), 1)),
        FigureTile.of(
            Message.of("feed.tile.sections"),
            Amount.of(
                f.joints().isEmpty() ? f.sections() : f.joints().size() + 1, Quantity.NUMBER, 0)),
        FigureTile.of(Message.of("feed.tile.splice"), Amount.mm(f.spliceErrorMm(), 2)),
        FigureTile.of(Message.of("feed.tile.last"), Amount.mm(f.lastErrorMm(), 2)));
  }

  @Override
  public Optional<Practice<?, ?, FeedReadings, FeedFinding>> practice() {
    return Optional.of(practice);
  }

  /** Types feeds, and a piece where none is typed. */
  void read(List<Feed> read) {
    if (piece.isEmpty()) {
      piece.set(1500);
    }
    if (window.isEmpty()) {
      window.set(400);
      overlap.set(20);
    }
    feeds.resize(read.size());
    for (int i = 0; i < read.size(); i++) {
      Row row = feeds.rows().get(i);
      row.commanded.set(read.get(i).commandedMm());
      row.measured.set(read.get(i).measuredMm());
      row.side.set(read.get(i).sideMm());
    }
  }
}
