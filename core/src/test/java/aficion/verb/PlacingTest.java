package aficion.verb;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.Zone;
import aficion.fault.Fault;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.WireId;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Farads;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Where a hand puts things, and what it may not. */
class PlacingTest {
    private static final CircuitId CIRCUIT = new CircuitId("1");

    private final Design design =
            DesignBuilder.twelveVolts()
                    .earth("E2")
                    .fuse("F1", 10)
                    .onOff("S1", "lights", 10)
                    .lamp("H1", 21)
                    .relay("K1")
                    .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                    .wire("F1.2", "S1.1", "1mm2", 1)
                    .wire("S1.2", "H1.58", "1mm2", 3)
                    .wire("K1.85", "E2.E", "1mm2", 1)
                    .build();

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    private static Part part(Design design, Attempt attempt) {
        assertThat(attempt).isInstanceOf(Possible.class);
        var after = ((Possible) attempt).edit().apply(design);
        return after.parts().stream()
                .filter(each -> design.find(each.id()).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private static Optional<Refusal> refused(Attempt attempt) {
        return attempt instanceof Refused(var why) ? Optional.of(why) : Optional.empty();
    }

    @Test
    void aWireBetweenTwoTerminalsIsLikeWhatIsThere() {
        var wire = Connection.of(design, CIRCUIT, "S1.2", "K1.86").orElseThrow();

        assertThat(wire.from().terminal()).isEqualTo(at("S1.2"));
        assertThat(wire.to().terminal()).isEqualTo(at("K1.86"));
        assertThat(wire.colour().base()).isEqualTo(Colour.RED);
        assertThat(design.find(wire.id())).isEmpty();
        assertThat(wire.size()).isEqualTo(Ends.thinnest(design));
        assertThat(Connection.of(design, CIRCUIT, "K1.86", "K1.30").orElseThrow().colour().base())
                .isEqualTo(Colour.BLACK);
    }

    @Test
    void noWireLeadsToWhatIsNotThere() {
        assertThat(Connection.of(design, CIRCUIT, "S1.2", "S1.2")).isEmpty();
        assertThat(Connection.of(design, CIRCUIT, "S1.9", "H1.58")).isEmpty();
        assertThat(Connection.of(design, CIRCUIT, "H1.58", "S9.1")).isEmpty();
        assertThat(Connection.of(design, CIRCUIT, "H1.58", "rubbish")).isEmpty();
        assertThat(Connection.of(design, CIRCUIT, "rubbish", "H1.58")).isEmpty();
    }

    @Test
    void anEndIsWhatItsPostTakes() {
        assertThat(end(battery(), "+")).isEqualTo(Termination.POST_CLAMP);
        assertThat(end(fuse(50), "1")).isEqualTo(Termination.RING_M6);
        assertThat(end(fuse(30), "1")).isEqualTo(Termination.BLADE_6_3);
        assertThat(end(new JoinKind.Splice(), "J")).isEqualTo(Termination.SPLICE);
        assertThat(end(new JoinKind.Diode(new Amps(3)), "A")).isEqualTo(Termination.BLADE_6_3);
        assertThat(end(lamp(), "58")).isEqualTo(Termination.BLADE_6_3);
    }

    @Test
    void whereItIsWetAnEndIsSealed() {
        assertThat(Ends.on(placed(lamp(), Zone.CABIN), "58").termination())
                .isEqualTo(Termination.BLADE_6_3);
        for (var zone : Zone.values()) {
            var end = Ends.on(placed(lamp(), zone), "58").termination();
            assertThat(end.equals(Termination.BLADE_6_3)).isEqualTo(!zone.isWet());
        }
    }

    @Test
    void nearTheEngineTheCoverBearsItsHeat() {
        assertThat(Ends.cover(Zone.ENGINE_BAY)).isEqualTo(Insulation.XLPE125);
        assertThat(Ends.cover(Zone.ON_ENGINE)).isEqualTo(Insulation.XLPE125);
        assertThat(Ends.cover(Zone.CABIN)).isEqualTo(Insulation.PVC105);
    }

    /** The rules allow 0.5 mm² at the least: the next thinner, 0.35 mm², is not bought. */
    @Test
    void theThinnestIsTheFirstThatTheHouseAllows() {
        assertThat(Ends.thinnest(design).toString()).isEqualTo("0.5mm2");
    }

    @Test
    void whatFitsAnEndIsWhatItsCopperAndStudTake() {
        var thick = design.wire(new WireId("w1"));
        var thin = design.wire(new WireId("w3"));

        assertThat(Ends.fitting(design, thin, at("H1.58")))
                .contains(thin.at(at("H1.58")).termination(), Termination.BLADE_6_3);
        assertThat(Ends.fitting(design, thick, at("B1.-")))
                .contains(thick.at(at("B1.-")).termination())
                .doesNotContain(Termination.BLADE_6_3);
    }

    @Test
    void partsAreNamedByTheirLetter() {
        assertThat(loose(lamp())).startsWith("H");
        assertThat(loose(fuse(5))).startsWith("F");
        assertThat(loose(battery())).startsWith("G");
        assertThat(loose(new JoinKind.Splice())).startsWith("J");
        assertThat(loose(new JoinKind.Diode(new Amps(3)))).startsWith("V");
        assertThat(loose(new JoinKind.Resistor(new Ohms(1)))).startsWith("R");
        assertThat(loose(new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001))))
                .startsWith("E");
        assertThat(loose(new LoadKind.Voltmeter(new Volts(16)))).startsWith("P");
        assertThat(loose(new LoadKind.Magneto(new Ohms(1)))).startsWith("T");
        assertThat(loose(load())).startsWith("R");
        assertThat(loose(design.part(new PartId("K1")).kind())).startsWith("K");
        assertThat(loose(design.part(new PartId("S1")).kind())).startsWith("S");
    }

