package aficion.quantity;

/** The unit a {@link Quantity} is held in, with the symbol it is written with. */
public enum Unit {
    VOLT("V"),
    AMPERE("A"),
    OHM("\u03a9"),
    WATT("W"),
    METRE("m"),
    SQUARE_MILLIMETRE("mm\u00b2"),
    CELSIUS("\u00b0C"),
    KELVIN("K"),
    HENRY("H"),
    FARAD("F"),
    AMPERE_HOUR("Ah"),
    RPM("rpm"),
    SECOND("s"),
    ONE("");

    private final String symbol;

    Unit(String symbol) {
        this.symbol = symbol;
    }

    /** How it is written, such as {@code mm²}. */
    public String symbol() {
        return symbol;
    }
}
