package org.swaplane;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import java.util.List;

/** Classes in a package that the list of layers forgot. */
final class OutsideLayers extends DescribedPredicate<JavaClass> {
    private final List<String> layers;

    OutsideLayers(List<String> layers) {
        super("be in a package that is in no layer");
        this.layers = layers;
    }

    @Override
    public boolean test(JavaClass type) {
        return layers.stream()
                .noneMatch(layer -> (type.getPackageName() + '.').startsWith("org.swaplane." + layer + '.'));
    }
}
