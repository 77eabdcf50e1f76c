package aficion.route;

import aficion.quantity.Metres;

/** How long a wire is, and how well that is known. */
public sealed interface RunLength {

    Metres metres();

    /** Measured on the vehicle or in string. */
    record Measured(Metres measured) implements RunLength {
        public Measured {
            requireSensible(measured);
        }

        @Override
        public Metres metres() {
            return measured;
        }
    }

    /** Taken for granted until it is measured; labelled so wherever it shows. */
    record Assumed(Metres assumed) implements RunLength {
        public Assumed {
            requireSensible(assumed);
        }

        @Override
        public Metres metres() {
            return assumed;
        }
    }

    private static void requireSensible(Metres metres) {
        if (metres.value() < 0 || metres.value() > 100) {
            throw new IllegalArgumentException(
                    "a wire is 0 to 100 m long, not " + metres.value() + " m");
        }
    }
}
