package aficion.quantity;

/** Copper section, in square millimetres. Refuses values that are not finite. */
public record SquareMillimetres(double value) implements Quantity {
    public SquareMillimetres {
        Quantity.requireFinite(value, Unit.SQUARE_MILLIMETRE);
    }

    @Override
    public Unit unit() {
        return Unit.SQUARE_MILLIMETRE;
    }
}
