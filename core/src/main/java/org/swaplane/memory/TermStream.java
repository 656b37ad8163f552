package org.swaplane.memory;

import java.util.Collection;
import java.util.Iterator;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;

/** Terms of a document, as they are. */
final class TermStream extends TokenStream {
    private final CharTermAttribute term = addAttribute(CharTermAttribute.class);
    private final Collection<String> terms;
    private Iterator<String> left;

    TermStream(Collection<String> terms) {
        this.terms = terms;
    }

    @Override
    public void reset() {
        left = terms.iterator();
    }

    @Override
    public boolean incrementToken() {
        if (!left.hasNext()) {
            return false;
        }
        clearAttributes();
        term.append(left.next());
        return true;
    }
}
