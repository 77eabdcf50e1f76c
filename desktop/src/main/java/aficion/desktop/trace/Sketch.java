package aficion.desktop.trace;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.job.Part;
import aficion.solve.OperatingPoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;

/** What every symbol is drawn with: a part's body, where its pins are, and what flows there. */
abstract class Sketch {
    private static final double LIVE = WireNode.LEAST_LIVE;

    final Part part;
    final Body body;
    final Optional<OperatingPoint> point;
    final List<Node> nodes = new ArrayList<>();

    Sketch(Part part, Body body, Optional<OperatingPoint> point) {
        this.part = part;
        this.body = body;
        this.point = point;
    }

    Point pin(String name) {
        return body.pin(name).map(pin -> pin.at()).orElse(new Point(body.box().x(), middle()));
    }

    double middle() {
        return body.box().y() + body.box().height() / 2;
    }

    double centre() {
        return body.box().x() + body.box().width() / 2;
    }

    boolean flows(String role) {
        return point.flatMap(solved -> solved.through(part.id(), role))
                .map(amps -> Math.abs(amps.value()) >= LIVE)
                .orElse(false);
    }

    static String[] live(boolean flows) {
        return flows ? new String[] {"live"} : new String[0];
    }

    void join(Point from, Point to, boolean flows) {
        nodes.add(Ink.line(from.x(), from.y(), to.x(), to.y(), live(flows)));
    }

    static Node solid(double x, double y, double radius) {
        var dot = Ink.circle(x, y, radius, "solid");
        dot.getStyleClass().remove("shape");
        return dot;
    }

    void pinNames() {
        body.pins().forEach(pin -> pinName(pin.name(), pin.at()));
    }

    void pinName(String name, Point at) {
        body.pin(name)
                .ifPresent(pin -> {
                    if (pin.side() == Side.LEFT) {
                        nodes.add(Ink.text(at.x() + 4, at.y() - 8, name, "pin"));
                    } else {
                        var text = Ink.text(at.x() - 4, at.y() - 8, name, "pin");
                        text.layoutBoundsProperty()
                                .addListener((_, _, bounds) ->
                                        text.setX(at.x() - 4 - bounds.getWidth()));
                        text.setX(at.x() - 4 - text.getLayoutBounds().getWidth());
                        nodes.add(text);
                    }
                });
    }

    /** A box with words under it and its pins named inside. */
    void boxed(String words) {
        pinNames();
        nodes.add(Ink.centred(centre(), body.box().bottom() + 9, words, "dim"));
    }
}
