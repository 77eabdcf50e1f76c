package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.PartTest.Topic;
import aficion.catalogue.Zone;
import aficion.job.BenchRun.Verdict;
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
import aficion.quantity.Ohms;
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
}
