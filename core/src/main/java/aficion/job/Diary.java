package aficion.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What was written down as the work went.
 *
 * @param entries the oldest first
 * @param ticked what is done of the plan and of the changes, by the keys of its tasks and changes
 * @param running what the clock runs for; empty while it stands
 * @param rate what an hour costs, in the user's money
 * @param fasteners how tight each is made, by what the maker says
 */
public record Diary(
        List<Entry> entries,
        Set<String> ticked,
        Optional<Running> running,
        Optional<Double> rate,
        List<Fastener> fasteners) {

    /** Nothing written. */
    public static final Diary NONE =
            new Diary(List.of(), Set.of(), Optional.empty(), Optional.empty(), List.of());

    private static final int LONGEST_WORDS = 2000;
    private static final int LONGEST_KEY = 120;
    private static final int LONGEST_DAY = 24 * 60;
    private static final double MOST_MONEY = 1e6;

    /** What an entry is about. */
    public enum Sort {
        /** Work, and how long it took. */
        WORK,
        /** What was decided, and why. */
        DECISION,
        /** What something is set to. */
        SETTING,
        /** What is left open. */
        OPEN,
        /** What the owner complains of. */
        SYMPTOM,
        /** What was tried against it. */
        TRIED
    }

    /**
     * An entry.
     *
     * @param at when it was written, or when the work began
     * @param circuit the circuit it is about; it may be gone since
     * @param task the key of the task it is about; empty where it is about none
     * @param minutes how long it took; 0 where it took no time
     * @param words what is said
     * @param why why; empty where nothing is said
     * @param photographs their files
     * @param closed whether what was open is done
     */
    public record Entry(
            Instant at,
            Sort sort,
            Optional<CircuitId> circuit,
            Optional<String> task,
            int minutes,
            String words,
            String why,
            List<String> photographs,
            boolean closed) {
        /**
         * @throws IllegalArgumentException when it says nothing and took no time, or took longer
         *     than a day
         */
        public Entry {
            requireText(words);
            requireText(why);
            task.ifPresent(key -> Names.requireSaid("a task", key, LONGEST_KEY));
            photographs = List.copyOf(photographs);
            if (minutes < 0 || minutes > LONGEST_DAY) {
                throw new IllegalArgumentException("a piece of work takes 0 to 1440 minutes");
            }
            if (words.isBlank() && minutes == 0 && photographs.isEmpty()) {
                throw new IllegalArgumentException("an entry says something");
            }
        }

        /** The same, done with or open again. */
        public Entry closed(boolean done) {
            return new Entry(at, sort, circuit, task, minutes, words, why, photographs, done);
        }

        private static void requireText(String text) {
            boolean odd = text.codePoints().anyMatch(c -> Character.isISOControl(c) && c != '\n');
            if (text.length() > LONGEST_WORDS || odd) {
                throw new IllegalArgumentException("an entry has at most 2000 signs");
            }
        }
    }

    /**
     * A bolt or nut of this vehicle.
     *
     * @param name what it holds; its own
     * @param thread of which thread it is, such as {@code M8}
     * @param torque how tight it is made, newton metres
     * @param with what goes on its thread, and in which order it is tightened with others, in words
     */
    public record Fastener(String name, String thread, double torque, String with) {
        private static final int LONGEST = 60;
        private static final double TIGHTEST = 1000;

        /**
         * @throws IllegalArgumentException when it has no name, or a torque beyond 0 to 1000 N·m
         */
        public Fastener {
            Names.requireSaid("what a bolt holds", name, LONGEST);
            Names.requireLine("a thread", thread, LONGEST);
            Names.requireLine("what goes with it", with, 2 * LONGEST);
            if (!(torque > 0 && torque <= TIGHTEST)) {
                throw new IllegalArgumentException("a torque is 0 to 1000 N\u00b7m");
            }
        }
    }

    /** What the clock runs for, and since when. */
    public record Running(Optional<CircuitId> circuit, Optional<String> task, Instant since) {
        /** The minutes since, rounded; at least one, at most a day. */
        public int minutes(Instant now) {
            long seconds = Duration.between(since, now).toSeconds();
            return Math.clamp(Math.round(seconds / 60.0), 1, LONGEST_DAY);
        }
    }

    public Diary {
        entries = List.copyOf(entries);
        fasteners = List.copyOf(fasteners);
        ticked = Collections.unmodifiableSet(new LinkedHashSet<>(ticked));
        if (rate.filter(money -> !(money >= 0 && money <= MOST_MONEY)).isPresent()) {
            throw new IllegalArgumentException("an hour costs 0 to 1000000");
        }
    }

    /** Whether a task or a change is done. */
    public boolean isDone(String key) {
        return ticked.contains(key);
    }

    /** The minutes of all entries. */
    public int minutes() {
        return entries.stream().mapToInt(Entry::minutes).sum();
    }

    /** What the hours cost, in the user's money; empty where no price of an hour is said. */
    public Optional<Double> cost() {
        return rate.map(hour -> hour * minutes() / 60);
    }

    /** The minutes that a task took. */
    public int minutes(String task) {
        return entries.stream()
                .filter(entry -> entry.task().filter(task::equals).isPresent())
                .mapToInt(Entry::minutes)
                .sum();
    }

    /** The same with an entry more, which stands where its time is. */
    public Diary with(Entry entry) {
        var more = new ArrayList<>(entries);
        int at = more.size();
        while (at > 0 && more.get(at - 1).at().isAfter(entry.at())) {
            at--;
        }
        more.add(at, entry);
        return new Diary(more, ticked, running, rate, fasteners);
    }

    /** The same with an entry in the place of another. */
    public Diary with(Entry entry, Entry instead) {
        return without(instead).with(entry);
    }

    /** The same without an entry. */
    public Diary without(Entry entry) {
        var left = Listed.without(entries, entry::equals);
        return new Diary(left, ticked, running, rate, fasteners);
    }

    /** The same with a task or change done, or not. */
    public Diary with(String key, boolean done) {
        var keys = new LinkedHashSet<>(ticked);
        if (done) {
            Names.requireSaid("a task", key, LONGEST_KEY);
            keys.add(key);
        } else {
            keys.remove(key);
        }
        return new Diary(entries, keys, running, rate, fasteners);
    }

    /** The same with the clock running for something, or standing. */
    public Diary with(Optional<Running> clock) {
        return new Diary(entries, ticked, clock, rate, fasteners);
    }

    /** The same with another price of an hour. */
    public Diary costing(Optional<Double> money) {
        return new Diary(entries, ticked, running, money, fasteners);
    }

    /** The same with a fastener in the place of the one of its name. */
    public Diary with(Fastener fastener) {
        var changed = Listed.in(fasteners, fastener, each -> each.name().equals(fastener.name()));
        return new Diary(entries, ticked, running, rate, changed);
    }

    /** The same without a fastener. */
    public Diary without(Fastener fastener) {
        var left = Listed.without(fasteners, fastener::equals);
        return new Diary(entries, ticked, running, rate, left);
    }
}
