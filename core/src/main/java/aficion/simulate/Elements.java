package aficion.simulate;

import aficion.catalogue.FuseType;
import aficion.catalogue.TimeBand;
import aficion.netlist.Branch;
import aficion.netlist.SourceCurves;
import aficion.solve.Network;

/** The branches that remember. */
final class Elements {
    private Elements() {}

    /**
     * A filament by its resistance as a share of the hot one. Its heat is what it is fed less what
     * it sheds, τ·dr/dt = v²/r − r^m with v the share of its rated volts; m = 2/0.45 − 1, so that
     * at rest its current follows V^0.55. τ grows with the root of its watts, 40 ms at 21 W
     * (typical).
     */
    static final class Filament extends Element {
        private static final double SHEDS = 2 / (1 - Branch.Filament.POWER) - 1;
        private static final double SECONDS = 0.08;
        private static final double AT_WATTS = 21;
        private final Branch.Filament lamp;
        private final double seconds;
        private final double hot;

        Filament(int branch, Branch.Filament lamp) {
            super(branch, 0.01);
            this.lamp = lamp;
            double watts = lamp.ratedVolts() * lamp.ratedAmps();
            seconds = SECONDS * Math.sqrt(watts / AT_WATTS);
            hot = lamp.ratedVolts() / lamp.ratedAmps();
        }

        @Override
        void settle(Network network) {
            double share = Math.abs(network.across(branch)) / lamp.ratedVolts();
            value = bounded(Math.pow(share, 1 - Branch.Filament.POWER));
        }

        @Override
        void apply(Network network, double at, double step) {
            network.straighten(branch, 1 / (hot * at), 0);
        }

        @Override
        double rate(Network network, double at) {
            double share = network.across(branch) / lamp.ratedVolts();
            double rate = (share * share / at - Math.pow(at, SHEDS)) / seconds;
            return at <= Branch.Filament.COLD_SHARE ? Math.max(0, rate) : rate;
        }

        @Override
        double steepness() {
            return -SHEDS * Math.pow(value, SHEDS - 1) / seconds;
        }

        @Override
        double bounded(double wanted) {
            return Math.max(Branch.Filament.COLD_SHARE, wanted);
        }
    }

    /**
     * A motor by its speed as a share of that at rated volts; below zero it turns backwards. Its
     * back-emf falls behind its volts with the mechanical time constant, E/(R·In) of which its
     * rated torque alone would need for the whole speed.
     */
    static final class Motor extends Element {
        private final Branch.Motor motor;

        /** Seconds its rated torque alone would take to bring it up to speed. */
        private final double inertia;

        Motor(int branch, Branch.Motor motor) {
            super(branch, 0.01);
            this.motor = motor;
            inertia = motor.seconds() * motor.backEmf() / motor.stall() / motor.ratedAmps();
        }

        @Override
        void settle(Network network) {
            double volts = network.across(branch);
            double drop = motor.stall() * network.amps(branch);
            value = Math.abs(volts) <= motor.knee() ? 0 : (volts - drop) / motor.backEmf();
        }

        @Override
        void apply(Network network, double at, double step) {
            network.straighten(branch, 1 / motor.stall(), -at * motor.backEmf() / motor.stall());
        }

        @Override
        double rate(Network network, double at) {
            double drive =
                    (network.across(branch) - at * motor.backEmf())
                            / motor.stall()
                            / motor.ratedAmps();
            if (Math.abs(at) < 1e-6 && Math.abs(drive) <= Branch.Motor.FRICTION) {
                return 0;
            }
            double direction = Math.abs(at) < 1e-6 ? Math.signum(drive) : Math.signum(at);
            return (drive - direction * Branch.Motor.load(Math.abs(at))) / inertia;
        }

        @Override
        double steepness() {
            return -1 / motor.seconds();
        }

        @Override
        double bounded(double wanted) {
            return wanted * value < 0 ? 0 : wanted;
        }
    }

    /** What warms or speeds up, by its resistance in ohms. */
    static final class Warming extends Element {
        private final Branch.Warming branchOf;
        private final double nominal;

        Warming(int branch, Branch.Warming warming, double nominal) {
            super(branch, 0.02 * warming.ohms());
            this.branchOf = warming;
            this.nominal = nominal;
        }

        @Override
        void settle(Network network) {
            value = aim(network);
        }

        private double aim(Network network) {
            double share = network.across(branch) / nominal;
            double fed = Math.min(1, share * share);
            return branchOf.first() + fed * (branchOf.ohms() - branchOf.first());
        }

