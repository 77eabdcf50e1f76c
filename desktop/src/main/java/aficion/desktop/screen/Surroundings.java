package aficion.desktop.screen;

import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import java.util.function.Consumer;

/**
 * What a screen has around it.
 *
 * @param bench the work
 * @param verbs what hands do to it
 * @param drawer what the user has in stock
 * @param pictures the photographs of the job
 * @param command does what the window can be asked for, by the key of its words
 */
public record Surroundings(
        Workbench bench, Verbs verbs, Drawer drawer, Pictures pictures, Consumer<String> command) {}
