package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.files.WireList.Column;
import aficion.files.WireList.Problem;
import aficion.files.WireList.Trouble;
import aficion.job.Design;
import aficion.job.RunLength;
import aficion.job.Wire;
import aficion.quantity.UserUnits;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WireListTest {
    private final Design design = DemoJobs.find("roadster").orElseThrow().design();

    private static WireList.Plan plan(Design design, String text) {
        var list = WireList.read(text);
        return list.plan(design, list.matched(), UserUnits.METRIC, "Old loom");
    }

    @Test
    void columnsAreMatchedByTheirHeadings() {
        var list =
                WireList.read("Wire;Start;End;Color;mm\u00b2;Len\n1;H1.56b;S3.56b;UR;1,5;80 cm\n");

        assertThat(list.matched())
                .containsEntry(Column.NUMBER, 0)
                .containsEntry(Column.FROM, 1)
                .containsEntry(Column.TO, 2)
                .containsEntry(Column.COLOUR, 3)
                .containsEntry(Column.SIZE, 4)
                .containsEntry(Column.LENGTH, 5);
        var plan = list.plan(design, list.matched(), UserUnits.METRIC, "Old loom");
        var wire = plan.edit().apply(design).wires().getLast();

        assertThat(plan.problems()).isEmpty();
        assertThat(wire.number()).isEqualTo("1");
        assertThat(wire.from().terminal()).hasToString("H1.56b");
        assertThat(wire.colour().british()).isEqualTo("UR");
        assertThat(wire.size()).hasToString("1.5mm2");
        assertThat(wire.length().metres().value()).isEqualTo(0.8);
    }

    /** What we write ourselves comes back in. */
    @Test
    void whatCannotBeUsedIsSaidByRow() {
        var plan =
                plan(
                        design,
                        """
                        number,from,to,colour,size,length,circuit
                        901,H1.56b,Z9.1,green/purple,14awg,3ft 2,Old lamps
                        902,H1.56b,,green,1,1,Old lamps
                        903,H1.56b,H1.56b,green,1,1,Old lamps
                        a b,H1.31,Z9.1,mauve,7,long,Old lamps
                        """);
        var next = plan.edit().apply(design);

        assertThat(plan.wires()).isEqualTo(2);
        assertThat(plan.problems())
                .contains(
                        new Problem(1, Trouble.STAND_IN, "Z9.1"),
                        new Problem(3, Trouble.ONE_END, "H1.56b"),
                        new Problem(4, Trouble.NO_NUMBER, "a b"),
                        new Problem(4, Trouble.NO_COLOUR, "mauve"),
                        new Problem(4, Trouble.NO_SIZE, "7"),
                        new Problem(4, Trouble.NO_LENGTH, "long"))
                .extracting(Problem::trouble)
                .containsOnlyOnce(Trouble.STAND_IN, Trouble.NO_END);
        assertThat(next.circuits().getLast().name()).isEqualTo("Old lamps");
        assertThat(next.wires().subList(design.wires().size(), next.wires().size()))
                .extracting(wire -> wire.to().terminal())
                .allMatch(end -> next.part(end.part()).name().equals("Z9.1"));
        assertThat(next.wires().get(design.wires().size()).size()).hasToString("14awg");
        assertThat(next.wires().getLast())
                .extracting(Wire::length)
                .isInstanceOf(RunLength.Assumed.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "only a heading", "a,b", "a,b\n\"never closed"})
    void whatIsNoListIsRefused(String text) {
        assertThatThrownBy(() -> WireList.read(text)).isInstanceOf(IllegalArgumentException.class);
    }
}
