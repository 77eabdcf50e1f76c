package aficion.make;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.DesignBuilder;
import aficion.size.Assessment;
import aficion.size.Guard;
import java.util.List;
import org.junit.jupiter.api.Test;

class ScheduleRowTest {

    @Test
    void numbersAreOrderedAsPeopleCount() {
        var numbers = List.of("5.10", "5.9", "10.1", "5.9a", "5");

        assertThat(numbers.stream().sorted(ScheduleRow::byNumber))
                .containsExactly("5", "5.9", "5.9a", "5.10", "10.1");
    }

    @Test
    void everyWireHasItsLineAndItsGuard() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .lamp("H1", 5)
                        .wire("B1.+", "F1.1", "1mm2", 1)
                        .wire("F1.2", "H1.58", "1mm2", 1)
                        .build();

        var rows = ScheduleRow.of(Assessment.of(design));

        assertThat(rows).hasSize(3);
        assertThat(rows.getLast().guard()).isInstanceOf(Guard.Guarded.class);
        assertThat(rows).extracting(ScheduleRow::circuit).containsOnly(1);
    }
}
