package zebrawood.records.json;

import com.fasterxml.jackson.core.JsonGenerator;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.measure.PlainValue;
import zebrawood.quantity.Amount;
import zebrawood.words.Advice;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * Writes a record as one line of JSON.
 *
 * @param words makes sentences of messages; without it they stand as they are
 */
record Writing(Optional<Phrasebook> words) {
  String write(Record value) {
    StringWriter out = new StringWriter();
    try (JsonGenerator generator = RecordJson.mapper().createGenerator(out)) {
      write(value, generator);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private void write(Object value, JsonGenerator out) throws IOException {
    switch (value) {
      case null -> out.writeNull();
      case Double d when !Double.isFinite(d) ->
          throw new IllegalStateException("a finding holds a number that is not finite");
      case Double d -> out.writeNumber(d + 0.0);
      case Integer i -> out.writeNumber(i);
      case Long l -> out.writeNumber(l);
      case Boolean b -> out.writeBoolean(b);
      case String s -> out.writeString(s);
      case Instant t -> out.writeString(t.toString());
      case PlainValue p -> write(p.plainValue(), out);
      case Amount a when words.isPresent() -> out.writeString(words.get().say(a));
      case Message m when words.isPresent() -> out.writeString(words.get().sentence(m));
      case Advice a when words.isPresent() -> out.writeString(words.get().sentence(a));
      case Enum<?> e -> out.writeString(RecordJson.spelled(e));
      case Optional<?> o -> write(o.orElse(null), out);
      case OptionalDouble o -> write(o.isPresent() ? o.getAsDouble() : null, out);
      case OptionalInt o -> write(o.isPresent() ? o.getAsInt() : null, out);
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
