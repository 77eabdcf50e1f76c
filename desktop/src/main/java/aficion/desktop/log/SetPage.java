package aficion.desktop.log;

import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.identify.LeadSet;
import aficion.job.Probed;
import aficion.job.Probed.Across;
import aficion.quantity.Ohms;
import aficion.quantity.Unit;
import aficion.quantity.UserUnits;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.util.List;
import javafx.scene.control.TextField;

/** The leads of one thing by the ohms between them: a stator, the base of a relay. */
final class SetPage extends ProbePage {
    private final TextField one;
    private final TextField other;
    private final TextField ohms;

    SetPage(Workbench bench) {
        super(bench, "set", "lead", "item", "measured");
        widths(120, 460, 120);
        one = Fields.of("set-one", Words.of("identify.one"), 8, this::note);
        other = Fields.of("set-other", Words.of("identify.other"), 8, this::note);
        ohms = Fields.of("set-ohms", Words.of("identify.ohms"), 6, this::note);
        asks("set", this::note, one, other, ohms);
        does("set", read -> new Probed(read.key(), read.contacts(), read.leads(), List.of()));
    }

    @Override
    public void requestFocus() {
        one.requestFocus();
    }

    private void note() {
        note(read -> {
            var text = ohms.getText().strip();
            double value =
                    UserUnits.parseReading(text, Unit.OHM)
                            .orElseThrow(() ->
                                    new IllegalArgumentException(
                                            Words.of(
                                                    "identify.number",
                                                    Words.of("identify.ohms"),
                                                    text)));
            return read.with(
                    new Across(one.getText().strip(), other.getText().strip(), new Ohms(value)));
        });
        ohms.clear();
        other.requestFocus();
        other.selectAll();
    }

    @Override
    void show() {
        var read = probed().pairs();
        rows(
                LeadSet.of(read).stream()
                        .map(found ->
                                List.of(
                                        found.lead(),
                                        IdentifyWords.role(found),
                                        found.ohms().map(bench.units()::print).orElse("")))
                        .toList());
        tell(
                LeadSet.unread(read).stream()
                        .limit(1)
                        .map(pair -> Words.of("set.unread", String.join(" \u2013 ", pair)))
                        .map(text -> Texts.wrapped(text, "brass-text"))
                        .toList());
    }
}
