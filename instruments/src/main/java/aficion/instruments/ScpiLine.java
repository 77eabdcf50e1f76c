package aficion.instruments;

import aficion.instruments.InstrumentException.Trouble;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A line to an instrument: a command goes out, an answer comes back. What was cut is connected anew
 * at the next command, once. To be used by one thread.
 */
final class ScpiLine implements AutoCloseable {
    /** No answer is longer. */
    private static final int LONGEST = 4096;

    private final InetSocketAddress address;
    private final Duration patience;
    private @Nullable Socket socket;
    private @Nullable InputStream in;

    /**
     * @param patience how long an answer is waited for
     */
    ScpiLine(String host, int port, Duration patience) {
        this.address = new InetSocketAddress(host, port);
        this.patience = patience;
    }

    private OutputStream open() throws InstrumentException {
        try {
            var now = socket;
            if (now == null) {
                now = new Socket();
                now.connect(address, (int) patience.toMillis());
                now.setSoTimeout((int) patience.toMillis());
                now.setTcpNoDelay(true);
                socket = now;
                in = new BufferedInputStream(now.getInputStream());
            }
            return now.getOutputStream();
        } catch (IOException | IllegalArgumentException e) {
            close();
            throw new InstrumentException(Trouble.NOT_THERE, String.valueOf(e.getMessage()));
        }
    }

    /** Says something that is not answered. */
    void say(String command) throws InstrumentException {
        boolean fresh = socket == null;
        try {
            write(command);
        } catch (IOException e) {
            close();
            if (fresh) {
                throw cut(e);
            }
            retry(command);
        }
    }

    private void retry(String command) throws InstrumentException {
        try {
            write(command);
        } catch (InstrumentException e) {
            throw e;
        } catch (IOException e) {
            close();
            throw cut(e);
        }
    }

    private void write(String command) throws IOException {
        var out = open();
        out.write((command + "\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    private static InstrumentException cut(IOException e) {
        return e instanceof InstrumentException told
                ? told
                : new InstrumentException(Trouble.CUT, String.valueOf(e.getMessage()));
    }

    /** Asks something; asked once more where the line was found cut. */
    String ask(String command) throws InstrumentException {
        boolean fresh = socket == null;
        try {
            say(command);
            return answer();
        } catch (InstrumentException e) {
            if (fresh || e.trouble() != Trouble.CUT) {
                throw e;
            }
            say(command);
            return answer();
        }
    }

    private String answer() throws InstrumentException {
        var from = in;
        if (from == null) {
            throw new InstrumentException(Trouble.CUT, "no line");
        }
        long end = System.nanoTime() + patience.toNanos();
        var line = new StringBuilder();
        try {
            for (int sign = from.read(); sign != '\n'; sign = from.read()) {
                if (sign < 0) {
                    throw new InstrumentException(Trouble.CUT, "the line ended");
                }
                if (line.length() >= LONGEST || System.nanoTime() > end) {
                    throw new InstrumentException(Trouble.GARBAGE, "no end of line");
                }
                line.append((char) sign);
            }
            return line.toString().strip();
        } catch (SocketTimeoutException e) {
            close();
            throw new InstrumentException(Trouble.SILENT, "no answer in " + patience);
        } catch (InstrumentException e) {
            close();
            throw e;
        } catch (IOException e) {
            close();
            throw cut(e);
        }
    }

    /** Asks for a number. */
    double number(String command) throws InstrumentException {
        var answer = ask(command);
        try {
            double value = Double.parseDouble(answer);
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw new InstrumentException(Trouble.GARBAGE, answer);
    }

    /** Whether it is silent about errors; the first one is told. */
    void check() throws InstrumentException {
        var answer = ask("SYST:ERR?");
        if (!answer.startsWith("0") && !answer.startsWith("+0")) {
            throw new InstrumentException(Trouble.REFUSED, answer);
        }
    }

    /** A number as an instrument reads it. */
    static String text(double value) {
        return String.format(Locale.ROOT, "%.4f", value);
    }

    @Override
    public void close() {
        var old = socket;
        socket = null;
        in = null;
        if (old != null) {
            try {
                old.close();
            } catch (IOException e) {
                // It is gone either way.
            }
        }
    }
}
