package zebrawood.desktop.form;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import zebrawood.station.Proof;

/** A few things to prove by hand and eye, each a constant that has words of its own. */
public final class Proofs<I extends Enum<I>> {
  private final Map<I, ProofField> fields = new LinkedHashMap<>();

  Proofs(StationForm form, Collection<I> asked) {
    asked.forEach(item -> fields.put(item, form.proof(item)));
  }

  /** In the order of the work. */
  public List<ProofField> fields() {
    return List.copyOf(fields.values());
  }

  public ProofField of(I item) {
    return fields.get(item);
  }

  public boolean isEmpty() {
    return fields.isEmpty();
  }

  /** Each with its field. */
  public void forEach(BiConsumer<I, ProofField> action) {
    fields.forEach(action);
  }

  /** What was answered so far. */
  public List<Proof<I>> answers() {
    return fields.entrySet().stream()
        .filter(e -> !e.getValue().isEmpty())
        .map(e -> new Proof<>(e.getKey(), e.getValue().get() == ProofField.Answer.YES))
        .toList();
  }
}
