package aficion.catalogue;

import java.util.Map;

/** What the tables share. */
final class Catalogue {
    private Catalogue() {}

    static <T> T required(Map<String, T> table, String key, String file) {
        T found = table.get(key);
        if (found == null) {
            throw new IllegalStateException(file + " lacks a line for " + key);
        }
        return found;
    }
}
