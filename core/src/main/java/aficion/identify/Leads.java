package aficion.identify;

import aficion.catalogue.Colour;
import aficion.catalogue.LampTable;
import aficion.catalogue.Senders;
import aficion.job.Probed.OfLead;
import aficion.job.WireColour;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What hangs on leads, by what each draws from a known supply or by its ohms cold, ranked by Bayes'
 * rule: how likely such a thing would show that, times how often it is met. A filament draws P/V of
 * its rated volts, times (U/V)^0.55 at others (filament law), and has about a tenth of its
 * resistance while it is cold.
 */
public final class Leads {
    /** A filament's current grows with its volts to that power (trade rule). */
    private static final double FILAMENT = 0.55;

    /** How far the current of one lamp is from that of another of its kind, a share (typical). */
    private static final double LAMP_OFF = 0.045;

    /** The same of what is wound (typical). */
    private static final double COIL_OFF = 0.15;

    /** A cold filament's resistance as a share of its hot one (typical). */
    private static final double COLD = 0.1;

    /** How far that is off, as a share (typical). */
    private static final double COLD_OFF = 0.35;

    /** Below that, nothing conducts, amps. */
    private static final double NOTHING = 0.005;

    /** Above that, ohms, nothing conducts. */
    private static final double ENDLESS = 20_000;

    /** A supply that falls below that share of its system's volts meets the body. */
    private static final double FALLEN = 0.3;

    /** The leads of a meter and a clean joint to the body, ohms (typical). */
    private static final double TO_BODY = 0.15;

    /** What 12 V coils measure: plain, with a ballast, electronic, of a relay (typical). */
    private static final double PLAIN_COIL = 3.2;

    private static final double BALLAST_COIL = 1.5;
    private static final double ELECTRONIC_COIL = 0.6;
    private static final double RELAY_COIL = 85;

    /** Currents that motors have, amps, least and most (typical). */
    private static final double LEAST_MOTOR = 0.5;

    private static final double MOST_MOTOR = 30;

    /** Two guesses are close where the second has at least that share of the first. */
    private static final double CLOSE = 0.2;

    private static final double LIKELY = 0.001;

    private static final WireColour BLACK = WireColour.plain(Colour.BLACK);

    private Leads() {}

    /**
     * One guess.
     *
     * @param expected what such a thing would show; empty where that says little
     * @param weight its share of all guesses
     */
    public record Guess(Hangs hangs, Optional<Quantity> expected, double weight) {}

    /** What tells two guesses apart that stay close. */
    public enum Next {
        /** Let it burn and look. */
        LOOK,
        /** Ohms, cold and unfed. */
        OHMS,
        /** Amps from the supply, through the meter's 10 A socket, for a moment. */
        AMPS,
        /** Ohms again with the float or the temperature elsewhere. */
        MOVE
    }

    /**
     * A lead.
     *
     * @param guesses the likeliest first
     * @param next what to do where two stay close
     * @param black whether it is black and not earth
     */
    public record Found(OfLead lead, List<Guess> guesses, Optional<Next> next, boolean black) {
        public Found {
            guesses = List.copyOf(guesses);
        }

        /** What was measured and what the guesses are held against. */
        public Quantity measured() {
            return lead.amps()
                    .<Quantity>map(amps -> new Amps(Math.abs(amps.value())))
                    .orElseGet(() -> lead.ohms().orElseThrow());
        }
    }

    /** Every lead with what hangs on it. */
    public static List<Found> of(List<OfLead> leads) {
        return leads.stream().map(Leads::found).toList();
    }

    private static Found found(OfLead lead) {
        var weights = new LinkedHashMap<Hangs, Weighed>();
        lead.amps()
                .ifPresent(amps ->
                        byAmps(
                                weights,
                                Math.abs(lead.volts().orElseThrow().value()),
                                Math.abs(amps.value())));
        lead.ohms().ifPresent(ohms -> byOhms(weights, lead, Math.abs(ohms.value())));
        double sum = weights.values().stream().mapToDouble(Weighed::weight).sum();
        var guesses =
                weights.entrySet().stream()
                        .map(each ->
                                new Guess(
                                        each.getKey(),
                                        each.getValue().expected(),
                                        each.getValue().weight() / sum))
                        .filter(guess -> guess.weight() >= LIKELY)
                        .sorted(Comparator.comparing(Guess::weight).reversed())
                        .toList();
        boolean black =
                lead.colour().filter(BLACK::equals).isPresent()
                        && !(guesses.getFirst().hangs() instanceof Hangs.Earth);
        return new Found(lead, guesses, next(lead, guesses), black);
    }

