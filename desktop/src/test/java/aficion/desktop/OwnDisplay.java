package aficion.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.ProcessBuilder.Redirect;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.LauncherSessionListener;

/**
 * Where there is no display, each program that tests a real window makes one of its own (Xvfb), on
 * which no key repeats however long a busy machine holds it.
 */
public final class OwnDisplay implements LauncherSessionListener {
    private static final String SERVER =
            """
            Xvfb "$0" -displayfd 1 -r -nolisten tcp -screen 0 1600x1000x24 &
            exec >/dev/null
            while kill -0 "$PPID"; do sleep 1; done
            kill $!
            """;

    private static final AtomicBoolean STARTED = new AtomicBoolean();

    @Override
    public void launcherSessionOpened(LauncherSession session) {
        if (Boolean.getBoolean("aficion.display.own") && STARTED.compareAndSet(false, true)) {
            try {
                start(System.getenv("DISPLAY"));
            } catch (IOException e) {
                throw new UncheckedIOException("install the package xvfb, or set DISPLAY", e);
            }
        }
    }

    /**
     * Starts a server, which says its number on its output once it takes clients. It goes on until
     * this program has ended: one that loses its display is taken for one that failed.
     */
    private static void start(String display) throws IOException {
        var server =
                new ProcessBuilder("sh", "-c", SERVER, display)
                        .redirectError(Redirect.DISCARD)
                        .start();
        if (server.inputReader().readLine() == null) {
            throw new IOException("display " + display + " did not start");
        }
    }
}
