package zebrawood.controller;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zebrawood.words.Message;

/**
 * Which line of what a controller prints may play which role? It is a proposal, for somebody with
 * the manual in hand to confirm: by the value (it is the machine's travel or field, a lens, or the
 * top word of the job software), and by words that are printed beside it. What nothing speaks for
 * is not proposed.
 *
 * <p>The pattern of a line is the one that most lines fit: what all of them begin with, a key, what
 * stands between, a value, and behind it what may begin a remark.
 */
public final class Teaching {
  private static final int LONGEST = 200_000;
  private static final int MOST_LINES = 2_000;
  private static final double SAME_MM = 0.01;

  /** What may stand between key and value; the first of those that fit most lines is taken. */
  private static final List<String> BETWEEN =
      List.of(
          "\\]\\s*[:=]?\\s*",
          "\\s*:=\\s*",
          "\\s*=>\\s*",
          "\\s*=\\s*",
          "\\s*:\\s*",
          "\\s*,\\s*",
          "\\s+[a-zA-Z]{1,8}\\s+",
          "\\s+");

  private static final List<String> REMARKS = List.of("--", "//", "(", ";", "#", "[");

  /** Words beside a setting, and the role that they speak for; all of them must be there. */
  private static final Map<Role, List<List<String>>> WORDS = words();

  /** Pairs of values that mean on and off. */
  private static final List<List<String>> SWITCHES =
      List.of(
          List.of("1", "0"),
          List.of("yes", "no"),
          List.of("on", "off"),
          List.of("true", "false"),
          List.of("enabled", "disabled"));

  /** A kind of source is written in two ways; both begin so. */
  private static final Map<String, String> SPELLINGS = Map.of("fibre", "fib");

  private Teaching() {}

  /**
   * @param values what the meanings of a choice may be printed as; empty where that is to be looked
   *     up
   */
  public record Proposal(Role role, String key, Map<String, String> values, Message because) {}

  /**
   * @param settingLine empty where no two lines are alike
   */
  public record Proposals(
      Optional<String> settingLine, List<String> remark, List<Proposal> roles, int lines) {}

  private static Map<Role, List<List<String>>> words() {
    Map<Role, List<List<String>>> words = new LinkedHashMap<>();
    words.put(Role.TRAVEL_X, together("travel x", "reach x", "length x"));
    words.put(Role.TRAVEL_Y, together("travel y", "reach y", "length y"));
    words.put(Role.FIELD_SIZE_Y, together("field height", "field depth", "field size y"));
    words.put(Role.FIELD_SIZE_X, together("field width", "field size", "field side"));
    words.put(Role.FIELD_OFFSET_X, together("offset x", "shift x"));
    words.put(Role.FIELD_OFFSET_Y, together("offset y", "shift y"));
    words.put(Role.FIELD_SCALE_X, together("scale x", "stretch x"));
    words.put(Role.FIELD_SCALE_Y, together("scale y", "stretch y"));
    words.put(Role.STEPS_PER_MM_X, together("step x"));
    words.put(Role.STEPS_PER_MM_Y, together("step y"));
    words.put(Role.MOST_SPEED_X, together("speed x", "rate x"));
    words.put(Role.MOST_SPEED_Y, together("speed y", "rate y"));
    words.put(Role.ACCELERATION_X, together("accel x"));
    words.put(Role.ACCELERATION_Y, together("accel y"));
    words.put(Role.HOME_CORNER, together("corner"));
    words.put(Role.HOMING, together("homing", "reference search"));
    words.put(Role.HARD_LIMITS, together("limit switch", "end switch", "hard limit"));
    words.put(Role.SOFT_LIMITS, together("stay inside", "soft limit"));
    words.put(
        Role.TOP_POWER_WORD, together("full power", "highest power", "top power", "max power"));
    words.put(Role.LEAST_POWER_WORD, together("lowest power", "least power", "min power"));
    words.put(Role.LASER_FOLLOWS_MOTION, together("power follow", "power speed", "beam motion"));
    words.put(Role.LENS_FOCAL_LENGTH, together("focal", "lens"));
    words.put(Role.SOURCE_KIND, together("source kind", "source type", "laser type"));
    words.put(Role.LEAST_PULSE_RATE, together("lowest freq", "least freq", "min freq", "min rate"));
    words.put(Role.MOST_PULSE_RATE, together("highest freq", "top freq", "max freq", "max rate"));
    words.put(Role.REPORT_UNITS, together("report unit", "report inch"));
    words.put(Role.IDLE_DELAY, together("standstill", "rest after", "idle"));
    words.put(Role.BEAM_HOURS, together("beam hour", "laser hour", "tube hour", "working hour"));
    return words;
  }

