package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Asides;
import aficion.desktop.theme.Pages;
import aficion.words.Words;
import javafx.scene.Node;

/** What unknown switches and leads are, by what a meter shows of them. */
final class IdentifyView extends Pages {

    IdentifyView(Surroundings with) {
        setId("identify");
        var bench = with.bench();
        add("identify-key", Words.of("identify.key"), new KeyPage(bench));
        add("identify-switch", Words.of("identify.switch"), new SwitchPage(bench));
        add("identify-leads", Words.of("identify.leads"), new LeadsPage(bench));
        add("identify-set", Words.of("identify.set"), new SetPage(bench));
    }

    Node aside() {
        return Asides.of(
                Words.of("identify.title"), Words.of("lead.caution"), Words.of("identify.help"));
    }
}
