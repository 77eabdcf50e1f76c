package aficion.files.sheet;

import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.check.Findings;
import aficion.diagram.Diagram;
import aficion.files.sheet.Listings.Kind;
import aficion.files.sheet.Typefaces.Face;
import aficion.harness.Dress;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Diary;
import aficion.job.Job;
import aficion.job.Photograph;
import aficion.job.Work.Stage;
import aficion.plan.Plan;
import aficion.quantity.UserUnits;
import aficion.route.RunLength;
import aficion.size.Assessment;
import aficion.stock.Shopping;
import aficion.stock.Stock;
import aficion.words.PlanWords;
import aficion.words.Speech;
import aficion.words.Words;
import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What is handed over with a vehicle, as one book: what was done and why, what changed, the path of
 * each circuit, schedule, tests, what stands accepted, unused leads, settings, open points, hours
 * and materials, cautions and what others are to confirm.
 */
public final class HandOver {
    private static final float PICTURE_WIDE = 240;
    private static final float PICTURE_HIGH = 170;
    private static final int A_ROW = 3;

    private final Job job;
    private final Assessment assessment;
    private final Stock stock;
    private final UserUnits units;
    private final Speech speech;

    /**
     * @param assessment of the job's design
     * @param stock with the user's prices
     */
    public HandOver(Job job, Assessment assessment, Stock stock, UserUnits units) {
        this.job = job;
        this.assessment = assessment;
        this.stock = stock;
        this.units = units;
        this.speech = new Speech(job.design(), units);
    }

    /**
     * The book.
     *
     * @param diagrams the path of each circuit
     * @param pictures the bytes of a photograph by its file; empty where it is missing
     */
    public byte[] book(List<Diagram> diagrams, Function<String, Optional<byte[]>> pictures)
            throws IOException {
        var design = job.design();
        try (var paper = new Paper(Words.of("handover.title"), Sheets.subtitle(design))) {
            story(new Prose(paper));
            photographs(paper, pictures);
            list(paper, Kind.CHANGES);
            list(paper, Kind.SURVEY);
            paper.section(Words.of("sheet.schedule"));
            Sheets.schedule(paper, assessment, units);
            body(paper);
            list(paper, Kind.TESTS);
            paper.section(Words.of("sheet.findings"));
            new FindingSheet(paper, speech).findings(assessment, job.work());
            if (!diagrams.isEmpty()) {
                paper.section(Words.of("sheet.paths"));
                Sheets.paths(paper, design, diagrams);
            }
            list(paper, Kind.DIARY);
            list(paper, Kind.CARD);
            return paper.finish();
        }
    }

    private void list(Paper paper, Kind kind) throws IOException {
        var listing = kind.of(job, stock, units);
        if (!listing.rows().isEmpty()) {
            paper.section(Words.of("make.tab." + listing.name()));
            Sheets.listing(paper, listing);
        }
    }

    private void story(Prose prose) throws IOException {
        vehicle(prose);
        entries(prose, "handover.symptoms", Diary.Sort.SYMPTOM, Diary.Sort.TRIED);
        entries(prose, "handover.decisions", Diary.Sort.DECISION);
        done(prose);
        standing(prose);
        unused(prose);
        settings(prose);
        open(prose);
        costs(prose);
        prose.head(Words.of("handover.others"));
        prose.entry(
                Words.of("rules.law"),
                job.design().rules().law().orElseGet(() -> Words.of("rules.law.unknown")));
        prose.entry("", Words.of("sheet.caution"));
    }

