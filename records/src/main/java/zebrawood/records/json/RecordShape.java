package zebrawood.records.json;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** The components of a record class, looked up once. */
final class RecordShape {
  private static final ClassValue<RecordShape> SHAPES =
      new ClassValue<>() {
        @Override
        protected RecordShape computeValue(Class<?> type) {
          return new RecordShape(type);
        }
      };

  private final List<String> names;
  private final List<Type> types;
  private final List<Method> accessors;
  private final Constructor<?> constructor;

  private RecordShape(Class<?> type) {
    List<RecordComponent> components = List.of(type.getRecordComponents());
    names = components.stream().map(RecordComponent::getName).toList();
    types = components.stream().map(RecordComponent::getGenericType).toList();
    accessors = components.stream().map(RecordComponent::getAccessor).toList();
    try {
      constructor =
          type.getDeclaredConstructor(
              components.stream().map(RecordComponent::getType).toArray(Class<?>[]::new));
      constructor.setAccessible(true);
      accessors.forEach(a -> a.setAccessible(true));
    } catch (NoSuchMethodException e) {
      throw new AssertionError("every record has its canonical constructor", e);
    }
  }

  static RecordShape of(Class<?> type) {
    return SHAPES.get(type);
  }

  List<String> names() {
    return names;
  }

  List<Type> types() {
    return types;
  }

  /** What an absent component means, or null where it may not be absent. */
  Object absent(int index) {
    Type type = types.get(index);
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
    try {
      return accessors.get(index).invoke(value);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
