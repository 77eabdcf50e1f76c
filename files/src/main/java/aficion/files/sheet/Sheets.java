package aficion.files.sheet;

import aficion.bench.BenchPlan;
import aficion.diagram.Diagram;
import aficion.files.sheet.Typefaces.Face;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Job;
import aficion.job.Work;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.words.Speech;
import aficion.words.Words;
import aficion.working.Working;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** Printed sheets: each returns the bytes of a PDF file. */
public final class Sheets {
    private static final float SMALL = 9.5f;
    private static final float WIDEST = 240;
    private static final float GAP = 8;

    /** A column that is no wider is never made narrower. */
    private static final float NARROW = 70;

    private static final int RULE = 0xDAD4C6;
    private static final float LINE = 17;

    /** From line to line of one cell. */
    private static final float MORE = 11;

    private Sheets() {}

    static String subtitle(Design design) {
        var vehicle = design.vehicle();
        return vehicle.name()
                + ", "
                + vehicle.year()
                + "   "
                + Words.of(
                        "top.vehicle",
                        Math.round(vehicle.system().value()),
                        Words.of("pole", vehicle.earthed()));
    }

    private static String circuitTitle(String key, Design design, CircuitId id) {
        var circuit = design.circuit(id);
        return Words.of(key, circuit.number(), circuit.name());
    }

    /** The wire schedule of a job. */
    public static byte[] schedule(Assessment assessment, UserUnits units) throws IOException {
        try (var paper = new Paper(Words.of("sheet.schedule"), subtitle(assessment.design()))) {
            schedule(paper, assessment, units);
            return paper.finish();
        }
    }

    /** The same from the head of a page on. */
    static void schedule(Paper paper, Assessment assessment, UserUnits units) throws IOException {
        rows(
                paper,
                ScheduleTable.heading(),
                ScheduleTable.lines(assessment, units).stream()
                        .map(ScheduleTable.Line::cells)
                        .toList(),
                new float[] {46, 62, 62, 104, 66, 96, 160, 170});
    }

    /** A list, as many pages as it takes. */
    public static byte[] listing(Design design, Listing listing) throws IOException {
        try (var paper = new Paper(Words.of("make.tab." + listing.name()), subtitle(design))) {
            listing(paper, listing);
            return paper.finish();
        }
    }

    /** The same from the head of a page on. */
    static void listing(Paper paper, Listing listing) throws IOException {
        rows(paper, listing.heading(), listing.rows(), widths(paper, listing));
    }

    /** Rows under their heading, which stands again on every page. */
    private static void rows(
            Paper paper, List<String> heading, List<List<String>> rows, float[] widths)
            throws IOException {
        float y = heading(paper, heading, widths, Paper.TOP + 10);
        for (var row : rows) {
            var lines = lines(paper, row, widths);
            int most = lines.stream().mapToInt(List::size).max().orElse(1);
            if (y + (most - 1) * MORE > Paper.BOTTOM) {
                paper.newPage();
                y = heading(paper, heading, widths, Paper.TOP + 10);
            }
            y = row(paper, lines, widths, y);
        }
    }

    /** The cells of a row in as many lines as their columns make of them. */
    private static List<List<String>> lines(Paper paper, List<String> cells, float[] widths)
            throws IOException {
        var lines = new ArrayList<List<String>>();
        for (int i = 0; i < cells.size(); i++) {
            lines.add(paper.wrapped(face(i), SMALL, widths[i] - 5, cells.get(i)));
        }
        return lines;
    }

    private static Face face(int column) {
        return column == 0 ? Face.BOLD : Face.REGULAR;
    }

