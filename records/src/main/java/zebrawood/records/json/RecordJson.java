package zebrawood.records.json;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
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
import java.util.Set;
import zebrawood.measure.Bare;
import zebrawood.measure.Spelled;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.UnusableReading.Complaint;

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
        complaints.add(new Complaint(field, "missing", "this field, null where there is none"));
      }
    }
    Object value = value(node, type, Where.TOP, complaints);
    if (!complaints.isEmpty()) {
      throw new UnusableReading(complaints);
    }
    return type.cast(value);
  }

  private static JsonNode parse(String text) {
    try {
      JsonNode node = MAPPER.readTree(text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text);
      if (node == null || !node.isObject()) {
        String found = node == null || node.isMissingNode() ? "empty" : kind(node);
        throw UnusableReading.of("the input", found, "one JSON object");
      }
      return node;
    } catch (JsonProcessingException e) {
      var where = e.getLocation();
      String at =
          where == null ? "" : " at line " + where.getLineNr() + ", column " + where.getColumnNr();
      String why = e.getOriginalMessage().replaceAll("(?s)\\s*[(\\[\\n].*", "");
      throw UnusableReading.of("the input", "not JSON" + at + " (" + why + ")", "one JSON object");
    }
  }

  private static Object value(JsonNode node, Type type, Where path, List<Complaint> complaints) {
    return switch (type) {
      case Class<?> c when c == double.class || c == Double.class -> number(node, path, complaints);
      case Class<?> c when c == int.class -> whole(node, path, complaints);
      case Class<?> c when c == boolean.class ->
          node.isBoolean() ? node.booleanValue() : refuse(node, path, "true or false", complaints);
      case Class<?> c when c == String.class ->
          node.isTextual() ? node.textValue() : refuse(node, path, "a text", complaints);
      case Class<?> c when c == Instant.class -> instant(node, path, complaints);
      case Class<?> c when c == OptionalDouble.class ->
          node.isNull() ? OptionalDouble.empty() : optionalNumber(node, path, complaints);
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

  private static Object number(JsonNode node, Where path, List<Complaint> complaints) {
    double value = node.isNumber() ? node.doubleValue() : Double.NaN;
    return Double.isFinite(value) ? value : refuse(node, path, "a finite number", complaints);
  }

  private static OptionalDouble optionalNumber(
      JsonNode node, Where path, List<Complaint> complaints) {
    return number(node, path, complaints) instanceof Double d
        ? OptionalDouble.of(d)
        : OptionalDouble.empty();
  }

  private static Object whole(JsonNode node, Where path, List<Complaint> complaints) {
    boolean usable =
        node.isNumber() && node.canConvertToInt() && node.doubleValue() == node.intValue();
    return usable ? node.intValue() : refuse(node, path, "a whole number", complaints);
  }

  private static Object instant(JsonNode node, Where path, List<Complaint> complaints) {
    try {
      return Instant.parse(node.asText());
    } catch (DateTimeParseException e) {
      return refuse(node, path, "a time such as 2026-11-03T10:15:00Z", complaints);
    }
  }

  private static Object constant(
      JsonNode node, Class<?> type, Where path, List<Complaint> complaints) {
    List<String> accepted = new ArrayList<>();
    for (Object constant : type.getEnumConstants()) {
      String spelled = spelled((Enum<?>) constant);
      if (node.isTextual() && node.textValue().equals(spelled)) {
        return constant;
      }
      accepted.add("\"" + spelled + "\"");
    }
    return refuse(node, path, String.join(" or ", accepted), complaints);
  }

  private static Object list(JsonNode node, Type type, Where path, List<Complaint> complaints) {
    if (!node.isArray()) {
      return refuse(node, path, "a list", complaints);
    }
    List<Object> values = new ArrayList<>(node.size());
    for (int i = 0; i < node.size(); i++) {
      values.add(value(node.get(i), type, new Where.Item(path, i), complaints));
    }
    return values;
  }

  private static Object map(JsonNode node, Type type, Where path, List<Complaint> complaints) {
    if (!node.isObject()) {
      return refuse(node, path, "an object", complaints);
    }
    Map<String, Object> values = new LinkedHashMap<>();
    for (var field : node.properties()) {
      values.put(
          field.getKey(),
          value(field.getValue(), type, new Where.Field(path, field.getKey()), complaints));
    }
    return values;
  }

  private static Object record(
      JsonNode node, Class<?> type, Where path, List<Complaint> complaints) {
    if (!node.isObject()) {
      return refuse(node, path, "an object", complaints);
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
        values[i] = value(child, shape.types().get(i), new Where.Field(path, name), complaints);
      } else if (shape.absent(i) != null) {
        values[i] = shape.absent(i);
      } else {
        complaints.add(
            new Complaint(new Where.Field(path, name).inWords(), "missing", "this field"));
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
            new Complaint(new Where.Field(path, c.field()).inWords(), c.found(), c.accepted()));
      }
      return null;
    }
  }

  private static void complainOfUnknown(
      JsonNode node, RecordShape shape, Where path, List<Complaint> complaints) {
    for (var field : node.properties()) {
      if (!shape.names().contains(field.getKey())) {
        complaints.add(
            new Complaint(
                new Where.Field(path, field.getKey()).inWords(),
                "an unknown field",
                "one of " + shape.names()));
      }
    }
  }

  private static Object refuse(
      JsonNode node, Where path, String accepted, List<Complaint> complaints) {
    String shown = node.toString();
    String found = shown.length() > 40 ? kind(node) : shown;
    complaints.add(new Complaint(path.inWords(), found, accepted));
    return null;
  }

  private static String kind(JsonNode node) {
    return "a JSON " + node.getNodeType().name().toLowerCase(Locale.ROOT);
  }

  /** An enum constant as it stands in a document. */
  public static String spelled(Enum<?> constant) {
    return constant instanceof Spelled own
        ? own.spelling()
        : constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** One line of JSON. */
  public static String write(Record value) {
    StringWriter out = new StringWriter();
    try (JsonGenerator generator = MAPPER.createGenerator(out)) {
      write(value, generator);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static void write(Object value, JsonGenerator out) throws IOException {
    switch (value) {
      case null -> out.writeNull();
      case Double d when !Double.isFinite(d) ->
          throw new IllegalStateException("a finding holds a number that is not finite");
      case Double d -> out.writeNumber(d + 0.0);
      case Integer i -> out.writeNumber(i);
      case Boolean b -> out.writeBoolean(b);
      case String s -> out.writeString(s);
      case Instant t -> out.writeString(t.toString());
      case Bare b -> write(b.bare(), out);
      case Enum<?> e -> out.writeString(spelled(e));
      case Optional<?> o -> write(o.orElse(null), out);
      case OptionalDouble o -> write(o.isPresent() ? o.getAsDouble() : null, out);
      case List<?> list -> {
        out.writeStartArray();
        for (Object item : list) {
          write(item, out);
        }
        out.writeEndArray();
      }
      case Map<?, ?> map -> {
        out.writeStartObject();
        for (var field : map.entrySet()) {
          out.writeFieldName(field.getKey().toString());
          write(field.getValue(), out);
        }
        out.writeEndObject();
      }
      case Record r -> {
        RecordShape shape = RecordShape.of(r.getClass());
        out.writeStartObject();
        for (int i = 0; i < shape.names().size(); i++) {
          Object component = shape.get(r, i);
          if (component instanceof Optional<?> o && o.isEmpty()) {
            continue;
          }
          out.writeFieldName(shape.names().get(i));
          write(component, out);
        }
        out.writeEndObject();
      }
      default -> throw new IllegalArgumentException("no JSON for " + value.getClass());
    }
  }
}
