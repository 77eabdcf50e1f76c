package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.PartTest.Topic;
import aficion.catalogue.Zone;
import aficion.job.BenchRun.Verdict;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.LoadKind.Filament;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What new parts show before they are fitted. */
class PartTestTest {
    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .part("M1", new LoadKind.Motor(new Amps(8), new Volts(12)))
                    .relay("K1")
                    .onOff("S1", "light", 10)
                    .build();

    private static PartTest test(Part part, Topic topic) {
        return PartTest.of(DESIGN, part).stream()
                .filter(each -> each.topic() == topic)
                .findFirst()
                .orElseThrow();
    }

    private static Part part(Kind kind) {
        return new Part(new PartId("X1"), "new", Zone.CABIN, Optional.empty(), kind);
    }

    /** A headlamp of 60 W at 13.2 V draws 4.43 A at 12.6: 60/13.2·(12.6/13.2)^0.55. */
    @Test
    void aLampDrawsWhatItsPlateSays() {
        var lamp =
                part(
                        new LoadKind.Lamp(
                                new Volts(13.2), List.of(new Filament("56a", new Watts(60)))));
        var test = test(lamp, Topic.AMPS);

        assertThat(test.expected())
                .hasValueSatisfying(should -> {
                    assertThat(should.judge(4.43)).isEqualTo(Verdict.PASS);
                    assertThat(((Expected.Near) should).value().value())
                            .isCloseTo(4.43, within(0.01));
                    assertThat(should.judge(3.3)).isEqualTo(Verdict.NEAR);
                    assertThat(should.judge(1.6)).isEqualTo(Verdict.FAIL);
                });
        var other = test.taking(lamp, 4.06).orElseThrow();
        var told =
                (LoadKind.Lamp)
                        other.apply(new PartEdit.AddPart(lamp).apply(DESIGN))
                                .part(lamp.id())
                                .kind();
        assertThat(told.filaments().getFirst().watts().value()).isCloseTo(55, within(0.1));
    }

    /** A motor that turns the wrong way is said to; what it draws goes into the job. */
    @Test
    void aMotorIsTriedBothForItsWayAndForWhatItDraws() {
        var motor = DESIGN.part(new PartId("M1"));
        var way = test(motor, Topic.DIRECTION);
        var running = test(motor, Topic.RUNNING);
        var turned = way.turning(motor).orElseThrow().apply(DESIGN).part(motor.id());
        var hungry = running.taking(motor, 11).orElseThrow().apply(DESIGN).part(motor.id());

        assertThat(((LoadKind.Motor) turned.kind()).wantsTurning()).isTrue();
        assertThat(((LoadKind.Motor) hungry.kind()).running()).isEqualTo(new Amps(11));
        assertThat(running.taking(motor, -1)).isEmpty();
        assertThat(running.turning(motor)).isEmpty();
        assertThat(test(motor, Topic.STARTING).expected().orElseThrow().judge(30))
                .isEqualTo(Verdict.PASS);
    }

