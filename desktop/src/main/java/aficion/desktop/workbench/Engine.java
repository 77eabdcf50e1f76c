package aficion.desktop.workbench;

import aficion.bench.BenchPlan;
import aficion.bench.reason.FaultTable;
import aficion.check.Mending;
import aficion.desktop.workbench.Question.Pace;
import aficion.job.BenchRun.Setting;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.solve.Solver;
import aficion.sweep.Sweep;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Computes off the application thread, by a hand for each pace. An answer that a newer asking of
 * the same question has overtaken is thrown away; what could not be worked out is told.
 */
final class Engine implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Engine.class);

    private final Map<Pace, Hand> hands = new EnumMap<>(Pace.class);
    private final Map<Question, AtomicLong> tickets = new EnumMap<>(Question.class);
    private final Told told;

    /** Askings neither answered nor overtaken. Touched by the application thread. */
    private final Map<Pace, Integer> open = new EnumMap<>(Pace.class);

    /** Who is told how a question ended. */
    interface Told {
        void answered(Question question);

        void failed(Question question, Throwable why);
    }

    /**
     * What work is done with; what was worked out of the latest design is kept for the next. Each
     * hand has its own: what is worked out is for one thread.
     */
    static final class Hand {
        private final ExecutorService thread;
        private @Nullable Solving solving;
        private @Nullable Assessment assessment;
        private @Nullable Mending mending;
        private @Nullable Swept swept;
        private @Nullable Suspected faults;

        /** The faults of a circuit, and what each would show. */
        private record Suspected(
                Design design, CircuitId circuit, boolean standIns, FaultTable table) {}

        /** The faults of a design, ready to be tried. */
        private record Swept(Design design, Sweep sweep) {}

        private record Solving(Solvable of, Solver solver) {}

        private Hand(String name) {
            thread =
                    Executors.newSingleThreadExecutor(
                            Thread.ofPlatform().daemon().name(name).factory());
        }

        Solver solver(Design design) {
            return solver(new Solvable(design, Optional.empty()));
        }

        Solver solver(Solvable of) {
            var kept = solving;
            if (kept == null || !kept.of().is(of)) {
                kept = new Solving(of, new Solver(of.netlist()));
                solving = kept;
            }
            return kept.solver();
        }

        Assessment assessment(Design design) {
            var kept = assessment;
            if (kept == null || kept.design() != design) {
                kept = kept == null ? Assessment.of(design) : kept.after(design);
                assessment = kept;
                mending = null;
            }
            return kept;
        }

        /** What may be offered against what is found in a design, as far as it was tried. */
        Mending mending(Design design) {
            var assessment = assessment(design);
            var kept = mending;
            if (kept == null) {
                kept = new Mending(assessment);
                mending = kept;
            }
            return kept;
        }

        /** What the faults of a circuit would show; empty where that is wanted no longer. */
        Optional<FaultTable> faults(
                Design design, CircuitId circuit, Setting where, BooleanSupplier wanted) {
            boolean standIns = where == Setting.STAND_INS;
            var kept = faults;
            if (kept == null
                    || kept.design() != design
                    || !kept.circuit().equals(circuit)
                    || kept.standIns() != standIns) {
                var made =
                        FaultTable.of(
                                Netlist.of(BenchPlan.tested(where, design, circuit)),
                                circuit,
                                wanted);
                if (made.isEmpty()) {
                    return Optional.empty();
                }
                kept = new Suspected(design, circuit, standIns, made.get());
                faults = kept;
            }
            return Optional.of(kept.table());
        }

        Sweep sweep(Design design) {
            var kept = swept;
            if (kept == null || kept.design() != design) {
                kept = new Swept(design, Sweep.of(Netlist.of(design)));
                swept = kept;
            }
            return kept.sweep();
        }

        private void forget() {
            swept = null;
            faults = null;
            solving = null;
            assessment = null;
            mending = null;
        }
    }

    Engine(Told told) {
        this.told = told;
        for (var pace : Pace.values()) {
            hands.put(pace, new Hand("engine-" + pace));
            open.put(pace, 0);
        }
        for (var question : Question.values()) {
            tickets.put(question, new AtomicLong());
        }
    }

    /** Asks a question; an earlier asking of it is overtaken. */
    <T> void ask(Question question, Function<Hand, T> work, Consumer<T> then) {
        var ticket = tickets.get(question);
        ask(question, ticket, ticket.incrementAndGet(), work, then);
    }

    /** Asks a question that nothing overtakes. */
    <T> void insist(Question question, Function<Hand, T> work, Consumer<T> then) {
        ask(question, new AtomicLong(), 0, work, then);
    }

    /** What has been asked is wanted no longer. */
    void cancel(Question question) {
        tickets.get(question).incrementAndGet();
    }

    /** A number that changes when a question is asked anew or wanted no longer. */
    long ticket(Question question) {
        return tickets.get(question).get();
    }

    /** Whether something that was asked, and is not to come beside, is still to be answered. */
    boolean isWorking() {
        return open.get(Pace.BETWEEN_FRAMES) + open.get(Pace.IN_TURN) > 0;
    }

    /** Whether all that was asked is answered. */
    boolean isResting() {
        return !isWorking() && open.get(Pace.BESIDE) == 0;
    }

    private <T> void ask(
            Question question,
            AtomicLong asked,
            long ticket,
            Function<Hand, T> work,
            Consumer<T> then) {
        var hand = hands.get(question.pace());
        if (hand.thread.isShutdown()) {
            return;
        }
        open.merge(question.pace(), 1, Integer::sum);
        hand.thread.execute(() -> {
            Runnable answer = () -> {};
            try {
                if (asked.get() == ticket) {
                    var result = work.apply(hand);
                    answer =
                            () -> {
                                told.answered(question);
                                then.accept(result);
                            };
                }
            } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
                LOG.error("the engine failed on {}", question, e);
                hand.forget();
                answer = () -> told.failed(question, e);
            }
            var last = answer;
            Platform.runLater(() -> {
                open.merge(question.pace(), -1, Integer::sum);
                if (asked.get() == ticket && !hand.thread.isShutdown()) {
                    last.run();
                }
            });
        });
    }

    @Override
    public void close() {
        for (var question : Question.values()) {
            cancel(question);
        }
        hands.values().forEach(hand -> hand.thread.shutdownNow());
    }
}
