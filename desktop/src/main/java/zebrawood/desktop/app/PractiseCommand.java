package zebrawood.desktop.app;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import zebrawood.desktop.practise.CaseModel;
import zebrawood.desktop.practise.CaseReader;
import zebrawood.desktop.text.Text;
import zebrawood.devices.whole.Adviser;
import zebrawood.devices.whole.CaseKind;
import zebrawood.devices.whole.CaseRun;
import zebrawood.devices.whole.Deed;
import zebrawood.devices.whole.Trait;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/** A whole machine to practise on, from the command line: for tests and trainers' scripts. */
@Command(name = "practise", mixinStandardHelpOptions = true)
final class PractiseCommand implements Callable<Integer> {
  private static final int MOST_STEPS = 500;

  @Parameters(index = "0", arity = "0..1", paramLabel = "CASE")
  private String named = "";

  @Option(names = "--file", paramLabel = "FILE")
  private Path file;

  @Option(names = "--seed", paramLabel = "N")
  private long seed;

  @Option(names = "--act", paramLabel = "DEED")
  private List<String> acts = List.of();

  @Option(names = "--follow")
  private boolean follow;

  @Override
  public Integer call() {
    try {
      return play();
    } catch (UnusableReading e) {
      System.err.println(e.getMessage());
      return Zebrawood.NOT_POSSIBLE;
    }
  }

  private int play() {
    Optional<CaseKind> kind =
        Stream.of(CaseKind.values()).filter(k -> k.id().equals(named)).findFirst();
    if (file == null && kind.isEmpty()) {
      if (!named.isEmpty()) {
        return refused("practise.no-case", Message.quoted(named), cases());
      }
      Stream.of(CaseKind.values())
          .forEach(k -> System.out.println(k.id() + ": " + Text.words().line(Message.of(k))));
      return 0;
    }
    CaseModel model =
        file == null
            ? CaseModel.of(kind.orElseThrow(), seed)
            : CaseModel.of(CaseReader.read(file.toString()));
    System.out.println(
        model.title() + ". " + Text.words().line(Message.of(model.run().start().kind())));
    System.out.println(model.says());
    for (String act : acts) {
      Optional<Message> refused = act(model, act.strip());
      if (refused.isPresent()) {
        System.err.println(Text.words().sentence(refused.get()));
        return Zebrawood.NOT_POSSIBLE;
      }
    }
    for (int i = 0; follow && i < MOST_STEPS && !model.run().isOver(); i++) {
      Adviser.Step step = Adviser.next(model.run());
      tell(model.run().act(step.deed(), step.amount()));
    }
    if (model.run().isOver()) {
      model.scored().forEach(System.out::println);
    } else {
      model.counts().forEach(k -> System.out.println(k.name() + ": " + k.value()));
      System.out.println(
          Text.of("practise.can-do")
              + " "
              + model.run().possible().stream()
                  .map(d -> d.id() + (d.hasAmount() ? "=N" : ""))
                  .collect(Collectors.joining(", ")));
    }
    return 0;
  }

  private static Message cases() {
    return Message.verbatim(
        Stream.of(CaseKind.values()).map(CaseKind::id).collect(Collectors.joining(", ")));
  }

  private static int refused(String key, Object... arguments) {
    System.err.println(Text.words().sentence(Message.of(key, arguments)));
    return Zebrawood.NOT_POSSIBLE;
  }

  /** A deed by its id, with {@code =} and an amount where it has one. */
  private static Optional<Message> act(CaseModel model, String typed) {
    if (model.run().isOver()) {
      return Optional.of(Message.of("practise.over", Message.quoted(typed)));
    }
    String[] parts = typed.split("[= ]+", 2);
    Optional<Deed> deed =
        model.run().possible().stream().filter(d -> d.id().equals(parts[0])).findFirst();
    if (deed.isEmpty()) {
      return Optional.of(Message.of("practise.no-deed", Message.quoted(typed)));
    }
    double amount = 0;
    if (deed.get().hasAmount()) {
      try {
        amount = Double.parseDouble(parts.length == 2 ? parts[1].replace(',', '.') : "");
      } catch (NumberFormatException e) {
        return Optional.of(Message.of("practise.needs-amount", Message.quoted(typed)));
      }
    } else if (parts.length == 2) {
      return Optional.of(Message.of("practise.has-no-amount", Message.quoted(typed)));
    }
    Optional<String> why = model.act(deed.get(), amount);
    if (why.isPresent()) {
      return Optional.of(
          Message.of(
              "practise.amount",
              Message.number(deed.get().changes().map(Trait::most).orElse(0.0))));
    }
    tell(model.run().lines().getLast());
    return Optional.empty();
  }

  private static void tell(CaseRun.Line line) {
    System.out.println(
        Text.of("practise.minute", line.minute())
            + "  "
            + CaseModel.done(line)
            + ": "
            + CaseModel.seen(line));
  }
}
