package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Texts;
import aficion.words.Words;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** What unknown switches and leads are, by what a meter shows of them. */
final class IdentifyView extends Pages implements LogTab {
    private final VBox beside = new VBox(7);

    IdentifyView(Surroundings with) {
        setId("identify");
        var bench = with.bench();
        add("identify-key", Words.of("identify.key"), new KeyPage(bench));
        add("identify-switch", Words.of("identify.switch"), new SwitchPage(bench));
        add("identify-leads", Words.of("identify.leads"), new LeadsPage(bench));
        add("identify-set", Words.of("identify.set"), new SetPage(bench));
        beside.getStyleClass().add("inspector-body");
        beside.getChildren()
                .addAll(
                        Texts.wrapped(Words.of("identify.title"), "inspector-title"),
                        Texts.wrapped(Words.of("lead.caution"), "log-caution"),
                        Texts.rule(),
                        Texts.wrapped(Words.of("identify.help"), "quiet"));
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public Node aside() {
        return beside;
    }
}
