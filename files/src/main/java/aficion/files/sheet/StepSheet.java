package aficion.files.sheet;

import aficion.files.sheet.Typefaces.Face;
import aficion.forming.Loom;
import aficion.job.Job;
import aficion.job.Wire;
import aficion.make.Making;
import aficion.make.Making.Step;
import aficion.make.Making.WireWork;
import aficion.quantity.UserUnits;
import aficion.stock.Stock;
import aficion.words.Speech;
import aficion.words.StepWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.List;
import java.util.Optional;

/** The steps of a loom in large type, wire by wire, each with a box to tick. */
public final class StepSheet {
    private static final float LINE = 17;
    private static final float HEAD = 40;
    private static final float BOX = 9;
    private static final float NAME = 130;

    private final Job job;
    private final Speech speech;
    private final StepWords words;

    public StepSheet(Job job, Stock stock, UserUnits units) {
        this.job = job;
        this.speech = new Speech(job.design(), units);
        this.words = new StepWords(job, stock, units);
    }

    /** The steps of the wires of a loom. */
    public byte[] of(Loom loom) throws IOException {
        return of(Words.of("sheet.steps", loom.number()), loom.wires(job.design()));
    }

    /** The steps of the wires that ride no loom; empty where all do. */
    public Optional<byte[]> apart(List<Loom> looms) throws IOException {
        var design = job.design();
        var left =
                design.wires().stream()
                        .filter(wire ->
                                looms.stream().noneMatch(loom -> loom.wires(design).contains(wire)))
                        .toList();
        return left.isEmpty()
                ? Optional.empty()
                : Optional.of(of(Words.of("sheet.steps.apart"), left));
    }

    private byte[] of(String title, List<Wire> wires) throws IOException {
        try (var paper = new Paper(title, Sheets.subtitle(job.design()))) {
            float y = Paper.TOP + 14;
            for (var work : Making.of(job.design()).wires()) {
                if (wires.contains(work.wire())) {
                    if (y + HEAD + LINE * work.steps().size() > Paper.BOTTOM
                            && y > Paper.TOP + 14) {
                        paper.newPage();
                        y = Paper.TOP + 14;
                    }
                    y = wire(paper, work, y) + 10;
                }
            }
            return paper.finish();
        }
    }

    private float wire(Paper paper, WireWork work, float top) throws IOException {
        var wire = work.wire();
        float y = top + 6;
        paper.text(Face.BOLD, 17, Paper.MARGIN, y, wire.number());
        paper.text(
                Face.REGULAR,
                11,
                Paper.MARGIN + 70,
                y,
                speech.longColour(wire.colour()) + ", " + speech.size(wire.size()));
        paper.text(Face.BOLD, 17, Paper.MARGIN + 330, y, speech.say(work.cut().cut()));
        paper.fitted(Face.REGULAR, 10, Paper.MARGIN + 420, y, 340, words.leads(work));
        y += 7;
        paper.line(Paper.MARGIN, y, Paper.WIDTH - Paper.MARGIN, y, 0.8f, PrintPen.INK);
        y += LINE - 1;
        int done = work.done(job.work());
        for (int i = 0; i < work.steps().size(); i++) {
            if (y > Paper.BOTTOM) {
                paper.newPage();
                y = Paper.TOP + 14;
            }
            step(paper, work, work.steps().get(i), y, i < done);
            y += LINE;
        }
        return y;
    }

    private void step(Paper paper, WireWork work, Step step, float y, boolean done)
            throws IOException {
        float x = Paper.MARGIN;
        float bottom = y + 1;
        paper.line(x, bottom, x + BOX, bottom, 0.8f, PrintPen.INK);
        paper.line(x, bottom - BOX, x + BOX, bottom - BOX, 0.8f, PrintPen.INK);
        paper.line(x, bottom, x, bottom - BOX, 0.8f, PrintPen.INK);
        paper.line(x + BOX, bottom, x + BOX, bottom - BOX, 0.8f, PrintPen.INK);
        if (done) {
            paper.line(x, bottom, x + BOX, bottom - BOX, 1.2f, PrintPen.INK);
        }
        var where = step.end().map(end -> end.at().toString()).orElse("");
        paper.fitted(Face.BOLD, 11, x + 20, y, NAME - 24, Words.of("act", step.act()));
        paper.fitted(Face.REGULAR, 10, x + NAME, y, 80, where);
        paper.fitted(
                Face.REGULAR,
                11,
                x + NAME + 84,
                y,
                Paper.WIDTH - 2 * Paper.MARGIN - NAME - 84,
                words.says(work, step));
    }
}
