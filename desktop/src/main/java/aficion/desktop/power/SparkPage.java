package aficion.desktop.power;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Texts;
import aficion.ignite.Ignition;
import aficion.words.SparkWords;
import aficion.words.Words;

/** The coil over speed and another held against it, its ballast, the cap, marks, static timing. */
final class SparkPage extends SumPage {
    private final CoilCard coil;
    private final CapCard cap;
    private final MarksCard marks;

    SparkPage(Surroundings with) {
        super(with.bench(), "spark");
        coil = new CoilCard(with);
        cap = new CapCard(with.bench());
        marks = new MarksCard(with);
        getChildren().add(scroll(coil, cap, marks));
    }

    @Override
    void work() {
        var found = Ignition.of(bench.design());
        coil.show(found);
        cap.show();
        marks.show();
        beside.getChildren()
                .setAll(Texts.wrapped(Words.of("spark.timing"), "inspector-title"), Texts.rule());
        int number = 1;
        for (var step : SparkWords.timing(found)) {
            beside.getChildren().add(Texts.wrapped(number++ + "  " + step));
        }
    }
}
