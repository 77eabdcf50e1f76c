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
 * @param papers the photographs and lists of the job
 * @param command does what the window can be asked for, by the key of its words
 */
public record Surroundings(
        Workbench bench, Verbs verbs, Drawer drawer, Papers papers, Consumer<String> command) {}
