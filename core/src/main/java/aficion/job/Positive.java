package aficion.job;

import aficion.quantity.Quantity;

/** Guards values that make sense only above zero. */
final class Positive {
    private Positive() {}

    static void require(String what, Quantity quantity) {
        if (quantity.value() <= 0) {
            throw new IllegalArgumentException(
                    what
                            + " must be above zero, not "
                            + quantity.value()
                            + " "
                            + quantity.unit().symbol());
        }
    }
}
