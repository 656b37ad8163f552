package org.swaplane.proof;

import java.util.Comparator;
import java.util.List;
import org.swaplane.document.BilingualDocument;
import org.swaplane.proof.reach.FoundText;
import org.swaplane.proof.reach.Picture;

/**
 * What a dry run proved.
 *
 * @param pseudo the pseudo-translated document as it was read again; its segments are in the order of the original's
 * @param unreached texts that no segment covers, also those that are left out on purpose
 */
public record DryRunResult(
        List<Proof> proofs, BilingualDocument pseudo, List<FoundText> unreached, List<Picture> pictures) {
    public DryRunResult {
        proofs = List.copyOf(proofs);
        unreached = List.copyOf(unreached);
        pictures = List.copyOf(pictures);
    }

    /** The worst of all verdicts. */
    public Proof.Verdict verdict() {
        return worst(proofs);
    }

    /** The worst verdict of these. */
    public static Proof.Verdict worst(List<Proof> proofs) {
        return proofs.stream()
                .map(Proof::verdict)
                .max(Comparator.naturalOrder())
                .orElse(Proof.Verdict.PASS);
    }
}
