package aficion.desktop.log;

import aficion.desktop.workbench.Workbench;
import aficion.job.CircuitId;
import aficion.job.Diary;
import aficion.job.edit.WorkEdit;
import aficion.job.edit.WorkEdit.About;
import java.util.List;
import java.util.Optional;

/** The clock of the diary: started for a task, stopped into an entry. */
final class Clockwork {
    private final Workbench bench;

    Clockwork(Workbench bench) {
        this.bench = bench;
    }

    private Diary diary() {
        return bench.job().work().diary();
    }

    /** What it runs for; empty while it stands. */
    Optional<Diary.Running> running() {
        return diary().running();
    }

    /** The minutes it has run. */
    int minutes() {
        return running().map(now -> now.minutes(bench.clock().instant())).orElse(0);
    }

    /** Starts it for a task, or stops it and writes down how long it ran, as one step. */
    void turn(Optional<String> task) {
        var now = bench.clock().instant();
        var ran = running();
        if (ran.isEmpty()) {
            var began = new Diary.Running(circuit(task), task, now);
            bench.perform(new WorkEdit.Write(About.CLOCK, diary -> diary.with(Optional.of(began))));
            return;
        }
        var entry =
                new Diary.Entry(
                        ran.get().since(),
                        Diary.Sort.WORK,
                        ran.get().circuit(),
                        ran.get().task(),
                        ran.get().minutes(now),
                        "",
                        "",
                        List.of(),
                        false);
        bench.perform(
                new WorkEdit.Write(
                        About.CLOCK,
                        diary -> diary.with(Optional.<Diary.Running>empty()).with(entry)));
    }

    /** The circuit of a task, else the one in focus. */
    private Optional<CircuitId> circuit(Optional<String> task) {
        return task.map(key -> key.substring(key.indexOf('/') + 1))
                .filter(id -> id.length() <= 32)
                .flatMap(id ->
                        bench.design().circuits().stream()
                                .map(circuit -> circuit.id())
                                .filter(each -> each.value().equals(id))
                                .findFirst())
                .or(() -> bench.focus().get());
    }
}
