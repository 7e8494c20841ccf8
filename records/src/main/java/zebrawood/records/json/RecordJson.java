package zebrawood.records.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.measure.OwnSpelling;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.UnusableReading.Complaint;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * Reads and writes records of doubles, ints, booleans, texts, instants, enums, lists, maps by text,
 * optionals and further records. An optional component may be absent or null; any other must be
 * there. Written, an empty optional is left out, and an optional number that is empty is null: it
 * was asked for and cannot be answered.
 */
public final class RecordJson {
  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  /** Some editors begin a file with it. */
  private static final String BYTE_ORDER_MARK = "\uFEFF";

  private static final String INPUT = "the input";

  private RecordJson() {}

  /** Loads what the first document needs; meant for another thread while a file is being opened. */
  public static void prepare() {
    MAPPER.createObjectNode();
    parse("{\"ready\":1.5}");
  }

  /**
   * @throws UnusableReading naming every field that cannot be used
   */
  public static <T extends Record> T read(String text, Class<T> type) {
    return read(text, type, Set.of());
  }

  /**
   * @param mustBeThere optional top-level fields that may be null but not absent
   * @throws UnusableReading naming every field that cannot be used
   */
  public static <T extends Record> T read(String text, Class<T> type, Set<String> mustBeThere) {
    JsonNode node = parse(text);
    List<Complaint> complaints = new ArrayList<>();
    for (String field : mustBeThere) {
      if (node.isObject() && !node.has(field)) {
        complaints.add(
            new Complaint(field, Message.of("accepts.missing"), Message.of("json.field-or-null")));
      }
    }
    Object value = value(node, type, DocumentPath.TOP, complaints);
    if (!complaints.isEmpty()) {
      throw new UnusableReading(complaints);
    }
    return type.cast(value);
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
    try {
      JsonNode node = MAPPER.readTree(text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text);
      if (node == null || !node.isObject()) {
        Message found =
            node == null || node.isMissingNode() ? Message.of("accepts.empty") : kind(node);
        throw UnusableReading.of(INPUT, found, Message.of("json.one-object"));
      }
      return node;
    } catch (JsonProcessingException e) {
      var where = e.getLocation();
      String why = e.getOriginalMessage().replaceAll("(?s)\\s*[(\\[\\n].*", "");
      throw UnusableReading.of(
          INPUT,
          where == null
              ? Message.of("json.not-json", Message.quoted(why))
              : Message.of(
                  "json.not-json-at", where.getLineNr(), where.getColumnNr(), Message.quoted(why)),
          Message.of("json.one-object"));
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

  private static Object value(
      JsonNode node, Type type, DocumentPath path, List<Complaint> complaints) {
    return switch (type) {
      case Class<?> c when c == double.class || c == Double.class -> number(node, path, complaints);
      case Class<?> c when c == int.class -> whole(node, path, complaints);
      case Class<?> c when c == boolean.class ->
          node.isBoolean()
              ? node.booleanValue()
              : refuse(node, path, Message.of("json.true-or-false"), complaints);
      case Class<?> c when c == String.class ->
          node.isTextual()
              ? node.textValue()
              : refuse(node, path, Message.of("json.text"), complaints);
      case Class<?> c when c == Instant.class -> instant(node, path, complaints);
      case Class<?> c when c == OptionalDouble.class ->
          node.isNull() ? OptionalDouble.empty() : optionalNumber(node, path, complaints);
      case Class<?> c when c == OptionalInt.class ->
          !node.isNull() && whole(node, path, complaints) instanceof Integer i
              ? OptionalInt.of(i)
              : OptionalInt.empty();
      case Class<?> c when c.isEnum() -> constant(node, c, path, complaints);
      case Class<?> c when c.isRecord() -> record(node, c, path, complaints);
      case ParameterizedType p when p.getRawType() == Optional.class ->
          node.isNull()
              ? Optional.empty()
              : Optional.ofNullable(value(node, p.getActualTypeArguments()[0], path, complaints));
      case ParameterizedType p when p.getRawType() == List.class ->
          list(node, p.getActualTypeArguments()[0], path, complaints);
      case ParameterizedType p when p.getRawType() == Map.class ->
          map(node, p.getActualTypeArguments()[1], path, complaints);
      default -> throw new IllegalArgumentException("no JSON for " + type);
    };
  }

  private static Object number(JsonNode node, DocumentPath path, List<Complaint> complaints) {
    double value = node.isNumber() ? node.doubleValue() : Double.NaN;
    return Double.isFinite(value)
        ? value
        : refuse(node, path, Message.of("json.finite"), complaints);
  }

  private static OptionalDouble optionalNumber(
      JsonNode node, DocumentPath path, List<Complaint> complaints) {
    return number(node, path, complaints) instanceof Double d
        ? OptionalDouble.of(d)
        : OptionalDouble.empty();
  }

  private static Object whole(JsonNode node, DocumentPath path, List<Complaint> complaints) {
    boolean usable =
        node.isNumber() && node.canConvertToInt() && node.doubleValue() == node.intValue();
    return usable ? node.intValue() : refuse(node, path, Message.of("json.whole"), complaints);
  }

  private static Object instant(JsonNode node, DocumentPath path, List<Complaint> complaints) {
    try {
      return Instant.parse(node.asText());
    } catch (DateTimeParseException e) {
      return refuse(node, path, Message.of("json.time"), complaints);
    }
  }

  private static Object constant(
      JsonNode node, Class<?> type, DocumentPath path, List<Complaint> complaints) {
    Message accepted = Message.NONE;
    for (Object constant : type.getEnumConstants()) {
      String spelled = spelled((Enum<?>) constant);
      if (node.isTextual() && node.textValue().equals(spelled)) {
        return constant;
      }
      Message quoted = Message.verbatim("\"" + spelled + "\"");
      accepted = accepted.isEmpty() ? quoted : Message.of("json.or", accepted, quoted);
    }
    return refuse(node, path, accepted, complaints);
  }

  private static Object list(
      JsonNode node, Type type, DocumentPath path, List<Complaint> complaints) {
    if (!node.isArray()) {
      return refuse(node, path, Message.of("json.list"), complaints);
    }
    List<Object> values = new ArrayList<>(node.size());
    for (int i = 0; i < node.size(); i++) {
      values.add(value(node.get(i), type, new DocumentPath.Item(path, i), complaints));
    }
    return values;
  }

  private static Object map(
      JsonNode node, Type type, DocumentPath path, List<Complaint> complaints) {
    if (!node.isObject()) {
      return refuse(node, path, Message.of("json.object"), complaints);
    }
    Map<String, Object> values = new LinkedHashMap<>();
    for (var field : node.properties()) {
      values.put(
          field.getKey(),
          value(field.getValue(), type, new DocumentPath.Field(path, field.getKey()), complaints));
    }
    return values;
  }

  private static Object record(
      JsonNode node, Class<?> type, DocumentPath path, List<Complaint> complaints) {
    if (!node.isObject()) {
      return refuse(node, path, Message.of("json.object"), complaints);
    }
    RecordShape shape = RecordShape.of(type);
    int before = complaints.size();
    int known = 0;
    Object[] values = new Object[shape.names().size()];
    for (int i = 0; i < values.length; i++) {
      String name = shape.names().get(i);
      JsonNode child = node.get(name);
      if (child != null) {
        known++;
        values[i] =
            value(child, shape.types().get(i), new DocumentPath.Field(path, name), complaints);
      } else if (shape.absent(i) != null) {
        values[i] = shape.absent(i);
      } else {
        complaints.add(
            new Complaint(
                new DocumentPath.Field(path, name).inWords(),
                Message.of("accepts.missing"),
                Message.of("json.this-field")));
      }
    }
    if (known < node.size()) {
      complainOfUnknown(node, shape, path, complaints);
    }
    if (complaints.size() > before) {
      return null;
    }
    try {
      return shape.make(values);
    } catch (UnusableReading e) {
      for (Complaint c : e.complaints()) {
        complaints.add(
            new Complaint(
                new DocumentPath.Field(path, c.field()).inWords(), c.found(), c.accepted()));
      }
      return null;
    }
  }

  private static void complainOfUnknown(
      JsonNode node, RecordShape shape, DocumentPath path, List<Complaint> complaints) {
    for (var field : node.properties()) {
      if (!shape.names().contains(field.getKey())) {
        complaints.add(
            new Complaint(
                new DocumentPath.Field(path, field.getKey()).inWords(),
                Message.of("json.unknown-field"),
                Message.of("json.one-of", Message.verbatim(shape.names().toString()))));
      }
    }
  }

  private static Object refuse(
      JsonNode node, DocumentPath path, Message accepted, List<Complaint> complaints) {
    String shown = node.isContainerNode() ? "" : node.toString();
    Message found = shown.isEmpty() || shown.length() > 40 ? kind(node) : Message.verbatim(shown);
    complaints.add(new Complaint(path.inWords(), found, accepted));
    return null;
  }

  private static Message kind(JsonNode node) {
    return Message.of("json.kind." + node.getNodeType().name().toLowerCase(Locale.ROOT));
  }

  /** An enum constant as it stands in a document. */
  public static String spelled(Enum<?> constant) {
    return constant instanceof OwnSpelling own
        ? own.spelling()
        : constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** One line of JSON, in which messages stand as keys with their arguments. */
  public static String write(Record value) {
    return new Writing(Optional.empty()).write(value);
  }

  /** One line of JSON, in which messages stand as sentences. */
  public static String write(Record value, Phrasebook words) {
    return new Writing(Optional.of(words)).write(value);
  }

  /**
   * A message as {@link #write(Record)} wrote it. Arguments that are no text, number or message are
   * kept as what they are called.
   *
   * @throws UnusableReading when it is none
   */
  public static Message message(String kept) {
    return message(parse(kept));
  }

  private static Message message(JsonNode node) {
    List<Object> arguments = new ArrayList<>();
    for (JsonNode argument : node.path("arguments")) {
      arguments.add(
          argument.has("key")
              ? message(argument)
              : argument.has("value") && argument.has("quantity")
                  ? amount(argument)
                  : argument.isIntegralNumber()
                      ? (Object) argument.longValue()
                      : argument.asText());
    }
    return new Message(node.path("key").asText("words.verbatim"), arguments);
  }

  private static Object amount(JsonNode node) {
    try {
      return value(node, Amount.class, DocumentPath.TOP, new ArrayList<>()) instanceof Amount a
          ? a
          : node.path("value").asText();
    } catch (UnusableReading e) {
      return node.path("value").asText();
    }
  }

  static JsonMapper mapper() {
    return MAPPER;
  }
}
