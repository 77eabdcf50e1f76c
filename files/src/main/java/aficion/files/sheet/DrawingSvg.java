package aficion.files.sheet;

import aficion.diagram.Diagram;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Mark;
import aficion.diagram.Pen;
import aficion.diagram.Phrase;
import aficion.diagram.Picture;
import aficion.diagram.VehicleDiagram;
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
 * The drawing of a path, of the whole vehicle or of a forming board as SVG: the same positions as
 * on the screen and on paper.
 */
public final class DrawingSvg {
    private static final int BAND = 0xF5F2EA;

    private static final String FONT = "Barlow Condensed, Arial Narrow, sans-serif";

    private final StringWriter text = new StringWriter();
    private final XMLStreamWriter xml;
    private final Design design;

    private DrawingSvg(Design design) throws XMLStreamException {
        this.design = design;
        this.xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
    }

    /** One circuit. */
    public static String of(Design design, Diagram diagram) {
        try {
            var svg = new DrawingSvg(design);
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
            var svg = new DrawingSvg(design);
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
                        1 - VehicleLayout.TITLE / 2,
                        Words.of("search.circuit", circuit.number(), circuit.name()),
                        PrintPen.words(PrintPen.INK, 15));
                svg.path(placed.diagram());
                svg.xml.writeEndElement();
            }
            for (var trunk : whole.trunks()) {
                svg.draw(Picture.trunk(trunk, design.wire(trunk.wire())));
            }
            return svg.end();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * Marks at full size.
     *
     * @param millimetre units of the drawing for each millimetre on paper
     */
    public static String of(
            Design design, List<Mark> marks, double width, double height, double millimetre) {
        try {
            var svg = new DrawingSvg(design);
            svg.begin(
                    width,
                    height,
                    number(width / millimetre) + "mm",
                    number(height / millimetre) + "mm");
            svg.draw(marks);
            return svg.end();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
    }

    private void begin(double width, double height) throws XMLStreamException {
        begin(width, height, number(width), number(height));
    }

    private void begin(double width, double height, String wide, String high)
            throws XMLStreamException {
        xml.writeStartDocument();
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
        attribute("viewBox", "0 0 " + number(width) + " " + number(height));
        attribute("width", wide);
        attribute("height", high);
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
                        12,
                        Words.of("lane", band.lane()).toUpperCase(Locale.ROOT),
                        PrintPen.words(PrintPen.QUIET, 12));
            }
        }
    }

    private void path(Diagram diagram) throws XMLStreamException {
        draw(Picture.of(design, diagram));
    }

    private void draw(List<Mark> marks) throws XMLStreamException {
        for (var mark : marks) {
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
        attribute("y", number(word.at().y() + PrintPen.BASELINE * pen.size()));
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

    private void paper(Box box, int fill) throws XMLStreamException {
        draw(new Mark.Plate(box, 0, Pen.of(Pen.Ink.BACK)), PrintPen.filled(fill));
    }

    /** Words by their left edge and the middle of their height. */
    private void text(double x, double y, String words, PrintPen pen) throws XMLStreamException {
        word(
                new Mark.Word(
                        new Point(x, y),
                        Mark.Anchor.LEFT,
                        new Phrase.Plain(words),
                        Pen.of(Pen.Ink.TEXT)),
                pen);
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
        words.codePoints().filter(DrawingSvg::isAllowed).forEach(allowed::appendCodePoint);
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
