package aficion.instruments;

import aficion.quantity.Amps;
import aficion.quantity.Volts;
import java.time.Duration;

/**
 * A bench supply. Its output is switched on by {@link #on} alone, and off when this is closed. To
 * be used by one thread.
 */
public final class Supply implements AutoCloseable {
    private final ScpiLine line;
    private boolean on;

    /**
     * @param patience how long an answer is waited for
     */
    public Supply(String host, int port, Duration patience) {
        this.line = new ScpiLine(host, port, patience);
    }

    /** What it says it is. */
    public String identify() throws InstrumentException {
        return line.ask("*IDN?");
    }

    /** Sets volts and the current it gives at most; the output stays as it is. */
    public void set(Volts volts, Amps limit) throws InstrumentException {
        line.say("VOLT " + ScpiLine.text(volts.value()));
        line.say("CURR " + ScpiLine.text(limit.value()));
        line.check();
    }

    /** Switches the output on; told where it does not. */
    public void on() throws InstrumentException {
        on = true;
        line.say("OUTP ON");
        line.check();
    }

    /** Switches the output off. */
    public void off() throws InstrumentException {
        line.say("OUTP OFF");
        line.check();
        on = false;
    }

    /** Volts at its terminals. */
    public Volts volts() throws InstrumentException {
        return new Volts(line.number("MEAS:VOLT?"));
    }

    /** Amps that it gives. */
    public Amps amps() throws InstrumentException {
        return new Amps(line.number("MEAS:CURR?"));
    }

    /** Switches the output off where it may be on, and lets go of the instrument. */
    @Override
    public void close() {
        try {
            if (on) {
                off();
            }
        } catch (InstrumentException e) {
            // A line that is cut cannot be told; the person sees the instrument.
        } finally {
            line.close();
        }
    }
}
