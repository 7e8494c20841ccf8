package zebrawood.desktop.station;

import java.util.Set;
import java.util.function.Function;
import zebrawood.measure.Finding;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Phrasebook;

/**
 * One name that {@code solve} answers to.
 *
 * @param name as typed after {@code solve}
 * @param solve one JSON document in, one line of JSON out, both UTF-8; throws {@link
 *     UnusableReading}
 */
public record Solver(String name, Function<byte[], byte[]> solve) {
  public static <R extends Record, F extends Finding> Solver of(
      String name, Class<R> readings, Function<R, F> solver) {
    return of(name, readings, solver, Set.of());
  }

  /**
   * @param nullable fields of the input that may be null but must be there
   */
  public static <R extends Record, F extends Finding> Solver of(
      String name, Class<R> readings, Function<R, F> solver, Set<String> nullable) {
    return new Solver(
        name,
        utf8 ->
            RecordJson.writeBytes(
                (Record) solver.apply(RecordJson.read(utf8, readings, nullable)),
                Phrasebook.ENGLISH));
  }
}
