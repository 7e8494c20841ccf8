package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.sheet.AnsweredSheet;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Numbers;
import zebrawood.records.site.SiteRecord;
import zebrawood.site.Site;
import zebrawood.site.SiteFinding;
import zebrawood.site.SiteStation;

/** The site station's sheet. */
public final class SiteSheet extends AnsweredSheet {
  private final SiteModel model;
  private final SitePractice practice;

  public SiteSheet(SheetHost host) {
    this(host, new SiteModel(host.workshop().opened().machine()));
  }

  private SiteSheet(SheetHost host, SiteModel model) {
    this(host, model, new SitePractice(model, host.workshop().clock()));
  }

  private SiteSheet(SheetHost host, SiteModel model, SitePractice practice) {
    super(
        host,
        SiteStation.STATION,
        model,
        kept -> SiteRecord.of(kept).typed(),
        Optional.of(practice));
    this.model = model;
    this.practice = practice;
    assemble(
        new SitePane(model, practice, this::focusPrimary),
        Text.of("site.picture.title"),
        Text.of("site.picture.legend"),
        new DuctPicture(model));
    model.setOnTyped(this::keepDraft);
    model.outcomeProperty().subscribe(o -> showAdvice());
  }

  @Override
  protected void obey() {
    if (model.outcomeProperty().get() instanceof SiteOutcome.Found found) {
      practice.obey(found);
    }
  }

  @Override
  protected Shown shown() {
    return switch (model.outcomeProperty().get()) {
      case SiteOutcome.Waiting(String next) ->
          nothing(new Step("", Text.of("cooling.do.read", next), Text.of("site.do.begun")));
      case SiteOutcome.Refused(String because) ->
          nothing(new Step("", Text.of("bed.do.mend"), because));
      case SiteOutcome.Found(var read, var finding) ->
          new Shown(
              finding.advice().stream().map(s -> Step.ofAdvice(s, Site.PROVE)).toList(),
              finding.warnings(),
              Text.of("site.caution"),
              summary(finding),
              Optional.of(
                  new EntryDesk.Reading(
                      SiteRecord.readings(model.typed(), read),
                      SiteRecord.finding(finding),
                      finding.verdict(),
                      Site.figures(read, finding))));
    };
  }

  private static Shown nothing(Step step) {
    return new Shown(List.of(step), List.of(), Text.of("site.caution"), "", Optional.empty());
  }

  private static String summary(SiteFinding f) {
    List<String> sentences = new ArrayList<>();
    f.circuit()
        .ifPresent(c ->
            sentences.add(
                Text.of(
                    "site.summary.circuit",
                    Numbers.fixed(c.amps(), 1),
                    Numbers.fixed(100 * c.shareOfBreaker(), 0))));
    f.duct()
        .ifPresent(d ->
            sentences.add(
                Text.of(
                    "site.summary.duct",
                    Numbers.fixed(d.lossPa(), 0),
                    Numbers.fixed(d.velocityMS(), 1))));
    f.duct()
        .filter(d -> d.operatingFlowM3H().isPresent())
        .ifPresent(d ->
            sentences.add(
                Text.of(
                    "site.summary.flow", Numbers.fixed(d.operatingFlowM3H().getAsDouble(), 0))));
    f.eyewear()
        .ifPresent(e ->
            sentences.add(
                Text.of("site.summary.eyewear", Numbers.fixed(e.requiredOpticalDensity(), 1))));
    f.hazardDistance()
        .ifPresent(h -> {
          h.alongBeamM()
              .ifPresent(m -> sentences.add(Text.of("site.summary.along", Numbers.fixed(m, 0))));
          sentences.add(Text.of("site.summary.matt", Numbers.fixed(h.fromMattM(), 1)));
        });
    f.weight()
        .ifPresent(w ->
            sentences.add(
                Text.of(
                    "site.summary.weight",
                    Numbers.fixed(w.kgPerM2(), 0),
                    Numbers.fixed(w.kgPerFoot(), 1),
                    w.footMPa().isPresent()
                        ? Text.of("site.summary.foot", Numbers.fixed(w.footMPa().getAsDouble(), 2))
                        : "")));
    return String.join(" ", sentences);
  }
}
