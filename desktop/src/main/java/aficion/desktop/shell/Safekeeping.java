package aficion.desktop.shell;

import aficion.desktop.workbench.Workbench;
import aficion.files.Recovery;
import java.io.IOException;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Keeps a copy of unsaved work within a second of every edit, off the application thread. */
final class Safekeeping implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Safekeeping.class);
    private static final long AFTER_MILLIS = 400;

    private Workbench bench;
    private final Recovery recovery;
    private final ScheduledExecutorService hand =
            Executors.newSingleThreadScheduledExecutor(
                    Thread.ofPlatform().daemon().name("safekeeping").factory());
    private @Nullable Future<?> pending;

    Safekeeping(Workbench bench, Recovery recovery) {
        this.bench = bench;
        this.recovery = recovery;
        follow(bench);
    }

    /** Keeps the work of a bench that goes on where the one before was. */
    void follow(Workbench next) {
        bench = next;
        next.history().addListener((_, _, _) -> soon());
        next.document().addListener((_, _, _) -> soon());
    }

    private void soon() {
        if (hand.isShutdown()) {
            return;
        }
        var before = pending;
        if (before != null) {
            before.cancel(false);
        }
        var job = bench.job();
        var file = bench.document().get().path();
        boolean unsaved = bench.isUnsaved();
        pending =
                hand.schedule(
                        () -> {
                            try {
                                if (unsaved) {
                                    recovery.keep(job, file);
                                } else {
                                    recovery.drop();
                                }
                            } catch (IOException e) {
                                LOG.warn("unsaved work cannot be kept beside", e);
                            }
                        },
                        AFTER_MILLIS,
                        TimeUnit.MILLISECONDS);
    }

    /** Offers what an earlier program left unsaved, oldest first; what is declined is gone. */
    void offer(JobFiles.Asking asking) {
        try {
            for (var left : recovery.left(pid -> ProcessHandle.of(pid).isPresent())) {
                switch (asking.aboutLeft(left.job().design().vehicle().name(), left.at())) {
                    case SAVE -> {
                        bench.takeUp(left.job(), left.file());
                        recovery.keep(left.job(), left.file());
                        recovery.discard(left);
                        return;
                    }
                    case DISCARD -> recovery.discard(left);
                    case STAY -> {}
                }
            }
        } catch (IOException e) {
            LOG.warn("unsaved work cannot be looked for", e);
        }
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
