package aficion;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import aficion.job.Kind;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The packages of the core read like the work, and depend one way. */
@AnalyzeClasses(packages = "aficion", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule noScreenNoFilesNoJson =
            noClasses()
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "javafx..",
                            "java.nio.file..",
                            "tools.jackson..",
                            "com.fasterxml..",
                            "java.awt..",
                            "org.slf4j..")
                    .orShould()
                    .dependOnClassesThat()
                    .haveFullyQualifiedName("java.io.File");

    @ArchTest
    static final ArchRule packagesHaveNoCycles =
            slices().matching("aficion.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule quantitiesDependOnNothing =
            noClasses()
                    .that()
                    .resideInAPackage("..quantity")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "aficion.job..",
                            "aficion.catalogue..",
                            "aficion.working..",
                            "aficion.solve..");

    @ArchTest
    static final ArchRule theSolverKnowsNoKindsOfParts =
            noClasses()
                    .that()
                    .resideInAPackage("..solve..")
                    .should()
                    .dependOnClassesThat()
                    .areAssignableTo(Kind.class);

    @ArchTest
    static final ArchRule linearAlgebraKnowsNoElectricalWords =
            noClasses()
                    .that()
                    .resideInAPackage("..linear")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("aficion.job..", "aficion.netlist..", "aficion.quantity..");

    @ArchTest
    static final ArchRule theJobKnowsNothingThatIsComputed =
            noClasses()
                    .that()
                    .resideInAPackage("..job..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "aficion.netlist..",
                            "aficion.solve..",
                            "aficion.size..",
                            "aficion.check..",
                            "aficion.bench..",
                            "aficion.diagram..");
}
