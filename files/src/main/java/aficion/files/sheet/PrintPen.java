package aficion.files.sheet;

import aficion.catalogue.Colour;
import aficion.diagram.Pen;
import aficion.words.DrawingWords;

/**
 * How a pen of a drawing looks in print, in the units of the drawing.
 *
 * @param stroke colour of its line; {@link #NONE} for none
 * @param width of its line
 * @param fill colour inside; {@link #NONE} for none
 * @param dash length of a dash; 0 for a whole line
 * @param gap between dashes
 * @param size of its words
 */
record PrintPen(int stroke, double width, int fill, double dash, double gap, double size) {
    static final int NONE = -1;

    /** Where the baseline of words lies below the middle of their height, share of their size. */
    static final double BASELINE = 0.33;

    static final int INK = 0x1F2A33;
    static final int QUIET = 0x56616A;
    static final int PAPER = 0xFFFFFF;
    private static final int WRONG = 0xA32A1E;

    /** Of the design's tokens: ground where there is too little, and where there is enough. */
    private static final int SHORT = 0xE9C9BF;

    private static final int ENOUGH = 0xDFE6DC;
    private static final int GRID = 0xE6E1D5;
    private static final int NOW = 0xA0640C;
    private static final double TEXT = DrawingWords.SIZE;
    private static final double PIN = 11;

    static PrintPen of(Pen pen) {
        return switch (pen.ink()) {
            case LINE -> line(look(pen), 1.4);
            case THIN -> new PrintPen(QUIET, 1, NONE, 3, 3, 0);
            case SHAPE -> shape(look(pen), 1.4, PAPER);
            case HOLLOW -> line(look(pen), 1.4);
            case SEAT -> shape(INK, 1.2, PAPER);
            case SOLID, DOT -> shape(NONE, 0, INK);
            case BODY -> shape(INK, 1.3, PAPER);
            case CASE -> line(INK, 4.4);
            case CORE -> line(colour(pen), 3);
            case TRUNK_CASE -> line(INK, 5);
            case TRUNK_CORE -> line(colour(pen), 3.4);
            case TRACER -> new PrintPen(colour(pen), 2.2, NONE, 9, 7, 0);
            case EARTH -> line(INK, 1.8);
            case JUMP -> shape(QUIET, 1, PAPER);
            case TEXT -> words(look(pen), TEXT);
            case PIN -> words(QUIET, PIN);
            case BACK -> shape(NONE, 0, PAPER);
            case CURVE ->
                    pen.look() == Pen.Look.DIM
                            ? new PrintPen(QUIET, 1.6, NONE, 6, 4, 0)
                            : line(look(pen), 2.2);
            case GROUND -> filled(pen.look() == Pen.Look.WRONG ? SHORT : ENOUGH);
            case GRID -> line(GRID, 0.8);
            case MARKER -> line(NOW, 2.2);
        };
    }

    private static int look(Pen pen) {
        return switch (pen.look()) {
            case PLAIN, LIVE -> INK;
            case DIM -> QUIET;
            case WRONG -> WRONG;
        };
    }

    private static int colour(Pen pen) {
        return pen.colour().map(Colour::rgb).orElse(INK);
    }

    private static PrintPen line(int colour, double width) {
        return new PrintPen(colour, width, NONE, 0, 0, 0);
    }

    private static PrintPen shape(int stroke, double width, int fill) {
        return new PrintPen(stroke, width, fill, 0, 0, 0);
    }

    /** Paper of some colour. */
    static PrintPen filled(int colour) {
        return shape(NONE, 0, colour);
    }

    static PrintPen words(int colour, double size) {
        return new PrintPen(NONE, 0, colour, 0, 0, size);
    }

    boolean strokes() {
        return stroke != NONE;
    }

    boolean fills() {
        return fill != NONE;
    }
}
