package org.swaplane.format.xml;

import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.Pattern;
import javax.xml.XMLConstants;
import javax.xml.namespace.NamespaceContext;
import javax.xml.xpath.XPath;
import javax.xml.xpath.XPathConstants;
import javax.xml.xpath.XPathExpressionException;
import javax.xml.xpath.XPathFactory;
import javax.xml.xpath.XPathFactoryConfigurationException;
import org.swaplane.task.CannotProceedException;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;

/** An XPath that a file brings along: it gets no functions but XPath's own, may search within a search only once, and has to end in time. */
final class Selector {
    private static final int LONGEST = 2000;
    private static final long SECONDS = 10;
    private static final int DEEPEST_SEARCH = 1;
    private static final Pattern LITERAL = Pattern.compile("'[^']*'|\"[^\"]*\"");
    private static final Pattern SEARCH =
            Pattern.compile("//|\\b(descendant|descendant-or-self|following|preceding)\\s*::");

    private Selector() {}

    /**
     * The nodes that it selects.
     *
     * @throws XPathExpressionException when it is not valid XPath, too long, or nests searches
     * @throws CannotProceedException when it takes too long
     */
    static NodeList evaluate(String selector, NamespaceContext prefixes, Document document)
            throws XPathExpressionException {
        if (selector.length() > LONGEST || deepestSearch(selector) > DEEPEST_SEARCH) {
            throw new XPathExpressionException(selector);
        }
        XPath xpath = factory().newXPath();
        xpath.setNamespaceContext(prefixes);
        FutureTask<NodeList> evaluation =
                new FutureTask<>(() -> (NodeList) xpath.evaluate(selector, document, XPathConstants.NODESET));
        Thread thread = new Thread(evaluation, "selector");
        thread.setDaemon(true);
        thread.start();
        try {
            return evaluation.get(SECONDS, TimeUnit.SECONDS);
        } catch (TimeoutException e) {
            throw new CannotProceedException("", "problem.pattern-slow", selector, "");
        } catch (ExecutionException e) {
            if (e.getCause() instanceof XPathExpressionException wrong) {
                throw wrong;
            }
            throw new XPathExpressionException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new XPathExpressionException(e);
        }
    }

    private static XPathFactory factory() {
        XPathFactory factory = XPathFactory.newDefaultInstance();
        try {
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
        } catch (XPathFactoryConfigurationException e) {
            throw new AssertionError("every Java runtime has it", e);
        }
        return factory;
    }

    /** How many conditions lie around each other in which the whole document, or all below a node, is searched. */
    private static int deepestSearch(String selector) {
        String plain = LITERAL.matcher(selector).replaceAll("''");
        int deepest = 0;
        boolean[] searches = new boolean[plain.length() + 1];
        int depth = 0;
        for (int i = 0; i < plain.length(); i++) {
            if (plain.charAt(i) == '[') {
                searches[++depth] = false;
            } else if (plain.charAt(i) == ']') {
                depth = Math.max(0, depth - 1);
            } else if (depth > 0
                    && SEARCH.matcher(plain).region(i, plain.length()).lookingAt()) {
                searches[depth] = true;
                int around = 0;
                for (int each = 1; each <= depth; each++) {
                    around += searches[each] ? 1 : 0;
                }
                deepest = Math.max(deepest, around);
            }
        }
        return deepest;
    }
}
