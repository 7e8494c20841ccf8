package zebrawood.records.json;

import com.fasterxml.jackson.databind.JsonNode;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SequencedMap;
import java.util.Set;
import java.util.TreeSet;
import zebrawood.measure.Estimate;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.UnusableReading.Complaint;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/**
 * Makes records of a parsed document, and collects all that is wrong with it.
 *
 * @param complaints grow while it is read
 * @param kept whether it was kept by this version or an earlier one: a field that is no more is
 *     passed over
 */
record Reading(List<Complaint> complaints, boolean kept) {
  /** Of a document that somebody hands in. */
  Reading(List<Complaint> complaints) {
    this(complaints, false);
  }

  private static final Set<Class<?>> MAPS = Set.of(Map.class, SequencedMap.class);

  Object value(JsonNode node, Type type, DocumentPath path) {
    return type instanceof ParameterizedType p
        ? ofParameterized(node, p, path)
        : ofClass(node, (Class<?>) type, path);
  }

  private Object ofClass(JsonNode node, Class<?> type, DocumentPath path) {
    if (type == double.class || type == Double.class) {
      return number(node, path);
    }
    if (type == int.class || type == Integer.class) {
      return whole(node, path);
    }
    if (type == boolean.class || type == Boolean.class) {
      return node.isBoolean()
          ? node.booleanValue()
          : refuse(node, path, Message.of("json.true-or-false"));
    }
    if (type == String.class) {
      return node.isTextual() ? node.textValue() : refuse(node, path, Message.of("json.text"));
    }
    if (type.isEnum()) {
      return constant(node, type, path);
    }
    if (type == Message.class) {
      return node.isObject() ? message(node) : refuse(node, path, Message.of("json.object"));
    }
    if (type == Verbatim.class) {
      return new Verbatim(node.toString());
    }
    if (type.isRecord()) {
      return record(node, type, path, false);
    }
    if (Kinds.has(type)) {
      return kind(node, type, path);
    }
    if (type == OptionalDouble.class) {
      return node.isNull() ? OptionalDouble.empty() : optionalNumber(node, path);
    }
    if (type == OptionalInt.class) {
      return !node.isNull() && whole(node, path) instanceof Integer i
          ? OptionalInt.of(i)
          : OptionalInt.empty();
    }
    if (type == Instant.class) {
      return instant(node, path);
    }
    if (type == LocalDate.class) {
      return date(node, path);
    }
    throw new IllegalArgumentException("no JSON for " + type);
  }

  private Object ofParameterized(JsonNode node, ParameterizedType type, DocumentPath path) {
    Class<?> raw = (Class<?>) type.getRawType();
    Type[] of = type.getActualTypeArguments();
    if (raw == Optional.class) {
      return node.isNull() ? Optional.empty() : Optional.ofNullable(value(node, of[0], path));
    }
    if (raw == List.class) {
      return list(node, of[0], path);
    }
    if (MAPS.contains(raw)) {
      return map(node, of[0], of[1], path);
    }
    if (raw.isRecord()) {
      return record(node, type, path, false);
    }
    throw new IllegalArgumentException("no JSON for " + type);
  }

  private Object number(JsonNode node, DocumentPath path) {
    double value = node.isNumber() ? node.doubleValue() : Double.NaN;
    return Double.isFinite(value) ? value : refuse(node, path, Message.of("json.finite"));
  }

  private OptionalDouble optionalNumber(JsonNode node, DocumentPath path) {
    return number(node, path) instanceof Double d ? OptionalDouble.of(d) : OptionalDouble.empty();
  }

  private Object whole(JsonNode node, DocumentPath path) {
    boolean usable =
        node.isNumber() && node.canConvertToInt() && node.doubleValue() == node.intValue();
    return usable ? node.intValue() : refuse(node, path, Message.of("json.whole"));
  }

