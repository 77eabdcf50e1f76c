package aficion.desktop.screen;

import java.util.function.Supplier;
import javafx.scene.Node;
import org.jspecify.annotations.Nullable;

/** A view that is made when it is first shown. */
public final class OnceMade<V extends Node> {
    private final Supplier<V> making;
    private @Nullable V made;

    public OnceMade(Supplier<V> making) {
        this.making = making;
    }

    public V get() {
        var view = made;
        if (view == null) {
            view = making.get();
            made = view;
        }
        return view;
    }
}
