package aficion.bench;

import aficion.bench.reason.Sign.Look;
import aficion.job.BenchRun.Setting;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import java.util.Optional;

/** What is right at a step though it looks wrong. */
public enum RightThough {
    /** The output of a thermal stabiliser goes on and off; a slow meter shows the mean. */
    STABILISER_BLINKS,
    /** A flasher's output goes on and off; with small test lamps a thermal one is slow. */
    FLASHER_BLINKS,
    /** A lamp of diodes glows a little where a bulb beside it would be dark. */
    DIODES_GLOW;

    /** What is right though it looks wrong at a step; empty where nothing does. */
    public static Optional<RightThough> at(Design design, Setting setting, TestStep.Task task) {
        if (task instanceof TestStep.VoltsAt(var at, _)) {
            var kind = design.part(at.part()).kind();
            if (kind instanceof JoinKind.Stabiliser && at.pin().equals("I")) {
                return Optional.of(STABILISER_BLINKS);
            }
            return kind instanceof ControlKind.Flasher && at.pin().equals("49a")
                    ? Optional.of(FLASHER_BLINKS)
                    : Optional.empty();
        }
        if (task instanceof TestStep.Works(var signs, _)) {
            boolean blinks = signs.stream().anyMatch(sign -> sign.look() == Look.BLINKS);
            if (blinks && setting == Setting.STAND_INS) {
                return Optional.of(FLASHER_BLINKS);
            }
            return signs.stream()
                            .filter(sign -> sign.look() == Look.DIM)
                            .anyMatch(sign ->
                                    design.part(sign.part()).kind() instanceof LoadKind.LedLamp)
                    ? Optional.of(DIODES_GLOW)
                    : Optional.empty();
        }
        return Optional.empty();
    }
}
