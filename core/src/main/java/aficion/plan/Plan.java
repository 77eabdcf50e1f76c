package aficion.plan;

import aficion.job.Diary;
import aficion.job.Job;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedAcyclicGraph;
import org.jgrapht.traverse.TopologicalOrderIterator;

/**
 * The tasks of a job and what they wait for. What can be done now, the longest chain of what is
 * left, and what fits an evening and leaves the vehicle safe.
 */
public final class Plan {

    /** Longer evenings are not planned. */
    public static final double LONGEST_EVENING = 16 * 60;

    /** Of what does not fit by so little, it is the rounding that does not, minutes. */
    private static final double SCRAP = 1e-6;

    private final Map<String, Task> tasks;
    private final Map<String, List<Task>> following = new HashMap<>();
    private final Pace pace;

    private Plan(List<Task> ordered, Diary diary) {
        tasks =
                ordered.stream()
                        .collect(
                                Collectors.toMap(
                                        Task::key,
                                        task -> task,
                                        (one, _) -> one,
                                        LinkedHashMap::new));
        for (var task : ordered) {
            task.after()
                    .forEach(before ->
                            following
                                    .computeIfAbsent(before.key(), _ -> new ArrayList<>())
                                    .add(task));
        }
        pace = Pace.of(ordered, diary);
    }

    /** The plan of a job. */
    public static Plan of(Job job) {
        return new Plan(ordered(new TaskList(job).tasks()), job.work().diary());
    }

    /**
     * Tasks in an order that keeps to what they wait for, else as they are given. A task that waits
     * for one that is not there does not wait.
     *
     * @throws IllegalArgumentException when tasks wait for each other in a circle
     */
    private static List<Task> ordered(List<Task> tasks) {
        var place = new HashMap<String, Integer>();
        tasks.forEach(task -> place.put(task.key(), place.size()));
        var graph = new DirectedAcyclicGraph<Task, DefaultEdge>(null, DefaultEdge::new, false);
        var known = new LinkedHashMap<String, Task>();
        for (var task : tasks) {
            var there =
                    task.after().stream()
                            .filter(before -> place.containsKey(before.key()))
                            .distinct()
                            .toList();
            known.put(task.key(), task.after(there));
        }
        known.values().forEach(graph::addVertex);
        known.values()
                .forEach(task ->
                        task.after()
                                .forEach(before ->
                                        graph.addEdge(
                                                Objects.requireNonNull(known.get(before.key())),
                                                task)));
        var order = new ArrayList<Task>();
        new TopologicalOrderIterator<>(
                        graph, Comparator.comparingInt(task -> place.getOrDefault(task.key(), 0)))
                .forEachRemaining(order::add);
        return order;
    }

    /** In an order in which each comes after all that it waits for. */
    public List<Task> tasks() {
        return List.copyOf(tasks.values());
    }

    /** How long each kind takes. */
    public Pace pace() {
        return pace;
    }

    /** A task by its key. */
    public Optional<Task> find(String key) {
        return Optional.ofNullable(tasks.get(key));
    }

    /** What a task still waits for, each with why. */
    public List<Task.Before> waits(Task task) {
        return task.after().stream()
                .filter(before -> find(before.key()).filter(each -> !each.isDone()).isPresent())
                .toList();
    }

    private Stream<Task> open() {
        return tasks.values().stream().filter(task -> !task.isDone());
    }

    /** What is not done and waits for nothing, in order. */
    public List<Task> now() {
        return open().filter(task -> waits(task).isEmpty()).toList();
    }

    /** What waits, in order. */
    public List<Task> waiting() {
        return open().filter(task -> !waits(task).isEmpty()).toList();
    }

    /** What comes after a task. */
    public List<Task> next(Task task) {
        return List.copyOf(following.getOrDefault(task.key(), List.of()));
    }

    /** Minutes of all that is left. */
    public double left() {
        return left(tasks.values());
    }

    /** Minutes that are left of some tasks. */
    public double left(Collection<Task> some) {
        return some.stream().mapToDouble(pace::left).sum();
    }

    /** Minutes of the longest chain from each task on, itself included. */
    private Map<String, Double> chains() {
        var chains = new HashMap<String, Double>();
        for (var task : tasks().reversed()) {
            double onwards =
                    next(task).stream()
                            .mapToDouble(each -> chains.getOrDefault(each.key(), 0.0))
                            .max()
                            .orElse(0);
            chains.put(task.key(), onwards + pace.left(task));
        }
        return chains;
    }

