package aficion.identify;

import aficion.job.Probed.Across;
import aficion.quantity.Ohms;
import aficion.quantity.UserUnits;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The leads of one thing told by the ohms between them: the stator of a flywheel alternator (leads
 * that are alike low to each other give alternating current; one that is at the case is earth;
 * charge and source coils of an ignition are apart, with many ohms), or the base of a relay (a coil
 * of about a hundred ohms, a contact that is closed at rest, and what stays open).
 */
public final class LeadSet {
    /** How the case is called among the leads. */
    public static final String CASE = "case";

    /** A winding that gives power, ohms, at the most (typical). */
    private static final double POWER = 5;

    /** Two that are one piece of metal, ohms (typical). */
    private static final double ONE = 0.15;

    /** A coil of a relay, ohms, at the least and at the most, for 6 to 24 V (typical). */
    private static final double LEAST_COIL = 15;

    private static final double MOST_COIL = 400;

    /** Above that nothing joins two leads, ohms. */
    private static final double OPEN = 20_000;

    /** Windings are alike that differ by no more, as a share, or by a fifth of an ohm. */
    private static final double ALIKE = 0.3;

    private static final double METER = 0.2;

    /** What a lead is. */
    public enum Role {
        /** One of two or three alike: alternating current. */
        AC,
        /** At the case: earth. */
        EARTH,
        /** The coil that feeds or triggers an ignition: apart from the rest, many ohms. */
        SOURCE_COIL,
        /** One end of a relay's coil: 85 or 86. */
        COIL,
        /** One of two that are joined at rest: 30 or 87a. */
        REST,
        /** Open to all others at rest: 87 of a relay, or a lead that ends nowhere. */
        OPEN,
        /** What was read fits none of them, or more is to be read. */
        UNKNOWN
    }

    /**
     * A lead.
     *
     * @param with the leads that it belongs to
     * @param ohms between it and them; empty for what is open
     */
    public record Found(String lead, Role role, List<String> with, Optional<Ohms> ohms) {
        public Found {
            with = List.copyOf(with);
        }
    }

    private final List<String> leads;
    private final Map<Set<String>, Double> read = new LinkedHashMap<>();

    private LeadSet(List<Across> readings) {
        this.leads =
                readings.stream()
                        .flatMap(each -> Stream.of(each.one(), each.other()))
                        .distinct()
                        .toList();
        readings.forEach(
                each -> read.put(Set.of(each.one(), each.other()), Math.abs(each.ohms().value())));
    }

    /** What each lead is; the case itself is not told. */
    public static List<Found> of(List<Across> readings) {
        var set = new LeadSet(readings);
        return set.leads.stream().filter(lead -> !isCase(lead)).map(set::found).toList();
    }

    /** The pairs that are not read yet, those with the case first. */
    public static List<Set<String>> unread(List<Across> readings) {
        var set = new LeadSet(readings);
        var unread = new ArrayList<Set<String>>();
        for (int i = 0; i < set.leads.size(); i++) {
            for (int j = i + 1; j < set.leads.size(); j++) {
                var pair = new LinkedHashSet<>(List.of(set.leads.get(i), set.leads.get(j)));
                if (!set.read.containsKey(pair)) {
                    unread.add(pair);
                }
            }
        }
        unread.sort(Comparator.comparing(pair -> pair.stream().noneMatch(LeadSet::isCase)));
        return unread;
    }

    private static boolean isCase(String lead) {
        return lead.equalsIgnoreCase(CASE)
                || lead.equalsIgnoreCase("body")
                || lead.equalsIgnoreCase("earth");
    }

    private double ohms(String one, String other) {
        return read.getOrDefault(Set.of(one, other), UserUnits.OVER_RANGE_OHMS);
    }

    private boolean isRead(String one, String other) {
        return read.containsKey(Set.of(one, other));
    }

    private Found found(String lead) {
        var body = leads.stream().filter(LeadSet::isCase).findFirst();
        if (body.isPresent() && ohms(lead, body.get()) <= ONE * 2) {
            return found(lead, Role.EARTH, List.of(body.get()));
        }
        var others =
                leads.stream()
                        .filter(other -> !other.equals(lead))
                        .filter(other -> ohms(lead, other) < OPEN)
                        .toList();
        if (others.isEmpty()) {
            boolean all =
                    leads.stream()
                            .filter(other -> !other.equals(lead))
                            .allMatch(other -> isRead(lead, other));
            return new Found(lead, all ? Role.OPEN : Role.UNKNOWN, List.of(), Optional.empty());
        }
        double least = others.stream().mapToDouble(other -> ohms(lead, other)).min().orElseThrow();
        var alike =
                others.stream()
                        .filter(other -> !isCase(other) && !isEarthed(other))
                        .filter(other -> isAlike(ohms(lead, other), least))
                        .toList();
        if (least <= ONE && alike.size() == 1 && hasRelayCoil()) {
            return found(lead, Role.REST, alike);
        }
        if (least <= POWER && !alike.isEmpty()) {
            return found(lead, Role.AC, alike);
        }
        boolean coil = least >= LEAST_COIL && least <= MOST_COIL;
        if (coil && others.size() == 1 && looksLikeRelay()) {
            return found(lead, Role.COIL, others);
        }
        if (least > POWER) {
            return found(
                    lead,
                    Role.SOURCE_COIL,
                    others.stream().filter(other -> isAlike(ohms(lead, other), least)).toList());
        }
        return found(lead, Role.UNKNOWN, others);
    }

    private Found found(String lead, Role role, List<String> with) {
        return new Found(
                lead,
                role,
                with,
                with.stream().findFirst().map(other -> new Ohms(ohms(lead, other))));
    }

    private boolean isEarthed(String lead) {
        return leads.stream().anyMatch(each -> isCase(each) && ohms(lead, each) <= ONE * 2);
    }

    private static boolean isAlike(double one, double other) {
        return Math.abs(one - other) <= Math.max(ALIKE * Math.max(one, other), METER);
    }

    /** Whether a pair is a coil that a relay has. */
    private boolean hasRelayCoil() {
        return read.values().stream().anyMatch(ohms -> ohms >= LEAST_COIL && ohms <= MOST_COIL);
    }

    /** A relay has one coil, no winding, and nothing at a case. */
    private boolean looksLikeRelay() {
        return leads.stream().noneMatch(LeadSet::isCase)
                && read.values().stream().noneMatch(ohms -> ohms > ONE * 2 && ohms <= POWER)
                && read.values().stream()
                                .filter(ohms -> ohms >= LEAST_COIL && ohms <= MOST_COIL)
                                .count()
                        == 1;
    }
}
