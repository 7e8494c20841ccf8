package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.fields.WordsEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.mirrors.MirrorReadings;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisit;

/**
 * What is typed on the mirrors sheet and what follows from it. Mirror 1 stands at one end of the
 * gantry's travel, mirror 2 rides on the gantry's left end. Knows no scene.
 */
public final class MirrorModel extends AnsweredModel<MarkPlace> {
  /** At the ends of the travel the head is stopped this far inside. */
  private static final double INSIDE_MM = 20;

  private final Machine machine;
  private final Map<MarkPlace, List<NumberEntry>> marks = new EnumMap<>(MarkPlace.class);
  private final NumberEntry resolution =
      keep("resolution", new NumberEntry("Marks read to", "mm", 0.01, 10));
  private final NumberEntry aperture = keep("aperture", new NumberEntry("Opening", "mm", 1, 200));
  private final NumberEntry tolerance =
      keep("tolerance", new NumberEntry("Wander at most", "mm", 0.05, 20));
  private final NumberEntry beam = keep("beam", new NumberEntry("Beam, 1/e²", "mm", 0.1, 100));
  private final NumberEntry toGantry =
      keep("toGantry", new NumberEntry("Mirror 1 to 2, nearest", "mm", 1, 10_000));
  private final NumberEntry toHead =
      keep("toHead", new NumberEntry("Mirror 2 to head, nearest", "mm", 1, 10_000));
  private final NumberEntry arm = keep("arm", new NumberEntry("Screw to pivot", "mm", 5, 500));
  private final NumberEntry pitch =
      keep("pitch", new NumberEntry("Pitch of the screws", "mm", 0.05, 5));
  private final ObjectProperty<MirrorOneAt> mirrorOneAt =
      choose("mirrorOneAt", MirrorOneAt.class, MirrorOneAt.REAR);
  private final List<ObjectProperty<Towards>> clockwise = new ArrayList<>();
  private final WordsEntry leastPulse =
      keep(EntryDesk.READING + "leastPulse", new WordsEntry("Least pulse that marks", w -> {}));
  private final ReadOnlyObjectWrapper<MirrorOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new MirrorOutcome.Waiting(""));

  public MirrorModel(Machine machine) {
    super(AnsweredModel::nameOf);
    this.machine = machine;
    for (MarkPlace place : MarkPlace.values()) {
      String name = EntryDesk.READING + AnsweredModel.nameOf(place);
      marks.put(
          place,
          List.of(
              keep(name + ".right", new NumberEntry(place.words() + ", right", "mm", -200, 200)),
              keep(name + ".up", new NumberEntry(place.words() + ", up", "mm", -200, 200))));
    }
    for (String screw : List.of("1.sideways", "1.upDown", "2.sideways", "2.upDown")) {
      clockwise.add(
          choose(
              "clockwise." + screw,
              Towards.class,
              screw.endsWith("sideways") ? Towards.RIGHT : Towards.UP));
    }
    resolution.set(0.5);
    aperture.set(16);
    tolerance.set(1);
    toGantry.set(150);
    toHead.set(120);
    arm.set(50);
    pitch.set(0.5);
    begin();
  }

  public Map<MarkPlace, List<NumberEntry>> marks() {
    return marks;
  }

  List<NumberEntry> limits() {
    return List.of(resolution, aperture, tolerance, beam);
  }

  List<NumberEntry> paths() {
    return List.of(toGantry, toHead);
  }

  List<NumberEntry> screws() {
    return List.of(arm, pitch);
  }

  ObjectProperty<MirrorOneAt> mirrorOneAtProperty() {
    return mirrorOneAt;
  }

  /** Sideways and up-and-down of mirror 1, then of mirror 2. */
  List<ObjectProperty<Towards>> clockwise() {
    return clockwise;
  }

  WordsEntry leastPulse() {
    return leastPulse;
  }

  public ReadOnlyObjectProperty<MirrorOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  @Override
  protected void solve() {
    outcome.set(outcome());
  }

  private MirrorOutcome outcome() {
    Optional<String> problem = firstProblem(fields().stream());
    if (problem.isPresent()) {
      return new MirrorOutcome.Refused(problem.get());
    }
    Optional<NumberEntry> missing =
        Stream.of(List.of(resolution, aperture, tolerance), paths(), screws())
            .flatMap(List::stream)
            .filter(NumberEntry::isEmpty)
            .findFirst()
            .or(() ->
                marks.values().stream()
                    .filter(NumberEntry::begun)
                    .flatMap(List::stream)
                    .filter(NumberEntry::isEmpty)
                    .findFirst());
    if (missing.isPresent()) {
      return new MirrorOutcome.Waiting(missing.get().name());
    }
    try {
      MirrorVisit visit = visit();
      return new MirrorOutcome.Found(visit, visit.solve());
    } catch (UnusableReading e) {
      var first = e.complaints().getFirst();
      return first.field().equals("marks")
          ? new MirrorOutcome.Waiting(first.accepted())
          : new MirrorOutcome.Refused(
              "%s is %s. Accepted is %s."
                  .formatted(first.field(), first.found(), first.accepted()));
    }
  }

  private MirrorVisit visit() {
    List<Mark> read = new ArrayList<>();
    marks.forEach((place, entries) -> {
      if (NumberEntry.begun(entries)) {
        double from1 = pathFrom1Mm(place);
        double from2 = pathFrom2Mm(place);
        read.add(
            new Mark(
                place.head() ? At.HEAD : At.MIRROR_2,
                place.head() ? from1 + from2 : from1,
                place.head() ? OptionalDouble.of(from2) : OptionalDouble.empty(),
                entries.get(0).number(),
                entries.get(1).number()));
      }
    });
    return new MirrorVisit(
        new MirrorReadings(
            resolution.number(),
            aperture.number(),
            tolerance.number(),
            Map.of("1", mount(0), "2", mount(2)),
            read),
        beam.value(),
        leastPulse.text().strip());
  }

  private Mount mount(int first) {
    return new Mount(
        new Screw(arm.number(), pitch.number(), clockwise.get(first).get()),
        new Screw(arm.number(), pitch.number(), clockwise.get(first + 1).get()));
  }

  /** From mirror 1 to mirror 2. */
  double pathFrom1Mm(MarkPlace place) {
    boolean near = place.rear() == (mirrorOneAt.get() == MirrorOneAt.REAR);
    return toGantry.number() + (near ? INSIDE_MM : machine.areaYMm() - INSIDE_MM);
  }

  /** From mirror 2 to the head. */
  double pathFrom2Mm(MarkPlace place) {
    return toHead.number() + (place.left() ? INSIDE_MM : machine.areaXMm() - INSIDE_MM);
  }
}