    @Test
    void whatIsNotSeenOftenHasItsLetterToo() {
        assertThat(loose(new ControlKind.Points(4, new Ratio(0.6)))).startsWith("S");
        assertThat(
                        loose(
                                new ControlKind.LevelSwitch(
                                        "oil",
                                        Optional.of(new Ratio(0.2)),
                                        Optional.empty(),
                                        true,
                                        new Amps(2))))
                .startsWith("S");
        assertThat(
                        loose(
                                new ControlKind.IgnitionBox(
                                        ControlKind.IgnitionBox.Form.TRANSISTOR,
                                        4,
                                        new Ratio(0.4),
                                        new Amps(0.5))))
                .startsWith("A");
        assertThat(loose(new ControlKind.LatchingRelay(new Volts(12), new Ohms(80), new Amps(30))))
                .startsWith("K");
        assertThat(loose(starter())).startsWith("M");
        assertThat(loose(new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.008))))
                .startsWith("T");
        assertThat(loose(new LoadKind.Ammeter(new Amps(30)))).startsWith("P");
        assertThat(loose(new LoadKind.WarningLamp(new Watts(2), new Volts(13.2)))).startsWith("H");
        assertThat(loose(new LoadKind.Buzzer(new Volts(12), new Amps(0.2)))).startsWith("R");
        assertThat(loose(new JoinKind.Stabiliser(new Volts(10)))).startsWith("R");
        assertThat(loose(new JoinKind.Capacitor(new Farads(2e-7)))).startsWith("C");
        assertThat(loose(connector())).startsWith("X");
    }

    private static LoadKind.Starter starter() {
        return new LoadKind.Starter(new Ohms(0.05), new Ohms(1));
    }

    private static JoinKind.Connector connector() {
        return new JoinKind.Connector(List.of("1", "2"), new Amps(20), Optional.empty());
    }

    /**
     * What leads a wire through does so by the pins that are meant, in at one and out at the other.
     */
    @Test
    void aWireIsLedInAndOutByThePinsThatAreMeant() {
        assertThat(through(new JoinKind.Diode(new Amps(3)))).containsExactly("A", "K");
        assertThat(through(new LoadKind.Ammeter(new Amps(30)))).containsExactly("A", "B");
        assertThat(through(new JoinKind.Resistor(new Ohms(1)))).containsExactly("1", "2");
        assertThat(through(connector())).containsExactly("1a", "1b");
        assertThat(through(new JoinKind.Stabiliser(new Volts(10)))).containsExactly("B", "I");
        assertThat(
                        through(
                                new ControlKind.LatchingRelay(
                                        new Volts(12), new Ohms(80), new Amps(30))))
                .containsExactly("30", "87");
        assertThat(through(new LoadKind.WarningLamp(new Watts(2), new Volts(13.2))))
                .containsExactly("1", "2");
        assertThat(
                        through(
                                new GuardKind.FuseBox(
                                        List.of(
                                                new GuardKind.Way(
                                                        "1", FuseType.BLADE, new Amps(5))))))
                .containsExactly("1a", "1b");
        assertThat(through(design.part(new PartId("S1")).kind())).containsExactly("1", "2");
    }

    /** The pins at which the wire to the lamp comes in and goes on. */
    private List<String> through(Kind kind) {
        var wire = new WireId("w4");
        var attempt = Placing.into(design, wire, "it", kind);
        var put = part(design, attempt);
        var after = ((Possible) attempt).edit().apply(design);
        var in =
                after.wiresAt(at("S1.2")).stream()
                        .map(each -> each.to().terminal())
                        .filter(end -> end.part().equals(put.id()))
                        .findFirst()
                        .orElseThrow();
        return List.of(in.pin(), after.wiresAt(at("H1.58")).getFirst().from().terminal().pin());
    }

    @Test
    void heavyPostsTakeRings() {
        var alternator =
                new SourceKind.Alternator(new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2));
        var dynamo = new SourceKind.Dynamo(new Amps(20), new Ohms(6), new Ratio(2), new Rpm(1000));

        assertThat(end(starter(), "30")).isEqualTo(Termination.RING_M8);
        assertThat(end(starter(), "50")).isEqualTo(Termination.BLADE_6_3);
        assertThat(end(alternator, "B+")).isEqualTo(Termination.RING_M6);
        assertThat(end(alternator, "D+")).isEqualTo(Termination.BLADE_6_3);
        assertThat(end(dynamo, "D")).isEqualTo(Termination.RING_M5);
        assertThat(end(new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001)), "E"))
                .isEqualTo(Termination.RING_M6);
    }

    @Test
    void aLoadLeadsNoWireThroughAndAnEarthTakesNone() {
        var wire = new WireId("w3");

        assertThat(refused(Placing.into(design, wire, "load", load())))
                .contains(Refusal.NO_WAY_THROUGH);
        assertThat(part(design, Placing.into(design, wire, "joint", new JoinKind.Splice())).id())
                .hasToString("J1");
        assertThat(part(design, Placing.into(design, wire, "fuse", fuse(5))).name())
                .isEqualTo("fuse");
    }

    @Test
    void aLoadOntoATerminalIsFedAndEarthedInItsZone() {
        var attempt = Placing.onto(design, CIRCUIT, at("S1.2"), "heater", load());
        var part = part(design, attempt);
        var after = ((Possible) attempt).edit().apply(design);

        assertThat(part.zone()).isEqualTo(design.part(new PartId("S1")).zone());
        assertThat(after.wiresAt(part.terminal("+"))).hasSize(1);
        assertThat(part.mount().isPresent() || !after.wiresAt(part.terminal("31")).isEmpty())
                .isTrue();
    }

    @Test
    void whatHoldsOrHangsIsReplacedOnlyByWhatDoesToo() {
        var earth = new PartId("E2");
        var lamp = new PartId("H1");

        assertThat(refused(Placing.instead(design, earth, new JoinKind.Splice())))
                .contains(Refusal.OTHER_PINS);
        assertThat(refused(Placing.instead(design, lamp, fuse(5)))).contains(Refusal.OTHER_PINS);
        assertThat(refused(Placing.instead(design, lamp, design.part(lamp).kind())))
                .contains(Refusal.NOTHING_TO_DO);
        assertThat(Placing.instead(design, lamp, lamp())).isInstanceOf(Possible.class);
    }

    @Test
    void theNearestEarthIsOfTheBodyAndOfTheZone() {
        var here = placed("E7", new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001)));
        var engine = placed("E8", new JoinKind.EarthPoint(JoinKind.Mass.ENGINE, new Ohms(0.001)));
        var with = new PartEdit.AddPart(engine.withZone(Zone.BOOT)).apply(design);
        with = new PartEdit.AddPart(here.withZone(Zone.BOOT)).apply(with);

        assertThat(Earths.of(with))
                .extracting(part -> part.id().value())
                .containsExactlyInAnyOrder("E1", "E2", "E7", "E8");
        assertThat(Earths.nearest(with, Zone.BOOT)).contains(here.withZone(Zone.BOOT));
        assertThat(Earths.nearest(with, Zone.CABIN).orElseThrow().id().value()).isIn("E1", "E2");
    }

    @Test
    void oneEarthPointCannotBeCombined() {
        var one =
                DesignBuilder.twelveVolts().lamp("H1", 5).wire("B1.+", "H1.58", "1mm2", 1).build();

        assertThat(refused(Earths.combine(one, CIRCUIT, new PartId("E1"))))
                .contains(Refusal.ONE_EARTH_POINT);
    }

    @Test
    void whatAHandBreaksChafesAndCorrodes() {
        assertThat(Trials.broken(design, new PartId("E2")))
                .isEqualTo(new Fault.EarthLost(new PartId("E2")));
        assertThat(Trials.broken(design, new PartId("H1")))
                .isEqualTo(new Fault.DeadPart(new PartId("H1")));
        assertThat(Trials.chafed(design, new WireId("w4")))
                .isEqualTo(new Fault.Chafed(new WireId("w4"), Fault.Place.SECOND_END));
        assertThat(Trials.chafed(design, new WireId("w5")))
                .isEqualTo(new Fault.Chafed(new WireId("w5"), Fault.Place.FIRST_END));
        assertThat(Trials.chafed(design, at("S1.2")))
                .contains(new Fault.Chafed(new WireId("w4"), Fault.Place.FIRST_END));
        assertThat(Trials.chafed(design, at("S1.1")))
                .contains(new Fault.Chafed(new WireId("w3"), Fault.Place.SECOND_END));
        assertThat(Trials.chafed(design, at("E2.E"))).isEmpty();
        assertThat(Trials.chafed(design, at("K1.30"))).isEmpty();
        assertThat(Trials.corroded(design, at("E2.E")))
                .contains(new Fault.PoorEarth(new PartId("E2"), Fault.BAD.getLast()));
        assertThat(Trials.corroded(design, at("S1.2")))
                .contains(new Fault.BadJoint(new WireId("w4"), Fault.BAD.getLast()));
        assertThat(Trials.corroded(design, at("K1.87"))).isEmpty();
    }

    private String loose(Kind kind) {
        var after = Placing.loose(design, "it", kind).apply(design);
        return after.parts().getLast().id().value();
    }

    private static Termination end(Kind kind, String pin) {
        return Ends.usual(placed(kind, Zone.CABIN), pin);
    }

    private static Part placed(Kind kind, Zone zone) {
        return new Part(new PartId("Z1"), "it", zone, Optional.empty(), kind);
    }

    private static Part placed(String id, Kind kind) {
        return new Part(new PartId(id), id, Zone.CABIN, Optional.empty(), kind);
    }

    private static Kind battery() {
        return new SourceKind.Battery(new Volts(12), new Ohms(0.006), Optional.empty());
    }

    private static Kind fuse(double amps) {
        return new GuardKind.Fuse(FuseType.BLADE, new Amps(amps));
    }

    private static Kind lamp() {
        return new LoadKind.Lamp(
                new Volts(13.5), List.of(new LoadKind.Filament("58", new Watts(10))));
    }

    private static Kind load() {
        return new LoadKind.Load(new Demand.InAmps(new Amps(3)), new Volts(12));
    }
}