    private record Weighed(Optional<Quantity> expected, double weight) {
        static Weighed of(Quantity expected, double weight) {
            return new Weighed(Optional.of(expected), weight);
        }
    }

    /** The system that a supply of those volts is of. */
    public static Volts system(Volts supply) {
        double volts = Math.abs(supply.value());
        return new Volts(volts > 17 ? 24 : volts > 8.5 ? 12 : 6);
    }

    private static void byAmps(Map<Hangs, Weighed> weights, double volts, double amps) {
        var system = system(new Volts(volts));
        if (amps < NOTHING) {
            weights.put(new Hangs.Open(), Weighed.of(new Amps(0), 1));
            return;
        }
        if (volts < FALLEN * 6) {
            weights.put(new Hangs.Earth(), new Weighed(Optional.empty(), 1));
            return;
        }
        filaments(weights, system, new Supplied(volts, amps), 1);
        var half = new Volts(system.value() / 2);
        filaments(weights, half, new Supplied(volts, amps), 0.3);
        var twice = new Volts(system.value() * 2);
        filaments(weights, twice, new Supplied(volts, amps), 0.05);
        double by = system.value() / 12;
        for (double ohms : new double[] {PLAIN_COIL, BALLAST_COIL, ELECTRONIC_COIL}) {
            coil(weights, new Hangs.IgnitionCoil(new Ohms(ohms * by)), volts / (ohms * by), amps);
        }
        double relay = RELAY_COIL * by * by;
        weights.put(
                new Hangs.RelayCoil(new Ohms(relay)),
                Weighed.of(new Amps(volts / relay), density(amps, volts / relay, COIL_OFF)));
        boolean motor = amps > LEAST_MOTOR / 2 && amps < MOST_MOTOR;
        double flat = 1 / Math.log(MOST_MOTOR / LEAST_MOTOR);
        weights.put(new Hangs.Motor(), new Weighed(Optional.empty(), motor ? flat : 1e-6));
        if (amps > MOST_MOTOR) {
            weights.put(new Hangs.Earth(), new Weighed(Optional.empty(), 1));
        }
    }

    private static void coil(
            Map<Hangs, Weighed> weights, Hangs coil, double expected, double amps) {
        weights.put(coil, Weighed.of(new Amps(expected), 0.25 * density(amps, expected, COIL_OFF)));
    }

    private record Supplied(double volts, double amps) {}

    /** The filaments made for some volts, those of the same watts together. */
    private static void filaments(
            Map<Hangs, Weighed> weights, Volts made, Supplied read, double often) {
        var system = system(new Volts(read.volts));
        boolean own = made.equals(system);
        alike(made)
                .forEach(lamps -> {
                    var entry = lamps.getFirst();
                    double rated = entry.test().value();
                    double expected =
                            entry.watts().value() / rated * Math.pow(read.volts / rated, FILAMENT);
                    var hangs =
                            own
                                    ? new Hangs.Filament(uses(lamps), entry.watts())
                                    : new Hangs.OtherVolts(
                                            uses(lamps),
                                            entry.watts(),
                                            made,
                                            made.value() < system.value());
                    weights.put(
                            hangs,
                            Weighed.of(
                                    new Amps(expected),
                                    often
                                            * entry.met().value()
                                            * density(read.amps, expected, LAMP_OFF)));
                });
    }

    /** The lamps made for some volts, those of the same watts together. */
    private static Collection<List<LampTable.Entry>> alike(Volts made) {
        return LampTable.of(made).stream()
                .collect(
                        Collectors.groupingBy(
                                LampTable.Entry::watts, LinkedHashMap::new, Collectors.toList()))
                .values();
    }

    private static List<String> uses(List<LampTable.Entry> lamps) {
        return lamps.stream().map(LampTable.Entry::use).toList();
    }

