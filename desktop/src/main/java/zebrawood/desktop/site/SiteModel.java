package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.Proven;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.site.Site;
import zebrawood.site.SiteReadings;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteReadings.Proof;

/**
 * What is typed on the site sheet and what follows from it. A part counts once anything of it is
 * typed; then all of it is needed. Knows no scene.
 */
public final class SiteModel extends AnsweredModel<Item> {
  private final Machine machine;
  private final FeedFields feed;
  private final ArrivalFields arrival;
  private final BreathingFields breathing;
  private final EyewearFields eyewear;
  private final ReadOnlyObjectWrapper<SiteOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new SiteOutcome.Waiting(""));

  public SiteModel(Machine machine) {
    super(AnsweredModel::nameOf);
    this.machine = machine;
    feed = new FeedFields(this);
    arrival = new ArrivalFields(this, machine);
    breathing = new BreathingFields(this, machine);
    eyewear = new EyewearFields(this, machine);
    Stream.of(Item.values()).filter(i -> i.appliesTo(machine)).forEach(this::ask);
    begin();
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

  EyewearFields eyewear() {
    return eyewear;
  }

  public ReadOnlyObjectProperty<SiteOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  @Override
  protected void solve() {
    outcome.set(outcome());
  }

  private SiteOutcome outcome() {
    Optional<String> problem = firstProblem(fields().stream());
    if (problem.isPresent()) {
      return new SiteOutcome.Refused(problem.get());
    }
    Optional<NumberEntry> missing =
        Stream.of(feed.needed(), arrival.needed(), breathing.needed(), eyewear.needed())
            .flatMap(s -> s)
            .filter(NumberEntry::isEmpty)
            .findFirst();
    if (missing.isPresent()) {
      return new SiteOutcome.Waiting(missing.get().name());
    }
    try {
      SiteReadings readings = readings();
      return new SiteOutcome.Found(readings, Site.solve(machine, readings));
    } catch (UnusableReading e) {
      var first = e.complaints().getFirst();
      return new SiteOutcome.Refused(
          "%s is %s. Accepted is %s.".formatted(first.field(), first.found(), first.accepted()));
    }
  }

  private SiteReadings readings() {
    List<Proof> made = new ArrayList<>();
    proofs()
        .forEach((item, proven) -> {
          if (proven.get() != Proven.NOT_YET) {
            made.add(new Proof(item, proven.get() == Proven.YES));
          }
        });
    return new SiteReadings(
        arrival.readings(),
        feed.readings(),
        breathing.readings(),
        eyewear.readings(),
        eyewear.divergenceMrad(),
        made);
  }
}
