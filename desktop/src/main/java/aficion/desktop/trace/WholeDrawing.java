package aficion.desktop.trace;

import aficion.desktop.drawing.Ink;
import aficion.diagram.Picture;
import aficion.diagram.VehicleDiagram;
import aficion.diagram.VehicleDiagram.Placed;
import aficion.diagram.VehicleLayout;
import aficion.job.Design;
import aficion.words.Words;
import java.util.List;
import javafx.scene.Group;
import javafx.scene.shape.Rectangle;

/** The whole vehicle: every circuit's path on its own paper, along the trunks of shared feeds. */
final class WholeDrawing extends Group {
    private final VehicleDiagram made;
    private final Design design;

    /** What never moves. */
    private final Group ground = new Group();

    WholeDrawing(VehicleDiagram made, Design design, List<PathDrawing> paths) {
        this.made = made;
        this.design = design;
        made.circuits().forEach(this::paper);
        made.trunks()
                .forEach(trunk ->
                        ground.getChildren()
                                .addAll(Ink.of(Picture.trunk(trunk, design.wire(trunk.wire())))));
        getChildren().add(ground);
        getChildren().addAll(paths);
    }

    private void paper(Placed placed) {
        double x = placed.at().x();
        double top = placed.at().y() - VehicleLayout.TITLE;
        double height = placed.diagram().height() + VehicleLayout.TITLE;
        int index = 0;
        for (var band : placed.diagram().bands()) {
            boolean last = index == placed.diagram().bands().size() - 1;
            double width = last ? made.width() - x - band.x() : band.width();
            var paper = new Rectangle(x + band.x(), top, width, height);
            paper.getStyleClass().add(index % 2 == 0 ? "lane-even" : "lane-odd");
            ground.getChildren().add(paper);
            var head = Sheet.head(band, 0);
            head.setTranslateX(x);
            head.setTranslateY(placed.at().y() + 8);
            ground.getChildren().add(head);
            index++;
        }
        var line = Ink.line(0, top, made.width(), top);
        line.getStyleClass().setAll("whole-rule");
        var circuit = design.circuit(placed.diagram().circuit());
        var name =
                Ink.text(
                        x + 10,
                        top + 16,
                        Words.of("whole.title", circuit.number(), circuit.name()));
        name.getStyleClass().setAll("whole-title");
        ground.getChildren().addAll(line, name);
    }
}
