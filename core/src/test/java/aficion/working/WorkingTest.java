package aficion.working;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WireSizing;
import aficion.working.Working.Given;
import aficion.working.Working.Step;
import aficion.working.Working.Topic;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A working says enough to be done again by hand, and comes to the same. */
class WorkingTest {
    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .lamp("H1", 55)
                    .lamp("H2", 21)
                    .wire("B1.+", "F1.1", "2.5mm2", 0.5)
                    .wire("F1.2", "H1.58", "1mm2", 4)
                    .inBundle("rear")
                    .wire("F1.2", "H2.58", "1mm2", 3)
                    .inBundle("rear")
                    .build();

    private static final Assessment ASSESSMENT = Assessment.of(DESIGN);

    static Stream<WireSizing> sizings() {
        return ASSESSMENT.sizings().values().stream();
    }

    private static double given(Working working, String symbol) {
        return working.givens().stream()
                .filter(given -> given.symbol().equals(symbol))
                .mapToDouble(given -> given.value().value())
                .findFirst()
                .orElseThrow();
    }

    private static double step(Working working, String symbol) {
        return working.steps().stream()
                .filter(step -> step.symbol().equals(symbol))
                .mapToDouble(step -> step.value().value())
                .findFirst()
                .orElseThrow();
    }

    /** ΔV = I · r(T) · L, and the limit is kept where it is no less. */
    @ParameterizedTest
    @MethodSource("sizings")
    void aDropIsWhatItsFormulaSays(WireSizing sizing) {
        var drop = sizing.drop();
        double again = given(drop, "I") * step(drop, "r(T)") * given(drop, "L");
        var limit = drop.limit().orElseThrow();

        assertThat(drop.result().value()).isCloseTo(again, within(1e-12));
        assertThat(limit.kept()).isEqualTo(drop.result().value() <= limit.value().value());
        assertThat(limit.value().unit()).isEqualTo(drop.result().unit());
    }

    /** I² · R(T) = q, at the air and the warmth above it that were given. */
    @ParameterizedTest
    @MethodSource("sizings")
    void whatAWireCarriesIsWhatItsFormulaSays(WireSizing sizing) {
        var carries = sizing.carries();
        double amps = carries.result().value();

        assertThat(amps * amps * step(carries, "R(T)")).isCloseTo(step(carries, "q"), within(1e-9));
        assertThat(step(carries, "T"))
                .isCloseTo(given(carries, "Ta") + given(carries, "ΔT"), within(1e-9));
        assertThat(carries.result().unit()).isEqualTo(new Amps(1).unit());
    }

    /** What is given once is named once, has a source, and the figure is the last of the steps. */
    @Test
    void everyWorkingIsWhole() {
        var all =
                Stream.concat(
                                sizings()
                                        .flatMap(each ->
                                                Stream.of(
                                                        each.carries(),
                                                        each.carriesShortly(),
                                                        each.drop())),
                                ASSESSMENT.bundles().stream().map(bundle -> bundle.working()))
                        .toList();

        assertThat(all).extracting(Working::topic).contains(Topic.BUNDLE, Topic.DROP);
        assertThat(all)
                .allSatisfy(working -> {
                    assertThat(working.source()).isNotBlank();
                    assertThat(working.givens()).extracting(Given::symbol).doesNotHaveDuplicates();
                    assertThat(working.steps()).extracting(Step::symbol).doesNotHaveDuplicates();
                    assertThat(working.result()).isEqualTo(working.steps().getLast().value());
                    assertThat(working.result().value()).isFinite();
                });
    }

    @Test
    void aWorkingWithoutAResultIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() ->
                        new Working(
                                Topic.DROP, "U", List.of(), List.of(), Optional.empty(), "Ohm"));
    }
}
