package aficion.desktop.log;

import aficion.desktop.theme.Pages;
import aficion.words.Words;

/** The tasks, and how tight what is bolted is made. */
final class PlanPages extends Pages {
    PlanPages(PlanView plan, FastenersPage fasteners) {
        add("plan-tasks", Words.of("plan.tasks"), plan);
        add("plan-torque", Words.of("plan.torque"), fasteners);
    }
}