    /** A relay clicks and has its ohms, a sender both its ends, a switch every position. */
    @Test
    void coilsSendersAndSwitchesHaveTheirOwn() {
        var relay = DESIGN.part(new PartId("K1"));
        var hand = DESIGN.part(new PartId("S1"));
        var sender = part(new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)));

        assertThat(PartTest.of(DESIGN, relay))
                .extracting(PartTest::topic)
                .containsExactly(Topic.WINDING, Topic.CLICK);
        assertThat(test(relay, Topic.WINDING).expected().orElseThrow().judge(85))
                .isEqualTo(Verdict.PASS);
        assertThat(PartTest.of(DESIGN, hand))
                .extracting(test -> test.detail() + test.joined(hand.kind()))
                .containsExactly("off[]", "on[1-2]");
        assertThat(PartTest.of(DESIGN, sender))
                .extracting(PartTest::topic)
                .containsExactly(Topic.LOW, Topic.HIGH);
        assertThat(PartTest.of(DESIGN, sender)).extracting(PartTest::key).doesNotHaveDuplicates();
    }

    private static List<String> tests(Kind kind) {
        return PartTest.of(DESIGN, part(kind)).stream()
                .map(test ->
                        test.key()
                                + test.expected()
                                        .map(expected -> ": " + SmallCar.expected(expected))
                                        .orElse(""))
                .toList();
    }

    /** What of each kind is tried, and what it should show at 12.6 V. */
    @Test
    void whatEachKindIsTriedFor() {
        assertThat(
                        tests(
                                new LoadKind.TwoSpeedMotor(
                                        new Amps(3),
                                        new Amps(6),
                                        SmallCar.TWELVE,
                                        Optional.empty(),
                                        true)))
                .containsExactly("direction", "amps 53: 3.00 +- 0.90", "amps 53b: 6.00 +- 1.80");
        assertThat(
                        tests(
                                new LoadKind.WiperMotor(
                                        "park", new Amps(3), SmallCar.TWELVE, Optional.empty())))
                .containsExactly("amps 53: 3.00 +- 0.90");
        assertThat(tests(new LoadKind.Load(new Demand.InAmps(new Amps(4)), SmallCar.TWELVE)))
                .containsExactly("amps +: 4.20 +- 0.63");
        assertThat(tests(new LoadKind.Load(new Demand.InWatts(new Watts(48)), SmallCar.TWELVE)))
                .containsExactly("amps +: 4.20 +- 0.63");
        assertThat(tests(new LoadKind.LedLamp(SmallCar.TWELVE, new Watts(2))))
                .containsExactly("direction +");
        assertThat(tests(new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.01))))
                .containsExactly("winding: 3.00 +- 0.45");
        assertThat(tests(new LoadKind.Gauge(new Ohms(60), new Amps(0.1))))
                .containsExactly("winding: 60.00 +- 9.00");
        assertThat(tests(new LoadKind.Heater(new Ohms(1), new Ohms(2), new Seconds(5))))
                .containsExactly("winding: 1.00 +- 0.15");
        assertThat(tests(new LoadKind.Magneto(new Ohms(2))))
                .containsExactly("winding: 2.00 +- 0.30");
        assertThat(tests(new ControlKind.LevelSwitch("oil", new Ratio(0.5), true, new Amps(1))))
                .containsExactly("position low", "position high");
        assertThat(tests(SmallCar.flasher())).containsExactly("flash");
        for (var none :
                List.of(
                        new LoadKind.WarningLamp(new Watts(2), SmallCar.TWELVE),
                        new LoadKind.Starter(new Ohms(0.05), new Ohms(1)),
                        new LoadKind.Ammeter(new Amps(30)),
                        new LoadKind.Voltmeter(new Volts(16)),
                        new LoadKind.Buzzer(SmallCar.TWELVE, new Amps(0.1)),
                        new JoinKind.Splice(),
                        new ControlKind.Points(4, new Ratio(0.5)))) {
            assertThat(tests(none)).as(none.toString()).isEmpty();
        }
    }

    /** A reading of a load says its amps, or its watts, at its own volts. */
    @Test
    void aLoadIsTakenAtItsOwnVolts() {
        var amps = part(new LoadKind.Load(new Demand.InAmps(new Amps(4)), SmallCar.TWELVE));
        var watts = part(new LoadKind.Load(new Demand.InWatts(new Watts(48)), SmallCar.TWELVE));

        assertThat(taken(amps)).isEqualTo("InAmps[amps=" + new Amps(8) + "]");
        assertThat(taken(watts)).isEqualTo("InWatts[watts=" + new Watts(96) + "]");
    }

    /** What it is said to be after twice the current of 12 V at 12.6. */
    private static String taken(Part part) {
        var test = PartTest.of(DESIGN, part).getFirst();
        double shown = 2 * test.expected().orElseThrow().figure().orElseThrow();
        var told =
                test.taking(part, shown)
                        .orElseThrow()
                        .apply(new PartEdit.AddPart(part).apply(DESIGN))
                        .part(part.id())
                        .kind();
        return ((LoadKind.Load) told).demand().toString();
    }
}
