package aficion.words;

import aficion.ignite.Ignition;
import aficion.ignite.Ignition.Judged;
import aficion.ignite.Marks;
import aficion.ignite.Primary;
import aficion.job.Cap;
import aficion.job.ControlKind;
import aficion.job.Damper;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.UserUnits;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Says how an ignition does: its coil, another coil, ballast, cap, marks, static timing. */
public final class SparkWords {
    private static final double MILLI = 1000;
    private static final double PERCENT = 100;

    private final UserUnits units;

    public SparkWords(UserUnits units) {
        this.units = units;
    }

    /** What is there: coils, ballast, contacts. */
    public List<String> now(Ignition ignition) {
        var said = new ArrayList<String>();
        var primary = ignition.primary();
        said.add(
                Words.of(
                        "spark.coil",
                        ignition.coils().size(),
                        units.print(primary.ohms()),
                        units.print(primary.henries()),
                        units.print(primary.ballast())));
        if (ignition.discharges()) {
            said.add(Words.of("spark.discharge"));
            return said;
        }
        var steady = primary.steady(ignition.running());
        said.add(
                Words.of(
                        "spark.runs",
                        units.print(ignition.running()),
                        units.print(steady),
                        milli(primary.joules(steady))));
        said.add(
                Words.of(
                        "spark.starts",
                        units.print(ignition.cranking()),
                        units.print(ignition.started(true)),
                        units.print(ignition.started(false))));
        said.add(
                Words.of(
                        "spark.contacts",
                        ignition.breaker().map(part -> part.name()).orElse(Words.of("spark.none")),
                        ignition.cylinders(),
                        Math.round(PERCENT * ignition.dwell()),
                        ignition.limit().map(units::print).orElse("\u2013")));
        return said;
    }

    /** Another coil against it, in words. */
    public String judged(Judged judged) {
        return Words.of(
                "spark.judged",
                units.print(judged.now()),
                units.print(judged.then()),
                signed(PERCENT * judged.change()),
                milli(judged.joulesNow()),
                milli(judged.joulesThen()),
                units.print(judged.warmth()),
                Words.of("spark.verdict", judged.verdict()),
                judged.limit().map(units::print).orElse("\u2013"));
    }

    private static String signed(double value) {
        return String.format(Locale.ROOT, "%+.1f %%", value);
    }

    private static String milli(double joules) {
        return Math.round(MILLI * joules) + " mJ";
    }

    /** The ballast that leaves a current, and what it turns into warmth. */
    public Working ballast(Ignition ignition, Amps wanted) {
        var primary = ignition.primary();
        var ohms = primary.ballast(ignition.running(), wanted);
        var positive = new Ohms(Math.max(0, ohms.value()));
        return new Working(
                Working.Topic.BALLAST,
                "R = U/I \u2212 R\u2081; P = I\u00b2\u00b7R\u00b7d",
                List.of(
                        new Given("U", ignition.running(), Origin.TABLE),
                        new Given("I", wanted, Origin.JOB),
                        new Given("R\u2081", primary.coils(), Origin.JOB),
                        new Given("d", new Ratio(ignition.dwell()), Origin.JOB)),
                List.of(
                        new Step("P", Primary.warmth(positive, wanted, ignition.dwell())),
                        new Step("R", ohms)),
                Optional.empty(),
                Words.of("source.ohm"));
    }

    /** Where each plug lead goes, tower by tower. */
    public String cap(Cap cap) {
        var cylinders = cap.cylinders();
        return IntStream.range(0, cylinders.size())
                .mapToObj(i -> Words.of("spark.tower", i + 1, cylinders.get(i)))
                .collect(Collectors.joining(" \u00b7 "));
    }

    /** How far round each mark is. */
    public List<String> marks(Damper damper) {
        return damper.degrees().stream()
                .map(degrees ->
                        Words.of(
                                "spark.mark",
                                degrees,
                                units.fine(Marks.arc(damper.diameter(), Math.abs(degrees))),
                                Words.of(degrees < 0 ? "spark.after" : "spark.before")))
                .toList();
    }

    /** The steps of static timing, each with its check, for the contacts that are there. */
    public static List<String> timing(Optional<Ignition> ignition) {
        boolean points =
                ignition.flatMap(Ignition::breaker)
                        .map(part -> part.kind() instanceof ControlKind.Points)
                        .orElse(true);
        var steps = new ArrayList<String>();
        for (var step : List.of("off", "plug", "compression", "mark", "rotor")) {
            steps.add(Words.of("timing." + step));
        }
        steps.add(Words.of(points ? "timing.points" : "timing.trigger"));
        for (var step : List.of("past", "gear", "lead", "run")) {
            steps.add(Words.of("timing." + step));
        }
        return steps;
    }
}
