package zebrawood.desktop.help;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.Node;
import zebrawood.desktop.text.Text;

/**
 * Something that is written about: a field, a step, a whole sheet. Its words stand in the help
 * bundle of the package that its key begins with.
 *
 * @param key as a field's label or a step's message has it, or the beginning of one
 */
public record Topic(String key) {
  private static final String HELP = "help.";
  private static final String WHAT = ".what";
  private static final String SHEET = ".sheet";

  /** Where a longer key ends and what is written about all of its kind may begin. */
  private static final Pattern JOINT = Pattern.compile("[.-]|(?<=[a-z])(?=[A-Z])");

  /** The topic that a key belongs to: the longest beginning of it that is written about. */
  public static Optional<Topic> of(String key) {
    for (String at = key; !at.isEmpty(); at = shorter(at)) {
      if (Text.words().has(HELP + at + WHAT)) {
        return Optional.of(new Topic(at));
      }
    }
    return Optional.empty();
  }

  private static String shorter(String key) {
    int end = 0;
    Matcher joint = JOINT.matcher(key);
    while (joint.find()) {
      end = joint.start();
    }
    return key.substring(0, end);
  }

  /** What is written about a station's whole sheet, or a page. */
  public static Topic sheet(String of) {
    return new Topic(of + SHEET);
  }

  /** All that is written about what such keys begin with. */
  public static Stream<Topic> all(String of) {
    return Text.words().keys(HELP + of + ".").stream()
        .filter(k -> k.endsWith(WHAT))
        .map(k -> new Topic(k.substring(HELP.length(), k.length() - WHAT.length())));
  }

  /** Says what a part of the window is about. */
  public static void mark(Node node, String key) {
    node.getProperties().put(Topic.class, key);
  }

  /** The topics of a part of the window, from the narrowest to the widest. */
  public static List<Topic> at(Node node) {
    Stream.Builder<String> keys = Stream.builder();
    for (Node n = node; n != null; n = n.getParent()) {
      if (n.getProperties().get(Topic.class) instanceof String key) {
        key.lines().forEach(keys::add);
      }
    }
    return keys.build().flatMap(key -> of(key).stream()).distinct().toList();
  }

  /** The station or card that it is of. */
  public String of() {
    return key.substring(0, key.indexOf('.'));
  }

  public String name() {
    return Text.of(HELP + key + ".name");
  }

  public String what() {
    return Text.of(HELP + key + WHAT);
  }

  public String why() {
    return Text.of(HELP + key + ".why");
  }

  public String wrong() {
    return Text.of(HELP + key + ".wrong");
  }

  public HowTo drawing() {
    return Stream.of(HowTo.values())
        .filter(h -> Text.words().has(howKey(h)))
        .findFirst()
        .orElseThrow();
  }

  public String how() {
    return Text.of(howKey(drawing()));
  }

  private String howKey(HowTo how) {
    return HELP + key + ".how." + how.name().toLowerCase(java.util.Locale.ROOT);
  }

  public String source() {
    return Text.of(HELP + of() + ".source");
  }
}
