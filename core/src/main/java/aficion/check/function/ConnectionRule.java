package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Terminals that need a wire and have none; and parts that could not work whatever is switched,
 * because one of their ends has no way to a pole of the battery even with every contact closed.
 */
public final class ConnectionRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment
                .lasting(ConnectionRule.class, () -> found(assessment.netlist()).toList())
                .stream();
    }

    private static Stream<Finding> found(Netlist netlist) {
        var design = netlist.design();
        var loose = design.parts().stream().flatMap(part -> loose(design, part)).toList();
        return Stream.concat(
                loose.stream().map(terminal -> finding(design, terminal)),
                new Ways(netlist, loose).missing());
    }

    private static Stream<Terminal> loose(Design design, Part part) {
        boolean pairless = part.kind() instanceof ControlKind.Switch && wired(design, part) == 1;
        return part.terminals().stream()
                .filter(terminal -> design.wiresAt(terminal).isEmpty())
                .filter(_ -> design.mountedOn(part.id()).isEmpty())
                .filter(terminal -> pairless || !part.kind().sparePins().contains(terminal.pin()))
                .filter(terminal ->
                        part.mount().isEmpty()
                                || !part.kind().casePin().equals(Optional.of(terminal.pin())));
    }

    private static long wired(Design design, Part part) {
        return part.terminals().stream()
                .filter(terminal -> !design.wiresAt(terminal).isEmpty())
                .count();
    }

    private static Finding finding(Design design, Terminal terminal) {
        var part = design.part(terminal.part());
        boolean isCase = part.kind().casePin().filter(terminal.pin()::equals).isPresent();
        List<Edit> remedies = isCase ? mounts(design, part) : List.of();
        return new Finding.TerminalUnconnected(terminal, remedies);
    }

    private static List<Edit> mounts(Design design, Part part) {
        return design.parts().stream()
                .filter(earth -> earth.kind() instanceof JoinKind.EarthPoint)
                .sorted(Comparator.comparing(earth -> earth.zone() == part.zone() ? 0 : 1))
                .limit(1)
                .<Edit>map(earth -> new PartEdit.Mount(part.id(), earth.id()))
                .toList();
    }

    /**
     * What hangs together when every contact is closed, each part's own inside left out in turn.
     */
    private static final class Ways {
        private final Netlist netlist;
        private final Design design;
        private final Set<Terminal> loose;
        private final List<Terminal> poles;
        private final BitSet plain;

        Ways(Netlist netlist, List<Terminal> loose) {
            this.netlist = netlist;
            this.design = netlist.design();
            this.loose = new HashSet<>(loose);
            this.poles = poles();
            this.plain = netlist.reached(nodes(poles), this::isPlain);
        }

        Stream<Finding> missing() {
            return poles.isEmpty()
                    ? Stream.empty()
                    : design.parts().stream().flatMap(this::missing);
        }

        /** Whether a terminal comes to a pole by no way through what consumes. */
        private boolean isPlain(Terminal terminal) {
            return plain.get(netlist.node(terminal));
        }

        private boolean isPlain(int branch) {
            return leads(branch)
                    && (isMount(branch)
                            || netlist.partOf(branch)
                                    .filter(part -> design.part(part).kind().consumes())
                                    .isEmpty());
        }

        private List<Terminal> poles() {
            return design.parts().stream()
                    .filter(part -> part.kind().hasPoles())
                    .flatMap(part -> part.terminals().stream())
                    .toList();
        }

        private Stream<Finding> missing(Part part) {
            var ends = part.terminals();
            if (!part.kind().consumes()
                    || ends.stream().anyMatch(loose::contains)
                    || ends.stream().allMatch(this::isPlain)) {
                return Stream.empty();
            }
            var reached = reach(poles, part);
            return ends.stream()
                    .filter(terminal ->
                            !part.kind().sparePins().contains(terminal.pin())
                                    || !design.wiresAt(terminal).isEmpty())
                    .filter(terminal -> !reached.get(netlist.node(terminal)))
                    .filter(terminal -> !endsLoose(terminal, part))
                    .limit(1)
                    .map(terminal -> new Finding.NoWayBack(part.id(), terminal));
        }

        private boolean endsLoose(Terminal terminal, Part part) {
            var island = reach(List.of(terminal), part);
            return loose.stream().anyMatch(end -> island.get(netlist.node(end)));
        }

        private BitSet reach(List<Terminal> starts, Part without) {
            return netlist.reached(nodes(starts), branch -> leads(branch, without));
        }

        private List<Integer> nodes(List<Terminal> terminals) {
            return terminals.stream().map(netlist::node).toList();
        }

        private boolean leads(int branch, Part without) {
            boolean inside = netlist.partOf(branch).filter(without.id()::equals).isPresent();
            return leads(branch) && (!inside || isMount(branch));
        }

        private boolean leads(int branch) {
            return !netlist.isSource(branch);
        }

        private boolean isMount(int branch) {
            return netlist.roleOf(branch).equals("mount");
        }
    }
}
