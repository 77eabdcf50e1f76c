package aficion.diagram;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.CircuitId;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Wire;
import org.junit.jupiter.api.Test;

class LayoutTest {
    static final CircuitId CIRCUIT = new CircuitId("1");

    /** Words of eight units a sign. */
    static final Lettering WORDS =
            new Lettering() {
                @Override
                public String part(Part part) {
                    return part.name();
                }

                @Override
                public String wire(Wire wire) {
                    return wire.number();
                }

                @Override
                public String shortWire(Wire wire) {
                    return wire.number();
                }

                @Override
                public String earth(PartId earth) {
                    return earth.value();
                }

                @Override
                public double width(String text) {
                    return 8 * text.length();
                }
            };

    /**
     * Two joints a step, each fed by both of the step before: 2^24 ways from one end to the other.
     */
    @Test
    void aLadderOfJointsIsDrawn() {
        var ladder = DesignBuilder.twelveVolts();
        int steps = 24;
        for (int i = 0; i <= steps; i++) {
            ladder.part("A" + i, new JoinKind.Splice()).part("C" + i, new JoinKind.Splice());
        }
        ladder.wire("B1.+", "A0.J", "1mm2", 1).wire("B1.+", "C0.J", "1mm2", 1);
        for (int i = 0; i < steps; i++) {
            for (var from : new String[] {"A" + i, "C" + i}) {
                for (var to : new String[] {"A" + (i + 1), "C" + (i + 1)}) {
                    ladder.wire(from + ".J", to + ".J", "1mm2", 1);
                }
            }
        }

        var drawn = Layout.of(ladder.build(), CIRCUIT, WORDS);

        assertThat(drawn.strokes()).hasSize(3 + 4 * steps);
        assertThat(drawn.bodies()).hasSizeGreaterThan(2 * steps);
    }

    /** Joints that feed one another round are drawn once each. */
    @Test
    void aRingIsDrawn() {
        var ring =
                DesignBuilder.twelveVolts()
                        .part("J1", new JoinKind.Splice())
                        .part("J2", new JoinKind.Splice())
                        .part("J3", new JoinKind.Splice())
                        .wire("B1.+", "J1.J", "1mm2", 1)
                        .wire("J1.J", "J2.J", "1mm2", 1)
                        .wire("J2.J", "J3.J", "1mm2", 1)
                        .wire("J3.J", "J1.J", "1mm2", 1)
                        .build();

        assertThat(Layout.of(ring, CIRCUIT, WORDS).strokes()).hasSize(5);
    }
}