    /** The harness as it lies: every run that is ridden, its length, bundle and sleeve. */
    private void body(Paper paper) throws IOException {
        var ridden =
                job.design().riders().entrySet().stream()
                        .filter(each -> !each.getValue().isEmpty())
                        .map(Map.Entry::getKey)
                        .toList();
        if (ridden.isEmpty()) {
            return;
        }
        paper.section(Words.of("handover.body"));
        var prose = new Prose(paper);
        var plan = job.design().body().orElseThrow().plan();
        for (var run : ridden) {
            var dress = Dress.of(job.design(), run);
            var length = plan.length(plan.run(run));
            prose.entry(
                    speech.run(run),
                    Words.of(
                            length instanceof RunLength.Measured
                                    ? "handover.run"
                                    : "handover.run.assumed",
                            speech.say(length.metres()),
                            dress.riders().size(),
                            speech.say(dress.diameter())));
        }
    }

    private void vehicle(Prose prose) throws IOException {
        var design = job.design();
        var vehicle = design.vehicle();
        prose.head(Words.of("handover.vehicle"));
        prose.entry(Words.of("handover.name"), vehicle.name() + ", " + vehicle.year());
        prose.entry(
                Words.of("handover.system"),
                Words.of(
                        "top.vehicle",
                        Math.round(vehicle.system().value()),
                        Words.of("pole", vehicle.earthed())));
        prose.entry(
                Words.of("handover.size"),
                Words.of(
                        "handover.count",
                        design.circuits().size(),
                        design.parts().size(),
                        design.wires().size()));
    }

    private void entries(Prose prose, String head, Diary.Sort... sorts) throws IOException {
        var entries =
                job.work().diary().entries().stream()
                        .filter(entry -> List.of(sorts).contains(entry.sort()))
                        .toList();
        if (!entries.isEmpty()) {
            prose.head(Words.of(head));
        }
        for (var entry : entries) {
            prose.entry(
                    WorkListings.when(entry.at()),
                    (entry.why().isBlank()
                                    ? entry.words()
                                    : Words.of("handover.because", entry.words(), entry.why()))
                            .replace('\n', ' '));
        }
    }

    /** Every circuit: how far it is, and how long it took. */
    private void done(Prose prose) throws IOException {
        prose.head(Words.of("handover.done"));
        var circuits =
                job.design().circuits().stream()
                        .sorted(Comparator.comparingInt(Circuit::number))
                        .toList();
        for (var circuit : circuits) {
            var stages = job.work().done(circuit.id());
            var said =
                    stages.isEmpty()
                            ? Words.of("handover.nothing")
                            : String.join(
                                    ", ",
                                    stages.stream()
                                            .map(stage -> Words.of("stage", stage))
                                            .toList());
            int minutes = minutes(circuit.id());
            prose.entry(
                    circuit.number() + " " + circuit.name(),
                    minutes == 0
                            ? said
                            : Words.of("handover.hours", said, PlanWords.time(minutes)));
        }
        long changed =
                ChangeList.of(job).stream()
                        .filter(change -> change.sort() != Change.Sort.STAYS)
                        .count();
        if (changed > 0) {
            prose.entry("", Words.of("handover.changed", changed));
        }
    }

    private int minutes(CircuitId circuit) {
        return job.work().diary().entries().stream()
                .filter(entry -> entry.circuit().filter(circuit::equals).isPresent())
                .mapToInt(Diary.Entry::minutes)
                .sum();
    }

    private void standing(Prose prose) throws IOException {
        var judged = Findings.offered(assessment, job.work());
        if (!judged.standing().isEmpty()) {
            prose.head(Words.of("sheet.findings.standing", judged.standing().size()));
        }
        for (var standing : judged.standing()) {
            prose.entry(
                    speech.where(standing.finding().subject()),
                    speech.title(standing.finding())
                            + ". "
                            + Words.of("stand.because", standing.acceptance().reason()));
        }
    }

    private void unused(Prose prose) throws IOException {
        var leads = job.work().allUnused();
        if (!leads.isEmpty()) {
            prose.head(Words.of("make.tab.unused"));
        }
        for (var lead : leads) {
            prose.entry(
                    lead.name(),
                    Words.of("handover.unused", lead.where(), Words.of("unused", lead.done())));
        }
    }

