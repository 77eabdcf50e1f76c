package aficion.identify;

import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;

/** What may hang on a lead. */
public sealed interface Hangs {

    /**
     * A filament of the system's volts.
     *
     * @param uses what filaments of those watts are for
     */
    record Filament(List<String> uses, Watts watts) implements Hangs {
        public Filament {
            uses = List.copyOf(uses);
        }
    }

    /**
     * A filament made for other volts than the system's.
     *
     * @param made the volts it is made for
     * @param half whether that is half of the system's; else it is double
     */
    record OtherVolts(List<String> uses, Watts watts, Volts made, boolean half) implements Hangs {
        public OtherVolts {
            uses = List.copyOf(uses);
        }
    }

    /** Nothing that conducts: a burnt filament, or a lead that ends nowhere. */
    record Open() implements Hangs {}

    /** The body, or a short to it. */
    record Earth() implements Hangs {}

    /** A motor, a horn or a heater, whose current says little. */
    record Motor() implements Hangs {}

    /** The primary of an ignition coil of about so many ohms. */
    record IgnitionCoil(Ohms ohms) implements Hangs {}

    /** The coil of a relay, of about so many ohms. */
    record RelayCoil(Ohms ohms) implements Hangs {}

    /** A sender of a family of gauges: ohms from one end of its way to the other. */
    record Sender(Ohms least, Ohms most) implements Hangs {}
}
