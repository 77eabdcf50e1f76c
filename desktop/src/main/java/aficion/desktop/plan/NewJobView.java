package aficion.desktop.plan;

import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.files.RecipeBook;
import aficion.job.Body;
import aficion.job.Circuit;
import aficion.job.Design;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.Vehicle;
import aficion.recipe.Insertion;
import aficion.recipe.Insertion.Fit;
import aficion.recipe.Proposal;
import aficion.recipe.Recipe;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * What has to be known of a vehicle before its first wire, and the circuits that are proposed for
 * it, each to be left out at will. They go in one after the other, each a step to undo.
 */
public final class NewJobView extends BorderPane {
    private final Workbench bench;
    private final Runnable close;
    private final VehicleForm vehicle = new VehicleForm("new-job");
    private final ComboBox<Optional<Recipe>> charging = source(Recipe.Group.CHARGING);
    private final ComboBox<Optional<Recipe>> ignition = source(Recipe.Group.IGNITION);
    private final RulesForm rules = new RulesForm(HouseRules.USUAL, this::answered);
    private final VBox circuits = new VBox(4);
    private final List<CheckBox> ticks = new ArrayList<>();
    private final ProgressBar progress = new ProgressBar(0);
    private final Button begin;
    private List<Proposal> usual = List.of();
    private List<Proposal> proposals = List.of();
    private boolean stopped;

    public NewJobView(Workbench bench, Runnable close) {
        this.bench = bench;
        this.close = close;
        setId("new-job");
        getStyleClass().add("recipes");
        begin = Texts.button(Words.of("newJob.begin"), "main-button", this::begin);
        begin.setId("new-job-begin");
        begin.setDefaultButton(true);
        progress.setMaxWidth(Double.MAX_VALUE);
        progress.setVisible(false);
        charging.setId("new-job-charging");
        ignition.setId("new-job-ignition");
        vehicle.sort().addListener((_, _, _) -> propose());
        charging.valueProperty().addListener((_, _, chosen) -> exchange(chosen));
        ignition.valueProperty().addListener((_, _, chosen) -> exchange(chosen));
        setLeft(form());
        setCenter(right());
        propose();
    }

    /** Puts the keyboard where writing begins. */
    public void ready() {
        vehicle.ready();
    }

    /** The recipes of a group, and none. */
    private static ComboBox<Optional<Recipe>> source(Recipe.Group group) {
        var choices = new ArrayList<Optional<Recipe>>();
        RecipeBook.shipped().stream()
                .filter(recipe -> recipe.group() == group)
                .forEach(recipe -> choices.add(Optional.of(recipe)));
        choices.add(Optional.empty());
        return VehicleForm.wide(
                Choices.of(
                        choices,
                        recipe -> recipe.map(Recipe::name).orElse(Words.of("newJob.none"))));
    }

    private BorderPane form() {
        var back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        back.setId("new-job-close");
        var bottom = new HBox(12, back, begin);
        bottom.setAlignment(Pos.CENTER_RIGHT);
        var box =
                new VBox(
                        10,
                        Texts.label(Words.of("newJob.title"), "sheet-title"),
                        vehicle,
                        VehicleForm.asked("newJob.charging", charging),
                        VehicleForm.asked("newJob.ignition", ignition),
                        Texts.wrapped(Words.of("newJob.rulesToo"), "quiet"));
        box.getStyleClass().add("recipe-head");
        var foot = new VBox(8, vehicle.trouble(), progress, bottom);
        foot.getStyleClass().add("recipe-head");
        var pane = new BorderPane(scroll(box));
        pane.setBottom(foot);
        pane.getStyleClass().addAll("recipe-choice", "new-job-form");
        return pane;
    }

    /** The circuits to begin with and the rules of the house, one before the other. */
    private Node right() {
        var pages = new StackPane();
        var group = new ToggleGroup();
        var tabs =
                new HBox(
                        tab("newJob.circuits", proposed(), group, pages),
                        tab("rules.title", scroll(rules), group, pages));
        tabs.getStyleClass().add("view-tabs");
        group.selectToggle(group.getToggles().getFirst());
        var pane = new BorderPane(pages);
        pane.setTop(tabs);
        return pane;
    }

    private static ToggleButton tab(String key, Node page, ToggleGroup group, StackPane pages) {
        var tab = new ToggleButton(Words.of(key));
        tab.setId(key.replace('.', '-'));
        tab.getStyleClass().add("view-tab");
        tab.setToggleGroup(group);
        tab.setOnAction(_ -> tab.setSelected(true));
        page.visibleProperty().bind(tab.selectedProperty());
        pages.getChildren().add(page);
        return tab;
    }

