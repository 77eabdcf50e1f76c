package aficion.identify;

import aficion.catalogue.Purpose;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.WireId;
import java.util.ArrayDeque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What each wire is for. Wires that splices and connectors join serve one purpose: where one of
 * them meets an earth, a coil or a lamp, by what it meets (terminal numbers of DIN 72552); else by
 * when it is live.
 */
public final class Purposes {
    /** Lamps and their switches, by the number of the terminal. */
    private static final Map<String, Purpose> BY_NUMBER =
            Map.of(
                    "56a", Purpose.MAIN_BEAM,
                    "56b", Purpose.DIP_BEAM,
                    "56", Purpose.HEADLAMP,
                    "54", Purpose.STOP,
                    "58", Purpose.SIDE,
                    "57", Purpose.SIDE,
                    "L", Purpose.SIGNAL_LEFT,
                    "R", Purpose.SIGNAL_RIGHT);

    /** The numbers, those that say most first. */
    private static final List<String> NUMBERS =
            List.of("56a", "56b", "56", "54", "58", "57", "L", "R");

    private static final String HORN = "horn";

    private final Design design;
    private final Map<Terminal, Feeds.Offer> feeds = new HashMap<>();

    private Purposes(Design design) {
        this.design = design;
        Feeds.of(design).forEach(offer -> feeds.put(offer.terminal(), offer));
    }

    /** The purpose of every wire that shows one. */
    public static Map<WireId, Purpose> of(Design design) {
        var purposes = new Purposes(design);
        var found = new HashMap<WireId, Purpose>();
        var seen = new HashSet<Terminal>();
        for (var wire : design.wires()) {
            if (seen.contains(wire.from().terminal())) {
                continue;
            }
            var net = purposes.net(wire.from().terminal());
            seen.addAll(net);
            purposes.purpose(net)
                    .ifPresent(purpose ->
                            design.wires().stream()
                                    .filter(each -> net.contains(each.from().terminal()))
                                    .forEach(each -> found.put(each.id(), purpose)));
        }
        return found;
    }

    /** Every terminal that wires, splices and connectors join with one. */
    private Set<Terminal> net(Terminal start) {
        var net = new HashSet<Terminal>();
        var open = new ArrayDeque<>(List.of(start));
        while (!open.isEmpty()) {
            var at = open.pop();
            if (net.add(at)) {
                design.wiresAt(at).forEach(wire -> open.addAll(wire.terminals()));
                var part = design.part(at.part());
                if (part.kind() instanceof JoinKind.Connector) {
                    part.kind().passes().stream()
                            .flatMap(pass -> pass.across(at.pin()).stream())
                            .forEach(pin -> open.add(part.terminal(pin)));
                }
            }
        }
        return net;
    }

    private Optional<Purpose> purpose(Set<Terminal> net) {
        if (net.stream().anyMatch(this::isEarth)) {
            return Optional.of(Purpose.EARTH);
        }
        if (net.stream().anyMatch(this::breaksCoil)) {
            return Optional.of(Purpose.COIL);
        }
        return NUMBERS.stream()
                .filter(number -> net.stream().anyMatch(at -> isLit(at, number)))
                .findFirst()
                .map(BY_NUMBER::get)
                .or(() -> warning(net))
                .or(() -> feed(net))
                .or(() ->
                        net.stream().anyMatch(this::soundsHorn)
                                ? Optional.of(Purpose.HORN)
                                : Optional.empty());
    }

    private boolean isEarth(Terminal at) {
        var kind = design.part(at.part()).kind();
        return kind instanceof JoinKind.EarthPoint
                || kind instanceof SourceKind.Battery
                        && !at.pin().equals(design.vehicle().livePin());
    }

    private boolean breaksCoil(Terminal at) {
        var kind = design.part(at.part()).kind();
        return at.pin().equals("1")
                && (kind instanceof LoadKind.IgnitionCoil
                        || kind instanceof ControlKind.Points
                        || kind instanceof ControlKind.IgnitionBox);
    }

    private boolean isLit(Terminal at, String number) {
        var kind = design.part(at.part()).kind();
        return at.pin().equals(number)
                && (kind instanceof LoadKind.Lamp
                        || kind instanceof ControlKind.Switch hand && !design.isKey(hand));
    }

    private Optional<Purpose> warning(Set<Terminal> net) {
        boolean field =
                net.stream()
                        .anyMatch(at ->
                                (at.pin().equals("D+") || at.pin().equals("D"))
                                        && design.part(at.part()).kind() instanceof SourceKind);
        boolean lamp =
                net.stream()
                        .anyMatch(at ->
                                design.part(at.part()).kind() instanceof LoadKind.WarningLamp);
        return field && lamp ? Optional.of(Purpose.CHARGE_LAMP) : Optional.empty();
    }

    private Optional<Purpose> feed(Set<Terminal> net) {
        return net.stream()
                .filter(feeds::containsKey)
                .map(feeds::get)
                .map(Purposes::purpose)
                .flatMap(Optional::stream)
                .min(Purpose::compareTo);
    }

    private static Optional<Purpose> purpose(Feeds.Offer offer) {
        return switch (offer.feed()) {
            case ALWAYS -> Optional.of(offer.fused() ? Purpose.FUSED : Purpose.LIVE);
            case IGNITION, ACCESSORY ->
                    Optional.of(offer.fused() ? Purpose.IGNITION_FUSED : Purpose.IGNITION);
            case START -> Optional.empty();
        };
    }

    private boolean soundsHorn(Terminal at) {
        return design.part(at.part()).kind() instanceof ControlKind.Switch hand
                && hand.control().equals(HORN);
    }
}
