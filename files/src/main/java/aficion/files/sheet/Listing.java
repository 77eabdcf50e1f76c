package aficion.files.sheet;

import java.io.IOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;

/**
 * A list as it is read, printed and saved: a heading, and lines of as many cells.
 *
 * @param name what its files are called and the key of its words
 */
public record Listing(String name, List<String> heading, List<List<String>> rows) {
    /** What a cell of a table program begins with that is worked out. */
    private static final String FORMULA = "=+-@\t\r";

    public Listing {
        heading = List.copyOf(heading);
        rows = rows.stream().map(List::copyOf).toList();
    }

    /** Writes it as CSV (RFC 4180), with its heading. */
    public void writeCsv(Appendable out) throws IOException {
        var printer = CSVFormat.RFC4180.print(out);
        printer.printRecord(heading);
        for (var row : rows) {
            printer.printRecord(row.stream().map(Listing::plain).toList());
        }
        printer.flush();
    }

    /** A cell that no table program takes for a formula. */
    private static String plain(String cell) {
        return cell.isEmpty() || FORMULA.indexOf(cell.charAt(0)) < 0 ? cell : "'" + cell;
    }
}
