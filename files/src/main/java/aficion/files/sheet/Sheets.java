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
import java.util.List;

/** Printed sheets: each returns the bytes of a PDF file. */
public final class Sheets {
    private static final float SMALL = 9.5f;
    private static final float WIDEST = 240;
    private static final float GAP = 8;
    private static final int RULE = 0xDAD4C6;
    private static final float LINE = 17;

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
        var widths = new float[] {46, 62, 62, 104, 66, 96, 160, 170};
        try (var paper = new Paper(Words.of("sheet.schedule"), subtitle(assessment.design()))) {
            float y = heading(paper, ScheduleTable.heading(), widths, Paper.TOP + 10);
            for (var line : ScheduleTable.lines(assessment, units)) {
                if (y > Paper.BOTTOM) {
                    paper.newPage();
                    y = heading(paper, ScheduleTable.heading(), widths, Paper.TOP + 10);
                }
                row(paper, line.cells(), widths, y);
                y += LINE;
            }
            return paper.finish();
        }
    }

    /** A list, as many pages as it takes. */
    public static byte[] listing(Design design, Listing listing) throws IOException {
        try (var paper = new Paper(Words.of("make.tab." + listing.name()), subtitle(design))) {
            var widths = widths(paper, listing);
            float y = heading(paper, listing.heading(), widths, Paper.TOP + 10);
            for (var row : listing.rows()) {
                if (y > Paper.BOTTOM) {
                    paper.newPage();
                    y = heading(paper, listing.heading(), widths, Paper.TOP + 10);
                }
                row(paper, row, widths, y);
                y += LINE;
            }
            return paper.finish();
        }
    }

    /** Columns share the page by the widest that each has to hold. */
    private static float[] widths(Paper paper, Listing listing) throws IOException {
        var widths = new float[listing.heading().size()];
        float sum = 0;
        for (int i = 0; i < widths.length; i++) {
            float widest = paper.width(Face.BOLD, SMALL, listing.heading().get(i));
            for (var row : listing.rows()) {
                widest = Math.max(widest, paper.width(Face.REGULAR, SMALL, row.get(i)));
            }
            widths[i] = Math.min(widest, WIDEST) + GAP;
            sum += widths[i];
        }
        for (int i = 0; i < widths.length; i++) {
            widths[i] *= (Paper.WIDTH - 2 * Paper.MARGIN) / sum;
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

    private static void row(Paper paper, List<String> cells, float[] widths, float y)
            throws IOException {
        float x = Paper.MARGIN;
        for (int i = 0; i < cells.size(); i++) {
            paper.fitted(
                    i == 0 ? Face.BOLD : Face.REGULAR, SMALL, x, y, widths[i] - 5, cells.get(i));
            x += widths[i];
        }
        paper.line(Paper.MARGIN, y + 5, Paper.WIDTH - Paper.MARGIN, y + 5, 0.4f, RULE);
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
            return paper.finish();
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