        @Override
        void apply(Network network, double at, double step) {
            network.straighten(branch, 1 / at, 0);
        }

        @Override
        double rate(Network network, double at) {
            return (aim(network) - at) / branchOf.seconds();
        }

        @Override
        double steepness() {
            return -1 / branchOf.seconds();
        }
    }

    /** A capacitor by its volts; backward Euler, so that any step is stable. */
    static final class Capacitor extends Element {
        private final double farads;

        Capacitor(int branch, Branch.Capacitance capacitor) {
            super(branch, 0.005);
            farads = capacitor.farads();
        }

        @Override
        void settle(Network network) {
            value = network.across(branch);
            next = value;
        }

        @Override
        void apply(Network network, double at, double step) {
            double conductance = farads / step;
            network.straighten(branch, conductance, -conductance * value);
        }

        @Override
        double rate(Network network, double at) {
            return network.amps(branch) / farads;
        }

        @Override
        void accept(Network network) {
            next = network.across(branch);
            super.accept(network);
        }
    }

    /** What a battery is: volts, ohms, ampere-hours at the twenty-hour rate, Peukert's exponent. */
    record Lead(double nominal, double internal, double hours, double peukert) {}

    /** A battery by its charge; Peukert's law for what it gives faster than in twenty hours. */
    static final class Charge extends Element {
        private final Lead battery;
        private final double celsius;

        Charge(int branch, Lead battery, double celsius) {
            super(branch, 0.001);
            this.battery = battery;
            this.celsius = celsius;
        }

        @Override
        void settle(Network network) {}

        @Override
        void apply(Network network, double at, double step) {
            var source = (Branch.Source) network.branch(branch);
            double emf = SourceCurves.restVolts(battery.nominal(), at);
            if (Math.abs(emf - source.emf()) > 1e-6) {
                network.set(
                        branch,
                        new Branch.Source(
                                source.a(),
                                source.b(),
                                emf,
                                SourceCurves.givingOhms(battery.internal(), at, celsius),
                                SourceCurves.fillingOhms(
                                        battery.nominal(), battery.internal(), at)));
            }
        }

        @Override
        double rate(Network network, double at) {
            double given = -network.amps(branch);
            double slow = battery.hours() / 20;
            double faster = given > slow ? Math.pow(given / slow, battery.peukert() - 1) : 1;
            double rate = -given * faster / battery.hours() / 3600;
            return at <= 0 ? Math.max(0, rate) : at >= 1 ? Math.min(0, rate) : rate;
        }

        @Override
        double bounded(double wanted) {
            return Math.clamp(wanted, 0, 1);
        }
    }

    /**
     * A fuse by how much of the time it takes to open has gone by: 1 opens it. Below the currents
     * that have a time it forgets within {@value #FORGETS} s (typical). A breaker closes again by
     * itself after {@value #COOLS} s (typical), or once nothing feeds it, as its kind is.
     */
    static final class Fuse extends Element {
        private static final double FORGETS = 30;
        private static final double COOLS = 12;
        private static final double UNFED = 1;
        private final Branch.FuseBranch fuse;
        private final TimeBand.Edge edge;
        private double openedAt;

        Fuse(int branch, Branch.FuseBranch fuse, TimeBand.Edge edge) {
            super(branch, 0.05);
            this.fuse = fuse;
            this.edge = edge;
        }

        @Override
        void settle(Network network) {
            value = 0;
        }

        @Override
        void apply(Network network, double at, double step) {}

        @Override
        double rate(Network network, double at) {
            if (!network.whole(branch)) {
                return 0;
            }
            double seconds = fuse.type().seconds(fuse.marking(), network.amps(branch), edge);
            return Double.isInfinite(seconds) ? -at / FORGETS : 1 / seconds;
        }

        @Override
        double bounded(double wanted) {
            return Math.max(0, wanted);
        }

        @Override
        boolean act(Network network, double now) {
            if (network.whole(branch)) {
                if (value >= 1 - 1e-6) {
                    network.fuse(branch, false);
                    openedAt = now;
                    return true;
                }
                return false;
            }
            boolean closes =
                    fuse.whole()
                            && switch (fuse.type().resets()) {
                                case SELF -> now - openedAt >= COOLS - 1e-9;
                                case HOLD ->
                                        now > openedAt && Math.abs(network.across(branch)) < UNFED;
                                case NEVER, MANUAL -> false;
                            };
            if (closes) {
                value = 0;
                network.fuse(branch, true);
            }
            return closes;
        }

