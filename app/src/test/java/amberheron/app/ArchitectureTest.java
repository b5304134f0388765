package amberheron.app;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackages;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;

@AnalyzeClasses(packages = "amberheron", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule MODELS_RUN_WITHOUT_A_TOOLKIT = noClasses().that().haveSimpleNameEndingWith("Model").or()
            .resideInAPackage("amberheron.app.session..").should().dependOnClassesThat().resideInAPackage("javafx..");

    @ArchTest
    static final ArchRule PACKAGES_DO_NOT_GO_ROUND_IN_CIRCLES = slices().assignedFrom(new EachPackage()).should()
            .beFreeOfCycles();

    @ArchTest
    static final ArchRule MODULES_POINT_ONE_WAY = layeredArchitecture().consideringOnlyDependenciesInLayers()
            .layer("core").definedBy("amberheron.core..").layer("io").definedBy("amberheron.io..")
            .layer("bench").definedBy("amberheron.bench..").layer("app").definedBy("amberheron.app..")
            .whereLayer("app").mayNotBeAccessedByAnyLayer()
            .whereLayer("bench").mayOnlyBeAccessedByLayers("app")
            .whereLayer("io").mayOnlyBeAccessedByLayers("app", "bench");

    /** Every package of every module is a slice of its own, the roots too. */
    private static final class EachPackage implements SliceAssignment {
        @Override
        public SliceIdentifier getIdentifierOf(JavaClass type) {
            return SliceIdentifier.of(type.getPackageName());
        }

        @Override
        public String getDescription() {
            return "every package";
        }
    }

    @ArchTest
    static final ArchRule THE_WINDOW_KNOWS_NO_STATION = noClasses()
            .that().resideInAnyPackage("amberheron.app.shell..", "amberheron.app.parts..", "amberheron.app.session..")
            .should().dependOnClassesThat(resideInAnyPackage("amberheron.app..").and(resideOutsideOfPackages(
                    "amberheron.app.shell..", "amberheron.app.parts..", "amberheron.app.session..",
                    "amberheron.app.rule..", "amberheron.app.palette..")));

    @ArchTest
    static final ArchRule WHAT_IS_COMPUTED_IS_COMPUTED_IN_CORE = noClasses()
            .that().resideInAnyPackage("amberheron.app..", "amberheron.io..", "amberheron.bench..").should()
            .dependOnClassesThat().resideInAPackage("org.hipparchus..");
}
