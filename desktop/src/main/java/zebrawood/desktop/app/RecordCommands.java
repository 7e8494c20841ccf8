package zebrawood.desktop.app;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.shell.RecordedPaper;
import zebrawood.desktop.stations.StationList;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.file.WholeFile;
import zebrawood.records.handover.HandOver;
import zebrawood.records.handover.HandOverSheet;
import zebrawood.records.paper.Paper;
import zebrawood.records.passport.PassportFile;
import zebrawood.records.workshop.Merged;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Soundness;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** The record from the command line: passports, whether a workshop is sound, the sheet. */
final class RecordCommands {
  private RecordCommands() {}

  /** What is done with a workshop: the one named, or the one in the user's data folder. */
  private abstract static class OnWorkshop implements Callable<Integer> {
    @Option(names = "--workshop", paramLabel = "FILE")
    private Path workshop;

    abstract int with(Workshop open) throws IOException;

    @Override
    public Integer call() throws IOException {
      return in(workshop, this);
    }
  }

  /** A sentence on the other stream, and the code that says that it was not done. */
  private static int refused(Message because) {
    System.err.println(Text.words().sentence(because));
    return Zebrawood.NOT_POSSIBLE;
  }

  private static void say(String key, Object... arguments) {
    System.out.println(Text.words().sentence(Message.of(key, arguments)));
  }

  /**
   * Opens a workshop that is there.
   *
   * @param given empty for the one in the user's data folder
   */
  private static int in(Path given, OnWorkshop work) throws IOException {
    if (given == null && !Folders.areThere()) {
      return refused(Message.of("console.no-home"));
    }
    Path file = given == null ? Folders.workshopFile() : given;
    if (!Files.exists(file)) {
      return refused(Message.of("console.no-workshop", file.toString()));
    }
    return switch (Workshop.open(file)) {
      case Opening.Opened(Workshop workshop) -> {
        try (workshop) {
          yield work.with(workshop);
        } catch (UnusableReading e) {
          yield refused(Message.quoted(e.getMessage()));
        } catch (FileAlreadyExistsException e) {
          yield refused(Message.of("console.file-there", Message.quoted(e.getFile())));
        } catch (NoSuchFileException e) {
          yield refused(Message.of("console.no-file", Message.quoted(e.getFile())));
        } catch (IOException e) {
          yield refused(
              Message.of("console.file-trouble", Message.quoted(String.valueOf(e.getMessage()))));
        } catch (RuntimeException e) {
          yield refused(Workshop.notTaken(e).orElseThrow(() -> e));
        }
      }
      case Opening.InUse(Message holder) ->
          refused(Message.of("console.in-use", file.toString(), holder));
      case Opening.Damaged(Message because, var sound) -> {
        sound.ifPresent(Workshop::close);
        yield refused(because);
      }
      case Opening.Unusable(Message because) -> refused(because);
    };
  }

  /** By its name, however it is spelled, or by its id. */
  private static Machine machine(Workshop workshop, String called) {
    List<Machine> all = workshop.machines().readable();
    return all.stream()
        .filter(m -> m.id().equals(called) || m.name().equalsIgnoreCase(called.strip()))
        .findFirst()
        .orElseThrow(() ->
            UnusableReading.of(
                "MACHINE",
                Message.quoted(called),
                Message.of(
                    "console.one-of",
                    Message.list(all.stream().map(m -> Message.quoted(m.name())).toList()))));
  }

  /** Writes the demo's workshop into a new file. */
  static int writeDemo(Path file) {
    if (Files.exists(file)) {
      return refused(Message.of("console.file-there", Message.quoted(file.toString())));
    }
    DemoWorkshop.write(file, Clock.systemDefaultZone().instant());
    say("console.demo-written", file.toString());
    return 0;
  }

  /** One machine's record as a file. */
  @Command(
      name = "passport",
      mixinStandardHelpOptions = true,
      subcommands = {Export.class, Import.class})
  static final class Passport implements Callable<Integer> {
    @Override
    public Integer call() {
      return refused(Message.of("console.passport-what"));
    }
  }

  @Command(name = "export", mixinStandardHelpOptions = true)
  static final class Export extends OnWorkshop {
    @Parameters(index = "0", paramLabel = "MACHINE")
    private String machine;

    @Parameters(index = "1", paramLabel = "FILE")
    private Path file;

    @Override
    int with(Workshop open) throws IOException {
      Machine of = machine(open, machine);
      int lines = PassportFile.write(open, of, file);
      say("console.passport-written", of.name(), lines, file.toString());
      return 0;
    }
  }

  @Command(name = "import", mixinStandardHelpOptions = true)
  static final class Import extends OnWorkshop {
    @Parameters(index = "0", paramLabel = "FILE")
    private Path file;

    @Override
    int with(Workshop open) throws IOException {
      PassportFile passport = PassportFile.read(file, Workshop.version());
      Merged merged = open.merge(passport.machineId(), passport.rows());
      say("console.passport-read", passport.name(), merged.added(), merged.known());
      if (merged.bothChanged()) {
        say("console.passport-both", passport.name());
      }
      return 0;
    }
  }

  @Command(
      name = "workshop",
      mixinStandardHelpOptions = true,
      subcommands = {Check.class})
  static final class OfWorkshop implements Callable<Integer> {
    @Override
    public Integer call() {
      return refused(Message.of("console.workshop-what"));
    }
  }

  @Command(name = "check", mixinStandardHelpOptions = true)
  static final class Check implements Callable<Integer> {
    @Parameters(index = "0", arity = "0..1", paramLabel = "FILE")
    private Path file;

    @Option(names = "--workshop", paramLabel = "FILE")
    private Path workshop;

    @Override
    public Integer call() {
      if (file == null && workshop == null && !Folders.areThere()) {
        return refused(Message.of("console.no-home"));
      }
      Path of = file != null ? file : workshop != null ? workshop : Folders.workshopFile();
      return switch (Soundness.of(of)) {
        case Soundness.Sound(int machines, int entries, int events) -> {
          say("console.sound", of.toString(), machines, entries, events);
          yield 0;
        }
        case Soundness.Unsound(boolean damaged, Message because) -> refused(because);
      };
    }
  }

  @Command(name = "sheet", mixinStandardHelpOptions = true)
  static final class Sheet extends OnWorkshop {
    @Parameters(index = "0", paramLabel = "MACHINE")
    private String machine;

    @Parameters(index = "1", paramLabel = "FILE.pdf")
    private Path file;

    @Override
    public Integer call() throws IOException {
      if (!file.toString().toLowerCase(Locale.ROOT).endsWith(".pdf")) {
        return refused(Message.of("console.sheet-ending", Message.quoted(file.toString())));
      }
      return super.call();
    }

    @Override
    int with(Workshop open) throws IOException {
      Machine of = machine(open, machine);
      Clock clock = Clock.systemDefaultZone();
      Ledger ledger = new Ledger(of, open.history(of.id()), open.foundAhead());
      Phrasebook words = Text.words();
      HandOverSheet sheet =
          HandOverSheet.of(
              ledger,
              StationList.stations(),
              new HandOverSheet.Hand(
                  RecordedPaper.of(ledger, StationList.ALL, DisplayUnits.METRIC, open::paperOf),
                  clock.instant(),
                  clock.getZone(),
                  "\u2013",
                  words,
                  ""));
      String html = HandOver.html(sheet, words);
      WholeFile.writeBytes(file, out -> Paper.pdf(html, out));
      say("console.sheet-written", of.name(), file.toString());
      return 0;
    }
  }
}
