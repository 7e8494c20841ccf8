package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.desktop.sheet.Part;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.stations.StationDefinition;
import zebrawood.ledger.Figure;
import zebrawood.machine.Machine;
import zebrawood.machine.NeverIn;
import zebrawood.quantity.Amount;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.site.Site;
import zebrawood.site.SiteFinding;
import zebrawood.site.SiteReadings;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteReadings.Proof;
import zebrawood.site.SiteStation;
import zebrawood.site.SiteSurvey;
import zebrawood.words.Message;

/**
 * The site station at one machine. A part counts once anything of it is typed; then all of it is
 * needed.
 */
public final class SiteWork extends StationWork<SiteReadings, SiteFinding> {
  public static final StationDefinition DEFINITION =
      new StationDefinition(
          SiteStation.STATION,
          (ledger, units) -> new SiteWork(ledger.machine(), units),
          Solver.of("site", SiteSurvey.Readings.class, SiteSurvey::solve, Set.of()));

  private final Machine machine;
  private final FeedFields feed;
  private final ArrivalFields arrival;
  private final BreathingFields breathing;
  private final EyewearFields eyewear;
  private final Map<Item, ProofField> proofs = new EnumMap<>(Item.class);

  public SiteWork(Machine machine, DisplayUnits units) {
    super(new StationForm("site", units));
    this.machine = machine;
    feed = new FeedFields(form());
    arrival = new ArrivalFields(form(), machine);
    breathing = new BreathingFields(form(), machine);
    eyewear = new EyewearFields(form(), machine);
    for (Item item : Item.values()) {
      if (item.appliesTo(machine)) {
        proofs.put(item, form().proof(item));
      }
    }
    begin();
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
        answered(proofs, Proof::new));
  }

  @Override
  protected SiteFinding solve(SiteReadings readings) {
    return Site.solve(machine, readings);
  }

  @Override
  public List<Figure> figures(SiteReadings readings, SiteFinding finding) {
    return Site.figures(readings, finding);
  }

  @Override
  public List<Part> parts() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.heading("sheet.readings", "sheet.keys"),
                Part.rows(feed.earth()),
                new Part.Told(),
                Part.hint("site.proofs"),
                new Part.Rows(List.copyOf(proofs.values())),
                new Part.Practising()));
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
    DuctPicture.draw(on, found());
  }

  @Override
  public boolean hasPaperPicture() {
    return found().filter(f -> f.readings().breathing().duct().isPresent()).isPresent();
  }

  @Override
  public Message whyRead() {
    return Message.of("site.why-read");
  }

  @Override
  public Message caution() {
    return Message.of("site.caution");
  }

  @Override
  public Optional<Practice<?, SiteReadings, SiteFinding>> practice() {
    return Optional.of(new SitePractice(this));
  }

  @Override
  public List<Message> summary(Outcome.Found<SiteReadings, SiteFinding> found) {
    SiteFinding f = found.finding();
    List<Message> sentences = new ArrayList<>();
    f.circuit()
        .ifPresent(c ->
            sentences.add(
                Message.of(
                    "site.summary.circuit",
                    Amount.of(c.amps(), Quantity.CURRENT, 1),
                    Amount.of(100 * c.shareOfBreaker(), Quantity.PERCENT, 0))));
    f.duct()
        .ifPresent(d -> {
          sentences.add(
              Message.of(
                  "site.summary.duct",
                  Amount.of(d.lossPa(), Quantity.PRESSURE, 0),
                  Amount.of(d.velocityMS(), Quantity.AIR_SPEED, 1)));
          d.operatingFlowM3H()
              .ifPresent(q ->
                  sentences.add(Message.of("site.summary.flow", Amount.of(q, Quantity.FLOW, 0))));
        });
    f.eyewear()
        .ifPresent(e ->
            sentences.add(
                Message.of(
                    "site.summary.eyewear",
                    Amount.of(e.requiredOpticalDensity(), Quantity.OPTICAL_DENSITY, 1))));
    f.hazardDistance()
        .ifPresent(h -> {
          h.alongBeamM()
              .ifPresent(m ->
                  sentences.add(
                      Message.of("site.summary.along", Amount.of(m, Quantity.DISTANCE, 0))));
          sentences.add(
              Message.of("site.summary.matt", Amount.of(h.fromMattM(), Quantity.DISTANCE, 1)));
        });
    f.weight()
        .ifPresent(w -> {
          sentences.add(
              Message.of(
                  "site.summary.weight",
                  Amount.of(w.kgPerM2(), Quantity.FLOOR_LOAD, 0),
                  Amount.of(w.kgPerFoot(), Quantity.MASS, 1)));
          w.footMPa()
              .ifPresent(p ->
                  sentences.add(Message.of("site.summary.foot", Amount.of(p, Quantity.STRESS, 2))));
        });
    return sentences;
  }

  FeedFields feed() {
    return feed;
  }

  ArrivalFields arrival() {
    return arrival;
  }

  BreathingFields breathing() {
    return breathing;
  }

  Map<Item, ProofField> proofs() {
    return proofs;
  }
}
