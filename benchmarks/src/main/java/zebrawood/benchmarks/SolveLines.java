package zebrawood.benchmarks;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import zebrawood.desktop.solve.SolveCommand;
import zebrawood.desktop.stations.StationList;

/** Documents a second through {@code solve bed --lines}: JSON text in, JSON text out. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 4, time = 4)
@Measurement(iterations = 5, time = 4)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseParallelGC")
public class SolveLines {
  private static final int LINES = 20_000;

  /** Places along each side of the bed: four corners, or a grid of twenty-five. */
  @Param({"2", "5"})
  public int side;

  private byte[] input;

  @Setup
  public void write() {
    Random random = new Random(1);
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < LINES; i++) {
      text.append("{\"points\":[");
      for (int p = 0; p < side * side; p++) {
        text.append(p == 0 ? "" : ",");
        text.append("{\"xMm\":" + p % side * 150 + ",\"yMm\":" + p / side * 100);
        text.append(",\"gapMm\":" + (60 + random.nextInt(20)) / 10.0 + "}");
      }
      text.append("],\"gaugeResolutionMm\":0.1,\"toleranceMm\":0.3,\"screws\":[");
      for (int s = 0; s < 4; s++) {
        text.append(s == 0 ? "" : ",");
        text.append("{\"id\":\"screw " + s + "\",\"xMm\":" + s % 2 * 600 + ",\"yMm\":");
        text.append(s / 2 * 400 + ",\"pitchMm\":0.7,\"clockwise\":\"raises\"}");
      }
      text.append("],\"keepScrew\":null}\n");
    }
    input = text.toString().getBytes(StandardCharsets.UTF_8);
  }

  @Benchmark
  @OperationsPerInvocation(LINES)
  public int bedDocuments() throws IOException {
    PrintStream nowhere =
        new PrintStream(OutputStream.nullOutputStream(), false, StandardCharsets.UTF_8);
    return new SolveCommand(StationList.solvers())
        .run("bed", true, new ByteArrayInputStream(input), nowhere, nowhere);
  }
}
