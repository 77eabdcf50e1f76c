package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.files.WireList.Column;
import aficion.files.WireList.Problem;
import aficion.files.WireList.Trouble;
import aficion.job.Design;
import aficion.job.Wire;
import aficion.quantity.UserUnits;
import aficion.route.RunLength;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WireListTest {
    private final Design design = DemoJobs.find("roadster").orElseThrow().design();

    @TempDir Path folder;

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

    /** As table programs write it, with and without a mark at the head. */
    @ParameterizedTest
    @CsvSource({
        "UTF-8, ''",
        "UTF-8, \ufeff",
        "UTF-16LE, \ufeff",
        "UTF-16BE, \ufeff",
        "UTF-16LE, ''",
        "windows-1252, ''"
    })
    void aListIsReadInAnySpelling(String charset, String mark) throws IOException {
        var text = mark + "from;to;circuit\nH1.56b;Z9.1;R\u00fccklicht\n";
        var file = Files.write(folder.resolve("list.csv"), text.getBytes(Charset.forName(charset)));

        var list = WireList.read(file);

        assertThat(list.matched()).containsOnlyKeys(Column.FROM, Column.TO, Column.CIRCUIT);
        assertThat(list.rows().getFirst()).containsExactly("H1.56b", "Z9.1", "R\u00fccklicht");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "from\tto\nH1.56b\tZ9.1\n",
                "sep=|\nfrom|to\nH1.56b|Z9.1\n",
                "sep=;\r\nfrom;to\r\nH1.56b;Z9.1\r\n"
            })
    void aListMayBeSeparatedByAnything(String text) {
        assertThat(WireList.read(text).rows()).containsExactly(List.of("H1.56b", "Z9.1"));
    }

    /** Whatever stands in a cell, the row is taken or said, and nothing stops. */
    @ParameterizedTest
    @ValueSource(strings = {"-", "1.2.3", "/", "--", "=1+1", "'=1+1", "1e400", ".", "?.?", "H1."})
    void oddCellsStopNothing(String odd) {
        var plan =
                plan(
                        design,
                        "number,from,to,colour,size,length\n"
                                + "%1$s,H1.56b,Z9.1,%1$s,%1$s,%1$s\n7,%1$s,Z9.2,red,1,1\n"
                                        .formatted(odd));

        assertThat(plan.wires()).isEqualTo(2);
        assertThat(plan.edit().apply(design).wires()).hasSize(design.wires().size() + 2);
    }

    @Test
    void endlessLengthsAreSaid() {
        var plan = plan(design, "from,to,length\nH1.56b,Z9.1," + "9".repeat(500) + "\n");

        assertThat(plan.problems())
                .extracting(Problem::trouble)
                .contains(Trouble.NO_LENGTH, Trouble.STAND_IN);
    }

    @Test
    void aLongListIsTakenInAtOnce() {
        var text = new StringBuilder("from,to,circuit\n");
        for (int i = 0; i < 2000; i++) {
            text.append("Q").append(i).append(".1,Q").append(i + 1).append(".2,Loom\n");
        }

        var plan = plan(design, text.toString());
        var taken = plan.edit().apply(design);

        assertThat(taken.wires()).hasSize(design.wires().size() + 2000);
        assertThat(taken.circuits()).hasSize(design.circuits().size() + 1);
        assertThat(taken.wires()).extracting(Wire::number).doesNotHaveDuplicates();
    }
}
