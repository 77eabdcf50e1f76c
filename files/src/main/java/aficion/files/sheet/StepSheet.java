package aficion.files.sheet;

import aficion.forming.Face;
import aficion.forming.Loom;
import aficion.job.Job;
import aficion.job.JoinKind.Half;
import aficion.job.Wire;
import aficion.make.EndWork;
import aficion.make.Making;
import aficion.make.Making.Step;
import aficion.make.Making.WireWork;
import aficion.quantity.UserUnits;
import aficion.stock.Cutting;
import aficion.stock.Stock;
import aficion.words.Speech;
import aficion.words.StepWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The steps of a loom in large type, wire by wire, each with a box to tick. */
public final class StepSheet {
    private static final float LINE = 14;
    private static final float HEAD = 44;
    private static final float BOX = 8;

    /** Points for a unit of the picture of a connector. */
    private static final float FACE = 0.7f;

    private static final float NAME = 92;
    private static final float COLUMN = (Paper.WIDTH - 2 * Paper.MARGIN) / 2;

    private final Job job;
    private final Speech speech;
    private final StepWords words;

    public StepSheet(Job job, Stock stock, UserUnits units) {
        this.job = job;
        this.speech = new Speech(job.design(), units);
        var cutting = Cutting.of(job.design(), job.work(), stock);
        this.words = new StepWords(job.design(), stock, cutting, units);
    }

    /** The steps of the wires of a loom. */
    public byte[] of(Loom loom) throws IOException {
        return of(
                Words.of("sheet.steps", loom.number()),
                new LinkedHashSet<>(loom.wires(job.design())));
    }

    /** The steps of the wires that ride no loom; empty where all do. */
    public Optional<byte[]> apart(List<Loom> looms) throws IOException {
        var left = Loom.apart(job.design(), looms);
        return left.isEmpty()
                ? Optional.empty()
                : Optional.of(of(Words.of("sheet.steps.apart"), new LinkedHashSet<>(left)));
    }

    private byte[] of(String title, Set<Wire> wires) throws IOException {
        try (var paper = new Paper(title, Sheets.subtitle(job.design()))) {
            float y = Paper.TOP + 14;
            for (var work : Making.of(job.design()).wires()) {
                if (wires.contains(work.wire())) {
                    if (y + HEAD + LINE * lines(work) + faceRoom(work) > Paper.BOTTOM) {
                        paper.newPage();
                        y = Paper.TOP + 14;
                    }
                    y = wire(paper, work, y) + 6;
                }
            }
            return paper.finish();
        }
    }

    /** How many lines the fuller column of a wire has. */
    private static long lines(WireWork work) {
        long first =
                work.steps().stream()
                        .filter(step -> step.end().map(work.ends()::indexOf).orElse(0) == 0)
                        .count();
        return Math.max(first, work.steps().size() - first);
    }

    private float wire(Paper paper, WireWork work, float top) throws IOException {
        var wire = work.wire();
        float y = top + 6;
        paper.text(Typefaces.Face.BOLD, 17, Paper.MARGIN, y, wire.number());
        paper.text(
                Typefaces.Face.REGULAR,
                11,
                Paper.MARGIN + 70,
                y,
                speech.longColour(wire.colour()) + ", " + speech.size(wire.size()));
        paper.text(Typefaces.Face.BOLD, 17, Paper.MARGIN + 330, y, speech.say(work.cut().cut()));
        paper.fitted(Typefaces.Face.REGULAR, 10, Paper.MARGIN + 420, y, 340, words.leads(work));
        y += 7;
        paper.line(Paper.MARGIN, y, Paper.WIDTH - Paper.MARGIN, y, 0.8f, PrintPen.INK);
        y += LINE - 1;
        int done = work.done(job.work());
        float[] at = {y, y};
        for (int i = 0; i < work.steps().size(); i++) {
            var step = work.steps().get(i);
            int side = step.end().map(work.ends()::indexOf).orElse(0);
            step(paper, work, step, new Place(side, at[side]), i < done);
            at[side] += LINE;
        }
        for (int side = 0; side < work.ends().size(); side++) {
            at[side] += face(paper, work.ends().get(side), new Place(side, at[side]));
        }
        return Math.max(at[0], at[1]);
    }

    /** The connector that an end goes into, from the wire side, its cavity in ink; its height. */
    private float face(Paper paper, EndWork end, Place at) throws IOException {
        var face = face(end);
        if (face.isPresent()) {
            var marks = face.get().marks(Optional.of(end.at().pin()));
            paper.scaled(
                    at.x() + NAME,
                    at.y - 2,
                    FACE,
                    page -> new PaperMarks(paper.faces(), page, FACE).draw(marks));
        }
        return room(face);
    }

    private Optional<Face> face(EndWork end) {
        return Face.of(job.design(), job.design().part(end.at().part()), Half.of(end.at().pin()));
    }

    private static float room(Optional<Face> face) {
        return face.map(each -> (float) (FACE * each.high()) + 6).orElse(0f);
    }

    private float faceRoom(WireWork work) {
        float most = 0;
        for (var end : work.ends()) {
            most = Math.max(most, room(face(end)));
        }
        return most;
    }

    /** A line in the column of an end. */
    private record Place(int side, float y) {
        float x() {
            return Paper.MARGIN + side * COLUMN;
        }
    }

    private void step(Paper paper, WireWork work, Step step, Place at, boolean done)
            throws IOException {
        float x = at.x();
        paper.box(x, at.y + 1, BOX, done);
        paper.fitted(
                Typefaces.Face.BOLD, 10.5f, x + 16, at.y, NAME - 18, Words.of("act", step.act()));
        paper.fitted(
                Typefaces.Face.REGULAR,
                10.5f,
                x + NAME,
                at.y,
                COLUMN - NAME - 8,
                words.says(work, step));
    }
}
