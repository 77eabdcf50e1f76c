package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.Design;
import aficion.job.Work;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.words.Speech;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every honest mistake of the corpus is found, its right twin is clean, and what burns is called.
 */
@Execution(ExecutionMode.CONCURRENT)
class JudgementTest {
    private static final Path TABLE = Path.of("..", "docs", "JUDGEMENT.md");

    private static final Set<Design> SWEPT = ConcurrentHashMap.newKeySet();
    private static final Map<Design, List<Finding>> FOUND = new ConcurrentHashMap<>();

    /** What is found in a job, judged once: right twins are the same few jobs. */
    private static List<Finding> found(Design design) {
        return FOUND.computeIfAbsent(design, each -> Findings.of(Assessment.of(each)));
    }

    private static List<Finding> toMend(Design design) {
        return Corpus.toMend(found(design));
    }

    static Stream<Corpus.Case> cases() {
        return Corpus.cases().stream();
    }

    static Stream<Corpus.Case> mistakes() {
        return cases().filter(Corpus.Case::isMistake);
    }

    @Test
    void thereAreAtLeastEightyMistakes() {
        assertThat(mistakes()).hasSizeGreaterThanOrEqualTo(80);
    }

    @ParameterizedTest
    @MethodSource("mistakes")
    void aMistakeIsFound(Corpus.Case mistake) {
        var design = mistake.design();

        assertThat(found(design)).anyMatch(finding -> mistake.names(design, finding));
    }

    @ParameterizedTest
    @MethodSource("mistakes")
    void itsRightTwinIsClean(Corpus.Case mistake) {
        var twin = mistake.twin().orElseThrow();

        assertThat(toMend(twin)).isEmpty();
        assertThat(found(twin)).noneMatch(finding -> finding.rule().equals(mistake.rule()));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void whatIsRightStaysClean(Corpus.Case each) {
        assertThat(each.isMistake() ? List.of() : toMend(each.design())).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void whatBurnsIsCalledADanger(Corpus.Case each) {
        Stream.concat(Stream.of(each.design()), each.twin().stream())
                .filter(SWEPT::add)
                .forEach(design -> assertThat(BurningLaw.broken(design)).isEmpty());
    }

    static Stream<Design> jobsToMend() {
        return Stream.concat(
                mistakes().map(Corpus.Case::design),
                Stream.of("roadster", "motorcycle", "tractor")
                        .map(demo -> DemoJobs.find(demo).orElseThrow().design()));
    }

    /** What is offered mends its finding and brings no danger and nothing to fix. */
    @ParameterizedTest
    @MethodSource("jobsToMend")
    void aRemedyDoesNoHarm(Design design) {
        var before = toMend(design).stream().map(Finding::about).toList();
        for (var finding : Findings.offered(Assessment.of(design), Work.NONE).open()) {
            for (var remedy : finding.remedies()) {
                var after = Findings.of(Assessment.of(remedy.apply(design)));

                assertThat(after).noneMatch(each -> each.about().equals(finding.about()));
                assertThat(after)
                        .filteredOn(each -> each.severity().compareTo(Severity.FIX) <= 0)
                        .extracting(Finding::about)
                        .isSubsetOf(before);
            }
        }
    }

    /** Every finding has its words, and every figure in them its place. */
    @ParameterizedTest
    @MethodSource("jobsToMend")
    void whatIsFoundCanBeSaid(Design design) {
        var speech = new Speech(design, UserUnits.METRIC);
        for (var finding : found(design)) {
            assertThat(speech.title(finding)).isNotBlank();
            assertThat(speech.reason(finding)).isNotBlank().doesNotContain("{", "}", "[", "null");
        }
    }

    /** The demos show their mistakes, what has one cause as one. */
    @ParameterizedTest
    @CsvSource({"roadster, 4", "motorcycle, 4", "tractor, 4"})
    void theDemosShowTheirMistakes(String demo, int groups) {
        var found =
                Findings.offered(
                                Assessment.of(DemoJobs.find(demo).orElseThrow().design()),
                                Work.NONE)
                        .open();

        assertThat(Findings.grouped(found))
                .filteredOn(group -> group.first().severity().compareTo(Severity.FIX) <= 0)
                .hasSize(groups);
    }

    @ParameterizedTest
    @CsvSource({"roadster", "motorcycle", "tractor"})
    void whatBurnsInADemoIsCalledADanger(String demo) {
        assertThat(BurningLaw.broken(DemoJobs.find(demo).orElseThrow().design())).isEmpty();
    }

    /** The table that ships with the documents, by kind of mistake. */
    @Test
    void theTableIsPrinted() throws IOException {
        var rows = new TreeMap<String, Row>();
        for (var each : Corpus.cases()) {
            rows.merge(each.kind(), Row.of(each), Row::plus);
        }
        var all = rows.values().stream().reduce(Row.NONE, Row::plus);

        Files.writeString(TABLE, text(rows, all));

        assertThat(all.found).isEqualTo(all.mistakes);
        assertThat(all.alarms).isZero();
    }

    private static String text(Map<String, Row> rows, Row all) {
        var cases =
                Corpus.cases().stream()
                        .map(each ->
                                "| %s | %s | %s |"
                                        .formatted(
                                                each.name().replace('-', ' '),
                                                each.kind(),
                                                each.isMistake() ? each.rule() : "stays clean"))
                        .collect(Collectors.joining("\n"));
        return """
        # What the judgement finds

        Printed by `JudgementTest` from the corpus in `core/src/test/resources/mistakes`: small jobs with one honest
        mistake each, and beside each its right twin. *False alarms* are dangers and fixes in what is right.

        | kind | mistakes | found | clean jobs | false alarms |
        | --- | --- | --- | --- | --- |
        %s
        %s

        | case | kind | found as |
        | --- | --- | --- |
        %s
        """
                .formatted(
                        rows.entrySet().stream()
                                .map(row -> row.getValue().line(row.getKey()))
                                .collect(Collectors.joining("\n")),
                        all.line("**all**"),
                        cases);
    }

    private record Row(int mistakes, int found, int clean, int alarms) {
        static final Row NONE = new Row(0, 0, 0, 0);

        static Row of(Corpus.Case each) {
            var design = each.design();
            if (!each.isMistake()) {
                return new Row(0, 0, 1, toMend(design).size());
            }
            boolean found =
                    JudgementTest.found(design).stream()
                            .anyMatch(finding -> each.names(design, finding));
            return new Row(1, found ? 1 : 0, 1, toMend(each.twin().orElseThrow()).size());
        }

        Row plus(Row other) {
            return new Row(
                    mistakes + other.mistakes,
                    found + other.found,
                    clean + other.clean,
                    alarms + other.alarms);
        }

        String line(String kind) {
            return "| %s | %d | %d | %d | %d |".formatted(kind, mistakes, found, clean, alarms);
        }
    }
}