    private void settings(Prose prose) throws IOException {
        var kits = job.work().survey().kits();
        boolean any = kits.stream().anyMatch(kit -> !kit.settings().isEmpty());
        if (any) {
            prose.head(Words.of("handover.settings"));
        }
        for (var kit : kits) {
            for (var setting : kit.settings()) {
                prose.entry(kit.name(), setting.name() + ": " + setting.value());
            }
        }
        entries(prose, "handover.set", Diary.Sort.SETTING);
    }

    /** What is left open: by the diary, in tests, in findings, in the plan. */
    private void open(Prose prose) throws IOException {
        prose.head(Words.of("handover.open"));
        for (var entry : job.work().diary().entries()) {
            if (entry.sort() == Diary.Sort.OPEN && !entry.closed()) {
                prose.entry(WorkListings.when(entry.at()), entry.words().replace('\n', ' '));
            }
        }
        var untested =
                job.design().circuits().stream()
                        .filter(circuit -> !job.work().done(circuit.id()).contains(Stage.TESTED))
                        .map(Circuit::name)
                        .toList();
        if (!untested.isEmpty()) {
            prose.entry(Words.of("handover.untested"), String.join(", ", untested));
        }
        int findings = Findings.offered(assessment, job.work()).open().size();
        if (findings > 0) {
            prose.entry(Words.of("handover.findings"), Words.of("sheet.findings.open", findings));
        }
        double left = Plan.of(job).left();
        prose.entry(
                Words.of("handover.left"),
                left == 0 ? Words.of("handover.all") : PlanWords.time(left));
    }

    private void costs(Prose prose) throws IOException {
        var diary = job.work().diary();
        prose.head(Words.of("handover.costs"));
        prose.entry(Words.of("handover.time"), PlanWords.time(diary.minutes()));
        var cost = diary.cost();
        if (cost.isPresent()) {
            var rate = diary.rate().orElseThrow();
            prose.entry(
                    Words.of("handover.work"),
                    Words.of("handover.rate", money(cost.get()), money(rate)));
        }
        var priced =
                Shopping.of(job.design(), job.work(), Stock.EMPTY).stream()
                        .flatMap(item -> Shopping.cost(item, stock).stream())
                        .toList();
        if (!priced.isEmpty()) {
            prose.entry(
                    Words.of("handover.materials"),
                    money(priced.stream().mapToDouble(each -> each).sum()));
        }
    }

    private static String money(double amount) {
        return String.format(Locale.ROOT, "%.2f", amount);
    }

    /** The photographs, three in a row; one that is missing says so. */
    private void photographs(Paper paper, Function<String, Optional<byte[]>> pictures)
            throws IOException {
        var all = job.work().survey().photographs();
        if (all.isEmpty()) {
            return;
        }
        paper.section(Words.of("handover.photographs"));
        float y = Paper.TOP;
        for (int i = 0; i < all.size(); i++) {
            int column = i % A_ROW;
            if (column == 0 && i > 0) {
                y += PICTURE_HIGH + 24;
            }
            if (y + PICTURE_HIGH + 14 > Paper.BOTTOM) {
                paper.newPage();
                y = Paper.TOP;
            }
            float x = Paper.MARGIN + column * (PICTURE_WIDE + 20);
            picture(paper, all.get(i), pictures, x, y);
        }
    }

    private static void picture(
            Paper paper,
            Photograph photograph,
            Function<String, Optional<byte[]>> pictures,
            float x,
            float y)
            throws IOException {
        var bytes = pictures.apply(photograph.file());
        var words = photograph.words();
        try {
            if (bytes.isPresent()) {
                paper.picture(bytes.get(), x, y, PICTURE_WIDE, PICTURE_HIGH);
            } else {
                words = Words.of("photograph.missing", words);
            }
        } catch (IllegalArgumentException | IOException undrawable) {
            words = Words.of("photograph.missing", words);
        }
        paper.fitted(Face.REGULAR, 9, x, y + PICTURE_HIGH + 12, PICTURE_WIDE, words);
    }
}
