package zebrawood.desktop.mirrors;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.mirrors.MirrorReadings.Mount;
import zebrawood.mirrors.MirrorReadings.Screw;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisitReadings.ScrewsBy;
import zebrawood.mirrors.ScrewTrial;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** The screws of all mounts: how they were made, and what a trial turn of each did. */
final class ScrewFields {
  private static final double QUARTER = 0.25;

  private final ChoiceField<ScrewsBy> by;
  private final QuantityField arm;
  private final QuantityField pitch;

  /** Of each mirror the sideways screw, then the other. */
  private final List<TrialFields> all;

  ScrewFields(StationForm form, int mirrors) {
    by = form.choice("screwsBy", ScrewsBy.class, ScrewsBy.TRIAL);
    arm = form.quantity("arm", Quantity.LENGTH, 5, 500);
    pitch = form.quantity("pitch", Quantity.LENGTH, 0.05, 5);
    all =
        IntStream.rangeClosed(1, mirrors)
            .boxed()
            .flatMap(m -> Stream.of(screw(form, m, true), screw(form, m, false)))
            .toList();
    arm.set(50);
    pitch.set(0.5);
  }

  private static TrialFields screw(StationForm form, int mirror, boolean sideways) {
    String name = mirror + (sideways ? ".sideways" : ".upDown");
    Message said =
        Message.of(sideways ? "mirrors.trial.sideways" : "mirrors.trial.up-down", mirror);
    QuantityField turned =
        form.quantity(
            "trial." + name + ".turned",
            Message.of("mirrors.trial.turned-of", said),
            Quantity.NUMBER,
            -5,
            5);
    turned.set(QUARTER);
    List<Towards> ways =
        sideways ? List.of(Towards.RIGHT, Towards.LEFT) : List.of(Towards.UP, Towards.DOWN);
    return new TrialFields(
        mirror,
        sideways,
        form.choice(
            "clockwise." + name,
            Message.of(
                sideways ? "mirrors.clockwise.sideways" : "mirrors.clockwise.up-down", mirror),
            ways,
            ways.getFirst()),
        turned,
        MarkFields.in(form, "trial." + name, said));
  }

  ChoiceField<ScrewsBy> by() {
    return by;
  }

  List<TrialFields> all() {
    return all;
  }

  Stream<QuantityField> needed() {
    return Stream.concat(
        Stream.of(arm, pitch),
        all.stream()
            .filter(TrialFields::tried)
            .flatMap(s -> Stream.of(s.turned(), s.moved().right(), s.moved().up())));
  }

  List<ScrewTrial> trials(BeamLegs legs) {
    return all.stream()
        .filter(TrialFields::tried)
        .map(s -> {
          double[] from = legs.pathsMm(legs.furthestAfter(s.mirror()));
          return new ScrewTrial(
              s.mirror(),
              s.sideways(),
              s.turned().number(),
              s.moved().right().number(),
              s.moved().up().number(),
              from[s.mirror() - 1]);
        })
        .toList();
  }

  /** By the number of the mirror, as they are drawn. */
  Map<String, Mount> mounts() {
    Map<String, Mount> mounts = new HashMap<>();
    for (int i = 0; i < all.size(); i += 2) {
      mounts.put(
          String.valueOf(all.get(i).mirror()), new Mount(drawn(all.get(i)), drawn(all.get(i + 1))));
    }
    return mounts;
  }

  private Screw drawn(TrialFields screw) {
    return new Screw(arm.number(), pitch.number(), screw.clockwise().get());
  }

  /** A row a screw: how far it was turned on trial, and how far the mark moved. */
  List<Part> trialParts(BeamLegs legs, Message up) {
    List<Message> tapes =
        IntStream.rangeClosed(1, all.size() / 2)
            .mapToObj(
                mirror -> Message.of("mirrors.trial.tape", mirror, legs.furthestAfter(mirror)))
            .toList();
    return List.of(
        Part.hint("mirrors.trial.hint", Message.list(tapes)),
        new Part.Table(
            List.of(
                Message.of("mirrors.trial.screw"),
                Message.of("mirrors.trial.turned"),
                Message.of("mirrors.right"),
                up),
            all.stream().map(s -> new Part.TableRow(s.name(), s.fields().toList())).toList()));
  }

  List<Part> mountParts() {
    return List.of(
        Part.rows(by),
        new Part.LabelledChoices(all.stream().map(TrialFields::clockwise).toList()),
        Part.rows(arm, pitch));
  }
}