    /**
     * Columns share the page by the widest that each has to hold; where that is too much, those
     * that are narrow keep what they need.
     */
    private static float[] widths(Paper paper, Listing listing) throws IOException {
        var widths = new float[listing.heading().size()];
        float narrow = 0;
        float wide = 0;
        for (int i = 0; i < widths.length; i++) {
            float widest = paper.width(Face.BOLD, SMALL, listing.heading().get(i));
            for (var row : listing.rows()) {
                widest = Math.max(widest, paper.width(face(i), SMALL, row.get(i)));
            }
            widths[i] = Math.min(widest, WIDEST) + GAP;
            if (widths[i] <= NARROW) {
                narrow += widths[i];
            } else {
                wide += widths[i];
            }
        }
        float room = Paper.WIDTH - 2 * Paper.MARGIN;
        boolean all = narrow + wide <= room || narrow > room / 2;
        for (int i = 0; i < widths.length; i++) {
            if (all) {
                widths[i] *= room / (narrow + wide);
            } else if (widths[i] > NARROW) {
                widths[i] *= (room - narrow) / wide;
            }
        }
        return widths;
    }

    private static float heading(Paper paper, List<String> names, float[] widths, float y)
            throws IOException {
        float x = Paper.MARGIN;
        for (int i = 0; i < names.size(); i++) {
            paper.text(Face.BOLD, SMALL, x, y, names.get(i));
            x += widths[i];
        }
        paper.line(Paper.MARGIN, y + 5, Paper.WIDTH - Paper.MARGIN, y + 5, 0.6f, 0x56616A);
        return y + LINE + 3;
    }

    /** A row; where the next one begins. */
    private static float row(Paper paper, List<List<String>> cells, float[] widths, float y)
            throws IOException {
        float x = Paper.MARGIN;
        int most = 1;
        for (int i = 0; i < cells.size(); i++) {
            var lines = cells.get(i);
            for (int j = 0; j < lines.size(); j++) {
                paper.fitted(face(i), SMALL, x, y + j * MORE, widths[i] - 5, lines.get(j));
            }
            most = Math.max(most, lines.size());
            x += widths[i];
        }
        float end = y + (most - 1) * MORE;
        paper.line(Paper.MARGIN, end + 5, Paper.WIDTH - Paper.MARGIN, end + 5, 0.4f, RULE);
        return end + LINE;
    }

    /** What is found, what the user lets stand and why, and the rules of the house. */
    public static byte[] findings(Assessment assessment, Work work, UserUnits units)
            throws IOException {
        var design = assessment.design();
        try (var paper = new Paper(Words.of("sheet.findings"), subtitle(design))) {
            new FindingSheet(paper, new Speech(design, units)).findings(assessment, work);
            return paper.finish();
        }
    }

    /** How some figures were reached. */
    public static byte[] workings(
            Design design, String title, List<Working> workings, UserUnits units)
            throws IOException {
        try (var paper = new Paper(title, subtitle(design))) {
            new FindingSheet(paper, new Speech(design, units)).workings(workings, units);
            return paper.finish();
        }
    }

    /** The paths of the whole vehicle, a circuit on each page. */
    public static byte[] paths(Design design, List<Diagram> diagrams) throws IOException {
        try (var paper = new Paper(Words.of("sheet.paths"), subtitle(design))) {
            paths(paper, design, diagrams);
            return paper.finish();
        }
    }

    /** The same from the head of a page on. */
    static void paths(Paper paper, Design design, List<Diagram> diagrams) throws IOException {
        for (int i = 0; i < diagrams.size(); i++) {
            if (i > 0) {
                paper.newPage();
            }
            var circuit = design.circuit(diagrams.get(i).circuit());
            paper.text(
                    Face.BOLD,
                    12,
                    Paper.MARGIN,
                    Paper.TOP,
                    Words.of("whole.title", circuit.number(), circuit.name()));
            new PathSheet(paper, design, diagrams.get(i)).draw();
        }
    }

    /** The path of a circuit as it is drawn on the screen, everything at rest. */
    public static byte[] path(Design design, Diagram diagram) throws IOException {
        try (var paper =
                new Paper(
                        circuitTitle("sheet.path", design, diagram.circuit()), subtitle(design))) {
            new PathSheet(paper, design, diagram).draw();
            return paper.finish();
        }
    }

    /**
     * The test run of a circuit with the latest readings, and empty boxes for those still to be
     * taken.
     */
    public static byte[] bench(Job job, BenchPlan plan, UserUnits units) throws IOException {
        return BenchSheet.of(
                job, plan, units, circuitTitle("sheet.bench", job.design(), plan.circuit()));
    }
}
