package aficion.files.sheet;

import aficion.diagram.Diagram;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Pen;
import aficion.diagram.Picture;
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
    private static final int BAND = 0xF5F2EA;

    /** Where the baseline of words lies below the middle of their height, share of their size. */
    private static final double BASELINE = 0.33;

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
                        PrintPen.INK,
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
        paper(new Box(0, 0, width, height), PrintPen.PAPER);
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
                paper(new Box(band.x(), top, band.width(), height), BAND);
            }
            if (top == 0) {
                text(
                        band.x() + 10,
                        16,
                        Words.of("lane", band.lane()).toUpperCase(Locale.ROOT),
                        PrintPen.QUIET,
                        12);
            }
        }
    }

    private void path(Diagram diagram) throws XMLStreamException {
        for (var mark : Picture.of(design, diagram)) {
            draw(mark, PrintPen.of(mark.pen()));
        }
    }

    private void draw(Mark mark, PrintPen pen) throws XMLStreamException {
        switch (mark) {
            case Mark.Line(var points, _) -> corners("polyline", points, pen);
            case Mark.Area(var points, _) -> corners("polygon", points, pen);
            case Mark.Plate(var box, var corner, _) -> {
                xml.writeEmptyElement("rect");
                attribute("x", number(box.x()));
                attribute("y", number(box.y()));
                attribute("width", number(box.width()));
                attribute("height", number(box.height()));
                attribute("rx", number(corner));
                ink(pen);
            }
            case Mark.Ring(var at, var radius, _) -> {
                xml.writeEmptyElement("circle");
                attribute("cx", number(at.x()));
                attribute("cy", number(at.y()));
                attribute("r", number(radius));
                ink(pen);
            }
            case Mark.Arch(var at, var across, var up, _) -> {
                xml.writeEmptyElement("path");
                attribute(
                        "d",
                        "M %s %s A %s %s 0 0 1 %s %s"
                                .formatted(
                                        number(at.x() - across),
                                        number(at.y()),
                                        number(across),
                                        number(up),
                                        number(at.x() + across),
                                        number(at.y())));
                ink(pen);
            }
            case Mark.Word word -> word(word, pen);
        }
    }

    private void corners(String element, List<Point> points, PrintPen pen)
            throws XMLStreamException {
        xml.writeEmptyElement(element);
        attribute(
                "points",
                points.stream()
                        .map(point -> number(point.x()) + "," + number(point.y()))
                        .collect(Collectors.joining(" ")));
        ink(pen);
    }

    private void ink(PrintPen pen) throws XMLStreamException {
        attribute("fill", hex(pen.fill()));
        attribute("stroke", hex(pen.stroke()));
        if (pen.strokes()) {
            attribute("stroke-width", number(pen.width()));
            attribute("stroke-linejoin", "round");
            if (pen.dash() > 0) {
                attribute("stroke-dasharray", number(pen.dash()) + " " + number(pen.gap()));
            }
        }
    }

    private void word(Mark.Word word, PrintPen pen) throws XMLStreamException {
        xml.writeStartElement("text");
        attribute("x", number(word.at().x()));
        attribute("y", number(word.at().y() + BASELINE * pen.size()));
        attribute("font-size", number(pen.size()));
        attribute("fill", hex(pen.fill()));
        attribute(
                "text-anchor",
                switch (word.anchor()) {
                    case LEFT -> "start";
                    case MIDDLE -> "middle";
                    case RIGHT -> "end";
                });
        write(DrawingWords.say(word.phrase()));
        xml.writeEndElement();
    }

    private void trunk(Trunk trunk) throws XMLStreamException {
        var colour = design.wire(trunk.wire()).colour().base().rgb();
        feed(
                List.of(new Point(trunk.x(), trunk.top()), new Point(trunk.x(), trunk.bottom())),
                colour);
        for (var takeOff : trunk.takeOffs()) {
            var from = new Point(trunk.x(), takeOff.y());
            feed(List.of(from, new Point(takeOff.to(), takeOff.y())), colour);
            draw(new Mark.Ring(from, 3.5, Pen.of(Pen.Ink.DOT)), PrintPen.of(Pen.of(Pen.Ink.DOT)));
            if (!takeOff.reaches()) {
                text(
                        takeOff.to() + 3,
                        takeOff.y() + 4,
                        trunk.terminal().toString(),
                        PrintPen.QUIET,
                        12);
            }
        }
    }

    /** A feed that circuits share, thicker than a wire. */
    private void feed(List<Point> points, int colour) throws XMLStreamException {
        corners("polyline", points, new PrintPen(PrintPen.INK, 5, PrintPen.NONE, 0, 0, 0));
        corners("polyline", points, new PrintPen(colour, 3.4, PrintPen.NONE, 0, 0, 0));
    }

    private void paper(Box box, int fill) throws XMLStreamException {
        xml.writeEmptyElement("rect");
        attribute("x", number(box.x()));
        attribute("y", number(box.y()));
        attribute("width", number(box.width()));
        attribute("height", number(box.height()));
        attribute("fill", hex(fill));
    }

    private void text(double x, double y, String words, int colour, double size)
            throws XMLStreamException {
        xml.writeStartElement("text");
        attribute("x", number(x));
        attribute("y", number(y));
        attribute("font-size", number(size));
        attribute("fill", hex(colour));
        write(words);
        xml.writeEndElement();
    }

    private static String number(double value) {
        return value == Math.rint(value)
                ? String.valueOf((long) value)
                : String.valueOf(Math.round(value * 100) / 100.0);
    }

    private static String hex(int colour) {
        return colour == PrintPen.NONE ? "none" : "#%06X".formatted(colour);
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
