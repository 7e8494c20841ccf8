package zebrawood.records.json;

import com.fasterxml.jackson.core.io.SerializedString;
import java.lang.invoke.LambdaMetafactory;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.lang.reflect.TypeVariable;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Stream;
import zebrawood.measure.Estimate;
import zebrawood.power.CurvePoint;

/**
 * The components of a record type, looked up once; those of a generic record with what they are.
 */
final class RecordShape {
  /** Behind the name of an estimate stands that of its uncertainty. */
  private static final String UNCERTAINTY = "Uncertainty";

  private static final Map<Type, RecordShape> SHAPES = new ConcurrentHashMap<>();

  /** Components that are called otherwise in documents: what was kept once keeps its name. */
  private static final Map<Class<?>, Map<String, String>> NAMES_IN_DOCUMENTS =
      Map.of(CurvePoint.class, Map.of("value", "watts"));

  /**
   * One component.
   *
   * @param absent what it is where it is not there; null where it must be
   * @param estimate whether it is written as two numbers: its own and the uncertainty's
   */
  record Part(
      SerializedString spelled,
      SerializedString spelledUncertainty,
      Type type,
      Object absent,
      boolean estimate) {
    String name() {
      return spelled.getValue();
    }

    String uncertaintyName() {
      return spelledUncertainty.getValue();
    }
  }

  private final List<Part> parts;
  private final Set<String> names = new HashSet<>();
  private final Map<String, Integer> indices = new HashMap<>();
  private final List<Function<Object, Object>> accessors;
  private final Constructor<?> constructor;

  private RecordShape(Type type) {
    Class<?> raw = raw(type);
    List<RecordComponent> components = List.of(raw.getRecordComponents());
    parts =
        components.stream()
            .map(c ->
                part(
                    NAMES_IN_DOCUMENTS
                        .getOrDefault(raw, Map.of())
                        .getOrDefault(c.getName(), c.getName()),
                    resolved(c.getGenericType(), type)))
            .toList();
    for (Part part : parts) {
      indices.put(part.name(), indices.size());
      names.add(part.name());
      if (part.estimate()) {
        names.add(part.uncertaintyName());
      }
    }
    accessors = components.stream().map(c -> accessor(raw, c)).toList();
    try {
      constructor =
          raw.getDeclaredConstructor(
              components.stream().map(RecordComponent::getType).toArray(Class<?>[]::new));
      constructor.setAccessible(true);
    } catch (NoSuchMethodException e) {
      throw new AssertionError("every record has its canonical constructor", e);
    }
  }

  /** A function that calls the accessor, several times faster than by reflection. */
  @SuppressWarnings("unchecked")
  private static Function<Object, Object> accessor(Class<?> type, RecordComponent component) {
    try {
      MethodHandles.Lookup inside = MethodHandles.privateLookupIn(type, MethodHandles.lookup());
      MethodHandle accessor = inside.unreflect(component.getAccessor());
      return (Function<Object, Object>)
          LambdaMetafactory.metafactory(
                  inside,
                  "apply",
                  MethodType.methodType(Function.class),
                  MethodType.methodType(Object.class, Object.class),
                  accessor,
                  accessor.type().wrap().changeParameterType(0, type))
              .getTarget()
              .invoke();
    } catch (Throwable e) {
      throw new IllegalStateException(e);
    }
  }

  private static Part part(String name, Type type) {
    boolean estimate =
        type == Estimate.class
            || type instanceof ParameterizedType p
                && p.getRawType() == Optional.class
                && p.getActualTypeArguments()[0] == Estimate.class;
    return new Part(
        new SerializedString(name),
        new SerializedString(name + UNCERTAINTY),
        type,
        absent(type),
        estimate);
  }

  /** A record's class, or a generic record with its arguments. */
  static RecordShape of(Type type) {
    RecordShape known = SHAPES.get(type);
    // Not computed in place: a shape asks for others.
    return known != null ? known : SHAPES.computeIfAbsent(type, RecordShape::new);
  }

  static Class<?> raw(Type type) {
    return (Class<?>) (type instanceof ParameterizedType p ? p.getRawType() : type);
  }

  /** What a type variable of a generic record stands for. */
  private static Type resolved(Type type, Type of) {
    if (type instanceof TypeVariable<?> variable && of instanceof ParameterizedType p) {
      int index = List.of(raw(of).getTypeParameters()).indexOf(variable);
      return p.getActualTypeArguments()[index];
    }
    if (type instanceof ParameterizedType inner && of instanceof ParameterizedType) {
      Type[] arguments = inner.getActualTypeArguments();
      Type[] known = Stream.of(arguments).map(a -> resolved(a, of)).toArray(Type[]::new);
      return Arrays.equals(arguments, known) ? type : new Resolved(inner, List.of(known));
    }
    return type;
  }

  /** A generic type whose variables stand for these. */
  private record Resolved(ParameterizedType generic, List<Type> arguments)
      implements ParameterizedType {
    @Override
    public Type[] getActualTypeArguments() {
      return arguments.toArray(Type[]::new);
    }

    @Override
    public Type getRawType() {
      return generic.getRawType();
    }

    @Override
    public Type getOwnerType() {
      return generic.getOwnerType();
    }
  }

  List<Part> parts() {
    return parts;
  }

  /** Whether a document may have a field of this name. */
  boolean knows(String name) {
    return names.contains(name);
  }

  /** Of the component that stands under this name in a document; less than 0 where none does. */
  int indexOf(String name) {
    return indices.getOrDefault(name, -1);
  }

  /** The fields' names, in the order of the components. */
  List<String> names() {
    return parts.stream().map(Part::name).toList();
  }

  private static Object absent(Type type) {
    if (type == OptionalDouble.class) {
      return OptionalDouble.empty();
    }
    if (type == OptionalInt.class) {
      return OptionalInt.empty();
    }
    return type instanceof ParameterizedType p && p.getRawType() == Optional.class
        ? Optional.empty()
        : null;
  }

  Object make(Object[] values) {
    try {
      return constructor.newInstance(values);
    } catch (InvocationTargetException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IllegalStateException(Arrays.toString(values), e);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  Object get(Record value, int index) {
    return accessors.get(index).apply(value);
  }
}
