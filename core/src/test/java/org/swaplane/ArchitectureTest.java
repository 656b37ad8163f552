package org.swaplane;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.simpleNameStartingWith;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import java.util.List;
import org.swaplane.reviewcopy.ReviewCopyFormat;

@AnalyzeClasses(packages = "org.swaplane", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    /** From the bottom up; a package may use those before it and none after it. */
    private static final List<String> LAYERS = List.of(
            "wording",
            "task",
            "web",
            "content",
            "document",
            "extension",
            "segmentation",
            "placeholder",
            "format",
            "reviewcopy",
            "number",
            "pseudo",
            "proof",
            "compare",
            "terms",
            "spelling",
            "check",
            "report",
            "memory",
            "draft",
            "speech",
            "version",
            "exchange",
            "convert",
            "quality",
            "effort",
            "rates",
            "release",
            "desk",
            "lane",
            "jobreport",
            "review",
            "intake",
            "demo");

    @ArchTest
    static final ArchRule coreKnowsNoWindowAndNoCommandLine = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "picocli..", "org.swaplane.desktop..", "org.swaplane.cli..");

    @ArchTest
    static final ArchRule packagesHaveNoCycles =
            slices().matching("org.swaplane.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule nobodyPrints =
            noClasses().should().accessField(System.class, "out").orShould().accessField(System.class, "err");

    /** It loses its place where an end tag lies across two buffers; {@code ElementText} does not. */
    @ArchTest
    static final ArchRule nobodyReadsElementsByGetElementText = noClasses()
            .should()
            .callMethodWhere(DescribedPredicate.describe(
                    "getElementText", call -> call.getTarget().getName().equals("getElementText")));

    /** Formats are found by their registry; only the writers of new files are called by name. */
    @ArchTest
    static final ArchRule nobodyNamesAFormat = noClasses()
            .that()
            .resideOutsideOfPackage("org.swaplane.format..")
            .should()
            .dependOnClassesThat(resideInAPackage("org.swaplane.format.*..")
                    .and(not(simpleNameStartingWith("New")))
                    .and(not(resideInAPackage("org.swaplane.format.table"))));

    @ArchTest
    static final ArchRule nobodyNamesAFormOfReviewCopy = noClasses()
            .that()
            .resideOutsideOfPackage("org.swaplane.reviewcopy..")
            .should()
            .dependOnClassesThat()
            .implement(ReviewCopyFormat.class);

    @ArchTest
    static void lowerPackagesDoNotUseHigherOnes(JavaClasses classes) {
        for (int i = 0; i < LAYERS.size() - 1; i++) {
            String[] higher = LAYERS.subList(i + 1, LAYERS.size()).stream()
                    .map(name -> "org.swaplane." + name + "..")
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage("org.swaplane." + LAYERS.get(i) + "..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(higher)
                    .check(classes);
        }
    }

    @ArchTest
    static final ArchRule everyPackageIsInTheLayers = noClasses().should(ArchCondition.from(new OutsideLayers(LAYERS)));
}
