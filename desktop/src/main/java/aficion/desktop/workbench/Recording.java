package aficion.desktop.workbench;

import aficion.simulate.SimulationResult;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.application.Platform;

/** A recording on its way: how far it is, and that it can be ended early. */
public final class Recording {
    private static final double MORE = 0.005;

    private final DoubleConsumer progress;
    private final Consumer<Optional<SimulationResult>> then;
    private volatile boolean ended;
    private double told = -1;

    /**
     * @param progress told the share that is done, on the application thread
     * @param then told what has been recorded, of one that was ended what there is; empty when it
     *     could not be done
     */
    public Recording(DoubleConsumer progress, Consumer<Optional<SimulationResult>> then) {
        this.progress = progress;
        this.then = then;
    }

    /** Ends it with what has been recorded so far. */
    public void end() {
        ended = true;
    }

    /** Tells the share that is done, where it is more than was told last; whether to go on. */
    boolean goOn(double share) {
        if (share >= told + MORE) {
            told = share;
            Platform.runLater(() -> progress.accept(share));
        }
        return !ended;
    }

    void done(Optional<SimulationResult> result) {
        then.accept(result);
    }
}
