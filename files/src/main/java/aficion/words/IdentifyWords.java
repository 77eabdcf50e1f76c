package aficion.words;

import aficion.change.PlugFit;
import aficion.change.Repinning;
import aficion.identify.ContactTable;
import aficion.identify.Hangs;
import aficion.identify.KeyName;
import aficion.identify.KeySwitch;
import aficion.identify.LeadSet;
import aficion.identify.Leads;
import aficion.job.Probed.Closed;
import aficion.quantity.UserUnits;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Says what a meter told of switches, leads and plugs. */
public final class IdentifyWords {
    private static final UserUnits UNITS = UserUnits.METRIC;

    private IdentifyWords() {}

    /** What a terminal of a key switch is, with its number. */
    public static String name(KeyName name) {
        var words = Words.of("key", name);
        return name.number().isEmpty() ? words : Words.of("key.number", words, name.number());
    }

    /** When a terminal is live, and when it is dead. */
    public static String why(KeySwitch found, KeySwitch.Named terminal) {
        var dead =
                found.positions().stream()
                        .filter(each -> !terminal.live().contains(each))
                        .filter(each -> !terminal.unread().contains(each))
                        .toList();
        var said = new ArrayList<String>();
        if (!terminal.live().isEmpty()) {
            said.add(Words.of("key.live", String.join(", ", terminal.live())));
        }
        if (!dead.isEmpty()) {
            said.add(Words.of("key.dead", String.join(", ", dead)));
        }
        if (!terminal.unread().isEmpty()) {
            said.add(Words.of("key.unread", String.join(", ", terminal.unread())));
        }
        found.troubles().stream()
                .filter(trouble -> terminal(trouble).equals(terminal.terminal()))
                .filter(trouble -> !(trouble instanceof KeySwitch.Trouble.Unread))
                .map(IdentifyWords::trouble)
                .forEach(said::add);
        return String.join("; ", said);
    }

    private static String terminal(KeySwitch.Trouble trouble) {
        return switch (trouble) {
            case KeySwitch.Trouble.Twice(var terminal, _, _, _) -> terminal;
            case KeySwitch.Trouble.Between(var terminal, _, _) -> terminal;
            case KeySwitch.Trouble.Odd(var terminal, _) -> terminal;
            case KeySwitch.Trouble.Unread(var terminal, _) -> terminal;
            case KeySwitch.Trouble.NoFeed() -> "";
        };
    }

    /** What does not fit. */
    public static String trouble(KeySwitch.Trouble trouble) {
        return switch (trouble) {
            case KeySwitch.Trouble.Twice(var terminal, var position, var one, var other) ->
                    Words.of(
                            "key.trouble.twice",
                            terminal,
                            position,
                            UNITS.print(one),
                            UNITS.print(other));
            case KeySwitch.Trouble.Between(var terminal, var position, var volts) ->
                    Words.of("key.trouble.between", terminal, position, UNITS.print(volts));
            case KeySwitch.Trouble.Odd(var terminal, var live) ->
                    Words.of("key.trouble.odd", terminal, String.join(", ", live));
            case KeySwitch.Trouble.NoFeed() -> Words.of("key.trouble.noFeed");
            case KeySwitch.Trouble.Unread(var terminal, var position) ->
                    Words.of("key.trouble.unread", terminal, position);
        };
    }

    /** Those that no position tells apart so far: two leads of one colour are proved by another. */
    public static List<String> alike(KeySwitch found) {
        var said = new ArrayList<String>();
        var terminals = found.terminals();
        for (int i = 0; i < terminals.size(); i++) {
            for (int j = i + 1; j < terminals.size(); j++) {
                var one = terminals.get(i);
                var other = terminals.get(j);
                boolean read = one.unread().isEmpty() && other.unread().isEmpty();
                if (read && found.apart(one.terminal(), other.terminal()).isEmpty()) {
                    said.add(Words.of("key.alike", one.terminal(), other.terminal()));
                }
            }
        }
        return said;
    }

    /** What a terminal of a switch is joined to, position by position. */
    public static String why(ContactTable.Named terminal) {
        return terminal.joined().isEmpty()
                ? Words.of("contact.nothing")
                : terminal.joined().entrySet().stream()
                        .map(each ->
                                Words.of(
                                        "contact.to",
                                        String.join(", ", each.getValue()),
                                        each.getKey()))
                        .collect(Collectors.joining("; "));
    }

