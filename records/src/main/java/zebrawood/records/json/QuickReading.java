package zebrawood.records.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * Makes a record of a document that is in order, in half the time that {@link Reading} takes, since
 * it makes no tree of it first. At the first thing that is wrong, or of a type that is rare, it
 * gives up: {@link Reading} then reads the document again and tells all that is wrong.
 */
final class QuickReading {
  /** This document is left to the other reader. */
  private static final class GivenUp extends Exception {
    private static final long serialVersionUID = 1;

    GivenUp() {
      super(null, null, false, false);
    }
  }

  private final JsonParser in;

  private QuickReading(JsonParser in) {
    this.in = in;
  }

  /**
   * @param utf8 letters of ASCII only
   * @param mustBeThere optional fields that may be null but not absent; where one of them lies
   *     deeper than at the top, the document is left to {@link Reading}
   * @return empty where the document is left to {@link Reading}
   */
  static Optional<Object> of(
      JsonFactory json, byte[] utf8, Class<?> type, Set<String> mustBeThere) {
    if (mustBeThere.stream().anyMatch(field -> field.contains("."))) {
      return Optional.empty();
    }
    try (JsonParser parser = json.createParser(utf8)) {
      QuickReading reading = new QuickReading(parser);
      parser.nextToken();
      Object value = reading.record(type, mustBeThere);
      return parser.nextToken() == null ? Optional.of(value) : Optional.empty();
    } catch (IOException | UnusableReading | GivenUp e) {
      return Optional.empty();
    }
  }

  /** The value that begins at the current token; ends at its last one. */
  private Object value(Type type) throws IOException, GivenUp {
    if (type instanceof ParameterizedType p) {
      return ofParameterized(p);
    }
    Class<?> plain = (Class<?>) type;
    if (plain == double.class || plain == Double.class) {
      return number();
    }
    if (plain == String.class) {
      return text();
    }
    if (plain.isRecord() && plain != Verbatim.class && plain != Message.class) {
      return record(plain, Set.of());
    }
    if (plain.isEnum()) {
      return there(Spelling.constant(plain, text()));
    }
    if (plain == int.class || plain == Integer.class) {
      double value = number();
      return there(value == (int) value ? (int) value : null);
    }
    if (plain == boolean.class || plain == Boolean.class) {
      return in.currentToken().isBoolean() ? in.getBooleanValue() : there(null);
    }
    if (plain == OptionalDouble.class) {
      return absent() ? OptionalDouble.empty() : OptionalDouble.of(number());
    }
    throw new GivenUp();
  }

  private Object ofParameterized(ParameterizedType type) throws IOException, GivenUp {
    Class<?> raw = RecordShape.raw(type);
    if (raw == Optional.class) {
      return absent() ? Optional.empty() : Optional.of(value(type.getActualTypeArguments()[0]));
    }
    if (raw == List.class) {
      return list(type.getActualTypeArguments()[0]);
    }
    return raw.isRecord() ? record(type, Set.of()) : there(null);
  }

  private boolean absent() {
    return in.currentToken() == JsonToken.VALUE_NULL;
  }

  private double number() throws IOException, GivenUp {
    double value = in.currentToken().isNumeric() ? in.getDoubleValue() : Double.NaN;
    if (!Double.isFinite(value)) {
      throw new GivenUp();
    }
    return value;
  }

  private String text() throws IOException, GivenUp {
    return in.currentToken() == JsonToken.VALUE_STRING ? in.getText() : (String) there(null);
  }

  private List<Object> list(Type ofItems) throws IOException, GivenUp {
    begins(JsonToken.START_ARRAY);
    List<Object> values = new ArrayList<>();
    while (in.nextToken() != JsonToken.END_ARRAY) {
      values.add(value(ofItems));
    }
    return values;
  }

  private Object record(Type type, Set<String> mustBeThere) throws IOException, GivenUp {
    begins(JsonToken.START_OBJECT);
    RecordShape shape = RecordShape.of(type);
    List<RecordShape.Part> parts = shape.parts();
    Object[] values = new Object[parts.size()];
    for (String name = in.nextFieldName(); name != null; name = in.nextFieldName()) {
      int at = shape.indexOf(name);
      if (at < 0 || values[at] != null || parts.get(at).estimate()) {
        throw new GivenUp();
      }
      in.nextToken();
      values[at] = value(parts.get(at).type());
    }
    for (int i = 0; i < values.length; i++) {
      if (values[i] == null) {
        values[i] = there(mustBeThere.contains(parts.get(i).name()) ? null : parts.get(i).absent());
      }
    }
    return shape.make(values);
  }

  private void begins(JsonToken expected) throws GivenUp {
    if (in.currentToken() != expected) {
      throw new GivenUp();
    }
  }

  private static Object there(Object value) throws GivenUp {
    if (value == null) {
      throw new GivenUp();
    }
    return value;
  }
}
