package zebrawood.desktop.upkeep;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.upkeep.CleaningProof;
import zebrawood.upkeep.CleaningProof.Kind;
import zebrawood.words.Message;

/** The same burn before cleaning and after it. */
final class ProofSection extends Section<CleaningProof.Tries, CleaningProof> {
  private static final int TRIES = 3;
  private static final double MOST = 100_000;
  private static final double PERCENT = 100;

  private final ChoiceField<Kind> kind;
  private final QuantityField readTo;
  private final List<QuantityField> before;
  private final List<QuantityField> after;
  private final Supplier<PastVisits> past;

  ProofSection(StationForm form, Supplier<PastVisits> past) {
    super(Message.of("upkeep.proof.hint"));
    this.past = past;
    kind = form.choice("proofBy", Kind.class, Kind.CUT_SPEED);
    before = tries(form, "before");
    after = tries(form, "after");
    readTo = form.positive("triedTo", Quantity.NUMBER, 1000);
    readTo.set(0.5);
  }

  private static List<QuantityField> tries(StationForm form, String when) {
    return IntStream.rangeClosed(1, TRIES)
        .mapToObj(i ->
            form.positive(
                "reading." + when + "." + i,
                Message.of("upkeep.field." + when, i),
                Quantity.NUMBER,
                MOST))
        .toList();
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(before, after, List.of(readTo)).flatMap(List::stream);
  }

  @Override
  public Part part() {
    return new Part.Together(
        List.of(
            Part.heading("upkeep.proof", "upkeep.proof.same"),
            Part.rows(kind),
            new Part.Table(
                List.of(
                    Message.NONE,
                    Message.of("upkeep.proof.before"),
                    Message.of("upkeep.proof.after")),
                IntStream.range(0, TRIES)
                    .mapToObj(i ->
                        new Part.TableRow(
                            Message.of("upkeep.proof.try", i + 1),
                            List.of(before.get(i), after.get(i))))
                    .toList()),
            said()));
  }

  /** What is seldom changed. */
  Part settings() {
    return Part.rows(readTo);
  }

  private static List<Double> typed(List<QuantityField> fields) {
    return fields.stream().filter(f -> f.value().isPresent()).map(QuantityField::number).toList();
  }

  @Override
  protected Optional<CleaningProof.Tries> understood() {
    List<Double> first = typed(before);
    List<Double> then = typed(after);
    return first.isEmpty() || then.isEmpty() || readTo.value().isEmpty()
        ? Optional.empty()
        : Optional.of(
            new CleaningProof.Tries(
                kind.get(), first, then, readTo.number(), past.get().leftBefore(kind.get())));
  }

  @Override
  protected Optional<CleaningProof> solve(CleaningProof.Tries tries) {
    return Optional.of(CleaningProof.of(tries));
  }

  @Override
  protected Message words() {
    return outcome()
        .map(p ->
            Message.of(
                "upkeep.proof.says",
                Amount.of(PERCENT * p.gain().value(), Quantity.PERCENT, 0),
                Amount.of(PERCENT * p.gain().uncertainty(), Quantity.PERCENT, 0),
                p.result()))
        .orElse(Message.of("upkeep.proof.hint"));
  }
}
