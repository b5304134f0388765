package amberheron.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "amberheron", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule DEPENDENCIES_POINT_ONE_WAY = layeredArchitecture().consideringOnlyDependenciesInLayers()
            .layer("app").definedBy("amberheron.app..").layer("io").definedBy("amberheron.io..").layer("bench")
            .definedBy("amberheron.bench..").layer("core").definedBy("amberheron.core..").whereLayer("app")
            .mayNotBeAccessedByAnyLayer().whereLayer("io").mayOnlyBeAccessedByLayers("app").whereLayer("bench")
            .mayOnlyBeAccessedByLayers("app");

    @ArchTest
    static final ArchRule MODELS_RUN_WITHOUT_A_TOOLKIT = noClasses().that().haveSimpleNameEndingWith("Model").or()
            .haveSimpleName("Session").or().haveSimpleName("Advice").or().haveSimpleName("Figures").should()
            .dependOnClassesThat().resideInAPackage("javafx..");

    @ArchTest
    static final ArchRule THE_COMMAND_LINE_COMPUTES_NOTHING_ITSELF = noClasses().that()
            .resideInAPackage("amberheron.core..").should().dependOnClassesThat().resideInAPackage("picocli..");
}
