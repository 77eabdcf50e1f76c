package aficion.desktop.log;

import aficion.words.Words;
import java.util.Optional;
import javafx.scene.Node;

/** The tasks, and how tight what is bolted is made. */
final class PlanPages extends Pages implements LogTab {
    private final PlanView plan;

    PlanPages(PlanView plan, FastenersPage fasteners) {
        this.plan = plan;
        add("plan-tasks", Words.of("plan.tasks"), plan);
        add("plan-torque", Words.of("plan.torque"), fasteners);
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public Node aside() {
        return plan.aside();
    }

    @Override
    public Optional<String> task() {
        return plan.task();
    }
}
