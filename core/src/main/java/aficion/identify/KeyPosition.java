package aficion.identify;

import java.util.List;
import java.util.Locale;
import java.util.Set;

/** What a position of a key switch is for. */
enum KeyPosition {
    PARK(Set.of("park", "p", "parking")),
    OFF(Set.of("off", "0", "o", "lock", "stop", "out", "aus")),
    ACCESSORY(Set.of("acc", "accessory", "accessories", "radio", "i")),
    RUN(Set.of("run", "on", "ign", "ignition", "ii", "drive", "1", "run/on")),
    HEAT(Set.of("heat", "glow", "preheat", "heater", "pre-heat")),
    START(Set.of("start", "crank", "cranking", "st", "starter", "iii"));

    private static final List<List<KeyPosition>> USUAL =
            List.of(
                    List.of(OFF, RUN),
                    List.of(OFF, RUN, START),
                    List.of(OFF, ACCESSORY, RUN, START));

    private final Set<String> names;

    KeyPosition(Set<String> names) {
        this.names = names;
    }

    /**
     * What each of some positions is for: by its name, or, where one says nothing, all by the order
     * in which they stand.
     */
    static List<KeyPosition> of(List<String> positions) {
        var named = positions.stream().map(KeyPosition::named).toList();
        if (named.stream().allMatch(each -> !each.isEmpty())
                && named.stream().distinct().count() == named.size()) {
            return named.stream().map(List::getFirst).toList();
        }
        return USUAL.stream()
                .filter(usual -> usual.size() == positions.size())
                .findFirst()
                .orElseGet(() -> between(positions.size()));
    }

    private static List<KeyPosition> named(String position) {
        var name = position.strip().toLowerCase(Locale.ROOT);
        return List.of(values()).stream().filter(each -> each.names.contains(name)).toList();
    }

    /** Off first, start last where there are that many, run in between. */
    private static List<KeyPosition> between(int count) {
        return java.util.stream.IntStream.range(0, count)
                .mapToObj(i -> i == 0 ? OFF : i == count - 1 && count > 2 ? START : RUN)
                .toList();
    }
}
