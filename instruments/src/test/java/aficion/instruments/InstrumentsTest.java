package aficion.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.fault.Fault;
import aficion.instruments.InstrumentException.Trouble;
import aficion.instruments.StandInServer.Role;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Laid;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.route.RunLength;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The real client against stand-ins over TCP: a lamp of 21 W on 12 V, and lines that fail. */
class InstrumentsTest {
    private static final Duration SOON = Duration.ofMillis(800);
    private static final String HERE = "127.0.0.1";

    /** The battery's strap is w1, the lamp's lead w2. */
    private static final Design LAMP =
            new Design(
                    new Vehicle("lamp", 1960, new Volts(12), Vehicle.Pole.NEGATIVE),
                    HouseRules.USUAL,
                    List.of(new Circuit(new CircuitId("1"), 1, "lamp", Circuit.Drops.ORDINARY)),
                    List.of(
                            part("B1", new SourceKind.Battery(new Volts(12), new Ohms(0.006))),
                            part(
                                    "E1",
                                    new JoinKind.EarthPoint(JoinKind.Mass.BODY, new Ohms(0.001))),
                            part(
                                            "H1",
                                            new LoadKind.Lamp(
                                                    new Volts(12),
                                                    List.of(
                                                            new LoadKind.Filament(
                                                                    "58", new Watts(21)))))
                                    .withMount(new PartId("E1"))),
                    List.of(
                            wire("w1", "B1.-", "E1.E", "25mm2"),
                            wire("w2", "B1.+", "H1.58", "1mm2")));

    private static Part part(String id, Kind kind) {
        return new Part(new PartId(id), id, Zone.CABIN, Optional.empty(), kind);
    }

    private static Wire wire(String id, String from, String to, String size) {
        return new Wire(
                new WireId(id),
                id,
                new CircuitId("1"),
                new End(Terminal.parse(from).orElseThrow(), Termination.RING_M8),
                new End(Terminal.parse(to).orElseThrow(), Termination.BLADE_6_3),
                new Cut(
                        WireSize.parse(size).orElseThrow(),
                        Insulation.PVC105,
                        WireColour.plain(Colour.RED)),
                new Laid.Stated(new RunLength.Measured(new Metres(1)), Zone.CABIN));
    }

    private StandIn standIn = new StandIn(LAMP, List.of(), Optional.empty());
    private StandInServer supply;
    private StandInServer meter;

    @BeforeEach
    void open() throws IOException {
        supply = StandInServer.open(standIn, Role.SUPPLY, 0);
        meter = StandInServer.open(standIn, Role.METER, 0);
    }

    @AfterEach
    void close() {
        supply.close();
        meter.close();
    }

    private Supply toSupply() {
        return new Supply(HERE, supply.port(), SOON);
    }

    private NetworkMeter toMeter() {
        return new NetworkMeter(HERE, meter.port(), SOON);
    }

    /** 21 W at 12 V are 1.75 A; off there is nothing; closed it is off. */
    @Test
    void aSupplyFeedsTheJobWhileItIsOn() throws InstrumentException {
        try (var client = toSupply();
                var probes = toMeter()) {
            assertThat(client.identify()).contains("supply");
            client.set(new Volts(12), new Amps(5));
            assertThat(client.amps().value()).isZero();
            client.on();
            assertThat(client.amps().value()).isCloseTo(1.75, within(0.15));
            probes.probes("H1.58", "E1.E");
            probes.state("rest");
            assertThat(probes.volts().value()).isCloseTo(12, within(0.4));
            probes.probes("B1.+", "H1.58");
            assertThat(probes.amps().value()).isCloseTo(1.75, within(0.15));
            client.off();
            assertThat(probes.amps().value()).isZero();
            assertThat(probes.volts().value()).isZero();
            client.on();
        }
        assertThat(standIn.output()).isFalse();
    }

