package aficion.desktop.cli;

import aficion.files.ProbeList;
import aficion.identify.ContactTable;
import aficion.identify.KeySwitch;
import aficion.identify.LeadSet;
import aficion.identify.Leads;
import aficion.job.Probed;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import org.apache.commons.csv.CSVPrinter;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/**
 * Prints what the terminals of a switch are, or what hangs on leads, by what a meter showed. What
 * does not fit, and what to measure next, goes to the error output.
 */
@Command(
        name = "identify",
        description = "Names the terminals of a switch, or leads, by what a meter showed.")
final class IdentifyCommand extends Commands.Printing {
    @Parameters(
            index = "0",
            paramLabel = "FILE",
            description = {
                "a table (CSV) with the columns terminal,position,volts (a key switch),",
                "one,other,position,closed (any switch), lead,volts,amps or lead,ohms (leads),",
                "or one,other,ohms (the leads of one thing, its case called case)"
            })
    private String file;

    @Override
    public Integer call() throws IOException {
        Probed read = Commands.table(file, ProbeList::read);
        var printer = printer();
        if (!read.key().isEmpty()) {
            key(printer, read);
        } else if (!read.contacts().isEmpty()) {
            contacts(printer, read);
        } else if (!read.pairs().isEmpty()) {
            set(printer, read);
        } else {
            leads(printer, read);
        }
        printer.flush();
        return 0;
    }

    private void key(CSVPrinter printer, Probed read) throws IOException {
        printer.printRecord("terminal", "name", "why");
        var found = KeySwitch.of(read.key());
        for (var terminal : found.terminals()) {
            printer.printRecord(
                    terminal.terminal(),
                    IdentifyWords.name(terminal.name()),
                    IdentifyWords.why(found, terminal));
        }
        found.troubles().forEach(trouble -> err().println(IdentifyWords.trouble(trouble)));
        IdentifyWords.alike(found).forEach(err()::println);
    }

    private void contacts(CSVPrinter printer, Probed read) throws IOException {
        printer.printRecord("terminal", "name", "why");
        var found = ContactTable.of(read.contacts());
        for (var terminal : found.named()) {
            printer.printRecord(
                    terminal.terminal(),
                    Words.of("contact", terminal.role()),
                    IdentifyWords.why(terminal));
        }
        found.contradictions().forEach(each -> err().println(IdentifyWords.contradiction(each)));
        found.next()
                .ifPresent(
                        pair -> err().println(Words.of("contact.next", pair.one(), pair.other())));
    }

    private void set(CSVPrinter printer, Probed read) throws IOException {
        printer.printRecord("lead", "rank", "what", "expected", "measured");
        for (var found : LeadSet.of(read.pairs())) {
            printer.printRecord(
                    found.lead(),
                    1,
                    IdentifyWords.role(found),
                    "",
                    found.ohms().map(IdentifyCommand::figure).orElse(""));
        }
        for (var pair : LeadSet.unread(read.pairs())) {
            err().println(Words.of("set.unread", String.join(" \u2013 ", pair)));
        }
    }

    private void leads(CSVPrinter printer, Probed read) throws IOException {
        printer.printRecord("lead", "rank", "what", "expected", "measured");
        for (var found : Leads.of(read.leads())) {
            List<Leads.Guess> guesses = found.guesses();
            for (int i = 0; i < guesses.size(); i++) {
                var guess = guesses.get(i);
                printer.printRecord(
                        found.lead().lead(),
                        i + 1,
                        IdentifyWords.hangs(guess.hangs()),
                        guess.expected().map(IdentifyCommand::figure).orElse(""),
                        figure(found.measured()));
            }
            IdentifyWords.advice(found).forEach(err()::println);
        }
    }

    /** Three digits, in the unit of the column; what is over the range as a meter says it. */
    private static String figure(Quantity quantity) {
        return quantity.value() >= UserUnits.OVER_RANGE_OHMS
                ? UserUnits.OVER_RANGE
                : UserUnits.plain(
                        BigDecimal.valueOf(quantity.value())
                                .round(new MathContext(3))
                                .doubleValue());
    }
}