    private static void byOhms(Map<Hangs, Weighed> weights, OfLead lead, double ohms) {
        if (ohms >= ENDLESS) {
            multiply(
                    weights,
                    new Hangs.Open(),
                    Weighed.of(new Ohms(UserUnits.OVER_RANGE_OHMS), 1),
                    true);
            return;
        }
        double system = lead.volts().map(Leads::system).map(Volts::value).orElse(12.0);
        double by = system / 12;
        var cold = new LinkedHashMap<Hangs, Weighed>();
        cold.put(
                new Hangs.Earth(),
                Weighed.of(new Ohms(TO_BODY), 2 * below(ohms, TO_BODY, COLD_OFF)));
        for (var lamps : alike(new Volts(system))) {
            var entry = lamps.getLast();
            double hot = Math.pow(entry.test().value(), 2) / entry.watts().value();
            cold.put(
                    new Hangs.Filament(uses(lamps), entry.watts()),
                    Weighed.of(
                            new Ohms(COLD * hot),
                            entry.met().value() * density(ohms, COLD * hot, COLD_OFF)));
        }
        for (double coil : new double[] {PLAIN_COIL, BALLAST_COIL, ELECTRONIC_COIL}) {
            cold.put(
                    new Hangs.IgnitionCoil(new Ohms(coil * by)),
                    Weighed.of(new Ohms(coil * by), 0.5 * density(ohms, coil * by, COIL_OFF)));
        }
        double relay = RELAY_COIL * by * by;
        cold.put(
                new Hangs.RelayCoil(new Ohms(relay)),
                Weighed.of(new Ohms(relay), density(ohms, relay, COIL_OFF)));
        for (var family : Senders.all()) {
            double least = Math.min(family.empty().value(), family.full().value());
            double most = Math.max(family.empty().value(), family.full().value());
            boolean within = ohms >= 0.9 * least && ohms <= 1.1 * most;
            cold.put(
                    new Hangs.Sender(family.empty(), family.full()),
                    new Weighed(
                            Optional.empty(),
                            within ? 0.5 / Math.log(Math.max(most / Math.max(least, 1), 2)) : 0));
        }
        cold.put(
                new Hangs.Motor(),
                new Weighed(Optional.empty(), ohms > 0.2 && ohms < 10 ? 0.1 : 1e-6));
        boolean alone = weights.isEmpty();
        cold.forEach((hangs, weighed) -> multiply(weights, hangs, weighed, alone));
        if (!alone) {
            weights.replaceAll((hangs, weighed) ->
                    cold.containsKey(hangs)
                            ? weighed
                            : new Weighed(weighed.expected(), 0.1 * weighed.weight()));
        }
    }

    /** Ohms beside amps: the same thing must show both. */
    private static void multiply(
            Map<Hangs, Weighed> weights, Hangs hangs, Weighed by, boolean alone) {
        if (alone) {
            weights.put(hangs, by);
        } else {
            weights.computeIfPresent(
                    hangs,
                    (_, weighed) ->
                            new Weighed(weighed.expected(), weighed.weight() * by.weight()));
        }
    }

    /** The density of a figure about another, both by their logarithms. */
    private static double density(double figure, double about, double off) {
        double z = Math.log(Math.max(figure, 1e-9) / about) / off;
        return Math.exp(-z * z / 2) / (off * Math.sqrt(2 * Math.PI));
    }

    /** The same where anything below is as good. */
    private static double below(double figure, double about, double off) {
        return density(Math.max(figure, about), about, off);
    }

    private static Optional<Next> next(OfLead lead, List<Guess> guesses) {
        if (guesses.size() < 2 || guesses.get(1).weight() < CLOSE * guesses.getFirst().weight()) {
            return Optional.empty();
        }
        var first = guesses.getFirst().hangs();
        var second = guesses.get(1).hangs();
        boolean lamps = isLamp(first) && isLamp(second);
        if (first instanceof Hangs.Sender && second instanceof Hangs.Sender) {
            return Optional.of(Next.MOVE);
        }
        if (lamps && lead.amps().isPresent()) {
            return Optional.of(Next.LOOK);
        }
        return lead.amps().isEmpty()
                ? Optional.of(Next.AMPS)
                : lead.ohms().isEmpty() ? Optional.of(Next.OHMS) : Optional.of(Next.LOOK);
    }

    private static boolean isLamp(Hangs hangs) {
        return hangs instanceof Hangs.Filament || hangs instanceof Hangs.OtherVolts;
    }
}
