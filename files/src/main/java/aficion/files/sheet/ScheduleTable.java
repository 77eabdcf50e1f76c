package aficion.files.sheet;

import aficion.make.ScheduleRow;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.words.Speech;
import aficion.words.Words;
import java.io.IOException;
import java.util.List;
import java.util.stream.Stream;

/** The wire schedule in words: a heading and a line for each wire. */
public final class ScheduleTable {
    private ScheduleTable() {}

    /**
     * One line as it reads.
     *
     * @param row what it says in words
     */
    public record Line(
            ScheduleRow row,
            String number,
            String from,
            String to,
            String colour,
            String size,
            String length,
            String ends,
            String fuse) {

        static Line of(ScheduleRow row, Speech speech) {
            var wire = row.wire();
            return new Line(
                    row,
                    wire.number(),
                    wire.from().terminal().toString(),
                    wire.to().terminal().toString(),
                    speech.colour(wire.colour()),
                    speech.size(wire.size()),
                    speech.length(wire.length()),
                    speech.ends(wire),
                    speech.guard(row.guard(), wire));
        }

        /** Its cells, in the order of {@link ScheduleTable#heading}. */
        public List<String> cells() {
            return List.of(number, from, to, colour, size, length, ends, fuse);
        }
    }

    /** The names of the columns. */
    public static List<String> heading() {
        return Stream.of("number", "from", "to", "colour", "size", "length", "ends", "fuse")
                .map(name -> Words.of("make." + name))
                .toList();
    }

    /** Every wire, circuit by circuit. */
    public static List<Line> lines(Assessment assessment, UserUnits units) {
        var speech = new Speech(assessment.design(), units);
        return ScheduleRow.of(assessment).stream().map(row -> Line.of(row, speech)).toList();
    }

    /** Writes the schedule as CSV (RFC 4180), with a heading. */
    public static void writeCsv(Appendable out, Assessment assessment, UserUnits units)
            throws IOException {
        new Listing(
                        "schedule",
                        heading(),
                        lines(assessment, units).stream().map(Line::cells).toList())
                .writeCsv(out);
    }
}
