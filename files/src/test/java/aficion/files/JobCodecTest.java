package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.charge.AnotherSource;
import aficion.files.JobFileException.Damaged;
import aficion.files.JobFileException.Foreign;
import aficion.files.JobFileException.Newer;
import aficion.files.JobFileException.NewerField;
import aficion.files.JobFileException.TooMany;
import aficion.files.JobFileException.Trouble;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Verdict;
import aficion.job.Cap;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Damper;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.Diary;
import aficion.job.Fill;
import aficion.job.FoundBox;
import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Kit;
import aficion.job.LoadKind;
import aficion.job.OldLead;
import aficion.job.OutputCurve;
import aficion.job.Panel;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Photograph;
import aficion.job.Pickup;
import aficion.job.Probed;
import aficion.job.Pulleys;
import aficion.job.SourceKind;
import aficion.job.Speeds;
import aficion.job.Sums;
import aficion.job.Survey;
import aficion.job.Terminal;
import aficion.job.UnusedLead;
import aficion.job.Usage;
import aficion.job.Vehicle;
import aficion.job.WireColour;
import aficion.job.Work;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
import aficion.quantity.AmpereHours;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Farads;
import aficion.quantity.Henries;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class JobCodecTest {
    private static final String VERSION = "\"version\" : " + JobCodec.VERSION;

    private final Job job = DemoJobs.find("roadster").orElseThrow();
    private final Design demo = job.design();
    private final String text = JobCodec.write(job);

    private static Trouble trouble(String text) {
        return catchThrowableOfType(JobFileException.class, () -> JobCodec.read(text)).trouble();
    }

    private static Damaged damaged(String text) {
        var trouble = trouble(text);
        assertThat(trouble).isInstanceOf(Damaged.class);
        return (Damaged) trouble;
    }

    /** The line, from 1, in which a text stands. */
    private static int lineOf(String text, String wanted) {
        return (int) text.substring(0, text.indexOf(wanted)).lines().count();
    }

    @Test
    void aJobComesBackAsItWas() throws JobFileException {
        assertThat(JobCodec.read(text)).isEqualTo(job);
        assertThat(JobCodec.write(JobCodec.read(text))).isEqualTo(text);
    }

    /** Studs, slack, temperatures, ends of every sort: what the corpus states, the schema knows. */
    @Test
    void theCorpusComesBackAsItWas() throws JobFileException {
        for (var each : Corpus.cases()) {
            for (var design :
                    Stream.concat(Stream.of(each.design()), each.twin().stream()).toList()) {
                var written = JobCodec.write(Job.of(design));

                assertThat(JobCodec.read(written).design()).as(each.name()).isEqualTo(design);
                assertThat(violations(written)).as(each.name()).isEmpty();
            }
        }
    }

    /** Every kind of part, and a bench run, through the file and back. */
    @Test
    void everyKindComesBackAsItWas() throws JobFileException {
        var parts = new ArrayList<>(demo.parts());
        var kinds = allKinds();
        for (int i = 0; i < kinds.size(); i++) {
            parts.add(
                    new Part(
                            new PartId("N" + i),
                            "new \u2013 \"quoted\" \u00fc",
                            Zone.UNDERBODY,
                            Optional.empty(),
                            kinds.get(i)));
        }
        var at = Instant.parse("2026-11-25T09:30:00.123456789Z");
        var run =
                new BenchRun(
                        new CircuitId("5"),
                        BenchRun.Setting.STAND_INS,
                        Optional.of("A. Tester"),
                        at,
                        List.of(
                                new BenchRun.Reading(
                                        "volts H1.56b rest",
                                        Optional.of(12.1),
                                        Optional.of("12.3"),
                                        Verdict.NEAR,
                                        at,
                                        Optional.of("warm")),
                                new BenchRun.Reading(
                                        "quiet", Optional.of(0.1 + 0.2), Verdict.FAIL, at),
                                new BenchRun.Reading(
                                        "look w1", Optional.empty(), Verdict.PASS, at)));
        var tried = new WorkEdit.Try(parts.getFirst().id(), run.readings().getFirst());
        var full = tried.apply(new WorkEdit.KeepRun(run).apply(Job.of(demo.withParts(parts))));

        var written = JobCodec.write(full);

        assertThat(JobCodec.read(written)).isEqualTo(full);
        assertThat(violations(written)).isEmpty();
        assertThat(
                        full.design().parts().stream()
                                .<Object>map(part -> part.kind().getClass())
                                .distinct())
                .containsExactlyInAnyOrderElementsOf(
                        Arrays.stream(Kind.class.getPermittedSubclasses())
                                .flatMap(group -> Arrays.stream(group.getPermittedSubclasses()))
                                .<Object>map(kind -> kind)
                                .toList());
    }

    /** Those the demo does not have, and those with something optional, filled in. */
    private static List<Kind> allKinds() {
        var twelve = new Volts(12);
        var five = new Amps(5);
        return List.of(
                new LoadKind.Motor(
                        new Amps(6.5),
                        twelve,
                        Optional.of(new Ratio(3)),
                        Optional.of(LoadKind.Excitation.WOUND),
                        Optional.of(true)),
                new LoadKind.TwoSpeedMotor(five, new Amps(8), twelve, Optional.empty(), true),
                new LoadKind.WiperMotor("wiper", five, twelve, Optional.empty()),
                new JoinKind.Diode(new Amps(6)),
                new JoinKind.Capacitor(new Farads(2.2e-7)),
                new JoinKind.Connector(List.of("1", "2"), new Amps(15)),
                new JoinKind.Connector(
                        List.of("1", "2"),
                        new Amps(15),
                        Optional.of(new JoinKind.Housed("sealed-2", JoinKind.Half.B, true))),
                new JoinKind.Sender(
                        "oil",
                        new Ohms(10),
                        new Ohms(180),
                        Optional.of(
                                new JoinKind.Curve(
                                        List.of(
                                                new JoinKind.CurvePoint(
                                                        new Ratio(0.5), new Ohms(80))))),
                        Optional.of("10-180")),
                new ControlKind.Relay(
                        twelve,
                        new Ohms(85),
                        new Ratio(0.65),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.of(new Amps(20)),
                        Optional.of(ControlKind.Suppression.DIODE_TO_86)),
                new ControlKind.LatchingRelay(twelve, new Ohms(60), new Amps(20)),
                new ControlKind.LevelSwitch("heat", new Ratio(0.7), false, new Amps(10)),
                new ControlKind.Flasher(
                        ControlKind.Flasher.Form.THERMAL, new Watts(42), twelve, 85),
                new ControlKind.Module(
                        twelve,
                        new Amps(0.02),
                        List.of("brake"),
                        List.of(
                                new ControlKind.Output(
                                        "valve",
                                        ControlKind.Side.EARTH,
                                        five,
                                        List.of(new ControlKind.Need("brake", false))))),
                new ControlKind.IgnitionBox(
                        ControlKind.IgnitionBox.Form.DISCHARGE, 4, new Ratio(0.6), five),
                new GuardKind.FuseBox(
                        List.of(new GuardKind.Way("1", FuseType.GLASS, new Amps(35)))),
                new SourceKind.Battery(
                        twelve,
                        new Ohms(0.008),
                        Optional.of(new SourceKind.Capacity(new AmpereHours(44), new Ratio(1.2)))),
                new SourceKind.BenchSupply(twelve, five),
                new SourceKind.Alternator(
                        new Volts(14.2),
                        new Amps(45),
                        new Ohms(4),
                        new Ratio(2.5),
                        Optional.of(SourceKind.Alternator.Style.SWITCHED)),
                new SourceKind.FieldRegulator(new Volts(14.1)),
                new SourceKind.Dynamo(new Amps(22), new Ohms(6), new Ratio(1.8), new Rpm(1100)),
                new SourceKind.ControlBox(new Volts(14.4), new Volts(12.8), new Amps(22)),
                new SourceKind.Flywheel(
                        SourceKind.Flywheel.Winding.THREE_PHASE, new Amps(15), new Rpm(5000)),
                new SourceKind.RegulatorRectifier(
                        SourceKind.RegulatorRectifier.Bridge.THREE_PHASE, new Volts(14.2)),
                new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.0071)),
                new LoadKind.LedLamp(twelve, new Watts(5)),
                new LoadKind.Gauge(
                        new Ohms(64),
                        new Amps(0.12),
                        Optional.of(LoadKind.Gauge.Movement.AIR_CORE),
                        Optional.of("240-33")),
                new LoadKind.Ammeter(new Amps(30)),
                new LoadKind.Voltmeter(new Volts(16)),
                new LoadKind.Buzzer(twelve, new Amps(0.03)),
                new LoadKind.Heater(new Ohms(0.6), new Ohms(1.1), new Seconds(8)),
                new LoadKind.Magneto(new Ohms(0.8)),
                new LoadKind.Load(new Demand.InWatts(new Watts(1.0 / 3)), twelve));
    }

    private static List<String> violations(String json) {
        try {
            var schema =
                    SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                            .getSchema(
                                    Files.readString(Path.of("../docs/aficion-job.schema.json")),
                                    InputFormat.JSON);
            return schema.validate(json, InputFormat.JSON).stream().map(Object::toString).toList();
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void thePublishedSchemaDescribesTheFileAndRefusesOthers() {
        assertThat(violations(text)).isEmpty();
        assertThat(violations(text.replace("\"blue/red\"", "17"))).isNotEmpty();
        assertThat(violations(text.replace("\"zone\"", "\"place\""))).isNotEmpty();
        assertThat(violations(text.replace("\"type\" : \"battery\"", "\"type\" : \"dynamo\"")))
                .isNotEmpty();
    }

    @Test
    void aFileComparesLineByLine() {
        assertThat(text).endsWith("}\n").doesNotContain("\r").contains("\n  \"vehicle\" : {\n");
        var renumbered =
                JobCodec.write(
                        new WireEdit.Renumber(demo.wires().getFirst().id(), "9.99").apply(job));
        var before = text.lines().toList();
        var after = renumbered.lines().toList();
        assertThat(after).hasSameSizeAs(before);
        long changed =
                java.util.stream.IntStream.range(0, before.size())
                        .filter(i -> !before.get(i).equals(after.get(i)))
                        .count();
        assertThat(changed).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "hello",
                "[]",
                "{}",
                "{\"format\": \"something-else\", \"version\": 1}",
                "\u0000\u0001",
                "%PDF-1.7"
            })
    void whatIsNoJobIsForeign(String foreign) {
        assertThat(trouble(foreign)).isEqualTo(new Foreign());
    }

    /**
     * Leads that nothing needs go through the file and back; one of a name that is there does not.
     */
    @Test
    void unusedLeadsComeBack() throws JobFileException {
        var lead =
                new UnusedLead(
                        "air con feed",
                        Optional.of(WireColour.plain(Colour.GREEN)),
                        "behind the glove box",
                        UnusedLead.Done.CUT_BACK);
        var other = new UnusedLead("5", Optional.empty(), "", UnusedLead.Done.SEALED);
        var job = DemoJobs.find("motorcycle").orElseThrow();
        var noted = new WorkEdit.NoteUnused(other).apply(new WorkEdit.NoteUnused(lead).apply(job));
        var text = JobCodec.write(noted);

        assertThat(JobCodec.read(text)).isEqualTo(noted);
        assertThat(text).contains("cut-back");
        assertThat(damaged(text.replace("air con feed", "5")).detail()).contains("stands twice");
        assertThat(new WorkEdit.ForgetUnused(lead).apply(noted).work().unused())
                .containsExactly(other);
    }

    @Test
    void whatWasSeenToComesBack() throws JobFileException {
        var line = new Work.Fitted(new PartId("B1"), "strapped");
        var job = DemoJobs.find("tractor").orElseThrow();
        var noted = new WorkEdit.Fit(line, true).apply(job);

        assertThat(JobCodec.read(JobCodec.write(noted))).isEqualTo(noted);
        assertThat(noted.work().fitted()).containsExactly(line);
        assertThat(new WorkEdit.Fit(line, false).apply(noted)).isEqualTo(job);
        assertThat(new PartEdit.RemovePart(line.part()).apply(noted).work().fitted()).isEmpty();
    }

    /** A survey and a diary with something of everything, as it was found among it. */
    @Test
    void theSurveyAndTheDiaryAreKept() throws IOException {
        var job = DemoJobs.find("roadster").orElseThrow();
        var picture = "0123456789abcdef0123456789abcdef.png";
        var survey =
                Survey.NONE
                        .with(Optional.of(DemoJobs.find("tractor").orElseThrow().design()))
                        .with(
                                new OldLead(
                                        "brown 3",
                                        "battery post",
                                        "fuse box 1",
                                        Optional.of(WireColour.plain(Colour.BROWN)),
                                        Optional.of(new Metres(0.002)),
                                        OldLead.Cover.RUBBER,
                                        new OldLead.States(
                                                Set.of(OldLead.Condition.GREEN),
                                                Set.of(
                                                        OldLead.Condition.MELTED,
                                                        OldLead.Condition.TAPED),
                                                Set.of()),
                                        true,
                                        Optional.of(OldLead.Verdict.CONDEMN),
                                        List.of(picture),
                                        "under the dash"))
                        .with(
                                new FoundBox(
                                        "box",
                                        FoundBox.Sort.FUSE_BOX,
                                        List.of(
                                                new FoundBox.Seat("1", "horn", "purple"),
                                                new FoundBox.Seat(
                                                        "2",
                                                        "oil lamp",
                                                        "white/brown",
                                                        Optional.of("warning"),
                                                        Optional.of(FoundBox.Fed.EARTH),
                                                        Optional.of(true)))))
                        .with(
                                new Kit(
                                        "fan kit",
                                        List.of(
                                                new Kit.KitLead(
                                                        "a",
                                                        Optional.empty(),
                                                        "air conditioning",
                                                        WireSize.parse("1mm2"),
                                                        Optional.of(new Amps(5)),
                                                        Optional.empty(),
                                                        Optional.of(UnusedLead.Done.SEALED))),
                                        List.of(new Kit.Setting("switch 1", "on")),
                                        Optional.of(
                                                new Kit.Plug(
                                                        "flat-4",
                                                        true,
                                                        job.design().parts().getFirst().id()))))
                        .with(Probed.NONE.with(new Probed.KeyVolts("30", "off", new Volts(12.6))))
                        .with(new Photograph(picture, "the bulkhead"));
        var entry =
                new Diary.Entry(
                        Instant.parse("2026-05-01T18:00:00Z"),
                        Diary.Sort.DECISION,
                        Optional.of(new CircuitId("gone")),
                        Optional.of("make/5"),
                        35,
                        "relay in the wing",
                        "nearer the lamps",
                        List.of(picture),
                        false);
        var diary =
                Diary.NONE
                        .with(entry)
                        .with("make/5", true)
                        .with(
                                Optional.of(
                                        new Diary.Running(
                                                Optional.empty(),
                                                Optional.of("lay/1"),
                                                Instant.parse("2026-05-02T18:00:00Z"))))
                        .costing(Optional.of(45.0))
                        .with(new Diary.Fastener("bracket", "M8", 25, "locker"));
        var noted = job.with(job.work().with(survey).with(diary));

        assertThat(JobCodec.read(JobCodec.write(noted))).isEqualTo(noted);
        assertThat(violations(JobCodec.write(noted))).isEmpty();
        var text = JobCodec.write(noted);
        assertThat(damaged(text.replace(picture, "../../etc/passwd")).detail())
                .contains("no photograph");
        assertThat(damaged(text.replace("\"minutes\" : 35", "\"minutes\" : -1")).detail())
                .contains("0 to 1440");
    }

    /** What was set down for sums, and a curve of a source, through the file and back. */
    @Test
    void whatIsSetDownForSumsIsKept() throws JobFileException {
        var source = new PartId("G1");
        var sums =
                Sums.NONE
                        .with(
                                new Usage(
                                        "shed",
                                        Map.of("key", "run"),
                                        List.of(new Usage.Share("brake", "on", 0.2)),
                                        true,
                                        new Celsius(5)))
                        .with(new Speeds(new Rpm(750), new Rpm(2400), new Rpm(5000)))
                        .with(
                                source,
                                new Pulleys(
                                        new Metres(0.165),
                                        new Metres(0.06),
                                        Optional.of(new Metres(0.3)),
                                        true))
                        .with(new Cap(List.of(1, 3, 4, 2), false, 2))
                        .with(new Damper(new Metres(0.17), List.of(12.0, -5.0), false))
                        .with(new PartId("R2"), new Fill(30, new Ohms(100)))
                        .with(new PartId("R2"), new Fill(10, new Ohms(200)))
                        .with(
                                new Panel(
                                        "dash",
                                        new Metres(0.3),
                                        new Metres(0.1),
                                        List.of(
                                                new Panel.Hole(
                                                        "horn",
                                                        new Metres(0.05),
                                                        new Metres(0.02),
                                                        new Metres(0.016)))))
                        .with(new Pickup(new Metres(0.06), 4, new Metres(0.62), new Ratio(3.9)));
        var curve =
                new OutputCurve(
                        List.of(
                                new OutputCurve.Point(new Rpm(1500), new Amps(0)),
                                new OutputCurve.Point(new Rpm(6000), new Amps(45))),
                        Optional.of(new Rpm(15_000)));
        var kind =
                AnotherSource.giving(
                        (SourceKind) job.design().part(source).kind(), Optional.of(curve));
        var design = new PartEdit.Refit(source, kind).apply(job.design());
        var noted = Job.of(design);
        noted = noted.with(noted.work().with(sums));

        var written = JobCodec.write(noted);
        assertThat(JobCodec.read(written)).isEqualTo(noted);
        assertThat(violations(written)).isEmpty();
        assertThat(sums.fills(new PartId("R2")))
                .extracting(Fill::level)
                .containsExactly(10.0, 30.0);
        assertThat(damaged(written.replace("\"share\" : 0.2", "\"share\" : 7")).detail())
                .contains("0 to 1");
        assertThat(damaged(written.replace("\"first\" : 2", "\"first\" : 9")).detail())
                .contains("no tower");
        var gone = new PartEdit.RemovePart(new PartId("R2")).apply(noted.design());
        assertThat(noted.with(gone).work().sums().fills()).isEmpty();
    }

    /** Files of versions 3 to 6, as they were kept then, are the same jobs, body and all. */
    @ParameterizedTest
    @CsvSource({
        "roadster, 3",
        "motorcycle, 3",
        "tractor, 3",
        "roadster, 4",
        "motorcycle, 4",
        "tractor, 4",
        "roadster, 5",
        "motorcycle, 5",
        "tractor, 5",
        "roadster, 6",
        "motorcycle, 6",
        "tractor, 6"
    })
    void aFileOfALateVersionIsTheSameJob(String name, int version) throws IOException {
        assertThat(older(name, version)).contains("\"version\" : " + version);
        assertThat(JobCodec.read(older(name, version))).isEqualTo(withoutSurvey(asKept(name)));
    }

    /** Version 7 has the survey and the diary as well, but nothing set down for sums. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void aFileOfTheVersionBeforeIsTheSameJob(String name) throws IOException {
        var now = asKept(name);

        assertThat(older(name, 7)).contains("\"version\" : 7");
        assertThat(JobCodec.read(older(name, 7)))
                .isEqualTo(withoutSort(now.with(now.work().with(Sums.NONE))));
    }

    /** Files of versions 1 and 2, as they were kept then, are the same jobs. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void aFileOfAnEarlierVersionOpens(String name) throws IOException {
        var first = older(name);
        var second = older(name, 2);
        var now = DemoJobs.find(name).orElseThrow();

        assertThat(first).contains("\"version\": 1");
        assertThat(second).contains("\"version\" : 2");
        assertThat(JobCodec.read(first)).isEqualTo(JobCodec.read(second));
        assertThat(JobCodec.read(second).design().parts()).isEqualTo(now.design().parts());
        assertThat(JobCodec.read(second).work())
                .isEqualTo(withoutSurvey(now).work())
                .isNotEqualTo(Work.NONE);
        assertThat(JobCodec.read(JobCodec.write(JobCodec.read(second))))
                .isEqualTo(JobCodec.read(second));
    }

    /** A demo as it was when it was kept: the tractor's ammeter was turned round since. */
    private static Job asKept(String name) {
        var now = DemoJobs.find(name).orElseThrow();
        return name.equals("tractor")
                ? now.with(new PartEdit.Exchange(new PartId("P1"), "A", "B").apply(now.design()))
                : now;
    }

    /** What the demos have been given since: a survey, a diary, sums, and what sort they are. */
    private static Job withoutSurvey(Job job) {
        return withoutSort(job.with(job.work().with(Survey.NONE).with(Diary.NONE).with(Sums.NONE)));
    }

    private static Job withoutSort(Job job) {
        var vehicle = job.design().vehicle();
        return job.with(
                job.design()
                        .withVehicle(
                                new Vehicle(
                                        vehicle.name(),
                                        vehicle.year(),
                                        vehicle.system(),
                                        vehicle.earthed())));
    }

    private static String older(String name) throws IOException {
        return older(name, 1);
    }

    private static String older(String name, int version) throws IOException {
        return Files.readString(
                Path.of("src/test/resources/versions/" + version, name + ".aficion"));
    }

    @Test
    void aBodyOfMoreStationsThanAnyVehicleHasIsRefused() throws IOException {
        var many = String.join(",", Collections.nCopies(1_001, "{}"));
        var text =
                older("roadster", 2)
                        .replaceFirst(
                                "\"work\" :",
                                "\"body\" : {\"stations\" : ["
                                        + many
                                        + "], \"runs\" : []}, \"work\" :");

        assertThat(trouble(text)).isEqualTo(new TooMany("body/stations", 1_001, 1_000));
    }

    /** What follows from the body is not kept; what stands and is measured is. */
    @Test
    void aBodyComesBackAsItWas() throws JobFileException {
        var job = DemoJobs.find("roadster").orElseThrow();
        var text = JobCodec.write(job);
        var back = JobCodec.read(text);

        assertThat(back).isEqualTo(job);
        assertThat(back.design().body()).isPresent().isEqualTo(job.design().body());
        assertThat(text).contains("\"by\" : \"runs\"");
        assertThat(trouble(text.replace("\"id\" : \"bulkhead dash\"", "\"id\" : \"attic dash\"")))
                .isInstanceOfSatisfying(
                        Damaged.class, damaged -> assertThat(damaged.detail()).contains("attic"));
    }

    /** What is wrong in it is told by the place it has there. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"insulation\": \"pvc105\"|\"insulation\": \"silk\"|insulation",
                "\"size\": \"2.5mm2\"|\"size\": \"2.6mm2\"|size",
                "\"zone\": \"dash\"|\"zone\": \"attic\"|zone",
                "\"verdict\": \"pass\"|\"verdict\": \"perhaps\"|verdict"
            })
    void damageInAnEarlierVersionIsToldWhereItStands(String right, String wrong, String field)
            throws IOException {
        var broken = older("roadster").replaceFirst(Pattern.quote(right), wrong);

        assertThat(broken).contains(wrong);
        assertThat(damaged(broken).line()).contains(lineOf(broken, wrong));
        assertThat(damaged(broken).field()).endsWith("." + field).doesNotContain("cut", "work");
    }

    @Test
    void aFieldThatIsNotKnownIsOfALaterVersion() {
        var later = text.replace("\"year\" : 1963,", "\"year\" : 1963,\n    \"axles\" : 2,");

        assertThat(trouble(later))
                .isInstanceOfSatisfying(
                        NewerField.class,
                        newer -> {
                            assertThat(newer.field()).isEqualTo("vehicle.axles");
                            assertThat(newer.line()).contains(lineOf(later, "axles"));
                        });
    }

    @Test
    void workOnACircuitThatIsNotThereIsDamage() {
        var stray =
                text.replaceFirst(
                        "\"circuit\" : \"1\",(\\s+)\"stages\"",
                        "\"circuit\" : \"99\",$1\"stages\"");

        assertThat(damaged(stray).field()).isEqualTo("work.done[0].circuit");
        assertThat(damaged(stray).detail()).contains("circuit 99, which is not there");
        assertThat(damaged(stray).line()).contains(lineOf(stray, "\"99\""));
    }

    @Test
    void aLaterVersionSaysSo() {
        assertThat(trouble(text.replace(VERSION, "\"version\" : 99")))
                .isEqualTo(new Newer(99, JobCodec.VERSION));
    }

    @Test
    void aVersionThatIsNoneIsDamage() {
        assertThat(damaged(text.replace(VERSION, "\"version\" : 0")).field()).isEqualTo("version");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 0.5, 0.9, 0.999})
    void aTruncatedFileIsDamagedWhereItEnds(double share) {
        var cut = text.substring(0, (int) (text.length() * share));

        assertThat(damaged(cut).detail()).doesNotContain("Source");
        assertThat(damaged(cut).line().orElseThrow())
                .isBetween((int) cut.lines().count() - 1, (int) cut.lines().count() + 1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"size\" : \"2.5mm2\"|\"size\" : \"2.6mm2\"|size|2.6mm2",
                "\"colour\" : \"blue/red\"|\"colour\" : \"blue/mauve\"|colour|mauve",
                "\"zone\" : \"boot\"|\"zone\" : \"attic\"|zone|attic",
                "\"nominal\" : 12|\"nominal\" : \"twelve\"|nominal|number",
                "\"internal\" : 0.008|\"internal\" : -1|kind|above zero",
                "\"type\" : \"battery\"|\"type\" : \"reactor\"|kind|reactor",
                "\"system\" : 12|\"system\" : 13|vehicle|6, 12 or 24",
                "\"measured\" : 2.2|\"measured\" : 3600|length|100 m"
            })
    void whatIsWrongIsNamedWithLineAndField(
            String old, String changed, String field, String detail) {
        assertThat(text).contains(old);
        var broken = text.replaceFirst(java.util.regex.Pattern.quote(old), changed);

        var damage = damaged(broken);

        assertThat(damage.field()).contains(field);
        assertThat(damage.detail()).contains(detail);
        assertThat(damage.line().orElseThrow())
                .isBetween(lineOf(text, old) - 1, lineOf(text, old) + 12);
        assertThat(damage.detail()).doesNotContain("aficion.", "POJO");
    }

    @Test
    void aFieldThatStandsTwiceIsDamage() {
        assertThat(
                        damaged(
                                        text.replace(
                                                "\"year\" : 1963,",
                                                "\"year\" : 1963, \"year\" : 1964,"))
                                .detail())
                .contains("year");
    }

    @Test
    void aMissingFieldIsDamage() {
        assertThat(damaged(text.replaceFirst("\"year\" : 1963,", "")).detail()).contains("year");
        assertThat(damaged(text.replaceFirst("\"cover\" : \"[a-z0-9]+\",", "")).detail())
                .contains("cover");
    }

    @Test
    void aWireToNowhereIsNamedWithItsLine() {
        var broken = text.replaceFirst("\"terminal\" : \"M1.30\"", "\"terminal\" : \"M7.30\"");

        var damage = damaged(broken);

        assertThat(damage.field()).isEqualTo("wires[1].to");
        assertThat(damage.detail()).contains("M7, which is not there");
        assertThat(damage.line()).contains(lineOf(broken, "M7.30") - 1);
    }

    @Test
    void somethingBehindTheEndIsDamage() {
        assertThat(damaged(text + "{}").line()).isPresent();
    }

    /** Nothing where something is needed, anywhere, is damage, and stops nothing else. */
    @Test
    void nothingInPlaceOfSomethingIsToldOrLeftOut() throws IOException {
        var mapper = new JsonMapper();
        var tree = mapper.readTree(text);
        var places = new ArrayList<String>();
        collect(tree, "", places);
        var random = new Random(3);
        int refused = 0;
        for (int i = 0; i < 300; i++) {
            var broken = mapper.readTree(text);
            var place = places.get(random.nextInt(places.size()));
            nullify(broken, place);
            try {
                JobCodec.read(broken.toString());
            } catch (JobFileException told) {
                refused++;
                assertThat(told.getMessage())
                        .as(place)
                        .doesNotContain("tools.jackson", "Feature", "creator");
            }
        }
        assertThat(refused).isGreaterThan(250);
    }

    private static void collect(JsonNode node, String at, List<String> places) {
        for (int i = 0; i < node.size(); i++) {
            if (node.isArray()) {
                places.add(at + "/" + i);
                collect(node.get(i), at + "/" + i, places);
            }
        }
        for (var field : node.properties()) {
            places.add(at + "/" + field.getKey());
            collect(field.getValue(), at + "/" + field.getKey(), places);
        }
    }

    private static void nullify(JsonNode tree, String place) {
        int last = place.lastIndexOf('/');
        var parent = tree.at(place.substring(0, last));
        if (parent instanceof ArrayNode list) {
            list.setNull(Integer.parseInt(place.substring(last + 1)));
        } else {
            ((ObjectNode) parent).putNull(place.substring(last + 1));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {400, 600, 20_000})
    void whatIsDeeperThanAnyJobIsDamage(int depth) {
        var deep =
                text.replace(
                        "\"year\" : 1963", "\"year\" : " + "[".repeat(depth) + "]".repeat(depth));

        assertThat(trouble(deep)).isInstanceOf(Damaged.class);
    }

    @Test
    void aNumberOfAThousandDigitsIsDamage() {
        var long1 = text.replace("\"year\" : 1963", "\"year\" : " + "9".repeat(1500));

        assertThat(trouble(long1)).isInstanceOf(Damaged.class);
        assertThat(trouble(text.replace("\"year\" : 1963", "\"year\" : 1e999999999")))
                .isInstanceOf(Damaged.class);
    }

    @Test
    void moreThanAnyVehicleHasIsNotWorkedOn() {
        var joints = new StringBuilder();
        for (int i = 0; i <= 5000; i++) {
            joints.append("{\"id\":\"Q%d\",\"name\":\"j\",\"zone\":\"dash\",".formatted(i))
                    .append("\"kind\":{\"type\":\"splice\"}},");
        }
        var many = text.replaceFirst("\"parts\" : \\[", "\"parts\" : [" + joints);

        assertThat(trouble(many)).isInstanceOf(TooMany.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"../x", "a/b", "", ".", "a b", "-x", "\u0000"})
    void anIdentityIsAPlainName(String id) {
        assertThatThrownBy(() -> new CircuitId(id)).hasMessageContaining("no identity");
        assertThatThrownBy(() -> new PartId(id)).hasMessageContaining("no identity");
        assertThat(Terminal.parse(id + ".1")).isEmpty();
        assertThat(FileNames.of(id)).doesNotContain("/", ".", "\u0000").isNotEmpty();
    }
}
