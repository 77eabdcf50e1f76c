package aficion.check;

import aficion.job.ControlKind;
import aficion.job.Job;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** One relay a fan: relays whose contact feeds two motors or more. */
final class RelayLoadRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return job.parts().stream()
                .filter(part -> part.kind() instanceof ControlKind.Relay)
                .map(part ->
                        new Finding.TwoMotorsOneRelay(
                                part.id(), (int) motors(job, part.terminal("87"))))
                .filter(finding -> finding.motors() > 1)
                .map(finding -> finding);
    }

    private static long motors(Job job, Terminal contact) {
        return Netlist.joined(job, contact).stream()
                .map(terminal -> job.part(terminal.part()))
                .filter(RelayLoadRule::isMotor)
                .distinct()
                .count();
    }

    private static boolean isMotor(Part part) {
        return part.kind() instanceof LoadKind.Motor
                || part.kind() instanceof LoadKind.TwoSpeedMotor;
    }
}
