package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.fields.WordsEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.Proven;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Machine;
import zebrawood.machine.Train;
import zebrawood.measure.Numbers;
import zebrawood.measure.UnusableReading;
import zebrawood.mirrors.MirrorReadings;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisit;
import zebrawood.mirrors.MirrorVisit.ScrewsBy;
import zebrawood.mirrors.Plumb;
import zebrawood.mirrors.Pointer;
import zebrawood.mirrors.QuickCheck;
import zebrawood.mirrors.ScrewTrial;

/**
 * What is typed on the mirrors sheet and what follows from it. The last mirror rides on the
 * gantry's left end, the one before it stands at one end of the gantry's travel. Knows no scene.
 */
public final class MirrorModel extends AnsweredModel<MirrorModel.Proof> {
  /** The full set of marks, or only a look whether they still hold. */
  public enum School {
    FULL,
    QUICK
  }

  /** What is looked at and answered. */
  public enum Proof {
    ROUND
  }

  /**
   * One screw, and what was typed of its trial.
   *
   * @param clockwise which way clockwise moves the beam, where it was not tried
   * @param trial turned, moved to the right, moved up
   */
  record ScrewFields(
      int mirror, boolean sideways, ObjectProperty<Towards> clockwise, List<NumberEntry> trial) {}

  private static final double QUARTER = 0.25;

