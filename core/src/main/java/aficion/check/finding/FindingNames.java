package aficion.check.finding;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Collectors;

/** What findings are called in files: names of their own, which outlive those of classes. */
public final class FindingNames {
    private static final Map<String, String> BY_CLASS = read();

    private FindingNames() {}

    /** The name of a kind of finding. */
    static String of(Finding finding) {
        var simple = finding.getClass().getSimpleName();
        var name = BY_CLASS.get(simple);
        if (name == null) {
            throw new IllegalStateException("findings.properties has no name for " + simple);
        }
        return name;
    }

    private static Map<String, String> read() {
        var names = new Properties();
        try (var stream =
                FindingNames.class.getResourceAsStream(
                        "/aficion/check/finding/findings.properties")) {
            names.load(stream);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return names.stringPropertyNames().stream()
                .collect(Collectors.toMap(names::getProperty, name -> name));
    }
}
