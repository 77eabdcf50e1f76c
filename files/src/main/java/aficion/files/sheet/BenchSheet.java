package aficion.files.sheet;

import aficion.bench.BenchPlan;
import aficion.bench.BenchPlan.Coverage;
import aficion.bench.TestStep;
import aficion.bench.WarningLamps;
import aficion.files.sheet.Typefaces.Face;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.Job;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.words.Speech;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The test run of a circuit on paper: what is looked at and measured without power as boxes to
 * tick, then points down and positions across with what is expected in each cell and room to write
 * what was read.
 */
final class BenchSheet {
    private static final float LINE = 14;
    private static final float SMALL = 8;
    private static final float PLAIN = 9;
    private static final float BOX = 8;
    private static final float NAMES = 100;
    private static final float CELL = 128;
    private static final float ROW = 18;
    private static final float GAP = 12;
    private static final int ACROSS = 5;
    private static final int BRASS = 0x8F5A08;
    private static final int PENCIL = 0x9A9A92;

    private final Job job;
    private final BenchPlan plan;
    private final Speech speech;
    private final Optional<BenchRun> run;
    private final Paper paper;
    private float y;

    private BenchSheet(Paper paper, Job job, BenchPlan plan, UserUnits units) {
        this.paper = paper;
        this.job = job;
        this.plan = plan;
        this.speech = new Speech(job.design(), units);
        this.run = job.work().latestRun(plan.circuit(), plan.setting());
        this.y = Paper.TOP + 10;
    }

    /** The sheet of a run, with what was read of it so far. */
    static byte[] of(Job job, BenchPlan plan, UserUnits units, String title) throws IOException {
        try (var paper = new Paper(title, Sheets.subtitle(job.design()))) {
            new BenchSheet(paper, job, plan, units).draw();
            return paper.finish();
        }
    }

    private void draw() throws IOException {
        who();
        for (var stage : TestStep.Stage.values()) {
            boxes(stage);
        }
        table();
        if (plan.lamps().isPresent()) {
            lamps(plan.lamps().get());
        }
        if (plan.coverage().isPresent()) {
            coverage(plan.coverage().get());
        }
    }

    private void who() throws IOException {
        paper.text(Face.BOLD, PLAIN, Paper.MARGIN, y, Words.of("bench.setting", plan.setting()));
        var by = run.flatMap(BenchRun::by).orElse("................................");
        paper.text(
                Face.REGULAR,
                PLAIN,
                Paper.MARGIN + 250,
                y,
                Words.of("sheet.bench.by", by, "................................"));
        y += LINE + 4;
    }

    private Optional<Reading> reading(TestStep step) {
        return run.flatMap(found -> found.reading(step.key()));
    }

    private void room(float needed) throws IOException {
        if (y + needed > Paper.BOTTOM) {
            paper.newPage();
            y = Paper.TOP + 10;
        }
    }

    /** The steps of a stage that are no reading in a position, side by side, each with a box. */
    private void boxes(TestStep.Stage stage) throws IOException {
        var steps =
                plan.steps().stream()
                        .filter(step -> step.stage() == stage && cell(step).isEmpty())
                        .toList();
        if (steps.isEmpty()) {
            return;
        }
        room(2 * LINE);
        paper.text(Face.BOLD, PLAIN, Paper.MARGIN, y, Words.of("bench.stage", stage));
        y += LINE;
        float x = Paper.MARGIN;
        for (var step : steps) {
            var text = words(step);
            float width = paper.width(Face.REGULAR, SMALL, text) + BOX + 2 * GAP;
            if (x > Paper.MARGIN && x + width > Paper.WIDTH - Paper.MARGIN) {
                x = Paper.MARGIN;
                y += LINE;
                room(LINE);
            }
            paper.box(x, y, BOX, isPassed(step));
            paper.fitted(
                    Face.REGULAR,
                    SMALL,
                    x + BOX + 4,
                    y,
                    Paper.WIDTH - Paper.MARGIN - x - BOX - 4,
                    text);
            x += width;
        }
        y += LINE + 4;
    }