    /** The longest chain of what is left: it cannot take less time, whoever helps. */
    public List<Task> longest() {
        var chains = chains();
        var chain = new ArrayList<Task>();
        Comparator<Task> byLength =
                Comparator.comparingDouble(task -> chains.getOrDefault(task.key(), 0.0));
        var at = tasks.values().stream().max(byLength);
        while (at.isPresent()) {
            chain.add(at.get());
            at = next(at.get()).stream().max(byLength);
        }
        return chain.stream().filter(task -> !task.isDone()).toList();
    }

    /**
     * A task for an evening.
     *
     * @param units how many units of it
     * @param whole whether it is done then
     */
    public record Pick(Task task, int units, boolean whole, double minutes) {}

    /** How an evening leaves the battery. */
    public enum Battery {
        /** On, and all proved that it feeds. */
        ON,
        OFF,
        /** As it was: nothing on the vehicle was touched. */
        AS_IT_WAS
    }

    /**
     * An evening.
     *
     * @param picks in the order of the work
     * @param battery as it is left
     */
    public record Evening(List<Pick> picks, double minutes, Battery battery) {
        public Evening {
            picks = List.copyOf(picks);
        }

        public boolean powered() {
            return battery == Battery.ON;
        }
    }

    /**
     * What fits so many minutes: what holds up most first, each after all that it waits for. It
     * ends with the vehicle safe: no task is left half done that cannot be, the battery is off
     * before anything on the vehicle is touched, and it comes back on only when there is time to
     * prove what is powered then.
     */
    public Evening evening(double minutes) {
        return new EveningPicker(this, chains()).pick(Math.clamp(minutes, 0, LONGEST_EVENING));
    }

    /** One picking. */
    private static final class EveningPicker {
        private final Plan plan;
        private final Map<String, Double> chains;
        private final List<Pick> picks = new ArrayList<>();
        private final HashSet<String> done = new HashSet<>();
        private double left;

        EveningPicker(Plan plan, Map<String, Double> chains) {
            this.plan = plan;
            this.chains = chains;
            plan.tasks.values().stream().filter(Task::isDone).map(Task::key).forEach(done::add);
        }

        Evening pick(double minutes) {
            left = minutes;
            Optional<Pick> next;
            while ((next = next()).isPresent()) {
                var pick = next.get();
                picks.add(pick);
                left -= pick.minutes();
                if (pick.whole()) {
                    done.add(pick.task().key());
                }
            }
            return new Evening(picks, minutes - left, battery());
        }

        private Battery battery() {
            if (picks.stream().anyMatch(pick -> pick.task().kind() == Task.Kind.POWER)) {
                return Battery.ON;
            }
            return done.contains(Task.BATTERY_OFF) && !done.contains(Task.POWER)
                    ? Battery.OFF
                    : Battery.AS_IT_WAS;
        }

        private Optional<Pick> next() {
            return plan.tasks.values().stream()
                    .filter(task -> !done.contains(task.key()))
                    .filter(task -> picks.stream().noneMatch(pick -> pick.task().equals(task)))
                    .filter(task -> isReady(task))
                    .sorted(
                            Comparator.comparingDouble(
                                            (Task task) -> chains.getOrDefault(task.key(), 0.0))
                                    .reversed())
                    .map(this::fitting)
                    .flatMap(Optional::stream)
                    .findFirst();
        }

        private boolean isReady(Task task) {
            return task.after().stream().allMatch(before -> done.contains(before.key()));
        }

        private Optional<Pick> fitting(Task task) {
            double unit = plan.pace.minutes(task.kind());
            double whole = plan.pace.left(task);
            if (whole + proving(task) <= left + SCRAP) {
                return Optional.of(new Pick(task, task.left(), true, whole));
            }
            int units = (int) Math.floor((left + SCRAP) / unit);
            return task.kind().isParted() && units > 0
                    ? Optional.of(new Pick(task, units, false, units * unit))
                    : Optional.empty();
        }

        /** With the battery on, all that it feeds is proved in the same evening. */
        private double proving(Task task) {
            return task.kind() == Task.Kind.POWER
                    ? plan.left(
                            plan.next(task).stream()
                                    .filter(each -> each.kind() == Task.Kind.PROVE)
                                    .toList())
                    : 0;
        }
    }

    /** Minutes that are left, by kind, in the order of the kinds. */
    public Map<Task.Kind, Double> leftByKind() {
        var left = new EnumMap<Task.Kind, Double>(Task.Kind.class);
        open().forEach(task -> left.merge(task.kind(), pace.left(task), Double::sum));
        return Collections.unmodifiableMap(left);
    }
}
