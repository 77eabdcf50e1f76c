package aficion.desktop.inspect;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Verb;
import aficion.desktop.workbench.Verbs;
import aficion.words.Words;
import java.util.Arrays;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;

/** What can be done to what is chosen, each with its key. */
final class VerbKeys extends FlowPane {

    private VerbKeys(Verbs verbs, List<Verb> shown) {
        super(6, 6);
        shown.stream()
                .filter(verbs::serves)
                .forEach(verb -> getChildren().add(button(verbs, verb)));
    }

    /** The verbs that change what is chosen. */
    static VerbKeys changing(Verbs verbs) {
        return new VerbKeys(
                verbs,
                Arrays.stream(Verb.values())
                        .filter(verb ->
                                switch (verb.on()) {
                                    case WIRE, PART, TERMINAL, ANYTHING -> !verb.isTrial();
                                    case CIRCUIT, JOB -> false;
                                })
                        .toList());
    }

    /** The verbs that try what gives way. */
    static VerbKeys trying(Verbs verbs) {
        return new VerbKeys(verbs, Arrays.stream(Verb.values()).filter(Verb::isTrial).toList());
    }

    /** The verbs that put a whole circuit in order. */
    static VerbKeys tidying(Verbs verbs) {
        return new VerbKeys(
                verbs,
                Arrays.stream(Verb.values()).filter(verb -> verb.on() == Verb.On.CIRCUIT).toList());
    }

    private static Button button(Verbs verbs, Verb verb) {
        var button = Texts.button(Words.of("verb", verb), "chip", () -> verbs.perform(verb));
        button.setId("verb-" + verb.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
        button.setGraphic(Texts.label(verb.keys(), "key-cap"));
        button.setTooltip(new Tooltip(Words.of("verb." + verb + ".say")));
        button.setAccessibleText(Words.of("verb", verb) + ", " + verb.keys());
        return button;
    }
}
