package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.reason.Sign;
import aficion.bench.reason.Sign.Look;
import aficion.job.BenchRun.Setting;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is right though it looks wrong. */
class RightThoughTest {
    private static final Design DESIGN =
            SmallCar.builder()
                    .part("U1", new JoinKind.Stabiliser(new Volts(10)))
                    .part("H5", new LoadKind.LedLamp(SmallCar.TWELVE, new Watts(2)))
                    .build();

    private static Optional<RightThough> volts(String at) {
        var task = new TestStep.VoltsAt(Terminal.parse(at).orElseThrow(), Conditions.REST);
        return RightThough.at(DESIGN, Setting.BENCH, task);
    }

    private static Optional<RightThough> works(Setting setting, String part, Look look) {
        var sign = new Sign(new PartId(part), "", look);
        return RightThough.at(DESIGN, setting, new TestStep.Works(List.of(sign), Conditions.REST));
    }

    /** The output of a stabiliser and of a flasher goes on and off; what feeds them does not. */
    @Test
    void whatGoesOnAndOff() {
        assertThat(volts("U1.I")).contains(RightThough.STABILISER_BLINKS);
        assertThat(volts("U1.B")).isEmpty();
        assertThat(volts("K1.49a")).contains(RightThough.FLASHER_BLINKS);
        assertThat(volts("K1.49")).isEmpty();
        assertThat(volts("H2.58")).isEmpty();
    }

    /** Behind small lamps a flasher is slow; with its own it is not. */
    @Test
    void aFlasherBehindSmallLamps() {
        assertThat(works(Setting.STAND_INS, "H3", Look.BLINKS))
                .contains(RightThough.FLASHER_BLINKS);
        assertThat(works(Setting.BENCH, "H3", Look.BLINKS)).isEmpty();
        assertThat(works(Setting.STAND_INS, "H3", Look.BURNS)).isEmpty();
    }

    /** A lamp of diodes glows; a bulb that is dim is dim. */
    @Test
    void aLampOfDiodesGlows() {
        assertThat(works(Setting.BENCH, "H5", Look.DIM)).contains(RightThough.DIODES_GLOW);
        assertThat(works(Setting.BENCH, "H5", Look.BURNS)).isEmpty();
        assertThat(works(Setting.BENCH, "H2", Look.DIM)).isEmpty();
        assertThat(RightThough.at(DESIGN, Setting.BENCH, new TestStep.LookAt(new PartId("H5"))))
                .isEmpty();
    }
}
