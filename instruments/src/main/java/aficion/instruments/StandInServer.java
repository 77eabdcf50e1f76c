package aficion.instruments;

import aficion.netlist.StateText;
import aficion.netlist.StateText.Read;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Locale;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/**
 * A supply or a meter of a stand-in, on a port of this machine alone. Each line of a client is
 * answered; what is not understood goes to the queue of errors, as instruments do.
 */
public final class StandInServer implements AutoCloseable {
    /** A line that is longer is no command. */
    private static final int LONGEST = 1024;

    private static final int MOST_ERRORS = 20;

    /** Clients that may wait to be heard. */
    private static final int WAITING = 8;

    private static final Duration ENDING = Duration.ofSeconds(2);

    private static final double MOST_VOLTS = 60;
    private static final double MOST_AMPS = 100;
    private static final Pattern PROBES = Pattern.compile("\"([^\"]*)\"\\s*,\\s*\"([^\"]*)\"");
    private static final Pattern QUOTED = Pattern.compile("\"([^\"]*)\"");

    /** What it is. */
    public enum Role {
        SUPPLY,
        METER
    }

    private final StandIn standIn;
    private final Role role;
    private final ServerSocket server;
    private final Set<Socket> clients = ConcurrentHashMap.newKeySet();
    private final Thread serving;

    private StandInServer(StandIn standIn, Role role, ServerSocket server) {
        this.standIn = standIn;
        this.role = role;
        this.server = server;
        this.serving = Thread.ofPlatform().daemon().name("stand-in-" + role).unstarted(this::serve);
    }

