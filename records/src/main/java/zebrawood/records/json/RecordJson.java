package zebrawood.records.json;

import static java.nio.charset.StandardCharsets.UTF_8;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.UnusableReading.Complaint;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * Reads and writes records of doubles, ints, booleans, texts, instants, days, enums, messages,
 * lists, maps by text or constant, optionals and further records, generic ones and those that a
 * sealed interface permits too. An optional component may be absent or null; any other must be
 * there. Written, an empty optional is left out, and an optional number that is empty is null: it
 * was asked for and cannot be answered. An {@link zebrawood.measure.Estimate} is two numbers:
 * {@code gapMm} and {@code gapMmUncertainty}.
 */
public final class RecordJson {
  /** Of names, values and brackets in a document; a tree of more takes the machine's memory. */
  static final int MOST_TOKENS = 3_000_000;

  private static final StreamReadConstraints BOUNDS =
      StreamReadConstraints.builder().maxTokenCount(MOST_TOKENS).build();

  private static final JsonFactory JSON =
      JsonFactory.builder()
          .enable(StreamReadFeature.USE_FAST_DOUBLE_PARSER)
          .streamReadConstraints(BOUNDS)
          .build();

  /** Made when it is first asked for: it takes longer to be made than a document to be read. */
  private static final class Trees {
    static final JsonMapper MAPPER =
        JsonMapper.builder(JsonFactory.builder().streamReadConstraints(BOUNDS).build())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(StreamReadFeature.USE_FAST_DOUBLE_PARSER)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();
  }

  /** Some editors begin a file with it. */
  private static final String BYTE_ORDER_MARK = "\uFEFF";

  private static final String INPUT = "the input";

  private RecordJson() {}

  /** Loads what the first document needs; meant for another thread while a file is being opened. */
  public static void prepare() {
    Trees.MAPPER.createObjectNode();
    parse("{\"ready\":1.5}");
  }

  /**
   * @throws UnusableReading naming every field that cannot be used
   */
  public static <T> T read(String text, Class<T> type) {
    return read(text, type, Set.of());
  }

  /**
   * @param mustBeThere optional fields that may be null but not absent, such as {@code setting},
   *     {@code source.pulseNs}, or {@code tasks.everyDays} of each in a list
   * @throws UnusableReading naming every field that cannot be used
   */
  public static <T> T read(String text, Class<T> type, Set<String> mustBeThere) {
    return read(parse(text), type, mustBeThere);
  }

  /**
   * @param utf8 the document's bytes
   * @param mustBeThere optional top-level fields that may be null but not absent
   * @throws UnusableReading naming every field that cannot be used
   */
  public static <T> T read(byte[] utf8, Class<T> type, Set<String> mustBeThere) {
    // Whatever is no letter of ASCII is looked at closely.
    Optional<Object> quick =
        plain(utf8) ? QuickReading.of(JSON, utf8, type, mustBeThere) : Optional.empty();
    return quick.isPresent()
        ? type.cast(quick.get())
        : read(parse(decoded(utf8)), type, mustBeThere);
  }

  private static <T> T read(JsonNode node, Class<T> type, Set<String> mustBeThere) {
    List<Complaint> complaints = new ArrayList<>();
    for (String field : mustBeThere) {
      int inner = field.lastIndexOf('.');
      JsonNode of = inner < 0 ? node : node.at("/" + field.substring(0, inner).replace('.', '/'));
      String name = field.substring(inner + 1);
      if (of.isObject() && !of.has(name)) {
        complaints.add(nullNotAbsent(field));
      }
      for (int i = 0; of.isArray() && i < of.size(); i++) {
        if (of.get(i).isObject() && !of.get(i).has(name)) {
          complaints.add(nullNotAbsent(field.substring(0, inner) + "[" + i + "]." + name));
        }
      }
    }
    Object value = new Reading(complaints).value(node, type, DocumentPath.TOP);
    if (!complaints.isEmpty()) {
      throw new UnusableReading(complaints);
    }
    return type.cast(value);
  }

  private static Complaint nullNotAbsent(String field) {
    return new Complaint(field, Message.of("accepts.missing"), Message.of("json.field-or-null"));
  }

  /** Longer documents than any reading needs are not parsed. */
  private static final int LONGEST = 64 * 1024 * 1024;

  private static JsonNode parse(String text) {
    if (text.length() > LONGEST) {
      throw UnusableReading.of(
          INPUT,
          Message.of("json.letters", text.length()),
          Message.of("json.at-most-letters", LONGEST));
    }
    return object(
        () -> Trees.MAPPER.readTree(text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text));
  }

  /** Whether all are letters of ASCII, of which none is nought. */
  private static boolean plain(byte[] utf8) {
    for (byte b : utf8) {
      if (b <= 0) {
        return false;
      }
    }
    return true;
  }

