package aficion.files;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.Design;
import aficion.size.Assessment;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * Honest mistakes in small jobs, each beside its right twin: {@code index.csv} names the finding a
 * mistake is expected to bring; a case without one has to stay clean as it is.
 */
final class Corpus {
    private static final Path FOLDER =
            Path.of("..", "core", "src", "test", "resources", "mistakes");

    private Corpus() {}

    /**
     * A case.
     *
     * @param expects the rule that finds it, and after {@code @} where, where that is held
     */
    record Case(String name, String kind, String expects, boolean hasTwin) {
        boolean isMistake() {
            return !expects.isEmpty();
        }

        Design design() {
            return read(name + ".aficion");
        }

        Optional<Design> twin() {
            return hasTwin ? Optional.of(read(name + ".twin.aficion")) : Optional.empty();
        }

        String rule() {
            return expects.split("@")[0];
        }

        /** Whether a finding is the one that is expected. */
        boolean names(Design design, Finding finding) {
            var sides = expects.split("@");
            return finding.rule().equals(sides[0])
                    && (sides.length == 1 || where(design, finding).equals(sides[1]));
        }

        @Override
        public String toString() {
            return name;
        }
    }

    static List<Case> cases() {
        try {
            return Files.readAllLines(FOLDER.resolve("index.csv")).stream()
                    .skip(1)
                    .map(line -> line.split(",", -1))
                    .map(row -> new Case(row[0], row[1], row[2], row[3].equals("yes")))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static String where(Design design, Finding finding) {
        var place = finding.subject().place();
        return design.wires().stream()
                .filter(wire -> wire.id().value().equals(place))
                .findFirst()
                .map(wire -> wire.number())
                .orElse(place);
    }

    /** What has to be mended in a job. */
    static List<Finding> toMend(Design design) {
        return toMend(Findings.of(Assessment.of(design)));
    }

    static List<Finding> toMend(List<Finding> found) {
        return found.stream()
                .filter(finding -> finding.severity().compareTo(Severity.FIX) <= 0)
                .toList();
    }

    private static Design read(String file) {
        try {
            return JobCodec.read(Files.readString(FOLDER.resolve(file))).design();
        } catch (IOException e) {
            throw new UncheckedIOException(file, e);
        }
    }
}