        @Override
        double due(double now) {
            boolean cooling = value >= 1 - 1e-6 && fuse.type().resets() == FuseType.Reset.SELF;
            return cooling ? openedAt + COOLS : reaches(now, 1);
        }
    }

    /**
     * A flasher's heated strip, by its heat: it opens at {@value #HOT} and closes at {@value
     * #COOL}, rising towards the square of its current as a share of the one it is made for. So
     * with that current it is closed and open for 0.405 of its time constant each.
     */
    static final class Strip extends Element {
        private static final double HOT = 0.6;
        private static final double COOL = 0.4;
        private final double load;
        private final double seconds;
        private boolean shut = true;

        Strip(int branch, Branch.Rhythm.Heated rhythm) {
            super(branch, 0.02);
            load = rhythm.load();
            seconds = rhythm.period() / (2 * Math.log((1 - COOL) / (1 - HOT)));
        }

        @Override
        void settle(Network network) {
            value = 0;
        }

        @Override
        void apply(Network network, double at, double step) {}

        @Override
        double rate(Network network, double at) {
            double share = network.amps(branch) / load;
            return (share * share - at) / seconds;
        }

        @Override
        double steepness() {
            return -1 / seconds;
        }

        @Override
        boolean act(Network network, double now) {
            boolean wanted = shut ? value < HOT - 1e-6 : value <= COOL + 1e-6;
            if (wanted == shut) {
                return false;
            }
            shut = wanted;
            network.blink(branch, shut);
            return true;
        }

        @Override
        double due(double now) {
            return reaches(now, shut ? HOT : COOL);
        }
    }

    /** A flasher's clock, by the time since current began to be asked for. */
    static final class Clock extends Element {
        private static final double ASKED = 1;
        private final double period;
        private double begun = Double.NaN;
        private boolean shut = true;

        Clock(int branch, Branch.Rhythm.Clocked rhythm) {
            super(branch, 1);
            period = rhythm.period();
        }

        @Override
        void settle(Network network) {}

        @Override
        void apply(Network network, double at, double step) {}

        @Override
        double rate(Network network, double at) {
            return 0;
        }

        @Override
        boolean act(Network network, double now) {
            boolean asked =
                    shut
                            ? Math.abs(network.amps(branch)) > 0.05
                            : Math.abs(network.across(branch)) > ASKED;
            if (!asked) {
                begun = Double.NaN;
                return turn(network, true);
            }
            if (Double.isNaN(begun)) {
                begun = now;
            }
            double phase = (now - begun) / period + 1e-9;
            return turn(network, phase - Math.floor(phase) < 0.5);
        }

        private boolean turn(Network network, boolean wanted) {
            boolean turned = wanted != shut;
            shut = wanted;
            if (turned) {
                network.blink(branch, shut);
            }
            return turned;
        }

        @Override
        double due(double now) {
            if (Double.isNaN(begun)) {
                return Double.POSITIVE_INFINITY;
            }
            double half = period / 2;
            return begun + (Math.floor((now - begun) / half + 1e-6) + 1) * half;
        }
    }

    /**
     * A gauge stabiliser's strip, by its heat: heated by the square of its output as a share of the
     * mean it holds; opens a little above 1, closes a little below, so that its output pulses.
     */
    static final class Stabiliser extends Element {
        private static final double SECONDS = 2;
        private static final double BAND = 0.05;
        private final Branch.ControlledResistance contact;
        private final Branch.Law.MeanVolts law;
        private boolean shut = true;

        Stabiliser(int branch, Branch.ControlledResistance contact, Branch.Law.MeanVolts law) {
            super(branch, 0.01);
            this.contact = contact;
            this.law = law;
        }

        @Override
        void settle(Network network) {
            value = 0;
        }

        @Override
        void apply(Network network, double at, double step) {
            network.straighten(branch, shut ? 1 / contact.least() : 1e-9, 0);
        }

        @Override
        double rate(Network network, double at) {
            boolean blind = network.floats(law.sense());
            double out = network.volts(contact.b()) - network.volts(law.sense());
            double share = blind ? 0 : out / law.target();
            return (share * share - at) / SECONDS;
        }

        @Override
        double steepness() {
            return -1 / SECONDS;
        }

        @Override
        boolean act(Network network, double now) {
            boolean wanted = shut ? value < 1 + BAND - 1e-6 : value <= 1 - BAND + 1e-6;
            boolean turned = wanted != shut;
            shut = wanted;
            return turned;
        }

        @Override
        double due(double now) {
            return reaches(now, shut ? 1 + BAND : 1 - BAND);
        }
    }
}
