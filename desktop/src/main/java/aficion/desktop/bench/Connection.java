package aficion.desktop.bench;

import aficion.instruments.InstrumentException;
import aficion.instruments.InstrumentException.Trouble;
import aficion.instruments.NetworkMeter;
import aficion.instruments.Supply;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.Volts;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;

/**
 * Speaks to a supply and a meter beside the application thread, and tells what they show. The
 * output is switched on when it is asked for, and off when the limit is reached, when it is asked
 * for, and when this is closed.
 */
final class Connection implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofMillis(1500);
    private static final long EVERY = 350;

    /** As much of the limit is the limit. */
    private static final double REACHED = 0.98;

    /** A reading that moves less between two looks is steady: a share, and volts or ohms. */
    private static final double STEADY_SHARE = 0.02;

    private static final double STEADY = 0.06;

    private final Supply supply;
    private final NetworkMeter meter;
    private final Consumer<Shown> told;
    private final ScheduledExecutorService thread =
            Executors.newSingleThreadScheduledExecutor(
                    Thread.ofPlatform().daemon().name("instruments").factory());
    private final Thread ending = new Thread(this::letGo);

    private Optional<Probing> probing = Optional.empty();
    private @Nullable Amps limit;
    private double last = Double.NaN;

    /** Whether the limit has switched it off, until it is switched on again. */
    private boolean tripped;

    private Probing probed = Probing.NOTHING;

    /** Where an instrument is. */
    record Address(String host, int port) {
        /** Reads {@code host:port}; empty where it is none. */
        static Optional<Address> parse(String text) {
            int colon = text.lastIndexOf(':');
            try {
                int port = Integer.parseInt(text.substring(colon + 1).strip());
                var host = text.substring(0, Math.max(0, colon)).strip();
                return colon > 0 && port > 0 && port <= 65535
                        ? Optional.of(new Address(host, port))
                        : Optional.empty();
            } catch (NumberFormatException e) {
                return Optional.empty();
            }
        }
    }

    /** What is measured between two terminals, amps in the wire between them. */
    enum Range {
        VOLTS,
        OHMS,
        AMPS;

        /** A value as what it is. */
        Quantity of(double value) {
            return switch (this) {
                case VOLTS -> new Volts(value);
                case OHMS -> new Ohms(value);
                case AMPS -> new Amps(value);
            };
        }
    }

    /** Where the probes are, and how everything stands. */
    record Probing(Range range, String red, String black, String state) {
        static final Probing NOTHING = new Probing(Range.VOLTS, "", "", "");

        /** Whether it is measured with the power on. */
        boolean powered() {
            return range != Range.OHMS;
        }
    }

    /** What the instruments show. */
    record Shown(
            boolean on,
            Optional<Amps> amps,
            Optional<Probing> probing,
            Optional<Double> value,
            boolean steady,
            Optional<Trouble> trouble,
            boolean limited) {}

    Connection(Address supply, Address meter, Consumer<Shown> told) {
        this.supply = new Supply(supply.host, supply.port, PATIENCE);
        this.meter = new NetworkMeter(meter.host, meter.port, PATIENCE);
        this.told = told;
        Runtime.getRuntime().addShutdownHook(ending);
        thread.scheduleWithFixedDelay(this::look, 0, EVERY, TimeUnit.MILLISECONDS);
    }

    /** Measures that from now on. */
    void probe(Optional<Probing> wanted) {
        thread.execute(() -> {
            probing = wanted;
            last = Double.NaN;
        });
    }

    /** Switches the output on. */
    void on(Volts volts, Amps most) {
        thread.execute(() -> {
            try {
                tripped = false;
                supply.set(volts, most);
                limit = most;
                supply.on();
                look();
            } catch (InstrumentException e) {
                tell(e);
            }
        });
    }

    /** Switches the output off. */
    void off() {
        thread.execute(this::switchOff);
    }

    private void switchOff() {
        try {
            if (limit != null) {
                supply.off();
                limit = null;
            }
            tell(
                    new Shown(
                            false,
                            Optional.empty(),
                            probing,
                            Optional.empty(),
                            false,
                            Optional.empty(),
                            tripped));
        } catch (InstrumentException e) {
            tell(e);
        }
    }

    private void look() {
        try {
            var most = limit;
            Optional<Amps> amps = most == null ? Optional.empty() : Optional.of(supply.amps());
            if (most != null && amps.get().value() >= REACHED * most.value()) {
                tripped = true;
                switchOff();
                return;
            }
            var value = value();
            double now = value.orElse(Double.NaN);
            boolean steady = Math.abs(now - last) <= Math.max(STEADY, STEADY_SHARE * Math.abs(now));
            last = now;
            tell(new Shown(most != null, amps, probing, value, steady, Optional.empty(), tripped));
        } catch (InstrumentException e) {
            tell(e);
        }
    }

    private Optional<Double> value() throws InstrumentException {
        if (probing.isEmpty()) {
            return Optional.empty();
        }
        var wanted = probing.get();
        if (!wanted.equals(probed)) {
            place(wanted);
            probed = wanted;
        }
        return Optional.of(
                switch (wanted.range) {
                    case VOLTS -> meter.volts().value();
                    case OHMS -> meter.ohms().value();
                    case AMPS -> meter.amps().value();
                });
    }

    /** A stand-in has to be told; an instrument of metal does not know what that is. */
    private void place(Probing wanted) throws InstrumentException {
        try {
            meter.state(wanted.state);
            meter.probes(wanted.red, wanted.black);
        } catch (InstrumentException e) {
            boolean metal = e.trouble() == Trouble.REFUSED || e.trouble() == Trouble.SILENT;
            if (!metal) {
                throw e;
            }
        }
    }

    private void tell(InstrumentException e) {
        tell(
                new Shown(
                        limit != null,
                        Optional.empty(),
                        probing,
                        Optional.empty(),
                        false,
                        Optional.of(e.trouble()),
                        tripped));
    }

    private void tell(Shown shown) {
        Platform.runLater(() -> told.accept(shown));
    }

    private void letGo() {
        supply.close();
        meter.close();
    }

    /** Switches the output off and lets go of both. */
    @Override
    public void close() {
        thread.execute(this::letGo);
        thread.shutdown();
        try {
            Runtime.getRuntime().removeShutdownHook(ending);
        } catch (IllegalStateException e) {
            // The program is ending, and the hook does it.
        }
    }
}