  private Object instant(JsonNode node, DocumentPath path) {
    try {
      return Instant.parse(node.asText());
    } catch (DateTimeParseException e) {
      return refuse(node, path, Message.of("json.time"));
    }
  }

  private Object date(JsonNode node, DocumentPath path) {
    try {
      return LocalDate.parse(node.isTextual() ? node.textValue() : "");
    } catch (DateTimeParseException e) {
      return refuse(node, path, Message.of("json.date"));
    }
  }

  private Object constant(JsonNode node, Class<?> type, DocumentPath path) {
    Object known = node.isTextual() ? Spelling.constant(type, node.textValue()) : null;
    if (known != null) {
      return known;
    }
    Message accepted = Message.NONE;
    for (Object constant : type.getEnumConstants()) {
      Message quoted = Message.verbatim("\"" + RecordJson.spelled((Enum<?>) constant) + "\"");
      accepted = accepted.isEmpty() ? quoted : Message.of("json.or", accepted, quoted);
    }
    return refuse(node, path, accepted);
  }

  private Object list(JsonNode node, Type type, DocumentPath path) {
    if (!node.isArray()) {
      return refuse(node, path, Message.of("json.list"));
    }
    List<Object> values = new ArrayList<>(node.size());
    for (int i = 0; i < node.size(); i++) {
      values.add(value(node.get(i), type, new DocumentPath.Item(path, i)));
    }
    return values;
  }

  private Object map(JsonNode node, Type keys, Type type, DocumentPath path) {
    if (!node.isObject()) {
      return refuse(node, path, Message.of("json.object"));
    }
    SequencedMap<Object, Object> values = new LinkedHashMap<>();
    for (var field : node.properties()) {
      DocumentPath at = new DocumentPath.Field(path, field.getKey());
      Object key =
          keys instanceof Class<?> c && c.isEnum()
              ? Spelling.constant(c, field.getKey())
              : field.getKey();
      if (key == null) {
        complainOfUnknown(at, Message.verbatim(List.of(spelledOf(keys)).toString()));
      } else {
        values.put(key, value(field.getValue(), type, at));
      }
    }
    return Collections.unmodifiableSequencedMap(values);
  }

  private static String[] spelledOf(Type constants) {
    Object[] all = ((Class<?>) constants).getEnumConstants();
    String[] spelled = new String[all.length];
    for (int i = 0; i < all.length; i++) {
      spelled[i] = RecordJson.spelled((Enum<?>) all[i]);
    }
    return spelled;
  }

  /** The record that a document says it is; an older one did not say it, but has its fields. */
  private Object kind(JsonNode node, Class<?> sealed, DocumentPath path) {
    if (!node.isObject()) {
      return refuse(node, path, Message.of("json.object"));
    }
    JsonNode said = node.get(Kinds.FIELD);
    if (said == null) {
      return unsaid(node, sealed, path);
    }
    Class<?> kind = said.isTextual() ? Kinds.of(sealed).get(said.textValue()) : null;
    return kind == null
        ? refuse(
            said,
            new DocumentPath.Field(path, Kinds.FIELD),
            Message.of(
                "json.one-of",
                Message.verbatim(new TreeSet<>(Kinds.of(sealed).keySet()).toString())))
        : record(node, kind, path, true);
  }

  private Object unsaid(JsonNode node, Class<?> sealed, DocumentPath path) {
    // One that has all of its fields goes before one that passes some over.
    for (boolean passing : kept ? new boolean[] {false, true} : new boolean[] {false}) {
      for (Class<?> kind : Kinds.of(sealed).values()) {
        Reading trial = new Reading(new ArrayList<>(), passing);
        Object read = trial.record(node, kind, path, false);
        if (trial.complaints.isEmpty()) {
          return read;
        }
      }
    }
    complaints.add(
        new Complaint(
            new DocumentPath.Field(path, Kinds.FIELD).inWords(),
            Message.of("accepts.missing"),
            Message.of(
                "json.one-of",
                Message.verbatim(new TreeSet<>(Kinds.of(sealed).keySet()).toString()))));
    return null;
  }

