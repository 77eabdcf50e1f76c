package aficion.files.sheet;

import aficion.files.FileNames;
import aficion.job.Damper;
import aficion.job.Design;
import aficion.job.Job;
import aficion.job.Panel;
import aficion.job.Pickup;
import aficion.plot.FullSize;
import aficion.quantity.UserUnits;
import aficion.shape.Chords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;

/** Every shape that was set down in a job, at full size. */
public final class ShapeFiles {
    private ShapeFiles() {}

    /** A shape by the name its files begin with. */
    public record Named(String name, FullSizeFiles files) {}

    /** The tape of the timing marks, the shaft of the speed pickup, every panel. */
    public static List<Named> of(Job job, UserUnits units) {
        var sums = job.work().sums();
        var all = new ArrayList<Named>();
        sums.damper().ifPresent(damper -> all.add(tape(job.design(), damper, units)));
        sums.pickup()
                .filter(pickup -> pickup.marks() > 1)
                .ifPresent(pickup -> all.add(shaft(job.design(), pickup, units)));
        sums.panels().forEach(panel -> all.add(panel(job.design(), panel)));
        return all;
    }

    /** The tape that goes round a damper. */
    public static Named tape(Design design, Damper damper, UserUnits units) {
        return new Named(
                "tape",
                new FullSizeFiles(
                        design,
                        FullSize.tape(damper),
                        Words.of("sheet.tape", units.fine(damper.diameter()))));
    }

    /** A shaft from its end, with its marks. */
    public static Named shaft(Design design, Pickup pickup, UserUnits units) {
        var chords = Chords.of(pickup.shaft(), pickup.marks());
        return new Named(
                "shaft",
                new FullSizeFiles(
                        design,
                        FullSize.shaft(chords),
                        Words.of("sheet.shaft", units.fine(pickup.shaft()))));
    }

    /** A panel with its holes. */
    public static Named panel(Design design, Panel panel) {
        return new Named(
                "panel-" + FileNames.of(panel.name()),
                new FullSizeFiles(
                        design, FullSize.panel(panel), Words.of("sheet.panel", panel.name())));
    }
}