  private static String decoded(byte[] utf8) {
    try {
      return UTF_8.newDecoder().decode(ByteBuffer.wrap(utf8)).toString();
    } catch (CharacterCodingException e) {
      throw UnusableReading.of(INPUT, Message.of("json.not-utf-8"), Message.of("json.utf-8"));
    }
  }

  /** Makes a tree of a document. */
  private interface Parsing {
    JsonNode tree() throws IOException;
  }

  private static JsonNode object(Parsing parsing) {
    try {
      JsonNode node = parsing.tree();
      if (node == null || !node.isObject()) {
        Message found =
            node == null || node.isMissingNode() ? Message.of("accepts.empty") : Reading.kind(node);
        throw UnusableReading.of(INPUT, found, Message.of("json.one-object"));
      }
      return node;
    } catch (StreamConstraintsException e) {
      throw UnusableReading.of(
          INPUT, Message.of("json.too-much"), Message.of("json.at-most-values", MOST_TOKENS));
    } catch (JsonProcessingException e) {
      var where = e.getLocation();
      String why = plainly(e);
      throw UnusableReading.of(
          INPUT,
          where == null
              ? Message.of("json.not-json", Message.quoted(why))
              : Message.of(
                  "json.not-json-at", where.getLineNr(), where.getColumnNr(), Message.quoted(why)),
          Message.of("json.one-object"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What the parser says, without where it found it. */
  private static String plainly(JsonProcessingException e) {
    return e.getOriginalMessage().replaceAll("(?s)\\s*[(\\[\\n].*", "");
  }

  /**
   * What stands in a document under this name; empty where there is no such part, or it cannot be
   * read as that.
   */
  public static <T> Optional<T> part(String document, String name, Class<T> type) {
    try {
      JsonNode node = parse(document).get(name);
      Reading reading = new Reading(new ArrayList<>(), true);
      Object value = node == null ? null : reading.value(node, type, DocumentPath.TOP);
      return reading.complaints().isEmpty()
          ? Optional.ofNullable(value).map(type::cast)
          : Optional.empty();
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  /**
   * What stands in a list of a document under this name; empty where there is no such list, or one
   * of it cannot be read as that.
   */
  public static <T> List<T> parts(String document, String name, Class<T> type) {
    try {
      JsonNode list = parse(document).get(name);
      List<T> parts = new ArrayList<>();
      Reading reading = new Reading(new ArrayList<>(), true);
      for (int i = 0; list != null && i < list.size(); i++) {
        Object value = reading.value(list.get(i), type, DocumentPath.TOP);
        if (!reading.complaints().isEmpty()) {
          return List.of();
        }
        parts.add(type.cast(value));
      }
      return parts;
    } catch (UnusableReading e) {
      return List.of();
    }
  }

  /**
   * The texts of an object that stands in a document under this name; empty where there is no such
   * object. What is no text is passed over.
   */
  public static Optional<Map<String, String>> textsIn(String document, String name) {
    try {
      JsonNode node = parse(document).get(name);
      if (node == null || !node.isObject()) {
        return Optional.empty();
      }
      Map<String, String> texts = new LinkedHashMap<>();
      node.properties()
          .forEach(field -> {
            if (field.getValue().isTextual()) {
              texts.put(field.getKey(), field.getValue().textValue());
            }
          });
      return Optional.of(texts);
    } catch (UnusableReading e) {
      return Optional.empty();
    }
  }

  /** An enum constant as it stands in a document. */
  public static String spelled(Enum<?> constant) {
    return Spelling.of(constant);
  }

  /** One line of JSON to be kept: {@link #read} makes an equal record of it. */
  public static String write(Record value) {
    return write(value, value.getClass());
  }

  /**
   * The same of what will be asked for by a sealed interface: it says its kind.
   *
   * @param declared what {@link #read} will be asked for
   */
  public static String write(Record value, Class<?> declared) {
    return new Writing(Optional.empty()).write(value, declared);
  }

  /** One line of JSON for a person: messages stand as sentences. */
  public static String write(Record value, Phrasebook words) {
    return new Writing(Optional.of(words)).write(value, value.getClass());
  }

  /** The same as {@link #write(Record, Phrasebook)}, as bytes of UTF-8. */
  public static byte[] writeBytes(Record value, Phrasebook words) {
    return new Writing(Optional.of(words)).bytes(value, value.getClass());
  }

  /**
   * A message as {@link #write(Record)} wrote it.
   *
   * @throws UnusableReading when it is no document
   */
  public static Message message(String kept) {
    return Reading.message(parse(kept));
  }

  static JsonFactory factory() {
    return JSON;
  }
}
