package aficion.files;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;

/**
 * A table that another program wrote: in whatever spelling, separated by commas, semicolons or
 * tabs, or by what a first line {@code sep=} names.
 *
 * @param headings the names of its columns
 * @param rows its cells, without blanks around them
 */
public record CsvFile(List<String> headings, List<List<String>> rows) {
    private static final Pattern SEPARATOR = Pattern.compile("sep=(.)");
    private static final List<Character> SEPARATORS = List.of(',', ';', '\t');
    private static final long MOST_BYTES = 16L << 20;

    public CsvFile {
        headings = List.copyOf(headings);
        rows = rows.stream().map(List::copyOf).toList();
    }

    /**
     * Reads a table from a file.
     *
     * @throws IllegalArgumentException when it is none
     * @throws IOException when it cannot be read
     */
    public static CsvFile read(Path path) throws IOException {
        if (!Files.isRegularFile(path)) {
            throw new IllegalArgumentException("it is no file");
        }
        if (Files.size(path) > MOST_BYTES) {
            throw new IllegalArgumentException("a list is never so large");
        }
        return read(Spelling.read(Files.readAllBytes(path)));
    }

    /**
     * Reads a table.
     *
     * @throws IllegalArgumentException when the text is none
     */
    public static CsvFile read(String text) {
        var first = text.lines().findFirst().orElse("");
        var named = SEPARATOR.matcher(first);
        char separator =
                named.matches()
                        ? named.group(1).charAt(0)
                        : SEPARATORS.stream()
                                .max(Comparator.comparing(sign -> count(first, sign)))
                                .orElseThrow();
        var plain = named.matches() ? text.substring(first.length()).stripLeading() : text;
        var format =
                CSVFormat.RFC4180
                        .builder()
                        .setDelimiter(separator)
                        .setIgnoreEmptyLines(true)
                        .setTrim(true)
                        .get();
        try (var parser = format.parse(new StringReader(plain))) {
            var lines = parser.stream().map(row -> row.stream().toList()).toList();
            if (lines.size() < 2 || lines.getFirst().size() < 2) {
                throw new IllegalArgumentException(
                        "it has to have a line of headings, and lines below it");
            }
            return new CsvFile(lines.getFirst(), lines.subList(1, lines.size()));
        } catch (IOException | UncheckedIOException | IllegalStateException damaged) {
            throw new IllegalArgumentException(String.valueOf(damaged.getMessage()), damaged);
        }
    }

    private static long count(String text, int sign) {
        return text.chars().filter(each -> each == sign).count();
    }

    /** Whether it has all of some columns, by their headings. */
    boolean has(String... names) {
        return List.of(names).stream().allMatch(name -> column(name).isPresent());
    }

    private Optional<Integer> column(String name) {
        for (int i = 0; i < headings.size(); i++) {
            if (headings.get(i).strip().toLowerCase(Locale.ROOT).equals(name)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** A cell of a row; empty text where it has none. */
    String cell(int row, String name) {
        return column(name)
                .filter(at -> at < rows.get(row).size())
                .map(at -> rows.get(row).get(at).strip())
                .orElse("");
    }
}
