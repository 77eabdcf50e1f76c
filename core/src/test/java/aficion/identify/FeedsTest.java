package aficion.identify;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.FuseType;
import aficion.catalogue.Purpose;
import aficion.identify.Feeds.Offer;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.WireId;
import aficion.job.WorkshopPractice;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where a vehicle can be fed from, as a meter would find it by turning the key. */
class FeedsTest {
    /** A main fuse, a joint, a key with run and start, a box of three ways behind the key. */
    private static DesignBuilder vehicle() {
        return DesignBuilder.twelveVolts()
                .part("F1", new GuardKind.Fuse(FuseType.BOLTED, new Amps(50)))
                .part("J1", new JoinKind.Splice())
                .part("S1", key())
                .part("F2", new GuardKind.FuseBox(List.of(way(1), way(2), way(3))))
                .lamp("H1", 5)
                .wire("B1.+", "F1.1", "10mm2", 0.2)
                .wire("F1.2", "J1.J", "10mm2", 1)
                .wire("J1.J", "S1.30", "4mm2", 1)
                .wire("S1.15", "F2.1a", "4mm2", 1)
                .wire("S1.15", "F2.2a", "4mm2", 1)
                .wire("J1.J", "F2.3a", "4mm2", 1)
                .wire("F2.1b", "H1.58", "1mm2", 1);
    }

    private static ControlKind.Switch key() {
        var run = new Contact("30", "15");
        var start = new Contact("30", "50");
        return new ControlKind.Switch(
                Action.KEY,
                "key",
                List.of("30", "15", "50"),
                List.of(
                        new Position("off", false, List.of()),
                        new Position("run", false, List.of(run)),
                        new Position("start", true, List.of(run, start))),
                new Amps(40));
    }

    private static GuardKind.Way way(int number) {
        return new GuardKind.Way(String.valueOf(number), FuseType.BLADE, new Amps(10));
    }

    private static Offer offer(Design design, String terminal) {
        return Feeds.of(design).stream()
                .filter(offer -> offer.terminal().equals(at(terminal)))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no offer of " + terminal));
    }

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    @Test
    void whatIsLiveWhenIsFoundByTurningTheKey() {
        var design = vehicle().build();

        assertThat(offer(design, "J1.J").feed()).isEqualTo(Feed.ALWAYS);
        assertThat(offer(design, "F2.3b").feed()).isEqualTo(Feed.ALWAYS);
        assertThat(offer(design, "F2.2b").feed()).isEqualTo(Feed.IGNITION);
        assertThat(offer(design, "S1.50").feed()).isEqualTo(Feed.START);
    }

    @Test
    void aFuseOfACircuitIsToldFromTheMainOne() {
        var design = vehicle().build();

        assertThat(offer(design, "J1.J").fused()).isFalse();
        assertThat(offer(design, "F2.2b").fused()).isTrue();
        assertThat(offer(design, "F2.2b").own()).isTrue();
        assertThat(offer(design, "F2.1b").wires()).isEqualTo(1);
        assertThat(offer(design, "F2.2b").wires()).isZero();
    }

    @Test
    void theBestFeedIsAFreeWayOrAJoint() {
        var offers = Feeds.of(vehicle().build());

        assertThat(Feeds.best(offers, Feed.IGNITION, true)).contains(at("F2.2b"));
        assertThat(Feeds.best(offers, Feed.ALWAYS, true)).contains(at("F2.3b"));
        assertThat(Feeds.best(offers, Feed.ALWAYS, false)).contains(at("J1.J"));
        assertThat(Feeds.best(offers, Feed.ACCESSORY, true)).isEmpty();
    }

    @Test
    void theMainFeedIsTakenWhereTheHouseTakesIt() {
        var wires =
                vehicle()
                        .part("G1", alternator())
                        .part("M1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1)))
                        .wire("B1.+", "M1.30", "25mm2", 1)
                        .stated(Unguarded.STARTER_FEED);

        assertThat(MainFeed.post(wires.build())).contains(at("B1.+"));
        assertThat(MainFeed.post(by(wires, WorkshopPractice.FROM_ALTERNATOR).build()))
                .contains(at("G1.B+"));
        assertThat(MainFeed.post(by(wires, WorkshopPractice.FROM_SOLENOID).build()))
                .contains(at("M1.30"));
        assertThat(MainFeed.post(by(vehicle(), WorkshopPractice.FROM_SOLENOID).build()))
                .contains(at("B1.+"));
    }

    private static DesignBuilder by(DesignBuilder builder, WorkshopPractice school) {
        return builder.rules(HouseRules.USUAL.withSchool(school));
    }

    private static SourceKind alternator() {
        return new SourceKind.Alternator(new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2));
    }

    @Test
    void theLeadFromTheBatteryIsTheOneToAGuard() {
        var design = vehicle().build();

        assertThat(MainFeed.fromBattery(design))
                .extracting(wire -> wire.to().terminal())
                .containsExactly(at("F1.1"));
        assertThat(MainFeed.far(design, MainFeed.fromBattery(design).getFirst()).id().value())
                .isEqualTo("F1");
    }

    @Test
    void aWireBehindTheKeyServesTheIgnition() {
        var purposes = Purposes.of(vehicle().build());

        assertThat(purposes.get(wire("S1.15", "F2.1a"))).isEqualTo(Purpose.IGNITION);
        assertThat(purposes.get(wire("B1.-", "E1.E"))).isEqualTo(Purpose.EARTH);
    }

    private static WireId wire(String from, String to) {
        return vehicle().build().wires().stream()
                .filter(wire -> wire.from().terminal().equals(at(from)))
                .filter(wire -> wire.to().terminal().equals(at(to)))
                .findFirst()
                .orElseThrow()
                .id();
    }
}
