package aficion.check;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.FuseType;
import aficion.check.finding.Finding;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.WorkshopPractice;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import aficion.verb.Attempt;
import aficion.verb.Tidying;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where the house answers otherwise than most, what is done the common way is found and mended. */
class HouseRulesTest {
    private static final LoadKind.Motor FAN = new LoadKind.Motor(new Amps(6), new Volts(12));

    private static final SourceKind.Alternator ALTERNATOR =
            new SourceKind.Alternator(new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2.2));

    private static DesignBuilder house(WorkshopPractice school) {
        return DesignBuilder.twelveVolts().rules(HouseRules.USUAL.withSchool(school));
    }

    private static <F extends Finding> List<F> found(Design design, Class<F> kind) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(kind::isInstance)
                .map(kind::cast)
                .toList();
    }

    /** The job with the only finding of a kind mended, which ends it. */
    private static <F extends Finding> Design mended(Design design, Class<F> kind) {
        var findings = found(design, kind);
        assertThat(findings).hasSize(1);
        var mended = findings.getFirst().remedies().getFirst().apply(design);
        assertThat(found(mended, kind)).isEmpty();
        return mended;
    }

    private static void fan(DesignBuilder design) {
        design.fuse("F1", 15)
                .part("M1", FAN)
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "M1.+", "2.5mm2", 1)
                .wire("M1.31", "E1.E", "2.5mm2", 1);
    }

    @Test
    void aFanKeepsGoingBehindABreakerThatClosesAgain() {
        var design = house(WorkshopPractice.SELF_RESETTING);
        fan(design);
        var kind =
                mended(design.build(), Finding.FuseNotBreaker.class).part(new PartId("F1")).kind();
        assertThat(kind).isEqualTo(new GuardKind.Fuse(FuseType.BREAKER_SELF, new Amps(15)));

        var usual = house(WorkshopPractice.FUSES);
        fan(usual);
        assertThat(found(usual.build(), Finding.FuseNotBreaker.class)).isEmpty();
    }

    /** A way of a box is changed alone: that of the fan, not that of the lamp. */
    @Test
    void onlyTheWayOfTheFanTakesABreaker() {
        var ways =
                List.of(
                        new GuardKind.Way("1", FuseType.BLADE, new Amps(15)),
                        new GuardKind.Way("2", FuseType.BLADE, new Amps(10)));
        var design =
                house(WorkshopPractice.SELF_RESETTING)
                        .part("F1", new GuardKind.FuseBox(ways))
                        .part("M1", FAN)
                        .lamp("H1", 5)
                        .wire("B1.+", "F1.1a", "2.5mm2", 0.15)
                        .wire("B1.+", "F1.2a", "2.5mm2", 0.15)
                        .wire("F1.1b", "M1.+", "2.5mm2", 1)
                        .wire("M1.31", "E1.E", "2.5mm2", 1)
                        .wire("F1.2b", "H1.58", "1mm2", 1)
                        .wire("H1.31", "E1.E", "1mm2", 1)
                        .build();
        assertThat(
                        mended(design, Finding.FuseNotBreaker.class)
                                .part(new PartId("F1"))
                                .kind()
                                .seats())
                .extracting(seat -> seat.type())
                .containsExactly(FuseType.BREAKER_SELF, FuseType.BLADE);
    }

    @Test
    void aBreakerByHandIsolatesTheVehicle() {
        var design = house(WorkshopPractice.MANUAL_BREAKER);
        fan(design);
        var kind =
                mended(design.build(), Finding.FuseNotBreaker.class).part(new PartId("F1")).kind();
        assertThat(kind).isEqualTo(new GuardKind.Fuse(FuseType.BREAKER_MANUAL, new Amps(15)));
    }

    /** Without an alternator the battery's post has to do. */
    @Test
    void theMainFeedIsTakenFromThePostOfTheHouse() {
        var without = house(WorkshopPractice.FROM_ALTERNATOR);
        fan(without);
        assertThat(found(without.build(), Finding.FeedFromOtherPost.class)).isEmpty();

        var design = house(WorkshopPractice.FROM_ALTERNATOR);
        fan(design);
        design.mounted("G1", "E1", ALTERNATOR)
                .fuse("F2", 60)
                .wire("G1.B+", "F2.1", "10mm2", 0.5)
                .wire("F2.2", "B1.+", "10mm2", 0.15);
        var moved = mended(design.build(), Finding.FeedFromOtherPost.class);
        assertThat(moved.wires().get(1).from().terminal())
                .isEqualTo(new Terminal(new PartId("G1"), "B+"));
    }

    @Test
    void theStarterPostFeedsTheRestWhereTheHouseHasItSo() {
        var design = house(WorkshopPractice.FROM_SOLENOID);
        fan(design);
        design.mounted("M2", "E1", new LoadKind.Starter(new Ohms(0.04), new Ohms(0.8)))
                .wire("B1.+", "M2.30", "25mm2", 0.8)
                .stated(Unguarded.STARTER_FEED);
        var moved = mended(design.build(), Finding.FeedFromOtherPost.class);
        assertThat(moved.wires().get(1).from().terminal())
                .isEqualTo(new Terminal(new PartId("M2"), "30"));
    }

    @Test
    void aCaseOnTheBodyGetsAWireToReturnBy() {
        var lamp = new LoadKind.Lamp(new Volts(13.2), List.of(filament()));
        var design =
                house(WorkshopPractice.WIRE_RETURN)
                        .fuse("F1", 5)
                        .mounted("H1", "E1", lamp)
                        .wire("B1.+", "F1.1", "1mm2", 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "H1.58", "1mm2", 1)
                        .build();
        var with = mended(design, Finding.ReturnsByBody.class);
        assertThat(with.part(new PartId("H1")).mount()).isEmpty();
        assertThat(with.wires().getLast().terminals())
                .extracting(Terminal::toString)
                .containsExactly("H1.31", "E1.E");
        assertThat(found(with, Finding.NoWayBack.class)).isEmpty();
    }

    private static LoadKind.Filament filament() {
        return new LoadKind.Filament("58", new Watts(5));
    }

    @Test
    void anAlternatorThatALampWakesIsNamedWhereTheHouseHasOneWire() {
        var design = house(WorkshopPractice.ONE_WIRE).mounted("G1", "E1", ALTERNATOR).build();
        assertThat(found(design, Finding.WakesOtherwise.class)).hasSize(1);
        var usual = house(WorkshopPractice.LAMP_WAKES).mounted("G1", "E1", ALTERNATOR).build();
        assertThat(found(usual, Finding.WakesOtherwise.class)).isEmpty();
    }

    /** A blade takes 2.5 mm² at most (terminals.csv); what needs more keeps what it needs. */
    @Test
    void theLargestThatFitsItsTerminalsIsTaken() {
        var thin =
                house(WorkshopPractice.LARGEST_SIZE)
                        .fuse("F1", 5)
                        .load("X1", 2)
                        .wire("B1.+", "F1.1", "1mm2", 0.15)
                        .wire("F1.2", "X1.+", "1mm2", 1)
                        .wire("X1.31", "E1.E", "1mm2", 1)
                        .build();
        var attempt = Tidying.resize(Assessment.of(thin), new CircuitId("1"));
        assertThat(attempt).isInstanceOf(Attempt.Possible.class);
        var large = ((Attempt.Possible) attempt).edit().apply(thin);
        assertThat(large.wires())
                .extracting(wire -> wire.size().designation())
                .containsOnly("0.5", "2.5");
    }
}
