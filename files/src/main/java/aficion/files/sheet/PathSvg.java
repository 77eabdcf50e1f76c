package aficion.files.sheet;

import aficion.catalogue.Colour;
import aficion.diagram.Diagram;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Diagram.Side;
import aficion.diagram.VehicleDiagram;
import aficion.diagram.VehicleDiagram.Trunk;
import aficion.diagram.VehicleLayout;
import aficion.job.Design;
import aficion.words.DrawingWords;
import aficion.words.Words;
import java.io.StringWriter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * The drawing of a path, or of the whole vehicle, as SVG: the same positions as on the screen and
 * on paper.
 */
public final class PathSvg {
    private static final String INK = "#1F2A33";
    private static final String QUIET = "#56616A";
    private static final String FONT = "Barlow Condensed, Arial Narrow, sans-serif";

    private final StringWriter text = new StringWriter();
    private final XMLStreamWriter xml;
    private final Design design;

    private PathSvg(Design design) throws XMLStreamException {
        this.design = design;
        this.xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
    }

    /** One circuit. */
    public static String of(Design design, Diagram diagram) {
        try {
            var svg = new PathSvg(design);
            svg.begin(diagram.width(), diagram.height());
            svg.bands(diagram, 0, diagram.height());
            svg.path(diagram);
            return svg.end();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The whole vehicle. */
    public static String of(Design design, VehicleDiagram whole) {
        try {
            var svg = new PathSvg(design);
            svg.begin(whole.width(), whole.height());
            for (var placed : whole.circuits()) {
                svg.group(placed.at());
                svg.bands(
                        placed.diagram(),
                        -VehicleLayout.TITLE,
                        placed.diagram().height() + VehicleLayout.TITLE);
                var circuit = design.circuit(placed.diagram().circuit());
                svg.text(
                        10,
                        6 - VehicleLayout.TITLE / 2,
                        Words.of("search.circuit", circuit.number(), circuit.name()),
                        INK,
                        15);
                svg.path(placed.diagram());
                svg.xml.writeEndElement();
            }
            for (var trunk : whole.trunks()) {
                svg.trunk(trunk);
            }
            return svg.end();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
    }

    private void begin(double width, double height) throws XMLStreamException {
        xml.writeStartDocument();
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
        attribute("viewBox", "0 0 " + number(width) + " " + number(height));
        attribute("width", number(width));
        attribute("height", number(height));
        attribute("font-family", FONT);
        xml.writeStartElement("title");
        write(design.vehicle().name());
        xml.writeEndElement();
        rectangle(new Box(0, 0, width, height), "#FFFFFF", "none", 0);
    }

    private String end() throws XMLStreamException {
        xml.writeEndElement();
        xml.writeEndDocument();
        return text.toString();
    }

    private void attribute(String name, String value) throws XMLStreamException {
        xml.writeAttribute(name, value);
    }

    private void group(Point at) throws XMLStreamException {
        xml.writeStartElement("g");
        attribute("transform", "translate(" + number(at.x()) + " " + number(at.y()) + ")");
    }

    private void bands(Diagram diagram, double top, double height) throws XMLStreamException {
        int index = 0;
        for (var band : diagram.bands()) {
            if (index++ % 2 == 1) {
                rectangle(new Box(band.x(), top, band.width(), height), "#F5F2EA", "none", 0);
            }
            if (top == 0) {
                text(
                        band.x() + 10,
                        16,
                        Words.of("lane", band.lane()).toUpperCase(Locale.ROOT),
                        QUIET,
                        12);
            }
        }
    }

    private void path(Diagram diagram) throws XMLStreamException {
        for (var stroke : diagram.strokes()) {
            var colour = design.wire(stroke.wire()).colour();
            line(stroke.points(), INK, 4.4, "");
            line(stroke.points(), hex(colour.base()), 3, "");
            if (colour.tracer().isPresent()) {
                line(stroke.points(), hex(colour.tracer().get()), 2, "9 7");
            }
            for (var dot : stroke.dots()) {
                circle(dot, 4, INK);
            }
        }
        for (var body : diagram.bodies()) {
            body(body);
        }
        for (var flag : diagram.earths()) {
            earth(flag);
        }
        for (var jump : diagram.jumps()) {
            boolean left = jump.side() == Side.LEFT;
            text(
                    jump.at().x() + (left ? -40 : 8),
                    jump.at().y() + 4,
                    design.wire(jump.wire()).number(),
                    QUIET,
                    12);
        }
        for (var label : diagram.labels()) {
            if (label.backed()) {
                rectangle(label.box(), "#FFFFFF", "none", 0);
            }
            text(label.box().x(), label.box().bottom() - 3, label.text(), INK, DrawingWords.SIZE);
        }
    }

    private void body(Diagram.Body body) throws XMLStreamException {
        var box = body.box();
        if (box.width() == 0) {
            circle(new Point(box.x(), box.y()), 5, INK);
            return;
        }
        rectangle(box, "#FFFFFF", INK, 5);
        for (var pin : body.pins()) {
            boolean left = pin.side() == Side.LEFT;
            xml.writeStartElement("text");
            attribute("x", number(pin.at().x() + (left ? 4 : -4)));
            attribute("y", number(pin.at().y() + 4));
            attribute("font-size", "11");
            attribute("fill", QUIET);
            attribute("text-anchor", left ? "start" : "end");
            write(pin.name());
            xml.writeEndElement();
        }
    }

    private void earth(Diagram.EarthFlag flag) throws XMLStreamException {
        double direction = flag.at().x() >= flag.from().x() ? 1 : -1;
        if (flag.wire().isEmpty()) {
            line(List.of(flag.from(), flag.at()), INK, 1.6, "");
        }
        for (int bar = 0; bar < 3; bar++) {
            double x = flag.at().x() + direction * bar * 4;
            double half = 8 - bar * 2.6;
            line(
                    List.of(new Point(x, flag.at().y() - half), new Point(x, flag.at().y() + half)),
                    INK,
                    1.6,
                    "");
        }
    }

    private void trunk(Trunk trunk) throws XMLStreamException {
        var colour = hex(design.wire(trunk.wire()).colour().base());
        var down = List.of(new Point(trunk.x(), trunk.top()), new Point(trunk.x(), trunk.bottom()));
        line(down, INK, 5, "");
        line(down, colour, 3.4, "");
        for (var takeOff : trunk.takeOffs()) {
            var across =
                    List.of(
                            new Point(trunk.x(), takeOff.y()),
                            new Point(takeOff.to(), takeOff.y()));
            line(across, INK, 5, "");
            line(across, colour, 3.4, "");
            circle(across.getFirst(), 3.5, INK);
            if (!takeOff.reaches()) {
                text(takeOff.to() + 3, takeOff.y() + 4, trunk.terminal().toString(), QUIET, 12);
            }
        }
    }

    private void line(List<Point> points, String colour, double width, String dashes)
            throws XMLStreamException {
        xml.writeEmptyElement("polyline");
        attribute(
                "points",
                points.stream()
                        .map(point -> number(point.x()) + "," + number(point.y()))
                        .collect(Collectors.joining(" ")));
        attribute("fill", "none");
        attribute("stroke", colour);
        attribute("stroke-width", number(width));
        attribute("stroke-linejoin", "round");
        if (!dashes.isEmpty()) {
            attribute("stroke-dasharray", dashes);
        }
    }

    private void circle(Point at, double radius, String colour) throws XMLStreamException {
        xml.writeEmptyElement("circle");
        attribute("cx", number(at.x()));
        attribute("cy", number(at.y()));
        attribute("r", number(radius));
        attribute("fill", colour);
    }

    private void rectangle(Box box, String fill, String stroke, double corner)
            throws XMLStreamException {
        xml.writeEmptyElement("rect");
        attribute("x", number(box.x()));
        attribute("y", number(box.y()));
        attribute("width", number(box.width()));
        attribute("height", number(box.height()));
        attribute("rx", number(corner));
        attribute("fill", fill);
        attribute("stroke", stroke);
    }

    private void text(double x, double y, String words, String colour, double size)
            throws XMLStreamException {
        xml.writeStartElement("text");
        attribute("x", number(x));
        attribute("y", number(y));
        attribute("font-size", number(size));
        attribute("fill", colour);
        write(words);
        xml.writeEndElement();
    }

    private static String number(double value) {
        return value == Math.rint(value)
                ? String.valueOf((long) value)
                : String.valueOf(Math.round(value * 100) / 100.0);
    }

    private static String hex(Colour colour) {
        return "#%06X".formatted(colour.rgb());
    }

    /** Writes words without the signs that XML 1.0 does not allow (section 2.2, {@code Char}). */
    private void write(String words) throws XMLStreamException {
        var allowed = new StringBuilder();
        words.codePoints().filter(PathSvg::isAllowed).forEach(allowed::appendCodePoint);
        xml.writeCharacters(allowed.toString());
    }

    private static boolean isAllowed(int sign) {
        return sign == '\t'
                || sign == '\n'
                || sign == '\r'
                || sign >= 0x20 && sign <= 0xD7FF
                || sign >= 0xE000 && sign <= 0xFFFD
                || sign >= 0x10000;
    }
}
