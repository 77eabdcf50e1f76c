package aficion.plan;

import aficion.job.Job;
import java.util.ArrayList;
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
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedAcyclicGraph;
import org.jgrapht.traverse.TopologicalOrderIterator;

/**
 * The tasks of a job and what they wait for. What can be done now, the longest chain of what is
 * left, and what fits an evening and leaves the vehicle safe.
 *
 * @param tasks in an order in which each comes after all that it waits for
 * @param pace how long each kind takes
 */
public record Plan(List<Task> tasks, Pace pace) {

    /** Longer evenings are not planned. */
    public static final double LONGEST_EVENING = 16 * 60;

    /** Of what does not fit by so little, it is the rounding that does not, minutes. */
    private static final double SCRAP = 1e-6;

    public Plan {
        tasks = List.copyOf(tasks);
    }

    /** The plan of a job. */
    public static Plan of(Job job) {
        var tasks = ordered(new TaskList(job).tasks());
        return new Plan(tasks, Pace.of(tasks, job.work().diary()));
    }

    /**
     * Tasks in an order that keeps to what they wait for, else as they are given. A task that waits
     * for one that is not there does not wait.
     *
     * @throws IllegalArgumentException when tasks wait for each other in a circle
     */
    static List<Task> ordered(List<Task> tasks) {
        var place = new HashMap<String, Integer>();
        tasks.forEach(task -> place.put(task.key(), place.size()));
        var graph = new DirectedAcyclicGraph<String, DefaultEdge>(null, DefaultEdge::new, false);
        tasks.forEach(task -> graph.addVertex(task.key()));
        var known =
                tasks.stream()
                        .map(task ->
                                new Task(
                                        task.key(),
                                        task.kind(),
                                        task.of(),
                                        task.units(),
                                        task.left(),
                                        task.after().stream()
                                                .filter(before -> place.containsKey(before.key()))
                                                .distinct()
                                                .toList()))
                        .toList();
        known.forEach(
                task -> task.after().forEach(before -> graph.addEdge(before.key(), task.key())));
        var byKey = known.stream().collect(Collectors.toMap(Task::key, task -> task));
        var order = new ArrayList<Task>();
        new TopologicalOrderIterator<>(
                        graph, Comparator.comparingInt(key -> place.getOrDefault(key, 0)))
                .forEachRemaining(key -> order.add(Objects.requireNonNull(byKey.get(key))));
        return order;
    }

    /** A task by its key. */
    public Optional<Task> find(String key) {
        return tasks.stream().filter(task -> task.key().equals(key)).findFirst();
    }

    private Map<String, Task> byKey() {
        return tasks.stream()
                .collect(
                        Collectors.toMap(
                                Task::key, task -> task, (one, _) -> one, LinkedHashMap::new));
    }

    /** What a task still waits for, each with why. */
    public List<Task.Before> waits(Task task) {
        var byKey = byKey();
        return task.after().stream().filter(before -> !isDone(byKey, before.key())).toList();
    }

    private static boolean isDone(Map<String, Task> tasks, String key) {
        return Optional.ofNullable(tasks.get(key)).map(Task::isDone).orElse(true);
    }

    /** What is not done and waits for nothing, in order. */
    public List<Task> now() {
        var byKey = byKey();
        return tasks.stream()
                .filter(task -> !task.isDone())
                .filter(task ->
                        task.after().stream().allMatch(before -> isDone(byKey, before.key())))
                .toList();
    }

    /** What waits, in order. */
    public List<Task> waiting() {
        var now = new HashSet<>(now());
        return tasks.stream().filter(task -> !task.isDone() && !now.contains(task)).toList();
    }

    /** What comes after a task. */
    public List<Task> next(Task task) {
        return tasks.stream()
                .filter(each ->
                        each.after().stream().anyMatch(before -> before.key().equals(task.key())))
                .toList();
    }

    /** Minutes of all that is left. */
    public double left() {
        return tasks.stream().mapToDouble(pace::left).sum();
    }

    /** Minutes of the longest chain from each task on, itself included. */
    private Map<String, Double> chains() {
        var chains = new HashMap<String, Double>();
        for (var task : tasks.reversed()) {
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
        var at = tasks.stream().max(byLength);
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

    /**
     * An evening.
     *
     * @param picks in the order of the work
     * @param powered whether the vehicle ends with its battery on and all proved that was begun;
     *     else it ends with the battery off
     */
    public record Evening(List<Pick> picks, double minutes, boolean powered) {
        public Evening {
            picks = List.copyOf(picks);
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
            plan.tasks.stream().filter(Task::isDone).map(Task::key).forEach(done::add);
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
            boolean powered =
                    picks.stream().anyMatch(pick -> pick.task().kind() == Task.Kind.POWER);
            return new Evening(picks, minutes - left, powered);
        }

        private Optional<Pick> next() {
            return plan.tasks.stream()
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
            return task.after().stream()
                    .allMatch(before ->
                            done.contains(before.key()) || plan.find(before.key()).isEmpty());
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
                    ? plan.next(task).stream()
                            .filter(each -> each.kind() == Task.Kind.PROVE)
                            .mapToDouble(plan.pace::left)
                            .sum()
                    : 0;
        }
    }

    /** Minutes that are left, by kind, in the order of the kinds. */
    public Map<Task.Kind, Double> leftByKind() {
        var left = new EnumMap<Task.Kind, Double>(Task.Kind.class);
        tasks.stream()
                .filter(task -> !task.isDone())
                .forEach(task -> left.merge(task.kind(), pace.left(task), Double::sum));
        return Collections.unmodifiableMap(left);
    }
}
