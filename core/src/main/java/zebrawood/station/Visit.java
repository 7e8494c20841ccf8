package zebrawood.station;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import zebrawood.ledger.Figure;
import zebrawood.measure.Finding;
import zebrawood.words.Message;

/**
 * One visit to a station: what is read there, and what follows from it.
 *
 * @param <R> readings: a record, or a sealed interface of records
 * @param <F> finding: a record, or a sealed interface of records
 * @param readings the type under which readings are kept and read back
 * @param finding the type under which findings are kept and read back
 * @param solver makes the finding; the same readings give the same finding, whoever waits for it
 * @param figuresOf what the notebook shows; the first is the station's telling figure
 * @param saidOf all that was found, in sentences
 */
public record Visit<R, F extends Finding>(
    Class<R> readings,
    Class<F> finding,
    BiFunction<R, Help, F> solver,
    BiFunction<R, F, List<Figure>> figuresOf,
    BiFunction<R, F, List<Message>> saidOf) {

  /** A visit that needs no help and says nothing beside its advice. */
  public static <R, F extends Finding> Visit<R, F> of(
      Class<R> readings,
      Class<F> finding,
      Function<R, F> solver,
      BiFunction<R, F, List<Figure>> figuresOf) {
    return helped(readings, finding, (r, help) -> solver.apply(r), figuresOf);
  }

  /** A visit that needs help. */
  public static <R, F extends Finding> Visit<R, F> helped(
      Class<R> readings,
      Class<F> finding,
      BiFunction<R, Help, F> solver,
      BiFunction<R, F, List<Figure>> figuresOf) {
    return new Visit<>(readings, finding, solver, figuresOf, (r, f) -> List.of());
  }

  /** The same with sentences for all that was found. */
  public Visit<R, F> saying(BiFunction<R, F, List<Message>> said) {
    return new Visit<>(readings, finding, solver, figuresOf, said);
  }

  public F solve(R read, Help help) {
    return solver.apply(read, help);
  }

  public F solve(R read) {
    return solve(read, Help.NONE);
  }

  public List<Figure> figures(R read, F found) {
    return figuresOf.apply(read, found);
  }

  public List<Message> said(R read, F found) {
    return saidOf.apply(read, found);
  }
}
