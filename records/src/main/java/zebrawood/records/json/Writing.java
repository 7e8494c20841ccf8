package zebrawood.records.json;

import com.fasterxml.jackson.core.JsonGenerator;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.time.Instant;
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
  /**
   * @param declared what the reader will ask for: the record's class or a sealed interface
   */
  String write(Record value, Type declared) {
    StringWriter out = new StringWriter();
    try (JsonGenerator generator = RecordJson.mapper().createGenerator(out)) {
      write(value, declared, generator);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private void write(Object value, Type declared, JsonGenerator out) throws IOException {
    switch (value) {
      case null -> out.writeNull();
      case Double d -> out.writeNumber(finite(d));
      case Integer i -> out.writeNumber(i);
      case Long l -> out.writeNumber(l);
      case Boolean b -> out.writeBoolean(b);
      case String s -> out.writeString(s);
      case Instant t -> out.writeString(t.toString());
      case PlainValue p when words.isPresent() -> write(p.plainValue(), Object.class, out);
      case Amount a when words.isPresent() -> out.writeString(words.get().say(a));
      case Message m when words.isPresent() -> out.writeString(words.get().sentence(m));
      case Advice a when words.isPresent() -> out.writeString(words.get().sentence(a));
      case Enum<?> e -> out.writeString(RecordJson.spelled(e));
      case Optional<?> o -> write(o.orElse(null), argument(declared, 0), out);
      case OptionalDouble o -> write(o.isPresent() ? o.getAsDouble() : null, Object.class, out);
      case OptionalInt o -> write(o.isPresent() ? o.getAsInt() : null, Object.class, out);
      case List<?> list -> {
        Type ofItems = argument(declared, 0);
        out.writeStartArray();
        for (Object item : list) {
          write(item, ofItems, out);
        }
        out.writeEndArray();
      }
      case Map<?, ?> map -> {
        Type ofValues = argument(declared, 1);
        out.writeStartObject();
        for (var field : map.entrySet()) {
          out.writeFieldName(
              field.getKey() instanceof Enum<?> e
                  ? RecordJson.spelled(e)
                  : field.getKey().toString());
          write(field.getValue(), ofValues, out);
        }
        out.writeEndObject();
      }
      case Verbatim v -> out.writeRawValue(v.json());
      case Record r -> writeRecord(r, declared, out);
      default -> throw new IllegalArgumentException("no JSON for " + value.getClass());
    }
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
        out.writeFieldName(part.name());
        write(estimate == null ? null : estimate.value(), Object.class, out);
        out.writeFieldName(part.uncertaintyName());
        write(estimate == null ? null : estimate.uncertainty(), Object.class, out);
      } else if (!(component instanceof Optional<?> o && o.isEmpty())) {
        out.writeFieldName(part.name());
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