    /** A reading that others rule out. */
    public static String contradiction(Closed reading) {
        return Words.of(
                "contact.contradiction",
                reading.one(),
                reading.other(),
                reading.position(),
                Words.of(reading.closed() ? "contact.closed" : "contact.open"));
    }

    /** What hangs on a lead. */
    public static String hangs(Hangs hangs) {
        return switch (hangs) {
            case Hangs.Filament(var uses, var watts) ->
                    Words.of("hangs.filament", uses(uses), watts(watts));
            case Hangs.OtherVolts(var uses, var watts, var made, var less) ->
                    Words.of(
                            less ? "hangs.half" : "hangs.double",
                            uses(uses),
                            watts(watts),
                            UserUnits.plain(made.value()));
            case Hangs.Open() -> Words.of("hangs.open");
            case Hangs.Earth() -> Words.of("hangs.earth");
            case Hangs.Motor() -> Words.of("hangs.motor");
            case Hangs.IgnitionCoil(var ohms) -> Words.of("hangs.coil", UNITS.print(ohms));
            case Hangs.RelayCoil(var ohms) -> Words.of("hangs.relay", UNITS.print(ohms));
            case Hangs.Sender(var least, var most) ->
                    Words.of(
                            "hangs.sender",
                            UserUnits.plain(least.value()),
                            UserUnits.plain(most.value()));
        };
    }

    private static String uses(List<String> uses) {
        return uses.stream()
                .map(Words::said)
                .collect(Collectors.joining(" " + Words.of("word.or") + " "));
    }

    private static String watts(Watts watts) {
        return UNITS.print(watts);
    }

    /** What tells the guesses apart; and that black is not earth here. */
    public static List<String> advice(Leads.Found found) {
        var said = new ArrayList<String>();
        found.next()
                .ifPresent(next ->
                        said.add(
                                Words.of(
                                        "lead.next." + next.name(),
                                        found.lead().lead(),
                                        hangs(found.guesses().get(0).hangs()),
                                        hangs(found.guesses().get(1).hangs()))));
        if (found.black()) {
            said.add(Words.of("lead.black", found.lead().lead()));
        }
        return said;
    }

    /** What a lead of a set is. */
    public static String role(LeadSet.Found found) {
        var words = Words.of("set", found.role());
        return found.with().isEmpty()
                ? words
                : Words.of("set.with", words, String.join(", ", found.with()));
    }

    /** What is to be known of a plug before power is on. */
    public static String note(Repinning.Note note) {
        return switch (note) {
            case Repinning.Note.OtherSide(var function, var was, var wants) ->
                    Words.of(
                            "repin.note.side",
                            function,
                            Words.of("fed", was),
                            Words.of("fed", wants));
            case Repinning.Note.ProvesOtherwise(var function, var proves) ->
                    Words.of(proves ? "repin.note.proves" : "repin.note.provesNot", function);
            case Repinning.Note.Diode(var function) -> Words.of("repin.note.diode", function);
            case Repinning.Note.Alike(var colour, var ways) ->
                    Words.of("repin.note.alike", colour, String.join(", ", ways));
        };
    }

    /** What of a kit does not fit. */
    public static String misfit(PlugFit.Misfit misfit) {
        var key = "misfit." + misfit.getClass().getSimpleName();
        return switch (misfit) {
            case PlugFit.Misfit.OtherTerminals(var theirs, var ours) -> Words.of(key, theirs, ours);
            case PlugFit.Misfit.OtherWays(var theirs, var ours) -> Words.of(key, theirs, ours);
            case PlugFit.Misfit.SameGender(var sockets) ->
                    Words.of(key, Words.of(sockets ? "kit.sockets" : "kit.pins"));
            case PlugFit.Misfit.NotKeyed(var theirs) -> Words.of(theirs ? key + ".theirs" : key);
            case PlugFit.Misfit.LessAmps(var theirs, var ours) ->
                    Words.of(key, UNITS.print(theirs), UNITS.print(ours));
            case PlugFit.Misfit.NotSealed(var theirs) -> Words.of(theirs ? key + ".theirs" : key);
            case PlugFit.Misfit.BodyUnknown() -> Words.of(key);
            case PlugFit.Misfit.FuseTooLarge(var lead, var carries) ->
                    Words.of(
                            key,
                            lead.name(),
                            lead.fuse().map(UNITS::print).orElse(""),
                            UNITS.print(carries));
        };
    }
}
