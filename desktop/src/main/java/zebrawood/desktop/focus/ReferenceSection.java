package zebrawood.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.text.Text;
import zebrawood.focus.Focus;
import zebrawood.focus.FocusReference;
import zebrawood.focus.References;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.measure.Estimate;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.StationPaper;
import zebrawood.words.Message;

/**
 * What gaps are measured from, how the other places on the head lie to it, and from which of them a
 * maker's figure is meant.
 */
final class ReferenceSection extends Section<References, Void> {
  private final ChoiceField<FocusReference> reference;
  private final boolean nozzled;
  private final QuantityField lensRing;
  private final QuantityField headLine;
  private final QuantityField headSheet;
  private final QuantityField depth;
  private final QuantityField makerGap;
  private final Optional<WordsField> ringPlace;
  private final Optional<ProofField> ringProof;
  private final Supplier<Optional<Estimate>> best;

  /**
   * @param best the gap at the best focus, once it is found
   */
  ReferenceSection(StationForm form, Machine machine, Supplier<Optional<Estimate>> best) {
    super(Message.of("focus.maker.none"));
    this.best = best;
    nozzled = machine.build() != Build.GALVO;
    // A galvo head has no nozzle to measure from.
    List<FocusReference> fitted = notMeasured().places();
    reference =
        form.choice("reference", Message.of("focus.field.reference"), fitted, fitted.getFirst());
    lensRing = form.quantity("lensRing", Quantity.LENGTH, -1000, 1000);
    headLine = form.quantity(nozzled ? "headLine" : "lineAboveRing", Quantity.LENGTH, -1000, 1000);
    headSheet =
        form.quantity(nozzled ? "headSheet" : "sheetAboveRing", Quantity.LENGTH, -1000, 1000);
    depth = form.positive("depth", Quantity.LENGTH, 1000);
    makerGap = form.positive("makerGap", Quantity.LENGTH, 1000);
    ringPlace =
        machine.build() == Build.GANTRY_WITH_HEAD_MODULE
            ? Optional.of(form.plainWords("ringPlace"))
            : Optional.empty();
    ringProof = ringPlace.map(p -> form.proof("ring", Message.of("focus.ring")));
  }

  QuantityField depth() {
    return depth;
  }

  /** The depth of focus as it was typed. */
  OptionalDouble depthMm() {
    return depth.value();
  }

  References references() {
    return new References(
        reference.get(),
        lensRing.value(),
        headLine.value(),
        headSheet.value(),
        nozzled ? Optional.empty() : Optional.of(true));
  }

  /** Its places, before anybody says how they lie. */
  private References notMeasured() {
    OptionalDouble not = OptionalDouble.empty();
    return new References(
        FocusReference.LENS_RING, not, not, not, nozzled ? Optional.empty() : Optional.of(true));
  }

  /** Whether the module's ring stays where it is; empty where there is no module. */
  Optional<Focus.Held> ringHeld() {
    return ringProof.map(proof ->
        switch (proof.get()) {
          case YES -> Focus.Held.HELD;
          case NO -> Focus.Held.TURNS;
          case NOT_YET -> Focus.Held.NOT_TRIED;
        });
  }

  @Override
  public Stream<Field> fields() {
    Stream<QuantityField> places =
        nozzled ? Stream.of(lensRing, headLine, headSheet) : Stream.of(headLine, headSheet);
    return Stream.concat(places, Stream.of(depth, makerGap));
  }

  @Override
  public Part part() {
    List<Part> parts =
        new ArrayList<>(
            List.of(
                Part.rows(reference),
                Part.hint("focus.measured-from.hint"),
                nozzled
                    ? Part.rows(lensRing, headLine, headSheet, depth, makerGap)
                    : Part.rows(headLine, headSheet, depth, makerGap),
                said()));
    ringPlace.ifPresent(place -> {
      parts.add(Part.rows(place, ringProof.orElseThrow()));
      parts.add(Part.hint("focus.ring-place.hint"));
    });
    return Part.fold("focus.measured-from", parts);
  }

  /** From where on the head the maker's figure is meant. */
  @Override
  protected Message words() {
    Optional<Estimate> gap = best.get();
    if (makerGap.value().isEmpty()) {
      return Message.of("focus.maker.none");
    }
    if (gap.isEmpty()) {
      return Message.of("focus.maker.no-focus");
    }
    List<FocusReference> meant = references().meantBy(makerGap.number(), gap.get());
    Amount figure = Amount.plain(makerGap.number(), Quantity.LENGTH);
    if (!meant.isEmpty()) {
      return Message.of(
          "focus.maker.meant", figure, Message.list(meant.stream().map(Message::of).toList()));
    }
    List<FocusReference> open = references().notMeasured();
    return open.isEmpty()
        ? Message.of("focus.maker.nowhere", figure)
        : Message.of(
            "focus.maker.measure", figure, Message.list(open.stream().map(Message::of).toList()));
  }

  /** A gap without what it is measured from says nothing. */
  List<StationPaper.Setting> settingsLeft() {
    List<StationPaper.Setting> settings = new ArrayList<>();
    settings.add(
        new StationPaper.Setting(Text.of("focus.field.reference"), Text.of(reference.get())));
    ringPlace
        .filter(place -> !place.isEmpty())
        .ifPresent(place ->
            settings.add(
                new StationPaper.Setting(Text.of("focus.field.ringPlace"), place.text().strip())));
    return settings;
  }
}
