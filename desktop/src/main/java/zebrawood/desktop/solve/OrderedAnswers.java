package zebrawood.desktop.solve;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Function;

/**
 * Answers lines on all cores, some at a time, and writes the answers in the order of the lines.
 * Never more than a few groups of lines wait.
 */
final class OrderedAnswers implements AutoCloseable {
  /** Lines that one core answers at a stretch, and their bytes. */
  private static final int GROUP = 64;

  private static final int GROUP_BYTES = 1 << 20;
  private static final int FIRST_BYTES = 1 << 17;
  private static final byte[] LINE_END = System.lineSeparator().getBytes(UTF_8);

  private final int cores = Runtime.getRuntime().availableProcessors();
  private final ExecutorService workers =
      Executors.newFixedThreadPool(
          cores, Thread.ofPlatform().name("solve-", 0).daemon(true).factory());
  private final Function<BoundedLines.Line, byte[]> answer;
  private final PrintStream out;
  private final Deque<Future<byte[]>> waiting = new ArrayDeque<>();
  private List<BoundedLines.Line> group = new ArrayList<>();
  private int groupBytes;

  /**
   * @param answer one line of text of one, both in bytes
   */
  OrderedAnswers(Function<BoundedLines.Line, byte[]> answer, PrintStream out) {
    this.answer = answer;
    this.out = out;
  }

  void add(BoundedLines.Line line) {
    group.add(line);
    groupBytes += line.bytes().length;
    if (group.size() == GROUP || groupBytes > GROUP_BYTES) {
      begin();
    }
    while (waiting.size() > 2 * cores || !waiting.isEmpty() && waiting.peek().isDone()) {
      writeNext();
    }
  }

  private void begin() {
    List<BoundedLines.Line> lines = group;
    waiting.add(workers.submit(() -> answered(lines)));
    group = new ArrayList<>();
    groupBytes = 0;
  }

  private byte[] answered(List<BoundedLines.Line> lines) {
    ByteArrayOutputStream all = new ByteArrayOutputStream(FIRST_BYTES);
    for (BoundedLines.Line line : lines) {
      all.writeBytes(answer.apply(line));
      all.writeBytes(LINE_END);
    }
    return all.toByteArray();
  }

  private void writeNext() {
    try {
      byte[] bytes = waiting.remove().get();
      out.write(bytes, 0, bytes.length);
    } catch (ExecutionException e) {
      throw new IllegalStateException(e.getCause());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException();
    }
  }

  /** Waits until all lines so far are answered, and their answers written. */
  void writeAll() {
    if (!group.isEmpty()) {
      begin();
    }
    while (!waiting.isEmpty()) {
      writeNext();
    }
    out.flush();
  }

  @Override
  public void close() {
    workers.shutdownNow();
  }
}
