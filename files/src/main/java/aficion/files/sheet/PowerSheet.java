package aficion.files.sheet;

import aficion.charge.Balance;
import aficion.charge.Drawn;
import aficion.charge.Situation;
import aficion.charge.Storage;
import aficion.files.sheet.Typefaces.Face;
import aficion.gauge.Correction;
import aficion.gauge.Needle;
import aficion.ignite.Ignition;
import aficion.job.Design;
import aficion.job.Job;
import aficion.plot.CapPicture;
import aficion.plot.Plot;
import aficion.quantity.UserUnits;
import aficion.words.GaugeWords;
import aficion.words.Plots;
import aficion.words.PowerWords;
import aficion.words.SparkWords;
import aficion.words.Words;
import java.io.IOException;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;

/**
 * The sums around a design on paper: source against loads in every situation, the battery, the
 * ignition with its plug leads and static timing, the gauges.
 */
public final class PowerSheet {
    private static final double WIDE = 700;
    private static final double HIGH = 270;
    private static final double CAP = 190;
    private static final double UNITS_A_MILLIMETRE = 4;
    private static final float ROOM = 285;

    private final Job job;
    private final Design design;
    private final UserUnits units;
    private final Plots plots;

    private PowerSheet(Job job, UserUnits units) {
        this.job = job;
        this.design = job.design();
        this.units = units;
        this.plots = new Plots(units);
    }

    /** The sheet. */
    public static byte[] of(Job job, UserUnits units) throws IOException {
        return new PowerSheet(job, units).bytes();
    }

    private byte[] bytes() throws IOException {
        var situations = Situation.of(design, job.work().sums());
        var title = Words.of("sheet.power");
        try (var paper = new Paper(title, Sheets.subtitle(design))) {
            for (int i = 0; i < situations.size(); i++) {
                if (i > 0) {
                    paper.section(title);
                }
                situation(paper, situations.get(i));
            }
            paper.section(Words.of("storage.title"));
            var prose = new Prose(paper);
            var words = new PowerWords(units);
            for (var line : words.storage(Storage.of(design, situations), design)) {
                prose.entry("", line);
            }
            prose.entry("", Words.of("power.caution"));
            var ignition = Ignition.of(design);
            if (ignition.isPresent()) {
                spark(paper, ignition.get());
            }
            for (var needle : Needle.of(design)) {
                needle(paper, needle);
            }
            return paper.finish();
        }
    }

    private void situation(Paper paper, Situation situation) throws IOException {
        var balance = Balance.of(design, situation, job.work().sums());
        var words = new PowerWords(units);
        paper.text(Face.BOLD, 12, Paper.MARGIN, Paper.TOP + 12, PowerWords.name(situation));
        float y = Paper.TOP + 20;
        if (situation.turns()) {
            picture(
                    paper,
                    plots.balance(
                            balance,
                            Optional.empty(),
                            Optional.empty(),
                            Balance.isInWatts(design.vehicle())),
                    y);
            y += ROOM;
        }
        var prose = new Prose(paper);
        prose.skip(y - Paper.TOP);
        prose.entry(
                "",
                situation.turns()
                        ? words.even(balance) + " " + words.fares(balance)
                        : words.still(balance) + ". " + words.fares(balance));
        var drawn = Drawn.of(design, situation, balance.speeds().cruise());
        var across =
                balance.cruise()
                        .filter(_ -> Balance.isInWatts(design.vehicle()))
                        .map(Balance.Point::battery);
        prose.entry(
                Words.of("power.loads"),
                drawn.stream()
                        .map(each ->
                                design.part(each.part()).name() + " " + words.drawn(each, across))
                        .collect(Collectors.joining("; ")));
    }

    private static void picture(Paper paper, Plot plot, float y) throws IOException {
        paper.scaled(
                Paper.MARGIN,
                y,
                1,
                page -> new PaperMarks(paper.faces(), page, 1).draw(plot.marks(WIDE, HIGH)));
    }

    /** The plot of a balance as SVG, a unit each 0.25 mm. */
    public static String svg(Design design, Balance balance, UserUnits units) {
        var plot =
                new Plots(units)
                        .balance(
                                balance,
                                Optional.empty(),
                                Optional.empty(),
                                Balance.isInWatts(design.vehicle()));
        return DrawingSvg.of(design, plot.marks(WIDE, HIGH), WIDE, HIGH, UNITS_A_MILLIMETRE);
    }

    private void spark(Paper paper, Ignition ignition) throws IOException {
        var words = new SparkWords(units);
        var sums = job.work().sums();
        paper.section(Words.of("sums.tab.spark"));
        float y = Paper.TOP + 6;
        if (!ignition.discharges()) {
            var top = Balance.speeds(design.vehicle(), sums).top();
            picture(paper, plots.rise(ignition, Optional.empty(), top), y);
            y += ROOM;
        }
        var prose = new Prose(paper);
        prose.skip(y - Paper.TOP);
        for (var line : words.now(ignition)) {
            prose.entry("", line);
        }
        if (sums.cap().isPresent()) {
            var cap = sums.cap().get();
            paper.section(Words.of("spark.cap"));
            for (int i = 0; i < 2; i++) {
                float x = Paper.MARGIN + i * 300;
                var marks = CapPicture.of(cap, CAP, i > 0);
                paper.text(
                        Face.BOLD,
                        11,
                        x,
                        Paper.TOP + 12,
                        Words.of(i > 0 ? "spark.cap.half" : "spark.cap.right"));
                paper.scaled(
                        x,
                        Paper.TOP + 20,
                        1,
                        page -> new PaperMarks(paper.faces(), page, 1).draw(marks));
            }
            var below = new Prose(paper);
            below.skip((float) CAP + 30);
            below.entry("", words.cap(cap));
        }
        paper.section(Words.of("spark.timing"));
        var steps = new Prose(paper);
        int number = 1;
        for (var step : SparkWords.timing(Optional.of(ignition))) {
            steps.entry(String.valueOf(number++), step);
        }
        for (var damper : sums.damper().stream().toList()) {
            for (var mark : words.marks(damper)) {
                steps.entry("", mark);
            }
        }
    }

    private void needle(Paper paper, Needle needle) throws IOException {
        var words = new GaugeWords(design, units);
        var best = Correction.best(needle);
        paper.section(GaugeWords.name(needle));
        picture(
                paper,
                plots.needle(needle, Optional.of(best.of(needle)).filter(_ -> best.helps())),
                Paper.TOP + 6);
        var prose = new Prose(paper);
        prose.skip(ROOM + 6);
        for (var line : words.now(needle)) {
            prose.entry("", line);
        }
        prose.entry("", words.correction(best));
        for (var fill : job.work().sums().fills(needle.sender().id())) {
            prose.entry("", words.fill(needle, fill));
        }
    }

    /**
     * Writes the balance of a situation as CSV: speed, amps of source, loads and battery, volts.
     */
    public static void writeCsv(Balance balance, Appendable out) throws IOException {
        var printer = CSVFormat.RFC4180.builder().setRecordSeparator("\n").get().print(out);
        printer.printRecord("rpm", "source_amps", "load_amps", "net_amps", "battery_volts");
        for (var point : balance.points()) {
            printer.printRecord(
                    Math.round(point.engine().value()),
                    point.source().value(),
                    point.load().value(),
                    point.net().value(),
                    point.battery().value());
        }
        printer.flush();
    }
}