  /**
   * @param saysKind whether it has the field of {@link Kinds} too
   */
  private Object record(JsonNode node, Type type, DocumentPath path, boolean saysKind) {
    if (!node.isObject()) {
      return refuse(node, path, Message.of("json.object"));
    }
    RecordShape shape = RecordShape.of(type);
    int before = complaints.size();
    int known = saysKind ? 1 : 0;
    List<RecordShape.Part> parts = shape.parts();
    Object[] values = new Object[parts.size()];
    for (int i = 0; i < values.length; i++) {
      RecordShape.Part part = parts.get(i);
      JsonNode child = node.get(part.name());
      if (child == null) {
        values[i] = part.absent();
        if (values[i] == null) {
          complain(path, part.name());
        }
        continue;
      }
      known++;
      if (part.estimate() && !child.isObject()) {
        JsonNode uncertainty = node.get(part.uncertaintyName());
        known += uncertainty == null ? 0 : 1;
        values[i] = estimate(child, uncertainty, part, path);
      } else {
        values[i] = value(child, part.type(), new DocumentPath.Field(path, part.name()));
      }
    }
    if (known < node.size() && !kept) {
      complainOfUnknown(node, shape, saysKind, path);
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

  /** Two numbers, or twice null where it was asked for and cannot be answered. */
  private Object estimate(
      JsonNode value, JsonNode uncertainty, RecordShape.Part part, DocumentPath path) {
    boolean optional = part.absent() != null;
    if (optional && value.isNull()) {
      return part.absent();
    }
    Object number = number(value, new DocumentPath.Field(path, part.name()));
    if (uncertainty == null) {
      complain(path, part.uncertaintyName());
      return null;
    }
    Object deviation = number(uncertainty, new DocumentPath.Field(path, part.uncertaintyName()));
    if (!(number instanceof Double n && deviation instanceof Double d)) {
      return null;
    }
    Estimate estimate = new Estimate(n, d);
    return optional ? Optional.of(estimate) : estimate;
  }

  private void complain(DocumentPath path, String name) {
    complaints.add(
        new Complaint(
            new DocumentPath.Field(path, name).inWords(),
            Message.of("accepts.missing"),
            Message.of("json.this-field")));
  }

  private void complainOfUnknown(
      JsonNode node, RecordShape shape, boolean saysKind, DocumentPath path) {
    for (var field : node.properties()) {
      if (!shape.knows(field.getKey()) && !(saysKind && field.getKey().equals(Kinds.FIELD))) {
        complainOfUnknown(
            new DocumentPath.Field(path, field.getKey()),
            Message.verbatim(shape.names().toString()));
      }
    }
  }

  private void complainOfUnknown(DocumentPath at, Message known) {
    complaints.add(
        new Complaint(
            at.inWords(), Message.of("json.unknown-field"), Message.of("json.one-of", known)));
  }

  private Object refuse(JsonNode node, DocumentPath path, Message accepted) {
    String shown = node.isContainerNode() ? "" : node.toString();
    Message found = shown.isEmpty() || shown.length() > 40 ? kind(node) : Message.verbatim(shown);
    complaints.add(new Complaint(path.inWords(), found, accepted));
    return null;
  }

  static Message kind(JsonNode node) {
    return Message.of("json.kind." + node.getNodeType().name().toLowerCase(Locale.ROOT));
  }

  /**
   * A message with its arguments: texts, whole numbers, amounts and further messages. What an
   * earlier version kept as something else stays as it was spelled.
   */
  static Message message(JsonNode node) {
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
    Reading own = new Reading(new ArrayList<>());
    return own.value(node, Amount.class, DocumentPath.TOP) instanceof Amount a
        ? a
        : node.path("value").asText();
  }
}
