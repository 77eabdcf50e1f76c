package aficion.files.sheet;

import static aficion.files.sheet.PdfText.text;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.charge.Balance;
import aficion.charge.Situation;
import aficion.charge.Storage;
import aficion.files.DemoJobs;
import aficion.gauge.Correction;
import aficion.gauge.Needle;
import aficion.ignite.Ignition;
import aficion.job.Cap;
import aficion.job.Fill;
import aficion.job.Job;
import aficion.job.Pickup;
import aficion.job.Pulleys;
import aficion.job.SourceKind;
import aficion.job.Sums;
import aficion.job.Usage;
import aficion.netlist.Netlist;
import aficion.plan.Plan;
import aficion.plan.Task;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.UserUnits;
import aficion.shape.Chords;
import aficion.solve.Solver;
import aficion.words.GaugeWords;
import aficion.words.PowerWords;
import aficion.words.ShapeWords;
import aficion.words.SparkWords;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the sums around a design say, on paper and in words. */
class SumSheetsTest {
    private static final UserUnits UNITS = UserUnits.METRIC;

    private static Job demo(String name) {
        return DemoJobs.find(name).orElseThrow();
    }

    /** A page for each situation, then battery, ignition, gauges: nothing is left out. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void everySumOfAJobIsOnPaper(String name) throws IOException {
        var job = demo(name);
        var text = text(PowerSheet.of(job, UNITS));

        for (var situation : Situation.of(job.design(), job.work().sums())) {
            // letters that are set as one are not read back
            assertThat(text).contains(PowerWords.name(situation).split("ff")[0]);
        }
        for (var needle : Needle.of(job.design())) {
            assertThat(text).contains(GaugeWords.name(needle));
        }
        assertThat(text).contains("Never part the battery").doesNotContain("?");
        if (Ignition.of(job.design()).isPresent()) {
            assertThat(text).contains("Static timing");
        }
        job.work().sums().cap().ifPresent(_ -> assertThat(text).contains("Half a turn out"));
    }

    @Test
    void aBalanceIsWrittenAsFiguresAndAsAPlot() throws IOException {
        var job = demo("roadster");
        var night = Situation.find(job.design(), Situation.WET_NIGHT).orElseThrow();
        var balance = Balance.of(job.design(), night, job.work().sums());
        var csv = new StringBuilder();
        PowerSheet.writeCsv(balance, csv);

        assertThat(csv.toString().lines())
                .hasSize(1 + balance.points().size())
                .first()
                .isEqualTo("rpm,source_amps,load_amps,net_amps,battery_volts");
        assertThat(csv.toString().lines().skip(1))
                .allSatisfy(line -> assertThat(line.split(",")).hasSize(5));
        assertThat(PowerSheet.svg(job.design(), balance, UNITS))
                .contains("polygon", "idle 800", "cruise 3000", "source can give");
    }

    /** The roadster's panel is 220 mm wide and 60 high, whatever writes it. */
    @Test
    void shapesAreWrittenAtTheirOwnSize() throws IOException {
        var all = ShapeFiles.of(demo("roadster"), UNITS);

        assertThat(all)
                .extracting(ShapeFiles.Named::name)
                .containsExactly("tape", "shaft", "panel-switch-panel");
        var panel = all.getLast().files();
        assertThat(panel.svg()).contains("width=\"220mm\"").contains("height=\"60mm\"");
        assertThat(panel.dxf()).contains("CIRCLE").contains("220.0000").contains("14.2500");
        try (var document = Loader.loadPDF(panel.whole())) {
            var box = document.getPage(0).getMediaBox();
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat((double) box.getWidth() / 72 * 25.4)
                    .isCloseTo(220, org.assertj.core.api.Assertions.within(0.1));
        }
        assertThat(text(panel.tiles(PaperFormat.A4))).contains("100 mm", "socket  28.5 mm");
        // once round 150 mm is 471 mm: two sheets of A4, lying
        try (var document = Loader.loadPDF(all.getFirst().files().tiles(PaperFormat.A4))) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
        }
        assertThat(ShapeFiles.of(demo("tractor"), UNITS)).isEmpty();
    }

    @Test
    void anIgnitionSaysWhatItDoes() {
        var words = new SparkWords(UNITS);
        var ignition = Ignition.of(demo("roadster").design()).orElseThrow();

        assertThat(words.now(ignition))
                .anySatisfy(line -> assertThat(line).contains("a steady 4.7 A"))
                .anySatisfy(line -> assertThat(line).contains("6.4 A with the ballast bypassed"))
                .anySatisfy(line -> assertThat(line).contains("4 cylinders, closed 60 %"));
        var same = ignition.against(ignition.primary(), ignition.running());
        assertThat(words.judged(same)).contains("+0.0 %").contains("As good as");
        var bare = ignition.primary().behind(new Ohms(0));
        assertThat(words.judged(ignition.against(bare, ignition.running())))
                .contains("+100.0 %")
                .contains("Too much for what breaks it");
        // 14.2/3.6 − 1.5 = 2.44 Ω
        var working = words.ballast(ignition, new Amps(3.6));
        assertThat(UNITS.print(working.result())).isEqualTo("2.44 \u03a9");
        assertThat(working.givens()).hasSize(4);
        assertThat(words.cap(new Cap(List.of(1, 3, 4, 2), true, 1)))
                .isEqualTo("tower 1: 1 \u00b7 tower 2: 3 \u00b7 tower 3: 4 \u00b7 tower 4: 2");
        assertThat(words.marks(demo("roadster").work().sums().damper().orElseThrow()))
                .hasSize(2)
                .first()
                .asString()
                .contains("6.5 mm round the rim");
        assertThat(SparkWords.timing(Optional.of(ignition)))
                .hasSize(10)
                .anySatisfy(step -> assertThat(step).startsWith("Points set to their gap"));
    }

    @Test
    void aGaugeSaysWhatItShows() {
        var design = demo("roadster").design();
        var words = new GaugeWords(design, UNITS);
        var needle = Needle.of(design).getFirst();

        // the roadster's sender has no earth yet
        assertThat(words.now(needle))
                .anySatisfy(line -> assertThat(line).contains("no current flows through it"))
                .anySatisfy(line -> assertThat(line).contains("it can be believed"))
                .anySatisfy(line -> assertThat(line).contains("blinks: that is right"));
        assertThat(words.correction(Correction.best(needle)))
                .isEqualTo("Nothing is to be corrected.");
        // (240 − 136.5)/207 = 50 %
        assertThat(words.fill(needle, new Fill(25, new Ohms(136.5))))
                .isEqualTo("25: 137 \u03a9, needle at 50 %");
        assertThat(words.meter()).startsWith("No ammeter");
        var tractor = demo("tractor").design();
        assertThat(new GaugeWords(tractor, UNITS).meter())
                .isEqualTo("The ammeter of 30.0 A may carry what the source gives, 22.0 A.");
        var running = Situation.find(design, Situation.DAY).orElseThrow().conditions();
        var table = aficion.bench.WarningLamps.of(new Solver(Netlist.of(design)), running);
        assertThat(words.lamps(table))
                .hasSameSizeAs(table.rows().keySet())
                .anySatisfy(lamp -> {
                    assertThat(lamp.name()).isEqualTo("charge lamp");
                    assertThat(lamp.proof()).isEqualTo("proves itself with the key");
                    assertThat(lamp.fed()).contains("alternator");
                    assertThat(lamp.diode()).isEqualTo("none");
                });
    }

    @Test
    void shapesSayHowTheyAreSetOut() {
        var words = new ShapeWords(UNITS);
        var pickup = new Pickup(new Metres(0.06), 4, new Metres(0.62), new Ratio(3.9));
        var pulleys =
                new Pulleys(
                        new Metres(0.165), new Metres(0.06), Optional.of(new Metres(0.3)), false);

        assertThat(words.pulses(pickup)).startsWith("8.01 pulses a metre, 111.2 a second");
        assertThat(words.chord(pickup).result().value())
                .isCloseTo(0.0424, org.assertj.core.api.Assertions.within(0.0001));
        assertThat(ShapeWords.striking(Chords.of(new Metres(0.06), 4)))
                .containsExactly(
                        "Mark 2 from mark 1, onwards",
                        "Mark 3 from mark 1, backwards",
                        "Mark 4 from mark 2, onwards");
        assertThat(words.ratio(pulleys, new Rpm(750)).steps().getFirst().value().value())
                .isCloseTo(2062.5, org.assertj.core.api.Assertions.within(0.1));
        assertThat(words.belt(pulleys)).contains("wrapped 160\u00b0");
        assertThat(
                        words.belt(
                                new Pulleys(
                                        new Metres(0.1), new Metres(0.1), Optional.empty(), true)))
                .startsWith("Note how far");
    }

    @Test
    void powerIsSaidInTheWordsOfTheTrade() {
        var job = demo("motorcycle");
        var words = new PowerWords(UNITS);
        var usage = new Usage("rally", Map.of("key", "run"), List.of(), true, new Celsius(20));
        var sums = Sums.NONE.with(usage);
        var own = Situation.find(job.design(), sums, "rally").orElseThrow();
        var balance = Balance.of(job.design(), own, sums);
        var point = balance.cruise().orElseThrow();

        assertThat(PowerWords.name(own)).isEqualTo("rally");
        assertThat(words.room(balance))
                .contains("room for accessories " + UNITS.print(point.room()));
        assertThat(words.hour(balance)).startsWith("An hour at idle");
        assertThat(
                        words.brief(
                                new SourceKind.Flywheel(
                                        SourceKind.Flywheel.Winding.THREE_PHASE,
                                        new Amps(15),
                                        new Rpm(5000))))
                .isEqualTo("15.0 A, three-phase");
        var roadster = demo("roadster").design();
        var storage = Storage.of(roadster, Situation.of(roadster));
        assertThat(words.storage(storage, roadster))
                .hasSize(1 + storage.between().size())
                .first()
                .asString()
                .startsWith("In frost the starter takes 190.5 A");
    }

    /** The roadster's cap and panel were noted: both are lines of its plan. */
    @Test
    void whatIsNotedForSumsIsALineOfThePlan() {
        var plan = Plan.of(demo("roadster"));

        assertThat(plan.find("timing").orElseThrow().after())
                .extracting(Task.Before::key)
                .allMatch(key -> key.startsWith("prove/"));
        assertThat(plan.find("panel/switch panel").orElseThrow().kind()).isEqualTo(Task.Kind.PANEL);
        assertThat(plan.find("road").orElseThrow().after())
                .extracting(Task.Before::key)
                .contains("timing");
        assertThat(Plan.of(demo("tractor")).find("timing")).isEmpty();
    }
}
