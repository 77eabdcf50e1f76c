package aficion.desktop.log;

import aficion.catalogue.Colour;
import aficion.desktop.theme.ColourChoices;
import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.identify.Leads;
import aficion.job.Probed;
import aficion.job.Probed.OfLead;
import aficion.job.WireColour;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.Unit;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;

/** Unknown leads by what each draws, or measures cold: what may hang on it, the likeliest first. */
final class LeadsPage extends ProbePage {
    private static final int TOLD = 3;

    private final TextField lead;
    private final ComboBox<Optional<Colour>> colour =
            ColourChoices.orNone(Words.of("survey.colour"));
    private final TextField volts;
    private final TextField amps;
    private final TextField ohms;

    LeadsPage(Workbench bench) {
        super(bench, "leads", "lead", "rank", "item", "expected", "measured");
        widths(120, 60, 360, 110, 110);
        lead = Fields.of("lead-name", Words.of("list.lead"), 8, this::note);
        colour.setId("lead-colour");
        volts = Fields.of("lead-volts", Words.of("identify.volts"), 5, this::note);
        volts.setText("12.6");
        amps = Fields.of("lead-amps", Words.of("identify.amps"), 5, this::note);
        ohms = Fields.of("lead-ohms", Words.of("identify.ohms"), 6, this::note);
        asks("lead", this::note, lead, colour, volts, amps, ohms);
        does("lead", read -> new Probed(read.key(), read.contacts(), List.of(), read.pairs()));
    }

    @Override
    public void requestFocus() {
        lead.requestFocus();
    }

    private static Optional<Double> read(TextField field, Unit unit) {
        var text = field.getText().strip();
        return text.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        UserUnits.parseReading(text, unit)
                                .orElseThrow(() ->
                                        new IllegalArgumentException(
                                                Words.of(
                                                        "identify.number",
                                                        field.getPromptText(),
                                                        text))));
    }

    private void note() {
        note(read -> {
            var drawn = read(amps, Unit.AMPERE).map(Amps::new);
            return read.with(
                    new OfLead(
                            lead.getText().strip(),
                            colour.getValue().map(WireColour::plain),
                            read(volts, Unit.VOLT).filter(_ -> drawn.isPresent()).map(Volts::new),
                            drawn,
                            read(ohms, Unit.OHM).map(Ohms::new)));
        });
        amps.clear();
        ohms.clear();
        lead.requestFocus();
        lead.selectAll();
    }

    @Override
    void show() {
        var found = Leads.of(probed().leads());
        rows(
                found.stream()
                        .flatMap(each ->
                                IntStream.range(0, Math.min(TOLD, each.guesses().size()))
                                        .mapToObj(i -> row(each, i)))
                        .toList());
        tell(
                found.stream()
                        .flatMap(each -> IdentifyWords.advice(each).stream())
                        .map(text -> Texts.wrapped(text, "brass-text"))
                        .toList());
    }

    private List<String> row(Leads.Found found, int rank) {
        var guess = found.guesses().get(rank);
        return List.of(
                rank == 0 ? found.lead().lead() : "",
                String.valueOf(rank + 1),
                IdentifyWords.hangs(guess.hangs()),
                guess.expected().map(this::print).orElse(""),
                rank == 0 ? print(found.measured()) : "");
    }

    /** A meter in its 10 A socket shows hundredths. */
    private String print(Quantity quantity) {
        if (quantity instanceof Amps amps) {
            return String.format(Locale.ROOT, "%.2f A", amps.value());
        }
        return quantity.value() >= UserUnits.OVER_RANGE_OHMS
                ? UserUnits.OVER_RANGE
                : bench.units().print(quantity);
    }
}
