package zebrawood.desktop.app;

import java.io.IOException;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.slf4j.LoggerFactory;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.records.file.WholeFile;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.words.Message;

/** Tells whether this computer has what the program needs, and writes a report without names. */
@Command(name = "doctor", mixinStandardHelpOptions = true)
final class DoctorCommand implements Callable<Integer> {
  /** The end of a longer log is what matters. */
  private static final int MOST_LOG_LETTERS = 200_000;

  @Option(names = "--workshop", paramLabel = "FILE")
  private Path workshop;

  @Option(names = "--report", paramLabel = "FILE")
  private Path report;

  @Override
  public Integer call() throws IOException {
    Path file = workshop == null ? Folders.workshopFile() : workshop;
    List<Doctor.Check> checks = Doctor.here(file, Clock.systemDefaultZone()).checks();
    List<String> lines = checks.stream().map(DoctorCommand::line).toList();
    lines.forEach(System.out::println);
    if (report != null) {
      if (Files.exists(report)) {
        System.err.println(Text.of("console.file-there", Message.quoted(report.toString())));
        return Zebrawood.NOT_POSSIBLE;
      }
      write(lines, file);
    }
    return checks.stream().anyMatch(c -> c.state() == Doctor.State.LOOK)
        ? Zebrawood.NOT_POSSIBLE
        : 0;
  }

  private static String line(Doctor.Check check) {
    return String.format(
        Locale.ROOT,
        "%-8s %s: %s",
        Text.of(check.state()),
        Text.of(check.what()),
        Text.words().sentence(check.said()));
  }

  private void write(List<String> lines, Path file) throws IOException {
    List<String> names = new ArrayList<>(List.of(System.getProperty("user.name", ""), host()));
    boolean known = namesIn(file, names);
    List<String> all = new ArrayList<>();
    all.add(new Zebrawood.Version().getVersion()[0]);
    all.add(Doctor.system());
    all.addAll(lines);
    if (!known) {
      all.add(Text.of("console.doctor.names-unknown"));
    }
    all.add("");
    all.add(log());
    String text = new WithoutNames(names).of(String.join(System.lineSeparator(), all));
    WholeFile.writeBytes(report, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
    System.out.println(Text.of("console.doctor.report", report.toString()));
  }

  private static String host() {
    try {
      return InetAddress.getLocalHost().getHostName();
    } catch (IOException e) {
      LoggerFactory.getLogger(DoctorCommand.class).debug("no host name", e);
      return "";
    }
  }

  /** Adds the names of machines and people; false where the workshop cannot be looked into now. */
  private static boolean namesIn(Path file, List<String> names) {
    if (!Files.exists(file)) {
      return true;
    }
    if (!(Workshop.open(file) instanceof Opening.Opened(Workshop open))) {
      return false;
    }
    try (open) {
      for (Machine machine : open.machines().readable()) {
        names.add(machine.name());
        open.history(machine.id()).stream().map(Recorded::by).forEach(names::add);
      }
    }
    return true;
  }

  private static String log() throws IOException {
    Path log = Folders.log();
    if (!Files.exists(log)) {
      return Text.of("console.doctor.no-log");
    }
    String text = new String(Files.readAllBytes(log), StandardCharsets.UTF_8);
    return text.substring(Math.max(0, text.length() - MOST_LOG_LETTERS));
  }
}
