package zebrawood.controller;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * How a controller is talked to over a link. A command is the text that is sent: <code>{end}</code>
 * in it is the end of a line; without one it is a single character that is taken at once, whatever
 * the controller does. What is missing is not known, and is then not offered.
 *
 * @param endOfLine what ends a line that is sent
 * @param baud the speed of a serial line
 * @param longestAnswerS after so many seconds an answer is not waited for any more
 * @param aloneWhileStoring whether nothing may be sent while it stores a setting
 * @param placesFromHomeCorner whether places are counted from the corner it homes to, to the right
 *     and to the rear; else nobody knows from where
 * @param askSettings makes it print all settings
 * @param ends what a line begins with that ends an answer well
 * @param refusals what a line begins with that refuses, and what that means
 * @param alarms what a line begins with that tells of an alarm, and what that means
 * @param askState makes it say its state
 * @param stateLine with {@code {state}}, {@code {x}} and {@code {y}} in it, millimetres
 * @param states what standing, moving and alarm are called in it
 * @param jog with {@code {x}}, {@code {y}} and {@code {speed}} in it: to a place in millimetres, at
 *     millimetres a minute
 * @param hold stops a motion, which may still go on
 * @param cancelMotion ends the motion that is held
 * @param stopNow stops everything, and may lose the place
 * @param beamOn with {@code {word}} in it
 * @param dwell with {@code {seconds}} in it: it waits by itself and does nothing else
 * @param idleHolds the idle delay that holds the motors for ever
 */