    private boolean isPassed(TestStep step) {
        return reading(step)
                .filter(found ->
                        found.verdict() == BenchRun.Verdict.PASS
                                || found.verdict() == BenchRun.Verdict.NEAR)
                .isPresent();
    }

    /**
     * Short where the stage says what is done; with its figure and room to write where it has one.
     */
    private String words(TestStep step) {
        var what =
                switch (step.task()) {
                    case TestStep.LookAt(var part) -> speech.name(part);
                    case TestStep.Look(var wire) -> job.design().wire(wire).number();
                    case TestStep.Continuity(var wire) -> job.design().wire(wire).number();
                    case TestStep.Through _ ->
                            speech.task(step.task())
                                    + step.task()
                                            .state()
                                            .map(state -> " (" + speech.conditions(state) + ")")
                                            .orElse("");
                    case TestStep.Isolation(var at) -> at.toString();
                    case TestStep.Works(_, var state) ->
                            Words.of(
                                    "sheet.bench.works",
                                    speech.conditions(state),
                                    speech.task(step.task()));
                    case TestStep.Check _,
                            TestStep.ClipIn _,
                            TestStep.Leave _,
                            TestStep.Quiet _,
                            TestStep.AmpsIn _,
                            TestStep.VoltsAt _ ->
                            speech.task(step.task());
                };
        var figure =
                step.expected()
                        .map(_ -> " " + speech.expected(step.expected()) + "  " + measured(step))
                        .orElse("");
        var note = reading(step).flatMap(Reading::note).map(text -> " (" + text + ")").orElse("");
        return what + figure + note;
    }

    private String measured(TestStep step) {
        return reading(step).flatMap(Reading::value).map(UserUnits::plain).orElse("..........");
    }

    /** Where a reading stands in the table: its point and its position. */
    private record Cell(String point, Conditions position) {}

    private Optional<Cell> cell(TestStep step) {
        return switch (step.task()) {
            case TestStep.VoltsAt(var at, var state) -> Optional.of(new Cell(at.toString(), state));
            case TestStep.AmpsIn(var wire, var state) -> Optional.of(amps(wire, state));
            case TestStep.Quiet(var wire, var state) -> Optional.of(amps(wire, state));
            case TestStep.Look _,
                    TestStep.LookAt _,
                    TestStep.Continuity _,
                    TestStep.Through _,
                    TestStep.Isolation _,
                    TestStep.Works _,
                    TestStep.Check _,
                    TestStep.ClipIn _,
                    TestStep.Leave _ ->
                    Optional.empty();
        };
    }

    private Cell amps(WireId wire, Conditions state) {
        return new Cell(Words.of("sheet.bench.amps", job.design().wire(wire).number()), state);
    }

    private void table() throws IOException {
        Map<Cell, TestStep> cells = new LinkedHashMap<>();
        plan.steps().forEach(step -> cell(step).ifPresent(cell -> cells.putIfAbsent(cell, step)));
        var positions = new LinkedHashSet<Conditions>();
        cells.keySet().forEach(cell -> positions.add(cell.position));
        var all = List.copyOf(positions);
        for (int from = 0; from < all.size(); from += ACROSS) {
            block(cells, all.subList(from, Math.min(all.size(), from + ACROSS)));
        }
    }

    private void block(Map<Cell, TestStep> cells, List<Conditions> across) throws IOException {
        var points = new LinkedHashSet<String>();
        cells.keySet().stream()
                .filter(cell -> across.contains(cell.position))
                .forEach(cell -> points.add(cell.point));
        room(3 * LINE + 2 * ROW);
        heads(across);
        for (var point : points) {
            if (y + ROW > Paper.BOTTOM) {
                paper.newPage();
                y = Paper.TOP + 10;
                heads(across);
            }
            paper.fitted(Face.BOLD, PLAIN, Paper.MARGIN, y + 12, NAMES - 6, point);
            for (int i = 0; i < across.size(); i++) {
                var step = Optional.ofNullable(cells.get(new Cell(point, across.get(i))));
                if (step.isPresent()) {
                    cell(step.get(), Paper.MARGIN + NAMES + i * CELL);
                }
            }
            y += ROW;
            rule(across.size(), y, 0.4f);
        }
        y += LINE;
    }

