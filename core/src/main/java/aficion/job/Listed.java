package aficion.job;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** Lists with one thing more, less or in the place of another. */
final class Listed {
    private Listed() {}

    /** The same with one in the place of the first that it replaces, or at the end. */
    static <T> List<T> in(List<T> all, T added, Predicate<T> replaced) {
        int at = 0;
        while (at < all.size() && !replaced.test(all.get(at))) {
            at++;
        }
        var list = without(all, replaced);
        list.add(at, added);
        return list;
    }

    /** The same without some. */
    static <T> List<T> without(List<T> all, Predicate<T> gone) {
        var left = new ArrayList<>(all);
        left.removeIf(gone);
        return left;
    }
}
