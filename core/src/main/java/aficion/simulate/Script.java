package aficion.simulate;

import aficion.netlist.Conditions;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import java.util.HashMap;
import java.util.List;

/**
 * What is done to a vehicle over time. It begins at rest under the conditions before; each moment
 * brings others, at once for what a hand works, while engine speed, levels and air run straight
 * from moment to moment.
 *
 * @param before the conditions it has come to rest under when time begins
 * @param moments in order of time, the first at 0 or later
 * @param lasts how long it goes on
 */
public record Script(Conditions before, List<Moment> moments, Seconds lasts) {

    /** Conditions from a time on. */
    public record Moment(Seconds at, Conditions conditions) {}

    public Script {
        moments = List.copyOf(moments);
        require(lasts.value() > 0, "a script lasts longer than nothing");
        double earliest = 0;
        for (var moment : moments) {
            require(moment.at().value() >= earliest, "the moments of a script follow each other");
            earliest = moment.at().value();
        }
    }

    /** The conditions change once, at the beginning. */
    public static Script of(Conditions before, Conditions after, Seconds lasts) {
        return new Script(before, List.of(new Moment(new Seconds(0), after)), lasts);
    }

    private static void require(boolean holds, String what) {
        if (!holds) {
            throw new IllegalArgumentException(what);
        }
    }

    /** The conditions at a time. */
    public Conditions at(double seconds) {
        var from = new Moment(new Seconds(0), before);
        for (var moment : moments) {
            if (moment.at().value() > seconds) {
                return between(from, moment, seconds);
            }
            from = moment;
        }
        return from.conditions();
    }

    private static Conditions between(Moment from, Moment to, double seconds) {
        var conditions = from.conditions();
        double span = to.at().value() - from.at().value();
        double share = span > 0 ? (seconds - from.at().value()) / span : 0;
        double rpm = mix(conditions.engine().value(), to.conditions().engine().value(), share);
        var mixed = conditions.withEngine(new Rpm(rpm));
        var levels = new HashMap<>(to.conditions().levels());
        levels.putAll(conditions.levels());
        for (var level : levels.keySet()) {
            mixed =
                    mixed.withLevel(
                            level,
                            mix(conditions.level(level), to.conditions().level(level), share));
        }
        return mixed;
    }

    private static double mix(double from, double to, double share) {
        return from + (to - from) * share;
    }

    /** The charge of the battery when time begins. */
    Ratio charge() {
        return before.charge();
    }

    /** The next moment after a time, or the end. */
    double next(double seconds) {
        return moments.stream()
                .mapToDouble(moment -> moment.at().value())
                .filter(at -> at > seconds)
                .findFirst()
                .orElse(lasts.value());
    }
}
