package zebrawood.records.json;

import static java.nio.charset.StandardCharsets.UTF_8;

import com.fasterxml.jackson.core.JsonGenerator;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.measure.Estimate;
import zebrawood.measure.PlainValue;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * Writes a record as one line of JSON: as an answer to a person, or to be kept and read again.
 *
 * @param words makes sentences of messages and plain values of what has one, for an answer; without
 *     it everything stands as it is, and what a sealed interface permits says its kind
 */
record Writing(Optional<Phrasebook> words) {
  private static final int FIRST_BYTES = 2048;

  /**
   * @param declared what the reader will ask for: the record's class or a sealed interface
   */
  String write(Record value, Type declared) {
    return new String(bytes(value, declared), UTF_8);
  }

  /** The same as UTF-8. */
  byte[] bytes(Record value, Type declared) {
    ByteArrayOutputStream out = new ByteArrayOutputStream(FIRST_BYTES);
    try (JsonGenerator generator = RecordJson.factory().createGenerator(out)) {
      write(value, declared, generator);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private void write(Object value, Type declared, JsonGenerator out) throws IOException {
    // Tests in the order of how often they hold: a switch over kinds is slow until it is compiled.
    if (value == null) {
      out.writeNull();
    } else if (value instanceof Double d) {
      out.writeNumber(finite(d));
    } else if (value instanceof String s) {
      out.writeString(s);
    } else if (value instanceof Enum<?> e && !(value instanceof PlainValue)) {
      out.writeString(RecordJson.spelled(e));
    } else if (value instanceof List<?> list) {
      writeList(list, argument(declared, 0), out);
    } else if (words.isPresent() && saidIn(words.get(), value) instanceof String s) {
      out.writeString(s);
    } else if (value instanceof Record r && !plain(value)) {
      writeRecord(r, declared, out);
    } else {
      writeOther(value, declared, out);
    }
  }

  private static String saidIn(Phrasebook words, Object value) {
    if (value instanceof Advice a) {
      return words.sentence(a);
    }
    if (value instanceof Message m) {
      return words.sentence(m);
    }
    return value instanceof Amount a ? words.say(a) : null;
  }

  /** Whether it stands in an answer as the plain value that it has, or is JSON already. */
  private boolean plain(Object value) {
    return value instanceof PlainValue && words.isPresent() || value instanceof Verbatim;
  }

  private void writeOther(Object value, Type declared, JsonGenerator out) throws IOException {
    switch (value) {
      case PlainValue p when words.isPresent() -> write(p.plainValue(), Object.class, out);
      case Enum<?> e -> out.writeString(RecordJson.spelled(e));
      case Integer i -> out.writeNumber(i);
      case Long l -> out.writeNumber(l);
      case Boolean b -> out.writeBoolean(b);
      case Instant t -> out.writeString(t.toString());
      case LocalDate d -> out.writeString(d.toString());
      case Optional<?> o -> write(o.orElse(null), argument(declared, 0), out);
      case OptionalDouble o -> write(o.isPresent() ? o.getAsDouble() : null, Object.class, out);
      case OptionalInt o -> write(o.isPresent() ? o.getAsInt() : null, Object.class, out);
      case Map<?, ?> map -> writeMap(map, argument(declared, 1), out);
      case Verbatim v -> out.writeRawValue(v.json());
      default -> throw new IllegalArgumentException("no JSON for " + value.getClass());
    }
  }

  private void writeList(List<?> list, Type ofItems, JsonGenerator out) throws IOException {
    out.writeStartArray();
    for (Object item : list) {
      write(item, ofItems, out);
    }
    out.writeEndArray();
  }

  private void writeMap(Map<?, ?> map, Type ofValues, JsonGenerator out) throws IOException {
    out.writeStartObject();
    for (var field : map.entrySet()) {
      out.writeFieldName(
          field.getKey() instanceof Enum<?> e ? RecordJson.spelled(e) : field.getKey().toString());
      write(field.getValue(), ofValues, out);
    }
    out.writeEndObject();
  }

  private double finite(double value) {
    if (!Double.isFinite(value)) {
      throw new IllegalStateException("a finding holds a number that is not finite");
    }
    // Nobody wants to read minus nought; what is kept comes back as it was.
    return words.isPresent() ? value + 0.0 : value;
  }

  private void writeRecord(Record value, Type declared, JsonGenerator out) throws IOException {
    // Most records are of no generic class, and are what they were declared to be.
    boolean generic = declared instanceof ParameterizedType p && p.getRawType() == value.getClass();
    RecordShape shape = RecordShape.of(generic ? declared : value.getClass());
    out.writeStartObject();
    if (words.isEmpty() && declared instanceof Class<?> c && Kinds.has(c)) {
      out.writeStringField(Kinds.FIELD, Kinds.nameOf(value.getClass()));
    }
    for (int i = 0; i < shape.parts().size(); i++) {
      RecordShape.Part part = shape.parts().get(i);
      Object component = shape.get(value, i);
      if (part.estimate()) {
        Estimate estimate =
            component instanceof Optional<?> o ? (Estimate) o.orElse(null) : (Estimate) component;
        out.writeFieldName(part.spelled());
        write(estimate == null ? null : estimate.value(), Object.class, out);
        out.writeFieldName(part.spelledUncertainty());
        write(estimate == null ? null : estimate.uncertainty(), Object.class, out);
      } else if (!(component instanceof Optional<?> o && o.isEmpty())) {
        out.writeFieldName(part.spelled());
        write(component, part.type(), out);
      }
    }
    out.writeEndObject();
  }

  private static Type argument(Type declared, int index) {
    return declared instanceof ParameterizedType p
        ? p.getActualTypeArguments()[index]
        : Object.class;
  }
}
