package aficion.words;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.TestStep;
import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.Terminals;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Severity;
import aficion.check.finding.SourceFinding;
import aficion.diagram.Lane;
import aficion.files.DemoJobs;
import aficion.files.JobFileException;
import aficion.files.JobFileException.Trouble;
import aficion.job.BenchRun;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Kind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.route.RunLength;
import aficion.size.Guard;
import aficion.size.WireSizing;
import aficion.working.Working;
import java.io.IOException;
import java.lang.reflect.ParameterizedType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WordsTest {
    private static final WireId WIRE = new WireId("w32");

    private final Design design = DemoJobs.find("roadster").orElseThrow().design();
    private final Speech speech = new Speech(design, UserUnits.METRIC);

    @Test
    void everyConstantOfTheCoreHasItsWords() {
        Map<String, Enum<?>[]> constants =
                Map.ofEntries(
                        Map.entry("severity", Severity.values()),
                        Map.entry("lane", Lane.values()),
                        Map.entry("stage", Work.Stage.values()),
                        Map.entry("colour", Colour.values()),
                        Map.entry("zone", Zone.values()),
                        Map.entry("insulation", Insulation.values()),
                        Map.entry("unguarded", Unguarded.values()),
                        Map.entry("topic", Working.Topic.values()),
                        Map.entry("origin", Working.Origin.values()),
                        Map.entry("reason", WireSizing.Reason.values()),
                        Map.entry("pole", Vehicle.Pole.values()),
                        Map.entry("fuse", FuseType.values()),
                        Map.entry("bench.stage", TestStep.Stage.values()),
                        Map.entry("bench.verdict", BenchRun.Verdict.values()));
        constants.forEach((prefix, values) ->
                assertThat(Arrays.stream(values).map(value -> Words.of(prefix, value)))
                        .allSatisfy(words -> assertThat(words).isNotBlank()));
        Terminals.all()
                .forEach(each -> assertThat(Words.of("termination." + each.key())).isNotBlank());
        for (var group : Kind.class.getPermittedSubclasses()) {
            for (var kind : group.getPermittedSubclasses()) {
                assertThat(Words.of("kind." + kind.getSimpleName())).isNotBlank();
            }
        }
        for (var rule : kinds()) {
            if (rule.isRecord()) {
                assertThat(Words.of("finding." + rule.getSimpleName() + ".title")).isNotBlank();
                assertThat(Words.of("finding." + rule.getSimpleName() + ".reason")).isNotBlank();
            }
        }
    }

    /**
     * Every figure that a part may be described by, curves and all, has a name where it is shown.
     */
    @Test
    void everyFigureOfAPartHasItsWords() {
        for (var group : Kind.class.getPermittedSubclasses()) {
            for (var kind : group.getPermittedSubclasses()) {
                assertThat(figures(kind))
                        .as(kind.getSimpleName())
                        .allSatisfy(name -> assertThat(Words.find("figure." + name)).isPresent());
            }
        }
        assertThat(figures(SourceKind.Alternator.class)).contains("at", "gives", "limit");
    }

    /** The names of the quantities in a record, in what it lists and in what it may have. */
    private static List<String> figures(Class<?> described) {
        var found = new ArrayList<String>();
        for (var component : described.getRecordComponents()) {
            var inside =
                    component.getGenericType() instanceof ParameterizedType listed
                                    && listed.getActualTypeArguments()[0] instanceof Class<?> one
                            ? one
                            : component.getType();
            if (Quantity.class.isAssignableFrom(inside)) {
                found.add(component.getName());
            } else if (inside.isRecord()) {
                found.addAll(figures(inside));
            }
        }
        return found;
    }

    private static List<Class<?>> kinds() {
        return Stream.of(Finding.class, PathFinding.class, SourceFinding.class, FitFinding.class)
                .flatMap(group -> Arrays.stream(group.getDeclaredClasses()))
                .toList();
    }

    @Test
    void aFindingIsSaidWithItsFigures() {
        var thin =
                new Finding.WireTooThinByDrop(
                        WIRE, new Amps(4.24), new Volts(0.457), new Volts(0.36), List.of());
        var fuse =
                new Finding.FuseOverloaded(
                        new FuseSeat(new PartId("FB1"), "2"),
                        new Amps(9.1),
                        new Amps(10),
                        List.of());
        var label = new Finding.SameLabel(WIRE, new WireId("w31"), "5.11", List.of());

        assertThat(speech.title(thin)).isEqualTo("Wire too thin: volts lost");
        assertThat(speech.reason(thin))
                .isEqualTo(
                        "At 4.2 A the way out and back at this size loses 0.457 V; the house rule allows 0.360 V.");
        assertThat(speech.reason(fuse)).contains("FB1.2", "9.1 A", "10.0 A");
        assertThat(speech.reason(label)).contains("K1.87 to H2.56b", "K1.87 to H1.56b", "5.11");
        assertThat(speech.where(thin.subject())).isEqualTo("5.12");
    }

    @Test
    void everyFindingCanBeSaid() {
        var part = new PartId("K1");
        var terminal = new Terminal(new PartId("R2"), "31");
        List<Finding> all =
                List.of(
                        new Finding.WireTooThinByHeat(WIRE, new Amps(20), new Amps(15), List.of()),
                        new Finding.GuardLargerThanWire(
                                WIRE,
                                new FuseSeat(part, ""),
                                new Amps(25),
                                new Amps(19),
                                List.of()),
                        new Finding.LeadWithoutGuard(WIRE, List.of()),
                        new Finding.ContactOverloaded(
                                part, "30-87", new Amps(35), new Amps(30), List.of()),
                        new Finding.TerminalUnconnected(terminal, List.of()),
                        new Finding.NoWayBack(part, terminal),
                        new Finding.RelaysChatter(part));

        assertThat(all)
                .allSatisfy(finding ->
                        assertThat(speech.title(finding) + speech.reason(finding))
                                .doesNotContain("{")
                                .isNotBlank());
    }

    @Test
    void everyEditCanBeSaid() {
        var run =
                BenchRun.begun(
                        new CircuitId("5"),
                        BenchRun.Setting.BENCH,
                        Optional.empty(),
                        Instant.EPOCH);

        assertThat(
                        List.of(
                                speech.edit(
                                        new WireEdit.Resize(
                                                WIRE, WireSize.parse("1.5mm2").orElseThrow())),
                                speech.edit(new WireEdit.Renumber(WIRE, "5.99")),
                                speech.edit(
                                        new WireEdit.SetLength(
                                                WIRE, new RunLength.Measured(new Metres(2.4)))),
                                speech.edit(
                                        new PartEdit.FitFuse(new PartId("F6"), "", new Amps(15))),
                                speech.edit(
                                        new PartEdit.FitFuse(
                                                new PartId("FB1"), "1", new Amps(7.5))),
                                speech.edit(new PartEdit.Mount(new PartId("R2"), new PartId("E5"))),
                                speech.edit(new WireEdit.RemoveWire(WIRE)),
                                speech.edit(new WireEdit.AddWire(design.wire(WIRE))),
                                speech.step(
                                        new WorkEdit.SetStage(
                                                new CircuitId("5"), Work.Stage.MADE, true)),
                                speech.step(
                                        new WorkEdit.SetStage(
                                                new CircuitId("5"), Work.Stage.MADE, false)),
                                speech.step(new WorkEdit.KeepRun(run)),
                                speech.edit(
                                        new CompositeEdit(CompositeEdit.Reason.GROUP, List.of()))))
                .containsExactly(
                        "Make wire 5.12 1.5 mm\u00b2",
                        "Label it 5.99 instead of 5.12",
                        "Set wire 5.12 to 2.40 m",
                        "Fit 15 A in F6",
                        "Fit 7.5 A in FB1.1",
                        "Earth the case of R2 at E5",
                        "Remove wire 5.12",
                        "Add wire 5.12",
                        "Mark Headlamps made",
                        "Mark Headlamps not made",
                        "Keep readings of Headlamps",
                        "Change several things");
    }

    @Test
    void wiresAreSaidInTheTradesWords() {
        var wire = design.wire(WIRE);

        assertThat(speech.label(wire)).isEqualTo("5.12 blue/red 1");
        assertThat(speech.longColour(wire.colour())).isEqualTo("blue with red");
        assertThat(speech.length(wire.length())).isEqualTo("2.00 m (assumed)");
        assertThat(speech.size(WireSize.parse("14awg").orElseThrow())).isEqualTo("14 AWG");
        assertThat(speech.guard(new Guard.Unguarded(), design.wire(new WireId("w2"))))
                .isEqualTo("none: starter");
        assertThat(speech.guard(new Guard.Unguarded(), wire)).isEqualTo("none");
        assertThat(speech.volts(Optional.empty())).isEqualTo("floating");
    }

    @Test
    void positionsAreSaidWithoutWhatIsAtRest() {
        assertThat(speech.conditions(Conditions.REST.with("key", "run").with("dip", "dip")))
                .isEqualTo("key run");
        assertThat(speech.conditions(Conditions.REST)).isEqualTo("everything off");
    }

    @Test
    void everyTroubleSaysWhatToDo() {
        var path = Path.of("tern.aficion");
        List<Trouble> all =
                List.of(
                        new JobFileException.Unreadable("gone"),
                        new JobFileException.Foreign(),
                        new JobFileException.Newer(2, 1),
                        new JobFileException.TooLarge(100L << 20, 64L << 20),
                        new JobFileException.Damaged(
                                Optional.of(12), "wires[3].size", "no such size"),
                        new JobFileException.Damaged(Optional.of(12), "", "cut off"),
                        new JobFileException.Damaged(Optional.empty(), "version", "no number"),
                        new JobFileException.Damaged(Optional.empty(), "", "not text"),
                        new JobFileException.Unwritable(path, "full"),
                        new JobFileException.ChangedOutside(path));

        assertThat(all)
                .allSatisfy(trouble -> assertThat(Troubles.say(trouble, path)).doesNotContain("{"));
        assertThat(Troubles.say(all.get(4), path))
                .contains("line 12, wires[3].size: no such size", "Nothing was changed")
                .doesNotContain("previous");
        assertThat(Troubles.say(all.get(3), path)).contains("100 MB", "64 MB");
    }

    @Test
    void theKeptVersionIsNamedWhereThereIsOne(@TempDir Path folder) throws IOException {
        var path = folder.resolve("tern.aficion");
        Files.writeString(folder.resolve("tern.previous.aficion"), "kept");
        var damaged = new JobFileException.Damaged(Optional.empty(), "", "cut off");

        assertThat(Troubles.say(damaged, path)).contains("cut off", "tern.previous.aficion");
    }

    /** Files call a finding by a name that no renaming of a class may change. */
    @Test
    void everyFindingHasANameOfItsOwnInFiles() throws IOException {
        var names = new Properties();
        try (var stream =
                Finding.class.getResourceAsStream("/aficion/check/finding/findings.properties")) {
            names.load(stream);
        }

        assertThat(names.values())
                .doesNotHaveDuplicates()
                .containsAll(
                        kinds().stream()
                                .filter(Class::isRecord)
                                .<Object>map(Class::getSimpleName)
                                .toList());
        assertThat(new Finding.SameLabel(WIRE, WIRE, "1", List.of()).key()).isEqualTo("same-label");
    }

    /** Numbers in files have the digits of everywhere, whatever the user's are. */
    @Test
    void numbersAreTheSameInEveryLocale() {
        var usual = Locale.getDefault();
        try {
            Locale.setDefault(Locale.forLanguageTag("ar-EG-u-nu-arab"));
            assertThat(NewNames.number(design, new CircuitId("5"))).matches("5\\.[0-9]{2}");
        } finally {
            Locale.setDefault(usual);
        }
    }
}
