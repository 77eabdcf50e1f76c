package aficion.job;

import aficion.quantity.Quantity;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The figures a kind of part is described by, whatever kind it is: found in its record and in the
 * records inside it, so that a new kind needs no list of its own.
 */
public final class Figures {
    private Figures() {}

    /**
     * One figure.
     *
     * @param path where it stands: component names and list places, such as {@code
     *     filaments.0.watts}
     * @param value what it is
     */
    public record Figure(String path, Quantity value) {
        /** The name of the component that it is, the last of its path. */
        public String name() {
            return path.substring(path.lastIndexOf('.') + 1);
        }
    }

    /** Every figure of a kind, or of anything else that is described by records, in its order. */
    public static List<Figure> of(Object described) {
        var found = new ArrayList<Figure>();
        collect("", described, found);
        return found;
    }

    private static void collect(String path, Object value, List<Figure> found) {
        switch (value) {
            case Quantity quantity -> found.add(new Figure(path, quantity));
            case Optional<?> optional -> optional.ifPresent(inside -> collect(path, inside, found));
            case List<?> list -> {
                for (int i = 0; i < list.size(); i++) {
                    collect(join(path, String.valueOf(i)), list.get(i), found);
                }
            }
            case Record inside -> {
                for (var component : inside.getClass().getRecordComponents()) {
                    collect(join(path, component.getName()), read(component, inside), found);
                }
            }
            default -> {}
        }
    }

    /**
     * The kind with one figure changed.
     *
     * @throws IllegalArgumentException when there is no such figure or the kind refuses the value
     */
    public static Kind with(Kind kind, String path, double value) {
        return (Kind) changed(kind, List.of(path.split("\\.")), value);
    }

    private static Object changed(Object at, List<String> path, double value) {
        return switch (at) {
            case Quantity quantity when path.isEmpty() -> make(quantity, new Object[] {value});
            case Optional<?> optional when optional.isPresent() ->
                    Optional.of(changed(optional.get(), path, value));
            case List<?> list when !path.isEmpty() -> {
                int place = Integer.parseInt(path.getFirst());
                var copy = new ArrayList<Object>(list);
                copy.set(place, changed(list.get(place), path.subList(1, path.size()), value));
                yield copy;
            }
            case Record inside when !path.isEmpty() -> {
                var components = inside.getClass().getRecordComponents();
                if (Arrays.stream(components)
                        .noneMatch(each -> each.getName().equals(path.getFirst()))) {
                    throw new IllegalArgumentException("no figure " + path + " in " + at);
                }
                var values = new Object[components.length];
                for (int i = 0; i < components.length; i++) {
                    values[i] = read(components[i], inside);
                    if (components[i].getName().equals(path.getFirst())) {
                        values[i] = changed(values[i], path.subList(1, path.size()), value);
                    }
                }
                yield make(inside, values);
            }
            default -> throw new IllegalArgumentException("no figure at " + path + " of " + at);
        };
    }

    private static String join(String path, String name) {
        return path.isEmpty() ? name : path + "." + name;
    }

    /**
     * A record of the same kind with one component changed.
     *
     * @throws IllegalArgumentException when the record refuses it
     */
    public static Object withComponent(Object described, String name, Object value) {
        var values = components(described);
        values.replace(name, value);
        return make(described, values.values().toArray());
    }

    /** The components of a record by their names, in its order. */
    public static Map<String, Object> components(Object described) {
        var found = new LinkedHashMap<String, Object>();
        for (var component : described.getClass().getRecordComponents()) {
            found.put(component.getName(), read(component, described));
        }
        return found;
    }

    private static Object read(RecordComponent component, Object from) {
        try {
            return component.getAccessor().invoke(from);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A record of the same kind with other components. */
    private static Object make(Object like, Object[] values) {
        var types =
                Arrays.stream(like.getClass().getRecordComponents())
                        .map(RecordComponent::getType)
                        .toArray(Class<?>[]::new);
        try {
            return like.getClass().getDeclaredConstructor(types).newInstance(values);
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof IllegalArgumentException refused) {
                throw refused;
            }
            throw new IllegalStateException(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
