package zebrawood.records.configuration;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import zebrawood.controller.NamedFields;
import zebrawood.measure.UnusableReading;

/**
 * A controller's page or configuration file of any usual kind as names and values: JSON, XML, CSV
 * of two columns, a table of key, name and value, sections in brackets (INI), or one name and value
 * a line. What stands inside of something else has its name before it.
 */
public final class ConfigurationText {
  private static final int MOST_FIELDS = 5_000;
  private static final int DEEPEST = 40;
  private static final int LONGEST_NAME = 160;
  private static final int LONGEST_VALUE = 200;

  private static final Pattern CSV =
      Pattern.compile(
          "\\s*(?:\"([^\"]{1,120})\"|([^\",;\\t]{1,120}))\\s*[,;\\t]\\s*(?:\"([^\"]{0,200})\"|([^\",;\\t]{0,200}))\\s*");

  private static final ObjectMapper JSON =
      new ObjectMapper(
          JsonFactory.builder()
              .streamReadConstraints(
                  StreamReadConstraints.builder().maxNestingDepth(DEEPEST).build())
              .build());

  private ConfigurationText() {}

  /** Empty where it is of none of these kinds. */
  public static Optional<NamedFields> read(String text) {
    String bare = text.strip();
    SequencedMap<String, String> values = new LinkedHashMap<>();
    try {
      if (bare.startsWith("{") || bare.startsWith("[{")) {
        json("", JSON.readTree(bare), values);
      } else if (bare.startsWith("<")) {
        xml(bare, values);
      }
    } catch (JsonProcessingException | XMLStreamException e) {
      values.clear();
    }
    if (values.isEmpty()) {
      csv(bare, values);
    }
    if (values.isEmpty()) {
      Optional<NamedFields> table = SettingsInColumns.read(bare);
      if (table.isPresent()) {
        return table;
      }
    }
    if (!values.isEmpty()) {
      return values.size() > MOST_FIELDS ? Optional.empty() : Optional.of(new NamedFields(values));
    }
    try {
      return Optional.of(NamedFields.parse(text));
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  private static void put(SequencedMap<String, String> values, String name, String value) {
    String one = value.strip().replaceAll("\\s+", " ");
    if (values.size() <= MOST_FIELDS
        && !name.isBlank()
        && name.length() <= LONGEST_NAME
        && one.length() <= LONGEST_VALUE) {
      // What stands between a name and its value is in no name.
      values.put(name.strip().replaceAll("\\s+", " ").replace('=', '-'), one);
    }
  }

  private static String inside(String of, String name) {
    return of.isEmpty() ? name : of + NamedFields.INSIDE + name;
  }

  private static void json(String of, JsonNode node, SequencedMap<String, String> values) {
    if (node.isObject()) {
      node.properties().forEach(e -> json(inside(of, e.getKey()), e.getValue(), values));
    } else if (node.isArray()) {
      for (int i = 0; i < node.size(); i++) {
        json(inside(of, String.valueOf(i + 1)), node.get(i), values);
      }
    } else {
      put(values, of, node.asText());
    }
  }

  /** Elements by their path and attributes by theirs; nothing outside of the text is fetched. */
  private static void xml(String text, SequencedMap<String, String> values)
      throws XMLStreamException {
    XMLInputFactory factory = XMLInputFactory.newFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    XMLStreamReader reader = factory.createXMLStreamReader(new StringReader(text));
    ArrayDeque<String> path = new ArrayDeque<>();
    StringBuilder words = new StringBuilder();
    while (reader.hasNext()) {
      switch (reader.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          path.addLast(reader.getLocalName());
          if (path.size() > DEEPEST) {
            throw new XMLStreamException("too deep");
          }
          words.setLength(0);
          attributes(reader, named(path), values);
        }
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA ->
            words.append(reader.getText());
        case XMLStreamConstants.END_ELEMENT -> {
          if (!words.toString().isBlank()) {
            put(values, named(path), words.toString());
          }
          words.setLength(0);
          path.removeLast();
        }
        default -> {}
      }
    }
  }

  /** Without the outermost element, which holds everything. */
  private static String named(ArrayDeque<String> path) {
    return path.stream()
        .skip(path.size() > 1 ? 1 : 0)
        .collect(Collectors.joining(NamedFields.INSIDE));
  }

  /** A name and a value as attributes of one element are a field; others stand by themselves. */
  private static void attributes(
      XMLStreamReader reader, String of, SequencedMap<String, String> values) {
    Optional<String> name = attribute(reader, List.of("name", "key", "id"));
    Optional<String> value = attribute(reader, List.of("value", "val"));
    if (name.isPresent() && value.isPresent()) {
      put(values, name.get(), value.get());
      return;
    }
    for (int i = 0; i < reader.getAttributeCount(); i++) {
      put(values, inside(of, reader.getAttributeLocalName(i)), reader.getAttributeValue(i));
    }
  }

  private static Optional<String> attribute(XMLStreamReader reader, List<String> names) {
    for (int i = 0; i < reader.getAttributeCount(); i++) {
      if (names.contains(reader.getAttributeLocalName(i).toLowerCase(Locale.ROOT))) {
        return Optional.of(reader.getAttributeValue(i));
      }
    }
    return Optional.empty();
  }

  /** Only where every line that is not empty is of two columns. */
  private static void csv(String text, SequencedMap<String, String> values) {
    SequencedMap<String, String> read = new LinkedHashMap<>();
    List<String> lines = text.lines().filter(l -> !l.isBlank()).limit(MOST_FIELDS + 1).toList();
    for (String line : lines) {
      Matcher m = CSV.matcher(line);
      if (!m.matches() || line.contains("=")) {
        return;
      }
      put(
          read,
          m.group(1) == null ? m.group(2) : m.group(1),
          m.group(3) == null ? m.group(4) : m.group(3));
    }
    if (lines.size() > 1) {
      values.putAll(read);
    }
  }
}
