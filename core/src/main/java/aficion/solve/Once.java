package aficion.solve;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/** What is worked out when it is first asked for, and kept. May be asked by several threads. */
public final class Once {
    private final Map<Object, Object> known = new ConcurrentHashMap<>();

    /** What goes by a key, which is asked for what it is alone. */
    @SuppressWarnings("unchecked")
    public <T> T of(Object key, Supplier<T> how) {
        var found = known.get(key);
        if (found == null) {
            var made = how.get();
            var other = known.putIfAbsent(key, made);
            found = other == null ? made : other;
        }
        return (T) found;
    }
}
