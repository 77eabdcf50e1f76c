package aficion.files.sheet;

import aficion.make.ScheduleRow;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.words.Speech;
import aficion.words.Words;
import java.io.IOException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;

/** The wire schedule in words: a heading and a line of cells for each wire. */
public final class ScheduleTable {
    private ScheduleTable() {}

    /** The names of the columns. */
    public static List<String> heading() {
        return Stream.of("number", "from", "to", "colour", "size", "length", "ends", "fuse")
                .map(name -> Words.of("make." + name))
                .toList();
    }

    /** The cells of every wire, circuit by circuit. */
    public static List<List<String>> cells(Assessment assessment, UserUnits units) {
        var speech = new Speech(assessment.job(), units);
        return ScheduleRow.of(assessment).stream().map(row -> cells(row, speech)).toList();
    }

    private static List<String> cells(ScheduleRow row, Speech speech) {
        var wire = row.wire();
        return List.of(
                wire.number(),
                wire.from().terminal().toString(),
                wire.to().terminal().toString(),
                speech.colour(wire.colour()),
                speech.size(wire.size()),
                speech.length(wire.length()),
                speech.ends(wire),
                speech.guard(row.guard(), wire));
    }

    /** Writes the schedule as CSV (RFC 4180), with a heading. */
    public static void writeCsv(Appendable out, Assessment assessment, UserUnits units)
            throws IOException {
        var printer = CSVFormat.RFC4180.print(out);
        printer.printRecord(heading());
        for (var line : cells(assessment, units)) {
            printer.printRecord(line);
        }
        printer.flush();
    }
}