  private static List<List<String>> together(String... sets) {
    return Stream.of(sets).map(words -> List.of(words.split(" "))).toList();
  }

  /**
   * What somebody knows already, and a setting may be equal to.
   *
   * @param areaMm to the right and to the rear
   * @param gantry whether that is what a head travels; else it is what a beam is turned over
   * @param softwareTop the job software's top power word
   * @param lensesMm focal lengths
   */
  public record Facts(
      List<Double> areaMm, boolean gantry, OptionalDouble softwareTop, List<Double> lensesMm) {}

  /**
   * @param text what was pasted or read; a page of named fields in lines of {@link
   *     NamedFields#LINE}
   * @param page whether it is one
   */
  public static Proposals propose(String text, boolean page, Facts facts) {
    return propose(text, page, facts, Map.of());
  }

  /**
   * @param beside words that stand beside a key and are in no line of the text
   */
  public static Proposals propose(
      String text, boolean page, Facts facts, Map<String, String> beside) {
    List<String> lines =
        text.length() > LONGEST
            ? List.of()
            : text.lines().map(String::strip).filter(l -> !l.isEmpty()).limit(MOST_LINES).toList();
    Optional<String> pattern = page ? Optional.of(NamedFields.LINE) : pattern(lines);
    if (pattern.isEmpty()) {
      return new Proposals(pattern, List.of(), List.of(), 0);
    }
    List<String> remarks =
        REMARKS.stream()
            .filter(r -> !page && lines.stream().anyMatch(l -> endsWithRemark(l, r)))
            .toList();
    Dialect bare =
        new Dialect(
            "-",
            pattern.get(),
            pattern.get(),
            remarks.isEmpty() ? Optional.empty() : Optional.of(remarks),
            Map.of(),
            Optional.empty());
    SettingLine reader = new SettingLine(bare);
    List<Line> read = new ArrayList<>();
    for (String line : lines) {
      reader
          .read(line)
          .ifPresent(s ->
              read.add(
                  new Line(s.key(), s.value(), line + " " + beside.getOrDefault(s.key(), ""))));
    }
    return new Proposals(pattern, remarks, roles(read, facts), read.size());
  }

  /**
   * Which line is it that changed while somebody flipped one named switch, and nothing else?
   *
   * @param meaning what the switch stands at now; empty of a number, or where it has other meanings
   * @return empty where no line changed, or more than one
   */
  public static Optional<Proposal> byChange(
      Settings before, Settings now, Role role, Optional<String> meaning) {
    List<Difference> changed = Difference.between(before, now);
    if (changed.size() != 1
        || changed.getFirst().before().isEmpty()
        || changed.getFirst().now().isEmpty()) {
      return Optional.empty();
    }
    Difference one = changed.getFirst();
    Map<String, String> values = new LinkedHashMap<>();
    meaning
        .filter(role.meanings()::contains)
        .ifPresent(m -> {
          values.put(m, one.now().get());
          if (role.meanings().contains(Role.ON) && role.meanings().size() == 2) {
            values.put(m.equals(Role.ON) ? Role.OFF : Role.ON, one.before().get());
          }
        });
    return Optional.of(
        new Proposal(
            role,
            one.name(),
            values,
            Message.of(
                "controller.teaching.by-change",
                Message.quoted(one.before().get()),
                Message.quoted(one.now().get()))));
  }

  /** A setting with the whole line it stood in. */
  private record Line(String key, String value, String line) {}

  private static boolean endsWithRemark(String line, String mark) {
    int at = line.lastIndexOf(mark);
    return at > 2 && line.substring(0, at).matches(".*[\\w.]\\s+") && line.length() > at + 2;
  }

  private static Optional<String> pattern(List<String> lines) {
    String best = "";
    int most = 1;
    for (String between : BETWEEN) {
      Pattern split =
          Pattern.compile(
              "(\\W{0,3}|[a-zA-Z]{1,8}\\s+)([\\w][\\w .\\-/]{0,60}?)("
                  + between
                  + ")([\\w.+\\-]\\S*.*)");
      Map<String, Integer> prefixes = new LinkedHashMap<>();
      for (String line : lines) {
        Matcher m = split.matcher(line);
        if (m.matches()) {
          String shape = m.group(1) + "{key}" + m.group(3) + "{value}";
          prefixes.merge(shape.replaceAll("\\s+", " "), 1, Integer::sum);
        }
      }
      for (var shape : prefixes.entrySet()) {
        if (shape.getValue() > most) {
          most = shape.getValue();
          best = shape.getKey();
        }
      }
    }
    return best.isEmpty() ? Optional.empty() : Optional.of(best.strip());
  }

