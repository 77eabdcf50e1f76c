package aficion.plan;

import aficion.job.Diary;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * How long a unit of each kind of work takes: typical at first, the user's own once the diary says
 * how long tasks took that are done. A time that is a quarter or four times of what is typical, or
 * beyond, is taken for a clock that nobody stopped.
 *
 * @param own minutes of a unit, of each kind that has been timed
 * @param units how many of them that is taken from
 */
public record Pace(Map<Task.Kind, Double> own, Map<Task.Kind, Integer> units) {
    private static final double ODD = 4;

    public Pace {
        own = Collections.unmodifiableMap(new EnumMap<>(copy(own)));
        units = Collections.unmodifiableMap(new EnumMap<>(copy(units)));
    }

    private static <V> EnumMap<Task.Kind, V> copy(Map<Task.Kind, V> map) {
        var copy = new EnumMap<Task.Kind, V>(Task.Kind.class);
        copy.putAll(map);
        return copy;
    }

    /** The pace that a diary shows, of what is done of some tasks. */
    static Pace of(List<Task> tasks, Diary diary) {
        var minutes = new EnumMap<Task.Kind, Double>(Task.Kind.class);
        var units = new EnumMap<Task.Kind, Integer>(Task.Kind.class);
        for (var task : tasks) {
            int took = diary.minutes(task.key());
            int done = task.units() - task.left();
            double typical = done * task.kind().minutes();
            if (took > 0 && done > 0 && took < ODD * typical && took > typical / ODD) {
                minutes.merge(task.kind(), (double) took, Double::sum);
                units.merge(task.kind(), done, Integer::sum);
            }
        }
        minutes.replaceAll((kind, all) -> all / units.getOrDefault(kind, 1));
        return new Pace(minutes, units);
    }

    /** Minutes of a unit. */
    public double minutes(Task.Kind kind) {
        return own.getOrDefault(kind, kind.minutes());
    }

    /** Minutes that are left of a task. */
    public double left(Task task) {
        return task.left() * minutes(task.kind());
    }
}
