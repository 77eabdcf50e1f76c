package aficion.files.sheet;

import aficion.check.Findings;
import aficion.files.sheet.Typefaces.Face;
import aficion.job.Work;
import aficion.job.WorkshopPractice;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.words.Speech;
import aficion.words.Words;
import aficion.working.Working;
import java.io.IOException;
import java.util.List;

/** Sheets of running words: findings with what the user lets stand, house rules, workings. */
final class FindingSheet {
    private static final int QUIET = 0x56616A;
    private final Prose prose;
    private final Speech speech;

    FindingSheet(Paper paper, Speech speech) {
        this.prose = new Prose(paper);
        this.speech = speech;
    }

    void findings(Assessment assessment, Work work) throws IOException {
        var judged = Findings.offered(assessment, work);
        var groups = Findings.grouped(judged.open());
        prose.head(Words.of("sheet.findings.open", judged.open().size()));
        for (var group : groups) {
            var finding = group.first();
            prose.entry(
                    speech.where(group),
                    Words.of("severity", finding.severity())
                            + ": "
                            + speech.title(finding)
                            + ". "
                            + speech.reason(finding));
        }
        prose.head(Words.of("sheet.findings.standing", judged.standing().size()));
        for (var standing : judged.standing()) {
            prose.entry(
                    speech.where(standing.finding().subject()),
                    speech.title(standing.finding()) + ". " + speech.reason(standing.finding()));
            prose.entry("", Words.of("stand.because", standing.acceptance().reason()));
        }
        unguarded(assessment);
        rules(assessment);
    }

    /** The leads that burn before anything opens, which no finding speaks of. */
    private void unguarded(Assessment assessment) throws IOException {
        var leads = assessment.unguarded();
        if (leads.isEmpty()) {
            return;
        }
        prose.head(Words.of("sheet.unguarded", leads.size()));
        for (var lead : leads) {
            prose.entry(
                    lead.number(),
                    Words.of(
                            "sheet.unguarded.lead",
                            Words.of("wire.between", lead.from().terminal(), lead.to().terminal()),
                            speech.length(lead.length()),
                            Words.of("unguarded", lead.unguarded().orElseThrow())));
        }
        prose.entry("", Words.of("sheet.unguarded.caution"));
    }

    /** How this house does what good people do differently, and what the law asks. */
    private void rules(Assessment assessment) throws IOException {
        var rules = assessment.design().rules();
        prose.head(Words.of("sheet.rules"));
        for (var question : WorkshopPractice.Question.values()) {
            var school = rules.school(question);
            prose.entry(
                    Words.of("question", question),
                    Words.of("school", school) + ". " + Words.of("school." + school + ".why"));
        }
        prose.entry(
                Words.of("rules.law"), rules.law().orElseGet(() -> Words.of("rules.law.unknown")));
    }

    void workings(List<Working> workings, UserUnits units) throws IOException {
        for (var working : workings) {
            prose.head(Words.of("topic", working.topic()));
            prose.line(Face.BOLD, Paper.MARGIN, working.formula(), 0x1F2A33);
            for (var given : working.givens()) {
                prose.line(
                        Face.REGULAR,
                        Paper.MARGIN + 14,
                        given.symbol()
                                + " = "
                                + units.print(given.value())
                                + "   "
                                + Words.of("origin", given.origin()),
                        0x1F2A33);
            }
            for (var step : working.steps()) {
                prose.line(
                        Face.BOLD,
                        Paper.MARGIN + 14,
                        step.symbol() + " = " + units.print(step.value()),
                        0x1F2A33);
            }
            if (working.limit().isPresent()) {
                var limit = working.limit().get();
                prose.line(
                        Face.BOLD,
                        Paper.MARGIN + 14,
                        Words.of(
                                limit.kept() ? "working.limit.kept" : "working.limit.broken",
                                units.print(limit.value())),
                        limit.kept() ? 0x2F6B3A : 0xAF2B1E);
            }
            prose.line(
                    Face.REGULAR,
                    Paper.MARGIN + 14,
                    Words.of("working.source", working.source()),
                    QUIET);
        }
    }
}
