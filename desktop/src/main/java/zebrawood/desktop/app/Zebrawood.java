package zebrawood.desktop.app;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Locale;
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
import zebrawood.words.Language;
import zebrawood.words.Message;

/** The command line. */
@Command(
    name = "zebrawood",
    mixinStandardHelpOptions = true,
    versionProvider = Zebrawood.Version.class,
    resourceBundle = "zebrawood.words.commands",
    subcommands = {
      Zebrawood.Demo.class,
      Zebrawood.Solve.class,
      RecordCommands.Passport.class,
      RecordCommands.OfWorkshop.class,
      RecordCommands.Sheet.class,
      DoctorCommand.class,
      ManualCommand.class,
      PractiseCommand.class
    })
public final class Zebrawood implements Callable<Integer> {
  static final int NOT_POSSIBLE = 2;

  /** Ends the name of a passport. */
  private static final String PASSPORT = ".passport";

  @Option(names = "--workshop", paramLabel = "FILE")
  private Path workshop;

  @Parameters(arity = "0..1", paramLabel = "FILE")
  private Path file;

  public static void main(String[] args) {
    LogFile.begin(Folders.log());
    Text.use(Text.words().in(Language.ofSystem(Locale.getDefault())));
    System.exit(run(args));
  }

  /**
   * @return the exit code
   */
  static int run(String... args) {
    Optional<Callable<Integer>> plain = plain(args);
    if (plain.isPresent()) {
      try {
        return plain.get().call();
      } catch (Exception e) {
        return told(e);
      }
    }
    return new CommandLine(new Zebrawood())
        .setParameterExceptionHandler((e, given) -> {
          System.err.println(Text.of("console.see-help", Text.words().sentence(refusal(e))));
          return NOT_POSSIBLE;
        })
        .setExecutionExceptionHandler((e, command, given) -> told(e))
        .execute(args);
  }

  /**
   * The ways to a window and to an answer that are used most; the command line's parser costs a
   * third of a start.
   */
  private static Optional<Callable<Integer>> plain(String... args) {
    String first = args.length == 0 ? "" : args[0];
    boolean named = args.length > 1 && !args[1].startsWith("-");
    return switch (first) {
      case "" -> args.length == 0 ? Optional.of(new Zebrawood()) : Optional.empty();
      case "demo" -> args.length == 1 ? Optional.of(new Demo()) : Optional.empty();
      case "--workshop" -> args.length == 2 ? Optional.of(at(Path.of(args[1]))) : Optional.empty();
      case "solve" -> named ? solving(args) : Optional.empty();
      default -> Optional.empty();
    };
  }

  private static Zebrawood at(Path workshop) {
    Zebrawood window = new Zebrawood();
    window.workshop = workshop;
    return window;
  }

  private static Optional<Callable<Integer>> solving(String... args) {
    Solve solve = new Solve();
    solve.station = args[1];
    solve.lines = args.length == 3 && args[2].equals("--lines");
    return args.length == 2 || solve.lines ? Optional.of(solve) : Optional.empty();
  }

  private static Message refusal(CommandLine.ParameterException e) {
    return switch (e) {
      case CommandLine.UnmatchedArgumentException unknown ->
          Message.of("console.unknown", Message.quoted(String.join(" ", unknown.getUnmatched())));
      case CommandLine.MissingParameterException missing ->
          Message.of(
              "console.missing",
              Message.list(
                  missing.getMissing().stream()
                      .map(m -> Message.verbatim(m.paramLabel()))
                      .toList()));
      default -> Message.quoted(e.getMessage().lines().findFirst().orElse("").strip());
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

  /** A workshop's file is opened; a passport's is offered to be taken in. */
  @Override
  public Integer call() {
    if (file != null && !Files.isRegularFile(file)) {
      System.err.println(
          Text.of(
              "console.see-help",
              Text.words()
                  .sentence(Message.of("console.unknown", Message.quoted(file.toString())))));
      return NOT_POSSIBLE;
    }
    boolean passport = file != null && file.toString().toLowerCase(Locale.ROOT).endsWith(PASSPORT);
    if (file != null && !passport && workshop == null) {
      workshop = file;
    }
    if (!Display.isThere()) {
      System.err.println(Text.of("console.no-display"));
      return NOT_POSSIBLE;
    }
    if (workshop == null && !Folders.areThere()) {
      System.err.println(Text.of("console.no-home"));
      return NOT_POSSIBLE;
    }
    Path opened = workshop == null ? Folders.workshopFile() : workshop;
    return passport
        ? ZebrawoodWindow.open(opened, Clock.systemDefaultZone(), file.toAbsolutePath())
        : ZebrawoodWindow.open(opened, Clock.systemDefaultZone());
  }

  @Command(name = "demo", mixinStandardHelpOptions = true)
  static final class Demo implements Callable<Integer> {
    @Option(names = "--shots", paramLabel = "DIR")
    private Path shots;

    @Option(names = "--workshop", paramLabel = "FILE")
    private Path workshop;

    @Override
    public Integer call() throws IOException {
      if (workshop != null) {
        return RecordCommands.writeDemo(workshop);
      }
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

  @Command(name = "solve", mixinStandardHelpOptions = true)
  static final class Solve implements Callable<Integer> {
    @Parameters(paramLabel = "STATION")
    private String station;

    @Option(names = "--lines")
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
