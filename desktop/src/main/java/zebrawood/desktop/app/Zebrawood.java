package zebrawood.desktop.app;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.solve.SolveCommand;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/** The command line. */
@Command(
    name = "zebrawood",
    mixinStandardHelpOptions = true,
    versionProvider = Zebrawood.Version.class,
    description = "Opens the workshop; a new one is made where there is none.",
    subcommands = {Zebrawood.Demo.class, Zebrawood.Solve.class})
public final class Zebrawood implements Callable<Integer> {
  static final int NOT_POSSIBLE = 2;

  @Option(
      names = "--workshop",
      paramLabel = "FILE",
      description = "The workshop file; by default the one in the user's data folder.")
  private Path workshop;

  public static void main(String[] args) {
    System.setProperty("zebrawood.log", Folders.log().toString());
    System.exit(run(args));
  }

  /**
   * @return the exit code
   */
  static int run(String... args) {
    Optional<Callable<Integer>> window = plainWindow(args);
    if (window.isPresent()) {
      try {
        return window.get().call();
      } catch (Exception e) {
        return told(e);
      }
    }
    return new CommandLine(new Zebrawood())
        .setParameterExceptionHandler((e, given) -> {
          String sentence = e.getMessage().lines().findFirst().orElse("").strip();
          System.err.println(
              Text.of("console.see-help", sentence + (sentence.endsWith(".") ? "" : ".")));
          return NOT_POSSIBLE;
        })
        .setExecutionExceptionHandler((e, command, given) -> told(e))
        .execute(args);
  }

  /**
   * The two ways to a window that a technician uses; the command line's parser costs a third of a
   * start.
   */
  private static Optional<Callable<Integer>> plainWindow(String... args) {
    Zebrawood plain = new Zebrawood();
    return switch (List.of(args)) {
      case List<String> none when none.isEmpty() -> Optional.of(plain);
      case List<String> demo when demo.equals(List.of("demo")) -> Optional.of(new Demo());
      case List<String> file when file.size() == 2 && file.getFirst().equals("--workshop") -> {
        plain.workshop = Path.of(file.getLast());
        yield Optional.of(plain);
      }
      default -> Optional.empty();
    };
  }

  private static int told(Exception e) {
    LoggerFactory.getLogger(Zebrawood.class).error("unexpected", e);
    System.err.println(
        Text.of(
            "console.trouble",
            e.getClass().getSimpleName(),
            Message.quoted(String.valueOf(e.getMessage())),
            Folders.log().toString()));
    return NOT_POSSIBLE;
  }

  @Override
  public Integer call() {
    if (!Display.isThere()) {
      System.err.println(Text.of("console.no-display"));
      return NOT_POSSIBLE;
    }
    Path file = workshop == null ? Folders.workshopFile() : workshop;
    return ZebrawoodWindow.open(file, Clock.systemDefaultZone());
  }

  @Command(
      name = "demo",
      mixinStandardHelpOptions = true,
      description = "Opens a fresh copy of the demo workshop: a botanic garden's label machines.")
  static final class Demo implements Callable<Integer> {
    @Option(
        names = "--shots",
        paramLabel = "DIR",
        description = "Render every main view offscreen as PNG into this folder and exit.")
    private Path shots;

    @Override
    public Integer call() throws IOException {
      if (shots != null) {
        return Shots.write(shots);
      }
      if (!Display.isThere()) {
        return Shots.write(Files.createTempDirectory("zebrawood-views"));
      }
      Path file = Files.createTempDirectory("zebrawood-demo").resolve("demo.zebrawood");
      Clock clock = Clock.systemDefaultZone();
      DemoWorkshop.write(file, clock.instant());
      return ZebrawoodWindow.open(file, clock);
    }
  }

  @Command(
      name = "solve",
      mixinStandardHelpOptions = true,
      description = "Computes a station's finding: readings as JSON in, finding as JSON out.")
  static final class Solve implements Callable<Integer> {
    @Parameters(paramLabel = "STATION", description = "Such as bed or shims.")
    private String station;

    @Option(names = "--lines", description = "One document a line, one answer a line.")
    private boolean lines;

    @Override
    public Integer call() throws IOException {
      PrintStream out =
          new PrintStream(
              new java.io.FileOutputStream(java.io.FileDescriptor.out),
              false,
              StandardCharsets.UTF_8);
      int code =
          new SolveCommand(StationList.solvers()).run(station, lines, System.in, out, System.err);
      out.flush();
      return code;
    }
  }

  /** The version in the program's own jar. */
  static final class Version implements IVersionProvider {
    @Override
    public String[] getVersion() {
      String version = Zebrawood.class.getPackage().getImplementationVersion();
      return new String[] {"zebrawood " + (version == null ? "(not packaged)" : version)};
    }
  }
}
