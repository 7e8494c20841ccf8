package zebrawood.desktop.solve;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.LoggerFactory;
import zebrawood.desktop.station.Solver;
import zebrawood.measure.UnusableReading;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** Runs {@code solve}: the input from a stream, the finding to another, refusals to a third. */
public final class SolveCommand {
  public static final int FOUND = 0;
  public static final int REFUSED = 2;

  /** Bytes of a document; the largest image's readings are far below. */
  static final int MOST_BYTES = 64 * 1024 * 1024;

  private final List<Solver> solvers;
  private final int mostBytes;

  public SolveCommand(List<Solver> solvers) {
    this(solvers, MOST_BYTES);
  }

  /**
   * @param mostBytes of a document
   */
  SolveCommand(List<Solver> solvers, int mostBytes) {
    this.solvers = List.copyOf(solvers);
    this.mostBytes = mostBytes;
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
      String names = solvers.stream().map(Solver::name).collect(Collectors.joining(" or "));
      err.println(said("solve.unknown-station", Message.quoted(station), names));
      return REFUSED;
    }
    return lines ? many(solver.get(), in, out) : one(solver.get(), in, out, err);
  }

  private static String said(String key, Object... arguments) {
    return Phrasebook.ENGLISH.say(key, arguments);
  }

  private int one(Solver solver, InputStream in, PrintStream out, PrintStream err)
      throws IOException {
    byte[] bytes = in.readNBytes(mostBytes + 1);
    try {
      out.writeBytes(answer(solver, new BoundedLines.Line(bytes, bytes.length > mostBytes)));
      out.println();
      return FOUND;
    } catch (UnusableReading e) {
      err.println(e.getMessage());
      return REFUSED;
    }
  }

  private int many(Solver solver, InputStream in, PrintStream out) throws IOException {
    BoundedLines lines = new BoundedLines(in, mostBytes);
    try (OrderedAnswers answers = new OrderedAnswers(line -> answerOrRefusal(solver, line), out)) {
      for (var line = lines.next(); line.isPresent(); line = lines.next()) {
        if (line.get().tooLong() || !blank(line.get().bytes())) {
          answers.add(line.get());
        }
        // Somebody who types line by line waits for each answer; a file is read ahead.
        if (!lines.ready()) {
          answers.writeAll();
        }
      }
      answers.writeAll();
    }
    return FOUND;
  }

  private static boolean blank(byte[] line) {
    for (byte b : line) {
      if (b != ' ' && b != '\t' && b != '\r') {
        return false;
      }
    }
    return true;
  }

  private byte[] answerOrRefusal(Solver solver, BoundedLines.Line line) {
    try {
      return answer(solver, line);
    } catch (UnusableReading e) {
      return RecordJson.writeBytes(new Refusal(e.getMessage()), Phrasebook.ENGLISH);
    }
  }

  /**
   * @throws UnusableReading whatever is wrong with the line
   */
  private byte[] answer(Solver solver, BoundedLines.Line line) {
    if (line.tooLong()) {
      throw refused("solve.too-long", Message.of("solve.at-most", mostBytes));
    }
    try {
      return solver.solve().apply(line.bytes());
    } catch (UnusableReading e) {
      throw e;
    } catch (RuntimeException | StackOverflowError e) {
      // No check foresaw these figures; whoever gave them gets a sentence all the same.
      LoggerFactory.getLogger(SolveCommand.class).error("solve {}", solver.name(), e);
      throw refused("solve.no-answer", Message.of("solve.things-that-exist"));
    }
  }

  private static UnusableReading refused(String found, Message accepted) {
    return UnusableReading.of(said("solve.input"), Message.of(found), accepted);
  }
}