  private final Machine machine;
  private final Train train;
  private final Map<MarkPlace, List<NumberEntry>> marks = new EnumMap<>(MarkPlace.class);
  private final ObjectProperty<School> school = choose("school", School.class, School.FULL);
  private final NumberEntry resolution =
      keep("resolution", new NumberEntry("Marks read to", "mm", 0.01, 10));
  private final NumberEntry aperture = keep("aperture", new NumberEntry("Opening", "mm", 1, 200));
  private final NumberEntry tolerance =
      keep("tolerance", new NumberEntry("Wander at most", "mm", 0.05, 20));
  private final NumberEntry beam = keep("beam", new NumberEntry("Beam, 1/e²", "mm", 0.1, 100));
  private final NumberEntry face = keep("face", new NumberEntry("Mirrors' faces", "mm", 1, 200));
  private final BeamLegs legs;
  private final NumberEntry arm = keep("arm", new NumberEntry("Screw to pivot", "mm", 5, 500));
  private final NumberEntry pitch =
      keep("pitch", new NumberEntry("Pitch of the screws", "mm", 0.05, 5));
  private final ObjectProperty<ScrewsBy> screwsBy =
      choose("screwsBy", ScrewsBy.class, ScrewsBy.TRIAL);
  private final List<ScrewFields> screws = new ArrayList<>();
  private final List<NumberEntry> tube =
      List.of(
          keep(EntryDesk.READING + "tube.right", new NumberEntry("Tube, right", "mm", -200, 200)),
          keep(EntryDesk.READING + "tube.up", new NumberEntry("Tube, up", "mm", -200, 200)));
  private final ObjectProperty<MarkPlace> again;
  private final List<NumberEntry> againMark =
      List.of(
          keep(EntryDesk.READING + "again.right", new NumberEntry("Again, right", "mm", -200, 200)),
          keep(EntryDesk.READING + "again.up", new NumberEntry("Again, up", "mm", -200, 200)));
  private final List<NumberEntry> plumb =
      List.of(
          nozzle("high.right", "High mark, right"),
          nozzle("high.rear", "High mark, rear"),
          nozzle("low.right", "Low mark, right"),
          nozzle("low.rear", "Low mark, rear"),
          keep("lowered", new NumberEntry("Table lowered by", "mm", 1, 1000)),
          keep("toHigh", new NumberEntry("Head's mirror to high mark", "mm", 1, 1000)),
          keep("thickness", new NumberEntry("Stock", "mm", 0.1, 200)),
          keep("edge", new NumberEntry("Its edge may lean", "mm", 0.01, 20)));
  private final List<NumberEntry> pointer =
      List.of(
          nozzle("dot.right", "Burn from dot, right"),
          nozzle("dot.rear", "Burn from dot, rear"),
          nozzle("dot.low.right", "Lowered, right"),
          nozzle("dot.low.rear", "Lowered, rear"),
          keep("dotLowered", new NumberEntry("Surface lowered by", "mm", 1, 1000)),
          keep("dotLimit", new NumberEntry("Dot off at most", "mm", 0.05, 50)));
  private final WordsEntry leastPulse =
      keep(EntryDesk.VISIT + "leastPulse", new WordsEntry("Least pulse that marks", w -> {}));
  private final ObjectProperty<Optional<MarkPlace>> active =
      new SimpleObjectProperty<>(Optional.empty());
  private Optional<MirrorReadings> before = Optional.empty();
  private final ReadOnlyObjectWrapper<MirrorOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new MirrorOutcome.Waiting(""));

  public MirrorModel(Machine machine) {
    super(AnsweredModel::nameOf);
    this.machine = machine;
    train = machine.mirrorTrain();
    List<MarkPlace> places = MarkPlace.of(train.mirrors());
    for (MarkPlace place : places) {
      String name = EntryDesk.READING + AnsweredModel.nameOf(place);
      marks.put(
          place,
          List.of(
              keep(name + ".right", new NumberEntry(place.words() + ", right", "mm", -200, 200)),
              keep(name + ".up", new NumberEntry(place.words() + ", up", "mm", -200, 200))));
    }
    again = choose("again", MarkPlace.class, places.getLast());
    legs =
        new BeamLegs(
            machine, this::keep, choose("mirrorOneAt", MirrorOneAt.class, MirrorOneAt.REAR));
    for (int mirror = 1; mirror <= train.mirrors(); mirror++) {
      screws.add(screw(mirror, true));
      screws.add(screw(mirror, false));
    }
    ask(Proof.ROUND);
    resolution.set(0.5);
    aperture.set(16);
    tolerance.set(1);
    arm.set(50);
    pitch.set(0.5);
    plumb.get(4).set(50);
    plumb.get(5).set(80);
    plumb.get(6).set(6);
    plumb.get(7).set(0.1);
    pointer.get(4).set(20);
    pointer.get(5).set(0.5);
    begin();
  }

  private NumberEntry nozzle(String name, String words) {
    return keep(EntryDesk.READING + name, new NumberEntry(words, "mm", -200, 200));
  }

  private ScrewFields screw(int mirror, boolean sideways) {
    String name = mirror + (sideways ? ".sideways" : ".upDown");
    String words =
        Text.of(sideways ? "mirrors.screw.short.sideways" : "mirrors.screw.short.up-down", mirror);
    NumberEntry turned =
        keep("trial." + name + ".turned", new NumberEntry(words + ", turned", "", -5, 5));
    turned.set(QUARTER);
    return new ScrewFields(
        mirror,
        sideways,
        choose("clockwise." + name, Towards.class, sideways ? Towards.RIGHT : Towards.UP),
        List.of(
            turned,
            keep("trial." + name + ".right", new NumberEntry(words + ", right", "mm", -200, 200)),
            keep("trial." + name + ".up", new NumberEntry(words + ", up", "mm", -200, 200))));
  }

  public Map<MarkPlace, List<NumberEntry>> marks() {
    return marks;
  }

  Train train() {
    return train;
  }

  ObjectProperty<School> schoolProperty() {
    return school;
  }

  /** The mark that is typed now, or clicked next. */
  ObjectProperty<Optional<MarkPlace>> activeProperty() {
    return active;
  }

  List<NumberEntry> limits() {
    return List.of(resolution, aperture, tolerance, beam, face);
  }

  List<NumberEntry> paths() {
    return legs.entries();
  }

  /** Arm and pitch, where they come from a drawing. */
  List<NumberEntry> drawing() {
    return List.of(arm, pitch);
  }

  ObjectProperty<MirrorOneAt> mirrorOneAtProperty() {
    return legs.mirrorOneAt();
  }

  ObjectProperty<ScrewsBy> screwsByProperty() {
    return screwsBy;
  }

  /** Sideways and up-and-down of mirror 1, then of the next. */
  public List<ScrewFields> screws() {
    return screws;
  }

  /** Where the beam from the tube meets mirror 1. */
  List<NumberEntry> tube() {
    return tube;
  }

  ObjectProperty<MarkPlace> againProperty() {
    return again;
  }

  List<NumberEntry> againMark() {
    return againMark;
  }

  List<NumberEntry> plumb() {
    return plumb;
  }

  List<NumberEntry> pointer() {
    return pointer;
  }

  WordsEntry leastPulse() {
    return leastPulse;
  }

  /** What was burnt before the screws were turned last, on the same visit. */
  void setBefore(Optional<MirrorReadings> earlier) {
    if (!earlier.equals(before)) {
      before = earlier;
      solve();
    }
  }

  public ReadOnlyObjectProperty<MirrorOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  /** Takes a place on the drawn tape for the mark that is typed now, read to the tape's step. */
  void click(MarkPlace place, double rightMm, double upMm) {
    double step = resolution.value().orElse(0.1);
    marks.get(place).get(0).textProperty().set(stepped(rightMm, step));
    marks.get(place).get(1).textProperty().set(stepped(upMm, step));
  }

  private static String stepped(double mm, double step) {
    return Numbers.plain(Math.round(mm / step) * step + 0.0);
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
    Optional<NumberEntry> missing = needed().filter(NumberEntry::isEmpty).findFirst();
    if (missing.isPresent()) {
      return new MirrorOutcome.Waiting(missing.get().name());
    }
    if (asked().noneMatch(m -> NumberEntry.begun(m.getValue()))) {
      return new MirrorOutcome.Waiting(asked().findFirst().orElseThrow().getKey().words());
    }
    if (school.get() == School.QUICK && proofs().get(Proof.ROUND).get() == Proven.NOT_YET) {
      return new MirrorOutcome.Waiting(Text.of("mirrors.round.wait"));
    }
    try {
      MirrorVisit visit = visit();
      return new MirrorOutcome.Found(visit, visit.solve());
    } catch (UnusableReading e) {
      var first = e.complaints().getFirst();
      return first.field().equals("marks") || first.field().equals("corners")
          ? new MirrorOutcome.Waiting(first.accepted())
          : new MirrorOutcome.Refused(
              "%s is %s. Accepted is %s."
                  .formatted(first.field(), first.found(), first.accepted()));
    }
  }

  private Stream<NumberEntry> needed() {
    Stream<NumberEntry> all =
        Stream.of(List.of(resolution, aperture, tolerance), legs.entries(), drawing())
            .flatMap(List::stream);
    all = Stream.concat(all, pairs().filter(NumberEntry::begun).flatMap(List::stream));
    for (List<NumberEntry> part : List.of(plumb, pointer)) {
      if (NumberEntry.begun(part.subList(0, 4))) {
        all = Stream.concat(all, part.stream());
      }
    }
    for (ScrewFields screw : screws) {
      if (tried(screw)) {
        all = Stream.concat(all, screw.trial().stream());
      }
    }
    return all;
  }

  /** The places that this school reads. */
  private Stream<Map.Entry<MarkPlace, List<NumberEntry>>> asked() {
    return marks.entrySet().stream().filter(m -> school.get() == School.FULL || m.getKey().head());
  }

  private Stream<List<NumberEntry>> pairs() {
    return Stream.concat(asked().map(Map.Entry::getValue), Stream.of(tube, againMark));
  }

  private static boolean tried(ScrewFields screw) {
    return NumberEntry.begun(screw.trial().subList(1, 3));
  }

  private MirrorVisit visit() {
    boolean full = school.get() == School.FULL;
    return new MirrorVisit(
        full ? Optional.of(readings()) : Optional.empty(),
        full ? Optional.empty() : Optional.of(quick()),
        beam.value(),
        face.value(),
        NumberEntry.begun(tube) ? Optional.of(spot(tube)) : Optional.empty(),
        screwsBy.get(),
        trials(),
        full ? before : Optional.empty(),
        NumberEntry.begun(plumb.subList(0, 4)) ? Optional.of(plumbReadings()) : Optional.empty(),
        NumberEntry.begun(pointer.subList(0, 4))
            ? Optional.of(pointerReadings())
            : Optional.empty(),
        leastPulse.text().strip());
  }

  private MirrorReadings readings() {
    List<Mark> read = new ArrayList<>();
    marks.forEach((place, entries) -> {
      if (NumberEntry.begun(entries)) {
        read.add(mark(place, entries));
      }
    });
    if (NumberEntry.begun(againMark)) {
      read.add(mark(again.get(), againMark));
    }
    Map<String, Mount> mounts = new HashMap<>();
    for (int i = 0; i < screws.size(); i += 2) {
      mounts.put(
          String.valueOf(screws.get(i).mirror()),
          new Mount(
              new Screw(arm.number(), pitch.number(), screws.get(i).clockwise().get()),
              new Screw(arm.number(), pitch.number(), screws.get(i + 1).clockwise().get())));
    }
    return new MirrorReadings(
        resolution.number(), aperture.number(), tolerance.number(), mounts, read, machine.train());
  }

  private Mark mark(MarkPlace place, List<NumberEntry> entries) {
    double[] from = pathsMm(place);
    return new Mark(
        place.at(),
        from[0],
        from.length > 1 ? OptionalDouble.of(from[1]) : OptionalDouble.empty(),
        from.length > 2 ? OptionalDouble.of(from[2]) : OptionalDouble.empty(),
        entries.get(0).number(),
        entries.get(1).number());
  }

  private QuickCheck quick() {
    return new QuickCheck(
        resolution.number(),
        tolerance.number(),
        proofs().get(Proof.ROUND).get() == Proven.YES,
        asked().filter(e -> NumberEntry.begun(e.getValue())).map(e -> spot(e.getValue())).toList());
  }

  private static QuickCheck.Spot spot(List<NumberEntry> entries) {
    return new QuickCheck.Spot(entries.get(0).number(), entries.get(1).number());
  }

  private List<ScrewTrial> trials() {
    return screws.stream()
        .filter(MirrorModel::tried)
        .map(s -> {
          double[] from = pathsMm(MarkPlace.furthestAfter(s.mirror(), train.mirrors()));
          return new ScrewTrial(
              s.mirror(),
              s.sideways(),
              s.trial().get(0).number(),
              s.trial().get(1).number(),
              s.trial().get(2).number(),
              from[s.mirror() - 1]);
        })
        .toList();
  }

  private Plumb.Readings plumbReadings() {
    return new Plumb.Readings(
        plumb.get(0).number(),
        plumb.get(1).number(),
        plumb.get(2).number(),
        plumb.get(3).number(),
        plumb.get(4).number(),
        plumb.get(5).number(),
        plumb.get(6).number(),
        plumb.get(7).number(),
        resolution.number());
  }

  private Pointer.Readings pointerReadings() {
    return new Pointer.Readings(
        pointer.get(0).number(),
        pointer.get(1).number(),
        pointer.get(2).number(),
        pointer.get(3).number(),
        pointer.get(4).number(),
        pointer.get(5).number(),
        resolution.number());
  }

  /** The beam's path from each mirror before it to a mark, from mirror 1 on. */
  double[] pathsMm(MarkPlace place) {
    return legs.pathsMm(place);
  }
}
