package zebrawood.desktop.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.quantity.Quantity;
import zebrawood.site.Circuit;
import zebrawood.site.Feed;
import zebrawood.words.Message;

/** Earth, circuit, plug and fuse, as typed. */
final class FeedFields {
  private static final int MOST_LOADS = 30;
  private final QuantityField earth;
  private final ChoiceField<EarthBy> earthed;
  private final ProofField adapter;
  private final QuantityField earthLimit;
  private final QuantityField asked;
  private final QuantityField volts;
  private final QuantityField breaker;
  private final QuantityField share;
  private final QuantityField plug;
  private final QuantityField startUp;
  private final QuantityField fusePlate;
  private final QuantityField fuseFitted;
  private final Group<QuantityField> loads;
  private final Group<QuantityField> loadsInAmps;

  FeedFields(StationForm form) {
    earth = form.quantity("reading.earth", Quantity.RESISTANCE, 0, 10_000_000);
    earthed = form.choice("earthed", EarthBy.class, EarthBy.PIN);
    adapter = form.proof("adapter", Message.of("site.feed.adapter-whole"));
    asked = form.quantity("asked", Quantity.CURRENT, 0.1, 1000);
    earthLimit = form.quantity("earthLimit", Quantity.RESISTANCE, 0.01, 10);
    volts = form.quantity("volts", Quantity.VOLTAGE, 12, 1000);
    breaker = form.quantity("breaker", Quantity.CURRENT, 0.1, 1000);
    share = form.quantity("share", Quantity.PERCENT, 1, 100);
    plug = form.quantity("plug", Quantity.CURRENT, 0.1, 1000);
    startUp = form.quantity("startUp", Quantity.CURRENT, 0.1, 10_000);
    fusePlate = form.quantity("fusePlate", Quantity.CURRENT, 0.01, 1000);
    fuseFitted = form.quantity("reading.fuseFitted", Quantity.CURRENT, 0.01, 1000);
    loads =
        form.group(
            "load",
            3,
            MOST_LOADS,
            i ->
                form.quantity(
                    "load." + i, Message.of("site.field.load", i), Quantity.POWER, 0, 1_000_000));
    loadsInAmps =
        form.group(
            "loadA",
            1,
            MOST_LOADS,
            i ->
                form.quantity(
                    "loadA." + i, Message.of("site.field.loadA", i), Quantity.CURRENT, 0, 5000));
    earthLimit.set(0.5);
    share.set(80);
  }

  QuantityField earth() {
    return earth;
  }

  /** What earths it; and how well, where there is something to read. */
  List<Part> earthParts() {
    return List.of(
        new Part.LabelledChoices(List.of(earthed)),
        new Part.ShownWhile(
            earthed.valueProperty().isEqualTo(EarthBy.PIN), List.of(Part.rows(earth))),
        new Part.ShownWhile(
            earthed.valueProperty().isEqualTo(EarthBy.ADAPTER), List.of(Part.rows(adapter))));
  }

  QuantityField earthLimit() {
    return earthLimit;
  }

  QuantityField fusePlate() {
    return fusePlate;
  }

  QuantityField fuseFitted() {
    return fuseFitted;
  }

  Part circuit() {
    return Part.fold(
        "site.circuit",
        Part.rows(volts, breaker, share, asked, plug, startUp),
        new Part.GrowingRows(
            loads, List.of(Message.of("site.loads")), Message.of("site.load.another")),
        new Part.GrowingRows(
            loadsInAmps, List.of(Message.of("site.loads.amps")), Message.of("site.load.another")),
        Part.rows(fusePlate, fuseFitted));
  }

  Stream<QuantityField> needed() {
    return loads.begun().isEmpty() && loadsInAmps.begun().isEmpty()
        ? Stream.of(earthLimit)
        : Stream.of(earthLimit, volts, breaker, share);
  }

  Feed readings() {
    return new Feed(
        earthed.get() == EarthBy.PIN ? earth.value() : OptionalDouble.empty(),
        earthLimit.number(),
        drawn(),
        plug.value(),
        startUp.value(),
        fusePlate.value(),
        fuseFitted.value(),
        asked.value(),
        earthed.get() == EarthBy.PIN ? Optional.empty() : Optional.of(true),
        adapter.so());
  }

  private Optional<Circuit.Readings> drawn() {
    List<Circuit.Load> drawn =
        Stream.concat(
                loads.begun().stream().map(f -> new Circuit.Load(f.name(), f.number())),
                loadsInAmps.begun().stream()
                    .map(f -> new Circuit.Load(f.name(), f.number() * volts.number())))
            .toList();
    return drawn.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Circuit.Readings(volts.number(), breaker.number(), share.number() / 100, drawn));
  }
}
