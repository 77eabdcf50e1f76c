package aficion.desktop.workbench;

import aficion.bench.Meter;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.util.Optional;

/**
 * What a meter and a test lamp show between two terminals.
 *
 * @param volts red above black, with everything as it stands; empty where one of them floats
 * @param ohms with the battery's earthed lead off; empty over the range
 * @param lamp a test lamp in their place; empty where it cannot be told
 */
public record Reading(Optional<Volts> volts, Optional<Ohms> ohms, Optional<Meter.Lit> lamp) {
    /** A probe that touches nothing. */
    static final Reading NOTHING =
            new Reading(Optional.empty(), Optional.empty(), Optional.empty());
}
