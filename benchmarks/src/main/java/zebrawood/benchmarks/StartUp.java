package zebrawood.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import zebrawood.desktop.demo.DemoWorkshop;

/**
 * From process start to the second frame, the demo workshop against an empty window on the same
 * JVM, in turns. Arguments: the launcher, and how many rounds.
 */
public final class StartUp {
  private StartUp() {}

  public static void main(String[] args) throws IOException, InterruptedException {
    List<String> java = command(args[0]);
    int rounds = Integer.parseInt(args[1]);
    Path file = Files.createTempDirectory("zebrawood-start").resolve("demo.zebrawood");
    DemoWorkshop.write(file, Clock.systemUTC().instant());

    List<String> full = new ArrayList<>(java);
    full.addAll(List.of("--workshop", file.toString()));
    List<String> empty = new ArrayList<>(java);
    empty.removeIf(a -> a.startsWith("-XX:") || a.startsWith("-Xlog"));
    empty.add("empty");

    double[] fullMs = new double[rounds];
    double[] emptyMs = new double[rounds];
    time(full);
    time(empty);
    for (int i = 0; i < rounds; i++) {
      emptyMs[i] = time(empty);
      fullMs[i] = time(full);
    }
    System.out.printf(
        "start to second frame: empty window %.0f ms, demo workshop %.0f ms (medians of %d), ratio %.2f%n",
        median(emptyMs), median(fullMs), rounds, median(fullMs) / median(emptyMs));
  }

  /** The launcher's own java command, with this class in front of the application's. */
  private static List<String> command(String launcher) throws IOException, InterruptedException {
    Process process = new ProcessBuilder(launcher, "--java-command").start();
    List<String> words = new ArrayList<>(process.inputReader().readAllLines());
    process.waitFor();
    int path = words.indexOf("-cp") + 1;
    String here =
        Path.of(StartUp.class.getProtectionDomain().getCodeSource().getLocation().getPath())
            .toString();
    words.set(path, words.get(path) + ":" + here);
    words.set(words.size() - 1, FirstFrames.class.getName());
    String offscreen = System.getenv("DISPLAY") == null ? "-Dglass.platform=Headless" : "";
    if (!offscreen.isEmpty()) {
      words.addAll(1, List.of(offscreen, "-Dprism.order=sw"));
    }
    return words;
  }

  private static double time(List<String> command) throws IOException, InterruptedException {
    long begun = System.nanoTime();
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String line = process.inputReader().readLine();
    while (line != null && !line.equals("shown")) {
      line = process.inputReader().readLine();
    }
    double ms = (System.nanoTime() - begun) / 1e6;
    process.waitFor();
    if (line == null) {
      throw new IOException("no window came: " + command);
    }
    return ms;
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
