package aficion.desktop;

import aficion.desktop.cli.Commands;

/** Where the program starts. */
public final class Main {
    private Main() {}

    public static void main(String[] arguments) {
        // Sheets are drawn in memory alone; no other toolkit may look for a screen.
        System.setProperty("java.awt.headless", "true");
        int code = Commands.run(arguments);
        if (code != Commands.WINDOW_OPEN) {
            System.exit(code);
        }
    }
}
