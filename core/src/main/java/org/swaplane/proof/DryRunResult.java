package org.swaplane.proof;

import java.util.Comparator;
import java.util.List;
import org.swaplane.document.BilingualDocument;

/**
 * What a dry run proved.
 *
 * @param pseudo the pseudo-translated document as it was read again; its segments are in the order of the original's
 */
public record DryRunResult(List<Proof> proofs, BilingualDocument pseudo) {
    public DryRunResult {
        proofs = List.copyOf(proofs);
    }

    /** The worst of all verdicts. */
    public Proof.Verdict verdict() {
        return proofs.stream()
                .map(Proof::verdict)
                .max(Comparator.naturalOrder())
                .orElse(Proof.Verdict.PASS);
    }
}