  private static List<Proposal> roles(List<Line> read, Facts facts) {
    Map<Role, Proposal> proposed = new LinkedHashMap<>();
    for (var role : WORDS.entrySet()) {
      read.stream()
          .filter(one -> free(proposed, one.key))
          .flatMap(one -> spoken(one, role.getValue()).stream())
          .min(Comparator.comparingInt(Spoken::others))
          .ifPresent(best ->
              propose(
                  proposed,
                  role.getKey(),
                  best.line,
                  Message.of("controller.teaching.by-words", String.join(" ", best.words))));
    }
    byValue(
        proposed,
        read,
        facts.gantry ? Role.TRAVEL_X : Role.FIELD_SIZE_X,
        OptionalDouble.of(facts.areaMm.get(0)));
    byValue(
        proposed,
        read,
        facts.gantry ? Role.TRAVEL_Y : Role.FIELD_SIZE_Y,
        OptionalDouble.of(facts.areaMm.get(1)));
    if (facts.gantry) {
      byValue(proposed, read, Role.TOP_POWER_WORD, facts.softwareTop);
    }
    for (double focal : facts.lensesMm) {
      byValue(proposed, read, Role.LENS_FOCAL_LENGTH, OptionalDouble.of(focal));
    }
    return List.copyOf(proposed.values());
  }

  /**
   * A line that has all of these words beside it.
   *
   * @param others how many more words stand there: the fewer, the surer it is meant
   */
  private record Spoken(Line line, List<String> words, int others) {}

  private static Optional<Spoken> spoken(Line one, List<List<String>> sets) {
    String beside = words(one.line);
    int all = (int) WORD.matcher(beside).results().count();
    return sets.stream()
        .filter(words -> words.stream().allMatch(w -> hasWord(beside, w)))
        .max(Comparator.comparingInt(List::size))
        .map(words -> new Spoken(one, words, all - words.size()));
  }

  private static final Pattern WORD = Pattern.compile("\\p{L}{2,}");

  /** In lower case, with blanks between words that are written together. */
  private static String words(String line) {
    return line.replaceAll("(\\p{Ll})(\\p{Lu})", "$1 $2")
        .replaceAll("[_./\\-]", " ")
        .toLowerCase(Locale.ROOT);
  }

  /** Begins a word; a single letter is a word of its own. */
  private static boolean hasWord(String beside, String word) {
    return Pattern.compile("\\b" + word + (word.length() == 1 ? "\\b" : "")).matcher(beside).find();
  }

  private static boolean free(Map<Role, Proposal> proposed, String key) {
    return proposed.values().stream().noneMatch(p -> p.key.equals(key));
  }

  /** Only where one setting alone has the value: of two nobody knows which. */
  private static void byValue(
      Map<Role, Proposal> proposed, List<Line> read, Role role, OptionalDouble value) {
    if (value.isEmpty() || proposed.containsKey(role)) {
      return;
    }
    List<Line> same =
        read.stream()
            .filter(p -> {
              OptionalDouble number = Printed.number(FieldAudit.withoutLetter(p.value));
              return number.isPresent()
                  // Some count a travel to the left or to the front as negative.
                  && Math.abs(Math.abs(number.getAsDouble()) - value.getAsDouble()) < SAME_MM;
            })
            .filter(p -> free(proposed, p.key))
            .toList();
    if (same.size() == 1) {
      propose(
          proposed,
          role,
          same.getFirst(),
          Message.of("controller.teaching.by-value", Message.number(value.getAsDouble())));
    }
  }

  private static void propose(Map<Role, Proposal> proposed, Role role, Line one, Message because) {
    Map<String, String> values = new LinkedHashMap<>();
    if (role.meanings().contains(Role.ON)) {
      for (List<String> pair : SWITCHES) {
        if (pair.contains(one.value.toLowerCase(Locale.ROOT))) {
          values.put(Role.ON, pair.get(0));
          values.put(Role.OFF, pair.get(1));
        }
      }
    }
    if (role == Role.SOURCE_KIND) {
      role.meanings().stream()
          .filter(kind -> words(one.value).contains(SPELLINGS.getOrDefault(kind, kind)))
          .forEach(kind -> values.put(kind, one.value));
    }
    proposed.put(role, new Proposal(role, one.key, values, because));
  }
}
