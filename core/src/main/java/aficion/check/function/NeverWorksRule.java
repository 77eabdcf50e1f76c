package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.PathFinding.Lack;
import aficion.check.finding.Quiet;
import aficion.check.finding.Rule;
import aficion.check.finding.Subject;
import aficion.check.polarity.PolarityRule;
import aficion.check.polarity.VoltageRule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.edit.PartEdit;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Parts that get what they need in no state, and why. Where two leads of a relay put in each
 * other's place bring them to life, the relay is named in their stead.
 */
public final class NeverWorksRule implements Rule {
    private static final Set<String> COIL = Set.of("85", "86");

    private static final List<List<String>> PAIRS =
            List.of(
                    List.of("85", "30"),
                    List.of("86", "87"),
                    List.of("86", "30"),
                    List.of("85", "87"),
                    List.of("30", "87a"),
                    List.of("87", "87a"));

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var dead =
                Quiet.found(
                        assessment,
                        NeverWorksRule.class,
                        sight(assessment),
                        Map.<PartId, Wants>of(),
                        () -> dead(assessment));
        if (dead.isEmpty()) {
            return Stream.empty();
        }
        var exchanged = exchanged(assessment, dead);
        var explained = new HashSet<PartId>();
        exchanged.forEach(found -> {
            explained.add(found.part());
            explained.addAll(found.dead());
        });
        return Stream.concat(
                exchanged.stream(),
                dead.values().stream()
                        .filter(want -> !explained.contains(want.part().id()))
                        .map(want -> found(assessment, want)));
    }

    /** What ever gets what it wants, and what is found otherwise. */
    private static Object sight(Assessment assessment) {
        return List.of(
                Wants.of(assessment).stream().map(want -> want.met(assessment)).toList(),
                otherwise(assessment).map(Finding::subject).toList());
    }

    private static Stream<Finding> otherwise(Assessment assessment) {
        return Stream.of(new ConnectionRule(), new VoltageRule(), new PolarityRule())
                .flatMap(rule -> Rule.found(rule, assessment).stream());
    }

    /** What never gets what it wants and is not found otherwise, by part. */
    private static Map<PartId, Wants> dead(Assessment assessment) {
        var design = assessment.design();
        var otherwise = new HashSet<PartId>();
        var waiting = new HashSet<PartId>();
        otherwise(assessment)
                .forEach(finding -> {
                    finding.subject().named().ifPresent(otherwise::add);
                    waitingCoil(finding.subject()).ifPresent(waiting::add);
                });
        var dead = new LinkedHashMap<PartId, Wants>();
        if (design.parts().stream().anyMatch(part -> part.kind().hasPoles())) {
            Wants.of(assessment).stream()
                    .filter(want -> !otherwise.contains(want.part().id()))
                    .filter(want -> !want.met(assessment))
                    .filter(want -> !hangsOn(assessment, want, otherwise))
                    .filter(want -> !isJoined(assessment, want, waiting))
                    .forEach(want -> dead.putIfAbsent(want.part().id(), want));
        }
        return dead;
    }

    /** The relay whose coil has no lead yet. */
    private static Optional<PartId> waitingCoil(Subject subject) {
        return subject instanceof Subject.OfTerminal(var end) && COIL.contains(end.pin())
                ? Optional.of(end.part())
                : Optional.empty();
    }

    /** Whether a gauge or a coil hangs on a sender or contact that is found otherwise. */
    private static boolean hangsOn(Assessment assessment, Wants want, Set<PartId> otherwise) {
        return (want.part().kind() instanceof LoadKind.Gauge
                        || want.part().kind() instanceof LoadKind.IgnitionCoil
                        || want.part().kind() instanceof LoadKind.WarningLamp)
                && isJoined(assessment, want, otherwise);
    }

    /** Whether an end meets one of those parts but at earth, where all meet. */
    private static boolean isJoined(Assessment assessment, Wants want, Set<PartId> parts) {
        return !parts.isEmpty()
                && Stream.of(want.feedEnd(), want.backEnd())
                        .filter(end -> !isEarth(assessment, end))
                        .flatMap(end -> Netlist.joined(assessment.design(), end).stream())
                        .map(Terminal::part)
                        .anyMatch(parts::contains);
    }

    private static boolean isEarth(Assessment assessment, Terminal end) {
        return assessment.worst().metal().alwaysJoins(assessment.netlist().node(end), 0);
    }

    /** The relays whose exchanged leads explain what is dead. */
    private static List<PathFinding.PinsExchanged> exchanged(
            Assessment assessment, Map<PartId, Wants> dead) {
        var found = new ArrayList<PathFinding.PinsExchanged>();
        var left =
                dead.values().stream()
                        .filter(want -> !lacksOnlyVolts(assessment, want))
                        .map(want -> want.part().id())
                        .collect(Collectors.toCollection(HashSet::new));
        for (var part : assessment.design().parts()) {
            if (part.kind() instanceof ControlKind.Relay
                    && !Collections.disjoint(left, joined(assessment.design(), part))
                    && !hangsOnItself(assessment, part)
                    && Optional.ofNullable(dead.get(part.id()))
                            .filter(want -> lacksOnlyVolts(assessment, want))
                            .isEmpty()) {
                tried(assessment, part, left)
                        .ifPresent(exchange -> {
                            left.removeAll(exchange.dead());
                            found.add(exchange);
                        });
            }
        }
        return found;
    }

    /**
     * Whether metal brings both poles to a part in some state: then no lead of it is in a wrong
     * place.
     */
    private static boolean lacksOnlyVolts(Assessment assessment, Wants want) {
        return assessment.worst().everTogether(want.part().id(), want.role());
    }

    /** A relay, and the parts joined to its pins. */
    private static Set<PartId> joined(Design design, Part relay) {
        return relay.terminals().stream()
                .flatMap(pin -> Netlist.joined(design, pin).stream())
                .map(Terminal::part)
                .collect(Collectors.toSet());
    }

    private static Optional<PathFinding.PinsExchanged> tried(
            Assessment assessment, Part relay, Set<PartId> left) {
        var design = assessment.design();
        for (var pair : PAIRS) {
            if (!relay.kind().pins().containsAll(pair)) {
                continue;
            }
            var edit = new PartEdit.Exchange(relay.id(), pair.get(0), pair.get(1));
            var next = edit.apply(design);
            if (COIL.stream().map(relay::terminal).anyMatch(pin -> next.wiresAt(pin).isEmpty())) {
                continue;
            }
            var after = assessment.after(next);
            var still = dead(after).keySet();
            var mended =
                    left.stream()
                            .filter(part -> !still.contains(part))
                            .sorted(Comparator.comparing(PartId::value))
                            .toList();
            var joined = joined(design, relay);
            boolean cures =
                    still.stream().noneMatch(part -> left.contains(part) && joined.contains(part));
            boolean harms =
                    !left.containsAll(still) || after.worst().isShortedMoreThan(assessment.worst());
            if (!mended.isEmpty() && cures && !harms) {
                return Optional.of(
                        new PathFinding.PinsExchanged(
                                relay.id(), pair.get(0), pair.get(1), mended, List.of(edit)));
            }
        }
        return Optional.empty();
    }

    private static Finding found(Assessment assessment, Wants want) {
        var feed = want.feedEnd();
        var back = want.backEnd();
        boolean fed = served(assessment, feed);
        var end = fed ? back : feed;
        return new PathFinding.NeverWorks(
                want.part().id(),
                lack(assessment, want, fed, served(assessment, back)),
                end,
                List.of());
    }

    private static boolean served(Assessment assessment, Terminal end) {
        return assessment.worst().everLive(end) || assessment.worst().everEarthed(end);
    }

    private static Lack lack(Assessment assessment, Wants want, boolean fed, boolean returned) {
        if (want.part().kind() instanceof ControlKind.Relay
                && hangsOnItself(assessment, want.part())) {
            return Lack.OWN_CONTACT;
        }
        if (fed && returned) {
            boolean both =
                    assessment.worst().everLive(want.feedEnd())
                                    && assessment.worst().everEarthed(want.backEnd())
                            || assessment.worst().everEarthed(want.feedEnd())
                                    && assessment.worst().everLive(want.backEnd());
            boolean weak = assessment.worst().everTogether(want.part().id(), want.role());
            return both && weak ? Lack.TOO_LITTLE : Lack.NEVER_TOGETHER;
        }
        var end = fed ? want.backEnd() : want.feedEnd();
        if (couldReach(assessment, end, _ -> false)) {
            return fed ? Lack.NEVER_EARTHED : Lack.NEVER_FED;
        }
        return Lack.THROUGH_LOADS;
    }

    /** Whether an end of a relay's coil could come to a pole only through its own contact. */
    private static boolean hangsOnItself(Assessment assessment, Part relay) {
        var contacts = new HashSet<Integer>();
        assessment
                .netlist()
                .inside(relay.id())
                .forEach((role, branch) -> {
                    if (role.startsWith("30-")) {
                        contacts.add(branch);
                    }
                });
        return Stream.of("86", "85")
                .map(relay::terminal)
                .anyMatch(end ->
                        couldReach(assessment, end, _ -> false)
                                && !couldReach(assessment, end, contacts::contains));
    }

    /** Whether with everything closed but some branches metal leads from an end to a pole. */
    private static boolean couldReach(Assessment assessment, Terminal end, IntPredicate without) {
        var netlist = assessment.netlist();
        var reached = assessment.worst().metal().closed(netlist.node(end), without);
        return reached.get(0)
                || assessment.design().parts().stream()
                        .filter(source -> source.kind() instanceof SourceKind.Battery)
                        .flatMap(source -> source.terminals().stream())
                        .anyMatch(pole -> reached.get(netlist.node(pole)));
    }
}
