package org.swaplane.wording;

import java.util.ServiceLoader;
import java.util.function.UnaryOperator;

/** Another language for everything that the application says; the one with the id in the system property {@link #PROPERTY} is used. */
public interface InterfaceTranslation {
    String PROPERTY = "swaplane.ui-language";

    /** Such as {@code pseudo}. */
    String id();

    /** The string of a bundle in this language, its arguments kept. */
    String translate(String pattern);

    /** What turns strings of bundles into the language that was asked for; they stay as they are when none was, or nobody has it. */
    static UnaryOperator<String> chosen() {
        String id = System.getProperty(PROPERTY, "");
        return ServiceLoader.load(InterfaceTranslation.class).stream()
                .filter(each -> !id.isEmpty())
                .map(ServiceLoader.Provider::get)
                .filter(each -> each.id().equals(id))
                .findFirst()
                .<UnaryOperator<String>>map(each -> each::translate)
                .orElse(UnaryOperator.identity());
    }
}
