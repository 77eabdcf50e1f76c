package aficion.desktop.screen;

import java.util.function.Supplier;
import javafx.scene.Node;

/** A screen that shows one view, made when it is first shown. */
public abstract class ViewScreen<V extends Node> implements Screen {
    private final String name;
    private final String key;
    private final OnceMade<V> view;

    /**
     * @param key the key that shows it
     * @param making makes the view
     */
    protected ViewScreen(String name, String key, Supplier<V> making) {
        this.name = name;
        this.key = key;
        this.view = new OnceMade<>(making);
    }

    @Override
    public final String name() {
        return name;
    }

    @Override
    public final String key() {
        return key;
    }

    @Override
    public final V view() {
        return view.get();
    }
}
