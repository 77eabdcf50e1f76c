package aficion.instruments;

import java.io.IOException;

/** An instrument that does not answer, or not as it should. */
public final class InstrumentException extends IOException {
    private static final long serialVersionUID = 1;

    private final Trouble trouble;

    /** What went wrong. */
    public enum Trouble {
        /** Nobody listens there. */
        NOT_THERE,
        /** It does not answer in time. */
        SILENT,
        /** The line was cut. */
        CUT,
        /** What it answers is no number. */
        GARBAGE,
        /** It says that it cannot do that. */
        REFUSED
    }

    InstrumentException(Trouble trouble, String said) {
        super(trouble + ": " + said);
        this.trouble = trouble;
    }

    /** What went wrong. */
    public Trouble trouble() {
        return trouble;
    }
}
