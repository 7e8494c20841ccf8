package zebrawood.desktop.start;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.Proven;
import zebrawood.start.GoCard;
import zebrawood.start.GoLine;
import zebrawood.start.Start;
import zebrawood.start.StartReadings;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;

/** What is answered on the go card and what follows from it. Knows no scene. */
public final class StartModel extends AnsweredModel<GoLine> {
  private final boolean water;
  private final OptionalDouble warmestC;
  private final NumberEntry coolant =
      keep(EntryDesk.READING + "coolant", new NumberEntry("Coolant now", "°C", -40, 100));
  private final ReadOnlyObjectWrapper<GoCard> card;
  private final Set<GoLine> earlier = new HashSet<>();
  private final ReadOnlyObjectWrapper<StartOutcome> outcome = new ReadOnlyObjectWrapper<>();

  /**
   * @param water whether the machine is cooled by it
   * @param warmestC what was last kept as the coolant's limit, if anything
   */
  public StartModel(GoCard first, boolean water, OptionalDouble warmestC) {
    super(GoLine::id);
    this.water = water;
    this.warmestC = warmestC;
    card = new ReadOnlyObjectWrapper<>(first);
    first.lines().forEach(this::ask);
    begin();
  }

  /** The card whose lines are asked. */
  ReadOnlyObjectProperty<GoCard> cardProperty() {
    return card.getReadOnlyProperty();
  }

  NumberEntry coolant() {
    return coolant;
  }

  boolean water() {
    return water;
  }

  /**
   * The card as it is now, and what was so earlier today and is not asked again.
   *
   * @param now newer than the one before when something went wrong since
   */
  void setToday(GoCard now, List<StartReadings> today) {
    if (!now.equals(card.get())) {
      askOnly(now.lines());
      card.set(now);
    }
    earlier.clear();
    proofs().keySet().stream()
        .filter(line -> onceADay(line) && Start.proven(line, today))
        .forEach(earlier::add);
    solve();
  }

  private static boolean onceADay(GoLine line) {
    return line.kind().protects() || line.kind() == GoLine.Kind.SWITCH_ON;
  }

  boolean earlier(GoLine line) {
    return earlier.contains(line);
  }

  public ReadOnlyObjectProperty<StartOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  @Override
  protected void solve() {
    Optional<String> problem = firstProblem(Stream.of(coolant));
    if (problem.isPresent()) {
      outcome.set(new StartOutcome.Refused(problem.get()));
      return;
    }
    StartReadings readings =
        new StartReadings(
            proofs().entrySet().stream()
                .map(e -> new Asked(e.getKey(), answer(e.getKey(), e.getValue().get())))
                .toList(),
            coolant.value(),
            warmestC,
            water);
    outcome.set(new StartOutcome.Found(readings, Start.solve(readings)));
  }

  private Answer answer(GoLine line, Proven proven) {
    return switch (proven) {
      case YES -> Answer.YES;
      case NO -> Answer.NO;
      case NOT_YET -> earlier(line) ? Answer.EARLIER : Answer.NOT_YET;
    };
  }

  /** The next line that nobody has answered. */
  Optional<GoLine> next() {
    return proofs().entrySet().stream()
        .filter(e -> e.getValue().get() == Proven.NOT_YET && !earlier(e.getKey()))
        .map(java.util.Map.Entry::getKey)
        .findFirst();
  }
}
