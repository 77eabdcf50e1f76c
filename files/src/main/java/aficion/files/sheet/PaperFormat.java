package aficion.files.sheet;

/** Sizes of paper, millimetres. */
public enum PaperFormat {
    A4(210, 297),
    A3(297, 420),
    LETTER(215.9, 279.4);

    private final double shorter;
    private final double longer;

    PaperFormat(double shorter, double longer) {
        this.shorter = shorter;
        this.longer = longer;
    }

    double shorter() {
        return shorter;
    }

    double longer() {
        return longer;
    }
}
