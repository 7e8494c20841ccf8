package zebrawood.desktop.solve;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;

/** Runs {@code solve}: the input from a stream, the finding to another, refusals to a third. */
public final class SolveCommand {
  public static final int FOUND = 0;
  public static final int REFUSED = 2;

  /** Lines solved side by side before they are written in order. */
  private static final int BATCH = 4096;

  private final List<Solver> solvers;

  public SolveCommand(List<Solver> solvers) {
    this.solvers = List.copyOf(solvers);
  }

  /** What an unusable line answers. */
  private record Refusal(String error) {}

  /**
   * @return the exit code
   */
  public int run(String station, boolean lines, InputStream in, PrintStream out, PrintStream err)
      throws IOException {
    Optional<Solver> solver = solvers.stream().filter(s -> s.name().equals(station)).findFirst();
    if (solver.isEmpty()) {
      err.println(
          "STATION is \"%s\", accepted is %s."
              .formatted(
                  station, solvers.stream().map(Solver::name).collect(Collectors.joining(" or "))));
      return REFUSED;
    }
    return lines ? many(solver.get(), in, out) : one(solver.get(), in, out, err);
  }

  private static int one(Solver solver, InputStream in, PrintStream out, PrintStream err)
      throws IOException {
    try {
      String input =
          StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(in.readAllBytes())).toString();
      out.println(solver.solve().apply(input));
      return FOUND;
    } catch (UnusableReading e) {
      err.println(e.getMessage());
    } catch (CharacterCodingException e) {
      err.println("the input is not UTF-8 text, accepted is one JSON object in UTF-8.");
    } catch (RuntimeException e) {
      err.println(unforeseen(e));
    }
    return REFUSED;
  }

  private static int many(Solver solver, InputStream in, PrintStream out) throws IOException {
    BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
    List<String> batch = new ArrayList<>();
    for (String line = reader.readLine(); line != null; line = reader.readLine()) {
      if (!line.isBlank()) {
        batch.add(line);
      }
      // Somebody who types line by line waits for each answer; a file is read ahead.
      if (batch.size() == BATCH || !reader.ready()) {
        answer(solver, batch, out);
      }
    }
    answer(solver, batch, out);
    return FOUND;
  }

  private static void answer(Solver solver, List<String> batch, PrintStream out) {
    Stream<String> lines = batch.size() > 32 ? batch.parallelStream() : batch.stream();
    StringBuilder answers = new StringBuilder();
    lines.map(line -> answer(solver, line)).forEachOrdered(a -> answers.append(a).append('\n'));
    out.print(answers);
    out.flush();
    batch.clear();
  }

  /** For what no check foresaw; a defect, but the user gets a sentence all the same. */
  private static String unforeseen(RuntimeException e) {
    return "the input led to a computation that failed (%s), accepted is input of ordinary size."
        .formatted(e.getClass().getSimpleName());
  }

  private static String answer(Solver solver, String line) {
    try {
      return solver.solve().apply(line);
    } catch (UnusableReading e) {
      return RecordJson.write(new Refusal(e.getMessage()));
    } catch (RuntimeException e) {
      return RecordJson.write(new Refusal(unforeseen(e)));
    }
  }
}
