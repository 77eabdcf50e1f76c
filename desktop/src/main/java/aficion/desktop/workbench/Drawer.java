package aficion.desktop.workbench;

import aficion.job.Design;
import aficion.job.WireId;
import aficion.job.edit.History;
import aficion.make.CutLength;
import aficion.quantity.Metres;
import aficion.stock.Cutting;
import aficion.stock.Stock;
import java.io.IOException;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The drawer with what the user has in stock, for every job: a wire that is cut comes off its
 * spool, and goes back on it where the cut is taken back, by whatever step, undo or redo. To be
 * used on the application thread.
 */
public final class Drawer {
    private final Store store;
    private final ReadOnlyObjectWrapper<Stock> stock = new ReadOnlyObjectWrapper<>(Stock.EMPTY);
    private final ReadOnlyObjectWrapper<Optional<String>> trouble =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Cutting> cutting =
            new ReadOnlyObjectWrapper<>(Cutting.NOTHING);

    /** The spools that wires were cut from. */
    private final Map<WireId, Integer> cut = new HashMap<>();

    /** Where a stock is kept. */
    public interface Store {
        /**
         * What is kept.
         *
         * @throws IOException when it is there and cannot be read
         */
        Stock stock() throws IOException;

        void keep(Stock stock) throws IOException;
    }

    public Drawer(Store store) {
        this.store = store;
        read();
    }

    /** What is in stock. */
    public ReadOnlyObjectProperty<Stock> stock() {
        return stock.getReadOnlyProperty();
    }

    /** Why the stock could not be read or kept, where it could not. */
    public ReadOnlyObjectProperty<Optional<String>> trouble() {
        return trouble.getReadOnlyProperty();
    }

    /** What the wires of the job are cut from, as it was worked out last. */
    public ReadOnlyObjectProperty<Cutting> cutting() {
        return cutting.getReadOnlyProperty();
    }

    private boolean read() {
        try {
            stock.set(store.stock());
            trouble.set(Optional.empty());
            return true;
        } catch (IOException unreadable) {
            trouble.set(Optional.of(String.valueOf(unreadable.getMessage())));
            return false;
        }
    }

    /**
     * Changes what is kept, from what is kept now; a stock that cannot be read stays as it is.
     *
     * @return whether it was kept
     */
    public boolean change(UnaryOperator<Stock> how) {
        if (!read()) {
            return false;
        }
        var changed = how.apply(stock.get());
        try {
            store.keep(changed);
        } catch (IOException unwritable) {
            trouble.set(Optional.of(String.valueOf(unwritable.getMessage())));
            return false;
        }
        stock.set(changed);
        return true;
    }

    /** Takes wire from its spools as the wires of the job on a bench are cut. */
    public void follow(Workbench bench) {
        bench.history()
                .addListener((_, before, after) -> {
                    follow(before, after);
                    plan(bench);
                });
        stock.addListener((_, _, _) -> plan(bench));
        plan(bench);
    }

    private void plan(Workbench bench) {
        bench.ask().cut(stock.get(), cutting::set);
    }

    private void follow(History before, History after) {
        boolean goesOn =
                !after.past().isEmpty() && after.past().getLast().before() == before.present();
        boolean goesBack =
                !before.past().isEmpty() && before.past().getLast().before() == after.present();
        if (!goesOn && !goesBack) {
            if (before.present() != after.present()) {
                cut.clear();
            }
            return;
        }
        var was = before.present().work();
        var now = after.present().work();
        if (was.made().equals(now.made())) {
            return;
        }
        var wires = new LinkedHashSet<>(was.made().keySet());
        wires.addAll(now.made().keySet());
        for (var wire : wires) {
            if (was.made(wire) == 0 && now.made(wire) > 0) {
                take(before.present().design(), wire);
            } else if (was.made(wire) > 0 && now.made(wire) == 0) {
                giveBack(before.present().design(), wire);
            }
        }
    }

    /** From the spool that was planned, else from any that has enough. */
    private void take(Design design, WireId id) {
        var wire = design.wire(id);
        var length = CutLength.of(design, wire).cut();
        Optional.ofNullable(cutting.get().from().get(id))
                .flatMap(stock.get()::spool)
                .filter(spool ->
                        spool.holds(Cutting.kind(wire)) && spool.left().value() >= length.value())
                .or(() -> stock.get().enough(Cutting.kind(wire), length))
                .map(Stock.Spool::number)
                .filter(from -> change(now -> now.taking(from, length)))
                .ifPresent(from -> cut.put(id, from));
    }

    private void giveBack(Design design, WireId wire) {
        var from = cut.remove(wire);
        if (from != null) {
            double length = CutLength.of(design, design.wire(wire)).cut().value();
            change(now -> now.taking(from, new Metres(-length)));
        }
    }
}
