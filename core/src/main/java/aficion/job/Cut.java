package aficion.job;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;

/**
 * What a wire is cut from.
 *
 * @param size the size it is bought by; one that is sold
 * @param cover what it is covered with
 * @param colour main colour and tracer
 */
public record Cut(WireSize size, Insulation cover, WireColour colour) {
    public Cut {
        Conductors.get(size);
    }

    /** The conductor of its size, from the catalogue. */
    public Conductor conductor() {
        return Conductors.get(size);
    }

    Cut of(WireSize changed) {
        return new Cut(changed, cover, colour);
    }

    Cut of(Insulation changed) {
        return new Cut(size, changed, colour);
    }

    Cut of(WireColour changed) {
        return new Cut(size, cover, changed);
    }
}
