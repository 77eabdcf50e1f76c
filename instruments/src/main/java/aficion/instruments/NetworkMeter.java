package aficion.instruments;

import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.time.Duration;

/** A meter on the network. To be used by one thread. */
public final class NetworkMeter implements AutoCloseable {
    private final ScpiLine line;

    /**
     * @param patience how long an answer is waited for
     */
    public NetworkMeter(String host, int port, Duration patience) {
        this.line = new ScpiLine(host, port, patience);
    }

    /** What it says it is. */
    public String identify() throws InstrumentException {
        return line.ask("*IDN?");
    }

    /** Volts between its probes. */
    public Volts volts() throws InstrumentException {
        return new Volts(line.number("MEAS:VOLT:DC?"));
    }

    /** Amps through it. */
    public Amps amps() throws InstrumentException {
        return new Amps(line.number("MEAS:CURR:DC?"));
    }

    /** Ohms between its probes; more than a meter shows is a very large number. */
    public Ohms ohms() throws InstrumentException {
        return new Ohms(line.number("MEAS:RES?"));
    }

    /** Tells a stand-in where the probes are; a meter of metal ignores it or refuses. */
    public void probes(String red, String black) throws InstrumentException {
        line.say("DIAG:PROB \"" + red + "\",\"" + black + "\"");
        line.check();
    }

    /** Tells a stand-in how everything stands. */
    public void state(String state) throws InstrumentException {
        line.say("DIAG:STAT \"" + state + "\"");
        line.check();
    }

    @Override
    public void close() {
        line.close();
    }
}
