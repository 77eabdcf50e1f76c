package aficion.files.sheet;

import aficion.bench.PartTest;
import aficion.bench.RunReadings;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.job.Circuit;
import aficion.job.Job;
import aficion.job.PartId;
import aficion.quantity.UserUnits;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is handed over of the tests: of every circuit each run, by whom and when, with its sums, and
 * under it what was not simply right; then what parts showed before they were fitted.
 */
final class TestListing {
    private final Job job;
    private final Speech speech;
    private final List<List<String>> rows = new ArrayList<>();

    private TestListing(Job job, UserUnits units) {
        this.job = job;
        this.speech = new Speech(job.design(), units);
    }

    static Listing of(Job job, UserUnits units) {
        var listing = new TestListing(job, units);
        job.design().circuits().forEach(listing::circuit);
        job.work().tried().forEach(listing::part);
        return Listings.of(
                "tests",
                List.of(
                        "circuit", "where", "by", "on", "step", "against", "read", "verdict",
                        "note"),
                listing.rows);
    }

    private void circuit(Circuit circuit) {
        var runs =
                job.work().bench().stream()
                        .filter(run -> run.circuit().equals(circuit.id()))
                        .toList();
        if (runs.isEmpty()) {
            row(circuit.name(), "", "", "", Words.of("list.tests.untested"), "", "", "", "");
        }
        for (var run : runs) {
            row(
                    circuit.name(),
                    Words.of("bench.setting", run.setting()),
                    run.by().orElse(""),
                    WorkListings.when(run.begun()),
                    Words.of("list.tests.all"),
                    "",
                    "",
                    Words.of(
                            "list.tests.sums",
                            count(run, Verdict.PASS),
                            count(run, Verdict.NEAR),
                            count(run, Verdict.FAIL),
                            count(run, Verdict.NOT_TESTED)),
                    "");
            run.readings().stream()
                    .filter(reading ->
                            reading.verdict() != Verdict.PASS || reading.note().isPresent())
                    .forEach(reading ->
                            reading(
                                    circuit.name(),
                                    Words.of("bench.setting", run.setting()),
                                    run.by(),
                                    speech.kept(reading.step()),
                                    reading));
        }
    }

    private void part(PartId part, List<Reading> readings) {
        var tests =
                job.design().find(part).stream()
                        .flatMap(found ->
                                PartTest.of(job.design(), found).stream()
                                        .map(test ->
                                                Map.entry(test.key(), speech.tried(found, test))))
                        .toList();
        for (var reading : readings) {
            reading(
                    speech.name(part),
                    Words.of("list.tests.part"),
                    Optional.empty(),
                    tests.stream()
                            .filter(test -> test.getKey().equals(reading.step()))
                            .map(Map.Entry::getValue)
                            .findFirst()
                            .orElse(reading.step()),
                    reading);
        }
    }

    private void reading(
            String about, String where, Optional<String> by, String step, Reading reading) {
        row(
                about,
                where,
                by.orElse(""),
                WorkListings.when(reading.at()),
                step,
                reading.against().filter(TestListing::isFigure).map(TestListing::plain).orElse(""),
                reading.value().map(UserUnits::plain).orElse(""),
                Words.of("bench.verdict", reading.verdict()),
                reading.note().orElse(""));
    }

    private static boolean isFigure(String text) {
        return text.matches("-?[0-9][-0-9.E]*");
    }

    private static String plain(String figure) {
        return UserUnits.plain(Double.parseDouble(figure));
    }

    private static long count(BenchRun run, Verdict verdict) {
        return run.readings().stream()
                .filter(RunReadings::isTaken)
                .filter(reading -> reading.verdict() == verdict)
                .count();
    }

    private void row(String... cells) {
        rows.add(List.of(cells));
    }
}
