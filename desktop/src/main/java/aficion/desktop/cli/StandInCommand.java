package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.instruments.StandIn;
import aficion.instruments.StandInServer;
import aficion.instruments.StandInServer.Role;
import aficion.job.Design;
import aficion.netlist.Netlist;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Serves a supply and a meter that measure a job, on this machine alone, until it is ended: to
 * practise without instruments.
 */
@Command(
        name = "stand-in",
        description = "Serves a bench supply and a meter that measure a job, until it is ended.")
final class StandInCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;

    @Option(
            names = "--fault",
            paramLabel = "FAULT",
            description =
                    "something wrong with it: 5.12=open, K1=dead, E2=lost; several with more of them")
    private List<String> faults = new ArrayList<>();

    @Option(names = "--noise", description = "readings are as unsteady as those of a real meter")
    private boolean noise;

    @Option(
            names = "--supply",
            paramLabel = "PORT",
            description = "where the supply is; 0 for any port that is free",
            defaultValue = "5025")
    private int supply;

    @Option(
            names = "--meter",
            paramLabel = "PORT",
            description = "where the meter is; 0 for any port that is free",
            defaultValue = "5026")
    private int meter;

    @Override
    public Integer call() {
        var design = job.load().design();
        var standIn =
                new StandIn(
                        design,
                        faults(design),
                        noise ? Optional.of(new Random()) : Optional.empty());
        try (var first = open(standIn, Role.SUPPLY, supply);
                var second = open(standIn, Role.METER, meter)) {
            out().println(Words.of("cli.standIn.supply", String.valueOf(first.port())));
            out().println(Words.of("cli.standIn.meter", String.valueOf(second.port())));
            out().flush();
            new CountDownLatch(1).await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return 0;
    }

    private List<Fault> faults(Design design) {
        var netlist = Netlist.of(design);
        return faults.stream()
                .map(text ->
                        Notation.parse(netlist, text)
                                .orElseThrow(() -> new BadInput(Words.of("cli.fault", text))))
                .toList();
    }

    private static StandInServer open(StandIn standIn, Role role, int port) {
        if (port < 0 || port > 65535) {
            throw new BadInput(Words.of("cli.port", String.valueOf(port)));
        }
        try {
            return StandInServer.open(standIn, role, port);
        } catch (IOException e) {
            throw new BadInput(Words.of("cli.port.taken", String.valueOf(port), e.getMessage()));
        }
    }
}