    private static ScrollPane scroll(Node content) {
        var scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("bench-scroll");
        return scroll;
    }

    private Node proposed() {
        var head = Texts.wrapped(Words.of("newJob.circuits.say"), "quiet", "recipe-head");
        circuits.getStyleClass().add("recipe-head");
        var box = new BorderPane(scroll(circuits));
        box.setTop(head);
        return box;
    }

    /** Proposes anew where the house now asks for other circuits. */
    private void answered() {
        if (!usual().equals(usual)) {
            propose();
        }
    }

    private void propose() {
        usual = usual();
        proposals = new ArrayList<>(usual);
        charging.setValue(proposed(Recipe.Group.CHARGING));
        ignition.setValue(proposed(Recipe.Group.IGNITION));
        list();
    }

    /** What is usual for a vehicle of the kind that is chosen; here one always is. */
    private List<Proposal> usual() {
        return RecipeBook.proposals(vehicle.sort().getValue().orElseThrow(), rules.practice());
    }

    private Optional<Recipe> proposed(Recipe.Group group) {
        return proposals.stream()
                .map(Proposal::recipe)
                .filter(recipe -> recipe.group() == group)
                .findFirst();
    }

    /** Puts another source or ignition in the place of the one that is proposed. */
    private void exchange(Optional<Recipe> chosen) {
        var group = chosen.map(Recipe::group).orElseGet(this::emptied);
        int at = -1;
        for (int i = 0; i < proposals.size(); i++) {
            at = at < 0 && proposals.get(i).recipe().group() == group ? i : at;
        }
        if (at >= 0 && chosen.equals(Optional.of(proposals.get(at).recipe()))) {
            return;
        }
        if (at >= 0) {
            proposals.remove(at);
        }
        int place = at >= 0 ? at : proposals.size();
        chosen.ifPresent(recipe -> proposals.add(place, new Proposal(recipe, Map.of())));
        list();
    }

    /** The group that has just been left out. */
    private Recipe.Group emptied() {
        return charging.getValue().isEmpty() && proposed(Recipe.Group.CHARGING).isPresent()
                ? Recipe.Group.CHARGING
                : Recipe.Group.IGNITION;
    }

    /** Lists what is proposed; what was left out stays left out. */
    private void list() {
        var leftOut =
                ticks.stream().filter(tick -> !tick.isSelected()).map(CheckBox::getId).toList();
        ticks.clear();
        circuits.getChildren().clear();
        for (var proposal : proposals) {
            var tick = new CheckBox(proposal.recipe().name());
            tick.setId("propose-" + proposal.recipe().id());
            tick.setSelected(!leftOut.contains(tick.getId()));
            tick.getStyleClass().add("propose");
            ticks.add(tick);
            circuits.getChildren()
                    .add(
                            new VBox(
                                    1,
                                    tick,
                                    Texts.wrapped(proposal.recipe().says(), "propose-says")));
        }
    }

    private void begin() {
        vehicle.vehicle().ifPresent(this::begin);
    }

    private void begin(Vehicle known) {
        var wanted = new ArrayList<Proposal>();
        for (int i = 0; i < proposals.size(); i++) {
            if (ticks.get(i).isSelected()) {
                wanted.add(proposals.get(i));
            }
        }
        bench.take(
                Job.of(
                        Design.empty(known, rules.rules(known))
                                .withBody(known.sort().map(Body::usual))));
        begin.setDisable(true);
        progress.setVisible(true);
        put(wanted, 0, new ArrayList<>());
    }

    /** Puts in one after the other; what does not fit is said at the end. */
    private void put(List<Proposal> wanted, int next, List<String> left) {
        progress.setProgress(wanted.isEmpty() ? 1 : (double) next / wanted.size());
        if (stopped) {
            return;
        }
        if (next == wanted.size()) {
            begin.setDisable(false);
            progress.setVisible(false);
            bench.focus().set(bench.design().circuits().stream().findFirst().map(Circuit::id));
            if (left.isEmpty()) {
                close.run();
            } else {
                vehicle.trouble().setText(Words.of("newJob.left", String.join(", ", left)));
            }
            return;
        }
        var proposal = wanted.get(next);
        bench.ask()
                .prepare(
                        design -> Insertion.of(design, proposal.recipe(), proposal.answers()),
                        fit -> {
                            switch (fit) {
                                case Fit.Fits fits -> bench.perform(fits.step());
                                case Fit.Lacks _ -> left.add(proposal.recipe().name());
                            }
                            put(wanted, next + 1, left);
                        });
    }

    /** Puts in nothing more; the view is not to be shown again. */
    public void dispose() {
        stopped = true;
    }
}
