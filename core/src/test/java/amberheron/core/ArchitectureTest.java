package amberheron.core;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.name;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "amberheron.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CORE_COMPUTES_AND_NOTHING_ELSE = noClasses().should().dependOnClassesThat()
            .resideInAnyPackage("javafx..", "java.awt..", "java.io..", "java.nio.file..", "java.sql..", "java.net..",
                    "java.util.concurrent..", "amberheron.io..", "amberheron.bench..", "amberheron.app..");

    @ArchTest
    static final ArchRule CORE_READS_NO_CLOCK = noClasses().should().callMethod(System.class, "currentTimeMillis")
            .orShould().callMethod(System.class, "nanoTime").orShould().dependOnClassesThat()
            .belongToAnyOf(java.time.Clock.class)
            .orShould().callMethodWhere(target(name("now")).and(target(owner(resideInAPackage("java.time..")))));

    @ArchTest
    static final ArchRule PACKAGES_DO_NOT_GO_ROUND_IN_CIRCLES = slices().matching("amberheron.core.(*)..").should()
            .beFreeOfCycles();
}
