package aficion.desktop.board;

import aficion.desktop.field.Choice;
import aficion.desktop.field.Field;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.Body;
import aficion.job.Vehicle;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.quantity.Metres;
import aficion.route.Outline;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.VBox;

/** Asks what the vehicle is like, and lays the harness into it: nobody has to draw one. */
final class BodyForm extends VBox {
    private final Workbench bench;
    private final VBox sizes = new VBox(6);
    private final CheckBox mirrored = new CheckBox(Words.of("board.mirrored"));
    private Outline outline;
    private Outline.Size size;

    BodyForm(Workbench bench) {
        super(10);
        this.bench = bench;
        setId("body-form");
        setAlignment(Pos.TOP_LEFT);
        setMaxWidth(420);
        var outlines =
                Outline.of(
                        bench.design()
                                .vehicle()
                                .sort()
                                .map(Vehicle.Sort::name)
                                .orElse(Vehicle.Sort.CAR.name()));
        outline = outlines.getFirst();
        size = outline.usual();
        var box = Choices.of(outlines, each -> Words.of("outline." + each.name()));
        box.setValue(outline);
        mirrored.setId("body-mirrored");
        var lay = Texts.button(Words.of("board.lay"), "main-button", this::lay);
        lay.setId("body-lay");
        getChildren()
                .addAll(
                        Texts.label(Words.of("board.form.title"), "sheet-title"),
                        Texts.wrapped(Words.of("board.form.says"), "quiet"),
                        new Choice<>(
                                "body-outline",
                                Words.of("board.outline"),
                                box,
                                chosen -> {
                                    outline = chosen;
                                    size = chosen.usual();
                                    ask();
                                }),
                        sizes,
                        mirrored,
                        lay);
        ask();
    }

    private void ask() {
        sizes.getChildren()
                .setAll(
                        field("wheelbase", size.wheelbase(), this::base),
                        field("track", size.track(), this::track),
                        field("front", size.front(), this::front),
                        field("rear", size.rear(), this::rear));
    }

    private Field field(String what, Metres value, Consumer<Metres> take) {
        return new Field(
                "body-" + what,
                Words.of("board." + what),
                bench.units().print(value),
                text ->
                        bench.units()
                                .parseLength(text)
                                .map(metres -> taken(metres, take))
                                .orElse(false),
                Words.of("board.size.refused"));
    }

    private static boolean taken(Metres metres, Consumer<Metres> take) {
        take.accept(metres);
        return true;
    }

    private void base(Metres metres) {
        size = new Outline.Size(metres, size.track(), size.front(), size.rear(), size.height());
    }

    private void track(Metres metres) {
        size = new Outline.Size(size.wheelbase(), metres, size.front(), size.rear(), size.height());
    }

    private void front(Metres metres) {
        size = new Outline.Size(size.wheelbase(), size.track(), metres, size.rear(), size.height());
    }

    private void rear(Metres metres) {
        size =
                new Outline.Size(
                        size.wheelbase(), size.track(), size.front(), metres, size.height());
    }

    /** The body, and every wire of which nobody has measured the length laid along it. */
    private void lay() {
        var body = new Body(outline.plan(size, mirrored.isSelected()));
        bench.perform(
                new CompositeEdit(
                        CompositeEdit.Reason.LAY,
                        List.<Edit>of(
                                new BodyEdit.SetBody(Optional.of(body)),
                                BodyEdit.LayAlong.assumed(bench.design()))));
    }
}