public record WireSyntax(
    EndOfLine endOfLine,
    double baud,
    double longestAnswerS,
    boolean aloneWhileStoring,
    boolean placesFromHomeCorner,
    String askSettings,
    List<String> ends,
    List<RefusalText> refusals,
    List<RefusalText> alarms,
    Optional<String> askState,
    Optional<String> stateLine,
    Map<String, List<String>> states,
    Optional<String> home,
    Optional<String> jog,
    Optional<String> hold,
    Optional<String> cancelMotion,
    Optional<String> stopNow,
    Optional<String> clearAlarm,
    Optional<String> beamOn,
    Optional<String> beamOff,
    Optional<String> dwell,
    Optional<String> idleHolds) {
  public static final String END = "{end}";
  public static final String STANDING = "standing";
  public static final String MOVING = "moving";
  public static final String ALARM = "alarm";

  private static final int MOST_LINES = 200;
  private static final int LONGEST_MEANING = 300;
  private static final double MOST_BAUD = 10_000_000;
  private static final double MOST_SECONDS = 120;

  /** What ends a line that is sent. */
  public enum EndOfLine {
    LF("\n"),
    CR("\r"),
    CR_LF("\r\n");

    private final String sent;

    EndOfLine(String sent) {
      this.sent = sent;
    }

    public String sent() {
      return sent;
    }
  }

  /**
   * @param begins what the line begins with
   * @param meaning in words
   */
  public record RefusalText(String begins, String meaning) {}

  public WireSyntax {
    ends = List.copyOf(ends);
    refusals = List.copyOf(refusals);
    alarms = List.copyOf(alarms);
    states = Map.copyOf(states);
    var accepts =
        new Accepts()
            .between("baud", baud, 300, MOST_BAUD)
            .between("longestAnswerS", longestAnswerS, 0.1, MOST_SECONDS);
    command(accepts, "askSettings", Optional.of(askSettings), Set.of());
    command(accepts, "askState", askState, Set.of());
    command(accepts, "home", home, Set.of());
    command(accepts, "jog", jog, Set.of("x", "y", "speed"));
    command(accepts, "hold", hold, Set.of());
    command(accepts, "cancelMotion", cancelMotion, Set.of());
    command(accepts, "stopNow", stopNow, Set.of());
    command(accepts, "clearAlarm", clearAlarm, Set.of());
    command(accepts, "beamOn", beamOn, Set.of("word"));
    command(accepts, "beamOff", beamOff, Set.of());
    command(accepts, "dwell", dwell, Set.of("seconds"));
    stateLine.ifPresent(
        line -> LinePattern.check(accepts, "stateLine", line, Set.of("state", "x", "y")));
    if (ends.isEmpty() || ends.size() > MOST_LINES) {
      accepts.complain(
          "ends",
          Message.of("accepts.of-them", ends.size()),
          Message.of("controller.dialect.lines", 1, MOST_LINES));
    }
    begins(accepts, "ends", ends);
    meant(accepts, "refusals", refusals);
    meant(accepts, "alarms", alarms);
    for (var state : states.entrySet()) {
      if (!Set.of(STANDING, MOVING, ALARM).contains(state.getKey())) {
        accepts.complain(
            "states." + state.getKey(),
            Message.of("json.unknown-field"),
            Message.of(
                "json.one-of", Message.verbatim(List.of(STANDING, MOVING, ALARM).toString())));
      }
      begins(accepts, "states." + state.getKey(), state.getValue());
    }
    accepts.orThrow();
  }

  private static void begins(Accepts accepts, String field, List<String> lines) {
    for (int i = 0; i < lines.size(); i++) {
      if (lines.get(i).isBlank() || lines.get(i).length() > LinePattern.LONGEST) {
        accepts.complain(
            field + "[" + i + "]",
            Message.of("accepts.text", Message.quoted(lines.get(i))),
            Message.of("controller.dialect.word", LinePattern.LONGEST));
      }
    }
  }

  private static void meant(Accepts accepts, String field, List<RefusalText> lines) {
    if (lines.size() > MOST_LINES) {
      accepts.complain(
          field,
          Message.of("accepts.of-them", lines.size()),
          Message.of("controller.dialect.lines", 0, MOST_LINES));
    }
    begins(accepts, field, lines.stream().map(RefusalText::begins).toList());
    for (int i = 0; i < lines.size(); i++) {
      if (lines.get(i).meaning.length() > LONGEST_MEANING) {
        accepts.complain(
            field + "[" + i + "].meaning",
            Message.of("machine.accepts.letters", lines.get(i).meaning.length()),
            Message.of("machine.accepts.most-letters", LONGEST_MEANING));
      }
    }
  }

  private static void command(
      Accepts accepts, String field, Optional<String> command, Set<String> places) {
    command.ifPresent(text -> {
      boolean line = text.endsWith(END);
      String words = line ? text.substring(0, text.length() - END.length()) : text;
      if (!line && (text.length() != 1 || !places.isEmpty())) {
        accepts.complain(
            field,
            Message.of("accepts.text", Message.quoted(text)),
            Message.of("controller.dialect.a-command", END));
      } else if (line && (words.isBlank() || words.contains(END))) {
        accepts.complain(
            field,
            Message.of("accepts.text", Message.quoted(text)),
            Message.of("controller.dialect.a-command", END));
      } else if (line) {
        LinePattern.check(accepts, field, words, places);
      }
    });
  }

  /** The bytes' text of a command, with its places filled in. */
  public String sent(String command, Map<String, String> values) {
    return LinePattern.of(command.endsWith(END) ? words(command) : command).filled(values)
        + (command.endsWith(END) ? endOfLine.sent() : "");
  }

  /** A command as it is read, without its end of line. */
  public static String words(String command) {
    return command.endsWith(END) ? command.substring(0, command.length() - END.length()) : command;
  }

  public boolean ends(String line) {
    return ends.stream().anyMatch(line::startsWith);
  }

  /** What a line that refuses means. */
  public Optional<RefusalText> refusal(String line) {
    return longest(refusals.stream().filter(m -> line.startsWith(m.begins)));
  }

  public Optional<RefusalText> alarm(String line) {
    return longest(alarms.stream().filter(m -> line.startsWith(m.begins)));
  }

  private static Optional<RefusalText> longest(Stream<RefusalText> fitting) {
    return fitting.max(java.util.Comparator.comparingInt(m -> m.begins.length()));
  }

  /** Whether a stationary pulse can be made that ends by itself. */
  public boolean canFire() {
    return beamOn.isPresent() && beamOff.isPresent() && dwell.isPresent();
  }

  /** Whether a motion can be made, followed, and stopped. */
  public boolean canMove() {
    return home.isPresent()
        && jog.isPresent()
        && askState.isPresent()
        && stateLine.isPresent()
        && hold.isPresent()
        && cancelMotion.isPresent();
  }
}
