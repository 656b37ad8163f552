package org.swaplane.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.swaplane.desktop", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule modelsKnowNoNodes = noClasses()
            .that()
            .resideInAPackage("org.swaplane.desktop.session..")
            .or()
            .haveSimpleNameEndingWith("Model")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx.scene..", "javafx.stage..");

    @ArchTest
    static final ArchRule viewsDoNotKnowEachOther = slices().matching(
                    "org.swaplane.desktop.(board|checks|dryrun|exchange|release|review)..")
            .should()
            .notDependOnEachOther();

    @ArchTest
    static final ArchRule stylesLiveInStyleSheets =
            noClasses().should().callMethod(javafx.scene.Node.class, "setStyle", String.class);
}