    /**
     * Serves until it is closed.
     *
     * @param port 0 for any that is free
     * @throws IOException when the port is taken
     */
    public static StandInServer open(StandIn standIn, Role role, int port) throws IOException {
        var socket = new ServerSocket();
        try {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), WAITING);
        } catch (IOException e) {
            socket.close();
            throw e;
        }
        var server = new StandInServer(standIn, role, socket);
        server.serving.start();
        return server;
    }

    /** The port it serves on. */
    public int port() {
        return server.getLocalPort();
    }

    private void serve() {
        while (!server.isClosed()) {
            try {
                var client = server.accept();
                clients.add(client);
                Thread.ofVirtual().start(() -> answer(client));
            } catch (IOException e) {
                return;
            }
        }
    }

    private void answer(Socket client) {
        Queue<String> errors = new ArrayDeque<>();
        try (client;
                var in = new BufferedInputStream(client.getInputStream())) {
            var out = client.getOutputStream();
            for (var line = line(in); line.isPresent(); line = line(in)) {
                for (var command : line.get().split(";")) {
                    var said = answer(command.strip(), errors);
                    if (said.isPresent()) {
                        out.write((said.get() + "\n").getBytes(StandardCharsets.US_ASCII));
                        out.flush();
                    }
                }
            }
        } catch (IOException e) {
            // The client is gone.
        } finally {
            clients.remove(client);
            if (role == Role.SUPPLY) {
                standIn.output(false);
            }
        }
    }

    /** The next line; empty where there is none more. */
    private static Optional<String> line(BufferedInputStream in) throws IOException {
        var line = new StringBuilder();
        for (int sign = in.read(); sign >= 0; sign = in.read()) {
            if (sign == '\n') {
                return Optional.of(line.toString().strip());
            }
            if (line.length() < LONGEST) {
                line.append((char) sign);
            }
        }
        return Optional.empty();
    }

    private Optional<String> answer(String command, Queue<String> errors) {
        int space = command.indexOf(' ');
        var name = (space < 0 ? command : command.substring(0, space)).toUpperCase(Locale.ROOT);
        var argument = space < 0 ? "" : command.substring(space + 1).strip();
        if (name.isEmpty()) {
            return Optional.empty();
        }
        switch (name) {
            case "*IDN?" -> {
                return Optional.of(
                        "Aficion,stand-in " + role.name().toLowerCase(Locale.ROOT) + ",0,1");
            }
            case "SYST:ERR?" -> {
                var first = errors.poll();
                return Optional.of(first == null ? "0,\"No error\"" : first);
            }
            case "*CLS" -> errors.clear();
            case "*RST" -> standIn.output(false);
            case "DIAG:STAT" -> state(argument, errors);
            case "DIAG:PROB" -> probes(argument, errors);
            default -> {
                return role == Role.SUPPLY ? supply(name, argument, errors) : meter(name, errors);
            }
        }
        return Optional.empty();
    }

    private Optional<String> supply(String name, String argument, Queue<String> errors) {
        switch (name) {
            case "VOLT" ->
                    number(argument, MOST_VOLTS, errors)
                            .ifPresent(value -> standIn.set(new Volts(value)));
            case "CURR" ->
                    number(argument, MOST_AMPS, errors)
                            .ifPresent(value -> standIn.limit(new Amps(value)));
            case "OUTP" -> output(argument, errors);
            case "VOLT?" -> {
                return said(standIn.set().value());
            }
            case "CURR?" -> {
                return said(standIn.limit().value());
            }
            case "OUTP?" -> {
                return Optional.of(standIn.output() ? "1" : "0");
            }
            case "MEAS:VOLT?" -> {
                return said(standIn.supplyVolts());
            }
            case "MEAS:CURR?" -> {
                return said(standIn.supplyAmps());
            }
            default -> error(errors, "-113,\"Undefined header\"");
        }
        return Optional.empty();
    }

    private Optional<String> meter(String name, Queue<String> errors) {
        return switch (name) {
            case "MEAS:VOLT:DC?" -> said(standIn.volts());
            case "MEAS:RES?" -> said(standIn.ohms());
            case "MEAS:CURR:DC?" -> said(standIn.amps());
            default -> {
                error(errors, "-113,\"Undefined header\"");
                yield Optional.empty();
            }
        };
    }

    private static Optional<String> said(double value) {
        return Optional.of(String.format(Locale.ROOT, "%.6E", value));
    }

    private void output(String argument, Queue<String> errors) {
        switch (argument.toUpperCase(Locale.ROOT)) {
            case "ON", "1" -> standIn.output(true);
            case "OFF", "0" -> standIn.output(false);
            default -> error(errors, "-224,\"Illegal parameter value\"");
        }
    }

    private static Optional<Double> number(String text, double most, Queue<String> errors) {
        var value = number(text);
        if (value.isEmpty()) {
            error(errors, "-224,\"Illegal parameter value\"");
        } else if (!(value.get() > 0 && value.get() <= most)) {
            error(errors, "-222,\"Data out of range\"");
        }
        return value.filter(found -> found > 0 && found <= most);
    }

    private static Optional<Double> number(String text) {
        try {
            return Optional.of(Double.valueOf(text));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private void state(String argument, Queue<String> errors) {
        var text = QUOTED.matcher(argument);
        if (text.matches()
                && StateText.read(standIn.design(), text.group(1), StandInServer::number)
                        instanceof Read.Done(var conditions)) {
            standIn.state(conditions);
        } else {
            error(errors, "-224,\"Illegal parameter value\"");
        }
    }

    private void probes(String argument, Queue<String> errors) {
        var text = PROBES.matcher(argument);
        if (text.matches()) {
            var red = standIn.design().terminal(text.group(1));
            var black = standIn.design().terminal(text.group(2));
            if (red.isPresent() && black.isPresent()) {
                standIn.probes(red.get(), black.get());
                return;
            }
        }
        error(errors, "-224,\"Illegal parameter value\"");
    }

    private static void error(Queue<String> errors, String error) {
        if (errors.size() < MOST_ERRORS) {
            errors.add(error);
        }
    }

    /** Hangs up on everybody and frees the port; a supply's output goes off. */
    @Override
    public void close() {
        try {
            server.close();
            for (var client : clients) {
                client.close();
            }
            serving.join(ENDING);
        } catch (IOException e) {
            // It serves no more either way.
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        if (role == Role.SUPPLY) {
            standIn.output(false);
        }
    }
}
