package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.quantity.Quantity;
import java.io.IOException;
import java.lang.reflect.Field;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The list of typical figures and the code say the same. */
class SourcesTest {
    private static final Path CODE = Path.of("../core/src/main/java/aficion");
    private static final Pattern ROW =
            Pattern.compile("\\| .+ \\| ([-0-9.]+) \\| .+ \\| `([a-z.]+)\\.(\\w+)\\.(\\w+)` \\|");

    /** A constant that says of itself that it is typical. */
    private static final Pattern TYPICAL =
            Pattern.compile(
                    "/\\*\\*((?:(?!\\*/).)*\\btypical\\b(?:(?!\\*/).)*)\\*/\\s*"
                            + "(?:(?:private|public|static|final) )*(?:double|int|[A-Z]\\w+) "
                            + "([A-Z][A-Z0-9_]*) =",
                    Pattern.DOTALL);

    private record Row(double value, String type, String constant) {}

    private static String text() throws IOException {
        return Files.readString(Path.of("../docs/SOURCES.md"));
    }

    static Stream<Row> rows() throws IOException {
        return ROW.matcher(text())
                .results()
                .map(row ->
                        new Row(
                                Double.parseDouble(row.group(1)),
                                "aficion." + row.group(2) + "." + row.group(3),
                                row.group(4)));
    }

    @ParameterizedTest
    @MethodSource("rows")
    void aFigureIsWhatTheListSays(Row row) throws ReflectiveOperationException {
        var type = Class.forName(row.type);
        var field =
                Stream.concat(Stream.of(type), Arrays.stream(type.getDeclaredClasses()))
                        .flatMap(each -> Arrays.stream(each.getDeclaredFields()))
                        .filter(each -> each.getName().equals(row.constant))
                        .findFirst()
                        .orElseThrow();

        assertThat(value(field)).isEqualTo(row.value);
    }

    private static double value(Field field) throws IllegalAccessException {
        field.setAccessible(true);
        return field.get(null) instanceof Quantity quantity
                ? quantity.value()
                : ((Number) field.get(null)).doubleValue();
    }

    @Test
    void everyTypicalFigureIsInTheList() throws IOException {
        var listed = rows().map(row -> row.type + "." + row.constant).toList();
        assertThat(listed).hasSizeGreaterThan(40).doesNotHaveDuplicates();
        try (var files = Files.walk(CODE)) {
            for (var file : files.filter(path -> path.toString().endsWith(".java")).toList()) {
                var path = CODE.getParent().relativize(file).toString();
                var type = path.replace(".java", "").replace('/', '.').replace('\\', '.');
                assertThat(constants(Files.readString(file)))
                        .allSatisfy(name -> assertThat(listed).contains(type + "." + name));
            }
        }
    }

    private static List<String> constants(String code) {
        return TYPICAL.matcher(code).results().map(found -> found.group(2)).toList();
    }
}