    /** The limit holds: a short draws no more than was set. */
    @Test
    void aShortDrawsTheLimit() throws IOException {
        close();
        standIn =
                new StandIn(
                        LAMP,
                        List.of(new Fault.Chafed(new WireId("w2"), Fault.Place.SECOND_END)),
                        Optional.empty());
        open();
        try (var client = toSupply()) {
            client.set(new Volts(12), new Amps(3));
            client.on();
            assertThat(client.amps().value()).isCloseTo(3, within(0.05));
            assertThat(client.volts().value()).isLessThan(2);
        }
    }

    /** Ohms of the lamp's lead with the supply off; over the range while it is on. */
    @Test
    void ohmsAreMeasuredWithTheSupplyOff() throws InstrumentException {
        try (var client = toSupply();
                var probes = toMeter()) {
            probes.probes("B1.+", "H1.58");
            assertThat(probes.ohms().value()).isBetween(0.001, 0.2);
            client.on();
            assertThat(probes.ohms().value()).isGreaterThan(1e9);
        }
    }

    /** What is out of range or not understood is told, and the line goes on. */
    @Test
    void whatCannotBeDoneIsTold() throws InstrumentException {
        try (var client = toSupply();
                var probes = toMeter()) {
            var high =
                    catchThrowableOfType(
                            InstrumentException.class,
                            () -> client.set(new Volts(400), new Amps(1)));
            assertThat(high.trouble()).isEqualTo(Trouble.REFUSED);
            var nowhere =
                    catchThrowableOfType(
                            InstrumentException.class, () -> probes.probes("Z9.1", "E1.E"));
            assertThat(nowhere.trouble()).isEqualTo(Trouble.REFUSED);
            assertThat(probes.identify()).contains("meter");
        }
    }

    /** A line that is cut is connected anew at the next command. */
    @Test
    void aCutLineIsMended() throws IOException {
        try (var client = toMeter()) {
            client.identify();
            int port = meter.port();
            meter.close();
            meter = StandInServer.open(standIn, Role.METER, port);
            assertThat(client.identify()).contains("meter");
        }
    }

    private static InstrumentException asked(int port) {
        try (var client = new NetworkMeter(HERE, port, Duration.ofMillis(300))) {
            return catchThrowableOfType(InstrumentException.class, client::volts);
        }
    }

    /** Nobody there, silence, garbage, an answer without an end: each is told within its time. */
    @Test
    void whatIsNoInstrumentIsTold() throws IOException {
        try (var server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress())) {
            assertThat(asked(server.getLocalPort()).trouble()).isEqualTo(Trouble.SILENT);
        }
        assertThat(saying("no number\n").trouble()).isEqualTo(Trouble.GARBAGE);
        assertThat(saying("NaN\n").trouble()).isEqualTo(Trouble.GARBAGE);
        assertThat(saying("1".repeat(9000)).trouble()).isEqualTo(Trouble.GARBAGE);
        int gone;
        try (var server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress())) {
            gone = server.getLocalPort();
        }
        assertThat(asked(gone).trouble()).isEqualTo(Trouble.NOT_THERE);
    }

    private static InstrumentException saying(String answer) throws IOException {
        try (var server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress())) {
            Thread.ofVirtual()
                    .start(() -> {
                        try (Socket client = server.accept()) {
                            client.getOutputStream()
                                    .write(answer.getBytes(StandardCharsets.US_ASCII));
                            client.getInputStream().readAllBytes();
                        } catch (IOException e) {
                            // The test has ended.
                        }
                    });
            return asked(server.getLocalPort());
        }
    }

    /** A stand-in listens on this machine alone, and garbage does not end it. */
    @Test
    void garbageDoesNotEndAStandIn() throws IOException {
        try (var socket = new Socket(InetAddress.getLoopbackAddress(), meter.port())) {
            socket.getOutputStream()
                    .write(
                            (";;;\0\u0007 x".repeat(400) + "\nMEAS?\n\n")
                                    .getBytes(StandardCharsets.UTF_8));
        }
        try (var client = toMeter()) {
            assertThat(client.identify()).contains("meter");
        }
    }
}
