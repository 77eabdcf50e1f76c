package aficion.catalogue;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Reads one data file of the catalogue: comma-separated, {@code #} comments, a header line. */
public final class Table {
    private static final CSVFormat FORMAT =
            CSVFormat.DEFAULT
                    .builder()
                    .setCommentMarker('#')
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .setIgnoreEmptyLines(true)
                    .setTrim(true)
                    .get();

    private Table() {}

    /** One line of a table, whose cells are read by column name and checked. */
    public static final class Row {
        private final String file;
        private final CSVRecord cells;

        private Row(String file, CSVRecord cells) {
            this.file = file;
            this.cells = cells;
        }

        /** Whether anything stands in a column. */
        public boolean has(String column) {
            return cells.isSet(column) && !cells.get(column).isEmpty();
        }

        /**
         * @throws IllegalStateException when nothing stands there
         */
        public String text(String column) {
            if (!has(column)) {
                throw wrong(column, "is missing");
            }
            return cells.get(column);
        }

        /** A number within the limits, both included. */
        public double number(String column, double least, double greatest) {
            return checked(column, text(column), least, greatest);
        }

        /** Numbers separated by blanks, each within the limits. */
        public List<Double> numbers(String column, double least, double greatest) {
            return List.of(text(column).split(" +")).stream()
                    .map(text -> checked(column, text, least, greatest))
                    .toList();
        }

        /** The constant of that name, written in lower case. */
        public <E extends Enum<E>> E constant(String column, Class<E> type) {
            for (E constant : type.getEnumConstants()) {
                if (constant.name()
                        .toLowerCase(Locale.ROOT)
                        .replace('_', '-')
                        .equals(text(column).replace('_', '-'))) {
                    return constant;
                }
            }
            throw wrong(column, "is none of its names: " + text(column));
        }

        /** Groups separated by blanks, of that many numbers separated by colons. */
        public List<double[]> groups(String column, int size) {
            return List.of(text(column).split(" +")).stream()
                    .map(group -> group(column, group, size))
                    .toList();
        }

        private double[] group(String column, String text, int size) {
            var cells = text.split(":", -1);
            if (cells.length != size) {
                throw wrong(column, "has no " + size + " numbers: " + text);
            }
            var numbers = new double[size];
            for (int i = 0; i < size; i++) {
                numbers[i] = checked(column, cells[i], 1e-6, 1e6);
            }
            return numbers;
        }

        private double checked(String column, String text, double least, double greatest) {
            double value;
            try {
                value = Double.parseDouble(text);
            } catch (NumberFormatException e) {
                throw wrong(column, "is no number: " + text);
            }
            if (!(value >= least && value <= greatest)) {
                throw wrong(column, "is outside " + least + " to " + greatest + ": " + text);
            }
            return value;
        }

        /** What is wrong with a cell, with file, record and column. */
        public IllegalStateException wrong(String column, String what) {
            return new IllegalStateException(
                    file + ", record " + cells.getRecordNumber() + ", " + column + " " + what);
        }
    }

    /** Reads a file of the catalogue that ships with the program. */
    public static <T> List<T> read(String file, Function<Row, T> row) {
        var stream = Table.class.getResourceAsStream(file);
        if (stream == null) {
            throw new IllegalStateException("the catalogue lacks " + file);
        }
        try (var reader = new InputStreamReader(stream, StandardCharsets.UTF_8)) {
            return read(file, reader, row);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static <T> List<T> read(String file, Reader reader, Function<Row, T> row) throws IOException {
        try (var parser = FORMAT.parse(reader)) {
            return parser.stream().map(cells -> row.apply(new Row(file, cells))).toList();
        }
    }
}
