package aficion.desktop.shell;

import aficion.desktop.workbench.Workbench;
import aficion.files.Recovery;
import aficion.job.Job;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Keeps a copy of unsaved work within a second of every edit, off the application thread. */
final class Safekeeping implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Safekeeping.class);
    private static final long AFTER_MILLIS = 400;

    private final Recovery recovery;
    private final ScheduledExecutorService hand =
            Executors.newSingleThreadScheduledExecutor(
                    Thread.ofPlatform().daemon().name("safekeeping").factory());
    private final AtomicBoolean waiting = new AtomicBoolean();
    private Workbench bench;
    private volatile Work latest;

    /** The work as it is now, and where its job is kept. */
    private record Work(Job job, Optional<Path> file, boolean unsaved) {
        static Work on(Workbench bench) {
            return new Work(bench.job(), bench.document().get().path(), bench.isUnsaved());
        }
    }

    Safekeeping(Workbench bench, Recovery recovery) {
        this.bench = bench;
        this.recovery = recovery;
        this.latest = Work.on(bench);
        follow(bench);
    }

    /** Keeps the work of a bench that goes on where the one before was. */
    void follow(Workbench next) {
        bench = next;
        next.history().addListener((_, _, _) -> soon());
        next.document().addListener((_, _, _) -> soon());
    }

    /** An edit that comes while a copy waits to be made is in that copy: none is put off by it. */
    private void soon() {
        latest = Work.on(bench);
        if (!hand.isShutdown() && waiting.compareAndSet(false, true)) {
            hand.schedule(this::keep, AFTER_MILLIS, TimeUnit.MILLISECONDS);
        }
    }

    private void keep() {
        waiting.set(false);
        var now = latest;
        try {
            if (now.unsaved) {
                recovery.keep(now.job, now.file);
            } else {
                recovery.drop();
            }
        } catch (IOException | RuntimeException e) {
            LOG.warn("unsaved work cannot be kept beside", e);
        }
    }

    /** Offers what an earlier program left unsaved, oldest first; what is declined is gone. */
    void offer(JobFiles.UserPrompts prompts) {
        try {
            boolean taken = false;
            for (var left : recovery.left()) {
                var answer = taken ? JobFiles.Answer.STAY : answer(prompts, left);
                taken |= answer == JobFiles.Answer.SAVE;
                switch (answer) {
                    case SAVE -> {
                        bench.takeUp(left.job(), left.file());
                        recovery.keep(left.job(), left.file());
                        recovery.discard(left);
                    }
                    case DISCARD -> recovery.discard(left);
                    case STAY -> left.held().close();
                }
            }
        } catch (IOException e) {
            LOG.warn("unsaved work cannot be looked for", e);
        }
    }

    private static JobFiles.Answer answer(JobFiles.UserPrompts prompts, Recovery.Left left) {
        return prompts.aboutLeft(left.job().design().vehicle().name(), left.at());
    }

    /** Ends with everything saved or knowingly let go. */
    @Override
    public void close() {
        hand.shutdownNow();
        try {
            hand.awaitTermination(1, TimeUnit.SECONDS);
            recovery.drop();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (IOException e) {
            LOG.warn("the copy of saved work cannot be removed", e);
        }
    }
}
