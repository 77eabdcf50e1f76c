package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.job.BenchRun.Setting;
import aficion.words.Words;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;

/** Where a circuit is tested. */
final class WhereOption {
    @Option(
            names = "--where",
            paramLabel = "PLACE",
            description = {
                "where it is tested: bench (its own loads, on a supply), stand-ins (test lamps for loads),",
                "still (vehicle, engine still), running (vehicle, engine running), proof (after a change)"
            })
    private String where = name(Setting.BENCH);

    /**
     * The setting asked for.
     *
     * @throws BadInput when there is none of that name
     */
    Setting setting() {
        return Arrays.stream(Setting.values())
                .filter(each -> name(each).equals(where))
                .findFirst()
                .orElseThrow(() ->
                        new BadInput(
                                Words.of(
                                        "cli.where",
                                        where,
                                        Arrays.stream(Setting.values())
                                                .map(WhereOption::name)
                                                .collect(Collectors.joining(", ")))));
    }

    private static String name(Setting setting) {
        return setting.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