    /** The positions over the columns, on as many lines as the longest takes. */
    private void heads(List<Conditions> across) throws IOException {
        var heads = new ArrayList<List<String>>();
        for (var position : across) {
            heads.add(paper.wrapped(Face.BOLD, SMALL, CELL - 6, speech.conditions(position)));
        }
        int lines = heads.stream().mapToInt(List::size).max().orElse(1);
        for (int i = 0; i < heads.size(); i++) {
            float at = y;
            for (var line : heads.get(i)) {
                paper.text(Face.BOLD, SMALL, Paper.MARGIN + NAMES + i * CELL + 3, at, line, BRASS);
                at += SMALL + 2;
            }
        }
        y += lines * (SMALL + 2);
        y -= 4;
        rule(across.size(), y, 0.8f);
    }

    private void rule(int columns, float at, float width) throws IOException {
        paper.line(
                Paper.MARGIN,
                at,
                Paper.MARGIN + NAMES + columns * CELL,
                at,
                width,
                width > 0.5f ? PrintPen.INK : PENCIL);
    }

    /** What is expected, and beside it what was read, or a line to write it on. */
    private void cell(TestStep step, float x) throws IOException {
        float half = CELL * 0.55f;
        paper.fitted(
                Face.REGULAR, SMALL, x + 3, y + 12, half - 3, speech.expected(step.expected()));
        var known = reading(step);
        if (known.isPresent()) {
            paper.fitted(
                    Face.BOLD,
                    PLAIN,
                    x + half,
                    y + 12,
                    CELL - half - 3,
                    Words.of(
                            "sheet.bench.read",
                            known.get()
                                    .value()
                                    .map(UserUnits::plain)
                                    .or(known.get()::note)
                                    .orElse(""),
                            Words.of("bench.verdict", known.get().verdict())));
        } else {
            paper.line(x + half, y + 13, x + CELL - 6, y + 13, 0.5f, PENCIL);
        }
        paper.line(x, y, x, y + ROW, 0.4f, PENCIL);
    }

    /** What every warning lamp shows, so that a dark one is not taken for a fault. */
    private void lamps(WarningLamps lamps) throws IOException {
        room(3 * LINE + lamps.rows().size() * LINE);
        paper.text(Face.BOLD, PLAIN, Paper.MARGIN, y, Words.of("bench.lamps"));
        y += LINE;
        int shown = Math.min(lamps.states().size(), ACROSS - 1);
        heads(lamps.states().subList(0, shown));
        for (var row : lamps.rows().entrySet()) {
            y += LINE;
            paper.fitted(Face.BOLD, SMALL, Paper.MARGIN, y, NAMES - 4, speech.name(row.getKey()));
            for (int i = 0; i < shown; i++) {
                paper.text(
                        Face.REGULAR,
                        SMALL,
                        Paper.MARGIN + NAMES + i * CELL + 3,
                        y,
                        Words.of("bench.lamp", row.getValue().get(i)));
            }
            paper.text(
                    Face.REGULAR,
                    SMALL,
                    Paper.MARGIN + NAMES + shown * CELL + 3,
                    y,
                    Words.of("bench.lamp.proof", lamps.proof(row.getKey())));
            y += 4;
        }
        y += LINE;
    }

    private void coverage(Coverage found) throws IOException {
        room(LINE);
        paper.text(
                Face.REGULAR,
                SMALL,
                Paper.MARGIN,
                y + 4,
                Words.of("bench.coverage", found.noticed(), found.noticed(), found.unnoticed()));
    }
}
