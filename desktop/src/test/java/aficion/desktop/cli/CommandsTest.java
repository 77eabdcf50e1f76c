package aficion.desktop.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.files.DemoJobs;
import aficion.files.JobCodec;
import aficion.files.JobStore;
import aficion.job.Job;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CommandsTest {
    @TempDir Path folder;

    /** What a command printed, and the code it ended with. */
    private record Ran(int code, String out, String err) {}

    private static Ran run(String... arguments) {
        var out = new StringWriter();
        var err = new StringWriter();
        int code = Commands.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments);
        return new Ran(code, out.toString(), err.toString());
    }

    private static List<CSVRecord> rows(String csv) {
        try (var parser =
                CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get()
                        .parse(new StringReader(csv))) {
            return parser.getRecords();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void checkPrintsALineForEachFindingAndEndsWithOne() {
        var ran = run("check", "demo:roadster");

        assertThat(ran.code()).isEqualTo(1);
        assertThat(ran.out().lines()).hasSize(8);
        assertThat(ran.out().lines().findFirst().orElseThrow().split("\t"))
                .hasSize(5)
                .startsWith("danger", "GuardLargerThanWire", "5.13, 5.14")
                .endsWith("Fit 15 A in F6; then make wire 5.14 2 mm² | Make wire 5.13 2.5 mm²");
    }

    @Test
    void aJobWithoutDangerEndsWithNought() throws IOException {
        var file = folder.resolve("empty.aficion");
        JobStore.save(
                file,
                Job.of(
                        DemoJobs.find("roadster")
                                .orElseThrow()
                                .design()
                                .withWires(List.of())
                                .withParts(List.of())),
                Optional.empty());

        assertThat(run("check", file.toString())).isEqualTo(new Ran(0, "", ""));
    }

    @Test
    void solvePrintsEveryTerminalAndWireInFullPrecision() {
        var ran =
                run(
                        "solve",
                        "demo:roadster",
                        "--set",
                        "key=run",
                        "--set",
                        "lights=head",
                        "--set",
                        "rpm=2000",
                        "--format",
                        "csv");
        var rows = rows(ran.out());

        assertThat(ran.code()).isZero();
        assertThat(ran.out()).startsWith("kind,name,volts,amps,state\n");
        assertThat(rows.stream().filter(row -> row.get("kind").equals("wire"))).hasSize(62);
        var lamp =
                rows.stream()
                        .filter(row -> row.get("name").equals("H1.56b"))
                        .findFirst()
                        .orElseThrow();
        assertThat(Double.parseDouble(lamp.get("volts"))).isBetween(13.0, 14.2);
        assertThat(lamp.get("amps")).isEmpty();
        assertThat(lamp.get("state")).isEqualTo("driven");
        var wire =
                rows.stream()
                        .filter(row -> row.get("name").equals("5.11"))
                        .findFirst()
                        .orElseThrow();
        assertThat(Double.parseDouble(wire.get("amps"))).isBetween(4.0, 5.0);
        assertThat(wire.get("volts")).hasSizeGreaterThan(8);
    }

    /**
     * What flows into a lamp by its wires leaves by its earth, and the volts lost agree with the
     * volts at both ends.
     */
    @Test
    void theSumsCanBeCheckedByOthers() {
        var rows = rows(run("solve", "demo:roadster", "--set", "key=run,lights=head").out());
        var volts = new java.util.HashMap<String, Double>();
        rows.stream()
                .filter(row -> row.get("kind").equals("terminal") && !row.get("volts").isEmpty())
                .forEach(row -> volts.put(row.get("name"), Double.valueOf(row.get("volts"))));
        var amps = new java.util.HashMap<String, Double>();
        rows.stream()
                .filter(row -> row.get("kind").equals("wire"))
                .forEach(row -> amps.put(row.get("name"), Double.valueOf(row.get("amps"))));

        assertThat(amps.get("5.11") + amps.get("5.13")).isCloseTo(amps.get("5.17"), within(1e-6));
        var lost =
                rows.stream()
                        .filter(row -> row.get("name").equals("5.11"))
                        .mapToDouble(row -> Double.parseDouble(row.get("volts")))
                        .findFirst()
                        .orElseThrow();
        assertThat(volts.get("K1.87") - volts.get("H1.56b")).isCloseTo(lost, within(1e-12));
    }

    @Test
    void whatFloatsHasNoVolts() throws IOException {
        var demo = DemoJobs.find("roadster").orElseThrow().design();
        var cut =
                demo.withWires(
                        demo.wires().stream()
                                .filter(wire -> List.of("1.01", "5.02").contains(wire.number()))
                                .toList());
        var file = folder.resolve("cut.aficion");
        JobStore.save(file, Job.of(cut), Optional.empty());

        var rows = rows(run("solve", file.toString()).out());
        var floating = rows.stream().filter(row -> row.get("state").equals("floating")).toList();

        assertThat(floating)
                .extracting(row -> row.get("name"))
                .contains("S2.56", "S3.56b", "5.02")
                .doesNotContain("B1.+", "1.01");
        assertThat(floating.stream().filter(row -> row.get("kind").equals("terminal")))
                .allSatisfy(row -> assertThat(row.get("volts")).isEmpty());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "key|Write --set name=value",
                "radio=on|There is no control radio. There are: key, lights, dip",
                "key=on|key has no position on. It has: off, run, start",
                "rpm=fast|rpm needs a number",
                "rpm=-5|rpm needs a number",
                "rpm=0x1p3|rpm needs a number",
                "rpm=1e3|rpm needs a number",
                "charge=NaN|charge needs a number",
                "charge=2|charge needs a number",
                "fuel=9|fuel needs a number"
            })
    void badSettingsSayWhatThereIs(String setting, String words) {
        var ran = run("solve", "demo:roadster", "--set", setting);

        assertThat(ran.code()).isEqualTo(2);
        assertThat(ran.err()).startsWith(words);
        assertThat(ran.out()).isEmpty();
    }

    @Test
    void otherFormatsAreRefused() {
        assertThat(run("solve", "demo:roadster", "--format", "xml").err())
                .startsWith("Only csv is known");
    }

    @Test
    void badFilesEndWithTwoAndOneLine() throws IOException {
        var foreign = folder.resolve("picture.aficion");
        Files.writeString(foreign, "GIF89a");
        var newer = folder.resolve("newer.aficion");
        Files.writeString(
                newer,
                JobCodec.write(DemoJobs.find("roadster").orElseThrow())
                        .replaceFirst("\"version\" : \\d+", "\"version\" : 9"));

        assertThat(run("check", folder.resolve("none.aficion").toString()).code()).isEqualTo(2);
        assertThat(run("check", foreign.toString()).err().lines())
                .singleElement()
                .satisfies(line -> assertThat(line).contains("not an Aficion job"));
        assertThat(run("solve", newer.toString()).err()).contains("later version", "format 9");
        assertThat(run("check", "demo:submarine").err())
                .startsWith("There is no demo called submarine. There are: roadster");
        assertThat(run("no-such-command-or-file", "x").code()).isEqualTo(2);
    }

    @Test
    void reportWritesEverySheet() throws IOException {
        var ran = run("report", "demo:roadster", folder.resolve("out").toString());

        assertThat(ran.code()).isZero();
        try (var written = Files.list(folder.resolve("out"))) {
            assertThat(written.map(path -> path.getFileName().toString()))
                    .hasSize(79)
                    .contains(
                            "power.pdf",
                            "power.csv",
                            "survey.csv",
                            "changes.pdf",
                            "plan.csv",
                            "diary.pdf",
                            "card.pdf")
                    .contains("hand-over.pdf")
                    .contains("schedule.csv", "schedule.pdf", "path-5.pdf", "bench-10.pdf")
                    .contains("labels.csv", "bands.pdf", "cut.csv", "ends.pdf", "buy.csv")
                    .contains(
                            "labels-sheet.pdf",
                            "unused.csv",
                            "fitting.pdf",
                            "tests.pdf",
                            "steps-1.pdf",
                            "steps-2.pdf")
                    .contains("board-1.pdf", "board-1-whole.pdf", "board-2.svg", "board-2.dxf");
        }
        assertThat(Files.readAllLines(folder.resolve("out").resolve("cut.csv")))
                .hasSize(63)
                .first()
                .isEqualTo("No.,Size,Colour,Way,Slack,Rise,Loop,Strip,Cut to,From");
        assertThat(Files.readAllLines(folder.resolve("out").resolve("labels.csv"))).hasSize(125);
    }

    private String table(String... lines) throws IOException {
        var file = folder.resolve("table" + lines.length + lines[0].length() + ".csv");
        Files.writeString(file, String.join("\n", lines) + "\n");
        return file.toString();
    }

    @Test
    void identifyNamesSwitchesAndLeads() throws IOException {
        var key =
                run(
                        "identify",
                        table(
                                "terminal,position,volts",
                                "A,off,12.6",
                                "A,run,12.5V",
                                "A,start,10",
                                "B,off,0",
                                "B,run,\"12,4\"",
                                "B,start,0.1",
                                "C,off,0",
                                "C,run,0",
                                "C,start,"));
        assertThat(rows(key.out()))
                .extracting(row -> row.get("terminal") + " " + row.get("name"))
                .containsExactly(
                        "A always live (30)",
                        "B accessory that drops in start (15a/75)",
                        "C unknown");
        assertThat(key.err()).contains("C is to be read in start");
        var alike =
                run(
                        "identify",
                        table(
                                "terminal,position,volts",
                                "X,off,0",
                                "X,on,12",
                                "Y,off,0",
                                "Y,on,12",
                                "Z,off,12",
                                "Z,on,12"));
        assertThat(alike.err()).contains("X and Y are alike in every position");
        var hand =
                run(
                        "identify",
                        table(
                                "one,other,position,closed",
                                "A,B,up,yes",
                                "A,C,down,yes",
                                "A,B,down,no"));
        assertThat(rows(hand.out()).getFirst().get("name")).isEqualTo("unknown");
        assertThat(hand.err()).contains("Try next: A and C");
        var leads = run("identify", table("lead;volts;amps", "main;12.6;4.43", "burnt;12.6;0"));
        assertThat(rows(leads.out()))
                .filteredOn(row -> row.get("rank").equals("1"))
                .extracting(row -> row.get("lead") + " " + row.get("what"))
                .containsExactly(
                        "main headlamp main, 60 W",
                        "burnt open filament, or a lead that ends nowhere");
        assertThat(rows(leads.out()).getFirst().get("expected")).isEqualTo("4.43");
        var ohms = run("identify", table("lead,colour,ohms", "sense,black,4700", "e,brown,0.1"));
        assertThat(ohms.err()).contains("sense is black and not earth");
        var set = run("identify", table("one,other,ohms", "a,b,0.6", "b,c,0.6", "a,c,0.6"));
        assertThat(rows(set.out())).allMatch(row -> row.get("what").startsWith("alternating"));
    }

    @Test
    void badTablesEndWithTwoAndOneLine() throws IOException {
        for (var bad :
                List.of(
                        table("terminal,position,volts", "A,off,much"),
                        table("one,other,position,closed", "A,A,up,yes"),
                        table("one,other,position,closed", "A,B,up,perhaps"),
                        table("lead,volts,amps", "a,,4.4"),
                        table("what,ever", "1,2"),
                        folder.resolve("none.csv").toString(),
                        "/dev/zero")) {
            var ran = run("identify", bad);
            assertThat(ran.code()).as(bad).isEqualTo(2);
            assertThat(ran.err().lines()).as(bad).hasSize(1);
        }
        var twice = table("way,function,colour", "1,a,", "1,b,");
        assertThat(run("repin", twice, twice).err()).contains("way 1 stands twice");
        assertThat(run("plan", "demo:roadster", "--hours", "many").code()).isEqualTo(2);
        assertThat(run("plan", "demo:roadster", "--hours", "-1").code()).isEqualTo(2);
    }

    @Test
    void repinPrintsTheMovesInOrder() throws IOException {
        var was = table("way,function,colour", "1,a,red", "2,b,blue", "3,blocked,", "4,old,green");
        var wants = table("way,function,colour ", "1,b,", "2,a,", "3,earth,", "4,,");

        assertThat(rows(run("repin", was, wants).out()))
                .extracting(row -> row.get("action") + " " + row.get("from") + ">" + row.get("to"))
                .containsExactly(
                        "open >3",
                        "off 4>",
                        "move 2>spare",
                        "move 1>2",
                        "move spare>1",
                        "new >3",
                        "blank >4");
    }

    @Test
    void planPrintsTheTasksAndAnEvening() {
        var all = rows(run("plan", "demo:roadster").out());
        assertThat(all).extracting(row -> row.get("task")).contains("make/5", "power", "road");
        var evening = run("plan", "demo:roadster", "--hours", "2");
        assertThat(
                        rows(evening.out()).stream()
                                .mapToDouble(row -> Double.parseDouble(row.get("minutes")))
                                .sum())
                .isBetween(60.0, 120.0);
        assertThat(evening.err())
                .contains("nothing on the vehicle is touched")
                .contains("To hand tonight: ");
    }

    @Test
    void powerPrintsTheBalanceOfASituation() {
        var ran = run("power", "demo:roadster", "--situation", "wet-night");
        var rows = rows(ran.out());

        assertThat(ran.out()).startsWith("rpm,source_amps,load_amps,net_amps,battery_volts");
        assertThat(rows).hasSizeGreaterThan(10);
        for (var row : rows) {
            assertThat(
                            Double.parseDouble(row.get("source_amps"))
                                    - Double.parseDouble(row.get("load_amps")))
                    .isCloseTo(Double.parseDouble(row.get("net_amps")), within(1e-9));
        }
        assertThat(ran.err()).contains("The source carries the loads from");
        assertThat(rows(run("power", "demo:roadster", "--situation", "parked").out())).hasSize(1);
        var unknown = run("power", "demo:roadster", "--situation", "flying");
        assertThat(unknown.code()).isEqualTo(2);
        assertThat(unknown.err()).contains("day, wet-night, cranking, parked");
    }

    @Test
    void convertWritesTheJobAndPrintsWhatIsDone() throws Exception {
        var out = folder.resolve("negative.aficion");
        var ran = run("convert", "demo:motorcycle", out.toString(), "--earth", "negative");
        var before = DemoJobs.find("motorcycle").orElseThrow();

        assertThat(ran.code()).isZero();
        assertThat(rows(ran.out())).hasSameSizeAs(before.design().parts());
        assertThat(rows(ran.out()).getFirst().get("action")).isEqualTo("turn");
        var now = JobStore.open(out).job();
        assertThat(now.design().vehicle().livePin()).isEqualTo("+");
        assertThat(now.work().found()).contains(before.design());
        assertThat(run("convert", "demo:motorcycle", out.toString()).code()).isEqualTo(2);
        assertThat(run("convert", "demo:tractor", out.toString(), "--volts", "7").code())
                .isEqualTo(2);
        assertThat(
                        run("convert", "demo:motorcycle", folder.toString(), "--earth", "negative")
                                .code())
                .isEqualTo(2);
        var other =
                run("convert", "demo:tractor", out.toString(), "--source", "alternator-one-wire");
        assertThat(other.code()).isZero();
        assertThat(rows(other.out()))
                .anySatisfy(row -> assertThat(row.get("why")).contains("another source"));
        assertThat(run("convert", "demo:tractor", out.toString(), "--source", "magic").err())
                .startsWith("There is no source magic")
                .contains("alternator-one-wire");
        assertThat(run("convert", "demo:roadster", out.toString(), "--earth", "positive").err())
                .contains("alternator is minus");
    }

    @Test
    void aReportThatCannotBeWrittenSaysSo() throws IOException {
        var file = folder.resolve("taken");
        Files.writeString(file, "in the way");

        assertThat(run("report", "demo:roadster", file.toString()).code()).isEqualTo(2);
    }

    @Test
    void helpNamesEveryCommand() {
        assertThat(run("--help").out()).contains("check", "solve", "report", "shots", "demo");
    }

    @Test
    void aDemoThatDoesNotShipIsRefusedWithThoseThatDo() {
        var ran = run("demo", "bicycle");

        assertThat(ran.code()).isEqualTo(2);
        assertThat(ran.err()).contains("bicycle", "roadster", "motorcycle", "tractor");
    }

    /** The run of the headlamps: few readings, each with what it should show. */
    @Test
    void benchPrintsARunThatAPersonWillDo() {
        var ran = run("bench", "demo:roadster", "--circuit", "5");
        var powered = ran.out().lines().filter(line -> line.contains(",volts,")).toList();

        assertThat(ran.code()).isZero();
        assertThat(ran.out()).startsWith("step,state,where,quantity,expected,tolerance,notices\n");
        assertThat(powered).isNotEmpty().hasSizeLessThanOrEqualTo(15);
        assertThat(run("bench", "demo:roadster", "--circuit", "99").code()).isEqualTo(2);
    }

    /** Full volts at the relay and none at the lamp: the wire between is among the first. */
    @Test
    void reasonPrintsWhatIsWrongAndWhatToReadNext() {
        var state = "key=run,lights=head,dip=dip ";
        var ran =
                run(
                        "reason",
                        "demo:roadster",
                        "--circuit",
                        "5",
                        "--reading",
                        state + "K1.87 12.4V",
                        "--reading",
                        state + "H2.56b 10 mV");

        assertThat(ran.code()).isZero();
        assertThat(ran.out()).startsWith("rank,weight,fault,words\n").contains("\n1,");
        assertThat(ran.out().lines().filter(line -> line.startsWith("1,")))
                .anyMatch(line -> line.contains("5.12=open"));
        assertThat(ran.out().lines().toList().getLast()).startsWith("next,");
        for (var bad :
                java.util.List.of(
                        "H1.56b 1V",
                        "rest H1.56b plenty",
                        "rest H1.56b 1e9V",
                        "moon=up H1.56b 1V")) {
            var refused = run("reason", "demo:roadster", "--circuit", "5", "--reading", bad);
            assertThat(refused.code()).as(bad).isEqualTo(2);
            assertThat(refused.err().lines()).hasSize(1);
        }
    }

    /**
     * Each place to test in has its run; on the vehicle the battery is read by the trade's band.
     */
    @Test
    void benchPrintsTheRunForWhereItIsTested() {
        for (var where : List.of("bench", "stand-ins", "still", "running", "proof")) {
            var ran = run("bench", "demo:roadster", "--circuit", "2", "--where", where);
            assertThat(ran.code()).as(where).isZero();
            assertThat(ran.out().lines()).as(where).hasSizeGreaterThan(3);
        }
        assertThat(run("bench", "demo:roadster", "--circuit", "2", "--where", "running").out())
                .contains("rpm=2000.0\",B1.+,volts,14.2,");
        var refused = run("bench", "demo:roadster", "--circuit", "2", "--where", "moon");
        assertThat(refused.code()).isEqualTo(2);
        assertThat(refused.err().lines())
                .singleElement()
                .satisfies(line -> assertThat(line).contains("moon", "stand-ins"));
    }

    private Ran reason(String... options) {
        var all = new ArrayList<>(List.of("reason", "demo:roadster", "--circuit", "5"));
        all.addAll(List.of(options));
        return run(all.toArray(String[]::new));
    }

    /**
     * What is noticed without a meter is read too; what is none of the job is refused in a line.
     */
    @Test
    void reasonHearsWhatIsNoticedWithoutAMeter() {
        var gone = reason("--reading", "lights=head F5 gone");
        assertThat(gone.out().lines().filter(line -> line.startsWith("1,")))
                .anyMatch(line -> line.contains("=short"))
                .noneMatch(line -> line.contains("=open") || line.contains("=dead"));
        var comes =
                reason(
                        "--comes-and-goes",
                        "--moved-last",
                        "H1",
                        "--reading",
                        "lights=head H1 moves",
                        "--reading",
                        "lights=head H1 warms",
                        "--reading",
                        "lights=head H1.56b loads");
        assertThat(comes.code()).isZero();
        assertThat(comes.out().lines()).anyMatch(line -> line.startsWith("move,"));
        for (var bad :
                List.of("rest F99 gone", "rest 9.99 warm", "rest K9 moves", "rest K9 fast")) {
            var refused = reason("--reading", bad);
            assertThat(refused.code()).as(bad).isEqualTo(2);
            assertThat(refused.err().lines()).as(bad).hasSize(1);
        }
        assertThat(reason("--moved-last", "Q9").code()).isEqualTo(2);
    }
}
