package aficion.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import aficion.catalogue.Zone;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.route.RunLength;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class JobTest {
    private final Design design =
            DesignBuilder.twelveVolts().lamp("H1", 21).wire("B1.+", "H1.58", "1mm2", 2).build();

    @Test
    void aWireToAPartThatIsNotThereIsNamedWithItsPlace() {
        var wires = new ArrayList<>(design.wires());
        wires.add(
                wires.getLast()
                        .withTo(new End(new Terminal(new PartId("H9"), "58"), Termination.BULLET)));

        var invalid = catchThrowableOfType(InvalidJob.class, () -> design.withWires(wires));

        assertThat(invalid.problems())
                .extracting(JobProblem::list, JobProblem::index, JobProblem::field)
                .contains(org.assertj.core.groups.Tuple.tuple("wires", 2, "to"));
        assertThat(invalid).hasMessageContaining("H9, which is not there");
    }

    @Test
    void aWireToAPinThatThePartLacksSaysWhichPinsThereAre() {
        var wrong =
                design.wires()
                        .getLast()
                        .withTo(new End(new Terminal(new PartId("H1"), "56"), Termination.BULLET));

        assertThatThrownBy(() -> design.withWires(List.of(wrong)))
                .hasMessageContaining("H1.56")
                .hasMessageContaining("58, 31");
    }

    @Test
    void everyProblemIsListedNotOnlyTheFirst() {
        var twice = List.of(design.parts().getFirst(), design.parts().getFirst());

        var invalid = catchThrowableOfType(InvalidJob.class, () -> design.withParts(twice));

        assertThat(invalid.problems()).hasSizeGreaterThan(2);
        assertThat(invalid.problems().getFirst())
                .isEqualTo(new JobProblem("parts", 1, "id", "B1 stands twice"));
    }

    @Test
    void aPartIsMountedToAnEarthPointOnly() {
        var lamp = design.part(new PartId("H1")).withMount(new PartId("B1"));

        assertThatThrownBy(() -> design.withParts(List.of(design.part(new PartId("B1")), lamp)))
                .hasMessageContaining("H1 is mounted to B1, which is no earth point");
    }

    @Test
    void aPartWithoutACaseCannotBeMounted() {
        var gauge = new LoadKind.Gauge(new Ohms(60), new Amps(0.1));

        assertThatThrownBy(() ->
                        new Part(
                                new PartId("P1"),
                                "gauge",
                                Zone.DASH,
                                Optional.of(new PartId("E1")),
                                gauge))
                .hasMessageContaining("P1 has no case");
    }

    @Test
    void aCircuitKnowsItsWiresAndTheirParts() {
        assertThat(design.wiresOf(new CircuitId("1"))).hasSize(2);
        assertThat(design.partsOf(new CircuitId("1")))
                .extracting(part -> part.id().value())
                .containsExactly("B1", "E1", "H1");
        assertThat(design.wiresOf(new CircuitId("2"))).isEmpty();
    }

    @Test
    void askingForWhatIsNotThereIsACallersMistake() {
        assertThatThrownBy(() -> design.part(new PartId("X"))).hasMessageContaining("no part X");
        assertThatThrownBy(() -> design.wire(new WireId("X"))).hasMessageContaining("no wire X");
        assertThatThrownBy(() -> design.circuit(new CircuitId("X")))
                .hasMessageContaining("no circuit X");
        assertThatThrownBy(() -> design.part(new PartId("H1")).terminal("99"))
                .hasMessageContaining("H1 has no terminal 99");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a b", "H1;", "<b>", "012345678901234567890123456789012"})
    void namesAreShortAndPlain(String name) {
        assertThatThrownBy(() -> new PartId(name)).hasMessageContaining("is no identity");
    }

    @Test
    void aTerminalReadsAsItIsWritten() {
        assertThat(Terminal.parse("H1.56b")).contains(new Terminal(new PartId("H1"), "56b"));
        assertThat(Terminal.parse("B1.+").orElseThrow()).hasToString("B1.+");
        assertThat(List.of("H1", ".56", "H1.", ""))
                .allSatisfy(text -> assertThat(Terminal.parse(text)).isEmpty());
    }

    @Test
    void nonsensicalQuantitiesAreRefusedWithTheirName() {
        assertThatThrownBy(() -> new SourceKind.Battery(new Volts(12), new Ohms(0)))
                .hasMessageContaining("internal resistance must be above zero");
        assertThatThrownBy(() -> new LoadKind.Filament("58", new Watts(-5)))
                .hasMessageContaining("lamp watts");
        assertThatThrownBy(() -> new RunLength.Measured(new Metres(-1)))
                .hasMessageContaining("0 to 100 m");
        assertThatThrownBy(() -> new RunLength.Assumed(new Metres(101)))
                .hasMessageContaining("0 to 100 m");
        assertThatThrownBy(() -> new ControlKind.Points(0, new Ratio(0.6)))
                .hasMessageContaining("cylinders");
        assertThatThrownBy(() -> new ControlKind.Points(4, new Ratio(1)))
                .hasMessageContaining("dwell");
        assertThatThrownBy(() -> new Vehicle("x", 1960, new Volts(13), Vehicle.Pole.NEGATIVE))
                .hasMessageContaining("6, 12 or 24 V");
        assertThatThrownBy(() -> new LoadKind.Lamp(new Volts(12), List.of()))
                .hasMessageContaining("one filament or two");
    }

    @Test
    void aRelayLetsGoBelowWhereItPullsIn() {
        assertThatThrownBy(() ->
                        new ControlKind.Relay(
                                new Volts(12),
                                new Ohms(85),
                                new Ratio(0.6),
                                new Ratio(0.6),
                                new Amps(30),
                                Optional.empty()))
                .hasMessageContaining("lets go below");
    }

    @Test
    void aSwitchJoinsOnlyPinsItHas() {
        var off = new Position("off", false, List.of());
        var on = new Position("on", false, List.of(new Contact("1", "3")));

        assertThatThrownBy(() ->
                        new ControlKind.Switch(
                                Action.LEVER,
                                "lights",
                                List.of("1", "2"),
                                List.of(off, on),
                                new Amps(5)))
                .hasMessageContaining("joins 1-3");
        assertThatThrownBy(() ->
                        new ControlKind.Switch(
                                Action.LEVER,
                                "lights",
                                List.of("1", "2"),
                                List.of(off),
                                new Amps(5)))
                .hasMessageContaining("two positions");
        assertThatThrownBy(() -> new Contact("1", "1")).hasMessageContaining("to itself");
    }

    @Test
    void aWireHasTwoDifferentEndsAndASizeThatIsSold() {
        var wire = design.wires().getLast();

        assertThatThrownBy(() -> wire.withTo(wire.from()))
                .hasMessageContaining("both ends on B1.+");
    }

    @Test
    void stagesAreKeptInTheirOrder() {
        var circuit = design.circuits().getFirst().id();
        var work =
                Work.NONE
                        .with(circuit, Work.Stage.MADE, true)
                        .with(circuit, Work.Stage.PLANNED, true);

        assertThat(work.done(circuit)).containsExactly(Work.Stage.PLANNED, Work.Stage.MADE);
        assertThat(work.with(circuit, Work.Stage.MADE, false).done(circuit))
                .containsExactly(Work.Stage.PLANNED);
    }

    @Test
    void listsGivenToAJobAreCopied() {
        var wires = new ArrayList<>(design.wires());
        var copied = design.withWires(wires);
        wires.clear();

        assertThat(copied.wires()).hasSize(2);
    }

    /** A stud that no ring is sold for, and slack that is none, are refused as what they are. */
    @Test
    void studsAndSlackAreSensible() {
        var design =
                DesignBuilder.twelveVolts().load("X1", 2).wire("B1.+", "X1.+", "1mm2", 1).build();
        var part = design.part(new PartId("X1"));
        var wire = design.wires().getLast();

        assertThatThrownBy(() -> studded(part, "+", "m7"))
                .hasMessageContaining("\"m7\" is none of");
        assertThatThrownBy(() -> studded(part, "9", "m6")).hasMessageContaining("no terminal 9");
        assertThat(studded(part, "+", "m6").stud("+")).contains("m6");
        assertThatThrownBy(() -> spare(wire, -0.1)).hasMessageContaining("0 to 10 m to spare");
        assertThatThrownBy(() -> spare(wire, 11)).hasMessageContaining("0 to 10 m to spare");
        assertThat(spare(wire, 0).slack()).contains(new Metres(0));
    }

    private static Part studded(Part part, String pin, String stud) {
        return (Part) Figures.withComponent(part, "studs", Optional.of(Map.of(pin, stud)));
    }

    private static Wire spare(Wire wire, double metres) {
        return wire.withLaid(wire.laid().sparing(Optional.of(new Metres(metres))));
    }
}
