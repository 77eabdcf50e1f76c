package aficion.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import aficion.bench.BenchPlan;
import aficion.check.Findings;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.netlist.Netlist;
import aficion.simulate.Simulation;
import aficion.size.Assessment;
import aficion.solve.Network;
import aficion.solve.Solver;
import aficion.sweep.Sweep;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** desktop uses files uses core, and never the other way; views do not know each other. */
@AnalyzeClasses(packages = "aficion", importOptions = ImportOption.DoNotIncludeTests.class)
class DesktopArchitectureTest {
    private static final String[] CORE = {
        "aficion.quantity..",
        "aficion.working..",
        "aficion.catalogue..",
        "aficion.job..",
        "aficion.netlist..",
        "aficion.solve..",
        "aficion.simulate..",
        "aficion.sweep..",
        "aficion.size..",
        "aficion.check..",
        "aficion.recipe..",
        "aficion.identify..",
        "aficion.verb..",
        "aficion.make..",
        "aficion.bench..",
        "aficion.diagram.."
    };

    private static final String[] VIEWS = {
        "aficion.desktop.trace",
        "aficion.desktop.inspect",
        "aficion.desktop.control",
        "aficion.desktop.make",
        "aficion.desktop.plan",
        "aficion.desktop.bench",
        "aficion.desktop.board",
        "aficion.desktop.preview"
    };

    @ArchTest
    static final ArchRule theCoreUsesNeitherFilesNorDesktop =
            noClasses()
                    .that()
                    .resideInAnyPackage(CORE)
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("aficion.files..", "aficion.words..", "aficion.desktop..");

    @ArchTest
    static final ArchRule filesDoNotUseTheDesktop =
            noClasses()
                    .that()
                    .resideInAnyPackage("aficion.files..", "aficion.words..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("aficion.desktop..", "javafx..");

    @ArchTest
    static final ArchRule viewsKnowNoWindow =
            noClasses()
                    .that()
                    .resideInAnyPackage(VIEWS)
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("aficion.desktop.shell", "aficion.desktop.cli");

    @ArchTest
    static final ArchRule viewsDoNotKnowEachOther =
            slices().matching(
                            "aficion.desktop.(trace|inspect|control|make|plan|bench|board|preview)")
                    .should()
                    .notDependOnEachOther();

    /** What is worked out comes from the workbench, off the screen's thread. */
    @ArchTest
    static final ArchRule viewsDoNotSolve =
            noClasses()
                    .that()
                    .resideInAnyPackage(VIEWS)
                    .should()
                    .dependOnClassesThat()
                    .belongToAnyOf(Solver.class, Network.class, Sweep.class, Simulation.class)
                    .orShould()
                    .callMethod(Netlist.class, "of", Design.class)
                    .orShould()
                    .callMethod(Assessment.class, "of", Design.class)
                    .orShould()
                    .callMethod(Findings.class, "of", Assessment.class)
                    .orShould()
                    .callMethod(BenchPlan.class, "of", Solver.class, CircuitId.class);

    @ArchTest
    static final ArchRule desktopPackagesHaveNoCycles =
            slices().matching("aficion.desktop.(*)..").should().beFreeOfCycles();
}
