package aficion.files;

import aficion.check.*;
import aficion.netlist.*;
import aficion.size.*;
import aficion.solve.*;
import org.junit.jupiter.api.Test;

class ProbeTest {
    @Test
    void probe() throws Exception {
        var job = DemoJobs.find("roadster").orElseThrow();
        var net = Netlist.of(job);
        var solver = new Solver(net);
        System.out.println("nodes " + net.nodes() + " branches " + net.size());
        var c =
                Conditions.REST
                        .with("key", "run")
                        .with("lights", "head")
                        .withEngine(new aficion.quantity.Rpm(2000));
        for (int k = 0; k < 6; k++) {
            long t = System.nanoTime();
            for (int i = 0; i < 500; i++) solver.solve(c);
            System.out.println("solve us " + (System.nanoTime() - t) / 1e3 / 500);
        }
        long t = System.nanoTime();
        var w = WorstCase.of(solver);
        System.out.println("worst ms " + (System.nanoTime() - t) / 1e6);
        t = System.nanoTime();
        var s = Sizing.of(solver, w);
        System.out.println("sizing ms " + (System.nanoTime() - t) / 1e6);
        t = System.nanoTime();
        Guards.of(job);
        System.out.println("guards ms " + (System.nanoTime() - t) / 1e6);
        var a = Assessment.of(job);
        t = System.nanoTime();
        Findings.of(a);
        System.out.println("findings ms " + (System.nanoTime() - t) / 1e6);
        t = System.nanoTime();
        Netlist.of(job);
        new Solver(net);
        System.out.println("netlist ms " + (System.nanoTime() - t) / 1e6);
    }
}
