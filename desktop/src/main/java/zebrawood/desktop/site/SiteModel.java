package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Proofs;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Solver;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.machine.Machine;
import zebrawood.machine.NeverIn;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.picture.Canvas;
import zebrawood.site.Site;
import zebrawood.site.SiteFinding;
import zebrawood.site.SiteReadings;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteStation;
import zebrawood.site.SiteSurvey;
import zebrawood.words.Message;

/**
 * The site station at one machine. A part counts once anything of it is typed; then all of it is
 * needed.
 */
public final class SiteModel extends StationModel<SiteReadings, SiteFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.of(
              SiteStation.STATION, (ledger, units) -> new SiteModel(ledger.machine(), units))
          .cautioning(SiteStation::caution)
          .with(Solver.of("site", SiteSurvey.Readings.class, SiteSurvey::solve));

  final FeedFields feed;
  final ArrivalFields arrival;
  final BreathingFields breathing;
  final EyewearFields eyewear;
  final Proofs<Item> proofs;

  public SiteModel(Machine machine, DisplayUnits units) {
    super(new StationForm("site", units), Site.visit(machine));
    feed = new FeedFields(form());
    arrival = new ArrivalFields(form(), machine);
    breathing = new BreathingFields(form(), machine);
    eyewear = new EyewearFields(form(), machine);
    proofs = form().proofs(Site.asked(machine));
    startSolving();
  }

  @Override
  protected Stream<Field> needed() {
    return Stream.of(feed.needed(), arrival.needed(), breathing.needed(), eyewear.needed())
        .flatMap(s -> s);
  }

  @Override
  protected SiteReadings readings() {
    return new SiteReadings(
        arrival.readings(),
        feed.readings(),
        breathing.readings(),
        eyewear.readings(),
        eyewear.divergenceMrad(),
        proofs.answers());
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                new Part.Together(feed.earthParts()),
                new Part.ReadingStatus(),
                Part.hint("site.proofs"),
                Part.rows(proofs.fields()),
                new Part.PracticeEntry()));
    parts.addAll(arrival.roomAndWay());
    parts.add(feed.circuit());
    parts.add(breathing.exhaust());
    if (breathing.hasAirAssist()) {
      parts.add(breathing.air());
    }
    parts.add(eyewear.part());
    parts.add(arrival.unpacked());
    parts.add(
        Part.fold(
            "site.never",
            Stream.of(NeverIn.values())
                .map(n -> Part.hint("site.never.line", n, Message.of(Message.keyOf(n) + ".why")))
                .toArray(Part[]::new)));
    parts.add(Part.fold("site.limits", Part.rows(feed.earthLimit())));
    return parts;
  }

  @Override
  public void draw(Canvas on) {
    DuctPicture.draw(on, solved());
  }

  @Override
  public boolean hasPaperDrawing() {
    return solved().filter(f -> f.readings().breathing().duct().isPresent()).isPresent();
  }

  @Override
  public Optional<Practice<?, ?, SiteReadings, SiteFinding>> practice() {
    return Optional.of(new SitePractice(this));
  }
}
